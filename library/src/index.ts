import { createCatalogue, type Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { keepLoad } from '@wrenfern/core/body/load/option-load';
import { keepSkill } from '@wrenfern/core/body/load/option-skill';
import { keepMeasuredDemands } from '@wrenfern/core/people/demands';
import { keepAsked } from '@wrenfern/core/people/asked';
import { readAsked } from '@wrenfern/core/people/write-asked';
import { asked, exercises, measured } from './exercises.generated.js';

/** The exercises that ship with Wrenfern, by machine and family. */
export const builtInExercises: readonly Exercise[] = exercises;

exercises.forEach((exercise, index) =>
  exercise.options.forEach((option, at) => {
    const known = measured[index]?.[at];
    const written = asked[index]?.[at];
    if (!known || !written)
      throw new Error(`${option.name}: the library was compiled without its measures`);
    const [load, skill, ...demands] = known;
    keepLoad(option, load);
    keepSkill(exercise, option, skill);
    keepMeasuredDemands(option, demands);
    keepAsked(option, () => readAsked(written));
  }),
);

export const builtInCatalogue: Catalogue = createCatalogue(builtInExercises);
