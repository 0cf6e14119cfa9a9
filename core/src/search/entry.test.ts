import { describe, expect, it } from 'vitest';
import { entryOf } from './entry.ts';

describe('an entry that must be there', () => {
  it('is what stands at its place, also where that is 0', () => {
    expect(entryOf([4, 0, 7], 1)).toBe(0);
    expect(entryOf(Float64Array.of(1.5, 2.5), 1)).toBe(2.5);
  });

  it('throws beyond the list and before it, and names the place', () => {
    expect(() => entryOf([4, 0, 7], 3)).toThrow('no entry 3 in a list of 3');
    expect(() => entryOf(Int32Array.of(), -1)).toThrow('no entry -1 in a list of 0');
  });
});
