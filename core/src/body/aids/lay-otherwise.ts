import type { MachineSetting, Option, PropUse } from '../../movement/exercise.ts';
import { stepSprings, type SpringStep } from '../../movement/gear.ts';
import type { PropPlace } from '../../movement/vocabulary.ts';
import { fullPose } from '../shapes/index.ts';

/*
 * What supports set otherwise of the machine, or lay otherwise of an option's own props. Undefined: nothing to change.
 * Common practice.
 */

/** Where a back is bent over a prop. */
export const UNDER_BACK: readonly PropPlace[] = [
  'between shoulder blades',
  'at bottom of ribs',
  'under shoulder blades',
];

const isUnderBack = ({ place, optional }: PropUse) => !optional && UNDER_BACK.includes(place);

function withSettings(
  option: Option,
  change: Partial<MachineSetting> | undefined,
): Option | undefined {
  const { settings } = option;
  return settings && change ? { ...option, settings: { ...settings, ...change } } : undefined;
}

function withProps(
  option: Option,
  change: (use: PropUse) => PropUse | undefined,
): Option | undefined {
  const changed = option.props.map(change);
  if (changed.every((use) => use === undefined)) return undefined;
  return { ...option, props: option.props.map((use, index) => changed[index] ?? use) };
}

/** The spring that loads is a step lighter, the one that carries a step heavier: either way it is easier. */
export function springEasier(option: Option): Option | undefined {
  const { springs, moreSpring } = option.settings ?? {};
  if (!springs || !moreSpring) return undefined;
  const step: SpringStep = moreSpring === 'easier' ? 'heavier' : 'lighter';
  const stepped = stepSprings(springs, step);
  return stepped === springs ? undefined : withSettings(option, { springs: stepped });
}

/** Limbs that stay where they are all the while: what moves is breath, trunk or effort. */
export function withStillLimbs(option: Option): Option | undefined {
  const limbs = option.poses
    .map(fullPose)
    .map(({ right, left }) => JSON.stringify([right.arm, left.arm, right.leg, left.leg]));
  return new Set(limbs).size === 1 ? option : undefined;
}

export function headrestUp(option: Option): Option | undefined {
  return withSettings(
    option,
    option.settings?.headrest === 'up' ? undefined : { headrest: 'up' as const },
  );
}

export function boxUnderSeat(option: Option): Option | undefined {
  const isFree = (option.settings?.box ?? 'none') === 'none';
  return withSettings(option, isFree ? { box: 'short' as const } : undefined);
}

/** A ball with less air in it is still that ball. */
export function softer(option: Option): Option | undefined {
  return option.props.some((use) => isUnderBack(use) && use.prop === 'small-ball')
    ? option
    : undefined;
}

export function oneCushionFewer(option: Option): Option | undefined {
  return withProps(option, (use) =>
    isUnderBack(use) && use.prop === 'cushion' && use.count > 1
      ? { ...use, count: use.count - 1 }
      : undefined,
  );
}

/** From the bottom of the ribs to between the shoulder blades. */
export function placeUp(option: Option): Option | undefined {
  return withProps(option, (use) =>
    !use.optional && use.place === 'at bottom of ribs'
      ? { ...use, place: 'between shoulder blades' }
      : undefined,
  );
}
