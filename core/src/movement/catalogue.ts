import type { Exercise } from './exercise.ts';

/** The exercises that a studio can plan with, indexed once and never changed. */
export interface Catalogue {
  readonly all: readonly Exercise[];
  get(slug: string): Exercise | undefined;
  /** Use where the slug is known to resolve, e.g. after `checkPlan`. Throws otherwise. */
  require(slug: string): Exercise;
}

/** Indexes exercises by slug; a later one replaces an earlier one of the same slug. */
export function createCatalogue(exercises: readonly Exercise[]): Catalogue {
  const bySlug = new Map(exercises.map((exercise) => [exercise.slug, exercise]));
  const all = [...bySlug.values()];
  return {
    all,
    get: (slug) => bySlug.get(slug),
    require(slug) {
      const exercise = bySlug.get(slug);
      if (!exercise) throw new Error(`no exercise "${slug}" in this catalogue`);
      return exercise;
    },
  };
}
