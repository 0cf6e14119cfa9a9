import { describe, expect, it } from 'vitest';
import type { Option } from '../../movement/exercise.ts';
import type { KeyPose } from '../../movement/pose.ts';
import { optionLoadOf, effortOf, type LoadPart } from './option-load.ts';

const option = (poses: KeyPose[], change: Partial<Option> = {}): Option => ({
  number: 1,
  name: 'a way',
  change: 'x',
  levers: ['range'],
  demands: [],
  feel: 'x',
  stepBack: 'x',
  props: [],
  poses,
  ...change,
});
const score = (...poses: KeyPose[]) => optionLoadOf(option(poses)).score;
const part = (name: LoadPart['name'], ...poses: KeyPose[]) =>
  optionLoadOf(option(poses)).parts.find((each) => each.name === name)?.points ?? 0;

/** Steps that common practice calls harder, each with one lever turned. */
const HARDER: [why: string, easier: KeyPose[], harder: KeyPose[]][] = [
  ['legs straight are longer than bent', ['supine-90'], ['supine-legs-up', 'straps-feet-down']],
  [
    'legs low are longer than high',
    [{ shape: 'supine-long', legs: { flex: 70 } }],
    [{ shape: 'supine-long', legs: { flex: 30 } }],
  ],
  [
    'two legs weigh more than one',
    ['supine-one-out'],
    [{ shape: 'supine-90', legs: { flex: 38 } }],
  ],
  ['toes are longer than knees', ['plank-knees'], ['plank']],
  ['a lifted leg leaves less to stand on', ['plank'], ['plank-leg-up']],
  ['long arms weigh more than short ones', ['prone-lift-arms-back'], ['prone-lift-reach']],
  ['one leg carries more than two', ['bridge'], ['bridge-one-long']],
  ['a straight arm is higher than a forearm', ['side-plank-knees'], ['side-plank']],
  ['lifting asks more than lying', ['prone'], ['swan-dive']],
];

it.each(HARDER)('%s', (_why, easier, harder) => {
  expect(score(...harder)).toBeGreaterThan(score(...easier));
});

describe('optionLoadOf', () => {
  it.each(['supine-bent', 'supine-long', 'child', 'sit-cross', 'knees-to-chest'])(
    'asks next to nothing of %s',
    (shape) => expect(score(shape)).toBeLessThanOrEqual(10),
  );

  it('stays between 0 and 100, and its parts add up to it', () => {
    for (const shapes of [['plank', 'pike'], ['v-sit'], ['supine-bent'], ['carriage-plank']]) {
      const { score: total, parts } = optionLoadOf(option(shapes));
      expect(total).toBeGreaterThanOrEqual(0);
      expect(total).toBeLessThanOrEqual(100);
      const sum = parts.reduce((all, { points }) => all + points, 0);
      expect(Math.abs(Math.min(100, sum) - total)).toBeLessThanOrEqual(1);
    }
  });

  it('gives each part its reason', () => {
    for (const each of optionLoadOf(option(['plank', 'plank-leg-up'])).parts) {
      expect(each.because.length).toBeGreaterThan(8);
      expect(each.points).toBeGreaterThan(0);
    }
  });

  it('counts the weight on the hands', () => {
    expect(part('arms that bear', 'plank')).toBeGreaterThan(part('arms that bear', 'all-fours'));
    expect(part('arms that bear', 'supine-bent')).toBe(0);
  });

  it('counts what moves, not where it is', () => {
    expect(part('moving limbs', 'supine-90')).toBe(0);
    expect(part('moving limbs', 'supine-90', 'supine-90-out')).toBeGreaterThan(0);
  });

  it('lets hands carry a leg that they hold', () => {
    const free: KeyPose = { shape: 'supine-bent', rightLeg: { flex: 60 } };
    const held: KeyPose = { ...free, rightArm: { hand: 'back of thigh' } };
    expect(part('front of the trunk', held)).toBeLessThan(part('front of the trunk', free));
  });

  it('lets a support take part of the trunk', () => {
    const props: Option['props'] = [
      { prop: 'cushion', place: 'under low back', role: 'support', count: 1, optional: false },
    ];
    const leaning: KeyPose[] = ['sit-lean'];
    expect(optionLoadOf(option(leaning, { props })).score).toBeLessThan(score(...leaning));
  });

  it('knows a curl that carries its own head', () => {
    expect(part('neck', 'chest-lift-reach')).toBeGreaterThan(part('neck', 'chest-lift'));
  });
});

describe('springs', () => {
  it('load a press and carry a support', () => {
    const asks = (pose: KeyPose, moreSpring: 'harder' | 'easier', heavy: number) =>
      optionLoadOf(option([pose], { settings: { moreSpring, springs: { heavy } } })).score;
    expect(asks('carriage-home', 'harder', 2)).toBeGreaterThan(asks('carriage-home', 'harder', 1));
    expect(asks('carriage-plank', 'easier', 2)).toBeLessThan(asks('carriage-plank', 'easier', 1));
  });
});

describe('the machine', () => {
  const at = (out: number): KeyPose => ({ shape: 'straps-feet-up', machine: { out } });
  const carriage = (poses: KeyPose[]) =>
    optionLoadOf(option(poses)).parts.find(({ name }) => name === 'carriage')?.points ?? 0;

  it('counts a carriage that goes, and one that stays not', () => {
    expect(carriage([at(0.2), at(0.2)])).toBe(0);
    expect(carriage([at(0.2), at(0.3)])).toBeGreaterThan(2);
  });

  it('counts the carriage less where much else is asked', () => {
    const plank = (out: number): KeyPose => ({ shape: 'carriage-plank', machine: { out } });
    expect(carriage([plank(0.1), plank(0.2)])).toBeLessThan(carriage([at(0.2), at(0.3)]));
  });

  it('asks less balance of somebody who holds the bar', () => {
    const onCarriage = { demands: ['moving-platform' as const] };
    const balance = (hand: 'bar' | 'hip') =>
      optionLoadOf(option([{ shape: 'carriage-plank', arms: { hand } }], onCarriage)).parts.find(
        ({ name }) => name === 'balance',
      )?.points ?? 0;
    expect(balance('bar')).toBeLessThan(7);
    expect(balance('hip')).toBeGreaterThanOrEqual(7);
  });
});

it('counts hips over standing feet half of a trunk upside down at the same height', () => {
  const points = (pose: KeyPose) => part('upside down', pose);
  expect(points('pike')).toBeGreaterThan(0);
  expect(points('pike')).toBeLessThan(points('legs-overhead'));
});

describe('effort', () => {
  const work = { family: 'trunk' } as const;

  it('goes from 0 to 5', () => {
    expect(effortOf(work, option(['supine-bent']))).toBe(0);
    expect(effortOf(work, option(['plank']))).toBeGreaterThanOrEqual(2.5);
    expect(effortOf(work, option(['side-plank-arm']))).toBeGreaterThanOrEqual(4);
    expect(effortOf(work, option(['plank', 'pike', 'push-up-low']))).toBe(5);
  });

  it('is little in a stretch and on the way up, whatever their shape weighs', () => {
    const heavy = option(['side-plank-arm']);
    expect(effortOf({ family: 'release' }, heavy)).toBe(1.5);
    expect(effortOf({ family: 'trunk', closing: 'way-up' }, heavy)).toBe(1);
  });
});
