import { describe, expect, it } from 'vitest';
import { ownSettings } from './own-settings.ts';

describe('what somebody sets otherwise on the machine', () => {
  it('is nothing for a middle body, and where nothing is known', () => {
    expect(ownSettings({})).toEqual([]);
    expect(ownSettings({ statureCm: 159 })).toEqual([]);
    expect(ownSettings({ statureCm: 181 })).toEqual([]);
  });

  it('brings the carriage to who is short, and away from who is tall', () => {
    expect(ownSettings({ statureCm: 158 })).toEqual(['stopper a notch in, loops short']);
    expect(ownSettings({ statureCm: 182, springs: 'heavier' })).toEqual([
      'springs a step heavier',
      'stopper a notch out, loops long',
    ]);
  });
});
