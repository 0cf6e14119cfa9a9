import { teaches, type Exercise } from '../../movement/exercise.ts';
import { showClock } from '../../plan/show-time.ts';
import type { TimedItem } from '../../plan/timing/timeline.ts';
import type { Problem, Repair, Rule, RuleContext } from '../rule.ts';
import {
  candidatesOf,
  addAt,
  exerciseOf,
  newItem,
  placeAt,
  workingItems,
} from '../running-order.ts';

/** The least share of the class that its soft close takes. */
const CLOSE_SHARE = 0.1;

export const closeSoft: Rule = {
  id: 'close-soft',
  statement:
    'The last 10 to 15 % of the class is release, stretch before rest, and ends sitting or standing.',
  kind: 'shape',
  why: 'Bodies leave calmer and safer when the work has been let go of and they have come up slowly.',
  find(context) {
    const items = workingItems(context.timeline);
    if (items.length === 0) return [];
    return [
      ...tooShort(context, items),
      ...restBeforeStretch(context, items),
      ...lyingEnd(context),
    ];
  },
};

function isSoft(item: TimedItem, context: RuleContext): boolean {
  return item.kind === 'pause' || teaches(exerciseOf(item, context.catalogue), 'release');
}

/** The run of soft items at the very end. */
function closing(context: RuleContext): TimedItem[] {
  const items = context.timeline.items;
  const lastHard = items.findLastIndex((item) => !isSoft(item, context));
  return items.slice(lastHard + 1);
}

function tooShort(context: RuleContext, items: TimedItem[]): Problem[] {
  const { totalS } = context.timeline;
  const softS = closing(context).reduce((sum, item) => sum + item.durationS, 0);
  if (softS >= totalS * CLOSE_SHARE) return [];
  const last = items.at(-1);
  return [
    {
      key: 'short',
      itemIds: last ? [last.itemId] : [],
      sentence: `The close is ${showClock(softS)} of ${showClock(totalS)} (${Math.round((100 * softS) / totalS)} %); at least ${showClock(totalS * CLOSE_SHARE)} of release is wanted.`,
      candidates: () => [
        ...addRelease(context).slice(0, 3),
        ...restLonger(context, totalS * CLOSE_SHARE - softS),
      ],
    },
  ];
}

function addRelease(context: RuleContext): Repair[] {
  const used = new Set(context.timeline.items.map((item) => item.exercise));
  const at = context.timeline.items.length - trailingCount(context);
  const endsIn = context.timeline.items[at - 1]?.endPosition;
  return candidatesOf(context)
    .filter((exercise) => exercise.family === 'release' && !used.has(exercise.slug))
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
    (item) => item.kind === 'exercise' && isRestOrRise(exerciseOf(item, context.catalogue)),
  );
  return first < 0 ? 0 : soft.length - first;
}

function isRestOrRise(exercise: Exercise): boolean {
  return exercise.slug === 'final-rest' || exercise.slug === 'return-to-sitting';
}

/** A longer final rest, or one where there is none; the class grows with it, hence the margin. */
function restLonger(context: RuleContext, missingS: number): Repair[] {
  const exercise = context.catalogue.get('final-rest');
  if (!exercise) return [];
  const rest = context.timeline.items.find((item) => item.exercise === exercise.slug);
  const wantedS = (rest?.durationS ?? 0) + missingS / (1 - CLOSE_SHARE) + 30;
  const durationS = Math.min(1800, Math.ceil(wantedS / 15) * 15);
  const dose = { kind: 'free' as const, durationS, sets: 1, sides: 'none' as const, directions: 1 };
  const label = `${exercise.name} for ${showClock(durationS)}`;
  if (rest) return [{ label, edit: { type: 'setDose', itemId: rest.itemId, dose } }];
  const at = context.timeline.items.length - trailingCount(context);
  const place = placeAt(context.plan, at);
  if (!place) return [];
  const item = { ...newItem(context.plan, exercise), dose };
  return [{ label: `Add ${label}`, edit: { type: 'addItem', ...place, item } }];
}

/** Stretch first, rest after: a rest with stretches behind it has to be left again. */
function restBeforeStretch(context: RuleContext, items: TimedItem[]): Problem[] {
  const at = items.findIndex((item) => item.exercise === 'final-rest');
  const rest = items[at];
  const stretch = items.slice(at + 1).find((item) => item.exercise !== 'return-to-sitting');
  if (!rest || !stretch) return [];
  return [
    {
      key: 'rest-first',
      itemIds: [rest.itemId, stretch.itemId],
      sentence: `${rest.name} comes before ${stretch.name}: stretch first, rest after.`,
      candidates: () => {
        const segment = context.plan.segments.at(-1);
        const rises = items.at(-1)?.exercise === 'return-to-sitting' ? 1 : 0;
        if (!segment) return [];
        return [segment.items.length - rises, segment.items.length - rises - 1]
          .filter((index) => index >= 0)
          .map((index) => ({
            label: `Move ${rest.name} to the end`,
            edit: { type: 'moveItem', itemId: rest.itemId, segmentId: segment.id, index },
          }));
      },
    },
  ];
}

function lyingEnd(context: RuleContext): Problem[] {
  const last = workingItems(context.timeline).at(-1);
  const end = last?.endPosition;
  if (!last || end === 'seated' || end === 'standing' || end === 'kneeling') return [];
  return [
    {
      key: 'end-lying',
      itemIds: [last.itemId],
      sentence: `The class ends ${end === 'supine' ? 'lying on the back' : `in ${end}`}, with no way back to sitting or standing.`,
      candidates: () => {
        const rise = context.catalogue.get('return-to-sitting');
        const edit = rise && addAt(context.plan, context.timeline.items.length, rise);
        return rise && edit ? [{ label: `Add ${rise.name}`, edit }] : [];
      },
    },
  ];
}
