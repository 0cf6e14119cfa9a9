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

/** Exercises whose names, purpose, position or props contain every word asked for. */
export function searchCatalogue(catalogue: Catalogue, query: string): Exercise[] {
  const wanted = plainWords(query);
  if (wanted.length === 0) return [...catalogue.all];
  return catalogue.all
    .map((exercise) => ({ exercise, score: scoreMatch(exercise, wanted) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score || a.exercise.name.localeCompare(b.exercise.name))
    .map(({ exercise }) => exercise);
}

const IN_NAME = 10;
const IN_OTHER_NAME = 6;
const ELSEWHERE = 1;

function scoreMatch(exercise: Exercise, wanted: readonly string[]): number {
  const name = plain(`${exercise.name} ${exercise.slug}`);
  const others = plain(exercise.otherNames.join(' '));
  const rest = plain(
    [
      exercise.purpose,
      exercise.position,
      exercise.moves.join(' '),
      exercise.bodyParts.join(' '),
      exercise.options.flatMap((option) => option.props.map((use) => use.prop)).join(' '),
    ].join(' '),
  );
  let total = 0;
  for (const word of wanted) {
    const score = name.includes(word)
      ? IN_NAME
      : others.includes(word)
        ? IN_OTHER_NAME
        : rest.includes(word)
          ? ELSEWHERE
          : 0;
    if (score === 0) return 0;
    total += score;
  }
  return total;
}

function plain(text: string): string {
  return text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase().replace(/-/g, ' ');
}

function plainWords(text: string): string[] {
  return plain(text)
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);
}
