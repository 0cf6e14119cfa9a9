import express, { type Express, type Request, type RequestHandler } from 'express';
import { z } from 'zod';
import { writePage, type Sent } from './desk-page.ts';
import {
  readTimetable,
  sendLetter,
  writeLetter,
  type Connection,
  type Letter,
  type Timetable,
} from './wrenfern-client.ts';

const Connect = z.object({
  address: z.url({ protocol: /^https?$/ }).max(300),
  secret: z.string().min(20).max(100),
});
const Tell = z.object({
  event: z.enum(['booked', 'cancelled', 'late-cancelled', 'walked-in']),
  class: z.uuid(),
  name: z.string().trim().min(1).max(80),
});

/** Kept to be shown, and the last to be sent once more. */
const MOST_SENT = 12;

/**
 * A front desk that is made up: it books people into a studio's classes the way a booking system of somebody
 * else would. All that it knows is in memory, and gone when it stops.
 */
export function createDesk(): Express {
  const app = express();
  let connection: Connection | undefined;
  let last: Letter | undefined;
  let fault = '';
  const sent: Sent[] = [];

  const deliver = async (letter: Letter, isAgain: boolean) => {
    if (!connection) return;
    const answer = await sendLetter(connection, letter);
    const { event, person } = letter.message;
    sent.unshift({ event, name: person.name, answer, isAgain });
    sent.length = Math.min(sent.length, MOST_SENT);
  };
  /** Does something, and shows the page again with what went wrong with it. */
  const then =
    (work: (request: Request) => Promise<void> | void): RequestHandler =>
    async (request, response) => {
      fault = '';
      try {
        await work(request);
      } catch (error) {
        fault = error instanceof Error ? error.message : 'It did not work.';
      }
      response.redirect(303, '/');
    };

  app.disable('x-powered-by');
  app.use(express.urlencoded({ extended: false, limit: '10kb' }), ownFormsOnly);
  app.get('/', async (_request, response) => {
    let timetable: Timetable | undefined;
    try {
      if (connection) timetable = await readTimetable(connection);
    } catch (error) {
      fault = error instanceof Error ? error.message : 'The studio can’t be reached.';
    }
    response.setHeader(
      'Content-Security-Policy',
      "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'",
    );
    response.type('html').send(writePage({ connection, timetable, sent, fault, last }));
  });
  app.post(
    '/connect',
    then((request) => {
      const read = Connect.safeParse(request.body);
      if (!read.success)
        throw new Error('Give the address and the secret as the studio shows them.');
      connection = { ...read.data, address: read.data.address.replace(/\/+$/, '') };
    }),
  );
  app.post(
    '/tell',
    then(async (request) => {
      const read = Tell.safeParse(request.body);
      if (!read.success) throw new Error('Choose a class and give a name.');
      const { event, class: classId, name } = read.data;
      const person = { ref: refOf(name), name };
      last = writeLetter({ event, class: classId, person });
      await deliver(last, false);
    }),
  );
  app.post(
    '/again',
    then(async () => {
      if (last) await deliver(last, true);
    }),
  );
  return app;
}

/** The desk's own name for somebody: the same person is always called the same. */
function refOf(name: string): string {
  return `desk-${Buffer.from(name.toLowerCase()).toString('hex').slice(0, 50)}`;
}

/** Another page must not book anybody through this one. */
const ownFormsOnly: RequestHandler = (request, response, next) => {
  const site = request.get('sec-fetch-site');
  if (request.method === 'POST' && site && site !== 'same-origin') {
    response.status(403).send('Only from this page itself.');
    return;
  }
  next();
};
