import { createHash, createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import type { Request, Response } from 'express';

const DAY_MS = 86_400_000;
const KEPT_DAYS = 365;
const NONCE_BYTES = 18;

/**
 * A device that has signed in to an account before carries a cookie that says so. A right password
 * from it passes, however many strangers are guessing at the account meanwhile.
 */
export function createKnownDevices(secret: string, secure: boolean) {
  const key = createHmac('sha256', secret).update('known devices').digest();
  const nameFor = (email: string) =>
    `${secure ? '__Host-' : ''}wrenfern-device-${hashOf(email).slice(0, 12)}`;
  const sign = (email: string, nonce: string, day: string) =>
    createHmac('sha256', key).update(`${email}\n${nonce}\n${day}`).digest('base64url');

  return {
    /** What this device is called in the count of tries; undefined when it is not known. */
    idOf(request: Request, email: string): string | undefined {
      const cookie = cookieOf(request, nameFor(email));
      const [nonce = '', day = '', signature = ''] = (cookie ?? '').split('.');
      const expected = Buffer.from(sign(email, nonce, day));
      const given = Buffer.from(signature);
      if (given.length !== expected.length || !timingSafeEqual(given, expected)) return undefined;
      return Number(day) + KEPT_DAYS > today() ? nonce : undefined;
    },

    remember(request: Request, response: Response, email: string): void {
      if (this.idOf(request, email)) return;
      const nonce = randomBytes(NONCE_BYTES).toString('base64url');
      const day = String(today());
      response.cookie(nameFor(email), `${nonce}.${day}.${sign(email, nonce, day)}`, {
        httpOnly: true,
        sameSite: 'lax',
        secure,
        path: '/',
        maxAge: KEPT_DAYS * DAY_MS,
      });
    },
  };
}

/** Days since 1970. */
const today = () => Math.floor(Date.now() / DAY_MS);

/** Addresses of people stand in no count of tries: only their hash does. */
export function hashOf(text: string): string {
  return createHash('sha256').update(text).digest('hex');
}

function cookieOf(request: Request, name: string): string | undefined {
  const pairs = (request.get('cookie') ?? '').split(';').map((pair) => pair.trim().split('='));
  return pairs.find(([key]) => key === name)?.[1];
}
