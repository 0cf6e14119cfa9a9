import { afterAll, expect, it } from 'vitest';
import { PersonRow, User } from '../db/models.ts';
import {
  makeClass,
  makePerson,
  makeStudio,
  openTestApp,
  TEST_KEY,
} from '../testing/test-studio.ts';
import { useKey } from './records.ts';
import { rotateKey } from './rotate-key.ts';
import { deriveKey, seal, unseal } from './seal.ts';

const NEXT = deriveKey('another secret, long enough for a key', 'records');
const { app } = await openTestApp();
const owner = await makeStudio(app, 'studio');

afterAll(() => {
  useKey(TEST_KEY);
});

it('seals everything anew, also in the wastebasket, and can be begun again', async () => {
  const classId = await makeClass(owner);
  const kept = await makePerson(owner, 'Asha', { note: 'knee' });
  const wasted = await makePerson(owner, 'Bram', { note: 'hip' });
  await owner.agent
    .put(`/api/classes/${classId}/attendees`)
    .send({ revision: 1, personIds: [kept] })
    .expect(200);
  await owner.agent.delete(`/api/people/${wasted}`).expect(204);
  const secondFactor = seal(TEST_KEY, 'a secret', owner.userId);
  await User.update({ secondFactor }, { where: { id: owner.userId } });

  expect(await rotateKey(TEST_KEY, NEXT)).toBe(4);
  const rows = await PersonRow.findAll({ paranoid: false, order: ['name'] });
  expect(rows.map(({ record }) => record.note)).toEqual(['knee', 'hip']);
  const user = await User.findByPk(owner.userId);
  expect(unseal(NEXT, user?.secondFactor ?? '', owner.userId)).toBe('a secret');
  useKey(TEST_KEY);
  expect(() => rows[0]?.record).toThrow(/another key/);

  // Cut off after it was done, and begun again: everything stays as it is.
  expect(await rotateKey(TEST_KEY, NEXT)).toBe(4);
  const again = await PersonRow.findAll({ paranoid: false, order: ['name'] });
  expect(again.map(({ record }) => record.note)).toEqual(['knee', 'hip']);
});
