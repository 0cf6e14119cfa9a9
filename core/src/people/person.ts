import { z } from 'zod';
import { SPRING_STEPS } from '../movement/gear.ts';
import { Id } from '../movement/ids.ts';
import { Depth, FOUNDATIONS, OptionNumber, SLUG } from '../movement/vocabulary.ts';
import { CAUTION_IDS } from './cautions/cautions.ts';
import { ASKS } from './asks.ts';
import { RatherNot } from './rather-not.ts';
import { renewCaution } from './renew-caution.ts';

const date = z.iso.date('write the date as year-month-day');

/** A caution as it stands in somebody's record. */
const CurrentEntry = z.strictObject({
  caution: z.enum(CAUTION_IDS),
  /** The side it is on; left out where it is not known, or on both. */
  side: z.enum(['right', 'left']).optional(),
  /** When it began: the birth or the operation where weeks are counted from it. */
  since: date.optional(),
  /** When the child is expected. */
  due: date.optional(),
  /** The week of pregnancy, or since it happened, on a day (on the day that is asked about where left out). */
  weeks: z.number().min(0).max(2000).optional(),
  weeksOn: date.optional(),
  /** What is known of it: which way hurts, which way in. */
  way: z.string().min(1).max(40).optional(),
  /** What is passed after a birth or a belly operation: 0 nothing, 1 released, 2 one leg, 3 both legs. */
  gate: z.number().int().min(0).max(3).optional(),
  /** What whoever treats it has released, by measure. */
  releases: z
    .array(
      z.strictObject({
        ask: z.enum(ASKS),
        by: z.string().trim().min(1, 'say who released it').max(120),
        on: date,
        until: date.optional(),
        /** Up to how much; all of it where left out. */
        upTo: z.number().min(0).max(1000).optional(),
      }),
    )
    .max(20)
    .optional(),
  /** The last day it holds; left out while it lasts. */
  until: date.optional(),
  /** Who said what is allowed, e.g. "physiotherapist". */
  clearedBy: z.string().max(120).default(''),
  note: z.string().max(500).default(''),
});
export const CautionEntry = z.preprocess(renewCaution, CurrentEntry);
export type CautionEntry = z.infer<typeof CurrentEntry>;

/** The option that was last done in full: on both sides, or on each. */
const UsualOption = z.union([
  OptionNumber,
  z.strictObject({ right: OptionNumber, left: OptionNumber }),
]);
export type UsualOption = z.infer<typeof UsualOption>;

/** As many exercises as a large library holds. */
const MOST_USUAL = 2000;

const STATURE_CM = { least: 100, most: 230 } as const;
const STATURE_SAID = `give ${STATURE_CM.least} to ${STATURE_CM.most} centimetres`;

export const Person = z.strictObject({
  id: Id,
  name: z.string().trim().min(1, 'give a name').max(80, 'at most 80 letters'),
  /** The option this person usually works at, 1 to 4. */
  level: z.number().int().min(1).max(4).default(2),
  /** Where they differ from that: the option they last did in full, by exercise, each side by itself where they differ. */
  usualOptions: z
    .record(SLUG, UsualOption)
    .refine((usual) => Object.keys(usual).length <= MOST_USUAL, 'more than there are exercises')
    .default({}),
  /** Where their springs differ from what the class is told: a lighter or a stronger person. */
  springs: z.enum(SPRING_STEPS).optional(),
  /** How tall they are, where it is wanted: the machine is set by it, and what is measured in centimetres. */
  statureCm: z
    .number(STATURE_SAID)
    .int('whole centimetres')
    .min(STATURE_CM.least, STATURE_SAID)
    .max(STATURE_CM.most, STATURE_SAID)
    .optional(),
  /** Foundations this person brings to a class, each to a depth. */
  holds: z.partialRecord(z.enum(FOUNDATIONS), Depth).default({}),
  cautions: z.array(CautionEntry).max(20).default([]),
  /** The day on which they agreed that this is kept. */
  consentOn: date.optional(),
  /** How the name is said. */
  saidAs: z.string().trim().min(1).max(80, 'at most 80 letters').optional(),
  /** Whom to call. */
  emergency: z
    .strictObject({
      name: z.string().trim().min(1, 'say whom').max(80, 'at most 80 letters'),
      phone: z.string().trim().min(3, 'give a number').max(40, 'at most 40 letters'),
    })
    .optional(),
  /** What they would rather not do, whatever they could. */
  ratherNot: z.array(RatherNot).max(20).optional(),
  note: z.string().max(2000).default(''),
});
export type Person = z.infer<typeof Person>;

export const People = z.array(Person).max(300);
export type People = z.infer<typeof People>;

/** The cautions in force on a day (year-month-day). */
export function cautionsOn(person: Pick<Person, 'cautions'>, day: string): CautionEntry[] {
  return person.cautions.filter(
    (entry) => (!entry.since || entry.since <= day) && (!entry.until || day <= entry.until),
  );
}

/** A fault of a record that its schema can't see, with the path of the field to mend. */
interface RecordProblem {
  path: (string | number)[];
  message: string;
}

const YEARS = { first: '1900', last: '2100' } as const;
const YEARS_SAID = `give a year from ${YEARS.first} to ${YEARS.last}`;

const isYearOfSomebody = (day: string) =>
  day.slice(0, 4) >= YEARS.first && day.slice(0, 4) <= YEARS.last;

/** Checks what a schema of old records must let pass: names that can be seen, dates that make sense. */
export function checkPerson(person: Omit<Person, 'id'>): RecordProblem[] {
  const problems: RecordProblem[] = [];
  if (!isVisible(person.name)) problems.push({ path: ['name'], message: NAME_SEEN });
  if (person.consentOn && !isYearOfSomebody(person.consentOn)) {
    problems.push({ path: ['consentOn'], message: YEARS_SAID });
  }
  person.cautions.forEach((entry, index) => {
    for (const { field, message } of checkCautionDates(entry)) {
      problems.push({ path: ['cautions', index, field], message });
    }
  });
  return problems;
}

export const NAME_SEEN = 'give a name that can be seen';

/** False for names of blanks, of letters that show nothing, or that turn the line round. */
export function isVisible(text: string): boolean {
  return /[\p{L}\p{N}]/u.test(text) && !/[\p{Cc}\p{Cf}\p{Co}\p{Cs}]/u.test(text);
}

export function checkCautionDates({ since, until }: CautionEntry) {
  const problems: { field: 'since' | 'until'; message: string }[] = [];
  for (const [field, day] of [
    ['since', since],
    ['until', until],
  ] as const) {
    if (day && !isYearOfSomebody(day)) problems.push({ field, message: YEARS_SAID });
  }
  if (since && until && until < since) {
    problems.push({ field: 'until', message: 'is before it began' });
  }
  return problems;
}
