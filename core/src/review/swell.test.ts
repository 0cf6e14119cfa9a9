import { describe, expect, it } from 'vitest';
import { SCHOOL_IDS } from '../plan/plan.ts';
import { SCHOOLS } from '../plan/schools.ts';
import { swellBand } from './swell.ts';

describe.each(SCHOOL_IDS)('the band of %s', (school) => {
  const band = swellBand(SCHOOLS[school]);

  it('covers the whole class, in order', () => {
    expect(band[0]?.share).toBe(0);
    expect(band.at(-1)?.share).toBe(1);
    band.forEach((point, index) => {
      const next = band[index + 1];
      if (next) expect(next.share).toBeGreaterThan(point.share);
    });
  });

  it('stays between rest and very strong, low under high', () => {
    for (const { low, high } of band) {
      expect(low).toBeGreaterThanOrEqual(0);
      expect(high).toBeLessThanOrEqual(5);
      expect(low).toBeLessThanOrEqual(high);
    }
  });

  it('peaks between 55 % and 85 % of the class: common practice', () => {
    const highest = Math.max(...band.map(({ high }) => high));
    const peaks = band.filter(({ high }) => high === highest).map(({ share }) => share);
    expect(peaks.some((share) => share >= 0.55 && share <= 0.85)).toBe(true);
  });

  it('begins and ends softly', () => {
    expect(band[0]?.high).toBeLessThanOrEqual(1);
    expect(band.at(-1)?.high).toBeLessThanOrEqual(1);
  });
});

it('keeps graded load shallower than the rest', () => {
  const highest = (school: (typeof SCHOOL_IDS)[number]) =>
    Math.max(...swellBand(SCHOOLS[school]).map(({ high }) => high));
  expect(highest('graded-load')).toBeLessThan(highest('foundations-first'));
});
