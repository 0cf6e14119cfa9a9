import { describe, it } from 'vitest';
import { makeStudio, openTestApp } from '../testing/test-studio.ts';

const { app } = await openTestApp();

describe('a press long behind its class', () => {
  it('is refused, but for how hard it was, which is often said in the next one', async () => {
    const owner = await makeStudio(app, 'said-later');
    const startsAt = new Date(Date.now() - 5 * 86_400_000).toISOString();
    const body = { title: 'Evening', startsAt, targetS: 1800, machine: 'mat' };
    const made = await owner.agent.post('/api/classes').send(body).expect(201);
    const { id } = made.body as { id: string };
    const late = (more: object) => ({
      events: [{ id: crypto.randomUUID(), atMs: Date.now(), order: 1, ...more }],
      after: 0,
    });
    const send = (more: object) => owner.agent.post(`/api/classes/${id}/events`).send(late(more));
    await send({ type: 'effort', personId: 'somebody', rating: 6 }).expect(201);
    await send({ type: 'start' }).expect(422);
  });
});
