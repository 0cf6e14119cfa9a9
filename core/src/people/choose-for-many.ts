import type { Catalogue } from '../movement/catalogue.ts';
import { exerciseItemsOf, offeredOptions, type ExerciseItem, type Plan } from '../plan/plan.ts';
import { memberOn, type Attendee } from './attendee.ts';
import type { HandChoice } from './choice.ts';
import { lyingRuns } from './lying-runs.ts';
import { offerItem } from './offered-item.ts';
import { standingOf } from './standing.ts';

/** Who can be given an option by one press, and who keeps what is worked out for them. */
export interface Reach<Who extends Attendee = Attendee> {
  can: Who[];
  keep: Who[];
}

/**
 * An option suits somebody where it is no higher than their own and some way of doing it (with supports, smaller,
 * less of it) keeps within all their bounds on each side. One press for many never goes against anybody's caution.
 */
export function whoCanDo<Who extends Attendee>(
  option: number,
  item: ExerciseItem,
  plan: Plan,
  attendees: readonly Who[],
  catalogue: Catalogue,
  day: string,
): Reach<Who> {
  const reach: Reach<Who> = { can: [], keep: [] };
  const only: ExerciseItem = { ...item, options: [option] };
  const offer = offerItem(only, plan.school, catalogue, lyingRuns(plan, catalogue).get(item.id));
  for (const attendee of attendees) {
    const { strands } = standingOf(memberOn(attendee, day), offer);
    (strands.every(({ open }) => open.length > 0) ? reach.can : reach.keep).push(attendee);
  }
  return reach;
}

/** The first option of every exercise that suits somebody, by item; the rest stays worked out. */
export function firstOptions(
  plan: Plan,
  attendee: Attendee,
  catalogue: Catalogue,
  day: string,
): Record<string, HandChoice> {
  const chosen: Record<string, HandChoice> = {};
  for (const item of exerciseItemsOf(plan)) {
    if (item.variants) continue;
    const [first] = offeredOptions(item, catalogue.require(item.exercise));
    if (first === undefined) continue;
    const { can } = whoCanDo(first, item, plan, [attendee], catalogue, day);
    if (can.length > 0) chosen[item.id] = { kind: 'option', option: first };
  }
  return chosen;
}
