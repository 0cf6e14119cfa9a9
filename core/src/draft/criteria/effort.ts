import type { Position } from '../../movement/vocabulary.ts';
import type { TimedItem } from '../../plan/timing/timeline.ts';
import { isWork } from '../../review/draft-rows.ts';
import { optionGoesOver } from '../choice-tests.ts';
import { criterion, LYING, percent, shareAt, type Criterion, type Drafted } from './drafted.ts';

/** Steps of effort from one to the next, by kind of class. Common practice. */
const STEP: Record<Drafted['type'], number> = { mat: 2.5, sequence: 3, timed: 3, machine: 3 };
const EARLY = 1 / 8;
/** Where hips that are high go over the shoulders; on hands and feet they do not. */
const ON_THE_BACK: readonly Position[] = ['supine', 'seated'];

/** How it begins, rises, has its top and ends. Common practice. */
export function effortCriteria(drafted: Drafted): Criterion[] {
  const { timeline, type, done, catalogue, wishes, school, worked } = drafted;
  const soft = (item: TimedItem) => item.effort <= 1 || isRelease(item);
  const isRelease = ({ exercise }: TimedItem) =>
    !isWork({ exercise: catalogue.require(exercise ?? '') });
  const [first] = done;
  const work = done.find(({ effort }) => effort > 1);
  const startS = Math.min(0.04 * timeline.totalS, type === 'machine' ? 45 : 90);
  const earlyMost = type === 'machine' ? 2.5 : 2;
  const early = done.filter((item) => shareAt(drafted, item) < EARLY && item.effort > earlyMost);
  const tail = tailOf(done, (item) => isRelease(item) || isSlowTurn(item));
  const close = tail.reduce((sum, { durationS }) => sum + durationS, 0) / timeline.totalS;
  const last = done.at(-1);
  const crest = crestOf(drafted);
  const steps = done.slice(1).flatMap((item, at) => {
    const before = done[at];
    return before && item.effort - before.effort > STEP[type] ? [{ before, item }] : [];
  });
  const isGentle = wishes.effortMost < 2.5 || school.effortCeiling < 4;
  const over = worked.filter(
    ({ timed, option, exercise }) =>
      timed.position !== undefined &&
      ON_THE_BACK.includes(timed.position) &&
      optionGoesOver(option) &&
      shareAt(drafted, timed) < 0.4 &&
      exercise.slug !== wishes.climbTo,
  );
  return [
    criterion(
      'arrives',
      first !== undefined && soft(first) && (work?.startS ?? Infinity) >= startS,
      `work at ${work?.startS ?? 0} s`,
    ),
    criterion(
      'early effort',
      early.length === 0,
      early.map(({ name, effort }) => `${name} ${effort}`).join(', '),
      early.map(({ exercise }) => exercise),
    ),
    criterion(
      'closes',
      close >= (type === 'mat' ? 0.06 : 0.04) && close <= 0.25,
      percent(close),
      close > 0.25 ? [longestOf(tail)?.exercise] : [],
    ),
    criterion(
      'ends up',
      last?.endPosition !== undefined && !LYING.includes(last.endPosition),
      String(last?.endPosition),
    ),
    criterion(
      'steps',
      steps.length === 0,
      steps.map(({ item: { name, effort } }) => `${effort} at ${name}`).join(', '),
      steps.slice(0, 1).flatMap(({ before, item }) => [before.exercise, item.exercise]),
    ),
    criterion(
      'crest',
      isGentle ||
        crest.effort < 2.5 ||
        (crest.share >= 0.35 && crest.share <= (type === 'sequence' ? 0.98 : 0.9)),
      `${crest.effort} at ${percent(crest.share)}`,
      [crest.exercise],
    ),
    criterion('something hard', isGentle || crest.effort >= 2.5, `${crest.effort}`),
    criterion(
      'over the shoulders',
      type === 'sequence' || over.length === 0,
      over.map(({ exercise }) => exercise.name).join(', '),
      over.map(({ exercise }) => exercise.slug),
    ),
  ];
}

/** A slow turn or side bend lets go as a stretch does. */
const isSlowTurn = ({ effort, moves }: TimedItem) =>
  effort <= 2 && moves.some((move) => move === 'turn' || move === 'side');

/** What is all soft at the end. */
function tailOf(done: readonly TimedItem[], isSoft: (item: TimedItem) => boolean) {
  return done.slice(done.findLastIndex((item) => !isSoft(item)) + 1);
}

const longestOf = (items: readonly TimedItem[]) =>
  items.toSorted((a, b) => b.durationS - a.durationS)[0];

function crestOf({ done, timeline }: Drafted) {
  const top = done.reduce((a, b) => (b.effort >= a.effort ? b : a));
  const share = (top.startS + top.durationS / 2) / Math.max(1, timeline.totalS);
  return { effort: top.effort, share, exercise: top.exercise };
}
