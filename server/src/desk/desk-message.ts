import { createHmac, timingSafeEqual } from 'node:crypto';
import { z } from 'zod';
import { isVisible, NAME_SEEN } from '@wrenfern/core/people/person';

/** What happened at the desk. */
const DESK_EVENTS = ['booked', 'cancelled', 'late-cancelled', 'walked-in'] as const;

/** One message of a booking desk: who, which class, what. */
export const DeskMessage = z.strictObject({
  event: z.enum(DESK_EVENTS),
  class: z.uuid(),
  person: z.strictObject({
    /** By which the desk calls this person, always the same. */
    ref: z.string().min(1).max(64),
    name: z.string().trim().min(1, 'give a name').max(80).refine(isVisible, NAME_SEEN),
  }),
});
export type DeskMessage = z.infer<typeof DeskMessage>;

/** What is kept of a message: no names, so that who is erased is gone from here too. */
export const DeskTold = z.strictObject({
  event: z.enum(DESK_EVENTS),
  classId: z.uuid(),
  personId: z.uuid(),
});
export type DeskTold = z.infer<typeof DeskTold>;

/** How far the desk's clock may be from ours, and how long a message is good. */
const GOOD_FOR_S = 300;

interface Signed {
  secret: string;
  /** The three headers, as they came. */
  timestamp: string;
  messageId: string;
  signature: string;
  body: Buffer;
}

/** A name of a message that can be kept: letters, digits, hyphens. */
const MESSAGE_ID = /^[A-Za-z0-9-]{8,64}$/;

/**
 * Whether a message was written by whoever holds the secret, lately. The signature is HMAC-SHA-256 (RFC 2104)
 * over "timestamp.message id.body", in hexadecimal behind "v1=". What was seen before is the caller's to know.
 */
export function isFromDesk(signed: Signed, now: Date): boolean {
  const { secret, timestamp, messageId, signature, body } = signed;
  if (!/^\d{1,12}$/.test(timestamp) || !MESSAGE_ID.test(messageId)) return false;
  if (Math.abs(now.getTime() / 1000 - Number(timestamp)) > GOOD_FOR_S) return false;
  const expected = Buffer.from(`v1=${signatureOf(secret, timestamp, messageId, body)}`);
  const given = Buffer.from(signature);
  return given.length === expected.length && timingSafeEqual(given, expected);
}

export function signatureOf(
  secret: string,
  timestamp: string,
  messageId: string,
  body: Buffer,
): string {
  return createHmac('sha256', secret)
    .update(`${timestamp}.${messageId}.`)
    .update(body)
    .digest('hex');
}
