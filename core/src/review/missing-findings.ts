import type { Catalogue } from '../movement/catalogue.ts';
import { exerciseItemsOf, type Plan } from '../plan/plan.ts';
import type { OpenFinding } from './rule.ts';

/** Exercises that a plan names and the library no longer holds. */
export function missingFindings(plan: Plan, catalogue: Catalogue): OpenFinding[] {
  return exerciseItemsOf(plan)
    .filter(({ exercise }) => !catalogue.get(exercise))
    .map(({ id, exercise }) => ({
      rule: 'exercise-there',
      kind: 'care',
      binding: true,
      statement: 'Every exercise of the class is in the library.',
      why: 'Nobody can teach, time or check what is not there any more.',
      key: `missing ${id}`,
      itemIds: [id],
      sentence: `${catalogue.require(exercise).name}: choose another, or take it out.`,
      repairs: () => [{ label: 'Take it out', edit: { type: 'removeItem' as const, itemId: id } }],
    }));
}
