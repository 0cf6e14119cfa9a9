import { applyEdit } from '../plan/apply-edit.ts';
import type { Edit } from '../plan/edits.ts';
import { itemsOf, type Item, type Plan } from '../plan/plan.ts';
import { moveBehind, together } from '../review/repairs.ts';

/** The plan with its items in another order: parts keep how many they hold, or what they hold. */
export function reorder(plan: Plan, ids: readonly string[]): Plan {
  const items = new Map<string, Item>(
    plan.segments.flatMap((segment) => segment.items.map((item) => [item.id, item])),
  );
  let from = 0;
  return {
    ...plan,
    segments: plan.segments.map((segment) => {
      const own = ids.slice(from, from + segment.items.length);
      from += segment.items.length;
      return { ...segment, items: own.flatMap((id) => items.get(id) ?? []) };
    }),
  };
}

export interface Move {
  itemIds: string[];
  /** One step of all: it wants the steps before it to be done. */
  edit: Edit;
  /** The same move by itself, from today's order: behind the item before it that stays. */
  alone: Edit;
}

/**
 * As few moves as turn one order into the other: what is on a longest common run stays (longest
 * increasing subsequence), every other item is put behind its predecessor; neighbours that stay
 * neighbours go together. What is pinned is moved only when there is no other way.
 * Taken in their order, they end in the new order exactly.
 */
export function movesBetween(
  plan: Plan,
  target: Plan,
  pinned: ReadonlySet<string> = new Set(),
): Move[] {
  const stays = stayingItems(plan, target, pinned);
  const follows = followers(plan);
  const moves: Move[] = [];
  let current = plan;
  for (const segment of target.segments) {
    let block: string[] = [];
    let anchor: string | undefined;
    let staying: string | undefined;
    const flush = () => {
      if (block.length > 0) {
        const made = moveBlock(current, block, anchor, segment.id);
        const alone = moveBlock(plan, block, staying, segment.id);
        moves.push({ itemIds: block, edit: made.edit, alone: alone.edit });
        current = made.plan;
      }
      anchor = block.at(-1) ?? anchor;
      block = [];
    };
    for (const { id } of segment.items) {
      if (stays.has(id)) {
        flush();
        anchor = id;
        staying = id;
      } else {
        const last = block.at(-1);
        if (last !== undefined && follows.get(last) !== id) flush();
        block.push(id);
      }
    }
    flush();
  }
  return moves;
}

/** Items of both plans that do not stay on the longest common run: what was moved between them. */
export function movedItems(plan: Plan, target: Plan): Set<string> {
  const inBoth = new Set(idsOf(plan));
  const shared = idsOf(target).filter((id) => inBoth.has(id));
  const keep = new Set(shared);
  const onlyShared = (of: Plan): Plan => ({
    ...of,
    segments: of.segments.map((segment) => ({
      ...segment,
      items: segment.items.filter(({ id }) => keep.has(id)),
    })),
  });
  const stays = stayingItems(onlyShared(plan), onlyShared(target));
  return new Set(shared.filter((id) => !stays.has(id)));
}

function idsOf(plan: Plan): string[] {
  return plan.segments.flatMap(({ items }) => items.map(({ id }) => id));
}

/** What stands straight behind each item today. */
function followers(plan: Plan): Map<string, string> {
  const ids = idsOf(plan);
  return new Map(ids.slice(1).map((id, index) => [ids[index] ?? '', id]));
}

/** A pause and what was pinned weigh more than an exercise: their place was chosen. */
const CHOSEN_WEIGHT = 10;

function stayingItems(
  plan: Plan,
  target: Plan,
  pinned: ReadonlySet<string> = new Set(),
): Set<string> {
  const place = new Map<string, number>();
  const segmentOf = new Map<string, string>();
  let at = 0;
  for (const segment of plan.segments) {
    for (const { id } of segment.items) {
      place.set(id, at);
      segmentOf.set(id, segment.id);
      at += 1;
    }
  }
  const order = target.segments.flatMap((segment) =>
    segment.items.map((item) => ({ item, segment: segment.id })),
  );
  const best: { weight: number; from: number }[] = [];
  order.forEach(({ item, segment }, index) => {
    if (segmentOf.get(item.id) !== segment) {
      best.push({ weight: -Infinity, from: -1 });
      return;
    }
    let [weight, from] = [0, -1];
    for (let before = 0; before < index; before += 1) {
      const earlier = order[before];
      const known = best[before]?.weight ?? 0;
      if (!earlier || (place.get(earlier.item.id) ?? 0) > (place.get(item.id) ?? 0)) continue;
      if (known > weight) [weight, from] = [known, before];
    }
    best.push({
      weight: weight + (item.kind === 'pause' || pinned.has(item.id) ? CHOSEN_WEIGHT : 1),
      from,
    });
  });
  const stays = new Set<string>();
  let last = best.reduce(
    (top, { weight }, index) => (weight > (best[top]?.weight ?? 0) ? index : top),
    0,
  );
  while (last >= 0 && (best[last]?.weight ?? -1) > 0) {
    const id = order[last]?.item.id;
    if (id) stays.add(id);
    last = best[last]?.from ?? -1;
  }
  return stays;
}

function bracketIn(plan: Plan, itemId: string): string | undefined {
  return itemsOf(plan).find(({ id }) => id === itemId)?.bracket;
}

function moveBlock(
  plan: Plan,
  block: readonly string[],
  anchor: string | undefined,
  segmentId: string,
): { edit: Edit; plan: Plan } {
  const edits: Edit[] = [];
  let current = plan;
  let behind = anchor;
  block.forEach((itemId, index) => {
    const edit: Edit | undefined = behind
      ? moveBehind(current, itemId, behind)
      : { type: 'moveItem', itemId, segmentId, index };
    const result = edit && applyEdit(current, edit);
    if (!edit || !result?.ok) throw new Error(`${itemId} can't be moved`);
    edits.push(edit);
    current = result.plan;
    behind = itemId;
  });
  // What belonged together on its way still does where it arrives.
  for (const itemId of block) {
    const [was, is] = [bracketIn(plan, itemId), bracketIn(current, itemId)];
    if (was === is) continue;
    const edit: Edit = { type: 'setItemBracket', itemId, ...(was ? { bracketId: was } : {}) };
    const result = applyEdit(current, edit);
    if (!result.ok) throw new Error(`${itemId} can't be kept in its bracket`);
    edits.push(edit);
    current = result.plan;
  }
  const [only] = edits;
  const edit = edits.length === 1 && only ? only : together(edits);
  if (!edit) throw new Error('nothing to move');
  return { edit, plan: current };
}
