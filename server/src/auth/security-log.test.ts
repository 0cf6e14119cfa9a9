import { pino } from 'pino';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { addMember, makeStudio, openTestApp, PASSWORD, testApp } from '../testing/test-studio.ts';

const { database } = await openTestApp();
const lines: string[] = [];
const app = testApp(database, {
  log: pino({ level: 'info' }, { write: (line: string) => void lines.push(line) }),
});
const owner = await makeStudio(app, 'logged');

interface Line {
  msg?: string;
  event?: string;
  userId?: string;
  code?: string;
  requestId?: string;
}

/** What was written down while something was done. */
async function during(work: () => Promise<unknown>): Promise<Line[]> {
  lines.length = 0;
  await work();
  return lines
    .map((line) => JSON.parse(line) as Line)
    .filter(({ msg }) => msg === 'security')
    .map(({ event, userId, code }) => ({
      event,
      ...(userId ? { userId } : {}),
      ...(code ? { code } : {}),
    }));
}

const { userId } = owner;

describe('the log', () => {
  it('tells who came in and who was refused, and why', async () => {
    const signIn = (password: string) =>
      request(app).post('/api/session').send({ email: owner.email, password });
    expect(await during(() => signIn(PASSWORD).expect(204))).toEqual([
      { event: 'signed-in', userId },
    ]);
    expect(await during(() => signIn('not that one').expect(401))).toEqual([
      { event: 'refused', code: 'wrong-credentials' },
    ]);
  });

  it('tells who tried what their part does not include', async () => {
    const reader = await addMember(app, owner.studioId, 'reader');
    expect(await during(() => reader.agent.get('/api/people').expect(403))).toEqual([
      { event: 'refused', userId: reader.userId, code: 'not-allowed' },
    ]);
  });

  it('tells when somebody is signed out, given another part or removed', async () => {
    const nia = await addMember(app, owner.studioId, 'instructor');
    const base = `/api/team/${nia.userId}`;
    expect(await during(() => owner.agent.delete(`${base}/sessions`).expect(204))).toEqual([
      { event: 'sessions-ended', userId: nia.userId },
    ]);
    await nia.agent.get('/api/session').expect(401);
    const part = { role: 'reader', until: null };
    expect(await during(() => owner.agent.patch(base).send(part).expect(200))).toEqual([
      { event: 'part-changed', userId: nia.userId },
    ]);
    expect(await during(() => owner.agent.delete(base).expect(204))).toEqual([
      { event: 'member-removed', userId: nia.userId },
    ]);
  });

  it('holds no address, no password and no body, and an id to find the request by', async () => {
    lines.length = 0;
    await request(app).post('/api/session').send({ email: owner.email, password: PASSWORD });
    await owner.agent.post('/api/people').send({ name: 'Asha', note: 'lives alone' }).expect(201);
    const text = lines.join('');
    for (const secret of [owner.email, PASSWORD, 'Asha', 'lives alone']) {
      expect(text).not.toContain(secret);
    }
    for (const line of lines)
      expect((JSON.parse(line) as Line).requestId).toMatch(/^[0-9a-f-]{36}$/);
  });
});
