import ICAL from 'ical.js';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { Feed, User } from '../db/models.ts';
import { addMember, makeStudio, openTestApp, type TestMember } from '../testing/test-studio.ts';

const { app } = await openTestApp();

/** What another program's calendar makes of a feed: `ical.js`, which had no part in writing it. */
function readCalendar(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
  return {
    name: calendar.getFirstPropertyValue('x-wr-calname'),
    version: calendar.getFirstPropertyValue('version'),
    events: calendar.getAllSubcomponents('vevent').map((component) => {
      const event = new ICAL.Event(component);
      return {
        uid: event.uid,
        title: event.summary,
        from: event.startDate.toJSDate().toISOString(),
        to: event.endDate.toJSDate().toISOString(),
        sequence: event.sequence,
        about: event.description,
        status: component.getFirstPropertyValue('status'),
      };
    }),
  };
}

/** Classes stand near today: a feed tells weeks, not years. */
const inDays = (days: number) => {
  const at = new Date(Date.now() + days * 86_400_000);
  at.setUTCHours(17, 30, 0, 0);
  return at.toISOString();
};

async function make({ agent }: TestMember, title: string, more: object = {}): Promise<string> {
  const body = { title, startsAt: inDays(3), targetS: 2700, machine: 'reformer', ...more };
  const made = await agent.post('/api/classes').send(body).expect(201);
  return (made.body as { id: string }).id;
}

async function makeFeed({ agent }: TestMember, onlyOwn = false) {
  const made = await agent.post('/api/feeds').send({ onlyOwn }).expect(201);
  return made.body as { id: string; path: string };
}

/** As a calendar does it: without cookies. */
async function readFeed(path: string) {
  const answer = await request(app).get(path).expect(200);
  expect(answer.headers['content-type']).toBe('text/calendar; charset=utf-8');
  return readCalendar(answer.text);
}

describe('a calendar feed', () => {
  it('tells when, how long and what, and nobody who comes', async () => {
    const owner = await makeStudio(app, 'Riverside; Öst, Room 2');
    const id = await make(owner, 'Machines, mixed; slow\\steady 🎐');
    const { path } = await makeFeed(owner);
    const { name, version, events } = await readFeed(path);
    expect([name, version]).toEqual(['Riverside; Öst, Room 2', '2.0']);
    expect(events).toEqual([
      {
        uid: `${id}@wrenfern`,
        title: 'Machines, mixed; slow\\steady 🎐',
        from: inDays(3),
        to: new Date(new Date(inDays(3)).getTime() + 45 * 60_000).toISOString(),
        sequence: 0,
        about: '45 min reformer\nwith owner',
        status: 'CONFIRMED',
      },
    ]);
  });

  it('tells a class that moved under the same name, one count later', async () => {
    const owner = await makeStudio(app, 'moved');
    const id = await make(owner, 'Mat');
    const { path } = await makeFeed(owner);
    await owner.agent
      .patch(`/api/classes/${id}`)
      .send({ revision: 1, startsAt: inDays(4) })
      .expect(200);
    expect((await readFeed(path)).events).toMatchObject([
      { uid: `${id}@wrenfern`, from: inDays(4), sequence: 1, status: 'CONFIRMED' },
    ]);
  });

  it('tells what was called off or thrown away as cancelled', async () => {
    const owner = await makeStudio(app, 'off');
    const [off, gone] = [await make(owner, 'Off'), await make(owner, 'Gone')];
    const body = { revision: 1, calledOff: 'Floor is sanded' };
    await owner.agent.patch(`/api/classes/${off}`).send(body).expect(200);
    await owner.agent.delete(`/api/classes/${gone}`).expect(204);
    const { path } = await makeFeed(owner);
    const { events } = await readFeed(path);
    expect(
      events
        .map(({ title, status, sequence }) => [title, status, sequence])
        .sort(([a], [b]) => String(a).localeCompare(String(b))),
    ).toEqual([
      ['Gone', 'CANCELLED', 1],
      ['Off', 'CANCELLED', 1],
    ]);
    expect(events.find(({ title }) => title === 'Off')?.about).toContain('Floor is sanded');
  });

  it('is of all classes, of one’s own, or of those that were handed over', async () => {
    const owner = await makeStudio(app, 'whose');
    const colleague = await addMember(app, owner.studioId, 'instructor');
    const cover = await addMember(app, owner.studioId, 'cover');
    await make(owner, 'Hers');
    const given = await make(owner, 'Given', { instructorId: colleague.userId });
    await owner.agent.put(`/api/classes/${given}/cover`).send({ userId: cover.userId }).expect(200);
    const titles = async (member: TestMember, onlyOwn: boolean) =>
      (await readFeed((await makeFeed(member, onlyOwn)).path)).events
        .map(({ title }) => title)
        .sort();
    expect(await titles(owner, false)).toEqual(['Given', 'Hers']);
    expect(await titles(owner, true)).toEqual(['Hers']);
    expect(await titles(colleague, true)).toEqual([]);
    expect(await titles(cover, false)).toEqual(['Given']);
  });

  it('ends when it is taken back, and with whoever leaves or whose time is over', async () => {
    const owner = await makeStudio(app, 'ends');
    const [leaves, over] = [
      await addMember(app, owner.studioId, 'instructor'),
      await addMember(app, owner.studioId, 'cover'),
    ];
    const feeds = await Promise.all([owner, leaves, over].map((member) => makeFeed(member)));
    const statuses = () =>
      Promise.all(feeds.map(async ({ path }) => (await request(app).get(path)).status));
    expect(await statuses()).toEqual([200, 200, 200]);
    await owner.agent.delete(`/api/feeds/${feeds[0]?.id ?? ''}`).expect(204);
    await owner.agent.delete(`/api/team/${leaves.userId}`).expect(204);
    await User.update({ until: '2020-01-01' }, { where: { id: over.userId } });
    expect(await statuses()).toEqual([404, 404, 404]);
  });

  it('is nobody else’s to see or to end, and its address is not kept', async () => {
    const owner = await makeStudio(app, 'whose-feed');
    const colleague = await addMember(app, owner.studioId, 'instructor');
    const { id, path } = await makeFeed(owner);
    const listed = await colleague.agent.get('/api/feeds').expect(200);
    expect(listed.body).toEqual({ feeds: [] });
    await colleague.agent.delete(`/api/feeds/${id}`).expect(404);
    const [, token = ''] = /feeds\/([^/]+)\//.exec(path) ?? [];
    expect(token).toHaveLength(43);
    expect(JSON.stringify(await Feed.findByPk(id))).not.toContain(token);
    await request(app)
      .get(`/api/feeds/${token.slice(0, -1)}x/classes.ics`)
      .expect(404);
  });

  it('is one of ten at most', async () => {
    const owner = await makeStudio(app, 'many');
    for (let made = 0; made < 10; made += 1) await makeFeed(owner);
    const refused = await owner.agent.post('/api/feeds').send({ onlyOwn: true });
    expect(JSON.stringify(refused.body)).toContain('take one back first');
  });
});

it('classes go out as a calendar file', async () => {
  const owner = await makeStudio(app, 'file');
  await make(owner, 'Once');
  const answer = await owner.agent.get('/api/classes.ics').expect(200);
  expect(answer.headers['content-disposition']).toContain('classes.ics');
  expect(readCalendar(answer.text).events.map(({ title }) => title)).toEqual(['Once']);
  await request(app).get('/api/classes.ics').expect(401);
});
