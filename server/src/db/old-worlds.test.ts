import type { Sequelize } from 'sequelize';
import request from 'supertest';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { standingOf } from '@wrenfern/core/plan/school';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { openOldWorld, wholeText } from '../testing/old-world.ts';
import { openTestDatabase, testApp, TEST_KEY } from '../testing/test-studio.ts';
import { connect } from './connect.ts';
import { migrate, MIGRATIONS } from './migrate.ts';
import {
  bindModels,
  Booking,
  ClassEvent,
  ClassRow,
  PersonRow,
  PlanRevision,
  Studio,
} from './models.ts';

const OLD = 'before-0004';
const DONE_BEFORE = 3;

let database: Sequelize;

beforeAll(async () => {
  database = await openTestDatabase();
});
beforeEach(() => openOldWorld(database, OLD));
afterAll(() => database.close());

const morning = () => ClassRow.findOne({ where: { title: 'Morning' }, rejectOnEmpty: true });

describe('a database of an older version', () => {
  it('is brought up to date, with everything in it', async () => {
    expect(await migrate(database)).toEqual(MIGRATIONS.slice(DONE_BEFORE).map(({ name }) => name));
    const [person] = await PersonRow.findAll();
    expect(person?.record).toMatchObject({
      level: 3,
      note: 'lives alone',
      cautions: [{ caution: 'wrist', note: 'since the fall' }],
    });
    const [booking] = await Booking.findAll();
    expect(booking).toMatchObject({ todayNote: 'wrist sore', choices: { a: { kind: 'rest' } } });
    const answer = await request(testApp(database))
      .post('/api/session')
      .send({ email: 'ida@old.example', password: 'ten letters or more' });
    expect(answer.status).toBe(204);
  });

  it('has its presses named by item, in their order, and its plan kept as taught', async () => {
    await migrate(database);
    const rows = await ClassEvent.findAll({ order: ['seq'] });
    expect(
      rows.map(({ event }) => [event.order, event.type, 'itemId' in event ? event.itemId : '']),
    ).toEqual([
      [1, 'start', ''],
      [2, 'goTo', 'b'],
      [3, 'goTo', 'c'],
      [4, 'goTo', 'b'],
      [5, 'goTo', 'c'],
      // There was nothing behind the last: the old press stayed where it was.
      [6, 'goTo', 'c'],
      [7, 'note', 'c'],
      [8, 'end', ''],
    ]);
    const lesson = await morning();
    expect(lesson.taughtRevision).toBe(2);
    const kept = await PlanRevision.findAll({ where: { classId: lesson.id } });
    expect(kept.map(({ revision }) => revision)).toEqual([2]);
    const untaught = await ClassRow.findOne({ where: { title: 'Empty' } });
    expect(untaught?.taughtRevision).toBeNull();
    // From its first start to its last end, seven minutes later.
    expect([lesson.tookS, untaught?.tookS]).toEqual([7 * 60, null]);
  });

  it('has no health note and no caution left that anybody can read', async () => {
    await migrate(database);
    const text = await wholeText(database);
    for (const secret of ['lives alone', 'since the fall', 'wrist sore']) {
      expect(text).not.toContain(secret);
    }
    expect(text).toContain('Asha Delun');
  });

  it('reads a school that lacks a rule of today and has one of tomorrow', async () => {
    await migrate(database);
    await database.query(
      `UPDATE classes SET plan = JSON_SET(JSON_REMOVE(plan, '$.school.rules.water'),
        '$.school.rules."of-tomorrow"', 'must') WHERE title = 'Morning'`,
    );
    await database.query(
      `UPDATE studios SET schools = JSON_REMOVE(schools, '$[0].rules.counter', '$[0].weights.load')`,
    );
    const rules = rulesOf((await morning()).plan.school);
    expect(standingOf(rules, { id: 'water', usually: 'should' })).toBe('should');
    expect(standingOf(rules, { id: 'of-tomorrow', usually: 'off' })).toBe('must');
    const [studio] = await Studio.findAll();
    const [own] = studio?.schools ?? [];
    expect(own && standingOf(own, { id: 'counter', usually: 'should' })).toBe('should');
    expect(own?.weights.load).toBe(1);
  });
});

describe('starting', () => {
  it('twice at once changes the tables once', async () => {
    const url = process.env.WRENFERN_TEST_DATABASE_URL ?? '';
    const [one, other] = [connect(url), connect(url)];
    try {
      const done = await Promise.all([migrate(one), migrate(other)]);
      expect(done.map(({ length }) => length).sort()).toEqual([0, MIGRATIONS.length - DONE_BEFORE]);
    } finally {
      await Promise.all([one.close(), other.close()]);
      bindModels(database, TEST_KEY);
    }
  });

  it('goes on wherever a killed process stopped', async () => {
    const reached = await wholeOutline();
    for (let after = 1; ; after += 5) {
      await openOldWorld(database, OLD);
      const wasKilled = await killedAfter(after);
      // What a dead process held runs out by itself; the test does not wait for it.
      await database.query('DELETE FROM leases');
      await migrate(database);
      expect(await outline()).toEqual(reached);
      if (!wasKilled) break;
    }
    // Each step of each migration is a start of its own: minutes on a slow machine.
  }, 240_000);

  async function wholeOutline() {
    await migrate(database);
    return outline();
  }

  /** What must be the same in the end: tables and columns, and what was in them. */
  async function outline() {
    const tables = database.getQueryInterface();
    const names = (await tables.showAllTables()) as unknown as (string | { tableName: string })[];
    const columns = await Promise.all(
      names.map(async (each) => {
        const name = typeof each === 'string' ? each : each.tableName;
        return [name, Object.keys(await tables.describeTable(name)).sort()] as const;
      }),
    );
    const [people, events] = [
      await PersonRow.findAll(),
      await ClassEvent.findAll({ order: ['seq'] }),
    ];
    return {
      columns: Object.fromEntries(columns),
      records: people.map(({ record }) => record),
      events: events.map(({ event }) => event),
    };
  }

  /** Ends the first start after so many statements that change something; false when it got through. */
  async function killedAfter(statements: number): Promise<boolean> {
    const query = database.query.bind(database);
    let left = statements;
    const dying = (sql: unknown, ...rest: unknown[]) => {
      const text = typeof sql === 'string' ? sql : (sql as { query: string }).query;
      const isChange = /^\s*(CREATE|ALTER|DROP|INSERT|UPDATE|DELETE)/i.test(text);
      if (isChange && (left -= 1) < 0) return Promise.reject(new Error('killed'));
      return (query as (...all: unknown[]) => Promise<unknown>)(sql, ...rest);
    };
    database.query = dying as typeof database.query;
    try {
      await migrate(database);
      return false;
    } catch (error) {
      expect(String(error)).toContain('killed');
      return true;
    } finally {
      database.query = query;
    }
  }
});
