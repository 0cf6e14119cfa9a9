import { setTimeout as pause } from 'node:timers/promises';
import type { Sequelize } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openTestDatabase } from '../testing/test-studio.ts';
import { withLease } from './lease.ts';

let database: Sequelize;

beforeAll(async () => {
  database = await openTestDatabase();
});
afterAll(() => database.close());

describe('a lease', () => {
  it('lets one at a time work, and everybody in the end', async () => {
    let [working, most] = [0, 0];
    const work = async () => {
      working += 1;
      most = Math.max(most, working);
      await pause(30);
      working -= 1;
    };
    await Promise.all(
      [1, 2, 3, 4].map(() => withLease(database, 'together', { waitMs: 20_000 }, work)),
    );
    expect(most).toBe(1);
  });

  it('is let go when the work fails', async () => {
    const fails = () => Promise.reject(new Error('no'));
    await expect(withLease(database, 'failing', { waitMs: 100 }, fails)).rejects.toThrow('no');
    expect(await withLease(database, 'failing', { waitMs: 100 }, () => Promise.resolve(1))).toBe(1);
  });

  const held = (from: string) =>
    database.query(`REPLACE INTO leases VALUES ('dead', 'somebody', ${from})`);

  it('of a dead process runs out', async () => {
    await held('UTC_TIMESTAMP(3) - INTERVAL 1 SECOND');
    expect(await withLease(database, 'dead', { waitMs: 100 }, () => Promise.resolve(2))).toBe(2);
  });

  it('that somebody holds is waited for, and then given up in words', async () => {
    await held('UTC_TIMESTAMP(3) + INTERVAL 60 SECOND');
    await expect(
      withLease(database, 'dead', { waitMs: 300 }, () => Promise.resolve(3)),
    ).rejects.toThrow(/Another process has held/);
  });
});
