import { describe, expect, it } from 'vitest';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { builtInCatalogue } from '@wrenfern/library';
import { makeClass, makeStudio, openTestApp } from '../testing/test-studio.ts';

const { app } = await openTestApp();
const mine = await makeStudio(app, 'own-exercises');
const theirs = await makeStudio(app, 'other-exercises');

const own = (slug: string, change: Partial<Exercise> = {}): Exercise => ({
  ...builtInCatalogue.require('chest-lift'),
  slug,
  name: 'Harbour curl',
  ...change,
});

const save = (slug: string, version: number, exercise: unknown, who = mine) =>
  who.agent.put(`/api/exercises/${slug}`).send({ version, exercise });

const planWith = (slug: string) => ({
  format: 'wrenfern-plan/2',
  title: 'With our own',
  targetS: 600,
  segments: [{ id: 's', name: 'S', items: [{ id: 'i1', kind: 'exercise', exercise: slug }] }],
});

describe('own exercises', () => {
  it('are kept, listed and served in versions, newest first', async () => {
    await save('harbour-curl', 0, own('harbour-curl')).expect(200);
    const second = own('harbour-curl', { purpose: 'Curls as a wave does.' });
    await save('harbour-curl', 1, second).expect(200);
    const list = await mine.agent.get('/api/exercises').expect(200);
    expect(list.body).toMatchObject({
      exercises: [{ version: 2, exercise: { purpose: 'Curls as a wave does.' } }],
    });
    const versions = await mine.agent.get('/api/exercises/harbour-curl/versions').expect(200);
    const told = (versions.body as { versions: { version: number }[] }).versions;
    expect(told.map(({ version }) => version)).toEqual([2, 1]);
  });

  it('can be planned with by their studio and by no other', async () => {
    const lesson = await makeClass(mine);
    const plan = planWith('harbour-curl');
    await mine.agent.put(`/api/classes/${lesson}/plan`).send({ revision: 1, plan }).expect(200);
    const foreign = await makeClass(theirs);
    const refused = await theirs.agent
      .put(`/api/classes/${foreign}/plan`)
      .send({ revision: 1, plan })
      .expect(422);
    expect(JSON.stringify(refused.body)).toContain('harbour-curl');
  });

  it('tell where they stand, and stay while they are needed', async () => {
    const history = await mine.agent.get('/api/exercises/harbour-curl/history').expect(200);
    expect(history.body).toMatchObject({ count: 1, classes: [{ taught: false }] });
    const refused = await mine.agent.delete('/api/exercises/harbour-curl').expect(422);
    expect(JSON.stringify(refused.body)).toContain("stands in 1 of the studio's classes");
    await save('quay-curl', 0, own('quay-curl')).expect(200);
    await mine.agent.delete('/api/exercises/quay-curl').expect(204);
    await mine.agent.get('/api/exercises/quay-curl/versions').expect(404);
  });

  it('stay while another exercise of the studio names them', async () => {
    await save('buoy-curl', 0, own('buoy-curl')).expect(200);
    await save('tide-curl', 0, own('tide-curl', { swaps: ['buoy-curl'] })).expect(200);
    const refused = await mine.agent.delete('/api/exercises/buoy-curl').expect(422);
    expect(JSON.stringify(refused.body)).toContain('is named by');
    await mine.agent.delete('/api/exercises/tide-curl').expect(204);
    await mine.agent.delete('/api/exercises/buoy-curl').expect(204);
  });

  it('answer a stale save with the newer version', async () => {
    const answer = await save('harbour-curl', 1, own('harbour-curl')).expect(409);
    expect(answer.body).toMatchObject({ code: 'stale', current: { version: 2 } });
    await save('pier-curl', 3, own('pier-curl')).expect(409);
  });

  it('let one of many savers at once win', async () => {
    await save('storm-curl', 0, own('storm-curl')).expect(200);
    const answers = await Promise.all(
      Array.from({ length: 8 }, () => save('storm-curl', 1, own('storm-curl'))),
    );
    const statuses = answers.map(({ status }) => status).sort();
    expect(statuses).toEqual([200, 409, 409, 409, 409, 409, 409, 409]);
  });

  it.each<[why: string, slug: string, exercise: unknown, says: string]>([
    ['a built-in slug', 'chest-lift', own('chest-lift'), 'built-in'],
    ['another slug inside', 'mole-curl', own('pier-curl'), 'not \\"mole-curl\\"'],
    [
      'a stand-in that is nowhere',
      'mole-curl',
      own('mole-curl', { swaps: ['nowhere'] }),
      'nowhere',
    ],
    ['itself as a stand-in', 'mole-curl', own('mole-curl', { swaps: ['mole-curl'] }), 'itself'],
    ['no cues', 'mole-curl', { ...own('mole-curl'), cues: [] }, 'cues'],
    [
      'a shape that is nowhere',
      'mole-curl',
      own('mole-curl', {
        options: own('x').options.map((option) => ({ ...option, poses: ['headstand'] })),
      }),
      'headstand',
    ],
  ])('are refused with %s, in words', async (_why, slug, exercise, says) => {
    const answer = await save(slug, 0, exercise).expect(422);
    expect(JSON.stringify(answer.body)).toContain(says);
    expect(answer.body).toMatchObject({ code: 'invalid' });
  });

  it('has a history for a built-in exercise too', async () => {
    const history = await mine.agent.get('/api/exercises/chest-lift/history').expect(200);
    expect(history.body).toEqual({ count: 0, classes: [] });
  });
});

describe('many own exercises', () => {
  it('are told again only when something changed', async () => {
    const first = await mine.agent.get('/api/exercises').expect(200);
    const tag = String(first.headers.etag);
    const again = () => mine.agent.get('/api/exercises').set('If-None-Match', tag);
    await again().expect(304);
    await save('ebb-curl', 0, own('ebb-curl')).expect(200);
    const changed = await again().expect(200);
    expect(changed.headers.etag).not.toBe(tag);
    await mine.agent.delete('/api/exercises/ebb-curl').expect(204);
    await again().expect(304);
    await mine.agent.post('/api/wastebasket/exercise/ebb-curl').expect(204);
    expect((await again().expect(200)).headers.etag).toBe(changed.headers.etag);
  });

  it('are no more than a demo may have, and it is said before', async () => {
    const demo = await makeStudio(app, 'demo', true);
    const nearly = async () =>
      ((await demo.agent.get('/api/studio/room').expect(200)).body as { nearly: object[] }).nearly;
    for (let index = 0; index < 60; index += 1) {
      if (index === 47) expect(await nearly()).toEqual([]);
      if (index === 48) expect(await nearly()).toMatchObject([{ held: 48, most: 60 }]);
      await demo.agent
        .post('/api/people')
        .send({ name: `Person ${index}` })
        .expect(201);
    }
    const refused = await demo.agent.post('/api/people').send({ name: 'One more' }).expect(403);
    expect(refused.body).toMatchObject({ code: 'over-quota' });
    expect(JSON.stringify(refused.body)).toContain('60 people are the most');
  });
});

describe('an exercise that is taken out while a plan with it is saved', () => {
  it('is either gone from both or there for both, however often they meet', async () => {
    for (let round = 0; round < 12; round += 1) {
      const slug = `met-${round}`;
      await save(slug, 0, own(slug)).expect(200);
      const lesson = await makeClass(mine);
      const put = { revision: 1, plan: planWith(slug) };
      const [saved, removed] = await Promise.all([
        mine.agent.put(`/api/classes/${lesson}/plan`).send(put),
        mine.agent.delete(`/api/exercises/${slug}`),
      ]);
      expect([saved.status, removed.status].sort()).toEqual(
        saved.status === 200 ? [200, 422] : [204, 422],
      );
    }
  });
});
