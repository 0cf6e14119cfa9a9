import { describe, expect, it } from 'vitest';
import { newId, slugOf } from './drag.ts';

describe('slugOf', () => {
  it('reads the slug of a catalogue card only', () => {
    expect(slugOf(newId('clam'))).toBe('clam');
    expect(slugOf('row:clam')).toBeUndefined();
  });
});
