import { effortOfExercise } from '../body/load/option-load.ts';
import type { Catalogue } from '../movement/catalogue.ts';
import { leadsTo, type Exercise } from '../movement/exercise.ts';

/**
 * Whether an exercise leads to a goal, by itself or over one other; and what is like the goal and lighter: the same place,
 * a shared part of the body, the same kind. A rung of the climb.
 */
export function isRungTo(goal: string, catalogue: Catalogue): (slug: string) => boolean {
  const top = catalogue.get(goal);
  const next = (slug: string) => {
    const exercise = catalogue.get(slug);
    return exercise ? leadsTo(exercise) : [];
  };
  const isLinked = (slug: string) =>
    next(slug).includes(goal) || next(slug).some((each) => next(each).includes(goal));
  return (slug) => {
    const exercise = catalogue.get(slug);
    if (slug === goal || !exercise || !top) return false;
    return isLinked(slug) || isLighterKind(exercise, top);
  };
}

function isLighterKind(exercise: Exercise, top: Exercise): boolean {
  return (
    exercise.machine === top.machine &&
    exercise.position === top.position &&
    exercise.family === top.family &&
    exercise.bodyParts.some((part) => top.bodyParts.includes(part)) &&
    effortOfExercise(exercise) <= effortOfExercise(top)
  );
}
