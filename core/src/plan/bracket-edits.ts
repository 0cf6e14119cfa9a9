import type { Edit, SingleEdit } from './edits.ts';
import { freshId } from './fresh-id.ts';
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

/**
 * Puts an item and the one behind it together: into the bracket of either, whatever its kind, else into a new one.
 * Undefined where nothing stands behind it in its part, or both are together.
 */
export function gatherBehind(plan: Plan, itemId: string, kind: Bracket['kind']): Edit | undefined {
  const segment = plan.segments.find(({ items }) => items.some(({ id }) => id === itemId));
  const runs = segment ? runsOf(segment, plan.brackets) : [];
  const at = runs.findIndex(({ items }) => items.some(({ id }) => id === itemId));
  const own = runs[at];
  const inOwn = own?.items.findIndex(({ id }) => id === itemId) ?? -1;
  if (!own || (own.bracket && inOwn < own.items.length - 1)) return undefined;
  const next = runs[at + 1];
  const behind = next?.items[0];
  if (!behind) return undefined;
  if (own.bracket) {
    return { type: 'setItemBracket', itemId: behind.id, bracketId: own.bracket.id };
  }
  if (next.bracket) return { type: 'setItemBracket', itemId, bracketId: next.bracket.id };
  return gather(plan, [itemId, behind.id], newBracket(plan, kind));
}

/** How often two exercises go in turn, when nobody has said. Common practice. */
const USUAL_ROUNDS = 3;

export function newBracket(plan: Plan, kind: Bracket['kind']): Bracket {
  const id = freshId(plan, kind);
  return kind === 'series' ? { kind, id, first: 'right' } : { kind, id, times: USUAL_ROUNDS };
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
