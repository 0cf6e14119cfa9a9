import { comesBefore } from './parts-first.ts';
import type { Choice } from './pool.ts';

/**
 * By rank, of equals the lighter first; and whatever the efforts say, nothing before a part of it or what goes well before
 * it in the same rank.
 */
export function arranged<Each extends { choice: Choice }>(
  all: readonly Each[],
  rank: (choice: Choice) => number,
): Each[] {
  const waiting = all.toSorted(
    ({ choice: a }, { choice: b }) => rank(a) - rank(b) || a.effort - b.effort,
  );
  const order: Each[] = [];
  while (waiting.length > 0) {
    const free = waiting.findIndex(
      ({ choice }) =>
        !waiting.some(
          ({ choice: other }) =>
            rank(other) === rank(choice) && comesBefore(other.exercise, choice.exercise),
        ),
    );
    // Links in a circle stop nobody.
    order.push(...waiting.splice(Math.max(0, free), 1));
  }
  return order;
}
