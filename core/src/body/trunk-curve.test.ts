import fc from 'fast-check';
import { expect, it } from 'vitest';
import { fullPose, SHAPE_FAMILIES } from './shapes/index.ts';
import { layOutBody } from './skeleton.ts';
import { BACK_PARTS, trunkCurve } from './trunk-curve.ts';

const angle = (most: number) => fc.integer({ min: -most, max: most });

it('reads back the bends that a body was laid out with', () => {
  const four = (most: number) => fc.tuple(angle(most), angle(most), angle(most), angle(most));
  fc.assert(
    fc.property(four(45), four(20), four(30), angle(90), (round, side, turn, lean) => {
      const body = layOutBody(fullPose({ shape: 'standing', round, side, turn, lean }));
      const curve = trunkCurve(body);
      BACK_PARTS.forEach((part, index) => {
        expect(curve[part].round).toBeCloseTo(round[index] ?? NaN, 6);
        expect(curve[part].side).toBeCloseTo(side[index] ?? NaN, 6);
        expect(curve[part].turn).toBeCloseTo(turn[index] ?? NaN, 6);
      });
    }),
    { numRuns: 50 },
  );
});

it('is what every shape that ships says of itself', () => {
  for (const name of Object.values(SHAPE_FAMILIES).flatMap((family) => Object.keys(family))) {
    const body = layOutBody(fullPose(name));
    const curve = trunkCurve(body);
    BACK_PARTS.forEach((part, index) =>
      expect(curve[part].round, `${name}, ${part}`).toBeCloseTo(body.pose.round[index] ?? NaN, 6),
    );
  }
});
