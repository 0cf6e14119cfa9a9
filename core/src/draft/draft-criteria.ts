import type { Catalogue } from '../movement/catalogue.ts';
import { USED_COUNTS, USED_SECONDS, doseAmount } from '../movement/dose.ts';
import type { Position } from '../movement/vocabulary.ts';
import { exerciseItemsOf, type Plan } from '../plan/plan.ts';
import { rulesOf } from '../plan/schools.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { secondsOf, type TimedItem } from '../plan/timing/timeline.ts';
import { doseOf } from '../plan/usual.ts';
import { PARTS_FIRST } from './parts-first.ts';
import { rungsTo } from './rungs.ts';
import type { DraftWishes } from './wishes.ts';

/** One thing that a drafted class must be, and what was found of it. */
export interface Criterion {
  id: string;
  isMet: boolean;
  found: string;
}

type Kind = 'mat' | 'machine' | 'timed' | 'sequence';

function kindOf(plan: Plan): Kind {
  if (plan.machine === 'reformer') return 'machine';
  const school = rulesOf(plan.school);
  if (school.defaults.dose.kind === 'timed') return 'timed';
  return school.rules['classic-order'] === 'must' ? 'sequence' : 'mat';
}

/** Of these, by kind of class: exercises and changes of position in ten minutes, steps of effort. Common practice. */
const MOST: Record<Kind, { density: [number, number]; changes: number; step: number }> = {
  mat: { density: [4, 7], changes: 3.4, step: 2.5 },
  sequence: { density: [4, 9], changes: 6, step: 3 },
  timed: { density: [4, 9], changes: 5, step: 3 },
  machine: { density: [2.6, 5.2], changes: 2.4, step: 3 },
};
const TEN_MINUTES = 600;
const SHORT_MAT_S = 2400;
const SHORT_DENSITY = 8;
const LYING: readonly Position[] = ['supine', 'prone', 'side-lying'];

/**
 * What a draft must be, for whoever changes how drafts are made: length, density, changes of position, turns from side to
 * side, doses that are said, arrival, close, effort, parts before wholes, set-up, wishes. Common practice.
 */
export function criteriaOf(plan: Plan, wishes: DraftWishes, catalogue: Catalogue): Criterion[] {
  const timeline = timePlan(plan, catalogue);
  const kind = kindOf(plan);
  const { density, changes, step } = MOST[kind];
  const done = timeline.items.filter(({ kind: of }) => of === 'exercise');
  const tens = timeline.totalS / TEN_MINUTES;
  // By the clock each round is an interval more.
  const each = kind === 'timed' ? done.length : exerciseItemsOf(plan).length;
  const positions = placesOf(done);
  const most = kind === 'mat' && timeline.totalS < SHORT_MAT_S ? SHORT_DENSITY : density[1];
  const soft = (item: TimedItem) => item.effort <= 1 || isRelease(item, catalogue);
  const first = done.find(({ effort }) => effort > 1);
  const closeS = tailOf(done, (item) => isRelease(item, catalogue) || isSlowTurn(item));
  const crest = crestAt(done, timeline.totalS);
  const [steepest, at] = steepestStep(done);
  const setUpS = timeline.items.reduce((sum, item) => sum + secondsOf(item, 'set-up'), 0);
  const last = done.at(-1);
  const said = (value: number, digits = 1) => String(Number(value.toFixed(digits)));
  const isGentle = wishes.effortMost < 2.5 || rulesOf(plan.school).effortCeiling < 4;
  const early = done.filter(({ startS }) => startS < timeline.totalS / 8);
  const earlyMost = kind === 'machine' ? 2.5 : 2;
  return [
    is('length', Math.abs(timeline.overS) <= 0.05 * plan.targetS, `${timeline.overS} s over`),
    is(
      'density',
      each / tens >= density[0] && each / tens <= most,
      `${said(each / tens)} in 10 min`,
    ),
    is(
      'changes',
      positions.changes / tens <= changes,
      `${said(positions.changes / tens)} in 10 min`,
    ),
    is(
      'places',
      kind === 'machine' || positions.places >= placesWanted(plan.targetS),
      `${positions.places} places`,
    ),
    is('straight up', positions.straight <= 1, `${positions.straight} times lying to standing`),
    is(
      'turns over',
      turnsOver(done) <= (kind === 'machine' ? 3 : kind === 'mat' ? 1 : 4),
      `${turnsOver(done)} times`,
    ),
    is('doses', oddDoses(plan, catalogue).length === 0, oddDoses(plan, catalogue).join(', ')),
    ...longest(done, timeline.totalS),
    is(
      'arrives',
      done[0] !== undefined &&
        soft(done[0]) &&
        (first?.startS ?? Infinity) >=
          Math.min(0.04 * timeline.totalS, kind === 'machine' ? 45 : 90),
      `work at ${first?.startS ?? 0} s`,
    ),
    is(
      'early effort',
      early.every(({ effort }) => effort <= earlyMost),
      `${Math.max(0, ...early.map(({ effort }) => effort))} of 5`,
    ),
    is(
      'closes',
      closeS / timeline.totalS >= (kind === 'mat' ? 0.06 : 0.04) &&
        closeS / timeline.totalS <= 0.25,
      `${said((100 * closeS) / timeline.totalS)} %`,
    ),
    is(
      'ends up',
      last?.endPosition !== undefined && !LYING.includes(last.endPosition),
      String(last?.endPosition),
    ),
    is('steps', steepest <= step, `${steepest} at ${at}`),
    is(
      'crest',
      isGentle ||
        crest.effort < 2.5 ||
        (crest.share >= 0.35 && crest.share <= (kind === 'sequence' ? 0.98 : 0.9)),
      `${crest.effort} at ${said(100 * crest.share, 0)} %`,
    ),
    is('something hard', isGentle || crest.effort >= 2.5, `${crest.effort}`),
    is(
      'set-up',
      setUpS / timeline.totalS <= (kind === 'machine' ? 0.24 : 0.2),
      `${said((100 * setUpS) / timeline.totalS)} %`,
    ),
    ...partsFirst(done, kind),
    ...wished(plan, wishes, done, timeline.totalS, catalogue),
    ...machine(done, kind),
  ];
}

const is = (id: string, isMet: boolean, found: string): Criterion => ({ id, isMet, found });

/** A slow turn or side bend lets go as a stretch does. */
const isSlowTurn = ({ effort, moves }: TimedItem) =>
  effort <= 2 && moves.some((move) => move === 'turn' || move === 'side');

const placesWanted = (targetS: number) => (targetS >= SHORT_MAT_S ? 4 : targetS >= 1800 ? 3 : 1);

function isRelease({ exercise }: TimedItem, catalogue: Catalogue): boolean {
  const family = catalogue.get(exercise ?? '')?.family;
  return family === 'release' || family === 'awareness';
}

function placesOf(done: readonly TimedItem[]) {
  let [changes, straight] = [0, 0];
  done.slice(1).forEach(({ position }, index) => {
    const before = done[index]?.endPosition;
    if (position !== before) changes += 1;
    if (position === 'standing' && before !== undefined && LYING.includes(before)) straight += 1;
  });
  return { changes, straight, places: new Set(done.map(({ position }) => position)).size };
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

function oddDoses(plan: Plan, catalogue: Catalogue): string[] {
  const school = rulesOf(plan.school);
  return exerciseItemsOf(plan).flatMap((item) => {
    const dose = doseOf(item, catalogue.require(item.exercise), school);
    // The way up lasts as long as it does.
    if (dose.kind === 'timed' || catalogue.require(item.exercise).closing === 'way-up') return [];
    const amount = doseAmount(dose);
    const inSeconds = dose.kind === 'hold' || dose.kind === 'free';
    const used = inSeconds ? USED_SECONDS : [1, 2, ...USED_COUNTS, 100];
    return used.includes(amount) ? [] : [`${item.exercise} ${amount}`];
  });
}

function longest(done: readonly TimedItem[], totalS: number): Criterion[] {
  const long = done.reduce((a, b) => (b.durationS > a.durationS ? b : a));
  return [
    is(
      'no long part',
      long.durationS <= Math.max(180, 0.13 * totalS),
      `${long.name} ${long.durationS} s`,
    ),
  ];
}

/** Seconds at the end that are all soft. */
function tailOf(done: readonly TimedItem[], isSoft: (item: TimedItem) => boolean): number {
  let seconds = 0;
  for (const item of [...done].reverse()) {
    if (!isSoft(item)) break;
    seconds += item.durationS;
  }
  return seconds;
}

function crestAt(done: readonly TimedItem[], totalS: number) {
  const top = done.reduce((a, b) => (b.effort >= a.effort ? b : a));
  return { effort: top.effort, share: (top.startS + top.durationS / 2) / Math.max(1, totalS) };
}

function steepestStep(done: readonly TimedItem[]): [number, string] {
  return done.slice(1).reduce<[number, string]>(
    ([most, where], item, index) => {
      const by = item.effort - (done[index]?.effort ?? 0);
      return by > most ? [by, item.name] : [most, where];
    },
    [0, ''],
  );
}

function partsFirst(done: readonly TimedItem[], kind: Kind): Criterion[] {
  if (kind !== 'mat') return [];
  const slugs = done.map(({ exercise }) => exercise ?? '');
  const early = PARTS_FIRST.flatMap(({ parts, wholes }) => {
    const at = slugs.findIndex((slug) => wholes.includes(slug));
    const isPrepared = slugs.slice(0, Math.max(0, at)).some((slug) => parts.includes(slug));
    return at < 0 || isPrepared ? [] : [slugs[at] ?? ''];
  });
  return [is('parts first', early.length === 0, early.join(', '))];
}

function wished(
  plan: Plan,
  wishes: DraftWishes,
  done: readonly TimedItem[],
  totalS: number,
  catalogue: Catalogue,
): Criterion[] {
  const found: Criterion[] = [];
  const { climbTo, bodyParts, foundations } = wishes;
  if (climbTo) {
    const slugs = done.map(({ exercise }) => exercise ?? '');
    const goal = slugs.indexOf(climbTo);
    const rungs = new Set(
      slugs.slice(0, goal).filter((slug) => rungsTo(climbTo, catalogue).isRung(slug)),
    );
    const share = (done[goal]?.startS ?? 0) / Math.max(1, totalS);
    found.push(
      is('rungs', rungs.size >= 3, `${rungs.size}`),
      is('top', share >= 0.5 && share <= 0.88, `${Math.round(share * 100)} %`),
      is(
        'a rung close by',
        slugs.slice(Math.max(0, goal - 4), goal).some((slug) => rungs.has(slug)),
        slugs.slice(Math.max(0, goal - 4), goal).join(' '),
      ),
    );
  }
  if (bodyParts.length > 0 || foundations.length > 0) {
    const seconds = done
      .filter(({ exercise }) => {
        const of = catalogue.require(exercise ?? '');
        return (
          bodyParts.some((part) => of.bodyParts.includes(part)) ||
          foundations.some((id) => of.teaches.some(({ foundation }) => foundation === id))
        );
      })
      .reduce((sum, { durationS }) => sum + durationS, 0);
    const share = seconds / Math.max(1, totalS);
    found.push(is('theme', share >= 0.2 && share <= 0.7, `${Math.round(share * 100)} %`));
  }
  if (kindOf(plan) === 'timed') {
    const work = done.filter(({ exercise }) => {
      const family = catalogue.get(exercise ?? '')?.family;
      return family !== 'release' && family !== 'awareness';
    });
    const byClock = work.filter(({ parts }) =>
      parts.some(({ kind: of, varies }) => of === 'work' && varies === 'clock'),
    );
    found.push(
      is(
        'by the clock',
        byClock.length >= 0.75 * work.length,
        `${byClock.length} of ${work.length}`,
      ),
      is(
        'a plank',
        done.some(({ position }) => position === 'plank'),
        '',
      ),
    );
  }
  return found;
}

function machine(done: readonly TimedItem[], kind: Kind): Criterion[] {
  if (kind !== 'machine') return [];
  const feet = done.filter(({ exercise }) =>
    /^(footwork|calf-raise|running)$/.test(exercise ?? ''),
  );
  const seconds = feet.reduce((sum, { durationS }) => sum + durationS, 0);
  const stands = done.findIndex(
    ({ exercise, position }) =>
      position === 'standing' && exercise !== 'elephant' && exercise !== 'carriage-cat',
  );
  const down = done.slice(Math.max(0, stands)).filter(({ position }) => position === 'supine');
  return [
    is('footwork', seconds >= 240, `${seconds} s`),
    is('up once', stands < 0 || down.length === 0, down.map(({ name }) => name).join(', ')),
  ];
}
