import type { Option, PropUse } from '../../movement/exercise.ts';
import type { View } from '../../movement/pose.ts';
import { BODY_SIDES, poseOf, type FullPose } from '../full-pose.ts';
import {
  halfWayMeasuresOf,
  measuresOf,
  type OptionMeasures,
  type Peak,
} from '../measures/measures-of.ts';
import { bodiesOf } from '../option-body.ts';
import { fullPose } from '../shapes/index.ts';
import { weigh } from '../statics.ts';
import type { WholeMeasure } from '../measures/measure-names.ts';
import type { Aid, AidId, AskedMeasure } from './aid.ts';
import { aidOf, AIDS } from './aids.ts';

/** Common practice: more than two at once is another exercise. */
export const MOST_AIDS = 2;

const AIDED = new WeakMap<Option, Map<string, Option | undefined>>();

/** In one order, whoever names them. */
export function inOrder(aids: readonly AidId[]): AidId[] {
  return AIDS.filter(({ id }) => aids.includes(id)).map(({ id }) => id);
}

/**
 * An option with supports: its key poses changed, its props with theirs. Undefined where one of them does not fit:
 * it changes nothing, a hand does not reach, or the body would not balance.
 */
export function aidedOption(option: Option, aids: readonly AidId[]): Option | undefined {
  const ids = inOrder(aids);
  if (ids.length === 0) return option;
  const key = ids.join(' ');
  const known = AIDED.get(option) ?? new Map<string, Option | undefined>();
  AIDED.set(option, known);
  if (!known.has(key)) known.set(key, withAids(option, ids.map(aidOf)));
  return known.get(key);
}

function withAids(option: Option, aids: readonly Aid[]): Option | undefined {
  const full = option.poses.map(fullPose);
  let changed: FullPose[] = full;
  let laid: Option = option;
  for (const aid of aids) {
    if (isThere(option, aid) || isAgainst(option, aid)) return undefined;
    const lain = aid.lays ? aid.lays(laid) : laid;
    if (!lain) return undefined;
    laid = lain;
    const { change, isFor } = aid;
    if (isFor) {
      const fits = aid.inEveryPose ? changed.every(isFor) : changed.some(isFor);
      if (!fits) return undefined;
    }
    if (!change) continue;
    const next = changed.map(change);
    const fitting = next.filter((pose) => pose !== undefined).length;
    if (fitting === 0 || (aid.inEveryPose && fitting < next.length)) return undefined;
    changed = changed.map((pose, index) => next[index] ?? pose);
  }
  const made: Option = {
    ...laid,
    ...(changed === full ? {} : { poses: changed.map(poseOf) }),
    props: [...laid.props, ...aids.flatMap(({ props }) => props.map(used))],
  };
  return changed === full || stands(option, made) ? made : undefined;
}

function used({ prop, place }: Aid['props'][number]): PropUse {
  return { prop, place, role: 'support', count: 1, optional: false };
}

function isAgainst({ props }: Option, { notWith = [] }: Aid): boolean {
  return props.some(({ place, optional }) => !optional && notWith.includes(place));
}

/** What the option has in that place helps already; what it may have there is taken. */
function isThere({ props }: Option, aid: Aid): boolean {
  return aid.props.some(({ place }) => props.some((use) => use.place === place && !use.optional));
}

/** Of stature: as far as a hand or foot may stay from where it was put. */
const SHORT_BY = 0.03;

/** Stands as well as it did without: hands and feet arrive, and what balanced balances. */
function stands(before: Option, after: Option): boolean {
  const was = bodiesOf(before);
  return bodiesOf(after).every((body, index) => {
    const old = was[index];
    const reaches = BODY_SIDES.every(
      (side) =>
        body[side].short.arm <= Math.max(SHORT_BY, old?.[side].short.arm ?? 0) &&
        body[side].short.leg <= Math.max(SHORT_BY, old?.[side].short.leg ?? 0),
    );
    return reaches && weigh(body, after.settings).balanced;
  });
}

/** From where an option is seen best with supports. */
export function viewWith(view: View, aids: readonly AidId[]): View {
  return aids.map(aidOf).find(({ seenFrom }) => seenFrom)?.seenFrom ?? view;
}

/** A way of doing an option: with supports, and half as far where it is `smaller`. */
export interface Way {
  aids: readonly AidId[];
  smaller: boolean;
}

/** What an option asks when it is done this way; undefined where it can’t be. */
export function measuresOfWay(option: Option, { aids, smaller }: Way): OptionMeasures | undefined {
  const aided = aidedOption(option, aids);
  if (!aided) return undefined;
  // A prop alone moves nothing: what was measured without it holds; springs are weighed again.
  const isAsItWas = aided.poses === option.poses && aided.settings === option.settings;
  const posed = isAsItWas ? option : aided;
  const measures = smaller ? halfWayMeasuresOf(posed) : measuresOf(posed);
  if (!measures) return undefined;
  return aids
    .map(aidOf)
    .reduce((left, aid) => withEffects(left, aid, measuresOf(option)), measures);
}

function withEffects(
  { whole, sides }: OptionMeasures,
  { leaves = {}, adds }: Aid,
  before: OptionMeasures,
): OptionMeasures {
  const wholeMade = scaled(whole, leaves);
  const was = adds && before.whole[adds.measure as WholeMeasure];
  const now = adds && wholeMade[adds.measure as WholeMeasure];
  if (adds && was && now && was.peak >= adds.from) {
    wholeMade[adds.measure as WholeMeasure] = {
      ...now,
      peak: Math.max(now.peak, was.peak) + adds.by,
    };
  }
  return {
    whole: wholeMade,
    sides: { right: scaled(sides.right, leaves), left: scaled(sides.left, leaves) },
  };
}

function scaled<Name extends string>(
  peaks: Partial<Record<Name, Peak>>,
  factors: Partial<Record<AskedMeasure, number>>,
): Partial<Record<Name, Peak>> {
  const made = { ...peaks };
  for (const [name, factor] of Object.entries(factors) as [Name, number][]) {
    const peak = made[name];
    if (peak) made[name] = { ...peak, peak: peak.peak * factor };
  }
  return made;
}

/** The supports that fit an option on this machine, the one that changes least first. */
export function fittingAids(option: Option): AidId[] {
  return AIDS.filter(({ id }) => aidedOption(option, [id]) !== undefined).map(({ id }) => id);
}
