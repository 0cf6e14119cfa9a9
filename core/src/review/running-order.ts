import type { Exercise } from '../movement/exercise.ts';
import type { ExerciseItem, Plan, PlanPlace } from '../plan/plan.ts';
import type { Catalogue } from '../movement/catalogue.ts';

/** A place in the running order, as a segment and an index in it. */
export function placeAt(plan: Plan, orderIndex: number): PlanPlace | undefined {
  let left = orderIndex;
  for (const segment of plan.segments) {
    if (left <= segment.items.length) return { segmentId: segment.id, index: left };
    left -= segment.items.length;
  }
  const last = plan.segments.at(-1);
  return last && { segmentId: last.id, index: last.items.length };
}

/** An id for a new item that the plan does not use yet. */
export function freshItemId(plan: Plan, slug: string, taken: readonly string[] = []): string {
  const used = new Set([
    ...taken,
    ...plan.segments.flatMap((segment) => [segment.id, ...segment.items.map((item) => item.id)]),
  ]);
  let number = 1;
  while (used.has(`${slug.slice(0, 56)}-${number}`)) number += 1;
  return `${slug.slice(0, 56)}-${number}`;
}

export function newItem(plan: Plan, exercise: Exercise): ExerciseItem {
  return {
    kind: 'exercise',
    id: freshItemId(plan, exercise.slug),
    exercise: exercise.slug,
    restS: 0,
    note: '',
  };
}

/** What a repair may add: exercises of the machine that the class is on. */
export function candidatesOf(context: { plan: Plan; catalogue: Catalogue }): readonly Exercise[] {
  return context.catalogue.all.filter(({ machine }) => machine === context.plan.machine);
}

/** Candidates that are not in the class yet. */
export function unusedOf(context: { plan: Plan; catalogue: Catalogue }): Exercise[] {
  const used = new Set(
    context.plan.segments.flatMap(({ items }) =>
      items.flatMap((item) => (item.kind === 'exercise' ? [item.exercise] : [])),
    ),
  );
  return candidatesOf(context).filter(({ slug }) => !used.has(slug));
}
