import type { Sequelize } from 'sequelize';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { checkPlan } from '@wrenfern/core/plan/plan';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { builtInCatalogue } from '@wrenfern/library';
import { ClassEvent, ClassRow, PersonRow, Studio } from '../db/models.ts';
import { openTestDatabase, testApp } from '../testing/test-studio.ts';
import { loadDemo } from './load-demo.ts';
import { BACK_EASE, FOUNDATIONS, SMALL_BALL, TIMED_SETS } from './plans.ts';

const NOW = new Date('2026-11-25T09:00:00Z');

let database: Sequelize;

beforeAll(async () => {
  database = await openTestDatabase();
  await loadDemo(database, false, NOW);
});
afterAll(() => database.close());

describe('the demo studio', () => {
  it('has fourteen people, four plans, twelve weeks behind it and today ahead', async () => {
    expect(await PersonRow.count()).toBe(14);
    const rows = await ClassRow.findAll({ order: ['startsAt'] });
    expect(new Set(rows.map(({ title }) => title)).size).toBe(4);
    const first = rows[0]?.startsAt.getTime() ?? 0;
    const weeks = (NOW.getTime() - first) / (7 * 86_400_000);
    expect(weeks).toBeGreaterThan(11);
    expect(rows.filter(({ startsAt }) => startsAt > NOW)).toHaveLength(4);
    expect(await ClassEvent.count()).toBeGreaterThan(400);
  });

  it('is not loaded twice, nor over somebody’s studio', async () => {
    await loadDemo(database, false, NOW);
    expect(await Studio.count()).toBe(1);
    expect(await PersonRow.count()).toBe(14);
  });

  it('is put back by a reset, the same as before', async () => {
    const outline = async () => {
      const rows = await ClassRow.findAll({ order: ['startsAt', 'title'] });
      const events = await ClassEvent.findAll({ order: ['eventId'] });
      return {
        classes: rows.map(({ title, startsAt, plan }) => ({ title, startsAt, plan })),
        events: events.map(({ event }) => event),
      };
    };
    const before = await outline();
    await PersonRow.destroy({ where: {} });
    await loadDemo(database, true, NOW);
    expect(await outline()).toEqual(before);
    expect(await PersonRow.count()).toBe(14);
  });

  it.each([
    [SMALL_BALL.title, SMALL_BALL],
    [FOUNDATIONS.title, FOUNDATIONS],
    [BACK_EASE.title, BACK_EASE],
    [TIMED_SETS.title, TIMED_SETS],
  ])('%s is a whole class of 30 to 55 minutes', (_title, plan) => {
    expect(checkPlan(plan, builtInCatalogue)).toEqual([]);
    const { totalS } = timePlan(plan, builtInCatalogue);
    expect(totalS / 60).toBeGreaterThanOrEqual(30);
    expect(totalS / 60).toBeLessThan(55);
  });

  it('keeps loaded rounding out of the back-ease class', () => {
    const demands = BACK_EASE.segments
      .flatMap(({ items }) => items)
      .flatMap((item) =>
        item.kind === 'exercise'
          ? builtInCatalogue.require(item.exercise).options.flatMap((option) => option.demands)
          : [],
      );
    expect(demands).not.toContain('flexion-loaded');
  });

  it('opens on a class with something to improve', async () => {
    const app = testApp(database);
    const visitor = request.agent(app);
    await visitor.post('/api/demo-session').send({ studio: 'tilework' }).expect(204);
    const today = await visitor.get('/api/today?from=2026-11-25T00:00:00Z').expect(200);
    const [first] = (today.body as { classes: { toSettle: Record<string, string[]> }[] }).classes;
    expect(first?.toSettle.time?.[0]).toMatch(/^4:\d\d over/);
    expect(first?.toSettle.order?.join(' ')).toMatch(
      /Side-bending left and side-bending right are missing/,
    );
    expect(first?.toSettle.options).toHaveLength(1);
    expect(first?.toSettle.props?.[0]).toMatch(/^1 small ball short/);
  });
});
