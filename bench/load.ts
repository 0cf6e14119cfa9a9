import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { builtInExercises } from '@wrenfern/library';
import { createAppProcess } from '../e2e/rig/app.ts';
import { createClient, OWNER, setUpStudio, type Client } from '../e2e/rig/client.ts';
import { createMaria, makeDatabase } from '../e2e/rig/maria.ts';
import { report, summarise } from './report.ts';

/** A large studio under load, on a server and a database of its own. `npm run build` first. */
const PEOPLE = 300;
const OWN_EXERCISES = 400 - builtInExercises.length;
const CLASSES = 1000;
const IN_A_CLASS = 16;
const CLIENTS = 8;
const ROUNDS = 40;
const LIVE = 200;
const LIVE_S = 30;
const PRESS_EVERY_S = 3;
const FIRST_PORT = 34_640;
const DAY_MS = 86_400_000;

const folder = mkdtempSync(join(tmpdir(), 'wf-'));
const maria = createMaria({ folder, port: FIRST_PORT });
await maria.start();
makeDatabase(maria, 'loaded');
const app = createAppProcess({ databaseUrl: maria.url('loaded'), port: FIRST_PORT + 1 });

async function need(client: Client, method: string, path: string, body?: unknown) {
  const answer = await client.send(method, path, body);
  if (answer.status >= 400) throw new Error(`${method} ${path} answered ${answer.status}`);
  return answer.body;
}

/** Does all of it, a few at a time. */
async function inTurn<T, R>(list: readonly T[], work: (each: T) => Promise<R>): Promise<R[]> {
  const results: R[] = [];
  for (let at = 0; at < list.length; at += CLIENTS) {
    results.push(...(await Promise.all(list.slice(at, at + CLIENTS).map(work))));
  }
  return results;
}

const count = (most: number) => Array.from({ length: most }, (_, index) => index);

async function fill(owner: Client): Promise<{ classIds: string[]; personIds: string[] }> {
  const personIds = await inTurn(count(PEOPLE), async (index) => {
    const cautions = index % 3 === 0 ? [{ caution: 'wrist' }] : [];
    const body = { name: `Person ${index}`, level: 1 + (index % 4), cautions };
    return ((await need(owner, 'POST', '/people', body)) as { id: string }).id;
  });
  await inTurn(count(OWN_EXERCISES), async (index) => {
    const source = builtInExercises[index % builtInExercises.length];
    if (!source) throw new Error('the library is empty');
    const { classicOrder: _place, ...rest } = source;
    const slug = `own-${index}`;
    const exercise = { ...rest, slug, name: `Own ${index}`, swaps: [source.slug] };
    await need(owner, 'PUT', `/exercises/${slug}`, { version: 0, exercise });
  });
  const classIds = await inTurn(count(CLASSES), async (index) => {
    // Most of them behind, as in a studio of some years; eight weeks hold what a group knows.
    const startsAt = new Date(Date.now() + (index - CLASSES + 40) * (DAY_MS / 4)).toISOString();
    const body = { title: `Class ${index}`, startsAt, targetS: 3300 };
    const { id } = (await need(owner, 'POST', '/classes', body)) as { id: string };
    const { plan } = (await need(owner, 'GET', `/classes/${id}`)) as { plan: object };
    const items = count(30).map((at) => ({
      kind: 'exercise',
      id: `item-${at}`,
      exercise: builtInExercises[(index * 7 + at * 5) % builtInExercises.length]?.slug,
    }));
    const segments = [{ id: 'one', name: 'One', items }];
    await need(owner, 'PUT', `/classes/${id}/plan`, { revision: 1, plan: { ...plan, segments } });
    const who = count(IN_A_CLASS).map((at) => personIds[(index * 3 + at) % PEOPLE]);
    await need(owner, 'PUT', `/classes/${id}/attendees`, { revision: 1, personIds: who });
    if (index < CLASSES - 40) {
      const event = { id: `started-${index}`, type: 'start', order: 1, atMs: Date.parse(startsAt) };
      await need(owner, 'POST', `/classes/${id}/events`, { events: [event] });
    }
    return id;
  });
  return { classIds, personIds };
}

/** Everyone does the same again and again; milliseconds of each. */
async function together(
  clients: readonly Client[],
  work: (client: Client, at: number) => Promise<unknown>,
) {
  const times: number[] = [];
  await Promise.all(
    clients.map(async (client, number) => {
      for (let round = 0; round < ROUNDS; round += 1) {
        const before = performance.now();
        await work(client, number * ROUNDS + round);
        times.push(performance.now() - before);
      }
    }),
  );
  return summarise(times);
}

async function members(most: number): Promise<Client[]> {
  return inTurn(count(most), async () => {
    const client = createClient(app.base);
    await need(client, 'POST', '/session', OWNER);
    return client;
  });
}

async function live(owner: Client, clients: readonly Client[]): Promise<void> {
  const ids = await inTurn(count(LIVE), async (index) => {
    const body = { title: `Live ${index}`, startsAt: new Date().toISOString() };
    return ((await need(owner, 'POST', '/classes', body)) as { id: string }).id;
  });
  const presses: number[] = [];
  const openings: number[] = [];
  const until = Date.now() + LIVE_S * 1000;
  const teach = async (id: string, index: number) => {
    const client = clients[index % clients.length] ?? owner;
    await pause((index / LIVE) * PRESS_EVERY_S * 1000);
    let after = 0;
    for (let order = 1; Date.now() < until; order += 1) {
      const shared = { id: `pressed-${order}-${index}`, order, atMs: Date.now() };
      const event =
        order === 1 ? { type: 'start', ...shared } : { type: 'goTo', itemId: 'a', ...shared };
      const before = performance.now();
      const told = (await need(client, 'POST', `/classes/${id}/events`, {
        events: [event],
        after,
      })) as {
        pressed: { seq: number }[];
      };
      presses.push(performance.now() - before);
      after = Math.max(after, ...told.pressed.map(({ seq }) => seq));
      await pause(PRESS_EVERY_S * 1000);
    }
  };
  const open = async () => {
    for (let at = 0; Date.now() < until; at += 1) {
      const before = performance.now();
      await need(owner, 'GET', `/classes/${ids[at % LIVE] ?? ''}`);
      openings.push(performance.now() - before);
      await pause(500);
    }
  };
  await Promise.all([...ids.map(teach), open()]);
  report(
    `a press, ${LIVE} live classes, two class openings a second`,
    summarise(presses),
    'wanted: p99 under 300 ms',
  );
  report('opening a class meanwhile', summarise(openings), '-');
}

try {
  const owner = await setUpStudio(app.base, await app.start());
  const startedAt = performance.now();
  const { classIds, personIds } = await fill(owner);
  process.stdout.write(`filled in ${Math.round((performance.now() - startedAt) / 1000)} s\n`);
  const clients = await members(CLIENTS);
  const size = `${PEOPLE} people, 400 exercises, ${CLASSES} classes, ${CLIENTS} clients at once`;
  const today = new Date(Date.now() - DAY_MS / 2).toISOString();
  report(
    `Today, ${size}`,
    await together(clients, (client) =>
      need(client, 'GET', `/today?from=${encodeURIComponent(today)}`),
    ),
    'wanted: p95 under 250 ms',
  );
  const recent = classIds.slice(-60);
  const day = (days: number) => new Date(Date.now() + days * DAY_MS).toISOString().slice(0, 10);
  report(
    'a month of classes, nobody else there',
    await together(clients.slice(0, 1), (client) =>
      need(client, 'GET', `/week?from=${day(-31)}&until=${day(10)}`),
    ),
    'wanted: p95 under 100 ms',
  );
  report(
    `a month of classes, ${CLIENTS} clients at once`,
    await together(clients, (client) =>
      need(client, 'GET', `/week?from=${day(-31)}&until=${day(10)}`),
    ),
    '-',
  );
  report(
    'a class',
    await together(clients, (client, at) =>
      need(client, 'GET', `/classes/${recent[at % 60] ?? ''}`),
    ),
    'wanted: p95 under 150 ms',
  );
  report(
    'a page of classes',
    await together(clients, (client) => need(client, 'GET', '/classes?limit=50')),
    '-',
  );
  report(
    'saving who comes',
    await together(clients, async (client, at) => {
      const id = classIds[at % 300] ?? '';
      const who = count(IN_A_CLASS).map((step) => personIds[(at * 5 + step) % PEOPLE]);
      const revision = 2 + Math.floor(at / 300);
      await need(client, 'PUT', `/classes/${id}/attendees`, { revision, personIds: who });
    }),
    'wanted: p95 under 150 ms',
  );
  report(
    'exercises, all of them',
    await together(clients, (client) => need(client, 'GET', '/exercises')),
    '-',
  );
  await live(owner, clients);
  for (const line of app.faults().slice(0, 3)) process.stdout.write(`${line.slice(0, 400)}\n`);
} finally {
  await app.stop();
  await maria.stop();
  rmSync(folder, { recursive: true, force: true });
}
