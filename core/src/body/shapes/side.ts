import type { Pose } from '../../movement/pose.ts';

const UNDER_HEAD = { flex: 168, out: 0, bend: 0 } as const satisfies Pose['arms'];
const IN_FRONT = {
  hand: 'floor',
  at: [0.06, 0.12],
  elbow: [0.3, -0.4, 0.8],
} as const satisfies Pose['arms'];
const BENT = { flex: 48, bend: 88, point: 15 } as const satisfies Pose['legs'];

/** On the side, facing the viewer, and held up on one arm. */
export const side: Record<string, Pose> = {
  'side-lying-long': {
    name: 'lying on the side, legs long',
    lean: -90,
    roll: 90,
    rest: { pelvis: 0, shoulders: 0 },
    side: [0, 0, 0, 4],
    rightArm: UNDER_HEAD,
    leftArm: IN_FRONT,
    legs: { flex: 8, point: 25 },
    leftLeg: { flex: 8, out: -2, point: 25 },
  },
  'side-lying-bent': {
    shape: 'side-lying-long',
    name: 'lying on the side, bottom knee bent, top leg long',
    rightLeg: { flex: 40, bend: 90, point: 15 },
    leftLeg: { flex: 0, out: 2, point: 15 },
  },
  'side-leg-up': {
    shape: 'side-lying-long',
    name: 'lying on the side, top leg lifted',
    leftLeg: { flex: 4, out: 36, point: 25 },
  },
  'side-leg-up-bent': {
    shape: 'side-lying-bent',
    name: 'lying on the side, top leg lifted, bottom knee bent',
    leftLeg: { flex: 2, out: 34, point: 15 },
  },
  'side-leg-forward': {
    shape: 'side-lying-bent',
    name: 'lying on the side, top leg reaching forward',
    leftLeg: { flex: 62, out: 6, point: 5 },
  },
  'side-leg-back': {
    shape: 'side-lying-bent',
    name: 'lying on the side, top leg reaching back',
    leftLeg: { flex: -16, out: 8, point: 30 },
  },
  'side-both-up': {
    shape: 'side-lying-long',
    name: 'lying on the side, both legs lifted',
    rightLeg: { flex: 8, out: -18, point: 25 },
    leftLeg: { flex: 8, out: 18, point: 25 },
  },
  'clam-closed': {
    shape: 'side-lying-long',
    name: 'lying on the side, knees bent and together',
    legs: BENT,
  },
  'clam-open': {
    shape: 'clam-closed',
    name: 'lying on the side, knees bent, top knee opened',
    leftLeg: { foot: 'other foot', knee: [0.72, 0, 0.7], point: 10 },
  },
  'clam-lifted': {
    shape: 'clam-closed',
    name: 'lying on the side, feet lifted, top knee opened',
    rightLeg: { flex: 44, turn: 26, bend: 88, point: 15 },
    leftLeg: { flex: 42, out: 42, turn: 50, bend: 92, point: 15 },
  },
  'arm-closed': {
    shape: 'clam-closed',
    name: 'lying on the side, arms together ahead',
    legs: { flex: 76, bend: 88, point: 15 },
    rightLeg: { flex: 76, out: -4, turn: 4, bend: 88, point: 15 },
    rightArm: { flex: 88, out: -4 },
    leftArm: { flex: 90, out: -10 },
  },
  'arm-open': {
    shape: 'arm-closed',
    name: 'lying on the side, top arm opening to the ceiling',
    turn: [0, -10, -18, -16],
    leftArm: { flex: 88, out: 62 },
  },
  'arm-open-short': {
    shape: 'arm-closed',
    name: 'lying on the side, hand on the shoulder, elbow opening',
    turn: [0, -10, -18, -14],
    leftArm: { hand: 'shoulder', elbow: [0.2, 0, 1] },
  },
  'side-plank-knees': {
    name: 'on one forearm and the knees, hips lifted',
    lean: -58,
    roll: 90,
    rest: { knees: 0, elbows: 0 },
    along: 0.35,
    legs: { flex: 6, bend: 86, point: 20 },
    rightLeg: { flex: 6, turn: 9, bend: 86, point: 20 },
    rightArm: { flex: 0, out: 80, turn: 0, hand: 'forearm', at: [0.2, 1] },
    leftArm: { flex: 0, out: 4 },
  },
  'side-plank': {
    name: 'on one forearm and the feet, hips lifted',
    lean: -74,
    roll: 90,
    rest: { feet: 0, elbows: 0 },
    along: 0.45,
    legs: { flex: 2, point: 5 },
    rightArm: { flex: 0, out: 84, hand: 'forearm', at: [0.2, 1] },
    leftArm: { flex: 0, out: 4 },
  },
  'side-plank-arm': {
    shape: 'side-plank',
    name: 'on one hand and the feet, other arm up',
    lean: -64,
    rest: { feet: 0, hands: 0 },
    rightArm: { flex: 0, out: 74, wrist: 0 },
    leftArm: { flex: 0, out: 96 },
  },
  'side-support-sit': {
    shape: 'side-sit',
    name: 'sitting to one side, one hand down, feet stacked',
    face: 0,
    lean: -48,
    roll: 90,
    rest: { pelvis: 0 },
    rightArm: { hand: 'floor', at: [-0.06, 0.02] },
    leftArm: { flex: 0, out: 4 },
    rightLeg: { foot: 'lying', at: [0.3, -0.02], knee: [1, 0, 0], point: 20 },
    leftLeg: { foot: 'lying', at: [0.34, -0.02], knee: [1, 0, 0.2], point: 20 },
    side: [0, 0, 0, 0],
  },
};
