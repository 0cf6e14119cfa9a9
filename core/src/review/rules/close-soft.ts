import { USED_SECONDS, type Dose } from '../../movement/dose.ts';
import { closingRank, type Exercise } from '../../movement/exercise.ts';
import type { Position } from '../../movement/vocabulary.ts';
import { POSITION_WORDS } from '../../movement/words.ts';
import { showClock } from '../../plan/show-time.ts';
import type { TimedItem } from '../../plan/timing/timeline.ts';
import { isRelease } from '../draft-rows.ts';
import { addAt, moveBehind, together } from '../repairs.ts';
import { closing, isSoft, longestRestS } from '../soft-close.ts';
import type { Problem, Repair, Rule, RuleContext, Worked } from '../rule.ts';
import { newItem, placeAt, unusedOf } from '../running-order.ts';

/** The least share of the class that its soft close takes, and the least of all. Common practice. */
const CLOSE_SHARE = 0.05;
const CLOSE_LEAST_S = 60;

/** In a draft the close is measured against a class that grows with its set-ups, and has an end. */
const DRAFT_MARGIN = 0.02;
const DRAFT_MOST = 0.3;
/** A shorter class ends without lying down to rest. */
const REST_FROM_S = 1200;

export const closeSoft: Rule = {
  id: 'close-soft',
  name: 'A soft close',
  statement:
    'The class ends in something soft, a twentieth of it and a minute at least, work before rest, and not lying.',
  kind: 'shape',
  why: 'Bodies leave calmer and safer when the work has been let go of and they have come up slowly.',
  usually: 'must',
  speaksFrom: 'class',
  order: [
    {
      cost: 'sequence',
      comesFirst: (first, second) =>
        closingRank(second.exercise) > closingRank(first.exercise)
          ? 'rest comes behind everything, and the way up behind the rest'
          : undefined,
    },
  ],
  draft(rows) {
    rows.upTo(({ exercise }) => exercise.closing === 'way-up', 1);
    // How long the close is depends on how long the class is.
    if (!rows.lengthHolds) return;
    const { releaseLeast } = rows.school.targets;
    const leastS = rows.pool.some(isRelease) ? (releaseLeast + DRAFT_MARGIN) * rows.targetS : 0;
    rows.total((choice) => (isRelease(choice) ? choice.usualS : 0), {
      least: Math.round(leastS),
      most: Math.round(DRAFT_MOST * rows.targetS),
    });
    if (rows.targetS >= REST_FROM_S) rows.upTo(({ exercise }) => exercise.closing === 'rest', 1);
  },
  find(context) {
    if (context.worked.length === 0) return [];
    return [
      ...tooShort(context),
      ...restBeforeStretch(context, context.worked),
      ...lyingEnd(context),
    ];
  },
};

function tooShort(context: RuleContext): Problem[] {
  const { totalS } = context.timeline;
  const softS = closing(context).reduce((sum, item) => sum + item.durationS, 0);
  const leastS = Math.max(totalS * CLOSE_SHARE, CLOSE_LEAST_S);
  if (softS >= leastS) return [];
  const last = context.worked.at(-1);
  return [
    {
      key: 'short',
      itemIds: last ? [last.item.id] : [],
      sentence:
        softS === 0
          ? `There is no close: at least ${showClock(leastS)} of something soft is wanted.`
          : `The close is ${showClock(softS)} of ${showClock(totalS)} (${Math.round((100 * softS) / totalS)} %); at least ${showClock(leastS)} of something soft is wanted.`,
      candidates: () => [
        ...addRelease(context).slice(0, 3),
        ...restLonger(context, leastS - softS),
      ],
    },
  ];
}

function addRelease(context: RuleContext): Repair[] {
  const at = context.timeline.items.length - trailingCount(context);
  const endsIn = context.timeline.items[at - 1]?.endPosition;
  return unusedOf(context)
    .filter((exercise) => exercise.family === 'release')
    .sort((a, b) => Number(b.position === endsIn) - Number(a.position === endsIn))
    .flatMap((exercise) => {
      const edit = addAt(context.plan, at, exercise);
      return edit ? [{ label: `Add ${exercise.name} to the close`, edit }] : [];
    });
}

/** Rest and the way up stay last: how many items they are. */
function trailingCount(context: RuleContext): number {
  const soft = closing(context);
  const first = soft.findIndex(
    (item) =>
      item.kind === 'exercise' && isRestOrRise(context.catalogue.require(item.exercise ?? '')),
  );
  return first < 0 ? 0 : soft.length - first;
}

function isRestOrRise(exercise: Exercise): boolean {
  return closingRank(exercise) > 0;
}

/** A longer final rest, or one where there is none, in seconds that people say; the class grows with it, hence the margin. */
function restLonger(context: RuleContext, missingS: number): Repair[] {
  const exercise = context.catalogue.all.find(({ closing }) => closing === 'rest');
  if (!exercise) return [];
  const rest = context.timeline.items.find((item) => item.exercise === exercise.slug);
  const wantedS = (rest?.durationS ?? 0) + missingS / (1 - CLOSE_SHARE) + 30;
  const mostS = longestRestS(context);
  const durationS = USED_SECONDS.find((each) => each >= wantedS);
  if (durationS === undefined || durationS > mostS) return [];
  const dose = { kind: 'free' as const, durationS, sets: 1, sides: 'none' as const, directions: 1 };
  const label = `${exercise.name} for ${showClock(durationS)}`;
  if (rest) return restAtTheEnd(context, rest, label, dose);
  const at = context.timeline.items.length - trailingCount(context);
  const place = placeAt(context.plan, at);
  if (!place) return [];
  const item = { ...newItem(context.plan, exercise), dose };
  return [{ label: `Add ${label}`, edit: { type: 'addItem', ...place, item } }];
}

/** The rest that the class has already: longer, and at its end where it stands earlier. */
function restAtTheEnd(
  context: RuleContext,
  rest: TimedItem,
  label: string,
  dose: Extract<Dose, { kind: 'free' }>,
): Repair[] {
  const setDose = { type: 'setDose' as const, itemId: rest.itemId, dose };
  if (closing(context).includes(rest)) return [{ label, edit: setDose }];
  const last = context.worked.at(-1);
  const move = last && moveBehind(context.plan, rest.itemId, last.item.id);
  const edit = together([setDose, move]);
  return edit ? [{ label: `${label}, at the end`, edit }] : [];
}

/** With so much of the class behind it, a rest is a breather and no end. */
const BREATHER = 0.2;

function isOnTheWay({ timed }: Worked, { timeline }: RuleContext): boolean {
  return timed.startS + timed.durationS < (1 - BREATHER) * timeline.totalS;
}

/** Work first, rest after: a rest with work behind it has to be left again. A long reach may follow it. */
function restBeforeStretch(context: RuleContext, items: readonly Worked[]): Problem[] {
  const at = items.findIndex(({ exercise }) => exercise.closing === 'rest');
  const rest = items[at];
  const stretch = items
    .slice(at + 1)
    .find(({ exercise, timed }) => exercise.closing !== 'way-up' && !isSoft(timed, context));
  if (!rest || !stretch || isOnTheWay(rest, context)) return [];
  return [
    {
      key: 'rest-first',
      itemIds: [rest.item.id, stretch.item.id],
      sentence: `${rest.exercise.name} comes before ${stretch.exercise.name}: work first, rest after.`,
      candidates: () => {
        const segment = context.plan.segments.at(-1);
        const rises = items.at(-1)?.exercise.closing === 'way-up' ? 1 : 0;
        if (!segment) return [];
        return [segment.items.length - rises, segment.items.length - rises - 1]
          .filter((index) => index >= 0)
          .map((index) => ({
            label: `Move ${rest.exercise.name} to the end`,
            edit: { type: 'moveItem', itemId: rest.item.id, segmentId: segment.id, index },
          }));
      },
    },
  ];
}

/** From here everybody is up, or nearly. */
const UP: ReadonlySet<Position> = new Set(['seated', 'standing', 'kneeling', 'quadruped'] as const);

function lyingEnd(context: RuleContext): Problem[] {
  const last = context.worked.at(-1);
  const end = last?.timed.endPosition;
  if (!last || (end !== undefined && UP.has(end))) return [];
  return [
    {
      key: 'end-lying',
      itemIds: [last.item.id],
      sentence: `The class ends ${end ? POSITION_WORDS[end] : 'lying'}, with no way back to sitting or standing.`,
      candidates: () => {
        const rise = context.catalogue.all.find(({ closing }) => closing === 'way-up');
        const edit = rise && addAt(context.plan, context.timeline.items.length, rise);
        return rise && edit ? [{ label: `Add ${rise.name}`, edit }] : [];
      },
    },
  ];
}
