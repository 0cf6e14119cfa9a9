import { randomLcg } from 'd3-random';
import { buildProblem } from '../search/build-problem.ts';
import type { OrderLocks } from '../search/lay-out-units.ts';
import type { OrderProblem } from '../search/problem.ts';
import { ruleContext } from '../review/rule-context.ts';
import { groupOf } from '../review/group.ts';
import type { Exercise } from '../movement/exercise.ts';
import { FOUNDATIONS, POSITIONS, SPINE_MOVES } from '../movement/vocabulary.ts';
import type { Plan, SchoolId } from '../plan/plan.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { createCatalogue, type Catalogue } from '../movement/catalogue.ts';
import { makeExercise } from './make-exercise.ts';
import { makePlan } from './make-plan.ts';

export interface RandomClass {
  plan: Plan;
  catalogue: Catalogue;
  familiar: ReadonlySet<string>;
}

/** A class of so many random exercises, in one part or two, some with pauses: the same for a seed. */
export function randomClass(
  seed: number,
  count: number,
  parts: number,
  pauses: number,
): RandomClass {
  const random = randomLcg(((seed % 9973) + 0.5) / 9973);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const slugs = Array.from({ length: count }, (_, index) => `e${index}`);
  const exercises = slugs.map((slug, index) =>
    randomExercise(slug, slugs.slice(index + 1), pick, random),
  );
  const size = Math.ceil(count / parts);
  const segments: Parameters<typeof makePlan>[0] = Array.from({ length: parts }, (_, part) =>
    slugs.slice(part * size, (part + 1) * size),
  );
  for (let pause = 0; pause < pauses; pause += 1) {
    const segment = segments[Math.floor(random() * segments.length)] ?? [];
    segment.splice(Math.floor(random() * (segment.length + 1)), 0, { pauseS: 40 });
  }
  return {
    plan: makePlan(segments, {
      school: pick<SchoolId>(['foundations-first', 'graded-load', 'timed-sets']),
    }),
    catalogue: createCatalogue(exercises),
    familiar: new Set(slugs.filter(() => random() < 0.5)),
  };
}

function randomExercise(
  slug: string,
  later: readonly string[],
  pick: <T>(list: readonly T[]) => T,
  random: () => number,
): Exercise {
  const foundation = () => ({ foundation: pick(FOUNDATIONS), depth: 1 + Math.floor(random() * 3) });
  return makeExercise(slug, {
    family: pick(['awareness', 'trunk', 'spine', 'hips', 'plank', 'release'] as const),
    position: pick(POSITIONS.slice(0, 7)),
    moves: [pick(SPINE_MOVES)],
    spineLoad: Math.floor(random() * 5),
    teaches: [foundation()],
    needs: random() < 0.5 ? [foundation()] : [],
    movers: [pick(['seat', 'belly', 'back'])],
    prepares: later.filter(() => random() < 0.12),
    tempo: pick(['limb-slow', 'hold', 'lift-trunk'] as const),
    dose: { kind: 'repetitions', count: 3 + Math.floor(random() * 10) },
    options: [
      {
        effort: pick([0, 1, 2, 3, 4] as const),
        demands: random() < 0.3 ? ['weight-on-wrists'] : [],
        props:
          random() < 0.4
            ? [
                {
                  prop: pick(['small-ball', 'cushion'] as const),
                  place: 'between knees',
                  role: 'feedback',
                },
              ]
            : [],
      },
      {},
    ],
  });
}

/** The problem of a random class. */
export function problemOf(
  { plan, catalogue, familiar }: RandomClass,
  locks: Partial<OrderLocks> = {},
): OrderProblem {
  const timeline = timePlan(plan, catalogue, { familiar });
  const group = groupOf([], '2026-11-25');
  return buildProblem(ruleContext({ plan, catalogue, timeline, familiar, group }), {
    pinned: new Set(),
    joined: new Set(),
    partsStay: true,
    ...locks,
  });
}
