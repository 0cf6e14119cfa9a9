import { PROP_WORDS } from '../../movement/words.ts';
import type { PropUse } from '../../movement/exercise.ts';
import { changedParts, springWords, type Gear, type GearPart } from '../../movement/gear.ts';
import type { Position, Posture } from '../../movement/vocabulary.ts';
import { GEAR_SECONDS, type GearSeconds } from './gear-seconds.ts';
import { SET_UP } from './pace.ts';
import type { Stance } from './stance.ts';

/** A prop that was in use this many items ago, in the same position, is still at hand. Common practice. */
export const WITHIN_REACH = 3;

/** What stands near an item: the stances of the items before it, nearest last, and behind it, nearest first. */
export interface Nearby {
  before: readonly Stance[];
  behind: readonly Stance[];
}

export interface Cost {
  seconds: number;
  reason: string;
}

const ALONE: Nearby = { before: [], behind: [] };

/**
 * Seconds from what came before to an item: moving, arranging limbs, props fetched, moved and put down. What doesn't
 * change costs nothing. `gearSeconds` is what each change of a machine takes.
 */
export function setUpBetween(
  after: Stance,
  { before: earlier, behind }: Nearby = ALONE,
  gearSeconds: GearSeconds = GEAR_SECONDS,
): Cost {
  const before = earlier.at(-1);
  const costs = [
    moveBetween(before, after),
    ...propsTaken(earlier, after),
    ...propsPutDown(before, after, behind),
    ...machineChanges(before?.gear, after.gear, gearSeconds),
  ].filter((cost) => cost.seconds > 0);
  return {
    seconds: costs.reduce((sum, cost) => sum + cost.seconds, 0),
    reason: costs.map((cost) => cost.reason).join('; ') || 'nothing to arrange',
  };
}

/** The other side of the same, right behind it. */
export function isTwin(before: Stance | undefined, after: Stance): boolean {
  return (
    before?.exercise === after.exercise &&
    before.option === after.option &&
    before.side !== undefined &&
    after.side !== undefined &&
    before.side !== after.side
  );
}

const ON_A_SIDE: ReadonlySet<Position> = new Set(['side-lying', 'side-support'] as const);

/** From the last of a series on one side to the first on the other. */
function turnsOver(before: Stance, after: Stance): boolean {
  return (
    ON_A_SIDE.has(before.endPosition) &&
    ON_A_SIDE.has(after.position) &&
    before.side !== undefined &&
    after.side !== undefined &&
    before.side !== after.side
  );
}

function moveBetween(before: Stance | undefined, after: Stance): Cost {
  if (!before)
    return cost('arranging the first shape', Math.max(SET_UP.firstShapeS, after.arrangeS ?? 0));
  if (after.isWayUp) {
    const isOverCushions = before.props.some(({ prop }) => prop === 'cushion');
    return cost('up from the cushions', isOverCushions ? SET_UP.overCushionsS : 0);
  }
  if (after.keepsShape && before.endPosition === after.position) return cost('', 0);
  if (isTwin(before, after)) return cost('to the other side', SET_UP.twinS);
  if (turnsOver(before, after)) return cost('rolling over to the other side', SET_UP.rollOverS);
  const other = changeOfPosture(before, after);
  if (other) return other;
  if (before.endPosition === after.position) return withinPosition(before, after);
  return changeOfPosition(before.endPosition, after);
}

/** Within a position, or between two that are one shape higher or lower: what people truly do. */
function changeOfPosture(before: Stance, after: Stance): Cost | undefined {
  // Where a movement travels, its end is another shape than its beginning.
  const [from, to] = [before.position === before.endPosition && before.posture, after.posture];
  if (!from || !to || from === to) return undefined;
  const seconds = POSTURE_CHANGES.get(pairOf(from, to));
  if (seconds === undefined) return undefined;
  const isSamePosition = before.endPosition === after.position;
  if (!isSamePosition && !ACROSS.has(pairOf(from, to))) return undefined;
  return cost(`${from} to ${to}`, Math.max(seconds, after.arrangeS ?? 0));
}

function withinPosition(before: Stance, after: Stance): Cost {
  if (before.exercise === after.exercise) {
    return before.option === after.option
      ? cost('', 0)
      : cost('another option', SET_UP.otherOptionS);
  }
  const usual = after.isHold ? SET_UP.samePositionHoldS : SET_UP.samePositionS;
  return cost(`rearranging, ${after.position}`, after.arrangeS ?? usual);
}

function changeOfPosition(from: Position, after: Stance): Cost {
  const words = `${from} to ${after.position}`;
  const arrangeS = after.arrangeS ?? 0;
  if (from === 'side-lying' && after.position === 'supine') {
    const shape = Math.max(SET_UP.samePositionS, arrangeS);
    return cost(`${words} and arranging`, SET_UP.sideToBackS + shape);
  }
  return cost(words, Math.max(secondsToMove(from, after.position), arrangeS));
}

/** The same shape risen or lowered. */
const RISEN = pairs([
  ['side-lying', 'side-support'],
  ['quadruped', 'plank'],
]);

const NEAR = pairs([
  ['kneeling', 'quadruped'],
  ['kneeling', 'seated'],
  ['kneeling', 'standing'],
  ['kneeling', 'side-support'],
  ['kneeling', 'plank'],
  ['seated', 'quadruped'],
  ['seated', 'side-lying'],
  ['prone', 'quadruped'],
  ['prone', 'plank'],
  ['standing', 'plank'],
]);

/** Far from each other, and lined up before work can begin. */
const LINED_UP = pairs([
  ['supine', 'side-lying'],
  ['supine', 'prone'],
  ['supine', 'quadruped'],
  ['supine', 'standing'],
  ['prone', 'side-lying'],
  ['prone', 'standing'],
]);

const pairOf = (one: Posture, other: Posture) => [one, other].toSorted().join(' to ');

/** One shape risen or lowered, though it counts as two positions. */
const ACROSS: ReadonlySet<string> = new Set([pairOf('heel-sitting', 'rest kneeling')]);

const FLOOR_SEATS = ['long sitting', 'knees bent', 'cross-legged', 'side-sitting'] as const;

/** Seconds from one posture to another; those that are not here are a change as any within their position. */
const POSTURE_CHANGES: ReadonlyMap<string, number> = new Map([
  [pairOf('on the hands', 'on the forearms'), SET_UP.risenS],
  [pairOf('rest kneeling', 'on the hands'), SET_UP.risenS],
  [pairOf('rest kneeling', 'on the forearms'), SET_UP.risenS],
  [pairOf('heel-sitting', 'rest kneeling'), SET_UP.risenS],
  [pairOf('heel-sitting', 'tall kneeling'), SET_UP.risenS],
  ...FLOOR_SEATS.map((seat) => [pairOf(seat, 'on a seat'), SET_UP.nearS] as const),
]);

function pairs(list: readonly (readonly [Position, Position])[]): ReadonlySet<string> {
  return new Set(list.flatMap(([one, other]) => [`${one} ${other}`, `${other} ${one}`]));
}

/** Seconds to change position; the table is common practice. */
function secondsToMove(from: Position, to: Position): number {
  const change = `${from} ${to}`;
  if (RISEN.has(change)) return SET_UP.risenS;
  if (NEAR.has(change)) return SET_UP.nearS;
  return LINED_UP.has(change) ? SET_UP.linedUpS : SET_UP.fullS;
}

/** What is taken up. What was in use a moment ago, in this position, is still where it was. */
function propsTaken(earlier: readonly Stance[], after: Stance): Cost[] {
  if (after.props.length === 0) return [];
  const held = earlier.at(-1)?.props ?? [];
  const atHand = [...held, ...stillHere(earlier, after.position).flatMap(({ props }) => props)];
  return after.props.flatMap((use) => {
    if (atHand.some((other) => sameUse(other, use))) return [];
    const what = PROP_WORDS[use.prop];
    if (use.prop === 'cushion' && use.place === 'under shoulder blades') {
      return cost(`${what} placed ${use.place}`, SET_UP.overCushionsS);
    }
    return atHand.some(({ prop }) => prop === use.prop)
      ? cost(`${what} moved ${use.place}`, SET_UP.propMovedS)
      : cost(`${what} placed ${use.place}`, SET_UP.propPlacedS);
  });
}

/** The last items that were done in this position, without another between. */
function stillHere(earlier: readonly Stance[], position: Position): Stance[] {
  const last = earlier.slice(-WITHIN_REACH);
  const elsewhere = last.findLastIndex((stance) => stance.endPosition !== position);
  return last.slice(elsewhere + 1);
}

/** What is put down; not what is used again in a moment, and not where everybody moves in any case. */
function propsPutDown(
  before: Stance | undefined,
  after: Stance,
  behind: readonly Stance[],
): Cost[] {
  if (!before || after.isWayUp || before.endPosition !== after.position) return [];
  if (before.props.length === 0) return [];
  const next = behind.slice(0, WITHIN_REACH);
  const elsewhere = next.findIndex(({ position }) => position !== after.position);
  const soon = elsewhere < 0 ? next : next.slice(0, elsewhere);
  return before.props.flatMap(({ prop }) => {
    const isUsed = [after, ...soon].some(({ props }) => props.some((use) => use.prop === prop));
    return isUsed ? [] : cost(`${PROP_WORDS[prop]} put down`, SET_UP.propPutDownS);
  });
}

function cost(what: string, seconds: number): Cost {
  return { seconds, reason: `${what} ${seconds} s` };
}

/** What everyone changes on the machine from one gear to the next, each with its seconds. */
export function machineChanges(
  before: Gear | undefined,
  after: Gear | undefined,
  seconds: GearSeconds,
): Cost[] {
  return changedParts(before, after).map((part) => ({
    seconds: seconds[part],
    reason: `${sayChange(part, after ?? {})} ${seconds[part]} s`,
  }));
}

/** A change by what it leads to. */
function sayChange(part: GearPart, { springs, bar, headrest, loops, box }: Gear): string {
  switch (part) {
    case 'springs':
      return `springs to ${springWords(springs)}`;
    case 'bar':
      return `bar ${bar ?? ''}`;
    case 'headrest':
      return `headrest ${headrest ?? ''}`;
    case 'loops':
      return !loops || loops === 'none' ? 'loops away' : `${loops} loops`;
    case 'box':
      return !box || box === 'none' ? 'box off' : `${box} box on`;
    case 'facing':
      return 'turning round';
  }
}

function sameUse(a: PropUse, b: PropUse): boolean {
  return a.prop === b.prop && a.place === b.place && a.count === b.count;
}
