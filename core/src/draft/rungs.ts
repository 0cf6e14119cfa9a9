import { effortOfExercise } from '../body/load/option-load.ts';
import type { Catalogue } from '../movement/catalogue.ts';
import { leadsTo, type Exercise } from '../movement/exercise.ts';

/** What leads to an exercise that a class climbs to. */
export interface Rungs {
  /** By the library's links. */
  isLinked: (slug: string) => boolean;
  /** That, over one other, or like the goal and lighter: the same place, a shared part of the body, the same kind. */
  isRung: (slug: string) => boolean;
}

export const NO_RUNGS: Rungs = { isLinked: () => false, isRung: () => false };

export function rungsTo(goal: string, catalogue: Catalogue): Rungs {
  const top = catalogue.get(goal);
  const next = (slug: string) => {
    const exercise = catalogue.get(slug);
    return exercise ? leadsTo(exercise) : [];
  };
  const isLinked = (slug: string) => next(slug).includes(goal);
  const isLinkedOver = (slug: string) => next(slug).some(isLinked);
  return {
    isLinked,
    isRung: (slug) => {
      const exercise = catalogue.get(slug);
      if (slug === goal || !exercise || !top) return false;
      return isLinked(slug) || isLinkedOver(slug) || isLighterKind(exercise, top);
    },
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
