import type { Catalogue } from '../movement/catalogue.ts';
import type { Plan } from '../plan/plan.ts';
import type { TimingContext } from '../plan/timing/time-plan.ts';
import { draftedClass, type Criterion } from './criteria/drafted.ts';
import { effortCriteria } from './criteria/effort.ts';
import { machineCriteria } from './criteria/machine.ts';
import { partCriteria } from './criteria/parts.ts';
import { shapeCriteria } from './criteria/shape.ts';
import { wishCriteria } from './criteria/wished.ts';
import type { DraftWishes } from './wishes.ts';

/** What a draft must be: the draft itself is held against it, and whoever changes how drafts are made. Common practice. */
export function criteriaOf(
  plan: Plan,
  wishes: DraftWishes,
  catalogue: Catalogue,
  timing: TimingContext = {},
): Criterion[] {
  const drafted = draftedClass(plan, wishes, catalogue, timing);
  return [
    ...shapeCriteria(drafted),
    ...effortCriteria(drafted),
    ...partCriteria(drafted),
    ...wishCriteria(drafted),
    ...machineCriteria(drafted),
  ];
}
