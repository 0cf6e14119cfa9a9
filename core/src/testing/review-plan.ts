import type { Catalogue } from '../movement/catalogue.ts';
import { groupOf } from '../review/group.ts';
import { reviewOrder } from '../review/review.ts';
import type { OpenFinding } from '../review/rule.ts';
import type { Attendee } from '../people/attendee.ts';
import { applyEdit } from '../plan/apply-edit.ts';
import type { Plan } from '../plan/plan.ts';
import { timePlan } from '../plan/timing/time-plan.ts';

interface Circumstances {
  attendees?: readonly Attendee[];
  familiar?: ReadonlySet<string>;
}

export const REVIEW_DAY = '2026-11-25';

/** Every finding about the order of a plan. */
export function reviewPlan(
  plan: Plan,
  catalogue: Catalogue,
  { attendees = [], ...timing }: Circumstances = {},
): OpenFinding[] {
  const retime = (edited: Plan) => timePlan(edited, catalogue, timing);
  const group = groupOf(attendees, REVIEW_DAY);
  return reviewOrder({ plan, catalogue, timeline: retime(plan), retime, group });
}

/** The findings of one rule. */
export function findingsOf(
  rule: string,
  plan: Plan,
  catalogue: Catalogue,
  circumstances: Circumstances = {},
): OpenFinding[] {
  return reviewPlan(plan, catalogue, circumstances).filter((finding) => finding.rule === rule);
}

/** The plan after the repair whose label matches; throws where there is none or it can't be applied. */
export function repaired(plan: Plan, finding: OpenFinding | undefined, label: RegExp): Plan {
  const repair = finding?.repairs().find((each) => label.test(each.label));
  if (!repair) {
    const offered = finding?.repairs().map((each) => each.label);
    throw new Error(`no repair ${String(label)} among ${String(offered)}`);
  }
  const result = applyEdit(plan, repair.edit);
  if (!result.ok) throw new Error(result.reason.code);
  return result.plan;
}
