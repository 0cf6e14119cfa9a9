import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Choice } from '@wrenfern/core/people/choice';
import type { OptionsPlan } from '@wrenfern/core/people/choose-options';
import { sayChoice } from '@wrenfern/core/people/say-choice';
import { exerciseItemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { doseOf } from '@wrenfern/core/plan/usual';

/** One item that somebody does otherwise today. */
export interface Change {
  itemId: string;
  exercise: string;
  was: string;
  is: string;
}

/** What today makes different for each person, by id: their choices without what holds today, and with it. */
export function whatChanges(
  plan: Plan,
  before: OptionsPlan,
  after: OptionsPlan,
  catalogue: Catalogue,
): Map<string, Change[]> {
  const items = exerciseItemsOf(plan);
  return new Map(
    [...after.choices].map(([personId, choices]) => {
      const old = before.choices.get(personId);
      const changes = items.flatMap((item): Change[] => {
        const exercise = catalogue.require(item.exercise);
        const dose = doseOf(item, exercise, rulesOf(plan.school));
        const say = (choice: Choice | undefined) =>
          choice ? sayChoice(choice, exercise, catalogue, dose) : '';
        const [was, is] = [say(old?.get(item.id)), say(choices.get(item.id))];
        return was === is ? [] : [{ itemId: item.id, exercise: exercise.name, was, is }];
      });
      return [personId, changes];
    }),
  );
}
