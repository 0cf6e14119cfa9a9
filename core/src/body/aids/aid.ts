import type { Option, PropUse } from '../../movement/exercise.ts';
import type { View } from '../../movement/pose.ts';
import type { FullPose } from '../full-pose.ts';
import type { SideMeasure, WholeMeasure } from '../measures/measure-names.ts';

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
