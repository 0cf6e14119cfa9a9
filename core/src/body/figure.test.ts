import { describe, expect, it } from 'vitest';
import { drawFigure, type Joint } from './figure.ts';
import { smoothJoints, taper } from './outline.ts';
import { figurePaths, frameFigure } from './paths.ts';
import { LENGTH, RADIUS } from './segments.ts';
import { isShapeName, SHAPES, shapeOf, type ShapeName } from './shapes.ts';

const names = Object.keys(SHAPES) as ShapeName[];
const draw = (name: ShapeName) => drawFigure(shapeOf(name));
const allJoints = (name: ShapeName): Joint[] => {
  const figure = draw(name);
  return [...figure.limbs.flatMap(({ joints }) => joints), ...figure.trunk, figure.head];
};
const lowest = (joints: Joint[]) => Math.min(...joints.map(({ y, radius }) => y - radius));
const limb = (name: ShapeName, index: number): Joint[] => draw(name).limbs[index]?.joints ?? [];
const LEG = 2;
const ARM = 3;

/** Of a stature of 1.7 m, two centimetres. */
const TWO_CM = 0.02 / 1.7;

describe('segments', () => {
  it('make a stature: foot, shank, thigh, trunk, neck and head', () => {
    const ankle = 0.039; // height of the ankle, Winter (from memory)
    const stature =
      ankle + LENGTH.shank + LENGTH.thigh + 3 * LENGTH.spinePart + LENGTH.neck + 0.02 + RADIUS.head;
    expect(stature).toBeGreaterThan(0.92);
    expect(stature).toBeLessThan(1.02);
  });
});

describe.each(names)('%s', (name) => {
  it('has nothing more than 2 cm under the floor, and rests on it', () => {
    const joints = allJoints(name);
    expect(lowest(joints)).toBeGreaterThan(-TWO_CM);
    expect(lowest(joints)).toBeLessThan(TWO_CM);
  });

  it('keeps every segment its length', () => {
    const pose: { legLength?: number } = shapeOf(name);
    const share = pose.legLength ?? 1;
    for (const { joints } of draw(name).limbs) {
      const isLeg = joints[0]?.radius === RADIUS.hip;
      const [from, knee, end] = joints;
      if (!from || !knee || !end) throw new Error('a limb without joints');
      const upper = Math.hypot(knee.x - from.x, knee.y - from.y);
      const lower = Math.hypot(end.x - knee.x, end.y - knee.y);
      expect(upper).toBeCloseTo(isLeg ? LENGTH.thigh * share : LENGTH.upperArm, 9);
      expect(lower).toBeCloseTo(isLeg ? LENGTH.shank * share : LENGTH.forearm, 9);
    }
  });

  it('is described for those who do not see it', () => {
    expect(draw(name).name.length).toBeGreaterThan(5);
  });
});

describe('contacts', () => {
  const isDown = (joint: Joint | undefined) =>
    joint !== undefined && Math.abs(joint.y - joint.radius) < 2 * TWO_CM;

  it.each<[ShapeName, string, () => Joint | undefined]>([
    ['supine-bent', 'foot', () => limb('supine-bent', LEG)[2]],
    ['bridge', 'foot', () => limb('bridge', LEG)[2]],
    ['bridge', 'head', () => draw('bridge').head],
    ['all-fours', 'hand', () => limb('all-fours', ARM)[2]],
    ['all-fours', 'knee', () => limb('all-fours', LEG)[1]],
    ['bird-dog', 'hand', () => limb('bird-dog', ARM)[2]],
    ['plank', 'hand', () => limb('plank', ARM)[2]],
    ['plank', 'toes', () => limb('plank', LEG)[3]],
    ['plank-knees', 'knee', () => limb('plank-knees', LEG)[1]],
    ['sit-cross', 'seat', () => draw('sit-cross').trunk[0]],
    ['sit-back', 'foot', () => limb('sit-back', LEG)[2]],
    ['prone-forearms', 'elbow', () => limb('prone-forearms', ARM)[1]],
    ['child', 'knee', () => limb('child', LEG)[1]],
    ['side-plank', 'foot', () => limb('side-plank', LEG)[2]],
    ['standing', 'foot', () => limb('standing', LEG)[2]],
  ])('%s has its %s on the floor', (_name, _part, joint) => {
    expect(isDown(joint())).toBe(true);
  });

  it.each<[ShapeName, string, () => Joint | undefined]>([
    ['bear', 'knee', () => limb('bear', LEG)[1]],
    ['plank', 'knee', () => limb('plank', LEG)[1]],
    ['bridge', 'pelvis', () => draw('bridge').trunk[0]],
    ['bird-dog', 'lifted foot', () => limb('bird-dog', LEG)[2]],
    ['supine-90', 'foot', () => limb('supine-90', LEG)[2]],
    ['chest-lift', 'head', () => draw('chest-lift').head],
  ])('%s has its %s in the air', (_name, _part, joint) => {
    expect(isDown(joint())).toBe(false);
  });
});

describe('props', () => {
  const ball = { prop: 'small-ball', role: 'support', count: 1, optional: false } as const;

  it('lie where they are said to lie', () => {
    const [drawn] = drawFigure(shapeOf('bridge'), [{ ...ball, place: 'between knees' }]).props;
    const knee = limb('bridge', LEG)[1];
    expect(drawn?.centre.x).toBeCloseTo(knee?.x ?? NaN, 6);
    expect(drawn?.centre.y).toBeCloseTo(knee?.y ?? NaN, 6);
  });

  it('never sink into the floor', () => {
    for (const place of ['under pelvis', 'under head', 'between shoulder blades'] as const) {
      const [drawn] = drawFigure(shapeOf('supine-bent'), [{ ...ball, place }]).props;
      expect((drawn?.centre.y ?? 0) - (drawn?.height ?? 0) / 2).toBeGreaterThan(-0.03);
    }
  });

  it('stack', () => {
    const cushions = { ...ball, prop: 'cushion', place: 'under shoulder blades' } as const;
    const heightOf = (count: number) =>
      drawFigure(shapeOf('recline'), [{ ...cushions, count }]).props[0]?.height ?? 0;
    expect(heightOf(2)).toBeCloseTo(2 * heightOf(1), 9);
  });
});

describe('figurePaths', () => {
  const numbers = (d: string) => [...d.matchAll(/-?\d+(\.\d+)?/g)].map(([text]) => Number(text));

  it('draws far, trunk and near, back to front, with finite numbers', () => {
    for (const name of names) {
      const paths = figurePaths(draw(name));
      expect(paths.map(({ part }) => part)).toEqual(['far', 'trunk', 'near']);
      for (const { d } of paths) {
        expect(d).toMatch(/^M/);
        expect(d).not.toMatch(/NaN|Infinity|undefined/);
        expect(numbers(d).every((value) => Math.abs(value) < 300)).toBe(true);
      }
    }
  });

  it('draws each half circle with a chord of exactly two radii', () => {
    const { d } = figurePaths(draw('bridge'))[1] ?? { d: '' };
    for (const [, radius, across] of d.matchAll(/a(\S+) \S+ 0 1 0 (\d\S*) 0a/g)) {
      expect(Number(across)).toBeCloseTo(2 * Number(radius), 9);
    }
  });

  it('frames the whole figure in the proportion asked for', () => {
    for (const name of names) {
      const figure = draw(name);
      for (const proportion of [0.8, 1.7, 3]) {
        const box = frameFigure(figure, proportion);
        expect(box.width / box.height).toBeCloseTo(proportion, 6);
        expect(box.x).toBeLessThanOrEqual(figure.box.minX * 100);
        expect(box.x + box.width).toBeGreaterThanOrEqual(figure.box.maxX * 100);
        expect(-box.y).toBeGreaterThanOrEqual(figure.box.maxY * 100);
      }
    }
  });
});

describe('outline', () => {
  const joint = (x: number, y: number, radius: number): Joint => ({ x, y, radius });

  it('passes through every joint', () => {
    const joints = [joint(0, 0, 1), joint(1, 2, 2), joint(3, 2, 1)];
    const smooth = smoothJoints(joints, 4);
    expect([smooth[0], smooth[4], smooth[8]]).toEqual(joints);
  });

  it('touches both circles of a tapering part at right angles to the radius', () => {
    const from = joint(0, 0, 2);
    const to = joint(10, 0, 1);
    const [a, b] = taper(from, to);
    const radius = { x: a.x - from.x, y: a.y - from.y };
    const edge = { x: b.x - a.x, y: b.y - a.y };
    expect(Math.hypot(radius.x, radius.y)).toBeCloseTo(2, 9);
    expect(radius.x * edge.x + radius.y * edge.y).toBeCloseTo(0, 9);
  });

  it('knows its shapes by name', () => {
    expect(isShapeName('bridge')).toBe(true);
    expect(isShapeName('toString')).toBe(false);
    expect(() => shapeOf('handstand')).toThrow('"handstand"');
  });
});
