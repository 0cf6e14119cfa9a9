import { expect, it } from 'vitest';
import type { Account } from '@wrenfern/contract/account';
import type { WholeClass } from '@wrenfern/contract/classes';
import type { TaughtParts } from '@wrenfern/contract/studio';
import { STEADY_PACE } from '@wrenfern/core/plan/timing/pace';
import { ClassRow } from '../db/models.ts';
import { makeClass, makeStudio, openTestApp } from '../testing/test-studio.ts';

const { app } = await openTestApp();
const SLOW = { ...STEADY_PACE, workFactor: 1.2, follows: false };

type Owner = Awaited<ReturnType<typeof makeStudio>>;

const ownPaceOf = async ({ agent }: Owner) =>
  ((await agent.get('/api/account').expect(200)).body as Account).pace;
const paceOf = async ({ agent }: Owner, id: string) =>
  ((await agent.get(`/api/classes/${id}`).expect(200)).body as WholeClass).pace;

/** Six exercises that each took a minute and a half, by the teacher's presses. */
async function teach(owner: Owner, id: string): Promise<void> {
  const { plan } = (await owner.agent.get(`/api/classes/${id}`)).body as WholeClass;
  const slugs = ['clam', 'toe-tap', 'chest-lift', 'pelvic-tilt', 'knee-fold', 'bridge-articulate'];
  const items = slugs.map((exercise) => ({ kind: 'exercise', id: exercise, exercise, note: '' }));
  const segments = [{ id: 's', name: 'S', items }];
  const body = { revision: 1, plan: { ...plan, segments } };
  await owner.agent.put(`/api/classes/${id}/plan`).send(body).expect(200);
  const startMs = Date.UTC(2026, 10, 26, 18, 15);
  const press = (order: number, type: string, second: number, extra: object = {}) => ({
    ...{ id: `event-0${order}`, type, order, atMs: startMs + second * 1000 },
    ...extra,
  });
  const events = [
    press(10, 'start', 0, { revision: 2 }),
    ...slugs.slice(1).map((itemId, at) => press(11 + at, 'goTo', 90 * (at + 1), { itemId })),
    press(20, 'end', 90 * slugs.length),
  ];
  await owner.agent.post(`/api/classes/${id}/events`).send({ events }).expect(201);
}

it('forecasts a class as its teacher teaches, and as the studio does where nothing was said', async () => {
  const owner = await makeStudio(app, 'own-pace');
  const id = await makeClass(owner);
  expect(await paceOf(owner, id)).toEqual(STEADY_PACE);
  await owner.agent.put('/api/account/pace').send({ pace: SLOW }).expect(204);
  expect(await ownPaceOf(owner)).toEqual(SLOW);
  const { follows: _follows, ...plain } = SLOW;
  expect(await paceOf(owner, id)).toEqual(plain);
  await owner.agent.put('/api/account/pace').send({ pace: null }).expect(204);
  expect(await ownPaceOf(owner)).toBeNull();
  expect(await paceOf(owner, id)).toEqual(STEADY_PACE);
});

it('refuses a pace that nobody can teach at', async () => {
  const owner = await makeStudio(app, 'no-pace');
  const pace = { ...SLOW, workFactor: 12 };
  const refused = await owner.agent.put('/api/account/pace').send({ pace }).expect(422);
  expect(JSON.stringify(refused.body)).toContain('workFactor');
});

it('stays as it is after a class, unless it follows what is taught', async () => {
  const owner = await makeStudio(app, 'follows');
  const [first, second] = [await makeClass(owner), await makeClass(owner)];
  await owner.agent.put('/api/account/pace').send({ pace: SLOW }).expect(204);
  await teach(owner, first);
  expect(await ownPaceOf(owner)).toEqual(SLOW);
  const { classes } = (await owner.agent.get('/api/account/taught').expect(200))
    .body as TaughtParts;
  expect(classes).toHaveLength(1);
  await owner.agent
    .put('/api/account/pace')
    .send({ pace: { ...SLOW, follows: true } })
    .expect(204);
  await teach(owner, second);
  const learned = await ownPaceOf(owner);
  expect(learned).toMatchObject({ follows: true, classes: 2 });
  expect(learned?.teachingFactor).not.toBe(1);
  expect(learned?.teachingFactor).toBe(learned?.setUpFactor);
});

it('learns of a teacher from her own classes alone', async () => {
  const owner = await makeStudio(app, 'hers');
  const id = await makeClass(owner);
  await teach(owner, id);
  const row = (await owner.agent.get(`/api/classes/${id}`)).body as WholeClass;
  await owner.agent
    .patch(`/api/classes/${id}`)
    .send({ revision: row.detailsRevision, instructorId: null })
    .expect(200);
  const mine = (await owner.agent.get('/api/account/taught').expect(200)).body as TaughtParts;
  const all = (await owner.agent.get('/api/studio/taught').expect(200)).body as TaughtParts;
  expect([mine.classes.length, all.classes.length]).toEqual([0, 1]);
});

it('tells what it learned though the next class holds what is in no library', async () => {
  const owner = await makeStudio(app, 'odd-next');
  await teach(owner, await makeClass(owner));
  const next = await makeClass(owner);
  const row = await ClassRow.findByPk(next);
  if (!row) throw new Error('no class');
  const item = { kind: 'exercise' as const, id: 'x', exercise: 'not-there', restS: 0, note: '' };
  await row.update({
    startsAt: new Date(Date.now() + 86_400_000),
    plan: { ...row.plan, segments: [{ id: 's', name: 'S', items: [item] }] },
  });
  const told = (await owner.agent.get('/api/account/taught').expect(200)).body as TaughtParts;
  expect(told.classes).toHaveLength(1);
  expect(told.next).toBeNull();
});
