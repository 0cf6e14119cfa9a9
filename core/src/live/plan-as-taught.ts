import { applyEdit } from '../plan/apply-edit.ts';
import { planAsOccurrences } from '../plan/occurrences.ts';
import type { Plan } from '../plan/plan.ts';
import { whatStands, type LiveEvent } from './events.ts';

/** A change made in class, with the press that takes it back. */
export type LiveChange = Extract<LiveEvent, { type: 'change' }>;

/** What was changed on the way and stands, in turn. */
export function changesIn(events: readonly LiveEvent[]): LiveChange[] {
  return whatStands(events).filter((event) => event.type === 'change');
}

/**
 * The plan as the class goes on with it: what was left out, shortened or made longer on the way counts. What somebody
 * went to all the same stays in it; a change that finds nothing to change changes nothing. What is done more than once
 * is an item each time, which is what a class steps through and its events name.
 */
export function planAsTaught(plan: Plan, events: readonly LiveEvent[]): Plan {
  const gone = new Set(events.flatMap((event) => (event.type === 'goTo' ? event.itemId : [])));
  return changesIn(events).reduce((taught, { edit }) => {
    if (edit.type === 'removeItem' && gone.has(edit.itemId)) return taught;
    const result = applyEdit(taught, edit);
    return result.ok ? result.plan : taught;
  }, planAsOccurrences(plan));
}
