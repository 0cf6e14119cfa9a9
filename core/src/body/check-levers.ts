import type { Option } from '../movement/exercise.ts';
import type { Lever } from '../movement/vocabulary.ts';
import { LEVER_WORDS } from '../movement/words.ts';
import { hingeAngle } from './joint-angles.ts';
import { loadOf } from './load/option-load.ts';
import { TOUCH } from './measures/seen-body.ts';
import { BODY_SIDES } from './full-pose.ts';
import { bodiesOf } from './option-body.ts';
import type { Body } from './body.ts';
import { distance, subtract, type Vec3 } from './space.ts';
import { weigh } from './statics.ts';

/** A limb that is bent by so many degrees less, or reaches so far more (shares of stature), is another lever. */
const OTHER_LENGTH = { deg: 10, reach: 0.03 } as const;
/** Points of load that make another load. */
const OTHER_LOAD = 2;
/** Farther than this share of stature from where it was, seen from the hips, a limb has moved. */
const MOVED = 0.05;

/** Levers that an option names and that its pictures, props and settings do not turn. */
function unturnedLevers(before: Option, option: Option): Lever[] {
  return option.levers.filter((lever) => !isTurned(lever, before, option));
}

export function leverSentences(before: Option, option: Option): string[] {
  return unturnedLevers(before, option).map(
    (lever) => `says that it turns "${LEVER_WORDS[lever]}", and shows none of it.`,
  );
}

/** What no picture can show (a tempo, attention) is believed; a base, a range, a start are any other picture. */
function isTurned(lever: Lever, before: Option, option: Option): boolean {
  const differs = (key: 'poses' | 'props' | 'settings'): boolean =>
    JSON.stringify(before[key]) !== JSON.stringify(option[key]);
  switch (lever) {
    case 'load':
      return (
        differs('settings') ||
        differs('props') ||
        Math.abs(loadOf(option) - loadOf(before)) >= OTHER_LOAD
      );
    case 'limbs-moving':
      return limbsAtWork(before) !== limbsAtWork(option);
    case 'limb-length':
      return lengthsDiffer(lengthsOf(before), lengthsOf(option));
    default:
      return true;
  }
}

const LIMBS = ['hand', 'toe'] as const;

/** Which limbs travel, and which of them are carried in the air, as one word that can be compared. */
function limbsAtWork(option: Option): string {
  const bodies = bodiesOf(option);
  const [first] = bodies;
  if (!first) return '';
  const fromHips = (body: Body, place: Vec3) => subtract(place, body.hips);
  return LIMBS.flatMap((limb) =>
    BODY_SIDES.map((side) => {
      const start = fromHips(first, first[side][limb]);
      const travels = bodies.some(
        (body) => distance(fromHips(body, body[side][limb]), start) > MOVED,
      );
      const parts = limb === 'hand' ? ['hands', 'elbows'] : ['feet', 'toes', 'knees'];
      const isFree = bodies.some(
        (body) =>
          !weigh(body, option.settings).supports.some(
            (at) => at.side === side && at.share > TOUCH && parts.includes(at.part),
          ),
      );
      return `${travels ? 'travels' : ''}${isFree ? 'free' : ''}`;
    }),
  ).join();
}

interface Lengths {
  /** The least bend of knees and elbows, in degrees. */
  bends: number[];
  /** How far hands and toes come from the hips. */
  reaches: number[];
}

function lengthsOf(option: Option): Lengths {
  const bodies = bodiesOf(option);
  const least = (measure: (body: Body) => number) => Math.min(...bodies.map(measure));
  return {
    bends: BODY_SIDES.flatMap((side) => [
      least((body) => hingeAngle(body[side].thigh, body[side].shank)),
      least((body) => hingeAngle(body[side].upperArm, body[side].forearm)),
    ]),
    reaches: BODY_SIDES.flatMap((side) =>
      LIMBS.map((limb) => -least((body) => -distance(body[side][limb], body.hips))),
    ),
  };
}

function lengthsDiffer(before: Lengths, after: Lengths): boolean {
  const apart = (one: number[], other: number[], by: number) =>
    one.some((value, index) => Math.abs(value - (other[index] ?? value)) > by);
  return (
    apart(before.bends, after.bends, OTHER_LENGTH.deg) ||
    apart(before.reaches, after.reaches, OTHER_LENGTH.reach)
  );
}
