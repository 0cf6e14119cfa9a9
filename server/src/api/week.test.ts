import { DateTime } from 'luxon';
import { describe, expect, it } from 'vitest';
import { ClassRow } from '../db/models.ts';
import {
  addMember,
  makeClass,
  makePerson,
  makeStudio,
  openTestApp,
} from '../testing/test-studio.ts';

const { app } = await openTestApp();
// Summer time ends there on 25 October 2026 and begins on 28 March 2027.
const ZONE = 'Europe/Lisbon';

interface Card {
  id: string;
  title: string;
  startsAt: string;
  machine: string;
  coming: string[];
  calledOff: string | null;
  isRepeated: boolean;
  lastOfSeries: string | null;
  detailsRevision: number;
  ready: { items: number } | null;
  instructor: { id: string; name: string } | null;
}

const studio = () => makeStudio(app, 'weekly');
type Owner = Awaited<ReturnType<typeof studio>>;

async function daysOf({ agent }: Owner, from: string, until: string): Promise<Card[]> {
  const answer = await agent.get(`/api/week?from=${from}&until=${until}`).expect(200);
  return (answer.body as { classes: Card[] }).classes;
}

/** Fortnight by fortnight: what is longer is told as a month, with less. */
async function weekOf(owner: Owner, from: string, until: string): Promise<Card[]> {
  const day = (text: string) => DateTime.fromISO(text, { zone: 'utc' });
  const cards: Card[] = [];
  for (let at = day(from); at <= day(until); at = at.plus({ days: 14 })) {
    const last = DateTime.min(at.plus({ days: 13 }), day(until));
    cards.push(...(await daysOf(owner, at.toISODate() ?? '', last.toISODate() ?? '')));
  }
  return cards;
}

const localTime = (iso: string) =>
  DateTime.fromISO(iso, { zone: ZONE }).toFormat('ccc d LLL HH:mm');

async function makeSeries({ agent }: Owner, more: object = {}): Promise<string[]> {
  const body = {
    title: 'Machines',
    machine: 'reformer',
    startsAt: '2026-10-20T17:00:00Z',
    weeklyUntil: '2026-11-10',
    ...more,
  };
  const answer = await agent.post('/api/classes').send(body).expect(201);
  return (answer.body as { ids: string[] }).ids;
}

describe('a class that repeats', () => {
  it('keeps its time of day when summer time ends', async () => {
    const owner = await studio();
    expect(await makeSeries(owner)).toHaveLength(4);
    const cards = await weekOf(owner, '2026-10-19', '2026-11-15');
    expect(cards.map(({ startsAt }) => localTime(startsAt))).toEqual([
      'Tue 20 Oct 18:00',
      'Tue 27 Oct 18:00',
      'Tue 3 Nov 18:00',
      'Tue 10 Nov 18:00',
    ]);
    expect(cards.every(({ machine, isRepeated }) => machine === 'reformer' && isRepeated)).toBe(
      true,
    );
  });

  it('is planned from the one before it, whose people come again', async () => {
    const owner = await studio();
    const asha = await makePerson(owner, 'Asha');
    const earlier = await makeClass(owner);
    await owner.agent
      .put(`/api/classes/${earlier}/attendees`)
      .send({ revision: 1, personIds: [asha] })
      .expect(200);
    const ids = await makeSeries(owner, { peopleOf: earlier });
    const cards = await weekOf(owner, '2026-10-19', '2026-11-15');
    expect(cards.map(({ lastOfSeries }) => lastOfSeries)).toEqual([null, ...ids.slice(0, 3)]);
    expect(cards.map(({ coming }) => coming)).toEqual(Array.from({ length: 4 }, () => ['Asha']));
  });

  it('is moved alone, or with all that follow, never with what is behind it', async () => {
    const owner = await studio();
    const [, second = '', third = ''] = await makeSeries(owner);
    const move = (id: string, startsAt: string, following: boolean) =>
      owner.agent.patch(`/api/classes/${id}`).send({ revision: 1, startsAt, following });
    await move(second, '2026-10-28T10:30:00Z', false).expect(200);
    const times = async () =>
      (await weekOf(owner, '2026-10-19', '2026-11-15')).map(({ startsAt }) => localTime(startsAt));
    expect(await times()).toEqual([
      'Tue 20 Oct 18:00',
      'Wed 28 Oct 10:30',
      'Tue 3 Nov 18:00',
      'Tue 10 Nov 18:00',
    ]);
    await move(third, '2026-11-05T09:15:00Z', true).expect(200);
    expect(await times()).toEqual([
      'Tue 20 Oct 18:00',
      'Wed 28 Oct 10:30',
      'Thu 5 Nov 09:15',
      'Thu 12 Nov 09:15',
    ]);
  });

  it('is called off with a reason and brought back; what was taught stays as it was', async () => {
    const owner = await studio();
    const [first = '', , , last = ''] = await makeSeries(owner);
    await ClassRow.update({ taughtRevision: 1 }, { where: { id: last } });
    const change = (body: object) => owner.agent.patch(`/api/classes/${first}`).send(body);
    await change({ revision: 1, calledOff: 'Floor is sanded', following: true }).expect(200);
    const off = async () =>
      (await weekOf(owner, '2026-10-19', '2026-11-15')).map(({ calledOff }) => calledOff);
    expect(await off()).toEqual(['Floor is sanded', 'Floor is sanded', 'Floor is sanded', null]);
    const today = await owner.agent.get('/api/today?from=2026-10-01T00:00:00Z').expect(200);
    expect((today.body as { classes: Card[] }).classes.map(({ id }) => id)).toEqual([last]);
    await change({ revision: 2, calledOff: null }).expect(200);
    expect(await off()).toEqual([null, 'Floor is sanded', 'Floor is sanded', null]);
    await change({ revision: 1, calledOff: '' }).expect(422);
  });

  it('is changed by one of two who try at once', async () => {
    const owner = await studio();
    const [first = ''] = await makeSeries(owner);
    const answers = await Promise.all(
      ['One', 'Other'].map((calledOff) =>
        owner.agent
          .patch(`/api/classes/${first}`)
          .send({ revision: 1, calledOff, following: true }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
    const won = answers.find(({ status }) => status === 200)?.body as { calledOff: string };
    const cards = await weekOf(owner, '2026-10-19', '2026-11-15');
    expect(new Set(cards.map(({ calledOff }) => calledOff))).toEqual(new Set([won.calledOff]));
  });

  it.each([
    ['2026-10-01', 'is before the first'],
    ['2030-01-01', 'at most 53 weeks at once'],
  ])('is refused until %s: %s', async (weeklyUntil, said) => {
    const owner = await studio();
    const answer = await owner.agent
      .post('/api/classes')
      .send({ title: 'T', startsAt: '2026-10-20T17:00:00Z', weeklyUntil });
    expect(answer.status).toBe(422);
    expect(JSON.stringify(answer.body)).toContain(said);
  });
});

describe('a new class', () => {
  it('is begun like an earlier one, with what to vary', async () => {
    const owner = await studio();
    const [earlier = ''] = await makeSeries(owner, { weeklyUntil: undefined });
    const body = {
      title: 'Again',
      startsAt: '2026-12-01T17:00:00Z',
      copyOf: earlier,
      vary: 'more turning',
    };
    const made = await owner.agent.post('/api/classes').send(body).expect(201);
    const { id } = made.body as { id: string };
    const read = await owner.agent.get(`/api/classes/${id}`).expect(200);
    expect(read.body).toMatchObject({
      title: 'Again',
      plan: { title: 'Again', machine: 'reformer', note: 'Vary: more turning' },
    });
  });

  it('does not take people of another studio’s class', async () => {
    const [owner, stranger] = [await studio(), await studio()];
    const theirs = await makeClass(stranger);
    await owner.agent
      .post('/api/classes')
      .send({ title: 'T', startsAt: '2026-10-20T17:00:00Z', peopleOf: theirs })
      .expect(404);
  });
});

describe('a week', () => {
  it('begins and ends at midnight where the studio is', async () => {
    const owner = await studio();
    for (const startsAt of ['2026-07-05T22:59:00Z', '2026-07-05T23:01:00Z']) {
      await owner.agent.post('/api/classes').send({ title: startsAt, startsAt }).expect(201);
    }
    const titles = async (from: string, until: string) =>
      (await weekOf(owner, from, until)).map(({ title }) => title);
    expect(await titles('2026-06-29', '2026-07-05')).toEqual(['2026-07-05T22:59:00Z']);
    expect(await titles('2026-07-06', '2026-07-12')).toEqual(['2026-07-05T23:01:00Z']);
  });

  it('is copied with plans, people and times of day across the end of summer time', async () => {
    const owner = await studio();
    await makeSeries(owner, { weeklyUntil: undefined });
    await owner.agent
      .post('/api/classes')
      .send({ title: 'Sunday', startsAt: '2026-10-25T09:00:00Z' })
      .expect(201);
    const copy = (from: string, to: string) =>
      owner.agent.post('/api/week/copy').send({ from, to });
    await copy('2026-10-19', '2026-11-02').expect(201);
    const cards = await weekOf(owner, '2026-11-02', '2026-11-08');
    expect(cards.map(({ title, startsAt }) => `${title} ${localTime(startsAt)}`)).toEqual([
      'Machines Tue 3 Nov 18:00',
      'Sunday Sun 8 Nov 09:00',
    ]);
    await copy('2026-10-19', '2026-10-19').expect(422);
    // Pressed twice, or a series that is there already: nothing stands twice.
    const again = await copy('2026-10-19', '2026-11-02').expect(201);
    expect(again.body).toEqual({ ids: [] });
    expect(await weekOf(owner, '2026-11-02', '2026-11-08')).toHaveLength(2);
  });

  it.each([
    ['2026-10-19', '2026-10-18'],
    ['2026-10-19', '2027-10-18'],
    ['yesterday', '2026-10-18'],
  ])('from %s until %s is refused with a sentence', async (from, until) => {
    const owner = await studio();
    await owner.agent.get(`/api/week?from=${from}&until=${until}`).expect(422);
  });
});

describe('a month', () => {
  it('tells who comes to what, and works nothing out', async () => {
    const owner = await studio();
    const [id = ''] = await makeSeries(owner);
    const asha = await makePerson(owner, 'Asha');
    await owner.agent
      .put(`/api/classes/${id}/attendees`)
      .send({ revision: 1, personIds: [asha] })
      .expect(200);
    const lesson = await owner.agent.get(`/api/classes/${id}`).expect(200);
    const { plan } = lesson.body as { plan: object };
    const items = [{ kind: 'exercise', id: 'a', exercise: 'footwork' }];
    const segments = [{ id: 's', name: 'S', items }];
    await owner.agent
      .put(`/api/classes/${id}/plan`)
      .send({ revision: 1, plan: { ...plan, segments } })
      .expect(200);
    const cards = await daysOf(owner, '2026-10-19', '2026-11-15');
    expect(cards).toHaveLength(4);
    expect(cards[0]).toMatchObject({
      id,
      coming: ['Asha'],
      exercises: ['Footwork'],
      items: 1,
      machine: 'reformer',
      school: { id: 'foundations-first' },
      instructor: { id: owner.userId },
      state: 'outline',
      ready: null,
    });
    expect(cards[3]).toMatchObject({ items: 0, exercises: [], coming: [] });
  });

  it('names nobody who comes to whoever only reads', async () => {
    const owner = await studio();
    const asha = await makePerson(owner, 'Asha');
    const id = await makeClass(owner);
    await owner.agent
      .put(`/api/classes/${id}/attendees`)
      .send({ revision: 1, personIds: [asha] })
      .expect(200);
    const reader = await addMember(app, owner.studioId, 'reader');
    const cards = await daysOf(reader, '2026-11-01', '2026-11-30');
    expect(cards.map(({ coming }) => coming)).toEqual([[]]);
  });
});

describe('who teaches', () => {
  const named = (owner: Owner, from = '2026-10-19', until = '2026-11-15') =>
    weekOf(owner, from, until).then((cards) => cards.map(({ instructor }) => instructor?.id));

  it('is whoever made the class, or who was named', async () => {
    const owner = await studio();
    const colleague = await addMember(app, owner.studioId, 'instructor');
    await makeSeries(owner, { weeklyUntil: undefined });
    await makeSeries(owner, { weeklyUntil: undefined, instructorId: colleague.userId });
    expect(new Set(await named(owner))).toEqual(new Set([owner.userId, colleague.userId]));
  });

  it('is changed for a class and all that follow, and is told with a name', async () => {
    const owner = await studio();
    const colleague = await addMember(app, owner.studioId, 'instructor');
    const [, second = ''] = await makeSeries(owner);
    const give = (id: string, body: object) => owner.agent.patch(`/api/classes/${id}`).send(body);
    await give(second, { revision: 1, instructorId: colleague.userId, following: true }).expect(
      200,
    );
    const { userId } = colleague;
    expect(await named(owner)).toEqual([owner.userId, userId, userId, userId]);
    await give(second, { revision: 2, instructorId: null }).expect(200);
    expect(await named(owner)).toEqual([owner.userId, undefined, userId, userId]);
  });

  it('stays with a copied week, and is somebody of this team', async () => {
    const [owner, stranger] = [await studio(), await studio()];
    const colleague = await addMember(app, owner.studioId, 'instructor');
    const [id = ''] = await makeSeries(owner, {
      weeklyUntil: undefined,
      instructorId: colleague.userId,
    });
    const copy = { from: '2026-10-19', to: '2026-11-02' };
    await owner.agent.post('/api/week/copy').send(copy).expect(201);
    expect(await named(owner, '2026-11-02', '2026-11-08')).toEqual([colleague.userId]);
    const body = { revision: 1, instructorId: stranger.userId };
    const refused = await owner.agent.patch(`/api/classes/${id}`).send(body).expect(422);
    expect(JSON.stringify(refused.body)).toContain('is not in the team');
  });

  it('is whoever covers the class while they do; a colleague who leaves is named no more', async () => {
    const owner = await studio();
    const cover = await addMember(app, owner.studioId, 'cover');
    const [id = ''] = await makeSeries(owner, { weeklyUntil: undefined });
    const handOver = (userId: string | null) =>
      owner.agent.put(`/api/classes/${id}/cover`).send({ userId }).expect(200);
    await handOver(cover.userId);
    expect(await named(owner)).toEqual([cover.userId]);
    await owner.agent.delete(`/api/team/${cover.userId}`).expect(204);
    expect(await named(owner)).toEqual([owner.userId]);
  });
});
