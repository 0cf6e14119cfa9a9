import type { Catalogue } from '../movement/catalogue.ts';
import type { Dose } from '../movement/dose.ts';
import { optionOf, type Exercise } from '../movement/exercise.ts';
import { offeredOptions, type ExerciseItem, type School } from '../plan/plan.ts';
import type { SchoolRules } from '../plan/school.ts';
import { rulesOf } from '../plan/schools.ts';
import { breathingOf, kindOfPace } from '../plan/timing/breathing.ts';
import { STEADY_PACE } from '../plan/timing/pace.ts';
import { workParts } from '../plan/timing/work.ts';
import { doseOf } from '../plan/usual.ts';
import { variantsOf } from '../plan/variants.ts';
import type { ItemClock } from './hits.ts';

/** An item with what choosing needs of it, worked out once for everybody. */
export interface OfferedItem {
  item: ExerciseItem;
  exercise: Exercise;
  offered: readonly number[];
  dose: Dose;
  clock: ItemClock;
  catalogue: Catalogue;
}

const OFFERED = new WeakMap<ExerciseItem, OfferedItem & { school: School }>();

/** `lyingS`: how long the class lies on its back in one go, where the item stands within that. */
export function offerItem(
  item: ExerciseItem,
  school: School,
  catalogue: Catalogue,
  lyingS = 0,
): OfferedItem {
  const known = OFFERED.get(item);
  if (known?.school === school && known.catalogue === catalogue && known.clock.lyingS === lyingS) {
    return known;
  }
  const exercise = catalogue.require(item.exercise);
  const dose = doseOf(item, exercise, rulesOf(school));
  const made = {
    item,
    exercise,
    offered: offeredOptions(item, exercise),
    dose,
    clock: { ...clockOf(item, school, catalogue), lyingS },
    catalogue,
    school,
  };
  OFFERED.set(item, made);
  return made;
}

const CLOCKS = new WeakMap<
  ExerciseItem,
  { school: School; catalogue: Catalogue; clock: ItemClock }
>();

/** How long an item works at a steady pace, worked out once while it stays the same object. */
export function clockOf(item: ExerciseItem, school: School, catalogue: Catalogue): ItemClock {
  const known = CLOCKS.get(item);
  if (known?.school === school && known.catalogue === catalogue) return known.clock;
  const exercise = catalogue.require(item.exercise);
  const rules = rulesOf(school);
  const clock = clockIn(item, doseOf(item, exercise, rules), exercise, rules);
  CLOCKS.set(item, { school, catalogue, clock });
  return clock;
}

function clockIn(
  item: ExerciseItem,
  dose: Dose,
  exercise: Exercise,
  school: SchoolRules,
): ItemClock {
  const { position } = exercise;
  const variants = variantsOf(item, exercise, school);
  const done =
    variants.length > 0 ? variants : [{ option: optionOf(exercise, exercise.standard), dose }];
  const parts = done.flatMap(({ option, dose: each }) =>
    workParts({
      dose: each,
      tempo: kindOfPace(item, exercise, option),
      position,
      breathing: breathingOf(item, exercise, option, undefined),
      around: option,
      firstMoreS: 0,
      pace: STEADY_PACE,
    }),
  );
  return {
    workS: parts.reduce((sum, { kind, durationS }) => sum + (kind === 'work' ? durationS : 0), 0),
    lyingS: 0,
    holdS: dose.kind === 'hold' ? dose.holdS : 0,
    isStanding: position === 'standing' && dose.kind === 'hold',
  };
}
