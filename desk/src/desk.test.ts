import { createHmac } from 'node:crypto';
import { createServer, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, beforeEach, expect, it } from 'vitest';
import { createDesk } from './desk-app.ts';

const SECRET = 'a secret that the studio gave';
const CLASS_ID = '11111111-1111-4111-8111-111111111111';

/** A studio that only writes down what it is told. */
const heard: { headers: IncomingMessage['headers']; body: string }[] = [];
const studio = createServer((incoming, response) => {
  const parts: Buffer[] = [];
  incoming.on('data', (part: Buffer) => parts.push(part));
  incoming.on('end', () => {
    response.setHeader('Content-Type', 'application/json');
    if (incoming.method === 'GET') {
      const classes = [
        {
          id: CLASS_ID,
          title: '<b>Evening</b>',
          startsAt: '2026-12-01T18:00:00.000Z',
          minutes: 50,
          coming: 2,
          refs: [],
        },
      ];
      response.end(JSON.stringify({ studio: 'Riverside', classes }));
      return;
    }
    heard.push({ headers: incoming.headers, body: Buffer.concat(parts).toString() });
    response.end(JSON.stringify({ outcome: heard.length > 1 ? 'seen before' : 'done' }));
  });
});
const desk = createServer(createDesk());

const listen = (server: Server) =>
  new Promise<string>((resolve) => {
    server.listen(0, '127.0.0.1', () => {
      resolve(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
    });
  });

let at = '';
beforeAll(async () => {
  const address = await listen(studio);
  at = await listen(desk);
  await post('/connect', { address, secret: SECRET });
});
beforeEach(() => {
  heard.length = 0;
});
afterAll(() => {
  studio.close();
  desk.close();
});

async function post(path: string, fields: Record<string, string>): Promise<string> {
  const response = await fetch(`${at}${path}`, {
    method: 'POST',
    body: new URLSearchParams(fields),
  });
  return response.text();
}

it('says that it is simulated, and shows the classes as text', async () => {
  const page = await (await fetch(at)).text();
  expect(page).toContain('This front desk is simulated.');
  expect(page).toContain('&lt;b&gt;Evening&lt;/b&gt;, 2026-12-01 18:00 UTC, 2 come');
  expect(page).not.toContain(SECRET);
});

it('signs what it tells over time, name and body, and sends the same again on request', async () => {
  const page = await post('/tell', { event: 'walked-in', class: CLASS_ID, name: 'Wim' });
  expect(page).toContain('Walk in: Wim <span>done</span>');
  expect(await post('/again', {})).toContain(
    'Walk in: Wim, sent once more <span>seen before</span>',
  );
  const [first, again] = heard;
  expect(again).toMatchObject({ body: first?.body });
  expect(again?.headers['x-wrenfern-message']).toBe(first?.headers['x-wrenfern-message']);
  const { headers, body } = first ?? { headers: {}, body: '' };
  const signed = `${String(headers['x-wrenfern-timestamp'])}.${String(headers['x-wrenfern-message'])}.${body}`;
  expect(headers['x-wrenfern-signature']).toBe(
    `v1=${createHmac('sha256', SECRET).update(signed).digest('hex')}`,
  );
  expect(JSON.parse(body)).toMatchObject({
    event: 'walked-in',
    class: CLASS_ID,
    person: { name: 'Wim' },
  });
});

it('calls the same person the same', async () => {
  for (const name of ['Wim', ' wim ', 'Wim']) {
    await post('/tell', { event: 'booked', class: CLASS_ID, name });
  }
  const refs = heard.map(
    ({ body }) => (JSON.parse(body) as { person: { ref: string } }).person.ref,
  );
  expect(new Set(refs).size).toBe(1);
});

it('tells nothing that is not whole, and takes no form of another page', async () => {
  expect(await post('/tell', { event: 'hug', class: CLASS_ID, name: 'Wim' })).toContain(
    'Choose a class and give a name.',
  );
  expect(await post('/connect', { address: 'ftp://x', secret: SECRET })).toContain(
    'Give the address and the secret',
  );
  const foreign = await fetch(`${at}/tell`, {
    method: 'POST',
    headers: { 'Sec-Fetch-Site': 'cross-site' },
    body: new URLSearchParams({ event: 'booked', class: CLASS_ID, name: 'Wim' }),
  });
  expect(foreign.status).toBe(403);
  expect(heard).toEqual([]);
});
