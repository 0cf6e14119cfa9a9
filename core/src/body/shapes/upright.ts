import type { Pose } from '../../movement/pose.ts';
import { FORWARD, ON_HIPS } from './limbs.ts';

const KNEEL = { flex: 0, bend: 90, point: 72 } as const satisfies Pose['legs'];

/** Kneeling and standing. */
export const upright: Record<string, Pose> = {
  kneeling: {
    name: 'kneeling tall',
    rest: { knees: 0 },
    legs: KNEEL,
    arms: { flex: 0, out: 6 },
  },
  'kneeling-arms': { shape: 'kneeling', name: 'kneeling tall, arms forward', arms: FORWARD },
  'kneeling-hinge-back': {
    shape: 'kneeling',
    name: 'kneeling, leaning back in one line',
    lean: -24,
    legs: { flex: 0, bend: 114, point: 72 },
    arms: { flex: 100 },
  },
  'kneeling-sit-back': {
    shape: 'kneeling',
    name: 'kneeling, hips folding back towards the heels',
    lean: 34,
    legs: { flex: 76, bend: 132, point: 72 },
    arms: { flex: 120 },
  },
  'half-kneeling': {
    shape: 'kneeling',
    name: 'kneeling on one knee, the other foot ahead',
    rightLeg: { flex: -8, bend: 82, point: 70 },
    leftLeg: { foot: 'floor', at: [0.28, 0] },
    arms: { hand: 'other thigh' },
    rightArm: { hand: 'hip' },
    leftArm: { hand: 'thigh' },
  },
  'half-kneeling-lunge': {
    shape: 'half-kneeling',
    name: 'kneeling on one knee, hips carried forward',
    lean: 4,
    rightLeg: { flex: -20, bend: 66, point: 68 },
    leftLeg: { foot: 'floor', at: [0.24, 0] },
    leftArm: { hand: 'thigh' },
    rightArm: { hand: 'hip' },
  },
  'kneeling-side': {
    name: 'on one hand and one knee, the other leg long to the side',
    lean: -56,
    roll: 90,
    rest: { knees: 0 },
    side: [6, 6, 6, -10],
    rightLeg: { flex: 0, out: 54, bend: 90, point: 70 },
    leftLeg: { flex: 2, out: 34, point: 30 },
    rightArm: { hand: 'floor', at: [-0.02, 0.02] },
    leftArm: { hand: 'hip' },
  },
  standing: {
    name: 'standing tall',
    rest: { feet: 0 },
    legs: {},
    arms: { flex: 0, out: 8, bend: 8 },
  },
  'standing-knee': {
    shape: 'standing',
    name: 'standing on one leg, one knee floated',
    rightLeg: { flex: 80, bend: 84, point: 25 },
    leftLeg: { out: -6 },
    arms: ON_HIPS,
  },
  'standing-hinge': {
    shape: 'standing',
    name: 'standing, folded forward at the hips with a long back',
    lean: 56,
    legs: { flex: 72, bend: 6, point: 10 },
    arms: ON_HIPS,
  },
  'standing-round': {
    shape: 'standing',
    name: 'standing, rolled half way down',
    lean: 24,
    round: [34, 30, 26, 26],
    legs: { flex: 32, bend: 2, point: 6 },
    arms: { flex: 68 },
  },
  'standing-down': {
    shape: 'standing',
    name: 'standing, rolled down, head hanging',
    lean: 72,
    round: [36, 34, 24, 16],
    legs: { flex: 80, bend: 4, point: 4 },
    arms: { flex: 140 },
  },
};
