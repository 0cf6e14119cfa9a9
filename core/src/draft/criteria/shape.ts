import { USED_COUNTS, USED_SECONDS, doseAmount } from '../../movement/dose.ts';
import { exerciseItemsOf } from '../../plan/plan.ts';
import { secondsOf, type TimedItem } from '../../plan/timing/timeline.ts';
import { doseOf } from '../../plan/usual.ts';
import { criterion, LYING, percent, rounded, type Criterion, type Drafted } from './drafted.ts';
import { aloneOnItsSetting } from './machine.ts';

interface Most {
  density: readonly [least: number, most: number];
  changes: number;
  turnsOver: number;
  setUp: number;
}

/** By kind of class: exercises and changes of position in ten minutes, turns from side to side, set-up. Common practice. */
const MOST: Record<Drafted['type'], Most> = {
  mat: { density: [4, 7], changes: 3.4, turnsOver: 1, setUp: 0.2 },
  sequence: { density: [4, 9], changes: 6, turnsOver: 4, setUp: 0.2 },
  timed: { density: [4, 9], changes: 5, turnsOver: 4, setUp: 0.2 },
  machine: { density: [2.6, 5.2], changes: 2.4, turnsOver: 3, setUp: 0.24 },
};
const TEN_MINUTES = 600;
const SHORT_MAT_S = 2400;
const SHORT_DENSITY = 8;
const HALF_AN_HOUR_S = 1800;
const OFF = 0.05;
/** Beats of a hundred, and the half of it. */
const BEATS = [50, 100];

/** How long, how full, how often everybody moves somewhere else, in which numbers. Common practice. */
export function shapeCriteria(drafted: Drafted): Criterion[] {
  const { plan, timeline, type, done, worked } = drafted;
  const { density, changes: mostChanges, turnsOver: mostTurns, setUp } = MOST[type];
  const tens = timeline.totalS / TEN_MINUTES;
  // By the clock each round is an interval more.
  const each = (type === 'timed' ? done.length : exerciseItemsOf(plan).length) / tens;
  const most = type === 'mat' && timeline.totalS < SHORT_MAT_S ? SHORT_DENSITY : density[1];
  const changes = done.slice(1).filter(({ position }, at) => position !== done[at]?.endPosition);
  const straightUp = done.slice(1).filter(({ position }, at) => {
    const before = done[at]?.endPosition;
    return position === 'standing' && before !== undefined && LYING.includes(before);
  });
  const places = new Set(done.map(({ position }) => position)).size;
  const turns = turnsOver(done);
  const odd = oddDoses(drafted);
  const long = done.reduce((a, b) => (b.durationS > a.durationS ? b : a));
  const setUpS = timeline.items.reduce((sum, item) => sum + secondsOf(item, 'set-up'), 0);
  const alone = done.filter((_, at) => isFarOff(done, at));
  return [
    criterion('length', Math.abs(timeline.overS) <= OFF * plan.targetS, `${timeline.overS} s over`),
    criterion('density', each >= density[0] && each <= most, `${rounded(each)} in 10 min`),
    criterion(
      'changes',
      changes.length / tens <= mostChanges,
      `${rounded(changes.length / tens)} in 10 min`,
    ),
    criterion(
      'places',
      type === 'machine' || places >= placesWanted(plan.targetS),
      `${places} places`,
    ),
    criterion(
      'straight up',
      straightUp.length <= 1,
      `${straightUp.length} times lying to standing`,
      straightUp.map(({ exercise }) => exercise),
    ),
    criterion(
      'none far off',
      alone.length === 0,
      alone.map(({ name }) => name).join(', '),
      alone.map(({ exercise }) => exercise),
    ),
    criterion('turns over', turns <= mostTurns, `${turns} times`),
    criterion('doses', odd.length === 0, odd.join(', ')),
    criterion(
      'no long part',
      long.durationS <= Math.max(180, 0.13 * timeline.totalS),
      `${long.name} ${long.durationS} s`,
      [long.exercise],
    ),
    criterion(
      'set-up',
      setUpS / timeline.totalS <= setUp,
      percent(setUpS / timeline.totalS),
      type === 'machine' ? [aloneOnItsSetting(worked)] : [],
    ),
  ];
}

const placesWanted = (targetS: number) =>
  targetS >= SHORT_MAT_S ? 4 : targetS >= HALF_AN_HOUR_S ? 3 : 1;

/** Standing between two that lie, or on the front between two on the back. */
function isFarOff(done: readonly TimedItem[], at: number): boolean {
  const [before, { position }, after] = [done[at - 1]?.endPosition, done[at] ?? {}, done[at + 1]];
  if (!before || !after?.position) return false;
  if (position === 'standing') return LYING.includes(before) && LYING.includes(after.position);
  return position === 'prone' && before === 'supine' && after.position === 'supine';
}

/** Times that everybody rolls from one side to the other, lying on it. */
function turnsOver(done: readonly TimedItem[]): number {
  const sides = done.flatMap((item) =>
    item.position === 'side-lying'
      ? item.parts.flatMap(({ side }) => (side === 'left' || side === 'right' ? [side] : []))
      : [],
  );
  return sides.filter((side, at) => at > 0 && side !== sides[at - 1]).length;
}

function oddDoses({ plan, school, catalogue }: Drafted): string[] {
  return exerciseItemsOf(plan).flatMap((item) => {
    const dose = doseOf(item, catalogue.require(item.exercise), school);
    // The way up lasts as long as it does.
    if (dose.kind === 'timed' || catalogue.require(item.exercise).closing === 'way-up') return [];
    const amount = doseAmount(dose);
    const inSeconds = dose.kind === 'hold' || dose.kind === 'free';
    const used = inSeconds ? USED_SECONDS : [1, 2, ...USED_COUNTS, ...BEATS];
    return used.includes(amount) ? [] : [`${item.exercise} ${amount}`];
  });
}
