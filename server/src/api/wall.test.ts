import { get, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import { once } from 'node:events';
import { afterAll, describe, expect, it } from 'vitest';
import request from 'supertest';
import { WallTold } from '@wrenfern/contract/wall';
import { ClassRow } from '../db/models.ts';
import { makeStudio, openTestApp, type TestMember } from '../testing/test-studio.ts';

const { app } = await openTestApp();
const server = app.listen(0, '127.0.0.1');
await once(server, 'listening');
const { port } = server.address() as AddressInfo;
afterAll(() => server.close());

const plan = {
  format: 'wrenfern-plan/2',
  title: 'Evening',
  targetS: 1800,
  segments: [
    {
      id: 'part',
      name: 'Part',
      items: ['pelvic-tilt', 'clam'].map((exercise) => ({
        kind: 'exercise',
        id: exercise,
        exercise,
      })),
    },
  ],
};

async function makeClass({ agent }: TestMember, startsAt = new Date()): Promise<string> {
  const body = {
    title: 'Evening',
    startsAt: startsAt.toISOString(),
    targetS: 1800,
    machine: 'mat',
  };
  const { id } = (await agent.post('/api/classes').send(body).expect(201)).body as { id: string };
  await agent.put(`/api/classes/${id}/plan`).send({ revision: 1, plan }).expect(200);
  return id;
}

async function makeWall({ agent }: TestMember, id: string): Promise<string> {
  const made = await agent.post(`/api/classes/${id}/wall`).expect(201);
  return (made.body as { path: string }).path.replace('/wall/', '');
}

/** Opens the stream as a screen does, without a cookie. */
async function follow(token: string) {
  const open = get({ host: '127.0.0.1', port, path: `/api/wall/${token}/stream` });
  const [response] = (await once(open, 'response')) as [IncomingMessage];
  const told: WallTold[] = [];
  let text = '';
  response.setEncoding('utf8');
  response.on('data', (chunk: string) => {
    text += chunk;
    const messages = text.split('\n\n');
    text = messages.pop() ?? '';
    for (const message of messages) {
      const data = /^data: (.*)$/m.exec(message)?.[1];
      if (data) told.push(WallTold.parse(JSON.parse(data)));
    }
  });
  return { response, told, close: () => open.destroy() };
}

async function until(isSo: () => boolean): Promise<void> {
  while (!isSo()) await new Promise((resolve) => setTimeout(resolve, 50));
}

describe('the wall', () => {
  it('is open to nobody before there is an address, and no longer than its day', async () => {
    const owner = await makeStudio(app, 'wall-nobody');
    await request(app).get('/api/wall/nothing/stream').expect(404);
    const later = await makeClass(owner, new Date(Date.now() + 3 * 86_400_000));
    const token = await makeWall(owner, later);
    await request(app).get(`/api/wall/${token}/stream`).expect(404);
  });

  it('follows what is pressed, to whoever has the address', async () => {
    const owner = await makeStudio(app, 'wall-follow');
    const id = await makeClass(owner);
    const screen = await follow(await makeWall(owner, id));
    expect(screen.response.headers['content-type']).toBe('text/event-stream');
    await until(() => screen.told.some(({ status }) => status === 'ready'));
    const events = [
      { id: crypto.randomUUID(), atMs: Date.now(), order: 1, type: 'start' },
      { id: crypto.randomUUID(), atMs: Date.now(), order: 2, type: 'goTo', itemId: 'clam' },
    ];
    await owner.agent.post(`/api/classes/${id}/events`).send({ events, after: 0 }).expect(201);
    await until(() => screen.told.some(({ now }) => now?.name === 'Clam'));
    expect(screen.told.at(-1)?.status).toBe('running');
    screen.close();
  });

  it('is taken back: the screen is told no more, and can’t come in again', async () => {
    const owner = await makeStudio(app, 'wall-back');
    const id = await makeClass(owner);
    const token = await makeWall(owner, id);
    const screen = await follow(token);
    const isOver = once(screen.response, 'end');
    await owner.agent.delete(`/api/classes/${id}/wall`).expect(204);
    await isOver;
    await request(app).get(`/api/wall/${token}/stream`).expect(404);
    expect((await owner.agent.get(`/api/classes/${id}/wall`)).body).toEqual({ since: null });
  }, 20_000);

  it('has one address: a new one takes back the one before; what is kept is no address', async () => {
    const owner = await makeStudio(app, 'wall-one');
    const id = await makeClass(owner);
    const [first, second] = [await makeWall(owner, id), await makeWall(owner, id)];
    await request(app).get(`/api/wall/${first}/stream`).expect(404);
    expect(JSON.stringify(await ClassRow.findByPk(id))).not.toContain(second);
  });

  it('has room for eight screens', async () => {
    const owner = await makeStudio(app, 'wall-many');
    const token = await makeWall(owner, await makeClass(owner));
    const open = await Promise.all(Array.from({ length: 8 }, () => follow(token)));
    await request(app).get(`/api/wall/${token}/stream`).expect(429);
    for (const screen of open) screen.close();
  });
});
