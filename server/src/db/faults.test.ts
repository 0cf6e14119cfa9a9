import { DatabaseError, ValidationError } from 'sequelize';
import { describe, expect, it } from 'vitest';
import { isConflict, isOverTime, isUnstorable, withoutValues } from './faults.ts';

const refused = (errno: number) =>
  new DatabaseError(
    Object.assign(new Error(`near 'lives alone'`), { errno, sql: `SELECT 'lives alone'` }),
  );

describe('a fault of the database', () => {
  it.each([
    [1213, isConflict],
    [1020, isConflict],
    [1969, isOverTime],
    [1205, isOverTime],
    [1366, isUnstorable],
    [1406, isUnstorable],
  ] as const)('%s is known for what it is, and for nothing else', (errno, known) => {
    const all = [isConflict, isOverTime, isUnstorable];
    expect(all.filter((is) => is(refused(errno)))).toEqual([known]);
  });

  it('is logged without what was in the statement', () => {
    expect(JSON.stringify(withoutValues(refused(1366)))).not.toContain('lives alone');
    expect(withoutValues(refused(1366)).message).toBe('the database refused with 1366');
    const invalid = new ValidationError('lives alone', []);
    expect(JSON.stringify(withoutValues(invalid))).not.toContain('lives alone');
  });

  it('that is ours is told in its own words', () => {
    expect(withoutValues(new Error('no folder')).message).toBe('no folder');
    expect(withoutValues('x').message).toBe('string');
  });
});
