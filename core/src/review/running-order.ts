import { freshId } from '../plan/fresh-id.ts';
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

export function newItem(plan: Plan, exercise: Exercise): ExerciseItem {
  return {
    kind: 'exercise',
    id: freshId(plan, exercise.slug),
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
