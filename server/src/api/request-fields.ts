import { z } from 'zod';
import { isTimeZone } from '@wrenfern/core/week/studio-time';
import { isVisible, NAME_SEEN } from '@wrenfern/core/people/person';

/** The revision that a change was made from. */
export const revisionRead = z.number().int().min(0).max(1_000_000_000);

export const email = z
  .string()
  .max(190)
  .trim()
  .toLowerCase()
  .pipe(z.email('that is no email address').max(190));

export const personName = z
  .string()
  .trim()
  .min(1, 'give a name')
  .max(120)
  .refine(isVisible, NAME_SEEN);

export const timeZone = z.string().max(64).refine(isTimeZone, 'no such time zone').default('UTC');

/** Classes stand in years that people live in. */
const [FIRST_YEAR, LAST_YEAR] = [2000, 2099];

export const moment = z.iso
  .datetime({ offset: true, abort: true, error: 'give day and time' })
  .max(40)
  .refine((text) => {
    const year = new Date(text).getUTCFullYear();
    return year >= FIRST_YEAR && year <= LAST_YEAR;
  }, `give a year from ${FIRST_YEAR} to ${LAST_YEAR}`);

/** A code of an authenticator. */
export const sixDigits = z
  .string()
  .max(6)
  .regex(/^[0-9]{6}$/, 'six digits');
