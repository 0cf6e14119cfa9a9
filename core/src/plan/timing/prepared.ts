import type { Catalogue } from '../../movement/catalogue.ts';
import type { Dose } from '../../movement/dose.ts';
import { optionOf, type Exercise, type Option } from '../../movement/exercise.ts';
import { gearAfter, gearFor, type Gear } from '../../movement/gear.ts';
import { keepsShape, propsHeld } from '../item-props.ts';
import type { Occurrence } from '../occurrences.ts';
import { offeredOptions, type ExerciseItem } from '../plan.ts';
import type { SchoolRules } from '../school.ts';
import { doseOf, shownOption } from '../usual.ts';
import { variantsOf, type DoneVariant } from '../variants.ts';
import { stanceOf, type Stance } from './stance.ts';

/** An exercise item, one time that it is done, joined with all that decides its time but what stands beside it. */
export interface Prepared {
  item: ExerciseItem;
  exercise: Exercise;
  option: Option;
  dose: Dose;
  /** Whether more than one way is on offer, which takes words; variants are all done. */
  hasOptions: boolean;
  /** What it is made of, with the machine as each has it. */
  variants: readonly (DoneVariant & { gear: Gear | undefined })[];
  /** How the room stands when it begins, and when it is over. */
  stance: Stance;
  left: Stance;
}

/** Every time that an exercise is done, in turn; the machine stays set as the one before left it. */
export function prepareItems(
  done: readonly Occurrence[],
  school: SchoolRules,
  catalogue: Catalogue,
): Prepared[] {
  let before: Stance | undefined;
  return done.flatMap(({ item }): Prepared[] => {
    if (item.kind === 'pause') return [];
    const prepared = prepareItem(item, catalogue.require(item.exercise), school, before);
    before = prepared.left;
    return [prepared];
  });
}

function prepareItem(
  item: ExerciseItem,
  exercise: Exercise,
  school: SchoolRules,
  before: Stance | undefined,
): Prepared {
  const option = optionOf(exercise, shownOption(item, exercise, school));
  const dose = doseOf(item, exercise, school);
  let gear = gearAfter(before?.gear, gearFor(option, item.gear));
  const props = propsHeld(option.props, item, before?.props ?? []);
  const stance = stanceOf({ exercise, option, dose, gear, props, keepsShape: keepsShape(item) });
  const variants = variantsOf(item, exercise, school).map((variant) => {
    gear = gearAfter(gear, gearFor(variant.option, item.gear));
    return { ...variant, gear };
  });
  return {
    item,
    exercise,
    option,
    dose,
    hasOptions: !item.variants && offeredOptions(item, exercise).length > 1,
    variants,
    stance,
    left: { ...stance, gear },
  };
}
