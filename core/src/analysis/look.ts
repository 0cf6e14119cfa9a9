import type { Catalogue } from '../movement/catalogue.ts';
import { fitRepairs } from '../fit/fit-repairs.ts';
import { fitToTime, type Fit } from '../fit/fit-to-time.ts';
import { thoseWhoCome } from '../people/came.ts';
import { chooseOptions, VERSIONS_AT_ONCE } from '../people/choose-options.ts';
import type { Plan } from '../plan/plan.ts';
import type { Timeline } from '../plan/timing/timeline.ts';
import { coverDirections } from '../review/coverage.ts';
import { findingId } from '../review/finding-list.ts';
import { groupOf } from '../review/group.ts';
import { machineFindings } from '../review/machine-findings.ts';
import { missingFindings } from '../review/missing-findings.ts';
import { reviewOrder, type ReviewInput } from '../review/review.ts';
import { partFindings } from '../review/part-findings.ts';
import { roomFindings } from '../review/room-findings.ts';
import { ruleContext } from '../review/rule-context.ts';
import type { OpenFinding, RuleContext } from '../review/rule.ts';
import { sumFindings } from '../review/sum-findings.ts';
import { timeFindings } from '../review/time-findings.ts';
import { gearBlocks } from '../room/gear-blocks.ts';
import { PLAIN_MACHINES } from '../room/machines.ts';
import { planProps } from '../room/props.ts';
import { timeClass, type Analysis, type ClassContext } from './class-context.ts';

/** A class worked out, with the way to what would mend it. */
export interface Look {
  analysis: Omit<Analysis, 'findings' | 'untold' | 'setAside'>;
  untold: number;
  setAside: { finding: OpenFinding; reason: string }[];
  rules: RuleContext;
  findings: OpenFinding[];
  fit: (targetS: number, open?: ReadonlySet<string>) => Fit;
}

/** A class in which all do the same. */
export function lookAt(plan: Plan, catalogue: Catalogue, booked: ClassContext): Look {
  const context = { ...booked, attendees: thoseWhoCome(booked.attendees) };
  const machines = context.machines ?? PLAIN_MACHINES;
  const retime = (edited: Plan) => timeClass(edited, catalogue, context);
  const timeline = retime(plan);
  const atOnce = context.versionsAtOnce ?? VERSIONS_AT_ONCE;
  const serve = (of: Plan, timed: Timeline) => {
    const options = chooseOptions(of, context.attendees, catalogue, context.day, atOnce);
    return { options, props: planProps(of, timed, options, catalogue, context.cupboard) };
  };
  const { options, props } = serve(plan, timeline);
  const group = groupOf(context.attendees, context.day);
  const input = { plan, catalogue, timeline, retime, group, familiar: context.familiar };
  const rules = ruleContext(input);
  const fit = (targetS: number, open?: ReadonlySet<string>) =>
    fitToTime(plan, targetS, {
      ...(open ? { open } : {}),
      rules,
      retime,
      look: (edited) => orderOf({ ...input, plan: edited, timeline: retime(edited) }),
    });
  const gear = gearBlocks(setItems(rules), machines);
  const { told, untold, setAside } = tell(plan, reviewOrder(input, rules));
  const { attendees, day } = context;
  const rework = (edited: Plan) => serve(edited, retime(edited));
  const findings = [
    ...missingFindings(plan, catalogue),
    ...timeFindings(rules, () => fitRepairs(fit(plan.targetS))),
    ...partFindings({
      plan,
      timeline,
      fitPart: (itemIds, changeS, lastsS) =>
        fitRepairs(fit(timeline.totalS + changeS, itemIds), lastsS),
    }),
    ...told,
    ...roomFindings({ rules, options, props, attendees, versionsAtOnce: atOnce, rework }),
    ...sumFindings({ rules, options, attendees, day, rework }),
    ...machineFindings({ rules, gear, machines, atOnce: attendees.length }),
  ];
  const coverage = coverDirections(timeline);
  const analysis = { timeline, coverage, options, props, gear };
  return { analysis, rules, findings, untold, setAside, fit };
}

/** More than this at once nobody hears. Common practice. */
const TOLD_AT_ONCE = 7;

/** What the review says: without what stands on purpose, and no more than can be heard. */
export function tell(
  { setAside: reasons = [] }: Plan,
  found: readonly OpenFinding[],
): Pick<Look, 'untold' | 'setAside'> & { told: OpenFinding[] } {
  const reasonOf = ({ rule, key }: OpenFinding) =>
    reasons.find((each) => each.rule === rule && each.key === key)?.reason;
  const open = found.filter((finding) => reasonOf(finding) === undefined);
  const setAside = found.flatMap((finding) => {
    const reason = reasonOf(finding);
    return reason === undefined ? [] : [{ finding, reason }];
  });
  const told = open.slice(0, TOLD_AT_ONCE);
  return { told, untold: open.length - told.length, setAside };
}

/** Every time that an exercise is done on a machine, with how it is set for it. */
export function setItems({
  worked,
  timeline,
  catalogue,
}: RuleContext): Parameters<typeof gearBlocks>[0] {
  const gearOf = new Map(worked.map(({ item, gear }) => [item.id, gear]));
  return timeline.items.flatMap((timed) =>
    timed.exercise !== undefined && catalogue.require(timed.exercise).machine !== 'mat'
      ? [{ timed, gear: gearOf.get(timed.itemId) }]
      : [],
  );
}

/** What the rules find in an edited plan. */
export function orderOf(input: ReviewInput): { binding: ReadonlySet<string>; count: number } {
  const found = reviewOrder(input);
  return {
    binding: new Set(found.filter(({ binding }) => binding).map(findingId)),
    count: found.length,
  };
}
