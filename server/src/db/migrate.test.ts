import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import type { Sequelize } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openTestDatabase } from '../testing/test-studio.ts';
import { migrate, MIGRATIONS } from './migrate.ts';
import { CHECKSUMS } from './migrations/checksums.ts';
import { Studio } from './models.ts';

let database: Sequelize;

beforeAll(async () => {
  database = await openTestDatabase();
});
afterAll(() => database.close());

describe('migrate', () => {
  it('has nothing to do the second time', async () => {
    expect(await migrate(database)).toEqual([]);
  });

  it('makes every table that a model reads', async () => {
    const tables = (await database.getQueryInterface().showAllTables()) as unknown as (
      string | { tableName: string }
    )[];
    const names = tables.map((table) => (typeof table === 'string' ? table : table.tableName));
    for (const model of Object.values(database.models)) {
      expect(names).toContain(model.getTableName());
    }
  });

  it('refuses a database that a newer version has changed', async () => {
    await database.query("INSERT INTO migrations (name) VALUES ('9999-from-the-future')");
    await expect(migrate(database)).rejects.toThrow(/newer version.*9999-from-the-future/);
    await database.query("DELETE FROM migrations WHERE name = '9999-from-the-future'");
  });

  it.each(MIGRATIONS.map(({ name }) => name))(
    'finds %s as it was when it first ran',
    async (name) => {
      const file = new URL(`./migrations/${name}.ts`, import.meta.url);
      const sum = createHash('sha256')
        .update(await readFile(file))
        .digest('hex');
      expect(CHECKSUMS[name]).toBe(sum);
    },
  );

  it('refuses a database where a step ran in another form, and says which', async () => {
    const change = (checksum: string) =>
      database.query("UPDATE migrations SET checksum = ? WHERE name = '0005-nothing-lost'", {
        replacements: [checksum],
      });
    await change('of another form');
    await expect(migrate(database)).rejects.toThrow(/never released: 0005-nothing-lost ran here/);
    await change(CHECKSUMS['0005-nothing-lost']);
    expect(await migrate(database)).toEqual([]);
  });

  it('keeps milliseconds and reads JSON back as it was', async () => {
    const made = await Studio.create({
      id: '6c2b3f0a-0000-4000-8000-000000000001',
      slug: 'ms',
      name: 'Ms',
      isDemo: false,
      timeZone: 'UTC',
      cupboard: { block: 3 },
      pace: {
        teaching: 'quick',
        setUpFactor: 1.25,
        teachingFactor: 1,
        workFactor: 1,
        tempoFactors: { turn: 0.9 },
        classes: 0,
      },
    });
    const read = await Studio.findByPk(made.id);
    expect(read?.createdAt.getTime()).toBe(made.createdAt.getTime());
    expect(read?.pace).toEqual(made.pace);
    expect(read?.cupboard).toEqual({ block: 3 });
  });
});
