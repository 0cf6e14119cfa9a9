import { createCatalogue, type Catalogue } from '@wrenfern/core/movement/catalogue';
import { Exercise, type ExerciseInput } from '@wrenfern/core/movement/exercise';
import { awareness } from './awareness.ts';
import { handsAndKnees } from './hands-and-knees.ts';
import { release } from './release.ts';
import { seatedAndProne } from './seated-and-prone.ts';
import { sideLying } from './side-lying.ts';
import { trunk } from './trunk.ts';

const families: readonly ExerciseInput[][] = [
  awareness,
  trunk,
  seatedAndProne,
  handsAndKnees,
  sideLying,
  release,
];

/** The movement catalogue that ships with Wrenfern, checked against the schema as it loads. */
export const builtInExercises: readonly Exercise[] = families
  .flat()
  .map((exercise) => Exercise.parse(exercise));

export const builtInCatalogue: Catalogue = createCatalogue(builtInExercises);
