import { describe, expect, it } from 'vitest';
import type { KeyPose } from '../../movement/pose.ts';
import { bodiesOf } from '../option-body.ts';
import { movingOf } from './moving.ts';

const moving = (...poses: KeyPose[]) => movingOf(bodiesOf({ poses }));
const legs = (right: number, left: number): KeyPose => ({
  shape: 'supine-90',
  rightLeg: { flex: right, bend: 90 },
  leftLeg: { flex: left, bend: 90 },
});

describe('movingOf', () => {
  it('is nothing where one picture is shown, or two that are the same', () => {
    expect(moving('plank')).toEqual({ limbs: 0, backDeg: 0, pelvisDeg: 0 });
    expect(moving('plank', 'plank').limbs).toBe(0);
  });

  it('counts a pair that does the same once, and legs that part twice', () => {
    expect(moving(legs(90, 90), legs(60, 60)).limbs).toBe(1);
    expect(moving(legs(90, 90), legs(60, 90)).limbs).toBe(1);
    expect(moving(legs(90, 90), legs(60, 115)).limbs).toBe(2);
  });

  it('does not count limbs that a trunk carries along', () => {
    const turned: KeyPose = { shape: 'standing', lean: 50, legs: { flex: 50 } };
    expect(moving({ shape: 'standing', arms: { flex: 0 } }, turned).pelvisDeg).toBeCloseTo(50, 3);
    expect(moving('supine-90', { shape: 'supine-90', along: 0.3 }).limbs).toBe(0);
  });

  it('adds up what the joints of the back do', () => {
    const bent: KeyPose = { shape: 'sit-cross', round: [5, 10, 15, 30], turn: [0, 4, 6, 0] };
    expect(moving('sit-cross', bent).backDeg).toBeCloseTo(40, 6);
  });
});
