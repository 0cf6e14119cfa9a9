import { effortOf } from '../../body/load/option-load.ts';
import type { Catalogue } from '../../movement/catalogue.ts';
import { movesOf, type Option } from '../../movement/exercise.ts';
import type { Position } from '../../movement/vocabulary.ts';
import { occurrencesOf, type Pass } from '../occurrences.ts';
import type { PauseItem, Plan } from '../plan.ts';
import { rulesOf } from '../schools.ts';
import { breathingOf, kindOfPace } from './breathing.ts';
import { GEAR_SECONDS, type GearSeconds } from './gear-seconds.ts';
import { likelyRange } from './likely-range.ts';
import { paceIn, SET_UP, STEADY_PACE, talkFactor, type Pace } from './pace.ts';
import { prepareItems, type Prepared } from './prepared.ts';
import { isTwin, machineChanges, WITHIN_REACH, setUpBetween, type Nearby } from './set-up.ts';
import type { TimedItem, TimedPart, Timeline } from './timeline.ts';
import { firstMoreS, wordsBefore, type Telling } from './words-before.ts';
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
  plan: Plan;
  pace: Pace;
  context: TimingContext;
  /** Every time that an exercise is done, and how many of them are laid out. */
  prepared: readonly Prepared[];
  index: number;
  met: Set<Position>;
  done: Set<string>;
  /** The last change by the clock: the next set-up and words happen inside it. */
  openChange?: { item: TimedItem; part: TimedPart } | undefined;
}

/**
 * Lays a plan out in time: the start and end of every part of every item, by side, with a reason each.
 * The plan must have passed `checkPlan`. Pure: the same input gives the same seconds.
 */
export function timePlan(plan: Plan, catalogue: Catalogue, context: TimingContext = {}): Timeline {
  const done = occurrencesOf(plan);
  const walk: Walk = {
    atS: 0,
    plan,
    pace: paceIn(context.pace ?? STEADY_PACE, plan.style),
    context,
    prepared: prepareItems(
      done.flatMap(({ occurrences }) => occurrences),
      rulesOf(plan.school),
      catalogue,
    ),
    index: 0,
    met: new Set(),
    done: new Set(),
  };
  const laidOut = done.map(({ segment, occurrences }) => ({
    segment,
    items: occurrences.map(({ id, item, pass }) => {
      const of: Named = { itemId: item.id, occurrenceId: id, segmentId: segment.id };
      if (pass) of.pass = passOf(pass);
      return item.kind === 'pause' ? layOutPause(item, of, walk) : layOutExercise(of, walk);
    }),
  }));
  dropChange(walk);
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
    likely: likelyRange(items, walk.atS, walk.pace.classes),
    segments,
    items,
  };
}

/** Whose time it is. */
type Named = Pick<TimedItem, 'itemId' | 'occurrenceId' | 'segmentId' | 'pass'>;

function passOf({ bracket, number, of, side }: Pass): NonNullable<TimedItem['pass']> {
  return { bracketId: bracket.id, number, of, ...(side ? { side } : {}) };
}

function layOutPause(item: PauseItem, named: Named, walk: Walk): TimedItem {
  dropChange(walk);
  const { itemId, occurrenceId, segmentId, pass } = named;
  const timed: TimedItem = {
    itemId,
    occurrenceId,
    segmentId,
    kind: 'pause',
    name: item.label,
    props: [],
    moves: [],
    effort: 0,
    spineLoad: 0,
    startS: 0,
    durationS: 0,
    parts: [
      {
        kind: 'pause',
        startS: 0,
        durationS: item.durationS,
        reason: `${item.durationS} s as set`,
        source: 'set in the plan',
        varies: 'clock',
      },
    ],
  };
  if (pass) timed.pass = pass;
  return place(walk, timed);
}

function layOutExercise(named: Named, walk: Walk): TimedItem {
  const { prepared: all, index, plan } = walk;
  const prepared = all[index];
  if (!prepared) throw new Error('an item that was not prepared');
  const { item, exercise, option, dose, stance } = prepared;
  const nearby: Nearby = {
    before: all.slice(Math.max(0, index - WITHIN_REACH), index).map((each) => each.left),
    behind: all.slice(index + 1, index + 1 + WITHIN_REACH).map((each) => each.stance),
  };
  const telling = tellingOf(prepared, nearby, walk);
  const before = insideChange(walk, prepared, [
    setUp(prepared, nearby, walk),
    spokenBefore(telling, walk.pace),
  ]);
  // Fields that are not always there are set behind: a literal with many spreads costs more than all the rest.
  const timed: TimedItem = {
    itemId: named.itemId,
    occurrenceId: named.occurrenceId,
    segmentId: named.segmentId,
    kind: 'exercise',
    name: exercise.name,
    exercise: exercise.slug,
    option: option.number,
    tempo: kindOfPace(item, exercise, option),
    position: stance.position,
    endPosition: stance.endPosition,
    props: stance.props,
    moves: movesOf(exercise, option),
    effort: effortOf(exercise, option),
    spineLoad: option.spineLoad ?? exercise.spineLoad,
    startS: 0,
    durationS: 0,
    parts: [...before, ...work(prepared, telling, plan, walk), ...rest(item.restS)],
  };
  if (named.pass) timed.pass = named.pass;
  if (stance.side) timed.side = stance.side;
  if (stance.posture) timed.posture = stance.posture;
  place(walk, timed);
  walk.index += 1;
  walk.met.add(stance.position).add(stance.endPosition);
  walk.done.add(exercise.slug);
  const last = timed.parts.at(-1);
  const isByClock = dose.kind === 'timed' && item.restS === 0;
  walk.openChange = isByClock && last?.kind === 'rest' ? { item: timed, part: last } : undefined;
  return timed;
}

/**
 * From one timed set to the next the clock decides: set-up and words happen inside the change and add nothing to it,
 * however long they are. Behind the last set there is no change.
 */
function insideChange(
  walk: Walk,
  { dose }: Prepared,
  before: readonly LoosePart[],
): readonly LoosePart[] {
  if (dose.kind !== 'timed') dropChange(walk);
  const change = walk.openChange;
  if (!change) return before;
  const needed = before.reduce((sum, part) => sum + part.durationS, 0);
  const room = change.part.durationS;
  let leftS = Math.min(room, needed);
  shorten(walk, change, leftS);
  return before.map((part) => {
    const durationS = Math.min(part.durationS, leftS);
    leftS -= durationS;
    return { ...part, durationS, varies: 'clock', reason: `${part.reason}, inside the change` };
  });
}

function dropChange(walk: Walk): void {
  if (walk.openChange) shorten(walk, walk.openChange, walk.openChange.part.durationS);
  walk.openChange = undefined;
}

function shorten(
  walk: Walk,
  { item, part }: { item: TimedItem; part: TimedPart },
  seconds: number,
): void {
  part.durationS -= seconds;
  item.durationS -= seconds;
  walk.atS -= seconds;
  if (part.durationS === 0) item.parts.pop();
}

/** Gives every part its start and moves the clock on; parts that take no time fall away. */
function place(walk: Walk, item: TimedItem): TimedItem {
  item.startS = walk.atS;
  item.parts = item.parts.filter((part) => {
    part.startS = walk.atS;
    walk.atS += Math.max(0, part.durationS);
    return part.durationS > 0;
  });
  item.durationS = walk.atS - item.startS;
  return item;
}

function setUp({ stance }: Prepared, nearby: Nearby, { pace, context }: Walk): LoosePart {
  const { seconds, reason } = setUpBetween(stance, nearby, context.gearSeconds);
  return change(seconds, reason, pace);
}

/** Moving and arranging, at the teacher's own speed. */
function change(seconds: number, reason: string, pace: Pace): LoosePart {
  const factor = talkFactor(pace) * pace.setUpFactor;
  return {
    kind: 'set-up',
    startS: 0,
    durationS: Math.round(seconds * factor),
    reason,
    source: factor === 1 ? 'common practice' : 'your pace',
    varies: 'words',
  };
}

function tellingOf(
  { item, exercise, stance, hasOptions }: Prepared,
  { before }: Nearby,
  { done, met, context }: Walk,
): Telling {
  const isAgain = done.has(exercise.slug) || isTwin(before.at(-1), stance);
  const isNew = context.familiar !== undefined && !context.familiar.has(exercise.slug);
  return {
    teaching: item.teaching ?? (isNew && !isAgain ? 'full' : 'brief'),
    explainS: item.explainS,
    isAgain,
    isHold: stance.isHold,
    hasOptions,
    isNewPosition: !met.has(stance.position),
  };
}

function spokenBefore(telling: Telling, pace: Pace): LoosePart {
  const { seconds, reason, isStated } = wordsBefore(telling);
  const factor = isStated ? 1 : talkFactor(pace) * pace.teachingFactor;
  const common = factor === 1 ? 'common practice' : 'your pace';
  return {
    kind: 'teaching',
    startS: 0,
    durationS: Math.round(seconds * factor),
    reason: factor === 1 ? reason : `${reason}, at your ${pace.teaching} pace`,
    source: isStated ? 'set in the plan' : common,
    varies: isStated ? 'clock' : 'words',
  };
}

/** The work of an item; between variants, what is changed on the way. */
function work(prepared: Prepared, telling: Telling, plan: Plan, walk: Walk): LoosePart[] {
  const { item, exercise, option, dose, variants, stance } = prepared;
  const { pace, context } = walk;
  const partsOf = (done: Option, how: typeof dose, moreS: number) =>
    workParts({
      dose: how,
      tempo: kindOfPace(item, exercise, done),
      position: stance.position,
      around: done,
      breathing: breathingOf(item, exercise, done, plan.style),
      firstMoreS: moreS,
      pace,
    });
  if (variants.length === 0) return partsOf(option, dose, firstMoreS(telling));
  return variants.flatMap((variant, index) => {
    // What was taught at the first is only recalled at the others.
    const moreS = index === 0 ? firstMoreS(telling) : 0;
    const parts = partsOf(variant.option, variant.dose, moreS).map((part) => ({
      ...part,
      variant: variant.option.number,
    }));
    if (index === 0) return parts;
    const gear = machineChanges(
      variants[index - 1]?.gear,
      variant.gear,
      context.gearSeconds ?? GEAR_SECONDS,
    );
    const seconds = gear.reduce<number>((sum, each) => sum + each.seconds, SET_UP.betweenVariantsS);
    const words = [
      `to ${variant.option.name} ${SET_UP.betweenVariantsS} s`,
      ...gear.map(({ reason }) => reason),
    ];
    return [change(seconds, words.join('; '), pace), ...parts];
  });
}

function rest(restS: number): LoosePart[] {
  return [
    {
      kind: 'rest',
      startS: 0,
      durationS: restS,
      reason: `${restS} s of rest as set`,
      source: 'set in the plan',
      varies: 'clock',
    },
  ];
}
