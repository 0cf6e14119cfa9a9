import type { Pose } from '../../movement/pose.ts';
import { FOREARMS_DOWN } from './limbs.ts';

const BACK_LIFT = [0, -6, -28, -8] as const satisfies Pose['round'];

/** On the front: forehead down, upper back lifted, legs lifted. */
export const prone: Record<string, Pose> = {
  prone: {
    name: 'lying on the front, forehead down',
    lean: 90,
    rest: { pelvis: 0 },
    round: [0, 0, 0, 2],
    legs: { flex: 4, bend: 6, point: 74, turn: 6 },
    arms: { hand: 'floor', at: [0.13, -0.05], elbow: [-0.05, 0.1, 1] },
  },
  'prone-hands-sides': {
    shape: 'prone',
    name: 'lying on the front, hands beside the shoulders',
    arms: { hand: 'floor', at: [0.07, 0.08], elbow: [-0.5, -1, 0.3] },
  },
  'prone-arms-by': {
    shape: 'prone',
    name: 'lying on the front, arms by the sides',
    arms: { flex: 6, out: 10 },
  },
  'prone-diamond': {
    shape: 'prone',
    name: 'lying on the front, hands in a diamond under the forehead',
    arms: { hand: 'floor', at: [0.16, -0.085], elbow: [-0.05, 0.1, 1] },
  },
  'prone-arms-long': {
    shape: 'prone',
    name: 'lying on the front, arms long ahead',
    arms: { flex: 172, out: 14 },
  },
  'prone-lift-low': {
    shape: 'prone',
    name: 'lying on the front, forehead hovering',
    round: [0, -2, -14, 4],
    arms: { hand: 'floor', at: [0.08, 0.08], elbow: [-0.6, -1, 0.4] },
  },
  'prone-lift': {
    shape: 'prone',
    name: 'lying on the front, upper back lifted',
    round: BACK_LIFT,
    arms: { hand: 'ear' },
  },
  'prone-lift-diamond': {
    shape: 'prone',
    name: 'lying on the front, upper back lifted, hands in a diamond',
    round: BACK_LIFT,
    arms: { hand: 'forehead', at: [0.04, 0], elbow: [0.1, 0.2, 1] },
  },
  'prone-lift-reach': {
    shape: 'prone',
    name: 'lying on the front, upper back lifted, arms long',
    round: BACK_LIFT,
    arms: { flex: 168, out: 14 },
  },
  'prone-lift-arms-back': {
    shape: 'prone',
    name: 'lying on the front, upper back lifted, arms back',
    round: BACK_LIFT,
    arms: { flex: -30, out: 14 },
  },
  'prone-lift-t': {
    shape: 'prone',
    name: 'lying on the front, upper back lifted, arms wide',
    round: BACK_LIFT,
    arms: { flex: 0, out: 84 },
  },
  'prone-forearms': {
    shape: 'prone',
    name: 'lying on the front, propped on the forearms',
    lean: 84,
    legs: { flex: -2, bend: 6, point: 74, turn: 6 },
    round: [-12, -20, -16, -4],
    arms: { ...FOREARMS_DOWN, flex: 44 },
  },
  'prone-press': {
    shape: 'prone',
    name: 'lying on the front, pressed up on the hands',
    lean: 78,
    legs: { flex: -8, bend: 6, point: 74, turn: 6 },
    round: [-20, -24, -16, -6],
    arms: { hand: 'floor', at: [0.06, 0.02], elbow: [-0.6, -0.4, 0.4] },
  },
  'prone-press-high': {
    shape: 'prone',
    name: 'lying on the front, arms straight, chest high',
    lean: 72,
    legs: { flex: -14, bend: 6, point: 74, turn: 6 },
    round: [-24, -26, -20, -8],
    arms: { hand: 'floor', at: [0.0, 0.02] },
  },
  'swan-dive': {
    shape: 'prone',
    name: 'rocking on the front, arms long ahead, legs lifted',
    lean: 90,
    round: [-16, -18, -20, -8],
    arms: { flex: 172, out: 12 },
    legs: { flex: -22, point: 50 },
  },
  swimming: {
    shape: 'prone',
    name: 'lying on the front, opposite arm and leg lifted',
    round: [-4, -10, -16, -4],
    rightArm: { flex: 164, out: 12 },
    leftArm: { flex: 182, out: 12 },
    rightLeg: { flex: -6, point: 50 },
    leftLeg: { flex: -20, point: 50 },
  },
  'prone-leg-lift': {
    shape: 'prone',
    name: 'lying on the front, one leg lifted',
    rightLeg: { flex: -16, point: 50 },
  },
  'prone-leg-bent': {
    shape: 'prone',
    name: 'lying on the front, one knee bent, thigh lifted',
    rightLeg: { flex: -12, bend: 88, point: 20 },
  },
  'prone-kick': {
    shape: 'prone-forearms',
    name: 'on the forearms, one heel towards the seat',
    rightLeg: { flex: -5, bend: 108, point: 25 },
  },
  'prone-kick-both': {
    shape: 'prone',
    name: 'lying on the front, hands clasped on the back, heels to the seat',
    arms: { hand: 'low back', elbow: [-0.4, 0, 1] },
    legs: { flex: 0, bend: 112, point: 30 },
    turn: [0, 0, 0, 40],
  },
  'prone-bow': {
    shape: 'prone',
    name: 'lying on the front, holding the feet, chest and thighs lifted',
    lean: 90,
    round: [-20, -22, -22, -8],
    legs: { flex: -28, bend: 112, point: 40, out: 6 },
    arms: { hand: 'ankle', elbow: [0, -0.3, 1] },
  },
};
