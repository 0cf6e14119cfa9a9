import type { Request } from 'express';
import { IANAZone } from 'luxon';
import { z } from 'zod';
import { findUnbounded } from '@wrenfern/core/movement/bounds';
import { isVisible, NAME_SEEN } from '@wrenfern/core/people/person';
import { findBrokenText } from './broken-text.ts';
import { ApiError, faultsOf } from './errors.ts';

/** The request's body as the schema says, or a refusal that names each field. */
export function readBody<S extends z.ZodType>(schema: S, request: Request): z.infer<S> {
  if (request.body === undefined) throw new ApiError('not-json');
  return readWith(schema, request.body);
}

export function readQuery<S extends z.ZodType>(schema: S, request: Request): z.infer<S> {
  return readWith(schema, request.query);
}

function readWith<S extends z.ZodType>(schema: S, value: unknown): z.infer<S> {
  needBounds(schema);
  const broken = findBrokenText(value);
  if (broken) {
    throw new ApiError('invalid', [{ path: broken, message: 'holds half a letter, or none' }]);
  }
  const parsed = schema.safeParse(value);
  if (!parsed.success) throw new ApiError('invalid', faultsOf(parsed.error));
  return parsed.data;
}

const bounded = new WeakSet<z.ZodType>();

/** A request's schema without an end to some list or text is our mistake, not the caller's. */
function needBounds(schema: z.ZodType): void {
  if (bounded.has(schema)) return;
  const unbounded = findUnbounded(schema);
  if (unbounded.length > 0) throw new Error(`a request is unbounded at ${unbounded.join(', ')}`);
  bounded.add(schema);
}

/** An id from the address; one that can't be an id is nowhere to be found. */
export function readId(request: Request, name = 'id'): string {
  const parsed = z.uuid().safeParse(request.params[name]);
  if (!parsed.success) throw new ApiError('not-found');
  return parsed.data;
}

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

function isTimeZone(zone: string): boolean {
  return IANAZone.isValidZone(zone);
}

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
