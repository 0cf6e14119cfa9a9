import { describe, expect, it } from 'vitest';
import { showClock } from '@wrenfern/core/plan/show-time';
import { minutes, showDistance, showTimeOfDay, showWhen } from './dates.ts';
import { petalsOf } from './directions.ts';

describe('showClock', () => {
  it.each([
    [0, '0:00'],
    [9, '0:09'],
    [59.6, '1:00'],
    [60, '1:00'],
    [132, '2:12'],
    [3725, '62:05'],
    [-4, '0:00'],
  ])('shows %d s as %s', (seconds, shown) => expect(showClock(seconds)).toBe(shown));
});

describe('dates', () => {
  const evening = '2026-11-26T18:15:00.000Z';

  it('are shown in the studio’s zone, not in the reader’s', () => {
    expect(showTimeOfDay(evening, 'UTC')).toMatch(/0?6:15|18:15/);
    expect(showTimeOfDay(evening, 'Asia/Tokyo')).toMatch(/0?3:15/);
    expect(showWhen('2026-11-26T23:30:00Z', 'Asia/Tokyo')).toContain('27');
  });

  it('tell how far off a class is, either way', () => {
    const now = new Date('2026-11-26T16:15:00Z');
    expect(showDistance(evening, now)).toBe('in 2 hours');
    expect(showDistance('2026-11-24T16:15:00Z', now)).toBe('2 days ago');
  });

  it('round minutes', () => {
    expect(minutes(1799)).toBe('30 min');
    expect(minutes(29)).toBe('0 min');
  });
});

describe('petalsOf', () => {
  it('gives both ways to a turn and a side-bend, and nothing to a still spine', () => {
    expect(petalsOf(['turn'])).toMatchObject({ 'turn-left': 60, 'turn-right': 60, round: 0 });
    expect(petalsOf(['round', 'side'])).toMatchObject({ round: 60, 'side-left': 60, arch: 0 });
    expect(Object.values(petalsOf(['still']))).toEqual([0, 0, 0, 0, 0, 0]);
  });
});
