import type { Option } from '../../movement/exercise.ts';
import { BODY_SIDES, type BodySide } from '../full-pose.ts';
import { mixBodies } from '../motion.ts';
import { bodiesOf } from '../option-body.ts';
import type { Body } from '../body.ts';
import { UP } from '../space.ts';
import { weigh, type Statics } from '../statics.ts';
import type { Support } from '../supports.ts';
import { measureBody, type BodyMeasures } from './measure-body.ts';
import { CM, legsDown } from './seen-body.ts';
import type { SideMeasure, WholeMeasure } from './measure-names.ts';

/** The most of a measure in a movement, and the share of it that comes within a tenth of that. */
export interface Peak {
  peak: number;
  nearShare: number;
}

/** What an option asks from its first key pose to its last; what is missing is unknown. */
export interface OptionMeasures {
  whole: Partial<Record<WholeMeasure, Peak>>;
  sides: Record<BodySide, Partial<Record<SideMeasure, Peak>>>;
}

const KNOWN = new WeakMap<Option, OptionMeasures>();

/** What was worked out before, so that nobody waits for it. */
export function keepMeasures(option: Option, measures: OptionMeasures): void {
  KNOWN.set(option, measures);
}

export function measuresOf(option: Option): OptionMeasures {
  const known = KNOWN.get(option);
  if (known) return known;
  const made = measure(option);
  KNOWN.set(option, made);
  return made;
}

/** Between two key poses the body is looked at here. */
const BETWEEN = [0.25, 0.5, 0.75] as const;
/** A body between two poses that carries less of its weight than this floats: it is passed over. */
const CARRIES = 0.95;

function measure(option: Option): OptionMeasures {
  const keys = keysOf(option);
  const between = keys.slice(1).flatMap((to, index) => {
    const from = keys[index];
    return from ? measuresBetween(from, to, BETWEEN, option) : [];
  });
  const shown = keys.map(({ asks }) => asks);
  const rise = riseOf(keys.map(({ body }) => body));
  return peaksOfAll(shown, [...shown, ...between], rise);
}

/** On a mat, where no spring pulls, a body weighs the same whatever option it stands in. */
const ON_MAT = new WeakMap<Body, Weighed>();

function keysOf(option: Option): Weighed[] {
  return bodiesOf(option).map((body) => {
    const known = ON_MAT.get(body);
    if (known) return known;
    const statics = weigh(body, option.settings);
    const weighed = { body, statics, asks: measureBody(body, statics) };
    if (!body.pose.machine) ON_MAT.set(body, weighed);
    return weighed;
  });
}

function peaksOfAll(
  shown: readonly BodyMeasures[],
  all: readonly BodyMeasures[],
  rise: number,
): OptionMeasures {
  return {
    whole: {
      ...peaksOf(
        shown.map(({ whole }) => whole),
        all.map(({ whole }) => whole),
      ),
      rise: { peak: rise, nearShare: 1 },
    },
    sides: {
      right: sidePeaks(shown, all, 'right'),
      left: sidePeaks(shown, all, 'left'),
    },
  };
}

const HALF_WAY = new WeakMap<Option, OptionMeasures>();
/** Of the way from where it begins: a half range. */
const TO_HALF = [0.25, 0.5] as const;

/**
 * What an option asks when it goes half as far from where it begins. Undefined where it does not move, or where a
 * body half way can’t be weighed.
 */
export function halfWayMeasuresOf(option: Option): OptionMeasures | undefined {
  const known = HALF_WAY.get(option);
  if (known) return known;
  const [start, ...others] = keysOf(option);
  if (!start || others.length === 0) return undefined;
  const first = start.asks;
  const way = others.flatMap((to) => measuresBetween(start, to, TO_HALF, option));
  if (way.length < others.length * TO_HALF.length) return undefined;
  const made = peaksOfAll(
    [first],
    [first, ...way],
    riseOf(others.map(({ body }) => body).concat(start.body)) / 2,
  );
  HALF_WAY.set(option, made);
  return made;
}

/** Centimetres from where the head is lowest to where it is highest. */
function riseOf(bodies: readonly Body[]): number {
  const heights = bodies.map(({ head }) => head[1] * CM);
  return Math.max(...heights) - Math.min(...heights);
}

interface Weighed {
  body: Body;
  statics: Statics;
  asks: BodyMeasures;
}

/** A leg that is down in both key poses is down on its way, however the way is drawn. */
function measuresBetween(
  from: Weighed,
  to: Weighed,
  at: readonly number[],
  option: Option,
): BodyMeasures[] {
  const both = legsDown(from.statics).filter((side) => legsDown(to.statics).includes(side));
  return at.flatMap((t) => {
    const body = mixBodies(from.body, to.body, t);
    const statics = weigh(body, option.settings);
    if (carriedBy(statics.supports) < CARRIES) return [];
    return [measureBody(body, statics, [...new Set([...both, ...legsDown(statics)])])];
  });
}

function carriedBy(supports: readonly Support[]): number {
  return supports.reduce(
    (sum, { on, share, push = UP }) => (on === 'body' ? sum : sum + share * push[1]),
    0,
  );
}

function sidePeaks(
  shown: readonly BodyMeasures[],
  all: readonly BodyMeasures[],
  side: BodySide,
): Partial<Record<SideMeasure, Peak>> {
  return peaksOf(
    shown.map(({ sides }) => sides[side]),
    all.map(({ sides }) => sides[side]),
  );
}

/** Within this share of its peak a measure is near it. */
const NEAR = 0.9;

/** A measure that is unknown in a key pose is unknown for the whole; the margin is a least, not a most. */
function peaksOf<Name extends string>(
  shown: readonly Partial<Record<Name, number>>[],
  all: readonly Partial<Record<Name, number>>[],
): Partial<Record<Name, Peak>> {
  const found: Partial<Record<Name, Peak>> = {};
  const names = new Set(shown.flatMap((each) => Object.keys(each) as Name[]));
  for (const name of names) {
    if (shown.some((each) => each[name] === undefined)) continue;
    const isLeast = name === 'margin';
    let peak = isLeast ? Infinity : -Infinity;
    for (const { [name]: value } of all) {
      if (value !== undefined && (isLeast ? value < peak : value > peak)) peak = value;
    }
    let [near, known] = [0, 0];
    for (const { [name]: value } of all) {
      if (value === undefined) continue;
      known += 1;
      if (isLeast ? value <= peak / NEAR : value >= peak * NEAR) near += 1;
    }
    found[name] = { peak, nearShare: near / known };
  }
  return found;
}

/** The most on either side: what a caution asks whose side is not known. */
export function peakOfEither(measures: OptionMeasures, name: SideMeasure): number | undefined {
  const peaks = BODY_SIDES.map((side) => measures.sides[side][name]?.peak);
  return peaks.some((peak) => peak === undefined)
    ? undefined
    : Math.max(...peaks.flatMap((peak) => peak ?? []));
}
