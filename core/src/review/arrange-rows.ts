import type { Exercise } from '../movement/exercise.ts';
import { newItem } from './running-order.ts';
import type { Edit } from '../plan/edits.ts';
import { placeOf, type Plan, type Segment } from '../plan/plan.ts';
import { isMixed, mixedParts } from '../plan/tracks.ts';

/** Addresses of rows and of the headers of parts, told apart by what they are. */
export const rowId = (itemId: string) => `row:${itemId}`;
export const headerId = (segmentId: string) => `head:${segmentId}`;

/** Headers and rows as one list, top to bottom. */
export function flatIds(plan: { segments: readonly Segment[] }): string[] {
  return plan.segments.flatMap((segment) => [
    headerId(segment.id),
    ...segment.items.map((item) => rowId(item.id)),
  ]);
}

/** The edit for a row that is put where another row or a header stands. */
export function placeRow(plan: Plan, activeId: string, overId: string): Edit | undefined {
  const ids = flatIds(plan);
  const from = ids.indexOf(activeId);
  const to = ids.indexOf(overId);
  if (from < 0 || to < 0 || from === to) return undefined;
  const without = ids.toSpliced(from, 1);
  const moved = without.toSpliced(to, 0, activeId);
  const place = placeIn(plan, moved, moved.indexOf(activeId));
  return { type: 'moveItem', itemId: activeId.slice(4), ...place };
}

/** The edit for another exercise: it takes the place of what it is put on. */
export function placeNew(plan: Plan, exercise: Exercise, overId: string): Edit | undefined {
  const ids = flatIds(plan);
  const to = ids.indexOf(overId);
  if (to < 0) return undefined;
  const at = overId.startsWith('head:') ? to + 1 : to;
  return { type: 'addItem', ...placeIn(plan, ids, at), item: newItem(plan, exercise) };
}

/** Adds behind the chosen item, else at the end of the last segment but the closing one. */
export function addBehind(
  plan: Plan,
  exercise: Exercise,
  selectedId: string | undefined,
): Edit | undefined {
  const place = selectedId ? placeOf(plan, selectedId) : undefined;
  const item = newItem(plan, exercise);
  const chosen = plan.segments.find(({ id }) => id === place?.segmentId);
  if (place && chosen && holds(plan, chosen, exercise))
    return { type: 'addItem', segmentId: place.segmentId, index: place.index + 1, item };
  const segment = usualSegment(plan, exercise);
  return segment && { type: 'addItem', segmentId: segment.id, index: segment.items.length, item };
}

/** In a class of two groups each place holds its own; what all do together needs no machine. */
function holds(plan: Plan, { station = 'mat' }: Segment, exercise: Exercise): boolean {
  return !isMixed(plan) || station === exercise.machine;
}

/** Awareness opens, release closes, all else goes between. */
function usualSegment(plan: Plan, exercise: Exercise) {
  if (isMixed(plan)) return mixedParts(plan).at[exercise.machine].at(-1);
  if (exercise.family === 'awareness') return plan.segments[0];
  if (exercise.family === 'release') return plan.segments.at(-1);
  return plan.segments[Math.min(1, plan.segments.length - 1)];
}

/** Moves an item one place up or down, across segments. */
export function nudge(plan: Plan, itemId: string, by: 1 | -1): Edit | undefined {
  const ids = flatIds(plan);
  const from = ids.indexOf(rowId(itemId));
  const target = ids[from + by];
  // The first header has nothing above it.
  if (!target || (by === -1 && from + by === 0)) return undefined;
  return placeRow(plan, rowId(itemId), target);
}

function placeIn(plan: Plan, ids: readonly string[], at: number) {
  const before = ids.slice(0, at);
  const header = before.findLastIndex((id) => id.startsWith('head:'));
  const segmentId = before[header]?.slice(5) ?? plan.segments[0]?.id ?? '';
  return { segmentId, index: before.length - header - 1 };
}
