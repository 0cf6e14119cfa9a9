import { describe, expect, it } from 'vitest';
import type { Plan } from '@wrenfern/core/plan/plan';
import { ClassRow, PlanRevision } from '../db/models.ts';
import { cleanUp } from '../keeping/clean-up.ts';
import { makeClass, makePerson, makeStudio, openTestApp } from '../testing/test-studio.ts';

const { database, app } = await openTestApp();
const member = await makeStudio(app, 'studio');

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

  it('is of two groups from the first where that is wanted, every week of it', async () => {
    const made = await member.agent
      .post('/api/classes')
      .send({
        title: 'Both',
        startsAt: '2026-12-07T18:15:00Z',
        twoGroups: true,
        weeklyUntil: '2026-12-14',
      })
      .expect(201);
    const { ids } = made.body as { ids: string[] };
    expect(ids).toHaveLength(2);
    for (const id of ids) {
      const { plan } = await lessonOf(id);
      expect(plan).toMatchObject({ machine: 'reformer', changeOver: { durationS: 150 } });
      expect(plan.segments.flatMap(({ station }) => station ?? [])).toEqual(['reformer', 'mat']);
    }
    const refused = await member.agent
      .post('/api/classes')
      .send({ title: 'Both', startsAt: '2026-12-07T18:15:00Z', twoGroups: 'yes' });
    expect(refused.status).toBe(422);
    expect(JSON.stringify(refused.body)).toContain('twoGroups');
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
    expect(stale.body).toMatchObject({
      code: 'stale',
      current: { revision: 2, plan: { title: 'First' } },
    });
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
    const put = (revision: number, personIds: string[]) =>
      member.agent.put(`/api/classes/${id}/attendees`).send({ revision, personIds });
    await put(1, [asha, bram]).expect(200);
    await member.agent
      .patch(`/api/classes/${id}/attendees/${asha}`)
      .send({
        revision: 1,
        todayNote: 'wrist',
        today: [{ caution: 'wrist' }],
        choices: { a: { kind: 'rest' } },
      })
      .expect(200);
    await put(2, [asha]).expect(200);
    const { attendees } = await lessonOf(id);
    expect(attendees).toMatchObject([
      { person: { name: 'Asha' }, todayNote: 'wrist', byHand: { a: { kind: 'rest' } } },
    ]);
    await put(3, []).expect(200);
    expect((await lessonOf(id)).attendees).toEqual([]);
  });

  it('refuses a caution that does not exist', async () => {
    const id = await makeClass(member);
    const asha = await makePerson(member, 'Asha');
    await member.agent
      .put(`/api/classes/${id}/attendees`)
      .send({ revision: 1, personIds: [asha] })
      .expect(200);
    const response = await member.agent
      .patch(`/api/classes/${id}/attendees/${asha}`)
      .send({ revision: 1, today: [{ caution: 'vertigo-of-the-moon' }] });
    expect(response.status).toBe(422);
    expect((response.body as { errors: { path: unknown[] }[] }).errors[0]?.path).toEqual([
      'today',
      0,
      'caution',
    ]);
  });

  it('is merged by whoever is told that somebody else changed the list', async () => {
    const id = await makeClass(member);
    const [asha, bram] = [await makePerson(member, 'Asha'), await makePerson(member, 'Bram')];
    const put = (personIds: string[]) =>
      member.agent.put(`/api/classes/${id}/attendees`).send({ revision: 1, personIds });
    await put([asha]).expect(200);
    const late = await put([bram]).expect(409);
    expect(late.body).toMatchObject({ code: 'stale', current: { revision: 2, personIds: [asha] } });
    expect((await lessonOf(id)).attendees).toMatchObject([{ person: { name: 'Asha' } }]);
  });

  it('keeps a colleague’s note for today when another is saved from an older one', async () => {
    const id = await makeClass(member);
    const asha = await makePerson(member, 'Asha');
    const booked = { revision: 1, personIds: [asha] };
    await member.agent.put(`/api/classes/${id}/attendees`).send(booked).expect(200);
    const patch = (change: object) =>
      member.agent.patch(`/api/classes/${id}/attendees/${asha}`).send({ revision: 1, ...change });
    await patch({ todayNote: 'knee' }).expect(200);
    const late = await patch({ choices: { a: { kind: 'rest' } } }).expect(409);
    expect(late.body).toMatchObject({ current: { revision: 2, todayNote: 'knee', choices: {} } });
  });

  it('keeps who is here when something else is saved, and takes it back', async () => {
    const id = await makeClass(member);
    const asha = await makePerson(member, 'Asha');
    await member.agent
      .put(`/api/classes/${id}/attendees`)
      .send({ revision: 1, personIds: [asha] })
      .expect(200);
    const patch = (revision: number, change: object) =>
      member.agent.patch(`/api/classes/${id}/attendees/${asha}`).send({ revision, ...change });
    await patch(1, { came: 'here' }).expect(200);
    await patch(2, { todayNote: 'late' }).expect(200);
    expect((await lessonOf(id)).attendees).toMatchObject([{ came: 'here', todayNote: 'late' }]);
    const late = await patch(1, { came: 'cancelled late' }).expect(409);
    expect(late.body).toMatchObject({ current: { came: 'here' } });
    await patch(3, { came: null }).expect(200);
    expect((await lessonOf(id)).attendees[0]).not.toHaveProperty('came');
    await patch(4, { came: 'at the bar' }).expect(422);
  });

  it('keeps where somebody begins in a class of two groups, and lets go of it', async () => {
    const id = await makeClass(member);
    const asha = await makePerson(member, 'Asha');
    await member.agent
      .put(`/api/classes/${id}/attendees`)
      .send({ revision: 1, personIds: [asha] })
      .expect(200);
    const patch = (revision: number, change: object) =>
      member.agent.patch(`/api/classes/${id}/attendees/${asha}`).send({ revision, ...change });
    await patch(1, { startsOn: 'reformer' }).expect(200);
    await patch(2, { came: 'here' }).expect(200);
    expect((await lessonOf(id)).attendees).toMatchObject([{ startsOn: 'reformer', came: 'here' }]);
    await patch(3, { startsOn: null }).expect(200);
    expect((await lessonOf(id)).attendees[0]).not.toHaveProperty('startsOn');
    await patch(4, { startsOn: 'beam' }).expect(422);
  });

  it('leaves bookings when a person is removed', async () => {
    const id = await makeClass(member);
    const pia = await makePerson(member, 'Pia');
    await member.agent
      .put(`/api/classes/${id}/attendees`)
      .send({ revision: 1, personIds: [pia] })
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
      await member.agent
        .put(`/api/classes/${id}/attendees`)
        .send({ revision: 1, personIds: who })
        .expect(200);
      if (!isTaught) return;
      await member.agent
        .post(`/api/classes/${id}/events`)
        .send({
          events: [{ id: `start-${id}`, type: 'start', atMs: Date.parse(startsAt), order: 1 }],
        })
        .expect(201);
    };
    const [a, b, c] = people as [string, string, string];
    await taught('2026-11-01T10:00:00Z', 'plank', [a, b], true);
    await taught('2026-11-02T10:00:00Z', 'clam', [a], true);
    await taught('2026-11-03T10:00:00Z', 'roll-up', [a, b, c], false);
    await taught('2026-07-01T10:00:00Z', 'cat-cow', [a, b, c], true);
    const id = await makeClass(member);
    await member.agent
      .put(`/api/classes/${id}/attendees`)
      .send({ revision: 1, personIds: people })
      .expect(200);
    const lesson = await lessonOf(id);
    expect(lesson.familiar).toEqual(['plank']);
    // What any of them did in the last classes, newest first.
    expect(lesson.lately).toEqual(['clam', 'plank']);
  });
});

describe('the log', () => {
  const NOON = Date.UTC(2026, 10, 26, 18, 15);
  const event = (order: number, type: string, extra: object = {}) => ({
    id: `event-000${order}`,
    type,
    atMs: NOON + order * 1000,
    order,
    ...extra,
  });
  const send = (id: string, events: object[], after = 0) =>
    member.agent.post(`/api/classes/${id}/events`).send({ events, after });

  interface Told {
    pressed: { seq: number; event: object }[];
    nowMs: number;
    taught: { revision: number; plan: Plan } | null;
  }
  const read = async (id: string) =>
    (await member.agent.get(`/api/classes/${id}/events`).expect(200)).body as Told;

  it('keeps an event once, however often it is sent, and answers only what is new', async () => {
    const id = await makeClass(member);
    const start = event(1, 'start');
    const first = (await send(id, [start]).expect(201)).body as Told;
    const step = event(2, 'goTo', { itemId: 'a' });
    const after = first.pressed[0]?.seq ?? 0;
    const second = (await send(id, [start, step], after).expect(201)).body as Told;
    expect(second.pressed.map((each) => each.event)).toEqual([step]);
    await send(id, [start]).expect(201);
    expect((await read(id)).pressed.map((each) => each.event)).toEqual([start, step]);
    expect(await lessonOf(id)).toMatchObject({ taught: true });
  });

  it('keeps the same event id apart in two classes', async () => {
    const [one, two] = [await makeClass(member), await makeClass(member)];
    for (const id of [one, two]) {
      const answer = await send(id, [event(1, 'start')]).expect(201);
      expect((answer.body as Told).pressed).toHaveLength(1);
    }
  });

  it.each([
    ['a type that there is not', { type: 'levitate' }],
    ['an id that every object has', { type: 'goTo', itemId: '__proto__' }],
    [
      'a person that every object has',
      { type: 'moved', itemId: 'a', personId: 'constructor', option: 1 },
    ],
    ['a time in the year 287396', { type: 'end', atMs: 9_007_199_254_740_991 }],
    ['a time two days away', { type: 'end', atMs: NOON + 2 * 86_400_000 }],
  ])('refuses %s, and everybody can still open the class', async (_name, change) => {
    const id = await makeClass(member);
    await send(id, [{ ...event(1, 'start'), ...change }]).expect(422);
    expect((await read(id)).pressed).toEqual([]);
    await lessonOf(id);
  });

  it('keeps the plan as it was taught, whatever is planned since', async () => {
    const id = await makeClass(member);
    const { plan } = await lessonOf(id);
    await save(id, 1, withItem(plan, 'plank')).expect(200);
    expect((await read(id)).taught).toBeNull();
    await send(id, [event(1, 'start', { revision: 2 })]).expect(201);
    // A colleague empties the class.
    await save(id, 2, { ...plan, segments: [] }).expect(200);
    const { taught } = await read(id);
    expect(taught?.revision).toBe(2);
    expect(taught?.plan.segments[0]?.items[0]).toMatchObject({ exercise: 'plank' });
    expect((await lessonOf(id)).plan.segments).toEqual([]);
    // A second start changes nothing.
    await send(id, [event(2, 'start', { revision: 3 })]).expect(201);
    expect((await read(id)).taught?.revision).toBe(2);
  });

  it('teaches what stands where the device had a plan that nobody knows', async () => {
    const id = await makeClass(member);
    await send(id, [event(1, 'start', { revision: 77 })]).expect(201);
    expect((await read(id)).taught?.revision).toBe(1);
  });

  it('keeps a note and an effort, and takes them back', async () => {
    const id = await makeClass(member);
    const put = (body: object) => member.agent.put(`/api/classes/${id}/note`).send(body);
    expect((await member.agent.get(`/api/classes/${id}/note`)).body).toEqual({
      effort: null,
      note: '',
      revision: 0,
    });
    await put({ revision: 0, effort: 4, note: 'Warm room' }).expect(200);
    const late = await put({ revision: 0, effort: 2, note: 'Cold' }).expect(409);
    expect(late.body).toMatchObject({ current: { effort: 4, note: 'Warm room', revision: 1 } });
    const all = { effort: null, note: 'Warm room, all the same' };
    await put({ revision: 1, ...all }).expect(200);
    expect((await member.agent.get(`/api/classes/${id}/note`)).body).toEqual({
      ...all,
      revision: 2,
    });
    await put({ revision: 2, effort: 9, note: '' }).expect(422);
  });
});

describe('earlier plans', () => {
  it('are all there, newest first, with who saved them', async () => {
    const id = await makeClass(member);
    const { plan } = await lessonOf(id);
    await save(id, 1, { ...plan, title: 'Second' }).expect(200);
    const list = await member.agent.get(`/api/classes/${id}/revisions`).expect(200);
    const { revisions } = list.body as { revisions: object[] };
    expect(revisions).toMatchObject([
      { revision: 2, savedBy: 'owner', wasTaught: false },
      { revision: 1, savedBy: 'owner' },
    ]);
    const first = await member.agent.get(`/api/classes/${id}/revisions/1`).expect(200);
    expect(first.body).toMatchObject({ revision: 1, plan: { title: 'Morning' } });
    await member.agent.get(`/api/classes/${id}/revisions/99`).expect(404);
    await member.agent.get(`/api/classes/${id}/revisions/x`).expect(404);
  });

  it('go after ninety days, but for the one that was taught and the one that stands', async () => {
    const id = await makeClass(member);
    const { plan } = await lessonOf(id);
    for (const revision of [1, 2, 3]) {
      await save(id, revision, { ...plan, title: `T${revision}` }).expect(200);
    }
    await ClassRow.update({ taughtRevision: 2 }, { where: { id } });
    const createdAt = new Date(Date.now() - 91 * 86_400_000);
    await PlanRevision.update({ createdAt }, { where: { classId: id } });
    await cleanUp(new Date());
    const left = await PlanRevision.findAll({ where: { classId: id }, order: ['revision'] });
    expect(left.map(({ revision }) => revision)).toEqual([2, 4]);
  });
});

describe('a class’s day and time', () => {
  it('is changed from what was seen, not from what somebody else made of it', async () => {
    const id = await makeClass(member);
    const patch = (startsAt: string) =>
      member.agent.patch(`/api/classes/${id}`).send({ revision: 1, startsAt });
    await patch('2026-12-01T10:00:00Z').expect(200);
    const late = await patch('2026-12-02T10:00:00Z').expect(409);
    expect(late.body).toMatchObject({
      current: { revision: 2, startsAt: '2026-12-01T10:00:00.000Z' },
    });
  });

  it.each(['0000-01-01T10:00:00Z', '9999-12-31T23:00:00Z', '1999-12-31T23:00:00Z'])(
    'is not %s',
    async (startsAt) => {
      const answer = await member.agent.post('/api/classes').send({ title: 'T', startsAt });
      expect(answer.status).toBe(422);
      expect(answer.body).toMatchObject({ errors: [{ path: ['startsAt'] }] });
    },
  );
});

describe('today', () => {
  it('tells what is left to settle, and nothing of the past', async () => {
    const other = await makeStudio(app, 'today');
    const id = await makeClass(other, 'Soon');
    const from = (time: string) => other.agent.get(`/api/today?from=${time}`).expect(200);
    const { classes } = (await from('2026-11-26T00:00:00Z')).body as {
      classes: { id: string; ready: object }[];
    };
    expect(classes).toMatchObject([
      { id, state: 'ready', ready: { items: 0, toSettle: { time: [], order: [] } } },
    ]);
    expect((await from('2026-12-26T00:00:00Z')).body).toEqual({ classes: [] });
  });

  it('shows every class though one can’t be read, and says so', async () => {
    const other = await makeStudio(app, 'unreadable');
    const [good, bad] = [await makeClass(other, 'Good'), await makeClass(other, 'Bad')];
    const query = 'UPDATE classes SET plan = \'{"format":"wrenfern-plan/99"}\' WHERE id = ?';
    await database.query(query, { replacements: [bad] });
    const answer = await other.agent.get('/api/today?from=2026-11-26T00:00:00Z').expect(200);
    const { classes } = answer.body as { classes: { id: string; state: string }[] };
    expect(classes.map(({ id, state }) => [id, state]).sort()).toEqual(
      [
        [good, 'ready'],
        [bad, 'unreadable'],
      ].sort(),
    );
    const opened = await other.agent.get(`/api/classes/${bad}`);
    expect([opened.status, (opened.body as { code: string }).code]).toEqual([500, 'unreadable']);
  });

  it('is there though an exercise of a class is not', async () => {
    const other = await makeStudio(app, 'gone');
    const id = await makeClass(other, 'Soon');
    const { plan } = (await other.agent.get(`/api/classes/${id}`)).body as Lesson;
    await ClassRow.update({ plan: withItem(plan, 'gone-for-good') as Plan }, { where: { id } });
    const answer = await other.agent.get('/api/today?from=2026-11-26T00:00:00Z').expect(200);
    const { classes } = answer.body as { classes: { ready: { toSettle: { order: string[] } } }[] };
    expect(classes[0]?.ready.toSettle.order[0]).toMatch(
      /gone for good \(no longer in the library\)/,
    );
  });

  it('wants a moment that is one', async () => {
    const response = await member.agent.get('/api/today?from=yesterday');
    expect(response.status).toBe(422);
    expect(response.body).toMatchObject({ errors: [{ path: ['from'] }] });
  });
});
