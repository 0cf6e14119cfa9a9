import { describe, expect, it } from 'vitest';
import type { SchoolRules } from './school.ts';
import { SCHOOLS } from './schools.ts';
import { isOutdated, schoolChoices, schoolOf, schoolValue } from './school-choices.ts';

const ours: SchoolRules = { ...SCHOOLS.classic, id: 'ours', name: 'Ours' };

describe('the schools to choose from', () => {
  it('are those that ship and the studio’s own', () => {
    expect(schoolChoices([ours], 'classic').map(({ value }) => value)).toEqual([
      'foundations-first',
      'graded-load',
      'timed-sets',
      'classic',
      'ours',
    ]);
  });

  it('keep the one that a plan carries, though the studio has it no more', () => {
    expect(schoolChoices([], ours).at(-1)).toEqual({ value: 'ours', name: 'Ours' });
    expect(schoolOf('ours', [], ours)).toBe(ours);
  });

  it('are found by their value', () => {
    expect(schoolValue(ours)).toBe('ours');
    expect(schoolOf('classic', [ours], ours)).toBe('classic');
    expect(schoolOf('ours', [ours], 'classic')).toBe(ours);
  });
});

describe('isOutdated', () => {
  it('is told when the studio’s school has changed since', () => {
    expect(isOutdated(ours, [ours])).toBe(false);
    expect(isOutdated(ours, [{ ...ours, why: 'Another reason.' }])).toBe(true);
    expect(isOutdated(ours, [])).toBe(false);
    expect(isOutdated('classic', [ours])).toBe(false);
  });
});
