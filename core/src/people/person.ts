import { z } from 'zod';
import { Depth, FOUNDATIONS, SLUG } from '../movement/vocabulary.ts';
import { CAUTION_IDS } from './cautions.ts';

const date = z.iso.date('write the date as year-month-day');

/** A caution as it stands in somebody's record. */
export const CautionEntry = z.strictObject({
  caution: z.enum(CAUTION_IDS),
  since: date.optional(),
  /** The last day it holds; left out while it lasts. */
  until: date.optional(),
  /** Who said what is allowed, e.g. "physiotherapist". */
  clearedBy: z.string().max(120).default(''),
  note: z.string().max(500).default(''),
});
export type CautionEntry = z.infer<typeof CautionEntry>;

export const Person = z.strictObject({
  id: z.string().min(1).max(64),
  name: z.string().trim().min(1, 'give a name').max(80),
  /** The option this person usually works at, 1 to 4. */
  level: z.number().int().min(1).max(4).default(2),
  /** Where they differ from that: the option they last did in full, by exercise. */
  usualOptions: z.record(SLUG, z.number().int().min(1).max(4)).default({}),
  /** Foundations this person brings to a class, each to a depth. */
  holds: z.partialRecord(z.enum(FOUNDATIONS), Depth).default({}),
  cautions: z.array(CautionEntry).max(20).default([]),
  note: z.string().max(2000).default(''),
});
export type Person = z.infer<typeof Person>;

export const People = z.array(Person).max(300);
export type People = z.infer<typeof People>;

/** The cautions in force on a day (year-month-day). */
export function cautionsOn(person: Person, day: string): CautionEntry[] {
  return person.cautions.filter(
    (entry) => (!entry.since || entry.since <= day) && (!entry.until || day <= entry.until),
  );
}
