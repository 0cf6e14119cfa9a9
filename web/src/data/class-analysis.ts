import {
  analyse,
  balanceOf,
  repairsOf,
  timeClass,
  type Analysis,
  type ClassContext,
} from '@wrenfern/core';
import { familiarIn } from '@wrenfern/core/log/familiar';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Plan } from '@wrenfern/core/plan/plan';
import type { Timeline } from '@wrenfern/core/plan/timing/timeline';
import type { CoverageLine } from '@wrenfern/core/review/coverage';
import type { Finding, Repair } from '@wrenfern/core/review/rule';
import type { WholeClass } from '@wrenfern/contract/classes';

type Known = Pick<WholeClass, 'pace' | 'machines' | 'cupboard' | 'attendees' | 'day' | 'familiar'>;

export function contextOf(known: Known): ClassContext {
  return {
    pace: known.pace,
    machines: known.machines,
    cupboard: known.cupboard,
    attendees: known.attendees,
    day: known.day,
    ...familiarIn(known.attendees, known.familiar),
  };
}

/** Everything that follows from a class as it stands, or as it is being edited. */
export function analyseClass(known: Known, plan: Plan, catalogue: Catalogue): Analysis {
  return analyse(plan, catalogue, contextOf(known));
}

/** Its seconds alone, as it is or as it might be. */
export function timeIn(known: Known, plan: Plan, catalogue: Catalogue): Timeline {
  return timeClass(plan, catalogue, contextOf(known));
}

/** What would settle one of its findings. */
export function repairsIn(
  known: Known,
  plan: Plan,
  catalogue: Catalogue,
  finding: Finding,
): readonly Repair[] {
  return repairsOf(plan, catalogue, contextOf(known), finding);
}

/** What it is made of, against the targets of its school. */
export function balanceIn(known: Known, plan: Plan, catalogue: Catalogue): CoverageLine[] {
  return balanceOf(plan, catalogue, contextOf(known));
}
