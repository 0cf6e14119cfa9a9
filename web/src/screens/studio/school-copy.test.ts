import { describe, expect, it } from 'vitest';
import { SchoolRules } from '@wrenfern/core/plan/school';
import { SCHOOLS } from '@wrenfern/core/plan/schools';
import { copyOf } from './school-copy.ts';

describe('copyOf', () => {
  it('is a school of its own that can be kept', () => {
    const copy = copyOf(SCHOOLS['graded-load'], []);
    expect(SchoolRules.safeParse(copy).success).toBe(true);
    expect(copy.rules).toEqual(SCHOOLS['graded-load'].rules);
    expect(copy.id).toBe('own-1');
  });

  it('never takes a name or an id twice, however often it is copied', () => {
    const own: SchoolRules[] = [];
    for (let turn = 0; turn < 5; turn += 1) own.push(copyOf(SCHOOLS.classic, own));
    expect(new Set(own.map(({ id }) => id)).size).toBe(5);
    expect(new Set(own.map(({ name }) => name)).size).toBe(5);
  });

  it('can be copied from a copy', () => {
    const first = copyOf(SCHOOLS.classic, []);
    const second = copyOf(first, [first]);
    expect(second.id).not.toBe(first.id);
    expect(second.name.length).toBeLessThanOrEqual(60);
  });
});
