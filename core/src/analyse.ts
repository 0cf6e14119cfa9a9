import type { Catalogue } from './movement/catalogue.ts';
import {
  coverClass,
  coverDirections,
  type CoverageLine,
  type DirectionCoverage,
} from './review/coverage.ts';
import { fitRepairs } from './fit/fit-repairs.ts';
import { fitToTime, type Fit } from './fit/fit-to-time.ts';
import { groupOf } from './review/group.ts';
import { findingId } from './review/finding-list.ts';
import { reviewOrder, type ReviewInput } from './review/review.ts';
import { ruleContext } from './review/rule-context.ts';
import type { Finding, OpenFinding, Repair, RuleContext } from './review/rule.ts';
import { machineFindings } from './review/machine-findings.ts';
import { missingFindings } from './review/missing-findings.ts';
import { roomFindings } from './review/room-findings.ts';
import { sumFindings } from './review/sum-findings.ts';
import { timeFindings } from './review/time-findings.ts';
import { thoseWhoCome } from './people/came.ts';
import type { Attendee } from './people/attendee.ts';
import { chooseOptions, VERSIONS_AT_ONCE, type OptionsPlan } from './people/choose-options.ts';
import { timePlan, type TimingContext } from './plan/timing/time-plan.ts';
import type { Timeline } from './plan/timing/timeline.ts';
import type { Plan } from './plan/plan.ts';
import { gearBlocks, type GearBlock } from './room/gear-blocks.ts';
import { PLAIN_MACHINES, type Machines } from './room/machines.ts';
import { planProps, type Cupboard, type PropNeed } from './room/props.ts';

export interface ClassContext extends TimingContext {
  attendees: readonly Attendee[];
  cupboard: Cupboard;
  /** The studio's machines; plain ones when left out. */
  machines?: Machines;
  /** The day of the class, year-month-day: decides which cautions are in force. */
  day: string;
  /** How many ways of one exercise a teacher can cue at once. */
  versionsAtOnce?: number;
}

/** Everything that follows from a plan and who comes: data only, and nothing of it is ever stored. */
export interface Analysis {
  timeline: Timeline;
  coverage: DirectionCoverage;
  options: OptionsPlan;
  props: PropNeed[];
  /** How the machines are set, block by block; none on the mat. */
  gear: GearBlock[];
  /** What is left to settle, gravest first; of order, shape and flow no more than a teacher can hear. */
  findings: Finding[];
  /** How many more there are that are not told yet. */
  untold: number;
  /** What stands on purpose. */
  setAside: { finding: Finding; reason: string }[];
}

/** Cheap enough to run on every keystroke. What the catalogue lacks is told, never thrown. */
export function analyse(plan: Plan, catalogue: Catalogue, context: ClassContext): Analysis {
  const { analysis, findings, untold, setAside } = lookInto(plan, catalogue, context);
  return {
    ...analysis,
    findings: findings.map(asData),
    untold,
    setAside: setAside.map(({ finding, reason }) => ({ finding: asData(finding), reason })),
  };
}

function asData({ repairs: _, ...finding }: OpenFinding): Finding {
  return finding;
}

/** The class in time alone, by the pace of its teacher and the seconds of its machines. */
export function timeClass(plan: Plan, catalogue: Catalogue, context: ClassContext): Timeline {
  const { seconds: gearSeconds } = context.machines ?? PLAIN_MACHINES;
  return timePlan(plan, catalogue, { gearSeconds, ...context });
}

/** What would settle a finding of this plan: each repair was tried and truly does. */
export function repairsOf(
  plan: Plan,
  catalogue: Catalogue,
  context: ClassContext,
  wanted: Pick<Finding, 'rule' | 'key'>,
): readonly Repair[] {
  const { findings } = lookInto(plan, catalogue, context);
  const open = findings.find(({ rule, key }) => rule === wanted.rule && key === wanted.key);
  return open?.repairs() ?? [];
}

/** Everything that a class is made of, against the targets of its school. */
export function balanceOf(plan: Plan, catalogue: Catalogue, context: ClassContext): CoverageLine[] {
  return coverClass(lookInto(plan, catalogue, context).rules);
}

/**
 * What would bring the class to a length: change by change, and the set of changes that costs least. `open` holds the
 * items that can still change, in a class that is being taught.
 */
export function fitClass(
  plan: Plan,
  catalogue: Catalogue,
  context: ClassContext,
  targetS: number,
  open?: ReadonlySet<string>,
): Fit {
  return lookInto(plan, catalogue, context).fit(targetS, open);
}

interface Look {
  analysis: Omit<Analysis, 'findings' | 'untold' | 'setAside'>;
  untold: number;
  setAside: { finding: OpenFinding; reason: string }[];
  rules: RuleContext;
  findings: OpenFinding[];
  fit: (targetS: number, open?: ReadonlySet<string>) => Fit;
}

function lookInto(plan: Plan, catalogue: Catalogue, booked: ClassContext): Look {
  const context = { ...booked, attendees: thoseWhoCome(booked.attendees) };
  const machines = context.machines ?? PLAIN_MACHINES;
  const retime = (edited: Plan) => timeClass(edited, catalogue, context);
  const timeline = retime(plan);
  const atOnce = context.versionsAtOnce ?? VERSIONS_AT_ONCE;
  const serve = (of: Plan, timed: Timeline) => {
    const options = chooseOptions(of, context.attendees, catalogue, context.day, atOnce);
    return { options, props: planProps(timed, options, catalogue, context.cupboard) };
  };
  const { options, props } = serve(plan, timeline);
  const group = groupOf(context.attendees, context.day);
  const input = { plan, catalogue, timeline, retime, group, familiar: context.familiar };
  const rules = ruleContext(input);
  const fitTo = (targetS: number, open?: ReadonlySet<string>) =>
    fitToTime(plan, targetS, {
      ...(open ? { open } : {}),
      rules,
      retime,
      look: (edited) => orderOf({ ...input, plan: edited, timeline: retime(edited) }),
    });
  const gear = gearBlocks(setItems(rules), machines);
  const { told, untold, setAside } = tell(plan, reviewOrder(input, rules));
  const findings = [
    ...missingFindings(plan, catalogue),
    ...timeFindings(rules, () => fitRepairs(fitTo(plan.targetS))),
    ...told,
    ...roomFindings({
      rules,
      options,
      props,
      attendees: context.attendees,
      versionsAtOnce: atOnce,
      rework: (edited) => serve(edited, retime(edited)),
    }),
    ...sumFindings({
      rules,
      options,
      attendees: context.attendees,
      day: context.day,
      rework: (edited) => serve(edited, retime(edited)),
    }),
    ...machineFindings({ rules, gear, machines, attendees: context.attendees }),
  ];
  const coverage = coverDirections(timeline);
  const analysis = { timeline, coverage, options, props, gear };
  return { analysis, rules, findings, untold, setAside, fit: fitTo };
}

/** More than this at once nobody hears. Common practice. */
const TOLD_AT_ONCE = 7;

/** What the review says: without what stands on purpose, and no more than can be heard. */
function tell(
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

/** Every time that an exercise is done, with how the machine is set for it. */
function setItems({ worked, timeline }: RuleContext): Parameters<typeof gearBlocks>[0] {
  const gearOf = new Map(worked.map(({ item, gear }) => [item.id, gear]));
  return timeline.items.flatMap((timed) =>
    timed.kind === 'exercise' ? [{ timed, gear: gearOf.get(timed.itemId) }] : [],
  );
}

/** What the rules find in an edited plan. */
function orderOf(input: ReviewInput): { binding: ReadonlySet<string>; count: number } {
  const found = reviewOrder(input);
  return {
    binding: new Set(found.filter(({ binding }) => binding).map(findingId)),
    count: found.length,
  };
}
