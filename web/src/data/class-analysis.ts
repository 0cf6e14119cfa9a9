import { analyse, type Analysis, type ClassContext } from '@wrenfern/core';
import type { Plan } from '@wrenfern/core/plan/plan';
import type { WholeClass } from './api-types.ts';
import { catalogue } from './catalogue.ts';

type Known = Pick<WholeClass, 'pace' | 'machines' | 'cupboard' | 'attendees' | 'day' | 'familiar'>;

export function contextOf(known: Known): ClassContext {
  return {
    pace: known.pace,
    machines: known.machines,
    cupboard: known.cupboard,
    attendees: known.attendees,
    day: known.day,
    familiar: new Set(known.familiar),
  };
}

/** Everything that follows from a class as it stands, or as it is being edited. */
export function analyseClass(known: Known, plan: Plan): Analysis {
  return analyse(plan, catalogue, contextOf(known));
}
