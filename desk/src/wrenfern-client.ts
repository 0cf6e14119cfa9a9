import { createHmac, randomUUID } from 'node:crypto';
import { z } from 'zod';

/** Where a studio takes messages, and what they are signed with. */
export interface Connection {
  /** Such as `http://localhost:4600/api/desk/…`. */
  address: string;
  secret: string;
}

export type DeskEvent = 'booked' | 'cancelled' | 'late-cancelled' | 'walked-in';

export interface Message {
  event: DeskEvent;
  class: string;
  person: { ref: string; name: string };
}

/** A message as it is sent: sending the same again is a replay. */
export interface Letter {
  messageId: string;
  timestamp: string;
  message: Message;
}

const Timetable = z.object({
  studio: z.string(),
  classes: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      startsAt: z.string(),
      minutes: z.number(),
      coming: z.number(),
      refs: z.array(z.string()),
    }),
  ),
});
export type Timetable = z.infer<typeof Timetable>;

const ANSWER_WITHIN_MS = 10_000;

const now = () => String(Math.floor(Date.now() / 1000));

export function writeLetter(message: Message): Letter {
  return { messageId: randomUUID(), timestamp: now(), message };
}

/** Sends a letter; resolves to what the studio answered, in words. */
export async function sendLetter(connection: Connection, letter: Letter): Promise<string> {
  const body = JSON.stringify(letter.message);
  const response = await call(connection, 'POST', '/messages', { ...letter, body });
  const answer: unknown = await response.json();
  const { outcome, title, errors } = z
    .object({
      outcome: z.string().optional(),
      title: z.string().optional(),
      errors: z.array(z.object({ message: z.string() })).optional(),
    })
    .parse(answer);
  return [outcome ?? title ?? 'no answer', ...(errors ?? []).map(({ message }) => message)].join(
    ' ',
  );
}

export async function readTimetable(connection: Connection): Promise<Timetable> {
  const signed = { messageId: randomUUID(), timestamp: now(), body: '' };
  const response = await call(connection, 'GET', '/classes', signed);
  if (!response.ok) throw new Error(`The studio answered ${response.status}.`);
  return Timetable.parse(await response.json());
}

async function call(
  { address, secret }: Connection,
  method: 'GET' | 'POST',
  path: string,
  { messageId, timestamp, body }: { messageId: string; timestamp: string; body: string },
): Promise<Response> {
  const signature = createHmac('sha256', secret)
    .update(`${timestamp}.${messageId}.${body}`)
    .digest('hex');
  return fetch(`${address}${path}`, {
    method,
    signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
    headers: {
      'X-Wrenfern-Timestamp': timestamp,
      'X-Wrenfern-Message': messageId,
      'X-Wrenfern-Signature': `v1=${signature}`,
      ...(body ? { 'Content-Type': 'application/json' } : {}),
    },
    ...(body ? { body } : {}),
  });
}
