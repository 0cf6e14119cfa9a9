import type { Exercise } from '../movement/exercise.ts';
import type { Prop } from '../movement/vocabulary.ts';
import { PROP_WORDS } from '../movement/words.ts';
import type { Edit } from '../plan/edits.ts';
import { withoutBrought } from '../plan/item-props.ts';
import { placeOf, type Plan } from '../plan/plan.ts';
import type { Repair, RuleContext, Worked } from './rule.ts';
import { freshId } from '../plan/fresh-id.ts';
import { newItem, placeAt } from './running-order.ts';

/** Adds an exercise at a place in the running order (counted over all segments). */
export function addAt(plan: Plan, orderIndex: number, exercise: Exercise): Edit | undefined {
  const place = placeAt(plan, orderIndex);
  return place && { type: 'addItem', ...place, item: newItem(plan, exercise) };
}

export function leaveOut(worked: Worked): Repair {
  return {
    label: `Leave ${worked.exercise.name} out`,
    edit: { type: 'removeItem', itemId: worked.item.id },
  };
}

/** Without a prop that the plan brought in, beside those that the exercise is done with. */
export function withoutAdded({ item, timed, option, exercise }: Worked, prop: Prop): Repair[] {
  const isOwn = option.props.some((use) => use.prop === prop && !use.optional);
  if (isOwn || !timed.props.some((use) => use.prop === prop)) return [];
  const props = withoutBrought(item, prop);
  return [
    {
      label: `${exercise.name} without the ${PROP_WORDS[prop]}`,
      edit: { type: 'setProps', itemId: item.id, ...(props ? { props } : {}) },
    },
  ];
}

/** Nothing of these is left; the last resort of a rule about several. */
export function leaveAllOut(items: readonly Worked[]): Repair[] {
  const edit = together(
    items.map(({ item }) => ({ type: 'removeItem' as const, itemId: item.id })),
  );
  return edit ? [{ label: `Leave ${items.length} items out`, edit }] : [];
}

/** Moves an item behind another one, whatever kind that is. */
export function moveBehind(plan: Plan, itemId: string, anchorId: string): Edit | undefined {
  const anchor = placeOf(plan, anchorId);
  const now = placeOf(plan, itemId);
  if (!anchor || !now || itemId === anchorId) return undefined;
  const lifted = anchor.segmentId === now.segmentId && now.index < anchor.index;
  const index = lifted ? anchor.index : anchor.index + 1;
  return { type: 'moveItem', itemId, segmentId: anchor.segmentId, index };
}

function moveBefore(plan: Plan, itemId: string, anchorId: string): Edit | undefined {
  const anchor = placeOf(plan, anchorId);
  const now = placeOf(plan, itemId);
  if (!anchor || !now || itemId === anchorId) return undefined;
  const lifted = anchor.segmentId === now.segmentId && now.index < anchor.index;
  const index = lifted ? anchor.index - 1 : anchor.index;
  return { type: 'moveItem', itemId, segmentId: anchor.segmentId, index };
}

/** One repair for each place behind these items. */
export function moveAfterEach(
  { plan }: RuleContext,
  moved: Worked,
  anchors: readonly Worked[],
): Repair[] {
  return anchors.flatMap((anchor): Repair[] => {
    const edit = moveBehind(plan, moved.item.id, anchor.item.id);
    const label = `Move ${moved.exercise.name} after ${anchor.exercise.name}`;
    return edit ? [{ label, edit }] : [];
  });
}

/** One repair for each place before these items. */
export function moveBeforeEach(
  { plan }: RuleContext,
  moved: Worked,
  anchors: readonly Worked[],
): Repair[] {
  return anchors.flatMap((anchor): Repair[] => {
    const edit = moveBefore(plan, moved.item.id, anchor.item.id);
    const label = `Move ${moved.exercise.name} before ${anchor.exercise.name}`;
    return edit ? [{ label, edit }] : [];
  });
}

/** One repair for each exercise that could be added before an item. */
export function addBeforeIt(
  { plan }: RuleContext,
  anchor: Worked,
  exercises: readonly Exercise[],
): Repair[] {
  return exercises.flatMap((exercise): Repair[] => {
    const edit = addAt(plan, anchor.at, exercise);
    return edit ? [{ label: `Add ${exercise.name} before ${anchor.exercise.name}`, edit }] : [];
  });
}

/** One repair for each exercise that could be added after an item. */
export function addAfterIt(
  { plan }: RuleContext,
  anchor: Worked,
  exercises: readonly Exercise[],
): Repair[] {
  return exercises.flatMap((exercise): Repair[] => {
    const edit = addAt(plan, anchor.at + 1, exercise);
    return edit ? [{ label: `Add ${exercise.name} after ${anchor.exercise.name}`, edit }] : [];
  });
}

/** A pause behind an item, for water or for a word. */
export function pauseAfter(
  { plan }: RuleContext,
  anchor: Worked,
  label: string,
  durationS: number,
  taken: readonly string[] = [],
): Repair[] {
  const place = placeAt(plan, anchor.at + 1);
  if (!place) return [];
  const item = {
    kind: 'pause' as const,
    id: freshId(plan, 'pause', taken),
    label,
    durationS,
    note: '',
  };
  return [
    {
      label: `Pause after ${anchor.exercise.name}: ${label.toLowerCase()}, ${durationS} s`,
      edit: { type: 'addItem', ...place, item },
    },
  ];
}

/** Several single edits as one that is undone as one. */
export function together(edits: readonly (Edit | undefined)[]): Edit | undefined {
  const singles = edits.flatMap((edit) =>
    edit === undefined ? [] : edit.type === 'together' ? edit.edits : [edit],
  );
  return singles.length > 0 ? { type: 'together', edits: singles } : undefined;
}
