import type { Catalogue } from '../../movement/catalogue.ts';
import type { Position } from '../../movement/vocabulary.ts';
import type { Plan } from '../../plan/plan.ts';
import { timePlan, type TimingContext } from '../../plan/timing/time-plan.ts';
import type { TimedItem } from '../../plan/timing/timeline.ts';
import { ruleContext } from '../../review/rule-context.ts';
import type { RuleContext } from '../../review/rule.ts';
import type { DraftWishes } from '../wishes.ts';

/** One thing that a drafted class must be, and what was found of it. */
export interface Criterion {
  id: string;
  isMet: boolean;
  found: string;
  /** Slugs of those that are in the way; none where it is the class as a whole. */
  by: readonly string[];
}

/** A drafted class with all that criteria look at. */
export interface Drafted extends Pick<RuleContext, 'plan' | 'school' | 'timeline' | 'worked'> {
  wishes: DraftWishes;
  catalogue: Catalogue;
  /** What is done, each pass of a series and each round by itself; no pauses. */
  done: readonly TimedItem[];
  type: 'mat' | 'machine' | 'timed' | 'sequence';
}

export function draftedClass(
  plan: Plan,
  wishes: DraftWishes,
  catalogue: Catalogue,
  timing: TimingContext,
): Drafted {
  const timeline = timePlan(plan, catalogue, timing);
  const { worked, school } = ruleContext({ plan, catalogue, timeline });
  const done = timeline.items.filter(({ kind }) => kind === 'exercise');
  return { plan, wishes, catalogue, school, timeline, worked, done, type: typeOf(plan, school) };
}

function typeOf({ machine }: Plan, school: Drafted['school']): Drafted['type'] {
  if (machine === 'reformer') return 'machine';
  if (school.defaults.dose.kind === 'timed') return 'timed';
  return school.rules['classic-order'] === 'must' ? 'sequence' : 'mat';
}

export const criterion = (
  id: string,
  isMet: boolean,
  found: string,
  by: readonly (string | undefined)[] = [],
): Criterion => ({ id, isMet, found, by: by.filter((slug) => slug !== undefined) });

export const LYING: readonly Position[] = ['supine', 'prone', 'side-lying'];

export const rounded = (value: number, digits = 1) => String(Number(value.toFixed(digits)));
export const percent = (share: number) => `${rounded(100 * share)} %`;

/** Where in the class something begins, 0 to 1. */
export const shareAt = ({ timeline }: Drafted, { startS }: TimedItem) =>
  startS / Math.max(1, timeline.totalS);
