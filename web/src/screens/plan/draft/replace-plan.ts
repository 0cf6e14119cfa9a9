import type { Edit } from '@wrenfern/core/plan/edits';
import type { Plan } from '@wrenfern/core/plan/plan';

/** Everything in a class replaced by another plan's, undone as one. Title and note stay. */
export function replacePlan(plan: Plan, by: Plan): Edit {
  return {
    type: 'together',
    edits: [
      ...plan.segments.map(({ id }) => ({ type: 'removeSegment' as const, segmentId: id })),
      ...(plan.brackets ?? []).map(({ id }) => ({ type: 'removeBracket' as const, bracketId: id })),
      ...(plan.setAside ?? []).map(({ rule, key }) => ({ type: 'setAside' as const, rule, key })),
      ...(by.brackets ?? []).map((bracket) => ({ type: 'addBracket' as const, bracket })),
      ...(by.setAside ?? []).map((each) => ({ type: 'setAside' as const, ...each })),
      ...by.segments.map((segment, index) => ({ type: 'addSegment' as const, index, segment })),
      {
        type: 'setDetails',
        details: {
          machine: by.machine,
          school: by.school,
          targetS: by.targetS,
          style: by.style,
          changeOver: by.changeOver,
        },
      },
    ],
  };
}
