import type { Edit } from '@wrenfern/core/plan/edits';
import type { Plan } from '@wrenfern/core/plan/plan';

/** Everything in a class replaced by another plan's parts, undone as one. Title and note stay. */
export function replacePlan(plan: Plan, by: Plan): Edit {
  return {
    type: 'together',
    edits: [
      ...plan.segments.map(({ id }) => ({ type: 'removeSegment' as const, segmentId: id })),
      ...by.segments.map((segment, index) => ({ type: 'addSegment' as const, index, segment })),
      {
        type: 'setDetails',
        details: { machine: by.machine, school: by.school, targetS: by.targetS },
      },
    ],
  };
}
