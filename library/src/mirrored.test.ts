import { describe, expect, it } from 'vitest';
import { bodiesOf, floorSpaceOf, mirroredBodiesOf } from '@wrenfern/core/body/option-body';
import type { Body } from '@wrenfern/core/body/body';
import { about, dot, FRONT, rotate, subtract, UP } from '@wrenfern/core/body/space';
import { weigh } from '@wrenfern/core/body/statics';
import { builtInExercises } from './index.ts';

/** How far the weight is ahead of the hips, the way the body faces; and how high it is. */
function weightOf(body: Body): { ahead: number; height: number } {
  const { centre } = weigh(body);
  const heading = rotate(about(UP, -body.pose.face), FRONT);
  return { ahead: dot(subtract(centre, body.hips), heading), height: centre[1] };
}

/** A machine has no other side for a body that sits across it. */
const isAcross = ({ pose }: Body): boolean => pose.machine !== undefined && pose.face % 180 !== 0;

/** A body is symmetrical: what is true of one side is true of the other when it is mirrored. */
describe.each(builtInExercises.map((exercise) => [exercise.slug, exercise] as const))(
  '%s on its other side',
  (_, exercise) => {
    it('is weighed the same, with right for left', () => {
      for (const option of exercise.options) {
        const mirrored = mirroredBodiesOf(option);
        bodiesOf(option).forEach((body, index) => {
          const other = mirrored[index];
          if (!other) throw new Error('a pose has no other side');
          if (isAcross(body)) return;
          const [a, b] = [weigh(body), weigh(other)];
          expect(weightOf(other).ahead).toBeCloseTo(weightOf(body).ahead, 2);
          expect(weightOf(other).height).toBeCloseTo(weightOf(body).height, 2);
          expect(b.moments.hip.left).toBeCloseTo(a.moments.hip.right, 2);
          expect(b.moments.hip.right).toBeCloseTo(a.moments.hip.left, 2);
          expect(b.moments.lowBack).toBeCloseTo(a.moments.lowBack, 2);
          expect(b.onHands).toBeCloseTo(a.onHands, 2);
          expect(b.balanced).toBe(a.balanced);
        });
      }
    });

    it('carries the whole weight and asks for a floor that a studio has', () => {
      for (const body of exercise.options.flatMap(bodiesOf)) {
        const { balanced, supports } = weigh(body);
        const carried = supports.reduce(
          (sum, { on, share, push }) => sum + (on === 'body' ? 0 : share * (push ? push[1] : 1)),
          0,
        );
        if (balanced) expect(carried).toBeCloseTo(1, 1);
        for (const { share } of supports) expect(share).toBeGreaterThanOrEqual(0);
      }
      const { lengthM, widthM } = floorSpaceOf(exercise);
      expect(lengthM).toBeLessThanOrEqual(3);
      expect(widthM).toBeLessThanOrEqual(2);
    });
  },
);
