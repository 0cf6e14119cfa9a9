import { createCatalogue, type Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { exercises } from './exercises.generated.js';

/** The exercises that ship with Wrenfern, by machine and family. */
export const builtInExercises: readonly Exercise[] = exercises;

export const builtInCatalogue: Catalogue = createCatalogue(builtInExercises);
