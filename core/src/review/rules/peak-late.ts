import { showClock } from '../../plan/show-time.ts';
import { secondsOf, type Timeline } from '../../plan/timing/timeline.ts';
import { addBeforeIt, leaveOut, moveAfterEach, moveBeforeEach } from '../repairs.ts';
import type { CurvePoint, Problem, Repair, Rule, RuleContext, Worked } from '../rule.ts';
import { unusedOf } from '../running-order.ts';
import { effortOfExercise } from '../../body/load/option-load.ts';

/** Where in the working time the hardest item belongs. Common practice. */
const PEAK_FROM = 0.55;
const PEAK_TO = 0.85;
/** Before this share of the work the crest is told to come too soon. */
const TOO_SOON = 1 / 3;
/** Effort climbs by at most this from one item to the next, cold or lying. */
const STEP = 2.5;
/** Until this share of the class a body is cold. */
const COLD = 0.2;
/** A class whose hardest item asks no more than this has no peak to place. */
const GENTLE = 2.5;

/** What a tenth of the class away from where the peak belongs costs, and a step of a jump. */
const PEAK_TENTH_S = 15;
const JUMP_STEP_S = 15;

export const peakLate: Rule = {
  id: 'peak-late',
  name: 'The crest comes late',
  statement:
    'The hardest item comes neither in the first third of the work nor straight before the rest, and cold or lying effort climbs by no more than 2.5 of 5 at once.',
  kind: 'shape',
  why: 'Early, the hardest thing is met cold; at the end, it is met tired and nothing is left to come down in.',
  usually: 'should',
  speaksFrom: 'class',
  order: [
    {
      cost: 'jump',
      neighbours: (from, to) =>
        Math.max(0, to.timed.effort - from.timed.effort - STEP) * JUMP_STEP_S,
    },
    { cost: 'effort', place: peakPlace },
  ],
  find: (context) => [...misplacedPeak(context), ...jumps(context)],
};

/** The share of working time that is done half-way through each item, the last time that it is done. */
function middles({ items }: Timeline): Map<string, number> {
  const total = items.reduce((sum, timed) => sum + secondsOf(timed, 'work'), 0);
  let done = 0;
  return new Map(
    items.map((timed) => {
      const seconds = secondsOf(timed, 'work');
      const middle = total > 0 ? (done + seconds / 2) / total : 0;
      done += seconds;
      return [timed.itemId, middle];
    }),
  );
}

/** Letting go is no peak, however the body model weighs it. */
const isWork = ({ exercise }: Worked) => exercise.family !== 'release';

/** Of several that are as hard, one in its place is enough. */
function misplacedPeak(context: RuleContext): Problem[] {
  const { worked } = context;
  const hardest = hardestOf(worked);
  const most = hardest[0]?.timed.effort ?? 0;
  if (hardest.length === 0) return [];
  const at = middles(context.timeline);
  const shareOf = ({ item }: Worked) => at.get(item.id) ?? 0;
  const isInPlace = (each: Worked) => shareOf(each) >= PEAK_FROM && shareOf(each) <= PEAK_TO;
  const isWrong = (each: Worked) => shareOf(each) < TOO_SOON || isStraightBeforeRest(each, worked);
  if (!hardest.every(isWrong)) return [];
  const peak = hardest.reduce((a, b) => (away(shareOf(b)) < away(shareOf(a)) ? b : a));
  return [
    {
      key: `peak ${peak.item.id}`,
      itemIds: hardest.map(({ item }) => item.id),
      sentence: `${peak.exercise.name} is the hardest (${peak.timed.effort} of 5) and comes at ${Math.round(100 * shareOf(peak))} % of the working time.`,
      candidates: () => [
        ...moveAfterEach(
          context,
          peak,
          worked.filter((each) => each !== peak && isInPlace(each)),
        ),
        ...moveAfterEach(
          context,
          peak,
          worked.filter((each) => each !== peak && away(shareOf(each)) < 0.15 && !isInPlace(each)),
        ),
        ...offerLighter(hardest, peak),
        ...hardest.map(leaveOut),
        ...addHardInPlace(context, most, at),
      ],
    },
  ];
}

function isStraightBeforeRest(each: Worked, worked: readonly Worked[]): boolean {
  const next = worked[worked.indexOf(each) + 1];
  return next === undefined || next.exercise.closing === 'rest';
}

/** How far the hardest stands from where it belongs; several that are as hard share the cost. */
function peakPlace(worked: Worked, context: RuleContext): CurvePoint[] {
  const hardest = hardestOf(context.worked);
  if (!hardest.includes(worked)) return [];
  const costAt = (share: number) => ({
    share,
    seconds: (away(share) * 10 * PEAK_TENTH_S) / hardest.length,
  });
  return [0, PEAK_FROM, PEAK_TO, 1].map(costAt);
}

/** The hardest of the class, where it has a peak at all. */
function hardestOf(worked: readonly Worked[]): Worked[] {
  const most = Math.max(0, ...worked.filter(isWork).map(({ timed }) => timed.effort));
  if (most <= GENTLE) return [];
  return worked.filter((each) => isWork(each) && each.timed.effort === most);
}

function away(share: number): number {
  return Math.max(0, PEAK_FROM - share, share - PEAK_TO);
}

function offerLighter(hardest: readonly Worked[], peak: Worked): Repair[] {
  const lower = (peak.item.options ?? peak.exercise.options.map(({ number }) => number)).filter(
    (number) => number < peak.option.number,
  );
  if (hardest.length > 1 || lower.length === 0) return [];
  return [
    {
      label: `Offer only the lighter options of ${peak.exercise.name}`,
      edit: { type: 'setOptions', itemId: peak.item.id, options: lower },
    },
  ];
}

/** For a class too small to be rearranged: something as hard where the peak belongs. */
function addHardInPlace(
  context: RuleContext,
  most: number,
  at: ReadonlyMap<string, number>,
): Repair[] {
  const anchor =
    context.worked.find(({ item }) => (at.get(item.id) ?? 0) >= PEAK_FROM) ?? context.worked.at(-1);
  if (!anchor) return [];
  const hard = unusedOf(context)
    .filter((exercise) => effortOfExercise(exercise) >= most)
    .sort((a, b) => effortOfExercise(a) - effortOfExercise(b))
    .slice(0, 4);
  return addBeforeIt(context, anchor, hard);
}

function jumps(context: RuleContext): Problem[] {
  return context.worked.flatMap((worked, index): Problem[] => {
    const before = context.worked[index - 1];
    const from = before?.timed.effort ?? 0;
    const to = worked.timed.effort;
    if (!before || to - from <= STEP || !isWork(worked) || !isWork(before)) return [];
    const isCold = worked.timed.startS < context.timeline.totalS * COLD;
    const isLying = worked.timed.position === 'supine' || worked.timed.position === 'prone';
    if (!isCold && !isLying) return [];
    return [
      {
        key: `jump ${worked.item.id}`,
        itemIds: [worked.item.id],
        sentence: `Effort jumps from ${from} to ${to} of 5 between ${before.exercise.name} and ${worked.exercise.name}, at ${showClock(worked.timed.startS)}.`,
        candidates: () => {
          const nearer = context.worked.filter(
            (each) => each !== worked && to - each.timed.effort <= STEP && each !== before,
          );
          const steps = unusedOf(context)
            .filter((exercise) => {
              const effort = effortOfExercise(exercise);
              return effort - from <= STEP && to - effort <= STEP;
            })
            .sort(
              (a, b) =>
                Number(b.position === worked.timed.position) -
                Number(a.position === worked.timed.position),
            );
          return [
            ...moveAfterEach(context, worked, nearer.slice(0, 5)),
            ...nearer.slice(0, 3).flatMap((each) => moveBeforeEach(context, each, [worked])),
            ...addBeforeIt(context, worked, steps.slice(0, 4)),
            leaveOut(worked),
          ];
        },
      },
    ];
  });
}
