import { describe, expect, it } from 'vitest';
import type { KeyPose } from '../../movement/pose.ts';
import { bodiesOf } from '../option-body.ts';
import { frameOf, smallArrow } from './close-up.ts';
import { drawBody, joinFrames } from './draw.ts';

const seen = (...poses: KeyPose[]) => {
  const bodies = bodiesOf({ poses });
  const frames = bodies.map((body) => drawBody(body, 'side').frame);
  return {
    whole: joinFrames(frames),
    shown: frameOf(bodies, frames, 'side'),
    arrow: smallArrow(bodies, 'side'),
  };
};

describe('a small movement', () => {
  it('is shown closer, inside the whole picture, with an arrow longer than its way', () => {
    const { whole, shown, arrow } = seen('supine-bent', 'supine-tilt');
    expect(shown.width).toBeLessThan(whole.width * 0.7);
    expect(shown.x).toBeGreaterThanOrEqual(whole.x);
    expect(shown.x + shown.width).toBeLessThanOrEqual(whole.x + whole.width + 1e-6);
    const [from, to] = arrow ?? [];
    expect(Math.hypot((to?.x ?? 0) - (from?.x ?? 0), (to?.y ?? 0) - (from?.y ?? 0))).toBeCloseTo(
      0.1,
      6,
    );
  });

  it.each<[string, KeyPose[]]>([
    ['a large one', ['supine-bent', 'bridge']],
    ['a body that is held still', ['plank', 'plank']],
    ['one picture', ['plank']],
  ])('is not what %s is', (_what, poses) => {
    const { whole, shown, arrow } = seen(...poses);
    expect(shown).toEqual(whole);
    expect(arrow).toBeUndefined();
  });
});
