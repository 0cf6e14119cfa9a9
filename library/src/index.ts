import { createCatalogue, type Catalogue } from '@wrenfern/core/movement/catalogue';
import { Exercise, type ExerciseInput } from '@wrenfern/core/movement/exercise';
import { awareness } from './awareness.ts';
import { bridges } from './bridges.ts';
import { curls } from './curls.ts';
import { handsAndKnees } from './hands-and-knees.ts';
import { lyingBasics } from './lying-basics.ts';
import { planks } from './planks.ts';
import { proneWork } from './prone-work.ts';
import { reformerBox } from './reformer-box.ts';
import { reformerHands } from './reformer-hands.ts';
import { reformerLying } from './reformer-lying.ts';
import { reformerUpright } from './reformer-upright.ts';
import { release } from './release.ts';
import { rolling } from './rolling.ts';
import { seatedAndProne } from './seated-and-prone.ts';
import { sideLying } from './side-lying.ts';
import { sideWork } from './side-work.ts';
import { sitting } from './sitting.ts';
import { stretches } from './stretches.ts';
import { trunk } from './trunk.ts';

const written: Record<string, readonly ExerciseInput[]> = {
  awareness,
  lyingBasics,
  trunk,
  curls,
  bridges,
  rolling,
  sitting,
  seatedAndProne,
  proneWork,
  handsAndKnees,
  planks,
  sideLying,
  sideWork,
  release,
  stretches,
  reformerLying,
  reformerHands,
  reformerUpright,
  reformerBox,
};

/** The movement catalogue that ships with Wrenfern by family, checked against the schema as it loads. */
export const families: Readonly<Record<string, readonly Exercise[]>> = Object.fromEntries(
  Object.entries(written).map(([family, exercises]) => [
    family,
    exercises.map((exercise) => Exercise.parse(exercise)),
  ]),
);

export const builtInExercises: readonly Exercise[] = Object.values(families).flat();

export const builtInCatalogue: Catalogue = createCatalogue(builtInExercises);
