import { standingOf, type RuleId, type SchoolRules } from '../plan/school.ts';

/**
 * What an offence costs, in seconds of class time that one would spend to avoid it. Common practice
 * decides them; each is multiplied by the school's weight. `docs/decisions.md` says why.
 */
export const PRICE = {
  /** A finding of a rule that must hold, and of one that should. */
  must: 90,
  should: 20,
  effortStep: 12,
  peakTenth: 15,
  jumpStep: 15,
  counter: 12,
  pileUp: 6,
  wristsPerMinute: 4,
  propAgain: 5,
  twoNew: 6,
  /** Beyond its own seconds: everyone gets up, looks round and settles again. */
  changeOfPosition: 10,
  straightUp: 20,
  spring: 5,
} as const;

/** What breaking a rule once costs, by how the school holds it. */
export function priceFor(school: SchoolRules, rule: RuleId): number {
  const standing = standingOf(school, rule);
  return standing === 'off' ? 0 : PRICE[standing];
}
