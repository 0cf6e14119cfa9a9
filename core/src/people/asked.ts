import {
  aidedOption,
  fittingAids as fitting,
  inOrder,
  measuresOfWay,
  type Way,
} from '../body/aids/aided-option.ts';
import type { Aid, AidId } from '../body/aids/aid.ts';
import { aidOf } from '../body/aids/aids.ts';
import type { BodySide } from '../body/full-pose.ts';
import type { OptionMeasures, Peak } from '../body/measures/measures-of.ts';
import { fullPose } from '../body/shapes/index.ts';
import type { Option } from '../movement/exercise.ts';
import type { PropPlace } from '../movement/vocabulary.ts';
import {
  BY_HAND,
  isByHand,
  isSideAsk,
  SIDE_ASKS,
  WHOLE_ASKS,
  type AskSide,
  type Timeless,
} from './asks.ts';
import { raisedBy } from './demands.ts';

/** Shares of the work in which something is asked, for what is summed over a class. */
export const NEAR_ASKS = ['flat', 'bellyPress', 'wrist', 'kneecaps', 'hipsHigh'] as const;
type NearAsk = (typeof NEAR_ASKS)[number];

/** What one way of doing an option asks: every ask that knows no clock, as a whole and on each side; NaN is unknown. */
export interface Asked {
  whole: Float64Array;
  right: Float64Array;
  left: Float64Array;
  near: Readonly<Record<NearAsk, number>>;
}

const PLACE: ReadonlyMap<Timeless, number> = new Map(
  [WHOLE_ASKS, SIDE_ASKS].flatMap((asks) => asks.map((ask, index) => [ask, index] as const)),
);

/** How much is asked on a side; undefined is unknown. */
export function amountOf(asked: Asked, ask: Timeless, side: AskSide): number | undefined {
  const place = PLACE.get(ask);
  if (place === undefined) throw new Error(`nothing asks for "${ask}"`);
  const value = isSideAsk(ask) ? onSide(asked, place, side) : asked.whole[place];
  return value === undefined || Number.isNaN(value) ? undefined : value;
}

function onSide({ right, left }: Asked, place: number, side: AskSide): number | undefined {
  if (side === 'right') return right[place];
  if (side === 'left') return left[place];
  return Math.max(right[place] ?? NaN, left[place] ?? NaN);
}

const KNOWN = new WeakMap<Option, Map<string, Asked | undefined>>();
const FITTING = new WeakMap<Option, readonly AidId[]>();

/** What was worked out before: ways by their keys, and the supports that fit. */
export interface Kept {
  ways: Map<string, Asked | undefined>;
  aids: readonly AidId[];
}

/** Read when it is first asked for. */
const KEPT = new WeakMap<Option, () => Kept>();

function open(option: Option): void {
  const read = KEPT.get(option);
  if (!read) return;
  KEPT.delete(option);
  const { ways, aids } = read();
  KNOWN.set(option, ways);
  FITTING.set(option, aids);
}

export function wayKey({ aids, smaller }: Way): string {
  return [...inOrder(aids), ...(smaller ? ['smaller'] : [])].join(' ');
}

/** What an option asks when it is done this way; undefined where it can’t be. */
export function askedBy(option: Option, way: Way): Asked | undefined {
  open(option);
  const ways = KNOWN.get(option) ?? new Map<string, Asked | undefined>();
  KNOWN.set(option, ways);
  const key = wayKey(way);
  if (!ways.has(key)) ways.set(key, work(option, way));
  return ways.get(key);
}

/** So that nobody waits for what was worked out before. */
export function keepAsked(option: Option, read: () => Kept): void {
  KEPT.set(option, read);
}

/** The supports that fit an option, the one that changes least first. */
export function fittingAids(option: Option): readonly AidId[] {
  open(option);
  const known = FITTING.get(option) ?? fitting(option);
  FITTING.set(option, known);
  return known;
}

/** Worked out from what is known, where a support moves nothing; else from the body. */
function work(option: Option, way: Way): Asked | undefined {
  const moved = way.aids.filter((id) => changesBody(aidOf(id)));
  const still = way.aids.filter((id) => !changesBody(aidOf(id)));
  if (still.length === 0 || !way.aids.every((id) => fittingAids(option).includes(id))) {
    return askAfresh(option, way);
  }
  const before = askedBy(option, { ...way, aids: moved });
  return before && still.map(aidOf).reduce(leaving, before);
}

const changesBody = ({ change, lays }: Aid) => change !== undefined || lays !== undefined;

/** What a support that moves nothing leaves of what is asked. */
function leaving(asked: Asked, { leaves = {} }: Aid): Asked {
  const made: Asked = {
    whole: asked.whole.slice(),
    right: asked.right.slice(),
    left: asked.left.slice(),
    near: { ...asked.near },
  };
  for (const [ask, factor] of Object.entries(leaves) as [Timeless, number][]) {
    const place = PLACE.get(ask);
    if (place === undefined) continue;
    const parts = isSideAsk(ask) ? [made.right, made.left] : [made.whole];
    for (const part of parts) part[place] = (part[place] ?? NaN) * factor;
    const near = NEAR_ASKS.find((name) => name === ask);
    if (near && (amountOf(made, ask, 'either') ?? 0) < COUNTS[near]) {
      made.near = { ...made.near, [near]: 0 };
    }
  }
  return made;
}

export function askAfresh(option: Option, way: Way): Asked | undefined {
  const measures = measuresOfWay(option, way);
  if (!measures) return undefined;
  const done = aidedOption(option, way.aids) ?? option;
  const peaks = (asks: readonly Timeless[], side: BodySide) =>
    Float64Array.from(asks, (ask) => peakOf(done, measures, ask, side) ?? NaN);
  return {
    whole: peaks(WHOLE_ASKS, 'right'),
    right: peaks(SIDE_ASKS, 'right'),
    left: peaks(SIDE_ASKS, 'left'),
    near: nearOf(measures),
  };
}

function peakOf(
  option: Option,
  { whole, sides }: OptionMeasures,
  ask: Timeless,
  side: BodySide,
): number | undefined {
  if (isByHand(ask)) {
    const isSaid = option.demands.includes(BY_HAND[ask]);
    return isSaid && !(ask === 'standsOnMoving' && holdsOn(option)) ? 1 : 0;
  }
  if (ask === 'any') return 1;
  if (ask === 'plankOnMoving') return isPlankOnMoving(option) ? 1 : 0;
  // Nothing lies under a head when the hips lift.
  if (ask === 'headRests' && (whole.hipsHigh?.peak ?? 0) > HIPS_LIFT) return 0;
  if (ask === 'archOverProp') return archesOverProp(option, whole);
  const peak = isSideAsk(ask) ? sides[side][ask] : whole[ask];
  return peak && Math.max(peak.peak, raisedBy(option, ask));
}

/** From how much on each counts in a sum. Common practice. */
const COUNTS: Readonly<Record<NearAsk, number>> = {
  flat: 0.5,
  bellyPress: 0.1,
  wrist: 0.04,
  kneecaps: 0.05,
  hipsHigh: 18,
};

function nearOf({ whole, sides }: OptionMeasures): Asked['near'] {
  const share = (peak: Peak | undefined, from: number) =>
    peak !== undefined && peak.peak >= from ? peak.nearShare : 0;
  return {
    flat: share(whole.flat, COUNTS.flat),
    bellyPress: share(whole.bellyPress, COUNTS.bellyPress),
    wrist: share(whole.wrist, COUNTS.wrist),
    kneecaps: Math.max(
      share(sides.right.kneecaps, COUNTS.kneecaps),
      share(sides.left.kneecaps, COUNTS.kneecaps),
    ),
    hipsHigh: share(whole.hipsHigh, COUNTS.hipsHigh),
  };
}

/** Centimetres over the heart at which the hips are lifted. */
const HIPS_LIFT = 8;

/** Has a hand on something that stays, all the while. */
function holdsOn({ poses }: Option): boolean {
  return poses
    .map(fullPose)
    .every(({ right, left }) =>
      [right, left].some(({ arm }) => arm.hand === 'bar' || arm.hand === 'wall'),
    );
}

/** Degrees of the hip: straighter is one line from shoulder to knee. */
const STRAIGHT = 30;

function isPlankOnMoving({ demands, poses }: Option): boolean {
  if (!demands.includes('moving-platform')) return false;
  return poses.map(fullPose).some(({ rest, lean, right, left }) => {
    const isOnHands = [right, left].every(({ arm }) => arm.hand === 'bar' || arm.hand === 'floor');
    const isStraight = [right, left].every(({ leg }) => Math.abs(leg.flex ?? 0) < STRAIGHT);
    const isOnLegs = rest.some(([part]) => part === 'knees' || part === 'toes' || part === 'feet');
    return isOnHands && isStraight && isOnLegs && lean > 40;
  });
}

/** Where a prop lies under a back that may be arched over it. */
const UNDER_BACK: readonly PropPlace[] = [
  'between shoulder blades',
  'at bottom of ribs',
  'under shoulder blades',
  'under low back',
  'under body',
];
/** Degrees: a back that is bent over a prop, not laid on it. */
const ARCHED = 10;

function archesOverProp({ props }: Option, whole: OptionMeasures['whole']): number | undefined {
  if (!props.some(({ place }) => UNDER_BACK.includes(place))) return 0;
  const arches = (['arch low', 'arch mid', 'arch up'] as const).map((part) => whole[part]?.peak);
  if (arches.some((arch) => arch === undefined)) return undefined;
  return Math.max(...arches.map((arch) => arch ?? 0)) >= ARCHED ? 1 : 0;
}
