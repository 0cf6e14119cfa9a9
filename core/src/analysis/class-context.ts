import type { Catalogue } from '../movement/catalogue.ts';
import type { Attendee } from '../people/attendee.ts';
import type { OptionsPlan } from '../people/choose-options.ts';
import type { Plan } from '../plan/plan.ts';
import { timePlan, type TimingContext } from '../plan/timing/time-plan.ts';
import { timelineOfBoth, timeTracks } from '../plan/timing/time-tracks.ts';
import type { Timeline } from '../plan/timing/timeline.ts';
import { isMixed } from '../plan/tracks.ts';
import type { DirectionCoverage } from '../review/coverage.ts';
import type { Finding } from '../review/rule.ts';
import type { GearBlock } from '../room/gear-blocks.ts';
import { PLAIN_MACHINES, type Machines } from '../room/machines.ts';
import type { Cupboard, PropNeed } from '../room/props.ts';

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

/** What decides the seconds of a class: its teacher's pace, who knows what, what its machines take. */
export function timingOf(context: ClassContext): TimingContext {
  const { seconds: gearSeconds } = context.machines ?? PLAIN_MACHINES;
  return { gearSeconds, ...context };
}

/** The class in time alone, by the pace of its teacher and the seconds of its machines. */
export function timeClass(plan: Plan, catalogue: Catalogue, context: ClassContext): Timeline {
  const timing = timingOf(context);
  return isMixed(plan)
    ? timelineOfBoth(plan, timeTracks(plan, catalogue, timing))
    : timePlan(plan, catalogue, timing);
}
