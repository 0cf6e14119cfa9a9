import { describe, expect, it } from 'vitest';
import { PersonRow, Trail } from '../db/models.ts';
import { cleanUp } from '../keeping/clean-up.ts';
import { wholeText } from '../testing/old-world.ts';
import {
  addMember,
  makeClass,
  makePerson,
  makeStudio,
  openTestApp,
} from '../testing/test-studio.ts';

const { database, app } = await openTestApp();
const owner = await makeStudio(app, 'studio');

const SECRETS = {
  note: 'lives alone on the hill',
  cautions: [{ caution: 'wrist', note: 'since the fall', clearedBy: 'Doctor Moon' }],
};

/** A class that somebody came to, with what was noted there. */
async function taughtTo(name: string) {
  const classId = await makeClass(owner);
  const personId = await makePerson(owner, name, SECRETS);
  const booked = { revision: 1, personIds: [personId] };
  await owner.agent.put(`/api/classes/${classId}/attendees`).send(booked).expect(200);
  await owner.agent
    .patch(`/api/classes/${classId}/attendees/${personId}`)
    .send({ revision: 1, todayNote: 'slept badly' })
    .expect(200);
  const at = { atMs: Date.UTC(2026, 10, 26, 18, 15) };
  const events = [
    { id: 'event-0001', type: 'start', order: 1, ...at },
    { id: 'event-0002', type: 'moved', order: 2, itemId: 'a', personId, option: 1, ...at },
    { id: 'event-0003', type: 'note', order: 3, itemId: 'a', text: `${name} tired`, ...at },
    {
      ...{ id: 'event-0004', type: 'seen', order: 4, itemId: 'a', personId, ...at },
      ...{ sign: 'slumps', remedy: { kind: 'cue' } },
    },
  ];
  await owner.agent.post(`/api/classes/${classId}/events`).send({ events }).expect(201);
  const note = { revision: 0, effort: 3, note: `Ask ${name.split(' ')[0] ?? ''} about the knee.` };
  await owner.agent.put(`/api/classes/${classId}/note`).send(note).expect(200);
  return { classId, personId };
}

describe('health notes and cautions', () => {
  it('lie nowhere in the database where they can be read', async () => {
    await taughtTo('Asha Delun');
    const text = await wholeText(database);
    for (const secret of ['lives alone', 'since the fall', 'Doctor Moon', 'slept badly']) {
      expect(text).not.toContain(secret);
    }
  });

  it('are tied to the person they are about', async () => {
    const [one, other] = [
      await makePerson(owner, 'One', SECRETS),
      await makePerson(owner, 'Other'),
    ];
    const row = await PersonRow.findByPk(one);
    await PersonRow.update({ sealed: row?.sealed ?? '' }, { where: { id: other } });
    const answer = await owner.agent.get(`/api/people/${other}`);
    expect([answer.status, (answer.body as { code: string }).code]).toEqual([500, 'unreadable']);
    await PersonRow.destroy({ where: { id: other }, force: true });
  });
});

describe('the trail', () => {
  it('tells the owner who opened, changed and took away records', async () => {
    const colleague = await addMember(app, owner.studioId, 'instructor');
    const id = await makePerson(owner, 'Bram Ostrey', SECRETS);
    await Trail.destroy({ where: {} });
    await colleague.agent.get(`/api/people/${id}`).expect(200);
    await colleague.agent.get(`/api/people/${id}`).expect(200);
    const change = { revision: 1, name: 'Bram Ostrey', note: 'x' };
    await colleague.agent.put(`/api/people/${id}`).send(change).expect(200);
    await colleague.agent.delete(`/api/people/${id}`).expect(204);
    const answer = await owner.agent.get('/api/trail').expect(200);
    const { trail } = answer.body as { trail: { who: string; action: string; name: string }[] };
    expect(trail).toMatchObject([
      { action: 'deleted', name: 'Bram Ostrey' },
      { action: 'changed' },
      { action: 'read', who: 'instructor', subject: 'person' },
    ]);
    expect(trail).toHaveLength(3);
  });
});

describe('a record', () => {
  it('is not overwritten by whoever had an older one: both are answered', async () => {
    const id = await makePerson(owner, 'Cleo', {});
    const put = (body: object) =>
      owner.agent.put(`/api/people/${id}`).send({ name: 'Cleo', revision: 1, ...body });
    await put({ cautions: [{ caution: 'wrist' }] }).expect(200);
    const late = await put({ note: 'likes rain' }).expect(409);
    expect(late.body).toMatchObject({
      code: 'stale',
      current: { revision: 2, cautions: [{ caution: 'wrist' }], note: '' },
    });
  });

  it('is given to the person it is about, as data and as a page', async () => {
    const { personId } = await taughtTo('Dario <b>Vale');
    const data = await owner.agent.get(`/api/people/${personId}/export`).expect(200);
    expect(data.body).toMatchObject({
      format: 'wrenfern-person/1',
      name: 'Dario <b>Vale',
      ...SECRETS,
      classes: [
        {
          title: 'Morning',
          taught: true,
          todayNote: 'slept badly',
          moved: [{ option: 1 }],
          seen: [{ sign: 'slumps' }],
        },
      ],
    });
    const page = await owner.agent.get(`/api/people/${personId}/export?as=page`).expect(200);
    expect(page.type).toBe('text/html');
    expect(page.text).toContain('Dario &lt;b&gt;Vale');
    expect(page.text).toContain('slept badly');
  });

  it('is erased with the name in events and notes, and what was taught stays', async () => {
    const { classId, personId } = await taughtTo('Elin Marsh');
    const { plan } = (await owner.agent.get(`/api/classes/${classId}`)).body as { plan: object };
    const noted = { revision: 1, plan: { ...plan, note: 'Elin Marsh wants the window.' } };
    await owner.agent.put(`/api/classes/${classId}/plan`).send(noted).expect(200);
    await owner.agent.delete(`/api/people/${personId}/everything`).expect(204);
    const text = await wholeText(database);
    expect(text).not.toMatch(/Elin/i);
    const events = await owner.agent.get(`/api/classes/${classId}/events`).expect(200);
    expect(events.body).toMatchObject({
      pressed: [
        { event: { type: 'start' } },
        { event: { type: 'moved', personId: 'erased', option: 1 } },
        { event: { type: 'note', text: 'erased tired' } },
        { event: { type: 'seen', personId: 'erased', sign: 'slumps' } },
      ],
    });
    const note = await owner.agent.get(`/api/classes/${classId}/note`).expect(200);
    expect(note.body).toMatchObject({ note: 'Ask erased about the knee.' });
    await owner.agent.get(`/api/people/${personId}`).expect(404);
  });
});

describe('people who came to nothing for long', () => {
  it('go into the wastebasket when the studio says so, and only then', async () => {
    const other = await makeStudio(app, 'forgetful');
    const [gone, here] = [await makePerson(other, 'Gone'), await makePerson(other, 'Here')];
    const classId = await makeClass(other);
    const booked = { revision: 1, personIds: [here] };
    await other.agent.put(`/api/classes/${classId}/attendees`).send(booked).expect(200);
    const createdAt = new Date('2020-01-01');
    await PersonRow.update({ createdAt }, { where: { studioId: other.studioId } });
    await cleanUp(new Date('2026-11-28'));
    expect(await PersonRow.count({ where: { studioId: other.studioId } })).toBe(2);
    const setting = { revision: 1, retentionMonths: 12 };
    await other.agent.patch('/api/studio').send(setting).expect(200);
    await cleanUp(new Date('2026-11-28'));
    const left = await PersonRow.findAll({ where: { studioId: other.studioId } });
    expect(left.map(({ id }) => id)).toEqual([here]);
    await other.agent.post(`/api/wastebasket/person/${gone}`).expect(204);
  });
});

describe('the wastebasket', () => {
  const wasted = async () =>
    ((await owner.agent.get('/api/wastebasket').expect(200)).body as { wasted: { id: string }[] })
      .wasted;

  it('gives back a class with its log, and a person with their bookings', async () => {
    await owner.agent.delete('/api/wastebasket').expect(204);
    const { classId, personId } = await taughtTo('Finn Hale');
    await owner.agent.delete(`/api/classes/${classId}`).expect(204);
    await owner.agent.delete(`/api/people/${personId}`).expect(204);
    await owner.agent.get(`/api/classes/${classId}`).expect(404);
    expect(await wasted()).toMatchObject([
      { kind: 'person', id: personId, name: 'Finn Hale' },
      { kind: 'class', id: classId, name: 'Morning' },
    ]);
    await owner.agent.post(`/api/wastebasket/class/${classId}`).expect(204);
    await owner.agent.post(`/api/wastebasket/person/${personId}`).expect(204);
    const lesson = await owner.agent.get(`/api/classes/${classId}`).expect(200);
    expect(lesson.body).toMatchObject({
      taught: true,
      attendees: [{ person: { name: 'Finn Hale' }, todayNote: 'slept badly' }],
    });
    expect(await wasted()).toEqual([]);
  });

  it('counts nobody as coming who lies in it', async () => {
    const { classId, personId } = await taughtTo('Gil');
    await owner.agent.delete(`/api/people/${personId}`).expect(204);
    const list = await owner.agent.get('/api/classes?limit=100').expect(200);
    const { classes } = list.body as { classes: { id: string; coming: number }[] };
    expect(classes.find(({ id }) => id === classId)?.coming).toBe(0);
  });

  it('is emptied for good by an owner, and by itself after thirty days', async () => {
    const classId = await makeClass(owner);
    await owner.agent.delete(`/api/classes/${classId}`).expect(204);
    await owner.agent.delete(`/api/wastebasket/class/${classId}`).expect(204);
    await owner.agent.post(`/api/wastebasket/class/${classId}`).expect(404);
    const old = await makePerson(owner, 'Old');
    await owner.agent.delete(`/api/people/${old}`).expect(204);
    const deletedAt = new Date(Date.now() - 31 * 86_400_000);
    await PersonRow.update({ deletedAt }, { where: { id: old }, paranoid: false });
    await cleanUp(new Date());
    expect(await PersonRow.findByPk(old, { paranoid: false })).toBeNull();
  });
});
