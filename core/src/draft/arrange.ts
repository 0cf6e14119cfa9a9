import { changedParts, gearAfter, type Gear } from '../movement/gear.ts';
import { gearOfChoice } from './choice-tests.ts';
import { comesBefore } from './parts-first.ts';
import type { Choice } from './pool.ts';

/**
 * By rank; in the same rank what leaves the machine most as it stands, then the lighter; and whatever gear and efforts say,
 * nothing before a part of it or what goes well before it.
 */
export function arranged<Each extends { choice: Choice }>(
  all: readonly Each[],
  rank: (choice: Choice) => number,
): Each[] {
  const order: Each[] = [];
  let gear: Gear | undefined;
  let waiting = all.toSorted(
    ({ choice: a }, { choice: b }) => rank(a) - rank(b) || a.effort - b.effort,
  );
  while (waiting.length > 0) {
    const next = nextOf(waiting, rank, gear);
    order.push(next);
    gear = gearAfter(gear, gearOfChoice(next.choice));
    waiting = waiting.filter((each) => each !== next);
  }
  return order;
}

function nextOf<Each extends { choice: Choice }>(
  waiting: readonly Each[],
  rank: (choice: Choice) => number,
  gear: Gear | undefined,
): Each {
  const lowest = Math.min(...waiting.map(({ choice }) => rank(choice)));
  const now = waiting.filter(({ choice }) => rank(choice) === lowest);
  const free = now.filter(
    ({ choice }) => !now.some(({ choice: other }) => comesBefore(other.exercise, choice.exercise)),
  );
  const changes = ({ choice }: Each) =>
    changedParts(gear, gearAfter(gear, gearOfChoice(choice))).length;
  // Links in a circle stop nobody.
  return (free.length > 0 ? free : now).reduce((best, each) =>
    changes(each) < changes(best) ? each : best,
  );
}
