import type { Pose } from '../../movement/pose.ts';
import { BY_SIDE, FORWARD, TABLE, TO_CEILING } from './limbs.ts';

const LYING = { middle: -0.22, bar: 'ahead' } as const;
const STRAPS = { ...LYING, straps: 'feet', height: 'low', out: 0.2 } as const;
const ARMS = { ...LYING, straps: 'hands', height: 'low', out: 0.16 } as const;

/** On the carriage: lying, sitting, kneeling, standing, on the box. */
export const reformer: Record<string, Pose> = {
  'carriage-home': {
    name: 'lying on the carriage, feet on the bar, knees bent',
    lean: -90,
    rest: { pelvis: 0 },
    arms: BY_SIDE,
    legs: { foot: 'bar' },
    machine: { ...LYING, out: 0.04 },
  },
  'carriage-out': {
    shape: 'carriage-home',
    name: 'lying on the carriage, legs pressed long',
    machine: { ...LYING, out: 0.4 },
  },
  'carriage-toes-home': {
    shape: 'carriage-home',
    name: 'lying on the carriage, balls of the feet on the bar, knees bent',
    legs: { foot: 'toes on bar' },
    machine: { ...LYING, out: 0.06 },
  },
  'carriage-toes-out': {
    shape: 'carriage-toes-home',
    name: 'lying on the carriage, balls of the feet on the bar, legs long',
    machine: { ...LYING, out: 0.4 },
  },
  'straps-arms': {
    shape: 'carriage-home',
    name: 'lying, legs at 90/90, arms up in the straps',
    legs: TABLE,
    arms: TO_CEILING,
    machine: ARMS,
  },
  'straps-arms-down': {
    shape: 'straps-arms',
    name: 'lying, legs at 90/90, arms pressed down in the straps',
    arms: { flex: 4, out: 8 },
    machine: { ...ARMS, out: 0.32 },
  },
  'straps-feet-up': {
    shape: 'carriage-home',
    name: 'lying, legs up in the straps',
    legs: { flex: 72, point: 35, turn: 10 },
    machine: STRAPS,
  },
  'straps-feet-down': {
    shape: 'straps-feet-up',
    name: 'lying, legs pressed low in the straps',
    legs: { flex: 30, point: 35, turn: 10 },
    machine: { ...STRAPS, out: 0.36 },
  },
  'straps-frog': {
    shape: 'straps-feet-up',
    name: 'lying, knees bent and open in the straps',
    legs: { flex: 100, out: 26, turn: 40, bend: 112, point: 15 },
    machine: { ...STRAPS, out: 0.14 },
  },
  'box-sit': {
    name: 'sitting tall on the box',
    rest: { pelvis: 0.22 },
    arms: FORWARD,
    legs: { foot: 'floor', at: [0.32, 0] },
    machine: { middle: -0.02, bar: 'ahead', box: 'short' },
  },
  'carriage-sit': {
    name: 'sitting tall on the carriage, facing the straps',
    rest: { pelvis: 0 },
    arms: FORWARD,
    legs: { flex: 89, point: 10 },
    machine: { middle: 0.1, bar: 'behind', straps: 'hands', height: 'low', out: 0.12 },
  },
  'carriage-kneel': {
    name: 'kneeling tall on the carriage, facing the straps',
    lean: -4,
    rest: { knees: 0 },
    legs: { flex: 0, bend: 94, point: 70 },
    arms: FORWARD,
    machine: { middle: -0.06, bar: 'behind', straps: 'hands', height: 'low', out: 0.12 },
  },
  'carriage-fours': {
    name: 'on hands and knees, hands on the bar',
    lean: 66,
    rest: { knees: 0 },
    round: [0, 0, 2, -4],
    legs: { flex: 66, bend: 90, point: 20 },
    arms: { hand: 'bar', elbow: [-0.3, -0.3, 0.6] },
    machine: { middle: -0.04, bar: 'ahead', out: 0.08 },
  },
  'carriage-plank': {
    name: 'in a plank, hands on the bar, feet at the shoulder rests',
    lean: 66,
    rest: { toes: 0 },
    along: -0.5,
    legs: { flex: 0, point: -8 },
    arms: { hand: 'bar', elbow: [-0.3, -0.3, 0.6] },
    machine: { middle: -0.28, bar: 'ahead', out: 0.28 },
  },
  'carriage-pike': {
    name: 'standing folded on the carriage, hands on the bar, heels down',
    lean: 112,
    round: [6, 4, 2, 0],
    rest: { feet: 0 },
    along: -0.12,
    legs: { flex: 96, point: 14 },
    arms: { hand: 'bar', elbow: [-0.3, -0.3, 0.6] },
    machine: { middle: 0.02, bar: 'ahead', out: 0.06 },
  },
  'long-box-prone': {
    name: 'lying on the front on the long box, arms in the straps',
    lean: 90,
    rest: { pelvis: 0.22 },
    legs: { flex: -2, point: 55 },
    arms: { flex: 90 },
    machine: { middle: 0, bar: 'behind', box: 'long', straps: 'hands', height: 'off', out: 0.12 },
  },
  'long-box-supine': {
    name: 'lying on the back on the long box',
    lean: -90,
    rest: { pelvis: 0.22 },
    legs: TABLE,
    arms: TO_CEILING,
    machine: {
      middle: -0.1,
      bar: 'ahead',
      box: 'long',
      straps: 'hands',
      height: 'off',
      out: 0.12,
    },
  },
};
