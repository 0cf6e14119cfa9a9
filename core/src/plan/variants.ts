import { describeDose, type Dose } from '../movement/dose.ts';
import { optionOf, type Exercise, type Option } from '../movement/exercise.ts';
import { inSentence } from '../movement/words.ts';
import type { ExerciseItem } from './plan.ts';
import type { SchoolRules } from './school.ts';
import { doseOf, onOneSide, schoolDose } from './usual.ts';

/** One variant of an item, as it will be done. */
export interface DoneVariant {
  option: Option;
  dose: Dose;
}

/** What an item is made of, one after the other; none where it is done in one way. */
export function variantsOf(
  item: ExerciseItem,
  exercise: Exercise,
  school: SchoolRules,
): DoneVariant[] {
  return (item.variants ?? []).flatMap(({ option: number, dose }) => {
    if (number > exercise.options.length) return [];
    const option = optionOf(exercise, number);
    const whole = dose ?? schoolDose(exercise, option, school);
    return [{ option, dose: onOneSide(whole, item) }];
  });
}

/** How much of an item is done, in words: "heels 10 times · one leg 8 each side" where it has variants. */
export function describeItemDose(
  item: ExerciseItem,
  exercise: Exercise,
  school: SchoolRules,
): string {
  const variants = variantsOf(item, exercise, school);
  if (variants.length === 0) return describeDose(doseOf(item, exercise, school));
  return variants
    .map(({ option, dose }) => `${inSentence(option.name)} ${describeDose(dose)}`)
    .join(' · ');
}
