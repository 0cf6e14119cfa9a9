import type { Plan } from './plan.ts';

/** As long as an id may be, less what counts it. */
const ROOM = 56;

/** An id that begins so, and that nothing in the plan has yet. */
export function freshId(plan: Plan, begin: string, taken: readonly string[] = []): string {
  const used = new Set([
    ...taken,
    ...(plan.brackets ?? []).map(({ id }) => id),
    ...plan.segments.flatMap((segment) => [segment.id, ...segment.items.map((item) => item.id)]),
  ]);
  let number = 1;
  while (used.has(`${begin.slice(0, ROOM)}-${number}`)) number += 1;
  return `${begin.slice(0, ROOM)}-${number}`;
}
