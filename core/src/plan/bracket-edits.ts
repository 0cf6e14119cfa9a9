import type { Edit, SingleEdit } from './edits.ts';
import { runsOf } from './occurrences.ts';
import { placeOf, type Bracket, type Item, type Plan } from './plan.ts';

/**
 * Puts items that stand one behind the other into a bracket, out of those in which they stood. Undefined where they do
 * not stand so, or are none.
 */
export function gather(plan: Plan, itemIds: readonly string[], bracket: Bracket): Edit | undefined {
  const items = neighbours(plan, itemIds);
  if (!items) return undefined;
  return {
    type: 'together',
    edits: [
      { type: 'addBracket', bracket },
      ...items.map(({ id: itemId }): SingleEdit => ({
        type: 'setItemBracket',
        itemId,
        bracketId: bracket.id,
      })),
    ],
  };
}

/** The items in running order, where they stand one behind the other in one part. */
function neighbours(plan: Plan, itemIds: readonly string[]): Item[] | undefined {
  const places = itemIds.map((id) => placeOf(plan, id));
  const [first] = places;
  const segment = plan.segments.find(({ id }) => id === first?.segmentId);
  if (!segment || places.some((place) => place?.segmentId !== segment.id)) return undefined;
  const from = Math.min(...places.map((place) => place?.index ?? 0));
  const items = segment.items.slice(from, from + itemIds.length);
  const wanted = new Set(itemIds);
  return items.length > 0 && items.every(({ id }) => wanted.has(id)) ? items : undefined;
}

/** Takes a bracket away; its items stay where they are, each done by itself again. */
export function dissolve(plan: Plan, bracketId: string): Edit {
  const items = plan.segments
    .flatMap((segment) => segment.items)
    .filter(({ bracket }) => bracket === bracketId);
  return {
    type: 'together',
    edits: [
      ...items.map(({ id: itemId }): SingleEdit => ({ type: 'setItemBracket', itemId })),
      { type: 'removeBracket', bracketId },
    ],
  };
}

/** The items that are gone through together with this one, in turn; none where it stands in no bracket. */
export function bracketMates(
  plan: Plan,
  itemId: string,
): { bracket: Bracket; items: Item[] } | undefined {
  for (const segment of plan.segments) {
    for (const { bracket, items } of runsOf(segment, plan.brackets)) {
      if (bracket && items.some(({ id }) => id === itemId)) return { bracket, items };
    }
  }
  return undefined;
}

/** How often an item is gone through: in rounds as often as they say, else once; a series is once for each side. */
export function timesOf(plan: Plan, { bracket }: Item): number {
  const own = bracket && plan.brackets?.find(({ id }) => id === bracket);
  return own && own.kind === 'rounds' ? own.times : 1;
}
