import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { bendTo } from './reach.ts';
import { cross, distance, dot, rotate, subtract, type Vec3 } from './space.ts';

const number = fc.double({ min: -0.4, max: 0.4, noNaN: true });
const place = fc.tuple(number, number, number) as fc.Arbitrary<Vec3>;
const [UPPER, LOWER] = [0.25, 0.2];

describe('bendTo', () => {
  it('gets there when it can, with both parts as long as they are', () => {
    fc.assert(
      fc.property(place, place, (target, pole) => {
        const { middle, end } = bendTo([0, 0, 0], target, UPPER, LOWER, pole, 1);
        expect(distance([0, 0, 0], middle)).toBeCloseTo(UPPER, 3);
        expect(distance(middle, end)).toBeCloseTo(LOWER, 3);
        const away = distance([0, 0, 0], target);
        if (away > UPPER - LOWER + 0.001 && away < UPPER + LOWER - 0.001) {
          expect(distance(end, target)).toBeLessThan(1e-3);
        }
      }),
      { seed: 3, numRuns: 200 },
    );
  });

  it('points straight at what is too far', () => {
    const { middle, end } = bendTo([0, 0, 0], [2, 0, 0], UPPER, LOWER, [0, 1, 0], 1);
    expect(end[0]).toBeCloseTo(UPPER + LOWER, 3);
    expect(middle[1]).toBeCloseTo(0, 2);
  });

  it('bends towards the pole', () => {
    const { middle } = bendTo([0, 0, 0], [0.3, 0, 0], UPPER, LOWER, [0, 1, 0], 1);
    expect(middle[1]).toBeGreaterThan(0.1);
    const other = bendTo([0, 0, 0], [0.3, 0, 0], UPPER, LOWER, [0, -1, 0], 1);
    expect(other.middle[1]).toBeLessThan(-0.1);
  });

  it.each([
    ['an elbow forward', 1],
    ['a knee back', -1],
  ] as const)('turns the parts so that %s is a bend in their own plane', (_name, way) => {
    const { middle, end, upper } = bendTo([0, 0, 0], [0.1, -0.3, 0], UPPER, LOWER, [-1, 0, 0], way);
    const front = rotate(upper, [1, 0, 0]);
    expect(Math.sign(dot(front, subtract(end, middle)))).toBe(way);
    expect(Math.abs(dot(cross(front, subtract(end, middle)), [1, 0, 0]))).toBeLessThan(1e-6);
  });
});
