import { effortOfExercise } from '../body/load/option-load.ts';
import type { Catalogue } from '../movement/catalogue.ts';
import type { Exercise } from '../movement/exercise.ts';

/**
 * How well one exercise stands in for another, in points: what the author prefers before everything, in that order, then the
 * position (nobody has to turn over), what both teach, the parts that both work, and what the spine does; each
 * step of effort apart and each prop that is not in use already counts against it. Common practice.
 */
const POINTS = {
  preferred: 10_000,
  preferredNext: 100,
  samePosition: 8,
  taught: 3,
  part: 2,
  move: 1,
  effortStep: -1,
  prop: -1,
} as const;

/** Steps of effort that a stand-in may ask more. */
const MORE_EFFORT = 1;

const KNOWN = new WeakMap<Catalogue, Map<string, readonly Exercise[]>>();

/**
 * What could be done in place of an exercise, best first: everything on the same machine that shares with it
 * something taught and a part of the body, and what its author names.
 */
export function standInsFor(exercise: Exercise, catalogue: Catalogue): readonly Exercise[] {
  const known = KNOWN.get(catalogue) ?? new Map<string, readonly Exercise[]>();
  KNOWN.set(catalogue, known);
  const found = known.get(exercise.slug) ?? rank(exercise, catalogue);
  known.set(exercise.slug, found);
  return found;
}

function rank(exercise: Exercise, catalogue: Catalogue): Exercise[] {
  return catalogue.all
    .flatMap((other) => {
      const points = other.slug === exercise.slug ? undefined : pointsOf(exercise, other);
      return points === undefined ? [] : [{ other, points }];
    })
    .sort((a, b) => b.points - a.points || (a.other.slug < b.other.slug ? -1 : 1))
    .map(({ other }) => other);
}

/** Undefined where nothing is shared. */
function pointsOf(exercise: Exercise, other: Exercise): number | undefined {
  const place = exercise.swaps.indexOf(other.slug);
  const taught = shared(foundationsOf(exercise), foundationsOf(other));
  const parts = shared(exercise.bodyParts, other.bodyParts);
  const steps = effortOfExercise(other) - effortOfExercise(exercise);
  const fits =
    other.machine === exercise.machine &&
    other.closing === exercise.closing &&
    taught > 0 &&
    parts > 0 &&
    steps <= MORE_EFFORT;
  if (place < 0 && !fits) return undefined;
  return (
    (place < 0 ? 0 : POINTS.preferred - place * POINTS.preferredNext) +
    (other.position === exercise.position ? POINTS.samePosition : 0) +
    taught * POINTS.taught +
    parts * POINTS.part +
    shared(exercise.moves, other.moves) * POINTS.move +
    Math.abs(steps) * POINTS.effortStep +
    newProps(exercise, other) * POINTS.prop
  );
}

const foundationsOf = ({ teaches }: Exercise) => teaches.map(({ foundation }) => foundation);

function shared<T>(some: readonly T[], others: readonly T[]): number {
  return some.filter((each) => others.includes(each)).length;
}

function newProps(exercise: Exercise, other: Exercise): number {
  const needed = ({ options }: Exercise) =>
    new Set(
      options
        .flatMap(({ props }) => props.filter(({ optional }) => !optional))
        .map(({ prop }) => prop),
    );
  const own = needed(exercise);
  return [...needed(other)].filter((prop) => !own.has(prop)).length;
}
