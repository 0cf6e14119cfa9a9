import type { BodyPart, FAMILIES, Position, SpineMove } from '../../movement/vocabulary.ts';
import type { Ask } from '../asks.ts';

/**
 * From how much of what a body is asked a caution speaks. `avoid`: at or over it, not at all; `limit`: at or over it,
 * less of it or less long; `support`: at or over it, something must help. Degrees, shares of weight, ‰ and
 * centimetres as measured; seconds where the ask says so.
 */
export interface Bound {
  ask: Ask;
  avoid?: number;
  limit?: number;
  support?: number;
  /** Going less far is no way out: it is the kind of movement, not how much of it. */
  smallerIsNoWayOut?: true;
}

/** Bounds that hold from a week on, and up to one. */
export interface Stage {
  fromWeek: number;
  untilWeek?: number;
  bounds: readonly Bound[];
}

/** What is good for somebody with a caution: it is offered before others in place of what they leave. */
export interface Welcome {
  families?: readonly (typeof FAMILIES)[number][];
  positions?: readonly Position[];
  parts?: readonly BodyPart[];
  moves?: readonly SpineMove[];
}

export const CAUTION_GROUPS = {
  back: 'Back',
  belly: 'Belly, pregnancy, pelvis',
  leg: 'Hip, leg, foot',
  upper: 'Shoulder, arm, neck, head',
  whole: 'Whole body',
  today: 'Today',
} as const;
export type CautionGroup = keyof typeof CAUTION_GROUPS;

export interface Caution {
  id: string;
  name: string;
  group: CautionGroup;
  /** Other words by which it is looked for. */
  plain: string;
  /** What to remember, in one line. */
  says: string;
  /** Bounds that hold whatever else is known. */
  bounds: readonly Bound[];
  /** By week of pregnancy, or since the birth or the operation; all of them while the week is not known. */
  stages?: readonly Stage[];
  weeksCount?: 'to the due date' | 'since it happened';
  /** By what is passed: none, released, one leg, both legs; the first while it is not known. */
  gates?: readonly [readonly Bound[], readonly Bound[], readonly Bound[], readonly Bound[]];
  /** By what is known of it (which way hurts, which way in, which part); all of them while it is not. */
  ways?: Readonly<Record<string, readonly Bound[]>>;
  waysAre?: string;
  hasSide?: true;
  welcomes?: Welcome;
  /** One option lower, and a part of the dose, whatever it is. */
  eases?: { rungs: number | 'first'; dose: number; doseOfLowest?: number };
  /** Verdict on the whole class, whatever is in it. */
  wholeClass?: 'clinician first' | 'not this class';
  /** What makes them stop, or sends them to a clinician. */
  stop: string;
  /** What shows that more may be tried again, and how often; or who says so. */
  againWhen: string;
  /** A published source, or common practice. Sources are from memory: read them before relying on their wording. */
  source: string;
}

export const PRACTICE = 'common practice';

/** Shorthands for lists of bounds. */
export const avoid = (ask: Ask, from: number): Bound => ({ ask, avoid: from });
export const never = (ask: Ask, from: number): Bound => ({
  ask,
  avoid: from,
  smallerIsNoWayOut: true,
});
export const limit = (ask: Ask, from: number): Bound => ({ ask, limit: from });
export const support = (ask: Ask, from: number): Bound => ({ ask, support: from });
export const between = (ask: Ask, limited: number, avoided: number): Bound => ({
  ask,
  limit: limited,
  avoid: avoided,
});

/** Any of a measure at all, as far as a drawing tells. */
export const ANY = { degrees: 1, flag: 0.5, weight: 0.1 } as const;
