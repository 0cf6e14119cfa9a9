import { describe, expect, it } from 'vitest';
import { Id } from './ids.ts';
import { SLUG } from './vocabulary.ts';

/** Every name that a plain object of this engine answers to. */
const BORN = Object.getOwnPropertyNames(Object.prototype);

describe('ids', () => {
  it('take what our own code makes', () => {
    for (const id of [
      'arrive',
      'item-12',
      '3b241101-e2bb-4255-8caf-4136c566a962',
      'demo-101-3',
      'a',
    ]) {
      expect(Id.safeParse(id).success).toBe(true);
    }
  });

  it.each(BORN)('refuse %s, which every object knows', (name) => {
    expect(Id.safeParse(name).success).toBe(false);
  });

  it.each(['', ' ', 'a b', 'a.b', 'é', 'a'.repeat(65)])('refuse %j', (name) => {
    expect(Id.safeParse(name).success).toBe(false);
  });

  it('hold for slugs too', () => {
    expect(SLUG.safeParse('constructor').success).toBe(false);
    expect(SLUG.safeParse('shoulder-bridge').success).toBe(true);
  });
});
