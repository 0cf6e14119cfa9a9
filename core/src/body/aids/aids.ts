import type { Option, PropUse } from '../../movement/exercise.ts';
import type { SideMeasure, WholeMeasure } from '../measures/measure-names.ts';
import type { View } from '../../movement/pose.ts';
import type { FullPose } from '../full-pose.ts';
import {
  armsNear,
  elbowsBent,
  flatFirst,
  footDown,
  handsCarryHead,
  handsOnThighs,
  headRests,
  hipsOnPillow,
  isOnBar,
  isOnHands,
  isOnKnees,
  isOnOneSupport,
  kneesDown,
  kneesSoft,
  legsTogether,
  lyingOnBack,
  onForearms,
  palmsUp,
  seatBetweenHeels,
  seatRaised,
  startsFartherOut,
} from './change-pose.ts';
import {
  archesHigher,
  archesLess,
  feetSplit,
  feetStandLying,
  handsHigh,
  onTheBox,
  onTheSide,
} from './change-base.ts';
import {
  boxUnderSeat,
  headrestUp,
  oneCushionFewer,
  placeUp,
  softer,
  springEasier,
  UNDER_BACK,
  withStillLimbs,
} from './lay-otherwise.ts';

export type AskedMeasure = WholeMeasure | SideMeasure;

/**
 * A support: what helps somebody to do the same option, tied to no rung of a ladder. It turns each key pose into
 * another, which is measured again. ("Support" alone means what bears weight, in `supports.ts`.)
 */
export interface Aid {
  id: AidId;
  name: string;
  /** In a word or two, where there is little room. */
  mark: string;
  /** What is said: what to do and where it is felt, never why. */
  words: string;
  /** Has to be cued to the class, so it is a way of its own; what is put there beforehand is not. */
  isTold: boolean;
  props: readonly Pick<PropUse, 'prop' | 'place'>[];
  /** The pose with it; undefined where it changes nothing in that pose. */
  change?: (pose: FullPose) => FullPose | undefined;
  /** What is set or laid otherwise: machine and props; undefined where there is nothing to change. */
  lays?: (option: Option) => Option | undefined;
  /** Places of props that it would pull apart. */
  notWith?: readonly PropUse['place'][];
  /** It lies under the body all the while: every key pose must be one that it fits. */
  inEveryPose?: true;
  /** From where it is seen best, where that is not as without it. */
  seenFrom?: View;
  /** True in a pose that it is for, where the pose stays as it is. */
  isFor?: (pose: FullPose) => boolean;
  /** What it leaves of a measure that the drawing can’t show, as a factor: estimated, common practice. */
  leaves?: Partial<Record<AskedMeasure, number>>;
  /** What it adds to a measure that is at least `from`: estimated, common practice. */
  adds?: { measure: AskedMeasure; from: number; by: number };
  /** What it may change by chance, and is not given for. */
  notFor?: readonly AskedMeasure[];
  /** What is felt less although the measure stays: a caution that asks for support there is content. */
  eases?: readonly AskedMeasure[];
}

export const AID_IDS = [
  'forearms',
  'fists',
  'wedge',
  'loose-hands',
  'knee-pad',
  'knees-down',
  'foot-down',
  'head-rest',
  'head-in-hands',
  'arms-near',
  'elbow-bent',
  'palm-up',
  'seat-raise',
  'seat-on-cushion',
  'hips-pillow',
  'trunk-wedge',
  'flat-first',
  'hands-on-thighs',
  'hand-on-wall',
  'knees-soft',
  'knees-together',
  'stopper-out',
  'hands-high',
  'split-feet',
  'lie-on-side',
  'ball-softer',
  'ball-up',
  'fewer-cushions',
  'low-towel',
  'feet-on-wall',
  'spring-easier',
  'headrest-up',
  'sit-on-box',
] as const;
export type AidId = (typeof AID_IDS)[number];

/** Props that are in the hands. */
const HELD: readonly PropUse['place'][] = ['in hands', 'between hands', 'under hand', 'round sole'];

/** Every support, the one that changes least first. Common practice. */
export const AIDS: readonly Aid[] = [
  {
    id: 'knee-pad',
    name: 'pad under the knees',
    mark: 'pad',
    words: 'Knees on a fold of the mat.',
    isTold: false,
    props: [{ prop: 'pad', place: 'under knees' }],
    isFor: isOnKnees,
    eases: ['kneecaps'],
  },
  {
    id: 'head-rest',
    name: 'towel under the head',
    mark: 'towel',
    words: 'A folded towel under the head, eyes to the ceiling; take it out before the hips lift.',
    isTold: false,
    props: [{ prop: 'towel', place: 'under head' }],
    isFor: headRests,
    inEveryPose: true,
    eases: ['headRests'],
    leaves: { neckFree: 0 },
  },
  {
    id: 'headrest-up',
    name: 'headrest up',
    mark: 'headrest',
    words: 'Headrest up, eyes to the ceiling; down again before the hips lift.',
    isTold: false,
    props: [],
    lays: headrestUp,
    isFor: headRests,
    inEveryPose: true,
    eases: ['headRests'],
  },
  {
    id: 'low-towel',
    name: 'towel under the low curve',
    mark: 'low towel',
    words: 'A folded towel fills the low curve; rest on it, nothing is pressed down.',
    isTold: false,
    props: [{ prop: 'towel', place: 'under low back' }],
    isFor: headRests,
    inEveryPose: true,
    eases: ['arch low'],
  },
  {
    id: 'feet-on-wall',
    name: 'feet against the wall',
    mark: 'wall',
    words: 'Mat to the wall, toes against it; the feet push and do not slide.',
    isTold: false,
    props: [],
    isFor: feetStandLying,
  },
  {
    id: 'stopper-out',
    name: 'carriage a notch farther out',
    mark: 'stopper',
    words: 'Set the stopper a notch farther out; the knees bend less at home.',
    isTold: false,
    props: [],
    change: startsFartherOut,
  },
  {
    id: 'ball-softer',
    name: 'softer ball',
    mark: 'softer',
    words: 'Let some air out of the ball; the back rests on it and does not hang.',
    isTold: false,
    props: [],
    lays: softer,
    change: archesLess,
  },
  {
    id: 'fewer-cushions',
    name: 'one cushion fewer',
    mark: 'one fewer',
    words: 'One cushion fewer; the back rests on it and does not hang.',
    isTold: false,
    props: [],
    lays: oneCushionFewer,
    change: archesLess,
  },
  {
    id: 'ball-up',
    name: 'ball between the shoulder blades',
    mark: 'ball up',
    words: 'The ball higher, between the shoulder blades; the low back is long.',
    isTold: false,
    props: [],
    lays: placeUp,
    change: archesHigher,
  },
  {
    id: 'seat-raise',
    name: 'seat raised',
    mark: 'seat up',
    words: 'Sit on a folded blanket, tall out of the sit bones; put it aside before lying down.',
    isTold: false,
    props: [{ prop: 'blanket', place: 'under seat' }],
    change: seatRaised,
    eases: ['sittingBend'],
    inEveryPose: true,
  },
  {
    id: 'sit-on-box',
    name: 'on the box',
    mark: 'box',
    words: 'Sit on the box, tall out of the sit bones; feet down where they reach.',
    isTold: false,
    props: [],
    lays: boxUnderSeat,
    change: onTheBox,
    eases: ['sittingBend'],
    inEveryPose: true,
  },
  {
    id: 'split-feet',
    name: 'feet split',
    mark: 'split',
    words: 'One foot a step ahead of the other, both heavy; eyes on one spot.',
    isTold: false,
    props: [],
    change: feetSplit,
    inEveryPose: true,
  },
  {
    id: 'hand-on-wall',
    name: 'fingertips on a wall',
    mark: 'wall',
    words: 'Fingertips on the wall or a pole; stand tall over the whole foot.',
    isTold: false,
    props: [],
    isFor: isOnOneSupport,
    leaves: { tips: 0.3 },
    eases: ['tips'],
  },
  {
    id: 'head-in-hands',
    name: 'head in the hands',
    mark: 'head held',
    words: 'Hands carry the head, elbows wide; the belly lifts, the neck is light.',
    isTold: false,
    props: [],
    change: handsCarryHead,
    notWith: HELD,
  },
  {
    id: 'wedge',
    name: 'wedge under the heels of the hands',
    mark: 'wedge',
    words: 'Heels of the hands higher than the fingers; push through the whole palm.',
    isTold: false,
    props: [{ prop: 'blanket', place: 'under hand' }],
    isFor: isOnHands,
    leaves: { wrist: 0.6 },
  },
  {
    id: 'loose-hands',
    name: 'heels of the hands on the bar',
    mark: 'heels',
    words: 'Heels of the hands on the bar, fingers loose, wrists in line with the forearms.',
    isTold: false,
    props: [],
    isFor: isOnBar,
    leaves: { wrist: 0.4, grip: 0.5 },
  },
  {
    id: 'fists',
    name: 'fists',
    mark: 'fists',
    words: 'Make fists, knuckles down, wrists straight; push the floor away.',
    isTold: false,
    props: [],
    isFor: isOnHands,
    leaves: { wrist: 0.1 },
  },
  {
    id: 'flat-first',
    name: 'low back heavy first',
    mark: 'tilt',
    words: 'Tilt first until the low back is heavy; keep it there while the limbs move.',
    isTold: false,
    props: [],
    change: flatFirst,
  },
  {
    id: 'hips-pillow',
    name: 'cushion under the hips',
    mark: 'cushion',
    words: 'A cushion under the front of the hips, feet wider; the tail stays long.',
    isTold: false,
    props: [{ prop: 'cushion', place: 'under hips' }],
    change: hipsOnPillow,
    inEveryPose: true,
  },
  {
    id: 'seat-on-cushion',
    name: 'cushion between seat and heels',
    mark: 'cushion',
    words: 'A cushion between seat and heels; sink only as far as it carries you.',
    isTold: false,
    props: [{ prop: 'cushion', place: 'under seat' }],
    change: seatBetweenHeels,
  },
  {
    id: 'trunk-wedge',
    name: 'trunk propped up',
    mark: 'propped',
    words: 'Cushions under back and head, so that the chest is higher than the hips.',
    isTold: false,
    props: [{ prop: 'cushion', place: 'along the back' }],
    isFor: lyingOnBack,
    inEveryPose: true,
    leaves: { flat: 0 },
  },
  {
    id: 'knees-soft',
    name: 'knees soft',
    mark: 'soft',
    words: 'Bend the knees until the back is long; feel the middle of the muscle, not its ends.',
    isTold: false,
    props: [],
    change: kneesSoft,
  },
  {
    id: 'knees-together',
    name: 'knees together',
    mark: 'together',
    words: 'Knees stay together; move as one piece.',
    isTold: false,
    props: [],
    change: legsTogether,
    notWith: ['behind knee'],
  },
  {
    id: 'palm-up',
    name: 'palms up',
    mark: 'palms up',
    words: 'Turn the palms up; the shoulders are wide.',
    isTold: false,
    props: [],
    change: palmsUp,
  },
  {
    id: 'elbow-bent',
    name: 'elbows bent',
    mark: 'bent',
    words: 'Bend the elbows, arms below the shoulders; the neck is long.',
    isTold: false,
    props: [],
    change: elbowsBent,
  },
  {
    id: 'spring-easier',
    name: 'springs a step easier',
    mark: 'springs',
    words: 'One step of the springs easier; as slowly as before.',
    isTold: false,
    props: [],
    lays: springEasier,
    notFor: ['tips', 'rise'],
  },
  {
    id: 'arms-near',
    name: 'arms near the body',
    mark: 'near',
    words: 'Keep the arms by the body; everything else goes on.',
    isTold: false,
    props: [],
    change: armsNear,
    notWith: HELD,
  },
  {
    id: 'hands-on-thighs',
    name: 'hands behind the thighs',
    mark: 'thighs',
    words: 'Hold behind the thighs, elbows wide; only as far as the hands carry.',
    isTold: true,
    props: [],
    change: handsOnThighs,
  },
  {
    id: 'hands-high',
    name: 'hands on a chair',
    mark: 'chair',
    words: 'Hands on a chair that stands against the wall, one long line from there.',
    isTold: true,
    props: [{ prop: 'chair', place: 'under hand' }],
    change: handsHigh,
    inEveryPose: true,
  },
  {
    id: 'lie-on-side',
    name: 'on the side',
    mark: 'side',
    words: 'Lie on the side, knees bent, head on the arm; the same from there.',
    isTold: true,
    props: [],
    lays: withStillLimbs,
    notWith: [...UNDER_BACK, 'under pelvis', 'under low back', 'along the back', 'under body'],
    change: onTheSide,
    seenFrom: 'above',
    inEveryPose: true,
  },
  {
    id: 'forearms',
    name: 'forearms',
    mark: 'forearms',
    words: 'Elbows under the shoulders, long back.',
    isTold: true,
    props: [],
    change: onForearms,
    // A plank on the forearms is held longer by the belly than its levers tell.
    adds: { measure: 'belly', from: 40, by: 14 },
  },
  {
    id: 'foot-down',
    name: 'one foot down',
    mark: 'foot down',
    words: 'One foot stays on the mat; the back is quiet.',
    isTold: true,
    props: [],
    change: footDown,
    notWith: ['between knees', 'between ankles', 'round thighs'],
  },
  {
    id: 'knees-down',
    name: 'knees down',
    mark: 'knees',
    words: 'Knees down, hips forward; one long line from knee to ear.',
    isTold: true,
    props: [],
    change: kneesDown,
  },
];

const BY_ID = new Map(AIDS.map((aid) => [aid.id, aid]));

export function aidOf(id: AidId): Aid {
  const aid = BY_ID.get(id);
  if (!aid) throw new Error(`no support "${id}"`);
  return aid;
}
