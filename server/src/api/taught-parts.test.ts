import { expect, it } from 'vitest';
import { makeClass, makeStudio, openTestApp } from '../testing/test-studio.ts';

const { app } = await openTestApp();

it('tells what took how long in the classes that were taught to their end', async () => {
  const owner = await makeStudio(app, 'taught');
  const [taught, planned] = [await makeClass(owner), await makeClass(owner)];
  const { plan } = (await owner.agent.get(`/api/classes/${taught}`)).body as { plan: object };
  const item = (exercise: string) => ({ kind: 'exercise', id: exercise, exercise, note: '' });
  const segments = [{ id: 's', name: 'S', items: [item('clam'), item('toe-tap')] }];
  for (const id of [taught, planned]) {
    const body = { revision: 1, plan: { ...plan, segments } };
    await owner.agent.put(`/api/classes/${id}/plan`).send(body).expect(200);
  }
  const startMs = Date.UTC(2026, 10, 26, 18, 15);
  const press = (order: number, type: string, second: number, extra: object = {}) => ({
    ...{ id: `event-000${order}`, type, order, atMs: startMs + second * 1000 },
    ...extra,
  });
  const events = [
    press(1, 'start', 0, { revision: 2 }),
    press(2, 'goTo', 120, { itemId: 'toe-tap' }),
    press(3, 'end', 200),
  ];
  await owner.agent.post(`/api/classes/${taught}/events`).send({ events }).expect(201);
  const answer = await owner.agent.get('/api/studio/taught').expect(200);
  const { classes } = answer.body as { classes: { parts: { name: string; taughtS: number }[] }[] };
  expect(classes.map(({ parts }) => parts.map(({ name, taughtS }) => [name, taughtS]))).toEqual([
    [
      ['Clam', 120],
      ['Toe tap', 80],
    ],
  ]);
});

it('tells nothing of another studio', async () => {
  const stranger = await makeStudio(app, 'stranger');
  const answer = await stranger.agent.get('/api/studio/taught').expect(200);
  expect(answer.body).toEqual({ classes: [], next: null });
});
