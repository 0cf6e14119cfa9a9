import { z } from 'zod';
import { isTimeZone } from '@wrenfern/core/week/studio-time';
import { isVisible, NAME_SEEN } from '@wrenfern/core/people/person';

/** The revision that a change was made from. */
export const revisionRead = z.number().int().min(0).max(1_000_000_000);

/** Fields that forms and routes take alike; what is wrong is said in one place. */
export const email = z
  .string()
  .min(1, 'Give an email address.')
  .max(190)
  .trim()
  .toLowerCase()
  .pipe(z.email('That is no email address.').max(190));

export const personName = z
  .string()
  .trim()
  .min(1, 'Give a name.')
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

/** A day of the calendar; where on earth, the studio says. */
export const day = z.iso.date('write the day as year-month-day');

/** A code of an authenticator. */
export const sixDigits = z
  .string()
  .max(6)
  .regex(/^[0-9]{6}$/, 'Six digits.');

/** A password that is there already. */
export const password = z.string().min(1, 'Give your password.').max(200);

/** A password that somebody chooses; the server also looks whether it is easily guessed. */
export const newPassword = z
  .string()
  .min(10, { abort: true, error: 'At least 10 characters.' })
  .max(200);

export const studioName = z.string().trim().min(1, 'Give the studio a name.').max(120);
