import type { Exercise } from './exercise.ts';
import { missingExercise } from './missing-exercise.ts';

/** The exercises that a studio can plan with, indexed once and never changed. */
export interface Catalogue {
  readonly all: readonly Exercise[];
  get(slug: string): Exercise | undefined;
  /** Never nothing: an exercise that was taken out is stood for by one that says so. */
  require(slug: string): Exercise;
}

/** Indexes exercises by slug; a later one replaces an earlier one of the same slug. */
export function createCatalogue(exercises: readonly Exercise[]): Catalogue {
  const bySlug = new Map(exercises.map((exercise) => [exercise.slug, exercise]));
  const all = [...bySlug.values()];
  return {
    all,
    get: (slug) => bySlug.get(slug),
    require: (slug) => bySlug.get(slug) ?? missingExercise(slug),
  };
}
