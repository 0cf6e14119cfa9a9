import { demandsOf } from '@wrenfern/core/people/demands';
import { DateTime } from 'luxon';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { analyse } from '@wrenfern/core/analyse';
import { checkPlan } from '@wrenfern/core/plan/plan';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { builtInCatalogue } from '@wrenfern/library';
import { ClassEvent, ClassRow, PersonRow, Studio } from '../db/models.ts';
import { cleanUp } from '../keeping/clean-up.ts';
import { makeStudio, openTestApp, testApp } from '../testing/test-studio.ts';
import { openDemo } from './open-demo.ts';
import { DEMO_CATALOGUE, DEMO_EXERCISES } from './exercises.ts';
import { DEMO_MACHINES } from './machines.ts';
import {
  BACK_EASE,
  FOUNDATIONS,
  MACHINES_FIRST,
  MACHINES_MIXED,
  SMALL_BALL,
  TIMED_SETS,
} from './plans.ts';

const NOW = new Date('2026-11-25T09:00:00Z');

const { database } = await openTestApp();
await openDemo('Europe/Lisbon', 10, NOW);

describe('the demo studio', () => {
  it('has fourteen people, seven plans, twelve weeks behind it and today ahead', async () => {
    expect(await PersonRow.count()).toBe(14);
    const rows = await ClassRow.findAll({ order: ['startsAt'] });
    expect(new Set(rows.map(({ title }) => title)).size).toBe(7);
    const first = rows[0]?.startsAt.getTime() ?? 0;
    const weeks = (NOW.getTime() - first) / (7 * 86_400_000);
    expect(weeks).toBeGreaterThan(11);
    expect(rows.filter(({ startsAt }) => startsAt > NOW)).toHaveLength(8);
    expect(await ClassEvent.count()).toBeGreaterThan(400);
  });

  it('is another for each visitor, and the same for all of them', async () => {
    const outline = async (studioId: string) => {
      const rows = await ClassRow.findAll({ where: { studioId }, order: ['startsAt', 'title'] });
      const events = await ClassEvent.findAll({ where: { studioId }, order: ['eventId'] });
      return {
        classes: rows.map(({ title, startsAt, plan }) => ({ title, startsAt, plan })),
        events: events.map(({ event }) => event),
      };
    };
    const [one, other] = [
      await openDemo('Europe/Lisbon', 10, NOW),
      await openDemo('Europe/Lisbon', 10, NOW),
    ];
    expect(one.studioId).not.toBe(other.studioId);
    expect(await outline(one.studioId)).toEqual(await outline(other.studioId));
  });

  it('makes room by giving up the one left longest ago, and never one in use', async () => {
    await Studio.destroy({ where: {} });
    const [old, used] = [await openDemo('UTC', 2, NOW), await openDemo('UTC', 2, NOW)];
    await Studio.update(
      { usedAt: new Date(NOW.getTime() - 3_600_000) },
      { where: { id: old.studioId } },
    );
    const third = await openDemo('UTC', 2, NOW);
    const left = (await Studio.findAll()).map(({ id }) => id).sort();
    expect(left).toEqual([used.studioId, third.studioId].sort());
    await expect(openDemo('UTC', 2, NOW)).rejects.toMatchObject({ code: 'demo-full' });
  });

  it('is gone after a day without use, and real studios are not', async () => {
    await Studio.destroy({ where: {} });
    const app = testApp(database);
    const real = await makeStudio(app, 'real');
    const { studioId } = await openDemo('UTC', 2, NOW);
    await Studio.update({ usedAt: new Date('2026-01-01') }, { where: {} });
    await cleanUp(NOW);
    expect((await Studio.findAll()).map(({ id }) => id)).toEqual([real.studioId]);
    expect(await ClassRow.count({ where: { studioId } })).toBe(0);
  });

  it.each([
    [SMALL_BALL.title, SMALL_BALL],
    [FOUNDATIONS.title, FOUNDATIONS],
    [BACK_EASE.title, BACK_EASE],
    [TIMED_SETS.title, TIMED_SETS],
    [MACHINES_MIXED.title, MACHINES_MIXED],
    [MACHINES_FIRST.title, MACHINES_FIRST],
  ])('%s is a whole class of 30 to 55 minutes', (_title, plan) => {
    expect(checkPlan(plan, DEMO_CATALOGUE)).toEqual([]);
    const { totalS } = timePlan(plan, DEMO_CATALOGUE);
    expect(totalS / 60).toBeGreaterThanOrEqual(30);
    expect(totalS / 60).toBeLessThan(55);
  });

  it('has own exercises that a studio could have saved itself', async () => {
    const app = testApp(database);
    const owner = await makeStudio(app, 'writes');
    for (const exercise of DEMO_EXERCISES) {
      const answer = await owner.agent
        .put(`/api/exercises/${exercise.slug}`)
        .send({ version: 0, exercise });
      expect([exercise.slug, answer.status, answer.body]).toMatchObject([exercise.slug, 200, {}]);
    }
  });

  it('asks for no springs that its machines lack, and puts the box on once', () => {
    const { gear, findings } = analyse(MACHINES_MIXED, DEMO_CATALOGUE, {
      attendees: [],
      cupboard: {},
      day: '2026-11-30',
      machines: DEMO_MACHINES,
    });
    expect(findings.filter(({ rule }) => rule === 'machines-suffice')).toEqual([]);
    expect(gear.filter(({ changes }) => changes.includes('box'))).toHaveLength(2);
    expect(gear.length).toBeGreaterThanOrEqual(8);
    expect(gear.length).toBeLessThanOrEqual(13);
  });

  it('keeps loaded rounding out of the back-ease class', () => {
    const demands = BACK_EASE.segments
      .flatMap(({ items }) => items)
      .flatMap((item) =>
        item.kind === 'exercise'
          ? builtInCatalogue.require(item.exercise).options.flatMap((option) => demandsOf(option))
          : [],
      );
    expect(demands).not.toContain('flexion-loaded');
  });

  it('opens on a class with something to improve', async () => {
    const app = testApp(database);
    const visitor = request.agent(app);
    await visitor.post('/api/demo-session').send({ timeZone: 'UTC' }).expect(204);
    const from = DateTime.utc().startOf('day').toISO();
    const today = await visitor.get(`/api/today?from=${encodeURIComponent(from)}`).expect(200);
    const [first] = (today.body as { classes: { ready: { toSettle: Record<string, string[]> } }[] })
      .classes;
    expect(first?.ready.toSettle.time?.[0]).toMatch(/^\d+:\d\d over 30:00/);
    expect(first?.ready.toSettle.order?.join(' ')).toMatch(
      /Side-bending left and side-bending right are missing/,
    );
    // Everybody finds something in place of what is not for them.
    expect(first?.ready.toSettle.options).toEqual([]);
    expect(first?.ready.toSettle.props?.[0]).toMatch(/^1 small ball short/);
  });
});
