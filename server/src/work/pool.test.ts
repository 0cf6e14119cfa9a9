import { afterAll, describe, expect, it } from 'vitest';
import { PLAIN_MACHINES } from '@wrenfern/core/room/machines';
import { STEADY_PACE } from '@wrenfern/core/plan/timing/pace';
import { SMALL_BALL } from '../demo/plans.ts';
import { createWorkers } from './pool.ts';
import { readinessOf, type ReadinessInput } from './readiness.ts';

const faults: unknown[] = [];
const late: unknown[] = [];
const file = new URL('./readiness-worker.ts', import.meta.url);
const told = {
  onFault: (error: unknown) => faults.push(error),
  onLate: (error: unknown) => late.push(error),
};
// Far more than it takes: how fast a machine is, is no business of a test.
const workers = createWorkers(file, { ...told, deadlineMs: 120_000 });
afterAll(() => workers.stop());

const input: ReadinessInput = {
  plan: SMALL_BALL,
  own: [],
  pace: STEADY_PACE,
  machines: PLAIN_MACHINES,
  cupboard: { 'small-ball': 2 },
  attendees: [],
  day: '2026-11-26',
  familiar: [],
};

describe('the pool', () => {
  it('works out beside the main thread what is worked out on it', async () => {
    expect(await workers.readiness(input)).toEqual(readinessOf(input));
  });

  it('keeps an answer by everything it follows from', async () => {
    const [first, again] = [workers.readiness(input), workers.readiness(structuredClone(input))];
    expect(again).toBe(first);
    const other = workers.readiness({ ...input, plan: { ...SMALL_BALL, targetS: 900 } });
    expect(other).not.toBe(first);
    expect((await other)?.toSettle.time).not.toEqual((await first)?.toSettle.time);
  });

  it('answers nothing, notes it and keeps nothing when it can’t be worked out', async () => {
    const broken = { ...input, plan: { ...SMALL_BALL, segments: null as unknown as [] } };
    expect(await workers.readiness(broken)).toBeUndefined();
    expect(faults).toHaveLength(1);
    await workers.readiness(broken);
    expect(faults).toHaveLength(2);
    expect(late).toEqual([]);
  });

  it('is not at fault when there was no time', async () => {
    const hurried = createWorkers(file, { ...told, deadlineMs: 1 });
    expect(await hurried.readiness(input)).toBeUndefined();
    await hurried.stop();
    expect(late).toHaveLength(1);
    expect(faults).toHaveLength(2);
  });
});
