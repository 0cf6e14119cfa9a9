import { describe, expect, it } from 'vitest';
import type { KeyPose } from '../../movement/pose.ts';
import { mirrorPose } from '../full-pose.ts';
import { fullPose, SHAPE_FAMILIES } from '../shapes/index.ts';
import { layOutBody } from '../skeleton.ts';
import { weigh } from '../statics.ts';
import { measureBody } from './measure-body.ts';

const measured = (pose: KeyPose) => {
  const body = layOutBody(fullPose(pose));
  return measureBody(body, weigh(body));
};
const whole = (pose: KeyPose) => measured(pose).whole;
const right = (pose: KeyPose) => measured(pose).sides.right;
const shapes = Object.values(SHAPE_FAMILIES).flatMap((family) => Object.keys(family));

/*
 * By hand, for a woman, in thousandths of weight times stature, with the segment table's masses and centres
 * (see statics.test.ts): a straight leg level 36.7, a leg at 90/90 8.7.
 */
const LEVEL = 36.7;
const AT_90_90 = 8.7;

describe('pull of free legs at the pelvis', () => {
  const legs = (flex: number, bend = 0): KeyPose => ({
    shape: 'supine-long',
    legs: { flex, bend, point: 0 },
  });

  it.each([
    [90, 0],
    [45, 2 * LEVEL * Math.SQRT1_2],
    [15, 2 * LEVEL * Math.cos((15 * Math.PI) / 180)],
  ])('both straight at %i°: %d ‰', (flex, byHand) => {
    // Within what the foot, square on its shank, adds or takes.
    expect(Math.abs((whole(legs(flex)).legs ?? NaN) - byHand)).toBeLessThan(2);
  });

  it('both at 90/90: twice one', () => {
    expect(whole('supine-90').legs).toBeCloseTo(2 * AT_90_90, 0);
  });

  it('one at 90/90 counts four tenths while the other foot is down', () => {
    expect(whole('supine-one-90').legs).toBeCloseTo(0.4 * AT_90_90, 0);
  });

  it('is nothing where legs lie, or are held by the hands', () => {
    for (const shape of ['supine-long', 'supine-bent', 'prone', 'sit-long', 'knees-to-chest']) {
      expect(whole(shape).legs, shape).toBe(0);
    }
  });
});

describe('work of the belly', () => {
  /*
   * A plank as a level beam on toes and hands, by hand: over the low back, 0.541 of stature from the ankle,
   * stand belly 0.1465 at 0.655, chest 0.1545 at 0.770, head 0.0668 at 0.904, arms 0.0898 at 0.774: together
   * 97 ‰ about it; the hands, 0.794 from the ankle, push 0.66 of the weight: 167 ‰ the other way.
   */
  it('of a plank on the toes is what its beam asks', () => {
    expect(Math.abs((whole('plank').belly ?? NaN) - 70)).toBeLessThan(10);
  });

  it('is less from the knees, and nothing while the trunk lies', () => {
    const [toes, knees] = [whole('plank').belly ?? NaN, whole('plank-knees').belly ?? NaN];
    expect(knees).toBeLessThan(0.75 * toes);
    expect(knees).toBeGreaterThan(0.4 * toes);
    for (const shape of ['supine-bent', 'prone', 'child', 'side-lying-long']) {
      expect(whole(shape).belly, shape).toBeLessThan(2);
    }
  });

  it('is nothing in a bridge or a plank that looks up: there the back holds', () => {
    expect(whole('bridge').belly).toBeLessThan(1);
    expect(whole('back-support').belly).toBeLessThan(1);
  });

  it('is the lifted chest’s, less with a heavy head in the hands and a low curl', () => {
    expect(whole('chest-lift-reach').belly).toBe(20);
    expect(whole('chest-lift-low').belly).toBe(10);
  });
});

describe('weight on the hands', () => {
  it('bends the wrists back on the palms and not on the forearms', () => {
    expect(whole('all-fours').wrist).toBeGreaterThan(0.3);
    expect(whole('plank').wrist).toBeGreaterThan(0.6);
    expect(whole('plank-forearms').wrist).toBe(0);
    expect(right('plank-forearms').elbows).toBeGreaterThan(0.2);
  });

  it('is 0 where no hand bears', () => {
    for (const shape of ['standing', 'kneeling', 'bridge', 'v-sit', 'chest-lift']) {
      expect(whole(shape).wrist, shape).toBeLessThan(0.01);
    }
  });

  it('goes through the shoulders of who props, not of who lies on the side', () => {
    expect(right('plank').shoulderLoad).toBeGreaterThan(0.25);
    const lying = measured('side-lying-long').sides;
    expect(Math.max(lying.right.shoulderLoad ?? 1, lying.left.shoulderLoad ?? 1)).toBe(0);
  });
});

describe('weight on the knees', () => {
  it('is on the kneecaps in kneeling and all fours', () => {
    expect(right('kneeling').kneecaps).toBeGreaterThan(0.3);
    expect(right('all-fours').kneecaps).toBeGreaterThan(0.2);
  });

  it('is not where the side of a knee lies on the mat, nor in standing', () => {
    for (const shape of ['side-lying-bent', 'clam-open', 'standing', 'supine-bent']) {
      const { sides } = measured(shape);
      expect(Math.max(sides.right.kneecaps ?? 1, sides.left.kneecaps ?? 1), shape).toBe(0);
    }
  });
});

describe('weight through the low back', () => {
  it('is the upper body’s in sitting: half the body less arms on the floor', () => {
    // belly 0.1465, chest 0.1545, head 0.0668, arms 2 × 0.0449: 0.458
    expect(Math.abs((whole('sit-bent-hold').axial ?? NaN) - 0.458)).toBeLessThan(0.05);
    expect(Math.abs((whole('standing').axial ?? NaN) - 0.458)).toBeLessThan(0.01);
  });

  it('is next to nothing lying and on all fours', () => {
    for (const shape of [
      'supine-bent',
      'prone',
      'all-fours',
      'all-fours-round',
      'side-lying-long',
    ]) {
      expect(whole(shape).axial, shape).toBeLessThan(0.1);
    }
  });
});

describe('bends under load', () => {
  it('count sitting and rolled up, not lying, on all fours or in a bridge', () => {
    expect(whole('sit-long-reach').loadedRound).toBeGreaterThan(6);
    expect(whole('standing-round').loadedRound).toBeGreaterThan(6);
    for (const shape of ['supine-tilt', 'all-fours-round', 'bridge', 'child', 'chest-lift']) {
      expect(whole(shape).loadedRound, shape).toBe(0);
    }
  });

  it('a turn is loaded sitting and with the chest lifted, not lying', () => {
    expect(whole('sit-long-t').loadedTurn).toBeGreaterThan(10);
    expect(whole('chest-lift-turn').loadedTurn).toBeGreaterThan(0);
    expect(whole('supine-knees-over').loadedTurn).toBe(0);
  });
});

describe('heights', () => {
  it('a body that lies flat is level', () => {
    expect(whole('supine-long').headLow).toBeLessThan(1);
    expect(whole('supine-long').hipsHigh).toBe(0);
  });

  it('hips stand high rolled over and hardly in a bridge; a head hangs low in a fold', () => {
    expect(whole('legs-overhead').hipsHigh).toBeGreaterThan(18);
    expect(whole('bridge').hipsHigh).toBeLessThan(15);
    expect(whole('standing-down').headLow).toBeGreaterThan(20);
  });
});

describe('angles', () => {
  it('are those the pose was given', () => {
    expect(right('supine-90').hipBend).toBeCloseTo(90, 4);
    expect(right('supine-90').kneeBend).toBeCloseTo(90, 4);
    const turned = right({
      shape: 'supine-long',
      rightLeg: { flex: 40, out: -15, turn: -20, bend: 30 },
    });
    expect(turned.hipAcross).toBeCloseTo(15, 4);
    expect(turned.hipTurnIn).toBeCloseTo(20, 4);
    expect(turned.hipTurnOut).toBe(0);
  });

  it('a thigh bent to the chest rounds the low back by 0.3 of what is past 110°', () => {
    const flat = (flex: number) =>
      whole({ shape: 'supine-long', round: [0, 0, 0, 0], legs: { flex, bend: 130 } })['round low'];
    expect(flat(105)).toBe(0);
    expect(flat(130)).toBeCloseTo(6, 4);
  });

  it('an arm that rests on the floor is not lifted', () => {
    expect(right('supine-arms-up').armHigh).toBeGreaterThan(80);
    expect(right('supine-t').armHigh).toBe(0);
  });
});

describe.each(shapes)('%s', (shape) => {
  it('is measured the same on its other side, with right for left', () => {
    const body = layOutBody(fullPose(shape));
    const other = layOutBody(mirrorPose(fullPose(shape)));
    const [one, two] = [measureBody(body, weigh(body)), measureBody(other, weigh(other))];
    for (const [name, value] of Object.entries(one.whole)) {
      expect(two.whole[name as keyof typeof two.whole] ?? NaN, name).toBeCloseTo(value, 1);
    }
    for (const [name, value] of Object.entries(one.sides.right)) {
      expect(two.sides.left[name as keyof typeof two.sides.left] ?? NaN, name).toBeCloseTo(
        value,
        1,
      );
    }
  });
});
