import { beforeEach, describe, expect, it } from 'vitest';
import { emptyPlan } from '@wrenfern/core/plan/empty-plan';
import { KeptPlan } from '../db/models.ts';
import {
  makeClass,
  makePerson,
  makeStudio,
  openTestApp,
  type TestMember,
} from '../testing/test-studio.ts';

const { app } = await openTestApp();
let owner: TestMember;
let stranger: TestMember;

beforeEach(async () => {
  owner = await makeStudio(app, 'standing');
  stranger = await makeStudio(app, 'others');
});

const PLAN = {
  ...emptyPlan({ title: 'Long hour', machine: 'reformer', school: 'graded-load', targetS: 3300 }),
  segments: [
    { id: 'a', name: 'A', items: [{ kind: 'exercise', id: 'x', exercise: 'footwork', note: '' }] },
  ],
};

interface Group {
  id: string;
  name: string;
  personIds: string[];
  revision: number;
}

async function makeGroup(personIds: string[], name = 'Thursday'): Promise<Group> {
  const answer = await owner.agent.post('/api/groups').send({ name, personIds }).expect(201);
  return answer.body as Group;
}

const groups = async () =>
  ((await owner.agent.get('/api/groups').expect(200)).body as { groups: Group[] }).groups;

describe('a standing group', () => {
  it('books its people into a new class, those of a wastebasket left out', async () => {
    const [asha, bram] = [await makePerson(owner, 'Asha'), await makePerson(owner, 'Bram')];
    const { id: groupId } = await makeGroup([asha, bram]);
    await owner.agent.delete(`/api/people/${bram}`).expect(204);
    const made = await owner.agent
      .post('/api/classes')
      .send({ title: 'T', startsAt: '2026-12-01T18:00:00Z', groupId })
      .expect(201);
    const { id } = made.body as { id: string };
    const lesson = await owner.agent.get(`/api/classes/${id}`).expect(200);
    const { attendees } = lesson.body as { attendees: { person: { name: string } }[] };
    expect(attendees.map(({ person }) => person.name)).toEqual(['Asha']);
    expect((await groups())[0]?.personIds).toEqual([asha]);
  });

  it('is changed by one of two at once; the other is told what it is now', async () => {
    const asha = await makePerson(owner, 'Asha');
    const { id } = await makeGroup([]);
    const put = (name: string) =>
      owner.agent.put(`/api/groups/${id}`).send({ revision: 1, name, personIds: [asha] });
    await put('One').expect(200);
    const late = await put('Other').expect(409);
    expect(late.body).toMatchObject({
      current: { name: 'One', personIds: [asha], revision: 2 },
    });
  });

  it('takes nobody of another studio, and is nobody else’s', async () => {
    const theirs = await makePerson(stranger, 'Stranger');
    await owner.agent
      .post('/api/groups')
      .send({ name: 'G', personIds: [theirs] })
      .expect(422);
    const { id } = await makeGroup([]);
    await stranger.agent.delete(`/api/groups/${id}`).expect(404);
    await stranger.agent
      .post('/api/classes')
      .send({ title: 'T', startsAt: '2026-12-01T18:00:00Z', groupId: id })
      .expect(404);
  });

  it('forgets whoever is erased', async () => {
    const asha = await makePerson(owner, 'Asha');
    await makeGroup([asha]);
    await owner.agent.delete(`/api/people/${asha}/everything`).expect(204);
    expect((await groups())[0]?.personIds).toEqual([]);
  });
});

describe('a kept plan', () => {
  const keep = async (more: object = {}) => {
    const body = { name: 'Long hour', tags: ['machines', 'machines', 'long'], plan: PLAN, ...more };
    const answer = await owner.agent.post('/api/kept-plans').send(body).expect(201);
    return answer.body as { id: string; tags: string[]; items: number; machine: string };
  };
  const listed = async () =>
    (
      (await owner.agent.get('/api/kept-plans').expect(200)).body as {
        plans: {
          id: string;
          taught: number;
          lastTaughtAt: string | null;
          tookS: { least: number; most: number } | null;
        }[];
      }
    ).plans;

  it('is named and tagged, without a date', async () => {
    expect(await keep()).toMatchObject({
      tags: ['machines', 'long'],
      items: 1,
      machine: 'reformer',
      targetS: 3300,
    });
    expect(await listed()).toMatchObject([{ taught: 0, lastTaughtAt: null, tookS: null }]);
  });

  it('is taken into a class, and tells where it was taught and how long it took', async () => {
    const { id: keptPlanId } = await keep();
    for (const [day, minutes] of [
      ['2026-11-10', 50],
      ['2026-11-17', 56],
    ] as const) {
      const startsAt = `${day}T18:00:00.000Z`;
      const made = await owner.agent
        .post('/api/classes')
        .send({ title: 'From kept', startsAt, keptPlanId })
        .expect(201);
      const { id } = made.body as { id: string };
      const lesson = await owner.agent.get(`/api/classes/${id}`).expect(200);
      expect(lesson.body).toMatchObject({ plan: { title: 'From kept', machine: 'reformer' } });
      const at = new Date(startsAt).getTime();
      const events = [
        { id: `start-${day}`, type: 'start', atMs: at, order: 1, revision: 1 },
        { id: `end-${day}`, type: 'end', atMs: at + minutes * 60_000, order: 2 },
      ];
      await owner.agent.post(`/api/classes/${id}/events`).send({ events, after: 0 }).expect(201);
    }
    expect(await listed()).toMatchObject([
      {
        taught: 2,
        lastTaughtAt: '2026-11-17T18:00:00.000Z',
        tookS: { least: 50 * 60, most: 56 * 60 },
      },
    ]);
  });

  it('with an exercise that is not there is refused with its place', async () => {
    const plan = {
      ...PLAN,
      segments: [
        {
          id: 'a',
          name: 'A',
          items: [{ kind: 'exercise', id: 'x', exercise: 'nothing', note: '' }],
        },
      ],
    };
    const answer = await owner.agent.post('/api/kept-plans').send({ name: 'N', plan }).expect(422);
    expect(answer.body).toMatchObject({
      errors: [{ path: ['plan', 'segments', 0, 'items', 0, 'exercise'] }],
    });
  });

  it('goes without taking classes with it, and is nobody else’s', async () => {
    const { id } = await keep();
    await stranger.agent.get(`/api/kept-plans/${id}`).expect(404);
    await stranger.agent.delete(`/api/kept-plans/${id}`).expect(404);
    const classId = await makeClass(owner);
    await owner.agent.delete(`/api/kept-plans/${id}`).expect(204);
    expect(await KeptPlan.count({ where: { studioId: owner.studioId } })).toBe(0);
    await owner.agent.get(`/api/classes/${classId}`).expect(200);
  });
});
