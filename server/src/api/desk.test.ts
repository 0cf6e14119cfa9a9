import { createHmac, randomUUID } from 'node:crypto';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { DeskMessageRow, PersonRow, Studio } from '../db/models.ts';
import { makePerson, makeStudio, openTestApp } from '../testing/test-studio.ts';

const { app } = await openTestApp();

type Owner = Awaited<ReturnType<typeof makeStudio>>;
interface Desk {
  path: string;
  secret: string;
}

async function makeDesk({ agent }: Owner): Promise<Desk> {
  const made = await agent.post('/api/studio/desk').expect(201);
  return made.body as Desk;
}

const tomorrow = new Date(Date.now() + 86_400_000).toISOString();

async function makeClassAhead({ agent }: Owner): Promise<string> {
  const body = { title: 'Evening', startsAt: tomorrow };
  return ((await agent.post('/api/classes').send(body).expect(201)).body as { id: string }).id;
}

function headersOf({ secret }: Desk, body: string, messageId: string, atS = Date.now() / 1000) {
  const timestamp = String(Math.floor(atS));
  const signature = createHmac('sha256', secret)
    .update(`${timestamp}.${messageId}.${body}`)
    .digest('hex');
  return {
    'Content-Type': 'application/json',
    'X-Wrenfern-Timestamp': timestamp,
    'X-Wrenfern-Message': messageId,
    'X-Wrenfern-Signature': `v1=${signature}`,
  };
}

/** As another system sends it: without cookies. */
function tell(desk: Desk, message: object, messageId: string = randomUUID()) {
  const body = JSON.stringify(message);
  return request(app)
    .post(`${desk.path}/messages`)
    .set(headersOf(desk, body, messageId))
    .send(body);
}

const of = (classId: string, event: string, name: string, ref = `ref-${name}`) => ({
  event,
  class: classId,
  person: { ref, name },
});

async function coming({ agent }: Owner, classId: string) {
  const read = await agent.get(`/api/classes/${classId}`).expect(200);
  const { attendees, attendeesRevision } = read.body as {
    attendees: { person: { name: string }; todayNote: string }[];
    attendeesRevision: number;
  };
  return {
    revision: attendeesRevision,
    who: attendees.map(({ person, todayNote }) =>
      [person.name, todayNote].filter(Boolean).join(': '),
    ),
  };
}

describe('a booking desk', () => {
  it('books, cancels and sends in who walked in; the list of the class follows', async () => {
    const owner = await makeStudio(app, 'desk');
    const id = await makeClassAhead(owner);
    const desk = await makeDesk(owner);
    await tell(desk, of(id, 'booked', 'Asha')).expect(200, { outcome: 'done' });
    await tell(desk, of(id, 'walked-in', 'Wim')).expect(200);
    expect(await coming(owner, id)).toEqual({ revision: 3, who: ['Asha', 'Wim: Walked in.'] });
    await tell(desk, of(id, 'late-cancelled', 'Asha')).expect(200);
    await tell(desk, of(id, 'cancelled', 'Nobody')).expect(200);
    expect(await coming(owner, id)).toEqual({ revision: 4, who: ['Wim: Walked in.'] });
    const told = await owner.agent.get('/api/studio/desk').expect(200);
    expect((told.body as { told: { event: string; person: string }[] }).told).toMatchObject([
      { event: 'cancelled', person: 'Nobody' },
      { event: 'late-cancelled', person: 'Asha' },
      { event: 'walked-in', person: 'Wim' },
      { event: 'booked', person: 'Asha', class: { title: 'Evening' } },
    ]);
  });

  it('means the person who is here by that name, and from then on by its own name for them', async () => {
    const owner = await makeStudio(app, 'known');
    const id = await makeClassAhead(owner);
    const personId = await makePerson(owner, 'Asha', { level: 3, note: 'quiet knee' });
    const desk = await makeDesk(owner);
    await tell(desk, of(id, 'booked', 'Asha', 'card-7')).expect(200);
    await tell(desk, of(id, 'cancelled', 'Asha Delun', 'card-7')).expect(200);
    expect((await coming(owner, id)).who).toEqual([]);
    expect(await PersonRow.count({ where: { studioId: owner.studioId } })).toBe(1);
    const record = await owner.agent.get(`/api/people/${personId}`).expect(200);
    expect(record.body).toMatchObject({ name: 'Asha', level: 3, note: 'quiet knee' });
  });

  it('is done once, however often the same message comes, also at the same time', async () => {
    const owner = await makeStudio(app, 'replay');
    const id = await makeClassAhead(owner);
    const desk = await makeDesk(owner);
    const outcomes = await Promise.all(
      Array.from({ length: 4 }, () => tell(desk, of(id, 'booked', 'Asha'), 'message-0001')),
    );
    expect(outcomes.map(({ body }) => (body as { outcome: string }).outcome).sort()).toEqual([
      'done',
      'seen before',
      'seen before',
      'seen before',
    ]);
    await tell(desk, of(id, 'cancelled', 'Asha'), 'message-0002').expect(200);
    await tell(desk, of(id, 'booked', 'Asha'), 'message-0001').expect(200, {
      outcome: 'seen before',
    });
    expect((await coming(owner, id)).who).toEqual([]);
    expect(await DeskMessageRow.count({ where: { studioId: owner.studioId } })).toBe(2);
  });

  it('makes one person of two messages about somebody new', async () => {
    const owner = await makeStudio(app, 'race');
    const [one, other] = [await makeClassAhead(owner), await makeClassAhead(owner)];
    const desk = await makeDesk(owner);
    await Promise.all([one, other].map((id) => tell(desk, of(id, 'booked', 'New'))));
    expect(await PersonRow.count({ where: { studioId: owner.studioId } })).toBe(1);
  });

  it('is refused unsigned, late, with another’s secret, or after it was taken back', async () => {
    const [owner, stranger] = [await makeStudio(app, 'mine'), await makeStudio(app, 'theirs')];
    const id = await makeClassAhead(owner);
    const [desk, theirs] = [await makeDesk(owner), await makeDesk(stranger)];
    const message = of(id, 'booked', 'Asha');
    await request(app).post(`${desk.path}/messages`).send(message).expect(401);
    await tell({ ...desk, secret: theirs.secret }, message).expect(401);
    const body = JSON.stringify(message);
    const late = headersOf(desk, body, 'late-0001', Date.now() / 1000 - 400);
    await request(app).post(`${desk.path}/messages`).set(late).send(body).expect(401);
    const changed = headersOf(desk, body, 'changed-0001');
    await request(app)
      .post(`${desk.path}/messages`)
      .set(changed)
      .send(body.replace('Asha', 'Eve'))
      .expect(401);
    // Their desk with our class: it is nowhere to be found.
    await tell(theirs, message).expect(404);
    await owner.agent.delete('/api/studio/desk').expect(204);
    await tell(desk, message).expect(401);
    expect((await coming(owner, id)).who).toEqual([]);
  });

  it('is told what is wrong, and may send it again', async () => {
    const owner = await makeStudio(app, 'faults');
    const id = await makeClassAhead(owner);
    const desk = await makeDesk(owner);
    await tell(desk, { ...of(id, 'booked', 'Asha'), event: 'hugged' }).expect(422);
    await tell(desk, of(id, 'booked', '\u200b')).expect(422);
    const off = { revision: 1, calledOff: 'Teacher is ill' };
    await owner.agent.patch(`/api/classes/${id}`).send(off).expect(200);
    const refused = await tell(desk, of(id, 'booked', 'Asha'), 'again-0001').expect(422);
    expect(JSON.stringify(refused.body)).toContain('is called off');
    await owner.agent
      .patch(`/api/classes/${id}`)
      .send({ revision: 2, calledOff: null })
      .expect(200);
    await tell(desk, of(id, 'booked', 'Asha'), 'again-0001').expect(200, { outcome: 'done' });
  });

  it('sees the classes ahead and whom it booked itself, no records', async () => {
    const owner = await makeStudio(app, 'sees');
    const id = await makeClassAhead(owner);
    const own = await makePerson(owner, 'Booked by hand');
    await owner.agent
      .put(`/api/classes/${id}/attendees`)
      .send({ revision: 1, personIds: [own] })
      .expect(200);
    const desk = await makeDesk(owner);
    await tell(desk, of(id, 'booked', 'Asha', 'card-7')).expect(200);
    const read = await request(app)
      .get(`${desk.path}/classes`)
      .set(headersOf(desk, '', 'look-0001'))
      .expect(200);
    expect(read.body).toEqual({
      studio: 'sees',
      classes: [
        { id, title: 'Evening', startsAt: tomorrow, minutes: 50, coming: 2, refs: ['card-7'] },
      ],
    });
  });

  it('keeps its secret sealed, and another one ends the one before', async () => {
    const owner = await makeStudio(app, 'sealed');
    const id = await makeClassAhead(owner);
    const first = await makeDesk(owner);
    const studio = await Studio.findByPk(owner.studioId);
    expect(studio?.deskSecret).not.toContain(first.secret);
    await makeDesk(owner);
    await tell(first, of(id, 'booked', 'Asha')).expect(401);
  });
});
