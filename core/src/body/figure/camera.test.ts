import { describe, expect, it } from 'vitest';
import { VIEWS } from '../../movement/pose.ts';
import { about, add, cross, dot, FRONT, length, rotate, UP, type Vec3 } from '../space.ts';
import { ballSpot, cameraFor, depthOf, project, rimOf, spotOf } from './camera.ts';

const AROUND = Array.from({ length: 24 }, (_, step) => (step * Math.PI) / 12);

describe.each(VIEWS)('seen from %s', (view) => {
  const camera = cameraFor(view);

  it('has axes at right angles, of length one, that look at the viewer', () => {
    for (const side of [camera.right, camera.up, camera.toViewer]) {
      expect(length(side)).toBeCloseTo(1, 9);
    }
    const viewer = cross(camera.right, camera.up);
    viewer.forEach((value, axis) => expect(value).toBeCloseTo(camera.toViewer[axis] ?? NaN, 9));
  });

  it('never looks from under the floor', () => {
    expect(camera.toViewer[1]).toBeGreaterThanOrEqual(0);
    expect(camera.up[1]).toBeGreaterThan(0);
  });

  it('draws a ball round, wherever it lies', () => {
    const ball = ballSpot(camera, [0.2, 0.5, -0.1], 0.07);
    const solid = spotOf(camera, {
      centre: [0.2, 0.5, -0.1],
      turn: about(UP, 37),
      half: [0.07, 0.07, 0.07],
    });
    for (const key of ['x', 'y', 'xx', 'xy', 'yy'] as const) {
      expect(solid[key]).toBeCloseTo(ball[key], 9);
    }
  });

  it('draws an ellipsoid as large as the farthest of its surface', () => {
    const turn = about([0.6, 0.8, 0], 53);
    const half: Vec3 = [0.05, 0.09, 0.03];
    const spot = spotOf(camera, { centre: [0, 0, 0], turn, half });
    for (const angle of AROUND) {
      const way = { x: Math.cos(angle), y: Math.sin(angle) };
      let farthest = -Infinity;
      for (let a = 0; a < 180; a += 1) {
        for (let b = 0; b < 90; b += 1) {
          const [p, q] = [(a * Math.PI) / 90, (b * Math.PI) / 90];
          const place = rotate(turn, [
            half[0] * Math.cos(p) * Math.sin(q),
            half[1] * Math.sin(p) * Math.sin(q),
            half[2] * Math.cos(q),
          ]);
          const { x, y } = project(camera, place);
          farthest = Math.max(farthest, x * way.x + y * way.y);
        }
      }
      const rim = rimOf(spot, way);
      expect(rim.x * way.x + rim.y * way.y).toBeCloseTo(farthest, 3);
    }
  });
});

describe('depth', () => {
  it('grows towards the viewer, who stands at the right side in a side view', () => {
    const camera = cameraFor('side');
    const near = depthOf(camera, add([0, 0, 0], [0, 0, 0.3]));
    expect(near).toBeGreaterThan(depthOf(camera, [0, 0, -0.3]));
    expect(dot(camera.right, FRONT)).toBeCloseTo(1, 9);
  });
});
