import { randomUUID } from 'node:crypto';
import type { Sequelize } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { STEADY_PACE } from '@wrenfern/core/plan/timing/pace';
import { openTestDatabase } from '../testing/test-studio.ts';
import { PersonRow, Studio } from './models.ts';
import { rowsOf } from './studio-rows.ts';

let database: Sequelize;
const [mine, theirs] = [randomUUID(), randomUUID()];
const sealed = 'nobody opens this here';

beforeAll(async () => {
  database = await openTestDatabase();
  for (const [id, name] of [
    [mine, 'mine'],
    [theirs, 'theirs'],
  ] as const) {
    await Studio.create({
      id,
      slug: name,
      name,
      isDemo: false,
      timeZone: 'UTC',
      cupboard: {},
      pace: STEADY_PACE,
    });
  }
  await rowsOf(PersonRow, mine).create({ name: 'Asha', sealed });
  await rowsOf(PersonRow, theirs).create({ name: 'Bram', sealed });
});
afterAll(() => database.close());

describe('rowsOf', () => {
  const people = () => rowsOf(PersonRow, mine);

  it('lists and counts the studio’s own rows only', async () => {
    expect((await people().all()).map(({ name }) => name)).toEqual(['Asha']);
    expect(await people().count()).toBe(1);
    expect(await people().count({ name: 'Bram' })).toBe(0);
  });

  it('cannot be asked for another studio by naming it', async () => {
    expect(await people().all({ where: { studioId: theirs } })).toEqual([]);
    expect(await people().count({ studioId: theirs })).toBe(0);
    expect(await people().find({ studioId: theirs })).toBeNull();
  });

  it('answers another studio’s id as if it were nowhere', async () => {
    const [bram] = await rowsOf(PersonRow, theirs).all();
    await expect(people().one({ id: bram?.id })).rejects.toMatchObject({ code: 'not-found' });
  });

  it('changes and removes nothing of another studio', async () => {
    const [bram] = await rowsOf(PersonRow, theirs).all();
    expect(await people().update({ name: 'Taken' }, { id: bram?.id })).toBe(0);
    expect(await people().remove({ id: bram?.id })).toBe(0);
    expect(await people().update({ name: 'Taken' }, { studioId: theirs })).toBe(0);
    expect((await rowsOf(PersonRow, theirs).all()).map(({ name }) => name)).toEqual(['Bram']);
  });

  it('creates in the studio, whatever else is said', async () => {
    const sneaky = { name: 'Cleo', sealed, studioId: theirs } as {
      name: string;
      sealed: typeof sealed;
    };
    const made = await people().create(sneaky);
    expect(made.studioId).toBe(mine);
    await made.destroy();
  });
});
