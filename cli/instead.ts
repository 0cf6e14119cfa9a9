import { nextBest } from '@wrenfern/core/draft/next-best';
import type { DraftWishes } from '@wrenfern/core/draft/wishes';
import type { Person } from '@wrenfern/core/people/person';
import { exerciseItemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { builtInCatalogue } from '@wrenfern/library';
import { Refusal } from './refusal.ts';

interface InsteadInput {
  plan: Plan;
  /** The id of an item, or what it is: the first one of that exercise is meant. */
  what: string;
  wishes: DraftWishes;
  people: readonly Person[];
  day: string;
  isJson: boolean;
}

/** More than these nobody weighs against one another. */
const MOST = 4;

/** What could stand in the place of an item, best first and why; as data each with the plan that it makes. */
export function instead({ plan, what, wishes, people, day, isJson }: InsteadInput): string {
  const items = exerciseItemsOf(plan);
  const item =
    items.find(({ id }) => id === what) ?? items.find(({ exercise }) => exercise === what);
  if (!item) {
    throw new Refusal(
      `nothing in "${plan.title}" is called "${what}"; it holds ${items.map(({ id }) => id).join(', ')}`,
    );
  }
  const attendees = people.map((person) => ({ person }));
  const { machine, name } = builtInCatalogue.require(item.exercise);
  const context = { catalogue: builtInCatalogue, attendees, day, timing: {} };
  const found = nextBest(plan, item.id, { ...wishes, machine }, context, MOST);
  if (isJson) {
    return JSON.stringify(
      found.map(({ exercise, why, plan: next }) => ({ exercise: exercise.slug, why, plan: next })),
      null,
      2,
    );
  }
  if (found.length === 0) return `Nothing else can stand in for ${name}.`;
  return [
    `In place of ${name}:`,
    ...found.map(({ exercise, why }) => `  ${exercise.name} (${exercise.slug}): ${why}`),
  ].join('\n');
}
