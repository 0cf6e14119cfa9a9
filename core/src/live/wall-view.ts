import { aidedOption, viewWith } from '../body/aids/aided-option.ts';
import type { Catalogue } from '../movement/catalogue.ts';
import { optionOf, type Exercise, type Option } from '../movement/exercise.ts';
import type { View } from '../movement/pose.ts';
import type { Machine, Side } from '../movement/vocabulary.ts';
import { PROP_WORDS } from '../movement/words.ts';
import type { OptionsPlan } from '../people/choose-options.ts';
import type { Choice } from '../people/choice.ts';
import { versionTitle } from '../people/version-title.ts';
import { itemsOf, type Plan } from '../plan/plan.ts';
import { rulesOf } from '../plan/schools.ts';
import { schoolWords } from '../plan/school-words.ts';
import type { PartKind, Timeline } from '../plan/timing/timeline.ts';
import { describeItemDose } from '../plan/variants.ts';
import type { PropNeed } from '../room/props.ts';
import { viewNow, type NowView, type RunState } from './run-class.ts';

/** One way of doing what is done now: what it looks like, in plain words; nobody’s name. */
export interface WallVersion {
  words: string;
  /** Left out in a rest. */
  drawn?: { option: Option; view: View };
}

/** What the people in the room see of a class: figures, words, breath and time; no names, no conditions. */
export interface WallView {
  title: string;
  status: RunState['status'];
  /** What everybody fetches before it begins. */
  fetch: string[];
  now?: {
    name: string;
    dose: string;
    side?: Side | 'alternating';
    part: PartKind;
    breath: string[];
    versions: WallVersion[];
    /** Seconds; below nothing once it runs over. */
    itemLeftS: number;
    partLeftS: number;
    /** The repetition that is done and how many there are, where it is counted. */
    count?: { now: number; of: number; eachS: number };
    classElapsedS: number;
  };
  next?: { name: string; fetch: string[] };
}

/** What is told of a class of two groups: both, while they are at different places. */
export interface RoomView extends WallView {
  /** Where those are who are told of first. */
  at?: Machine;
  beside?: WallView & { at: Machine };
}

export interface WallInput {
  plan: Plan;
  catalogue: Catalogue;
  timeline: Timeline;
  options: OptionsPlan;
  props: readonly PropNeed[];
  state: RunState;
  /** In a class of two groups: where each step is done that this one does by itself. */
  places?: ReadonlyMap<string, Machine>;
}

/** Versions are those that are cued; who does which is the room’s own affair. */
export function wallView({
  plan,
  catalogue,
  timeline,
  options,
  props,
  state,
}: WallInput): WallView {
  const now = viewNow(timeline, state);
  const first = { title: plan.title, status: state.status };
  if (!now || state.status === 'ready') return { ...first, fetch: heldIn(props) };
  if (state.status === 'ended') return { ...first, fetch: [] };
  const { item, next, part } = now;
  const exercise = item.exercise === undefined ? undefined : catalogue.get(item.exercise);
  const planned = itemsOf(plan).find(({ id }) => id === item.itemId);
  const option = exercise && optionOf(exercise, part?.variant ?? item.option ?? exercise.standard);
  const school = rulesOf(plan.school);
  const side = part?.side ?? item.side;
  return {
    ...first,
    fetch: [],
    now: {
      name: item.name,
      dose:
        exercise && planned?.kind === 'exercise' ? describeItemDose(planned, exercise, school) : '',
      ...(side ? { side } : {}),
      part: part?.kind ?? 'pause',
      breath: exercise && option ? breathOf(exercise, option, plan) : [],
      versions: exercise ? versionsAt(now, exercise, { plan, catalogue, options }) : [],
      itemLeftS: now.itemLeftS,
      partLeftS: now.partLeftS,
      ...(now.repetition !== undefined && part?.count !== undefined
        ? { count: { now: now.repetition, of: part.count, eachS: part.eachS ?? 1 } }
        : {}),
      classElapsedS: now.classElapsedS,
    },
    ...(next
      ? { next: { name: next.name, fetch: fetchFor(props, item.itemId, next.itemId) } }
      : {}),
  };
}

/** Both groups: side by side while they are at different places, once while all do the same. */
export function viewOfBoth(first: WallInput, second: WallInput): RoomView {
  const [one, other] = [wallView(first), wallView(second)];
  const [here, there] = [placeNow(first), placeNow(second)];
  if (here && there) return { ...one, at: here, beside: { ...other, at: there } };
  // What comes after what all do together is another thing for each of them.
  const { next, ...view } = one;
  const isSame = next?.name === other.next?.name;
  return {
    ...view,
    fetch: [...new Set([...one.fetch, ...other.fetch])],
    ...(next && isSame ? { next } : {}),
    ...(next && other.next && !isSame ? { next: { name: 'change places', fetch: [] } } : {}),
  };
}

/** Where a group is while it does something by itself. */
function placeNow({ timeline, state, places }: WallInput): Machine | undefined {
  const item = timeline.items[state.itemIndex];
  const isUnderWay = state.status === 'running' || state.status === 'paused';
  return item && isUnderWay ? places?.get(item.itemId) : undefined;
}

/** As the school has it: phase by phase, or one sentence where breath is natural. */
function breathOf(exercise: Exercise, option: Option, plan: Plan): string[] {
  const school = rulesOf(plan.school);
  if (school.defaults.breath === 'natural') {
    return [schoolWords(exercise, option, school).breath];
  }
  return exercise.breath.phases.map(({ on, doing }) => `${on === 'free' ? '' : `${on}: `}${doing}`);
}

function versionsAt(
  now: NowView,
  exercise: Exercise,
  { plan, catalogue, options }: Pick<WallInput, 'plan' | 'catalogue' | 'options'>,
): WallVersion[] {
  const planned = itemsOf(plan).find(({ id }) => id === now.item.itemId);
  const cued = options.versions.get(now.item.itemId) ?? [];
  if (cued.length === 0 || (planned?.kind === 'exercise' && planned.variants)) {
    const number = now.part?.variant ?? now.item.option ?? exercise.standard;
    const option = optionOf(exercise, number);
    return [{ words: option.name, drawn: { option, view: exercise.view } }];
  }
  return cued.map(({ choice }) => versionOf(choice, exercise, catalogue));
}

function versionOf(choice: Choice, exercise: Exercise, catalogue: Catalogue): WallVersion {
  if (choice.kind === 'rest') return { words: versionTitle(undefined, choice) };
  const target = choice.kind === 'swap' ? catalogue.require(choice.exercise) : exercise;
  const option = optionOf(target, choice.option);
  const aids = choice.how?.aids ?? [];
  return {
    words: versionTitle(undefined, choice, target),
    drawn: { option: aidedOption(option, aids) ?? option, view: viewWith(target.view, aids) },
  };
}

const heldIn = (props: readonly PropNeed[]) =>
  props.filter(({ inAll }) => inAll > 0).map(({ prop }) => PROP_WORDS[prop]);

/** What is needed next and not in use now. */
function fetchFor(props: readonly PropNeed[], nowId: string, nextId: string): string[] {
  const isHeld = ({ spans }: PropNeed, id: string) => spans.some(({ itemId }) => itemId === id);
  return props
    .filter((need) => isHeld(need, nextId) && !isHeld(need, nowId))
    .map(({ prop }) => PROP_WORDS[prop]);
}
