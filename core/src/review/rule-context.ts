import type { Catalogue } from '../movement/catalogue.ts';
import { optionOf } from '../movement/exercise.ts';
import { gearFor } from '../movement/gear.ts';
import { exerciseItemsOf, type ExerciseItem, type Plan } from '../plan/plan.ts';
import { rulesOf } from '../plan/schools.ts';
import type { Timeline } from '../plan/timing/timeline.ts';
import { doseOf } from '../plan/usual.ts';
import { kindOfClass } from './class-kind.ts';
import { groupOf, type Group } from './group.ts';
import type { Rule, RuleContext, Worked } from './rule.ts';
import { RULES, rulesInForce } from './rules.ts';

export interface ContextInput {
  plan: Plan;
  catalogue: Catalogue;
  timeline: Timeline;
  /** Nobody in particular when left out. */
  group?: Group;
  /** Exercises that the group knows; left out when nothing is known of it. */
  familiar?: ReadonlySet<string> | undefined;
  /** All that there are when left out. */
  rules?: readonly Rule[];
}

/** Where an item is for the second side alone, that is the first time that it is done. */
function firstPassOf({ bracket, onlySide }: ExerciseItem, { brackets }: Plan): number {
  const own = brackets?.find(({ id }) => id === bracket);
  return own?.kind === 'series' && onlySide !== undefined && onlySide !== own.first ? 2 : 1;
}

/** The plan with everything that rules ask of its items worked out once. */
export function ruleContext(input: ContextInput): RuleContext {
  const { plan, catalogue, timeline, familiar } = input;
  const school = rulesOf(plan.school);
  const items = new Map(exerciseItemsOf(plan).map((item) => [item.id, item]));
  const worked = timeline.items.flatMap((timed, at): Worked[] => {
    const item = items.get(timed.itemId);
    // A second side and later rounds are the same again: rules look at what is done first.
    if (!item || (timed.pass?.number ?? 1) > firstPassOf(item, plan)) return [];
    const exercise = catalogue.require(item.exercise);
    const option = optionOf(exercise, timed.option ?? exercise.standard);
    const dose = doseOf(item, exercise, school);
    return [{ item, timed, exercise, option, dose, gear: gearFor(option, item.gear), at }];
  });
  return {
    plan,
    catalogue,
    timeline,
    school,
    rules: rulesInForce(input.rules ?? RULES, school),
    group: input.group ?? groupOf([], ''),
    kind: kindOfClass(plan),
    familiar,
    worked,
  };
}
