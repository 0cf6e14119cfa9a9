import type { Express } from 'express';
import type { Sequelize } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Plan } from '@wrenfern/core/plan/plan';
import {
  makeClass,
  makePerson,
  makeStudio,
  openTestDatabase,
  testApp,
  type TestMember,
} from '../testing/test-studio.ts';

let database: Sequelize;
let app: Express;
let member: TestMember;

beforeAll(async () => {
  database = await openTestDatabase();
  app = testApp(database);
  member = await makeStudio(app, 'studio');
});
afterAll(() => database.close());

interface Lesson {
  revision: number;
  plan: Plan;
  day: string;
  familiar: string[];
  lately: string[];
  attendees: { person: { id: string; name: string }; byHand: object; todayNote: string }[];
}

const lessonOf = async (id: string): Promise<Lesson> =>
  (await member.agent.get(`/api/classes/${id}`).expect(200)).body as Lesson;

const withItem = (plan: Plan, exercise: string, extra: object = {}): unknown => ({
  ...plan,
  segments: plan.segments.map((segment, index) =>
    index === 0
      ? { ...segment, items: [{ kind: 'exercise', id: `${exercise}-1`, exercise, ...extra }] }
      : segment,
  ),
});

const save = (id: string, revision: number, plan: unknown) =>
  member.agent.put(`/api/classes/${id}/plan`).send({ revision, plan });

describe('a class', () => {
  it('begins with three empty parts', async () => {
    const { plan, revision } = await lessonOf(await makeClass(member));
    expect(revision).toBe(1);
    expect(plan.segments.map(({ name, items }) => [name, items.length])).toEqual([
      ['Arrive', 0],
      ['Build', 0],
      ['Release', 0],
    ]);
  });

  it('copies the plan of another', async () => {
    const id = await makeClass(member);
    const { plan } = await lessonOf(id);
    await save(id, 1, withItem(plan, 'plank')).expect(200);
    const copy = await member.agent
      .post('/api/classes')
      .send({ title: 'Again', startsAt: '2026-12-03T18:15:00Z', copyOf: id })
      .expect(201);
    const copied = await lessonOf((copy.body as { id: string }).id);
    expect(copied.plan.title).toBe('Again');
    expect(copied.plan.segments[0]?.items[0]).toMatchObject({ exercise: 'plank' });
  });

  it('has its day in the studio’s own zone', async () => {
    const response = await member.agent
      .post('/api/classes')
      .send({ title: 'Late', startsAt: '2026-06-30T23:30:00Z' })
      .expect(201);
    // Lisbon is an hour ahead of UTC in summer.
    expect((await lessonOf((response.body as { id: string }).id)).day).toBe('2026-07-01');
  });

  it('is listed newest first, a page at a time', async () => {
    const response = await member.agent.get('/api/classes?limit=2').expect(200);
    const { classes } = response.body as { classes: { startsAt: string }[] };
    expect(classes).toHaveLength(2);
    const [first, second] = classes;
    expect(Date.parse(first?.startsAt ?? '')).toBeGreaterThanOrEqual(
      Date.parse(second?.startsAt ?? ''),
    );
    const next = await member.agent
      .get(`/api/classes?limit=100&before=${second?.startsAt ?? ''}`)
      .expect(200);
    for (const { startsAt } of (next.body as { classes: { startsAt: string }[] }).classes) {
      expect(Date.parse(startsAt)).toBeLessThan(Date.parse(second?.startsAt ?? ''));
    }
  });

  it('is gone once deleted', async () => {
    const id = await makeClass(member);
    await member.agent.delete(`/api/classes/${id}`).expect(204);
    await member.agent.get(`/api/classes/${id}`).expect(404);
  });
});

describe('saving a plan', () => {
  it('counts the revision up', async () => {
    const id = await makeClass(member);
    const { plan } = await lessonOf(id);
    const saved = await save(id, 1, { ...plan, title: 'Renamed' }).expect(200);
    expect(saved.body).toEqual({ revision: 2 });
    const after = await lessonOf(id);
    expect(after).toMatchObject({ revision: 2, plan: { title: 'Renamed' } });
  });

  it('answers a stale save with 409 and the newer document, and keeps that', async () => {
    const id = await makeClass(member);
    const { plan } = await lessonOf(id);
    await save(id, 1, { ...plan, title: 'First' }).expect(200);
    const stale = await save(id, 1, { ...plan, title: 'Second' });
    expect(stale.status).toBe(409);
    expect(stale.body).toMatchObject({ code: 'stale', revision: 2, plan: { title: 'First' } });
    expect((await lessonOf(id)).plan.title).toBe('First');
  });

  it('lets exactly one of twenty savers at once win', async () => {
    const id = await makeClass(member);
    const { plan } = await lessonOf(id);
    const answers = await Promise.all(
      Array.from({ length: 20 }, (_, index) => save(id, 1, { ...plan, title: `Saver ${index}` })),
    );
    const statuses = answers.map(({ status }) => status);
    expect(statuses.filter((status) => status === 200)).toHaveLength(1);
    expect(statuses.filter((status) => status === 409)).toHaveLength(19);
    const winner = answers.findIndex(({ status }) => status === 200);
    expect((await lessonOf(id)).plan.title).toBe(`Saver ${winner}`);
  });

  it.each<[string, (plan: Plan) => unknown, (string | number)[]]>([
    [
      'an unknown slug',
      (plan) => withItem(plan, 'moon-walk'),
      ['plan', 'segments', 0, 'items', 0, 'exercise'],
    ],
    [
      'a negative dose',
      (plan) => withItem(plan, 'plank', { dose: { kind: 'hold', holdS: -30 } }),
      ['plan', 'segments', 0, 'items', 0, 'dose', 'holdS'],
    ],
    [
      'an option that is not there',
      (plan) => withItem(plan, 'plank', { options: [4] }),
      ['plan', 'segments', 0, 'items', 0, 'options', 0],
    ],
    ['no title', (plan) => ({ ...plan, title: '' }), ['plan', 'title']],
    ['another format', (plan) => ({ ...plan, format: 'x' }), ['plan', 'format']],
  ])('refuses %s, names the field, and loses nothing', async (_name, change, path) => {
    const id = await makeClass(member);
    const { plan } = await lessonOf(id);
    const response = await save(id, 1, change(plan));
    expect(response.status).toBe(422);
    expect(response.body).toMatchObject({ code: 'invalid', errors: [{ path }] });
    expect(await lessonOf(id)).toMatchObject({ revision: 1, plan });
  });

  it('keeps every letter of every script', async () => {
    const id = await makeClass(member);
    const { plan } = await lessonOf(id);
    const title = "Żółć 夜 🌿 “quoted” \\ ' ;--";
    await save(id, 1, { ...plan, title, note: title }).expect(200);
    expect((await lessonOf(id)).plan).toMatchObject({ title, note: title });
  });
});

describe('who comes', () => {
  it('is booked, keeps today’s note, and is unbooked', async () => {
    const id = await makeClass(member);
    const asha = await makePerson(member, 'Asha');
    const bram = await makePerson(member, 'Bram');
    const put = (personIds: string[]) =>
      member.agent.put(`/api/classes/${id}/attendees`).send({ personIds });
    await put([asha, bram]).expect(200);
    await member.agent
      .patch(`/api/classes/${id}/attendees/${asha}`)
      .send({ todayNote: 'wrist', today: [{ caution: 'wrist' }], choices: { a: { kind: 'rest' } } })
      .expect(200);
    await put([asha]).expect(200);
    const { attendees } = await lessonOf(id);
    expect(attendees).toMatchObject([
      { person: { name: 'Asha' }, todayNote: 'wrist', byHand: { a: { kind: 'rest' } } },
    ]);
    await put([]).expect(200);
    expect((await lessonOf(id)).attendees).toEqual([]);
  });

  it('refuses a caution that does not exist', async () => {
    const id = await makeClass(member);
    const asha = await makePerson(member, 'Asha');
    await member.agent
      .put(`/api/classes/${id}/attendees`)
      .send({ personIds: [asha] })
      .expect(200);
    const response = await member.agent
      .patch(`/api/classes/${id}/attendees/${asha}`)
      .send({ today: [{ caution: 'vertigo-of-the-moon' }] });
    expect(response.status).toBe(422);
    expect((response.body as { errors: { path: unknown[] }[] }).errors[0]?.path).toEqual([
      'today',
      0,
      'caution',
    ]);
  });

  it('leaves bookings when a person is removed', async () => {
    const id = await makeClass(member);
    const pia = await makePerson(member, 'Pia');
    await member.agent
      .put(`/api/classes/${id}/attendees`)
      .send({ personIds: [pia] })
      .expect(200);
    await member.agent.delete(`/api/people/${pia}`).expect(204);
    expect((await lessonOf(id)).attendees).toEqual([]);
  });
});

describe('what the group knows', () => {
  it('is what at least half of them did in classes taught in the eight weeks before', async () => {
    const people = await Promise.all(['A', 'B', 'C'].map((name) => makePerson(member, name)));
    const taught = async (startsAt: string, exercise: string, who: string[], isTaught: boolean) => {
      const response = await member.agent.post('/api/classes').send({ title: 'T', startsAt });
      const { id } = response.body as { id: string };
      const { plan } = await lessonOf(id);
      await save(id, 1, withItem(plan, exercise)).expect(200);
      await member.agent.put(`/api/classes/${id}/attendees`).send({ personIds: who }).expect(200);
      if (!isTaught) return;
      await member.agent
        .post(`/api/classes/${id}/events`)
        .send({ events: [{ id: `start-${id}`, type: 'start', atMs: 1 }] })
        .expect(201);
    };
    const [a, b, c] = people as [string, string, string];
    await taught('2026-11-01T10:00:00Z', 'plank', [a, b], true);
    await taught('2026-11-02T10:00:00Z', 'clam', [a], true);
    await taught('2026-11-03T10:00:00Z', 'roll-up', [a, b, c], false);
    await taught('2026-07-01T10:00:00Z', 'cat-cow', [a, b, c], true);
    const id = await makeClass(member);
    await member.agent.put(`/api/classes/${id}/attendees`).send({ personIds: people }).expect(200);
    const lesson = await lessonOf(id);
    expect(lesson.familiar).toEqual(['plank']);
    // What any of them did in the last classes, newest first.
    expect(lesson.lately).toEqual(['clam', 'plank']);
  });
});

describe('the log', () => {
  const event = (id: string, type: string, atMs: number) => ({ id, type, atMs });

  it('keeps an event once, however often it is sent', async () => {
    const id = await makeClass(member);
    const send = (events: object[]) =>
      member.agent.post(`/api/classes/${id}/events`).send({ events });
    const start = event('event-0001', 'start', 1000);
    await send([start]).expect(201);
    await send([start, event('event-0002', 'next', 2000)]).expect(201);
    const answer = await send([start]).expect(201);
    expect((answer.body as { events: unknown[] }).events).toEqual([
      start,
      event('event-0002', 'next', 2000),
    ]);
    expect(await lessonOf(id)).toMatchObject({ taught: true });
  });

  it('keeps the same event id apart in two classes', async () => {
    const [one, two] = [await makeClass(member), await makeClass(member)];
    for (const id of [one, two]) {
      const answer = await member.agent
        .post(`/api/classes/${id}/events`)
        .send({ events: [event('event-0001', 'start', 1)] })
        .expect(201);
      expect((answer.body as { events: unknown[] }).events).toHaveLength(1);
    }
  });

  it('refuses an event that could not have happened', async () => {
    const id = await makeClass(member);
    const response = await member.agent
      .post(`/api/classes/${id}/events`)
      .send({ events: [event('event-0001', 'levitate', 1)] });
    expect(response.status).toBe(422);
  });

  it('keeps a note and an effort, and takes them back', async () => {
    const id = await makeClass(member);
    const put = (body: object) => member.agent.put(`/api/classes/${id}/note`).send(body);
    expect((await member.agent.get(`/api/classes/${id}/note`)).body).toEqual({
      effort: null,
      note: '',
    });
    await put({ effort: 4, note: 'Warm room' }).expect(200);
    await put({ effort: null, note: 'Warm room, all the same' }).expect(200);
    expect((await member.agent.get(`/api/classes/${id}/note`)).body).toEqual({
      effort: null,
      note: 'Warm room, all the same',
    });
    await put({ effort: 9, note: '' }).expect(422);
  });
});

describe('today', () => {
  it('tells what is left to settle, and nothing of the past', async () => {
    const other = await makeStudio(app, 'today');
    const id = await makeClass(other, 'Soon');
    const from = (time: string) => other.agent.get(`/api/today?from=${time}`).expect(200);
    const { classes } = (await from('2026-11-26T00:00:00Z')).body as {
      classes: { id: string; toSettle: object; items: number }[];
    };
    expect(classes).toMatchObject([{ id, items: 0, toSettle: { time: [], order: [] } }]);
    expect((await from('2026-12-26T00:00:00Z')).body).toEqual({ classes: [] });
  });

  it('wants a moment that is one', async () => {
    const response = await member.agent.get('/api/today?from=yesterday');
    expect(response.status).toBe(422);
    expect(response.body).toMatchObject({ errors: [{ path: ['from'] }] });
  });
});
