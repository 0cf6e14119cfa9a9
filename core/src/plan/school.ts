import { z } from 'zod';
import { SLUG } from '../movement/vocabulary.ts';

/** `must` binds the search and is told first; `should` is told and weighed; `off` is not looked at. */
const STANDINGS = ['must', 'should', 'off'] as const;
export const Standing = z.enum(STANDINGS);
export type Standing = z.infer<typeof Standing>;

/** What the search counts, besides the seconds of setting up. */
export const COST_IDS = [
  'set-up',
  'moves',
  'effort',
  'jump',
  'load',
  'needs',
  'sequence',
  'counter',
  'pile-up',
  'wrists',
  'props-again',
  'new',
] as const;
export type CostId = (typeof COST_IDS)[number];

const count = z.number().int().min(1).max(200);

const SchoolDose = z.discriminatedUnion('kind', [
  /** Each exercise's own dose. */
  z.strictObject({ kind: z.literal('own') }),
  /** Repetitions brought into this range, as far as the exercise's usual least and most allow. */
  z.strictObject({ kind: z.literal('counted'), least: count, most: count }),
  /** Work and change by the clock; two sides are two intervals. */
  z.strictObject({
    kind: z.literal('timed'),
    onS: z.number().int().min(5).max(300),
    offS: z.number().int().min(0).max(120),
  }),
]);

export const SchoolDefaults = z.strictObject({
  /** The low back while both legs are in the air. */
  pelvis: z.enum(['neutral', 'imprint']),
  breath: z.enum(['patterned', 'natural']),
  bridge: z.enum(['articulate', 'hinge']),
  stretch: z.enum(['after each block', 'at the end', 'none']),
  /** Who decides the option on the day. */
  picks: z.enum(['teacher', 'person']),
  dose: SchoolDose,
  /** Which way a prop under the back travels. Lower down is harder. */
  travel: z.enum(['down the spine', 'up the spine']),
});
export type SchoolDefaults = z.infer<typeof SchoolDefaults>;

const share = z.number().min(0).max(1);

/** What a class should hold, as shares of its time (of its directed time, for directions). */
const SchoolTargets = z.strictObject({
  directionLeast: share,
  directionMost: share,
  supportLeast: share,
  releaseLeast: share,
  /** Spine load classes 3 and 4 together. */
  heavyMost: share,
  handsMost: share,
});
export type SchoolTargets = z.infer<typeof SchoolTargets>;

/** More rules than there will be, so that a school stays a page. */
const MOST_RULES = 100;

/** A way of teaching: which rules bind, what the search weighs, and what is usual. */
export const SchoolRules = z.strictObject({
  id: SLUG,
  name: z.string().trim().min(1, 'give the school a name').max(60),
  /** Why this studio teaches so. */
  why: z.string().trim().min(1, 'say why').max(600),
  /** Standings by id of the rule. */
  rules: z
    .record(SLUG, Standing)
    .refine((rules) => Object.keys(rules).length <= MOST_RULES, `at most ${MOST_RULES} rules`),
  /** How rules that are not named stand; as is usual for each where this is left out. */
  otherRules: Standing.optional(),
  /** How much each cost counts: 1 as usual, 0 not at all. */
  weights: z.record(z.enum(COST_IDS), z.number().min(0).max(5)),
  defaults: SchoolDefaults,
  /** The most effort that the swell's band reaches, 1 to 5. */
  effortCeiling: z.number().min(1).max(5),
  targets: SchoolTargets,
});
export type SchoolRules = z.infer<typeof SchoolRules>;

/** How a rule stands in a school. */
export function standingOf(
  school: Pick<SchoolRules, 'rules' | 'otherRules'>,
  rule: { id: string; usually: Standing },
): Standing {
  return school.rules[rule.id] ?? school.otherRules ?? rule.usually;
}
