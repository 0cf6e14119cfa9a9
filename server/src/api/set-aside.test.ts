import { describe, expect, it } from 'vitest';
import { makeStudio, openTestApp, type TestMember } from '../testing/test-studio.ts';

const { app } = await openTestApp();

async function makeClass({ agent }: TestMember, daysAgo: number, setAside: object[]) {
  const startsAt = new Date(Date.now() - daysAgo * 86_400_000).toISOString();
  const body = { title: 'Evening', startsAt, targetS: 1800, machine: 'mat' };
  const { id } = (await agent.post('/api/classes').send(body).expect(201)).body as { id: string };
  const plan = {
    format: 'wrenfern-plan/2',
    title: 'Evening',
    targetS: 1800,
    segments: [{ id: 'part', name: 'Part', items: [] }],
    setAside,
  };
  await agent.put(`/api/classes/${id}/plan`).send({ revision: 1, plan }).expect(200);
}

const aside = (rule: string, reason: string, key = 'one') => ({ rule, key, reason });

describe('what a studio sets aside', () => {
  it('is counted once a class, most often first, with each reason once', async () => {
    const owner = await makeStudio(app, 'aside');
    await makeClass(owner, 2, [aside('water', 'bottles at the mat'), aside('counter', 'short')]);
    await makeClass(owner, 9, [
      aside('water', 'bottles at the mat'),
      aside('water', 'bottles at the mat', 'two'),
    ]);
    await makeClass(owner, 16, [aside('water', 'hot day')]);
    await makeClass(owner, 23, []);
    expect((await owner.agent.get('/api/studio/set-aside').expect(200)).body).toEqual({
      weeks: 12,
      classes: 4,
      rules: [
        { rule: 'water', classes: 3, reasons: ['bottles at the mat', 'hot day'] },
        { rule: 'counter', classes: 1, reasons: ['short'] },
      ],
    });
  });

  it('forgets what is longer ago, and knows nothing of other studios', async () => {
    const owner = await makeStudio(app, 'aside-old');
    await makeClass(owner, 100, [aside('water', 'long ago')]);
    expect((await owner.agent.get('/api/studio/set-aside').expect(200)).body).toMatchObject({
      classes: 0,
      rules: [],
    });
  });
});
