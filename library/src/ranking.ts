import { levelOf } from '@wrenfern/core/body/load/option-level';
import { loadOf } from '@wrenfern/core/body/load/option-load';
import { skillOf } from '@wrenfern/core/body/load/option-skill';
import { optionOf } from '@wrenfern/core/movement/exercise';
import { rankCorrelation } from '@wrenfern/core/testing/rank-correlation';
import { builtInCatalogue } from './index.ts';
import { TEACHER_RANKING } from './teacher-ranking.ts';

/** An option as a teacher ranks it, and as the model does. */
export interface Ranked {
  name: string;
  /** The reformer, or the family on the mat. */
  family: string;
  step: number;
  load: number;
  skill: number;
  level: number;
}

export function rankedOptions(): Ranked[] {
  return TEACHER_RANKING.flatMap((names, index) =>
    names.map((name): Ranked => {
      const [slug = '', number] = name.split(' ');
      const exercise = builtInCatalogue.require(slug);
      const option = optionOf(exercise, Number(number));
      if (option.number !== Number(number)) throw new Error(`there is no option "${name}"`);
      return {
        name,
        family: exercise.machine === 'reformer' ? 'reformer' : exercise.family,
        step: index + 1,
        load: loadOf(option),
        skill: skillOf(exercise, option),
        level: levelOf(exercise, option).score,
      };
    }),
  );
}

/** How far the model agrees with the teacher on the order, -1 to 1. */
export function agreement(ranked: readonly Ranked[], by: 'load' | 'skill' | 'level'): number {
  return rankCorrelation(
    ranked.map(({ step }) => step),
    ranked.map((each) => each[by]),
  );
}
