import { createCatalogue, type Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { keepMeasuredDemands } from '@wrenfern/core/people/demands';
import { exercises, measured } from './exercises.generated.js';

/** The exercises that ship with Wrenfern, by machine and family. */
export const builtInExercises: readonly Exercise[] = exercises;

exercises.forEach(({ options }, index) =>
  options.forEach((option, at) => {
    const known = measured[index]?.[at];
    if (known) keepMeasuredDemands(option, known);
  }),
);

export const builtInCatalogue: Catalogue = createCatalogue(builtInExercises);
