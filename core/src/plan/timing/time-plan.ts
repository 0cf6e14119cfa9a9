import { effortOf } from '../../body/load/option-load.ts';
import type { Catalogue } from '../../movement/catalogue.ts';
import { optionOf, type Exercise, type Option, tempoOf } from '../../movement/exercise.ts';
import { gearAfter, gearFor } from '../../movement/gear.ts';
import type { Position } from '../../movement/vocabulary.ts';
import {
  offeredOptions,
  type ExerciseItem,
  type PauseItem,
  type Plan,
  type TeachingStyle,
} from '../plan.ts';
import type { SchoolRules } from '../school.ts';
import { rulesOf } from '../schools.ts';
import { doseOf, shownOption } from '../usual.ts';
import { variantsOf, type DoneVariant } from '../variants.ts';
import { GEAR_SECONDS, type GearSeconds } from './gear-seconds.ts';
import { likelyRange } from './likely-range.ts';
import { SET_UP, SPREAD, TEACHING, TEACHING_SPEED, STEADY_PACE, type Pace } from './pace.ts';
import { machineChanges, setUpBetween, type Stance } from './set-up.ts';
import type { TimedItem, TimedPart, Timeline } from './timeline.ts';
import { workParts, type LoosePart } from './work.ts';

export interface TimingContext {
  pace?: Pace;
  /** Exercises that the group knows; left out when nothing is known of the group. */
  familiar?: ReadonlySet<string>;
  /** What each change of a machine takes here; common practice when left out. */
  gearSeconds?: GearSeconds;
}

/** What carries over from one item to the next while the class is laid out. */
interface Walk {
  atS: number;
  school: SchoolRules;
  stance?: Stance;
  met: Set<Position>;
  done: Set<string>;
  /** The last change by the clock: the next set-up and words happen inside it. */
  openChange?: { item: TimedItem; part: TimedPart };
}

/**
 * Lays a plan out in time: the start and end of every part of every item, by side, with a reason each.
 * The plan must have passed `checkPlan`. Pure: the same input gives the same seconds.
 */
export function timePlan(plan: Plan, catalogue: Catalogue, context: TimingContext = {}): Timeline {
  const walk: Walk = { atS: 0, school: rulesOf(plan.school), met: new Set(), done: new Set() };
  const laidOut = plan.segments.map((segment) => ({
    segment,
    items: segment.items.map((item) =>
      item.kind === 'pause'
        ? layOutPause(item, segment.id, walk)
        : layOutExercise(item, segment.id, catalogue, context, walk),
    ),
  }));
  let segmentStartS = 0;
  const segments = laidOut.map(({ segment, items }) => {
    const startS = items[0]?.startS ?? segmentStartS;
    const durationS = items.reduce((sum, item) => sum + item.durationS, 0);
    segmentStartS = startS + durationS;
    return { segmentId: segment.id, name: segment.name, startS, durationS, items };
  });
  const items = segments.flatMap((segment) => segment.items);
  return {
    totalS: walk.atS,
    targetS: plan.targetS,
    overS: walk.atS - plan.targetS,
    likely: likelyRange(items, walk.atS),
    segments,
    items,
  };
}

function layOutPause(item: PauseItem, segmentId: string, walk: Walk): TimedItem {
  walk.openChange = undefined;
  return place(walk, {
    itemId: item.id,
    segmentId,
    kind: 'pause',
    name: item.label,
    moves: [],
    effort: 0,
    spineLoad: 0,
    parts: [
      {
        kind: 'pause',
        startS: 0,
        durationS: item.durationS,
        reason: `${item.durationS} s as set`,
        source: 'set in the plan',
        spread: SPREAD.clocked,
      },
    ],
  });
}

function layOutExercise(
  item: ExerciseItem,
  segmentId: string,
  catalogue: Catalogue,
  context: TimingContext,
  walk: Walk,
): TimedItem {
  const exercise = catalogue.require(item.exercise);
  const option = optionOf(exercise, shownOption(item, exercise, walk.school));
  const pace = context.pace ?? STEADY_PACE;
  const dose = doseOf(item, exercise, walk.school);
  const teaching = teachingStyle(item, exercise, context, walk);
  const stance: Stance = {
    exercise: exercise.slug,
    position: option.position ?? exercise.position,
    props: option.props.filter((use) => !use.optional),
    gear: gearAfter(walk.stance?.gear, gearFor(option, item.gear)),
  };
  const before = [
    ...setUp(walk, stance, exercise, context),
    ...spokenBefore(item, exercise, teaching, pace, walk),
  ];
  absorbIntoChange(walk, before);
  const doing = { tempo: tempoOf(exercise, option), position: stance.position, teaching, pace };
  const variants = variantsOf(item, exercise, walk.school);
  const work =
    variants.length > 0
      ? variantParts(variants, exercise, item, doing, stance, context)
      : workParts({ ...doing, dose });
  const parts = [...before, ...work, ...spokenOver(item, exercise, teaching, pace), ...rest(item)];
  walk.stance = { ...stance, position: exercise.endPosition ?? stance.position };
  walk.met.add(stance.position).add(walk.stance.position);
  walk.done.add(exercise.slug);
  const timed = place(walk, {
    itemId: item.id,
    segmentId,
    kind: 'exercise',
    name: exercise.name,
    exercise: exercise.slug,
    option: option.number,
    position: stance.position,
    endPosition: walk.stance.position,
    ...bodyOf(exercise, option),
    parts,
  });
  const last = timed.parts.at(-1);
  walk.openChange =
    dose.kind === 'timed' && last?.kind === 'rest' ? { item: timed, part: last } : undefined;
  return timed;
}

/** Takes the seconds of the coming set-up and words out of the change that the clock gives. */
function absorbIntoChange(walk: Walk, before: readonly LoosePart[]): void {
  const change = walk.openChange;
  if (!change) return;
  const needed = before.reduce((sum, part) => sum + part.durationS, 0);
  const taken = Math.min(change.part.durationS, needed);
  change.part.durationS -= taken;
  change.item.durationS -= taken;
  walk.atS -= taken;
  if (change.part.durationS === 0) change.item.parts.pop();
}

/** The way up is done once, in passing: it is no work of the class, however much it asks. */
const IN_PASSING = 1;

function bodyOf(exercise: Exercise, option: Option) {
  return {
    moves: option.moves ?? exercise.moves,
    effort:
      exercise.closing === 'way-up' ? Math.min(IN_PASSING, effortOf(option)) : effortOf(option),
    spineLoad: option.spineLoad ?? exercise.spineLoad,
  };
}

/** Gives every part its start and moves the clock on; parts that take no time fall away. */
function place(walk: Walk, item: Omit<TimedItem, 'startS' | 'durationS'>): TimedItem {
  const startS = walk.atS;
  const parts: TimedPart[] = [];
  for (const part of item.parts) {
    if (part.durationS <= 0) continue;
    part.startS = walk.atS;
    walk.atS += part.durationS;
    parts.push(part);
  }
  return { ...item, parts, startS, durationS: walk.atS - startS };
}

function setUp(
  walk: Walk,
  stance: Stance,
  exercise: Exercise,
  { pace = STEADY_PACE, gearSeconds }: TimingContext,
): LoosePart[] {
  const cost = setUpBetween(walk.stance, stance, walk.met, exercise.arrangeS, gearSeconds);
  return [
    {
      kind: 'set-up',
      startS: 0,
      durationS: Math.round(cost.seconds * pace.setUpFactor),
      reason: cost.reason,
      source: pace.setUpFactor === 1 ? 'common practice' : 'your pace',
      spread: SPREAD.setUp,
    },
  ];
}

function teachingStyle(
  item: ExerciseItem,
  exercise: Exercise,
  context: TimingContext,
  walk: Walk,
): TeachingStyle {
  if (item.teaching) return item.teaching;
  if (walk.done.has(exercise.slug)) return 'none';
  const isNew = context.familiar && !context.familiar.has(exercise.slug);
  return isNew ? 'full' : 'brief';
}

/** Words before the first repetition. */
function spokenBefore(
  item: ExerciseItem,
  exercise: Exercise,
  teaching: TeachingStyle,
  pace: Pace,
  walk: Walk,
): LoosePart[] {
  const several = offeredOptions(item, exercise).length > 1;
  const { seconds, reason } = wordsFor(exercise, teaching, several, walk.done.has(exercise.slug));
  const factor = TEACHING_SPEED[pace.teaching] * pace.teachingFactor;
  return [
    {
      kind: 'teaching',
      startS: 0,
      durationS: Math.round(seconds * factor),
      reason: factor === 1 ? reason : `${reason}, at your ${pace.teaching} pace`,
      source: factor === 1 ? 'common practice' : 'your pace',
      spread: SPREAD.teaching,
    },
  ];
}

function wordsFor(
  exercise: Exercise,
  teaching: TeachingStyle,
  several: boolean,
  isRepeat: boolean,
): { seconds: number; reason: string } {
  if (teaching === 'none') {
    return isRepeat
      ? { seconds: TEACHING.repeatS, reason: 'done before in this class' }
      : { seconds: 0, reason: 'no words' };
  }
  if (teaching === 'full') {
    return several
      ? { seconds: TEACHING.fullLadderS, reason: 'new to this group, every option shown' }
      : { seconds: TEACHING.fullOneOptionS, reason: 'new to this group, one way' };
  }
  if (exercise.tempo === 'hold') return { seconds: TEACHING.stretchS, reason: 'a hold, few words' };
  return several
    ? { seconds: TEACHING.briefWithOptionsS, reason: 'known, with its options' }
    : { seconds: TEACHING.briefOneOptionS, reason: 'known, one way' };
}

/** Options spoken while people move; a fully taught ladder has been shown already. */
function spokenOver(
  item: ExerciseItem,
  exercise: Exercise,
  teaching: TeachingStyle,
  pace: Pace,
): LoosePart[] {
  const further = offeredOptions(item, exercise).length - 2;
  if (teaching !== 'brief' || further <= 0 || exercise.tempo === 'hold') return [];
  const factor = TEACHING_SPEED[pace.teaching] * pace.teachingFactor;
  return [
    {
      kind: 'options',
      startS: 0,
      durationS: Math.round(further * TEACHING.furtherOptionS * factor),
      reason: `${further} further ${further === 1 ? 'option' : 'options'} spoken over the set`,
      source: factor === 1 ? 'common practice' : 'your pace',
      spread: SPREAD.teaching,
    },
  ];
}

/** Each variant's work, and what is changed on the way to it; the stance is left as the last one leaves it. */
function variantParts(
  variants: readonly DoneVariant[],
  exercise: Exercise,
  item: ExerciseItem,
  doing: Omit<Parameters<typeof workParts>[0], 'dose'>,
  stance: Stance,
  { pace = STEADY_PACE, gearSeconds }: TimingContext,
): LoosePart[] {
  return variants.flatMap(({ option, dose }, index) => {
    const gear = gearAfter(stance.gear, gearFor(option, item.gear));
    const changes = machineChanges(stance.gear, gear, gearSeconds ?? GEAR_SECONDS);
    stance.gear = gear;
    const changedS = changes.reduce((sum, each) => sum + each.seconds, 0);
    const seconds = SET_UP.betweenVariantsS + changedS;
    const words = [
      `to ${option.name} ${SET_UP.betweenVariantsS} s`,
      ...changes.map(({ reason }) => reason),
    ];
    const change: LoosePart = {
      kind: 'set-up',
      startS: 0,
      durationS: Math.round(seconds * pace.setUpFactor),
      reason: words.join('; '),
      source: pace.setUpFactor === 1 ? 'common practice' : 'your pace',
      spread: SPREAD.setUp,
    };
    // What was taught at the first is only recalled at the others.
    const teaching = index > 0 && doing.teaching === 'full' ? 'brief' : doing.teaching;
    const work = workParts({ ...doing, tempo: tempoOf(exercise, option), dose, teaching });
    for (const part of work) part.variant = option.number;
    return index === 0 ? work : [change, ...work];
  });
}

function rest(item: ExerciseItem): LoosePart[] {
  return [
    {
      kind: 'rest',
      startS: 0,
      durationS: item.restS,
      reason: `${item.restS} s of rest as set`,
      source: 'set in the plan',
      spread: SPREAD.clocked,
    },
  ];
}
