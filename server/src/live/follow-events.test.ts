import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, describe, expect, it } from 'vitest';
import { ClassEvent } from '../db/models.ts';
import {
  addMember,
  makeClass,
  makeStudio,
  openTestApp,
  PASSWORD,
  testApp,
  type TestMember,
} from '../testing/test-studio.ts';

const { database, app } = await openTestApp();
// Two processes share nothing but the table; here they are two apps.
const apps = [app, testApp(database)] as const;
const servers = apps.map((each) => createServer(each).listen(0, '127.0.0.1'));
const owner = await makeStudio(app, 'studio');

afterAll(() => {
  for (const server of servers) {
    server.closeAllConnections();
    server.close();
  }
});

const portOf = (server: Server | undefined) => (server?.address() as AddressInfo).port;

async function cookieFor({ email }: TestMember, port: number): Promise<string> {
  const answer = await fetch(`http://127.0.0.1:${port}/api/session`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ email, password: PASSWORD }),
  });
  return answer.headers
    .getSetCookie()
    .map((each) => each.split(';')[0])
    .join('; ');
}

/** Follows a class on one process; what it is told is collected. */
async function follow(member: TestMember, server: Server | undefined, classId: string) {
  const port = portOf(server);
  const stop = new AbortController();
  const answer = await fetch(`http://127.0.0.1:${port}/api/classes/${classId}/events/stream`, {
    headers: { Cookie: await cookieFor(member, port) },
    signal: stop.signal,
  });
  const ids: string[] = [];
  const read = async () => {
    const decoder = new TextDecoder();
    let text = '';
    for await (const chunk of answer.body ?? []) {
      text += decoder.decode(chunk as Uint8Array, { stream: true });
      const told = text.split('\n\n').filter((each) => each.startsWith('data: '));
      ids.length = 0;
      for (const each of told) {
        const { pressed } = JSON.parse(each.slice(6)) as { pressed: { event: { id: string } }[] };
        ids.push(...pressed.map(({ event }) => event.id));
      }
    }
  };
  if (answer.ok) read().catch(() => undefined);
  return { status: answer.status, type: answer.headers.get('content-type'), ids, stop };
}

const press = (order: number) => ({
  id: `event-${String(order).padStart(4, '0')}`,
  type: order === 1 ? 'start' : 'goTo',
  ...(order === 1 ? {} : { itemId: `item-${order}` }),
  order,
  atMs: Date.UTC(2026, 10, 26, 18, 15),
});

async function until(isTrue: () => boolean): Promise<void> {
  for (let round = 0; round < 60 && !isTrue(); round += 1) {
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

describe('following a class', () => {
  it('on one process hears, once each, what is pressed on another', async () => {
    const classId = await makeClass(owner);
    const { ids, type, stop } = await follow(owner, servers[1], classId);
    expect(type).toBe('text/event-stream');
    for (const order of [1, 2, 3]) {
      const events = [press(order)];
      await owner.agent.post(`/api/classes/${classId}/events`).send({ events }).expect(201);
    }
    await until(() => ids.length === 3);
    expect(ids).toEqual(['event-0001', 'event-0002', 'event-0003']);
    stop.abort();
  });

  it('hears what was committed late, with an earlier number', async () => {
    const classId = await makeClass(owner);
    const { ids, stop } = await follow(owner, servers[0], classId);
    const row = (order: number) => ({
      eventId: press(order).id,
      studioId: owner.studioId,
      classId,
      event: press(order) as never,
    });
    // The first takes its number, then waits; the second is there before it.
    const late = await database.transaction();
    await ClassEvent.create(row(1), { transaction: late });
    await ClassEvent.create(row(2));
    await until(() => ids.length === 1);
    expect(ids).toEqual(['event-0002']);
    await late.commit();
    await until(() => ids.length === 2);
    expect(ids).toEqual(['event-0002', 'event-0001']);
    stop.abort();
  });

  it('is for those who teach in this studio', async () => {
    const classId = await makeClass(owner);
    const reader = await addMember(apps[0], owner.studioId, 'reader');
    expect((await follow(reader, servers[0], classId)).status).toBe(403);
    const stranger = await makeStudio(app, 'stranger');
    expect((await follow(stranger, servers[0], classId)).status).toBe(404);
  });
});
