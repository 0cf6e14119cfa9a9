import { describe, expect, it } from 'vitest';
import { springForceN, strapForceN } from './springs.ts';

/** Hooke's law, F = F0 + k x, worked by hand with the stand-in springs. */
describe('springForceN', () => {
  it.each([
    [{ heavy: 1 }, 0, 40],
    [{ heavy: 1 }, 0.25, 40 + 280 * 0.25],
    [{ medium: 2 }, 0.5, 2 * (25 + 200 * 0.5)],
    [{ heavy: 1, light: 1 }, 0.1, 40 + 28 + 10 + 12],
    [{}, 0.3, 0],
  ])('of %o at %d m is %d N', (springs, outM, newtons) => {
    expect(springForceN({ springs }, outM)).toBeCloseTo(newtons, 6);
  });

  it('is nothing without a setting', () => expect(springForceN(undefined)).toBe(0));

  it('grows with the way, as much for each centimetre as for the last', () => {
    const at = (outM: number) => springForceN({ springs: { heavy: 1, medium: 1 } }, outM);
    expect(at(0.3) - at(0.2)).toBeCloseTo(at(0.2) - at(0.1), 6);
    expect(at(0.2)).toBeGreaterThan(at(0.1));
  });

  it('is held at four places by two straps that a rider on the carriage pulls', () => {
    const setting = { springs: { medium: 1 } };
    expect(strapForceN(setting, 0.2, 2) * 4).toBeCloseTo(springForceN(setting, 0.2), 6);
    expect(strapForceN(setting, 0.2, 1) * 2).toBeCloseTo(springForceN(setting, 0.2), 6);
  });
});
