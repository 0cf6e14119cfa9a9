import type { Exercise, MachineSetting, Option, PropUse } from '../movement/exercise.ts';
import type { ArmPose } from '../movement/pose.ts';
import { BODY_SIDES } from './full-pose.ts';
import { bodiesOf } from './option-body.ts';
import { fullPose } from './shapes/index.ts';
import type { Body } from './body.ts';
import { distance, dot, FRONT, rotate, toDegrees, type Vec3, UP } from './space.ts';
import { ARM_MASS } from './mass.ts';
import { isLegInHand } from './held-legs.ts';
import { springForceN } from './springs.ts';
import { weigh, type Statics } from './statics.ts';

/** One reason why an option asks what it asks. */
export interface LoadPart {
  name:
    | 'trunk lever'
    | 'leg lever'
    | 'arm load'
    | 'neck'
    | 'moving limbs'
    | 'base'
    | 'range'
    | 'spring';
  /** Points of the hundred that it gives. */
  points: number;
  /** What was measured, in words with numbers. */
  because: string;
}

export interface OptionLoad {
  /** 0 rest to 100. */
  score: number;
  parts: LoadPart[];
}

/**
 * The most that each part can give and the measure at which it gives it. The measures are moments
 * as shares of body weight times stature near the top of what the library's hardest options show;
 * the points weigh what tires and what is hard to control. Common practice decides the weights, not
 * a published scale: they order options, they are no unit of work.
 */
const SCALE = {
  'trunk lever': { most: 30, full: 0.11 },
  'leg lever': { most: 20, full: 0.07 },
  'arm load': { most: 16, full: 1 },
  neck: { most: 5, full: 0.012 },
  'moving limbs': { most: 6, full: 4 },
  base: { most: 10, full: 1 },
  range: { most: 8, full: 160 },
  spring: { most: 16, full: 260 },
} as const satisfies Record<LoadPart['name'], { most: number; full: number }>;

const LOADS = new WeakMap<Option, OptionLoad>();

/** How much an option asks by the body model, and of what that is made. */
export function optionLoadOf(option: Option): OptionLoad {
  const known = LOADS.get(option);
  if (known) return known;
  const made = measure(option);
  LOADS.set(option, made);
  return made;
}

/** The scale that classes are planned with: points of load to a step, in halves, and the last step. */
const EFFORT = { pointsAStep: 11.5, most: 5 } as const;

/** The load on the scale that classes are planned with: 0 rest to 5 very strong. */
export function effortOf(option: Option): number {
  const steps = optionLoadOf(option).score / EFFORT.pointsAStep;
  return Math.min(EFFORT.most, Math.round(steps * 2) / 2);
}

/** The standard option's effort. */
export function effortOfExercise(exercise: Exercise): number {
  const option = exercise.options[exercise.standard - 1];
  return option ? effortOf(option) : 0;
}

function measure(option: Option): OptionLoad {
  const bodies = bodiesOf(option);
  // Without the springs: what they ask is counted by `springOf`, once.
  const statics = bodies.map((body) => weigh(body));
  const held = supportedBy(option);
  const parts = [
    trunkLever(bodies, statics, held),
    legLever(bodies, statics, option.held !== undefined),
    armLoad(statics),
    neckLoad(bodies, statics),
    movingLimbs(bodies),
    baseOf(bodies, statics, held),
    rangeOf(bodies),
    springOf(option.settings),
  ].filter(({ points }) => points > 0);
  const score = parts.reduce((sum, { points }) => sum + points, 0);
  return { score: Math.round(Math.min(100, score)), parts };
}

function part(name: LoadPart['name'], value: number, because: string): LoadPart {
  const { most, full } = SCALE[name];
  const points = Math.min(1, Math.max(0, value / full)) * most;
  return { name, points: Math.round(points * 10) / 10, because };
}

/** Places of a prop that carries part of the trunk. */
const TRUNK_PLACES: ReadonlySet<PropUse['place']> = new Set([
  'under low back',
  'behind low back',
  'between shoulder blades',
  'at bottom of ribs',
  'under shoulder blades',
  'under body',
] as const);

/** The share of the trunk's lever that a prop or a strap takes over: about a third. Common practice. */
const SUPPORT_TAKES = 0.35;

function supportedBy(option: Option): number {
  const propped = option.props.some(
    ({ role, place }) => role === 'support' && TRUNK_PLACES.has(place),
  );
  const strapped = option.poses.some((pose) => fullPose(pose).machine?.straps === 'hands');
  return propped || option.held || (strapped && option.levers.includes('support'))
    ? SUPPORT_TAKES
    : 0;
}

/** What is lifted by hand is not carried by the trunk alone: so much is left. Common practice. */
const HANDS_CARRY = 0.3;

function trunkLever(bodies: readonly Body[], statics: readonly Statics[], held: number): LoadPart {
  let [most, where] = [0, 'L5/S1'];
  for (const [index, at] of statics.entries()) {
    for (const [place, moment] of trunkMoments(bodies[index], at)) {
      if (moment > most) [most, where] = [moment, place];
    }
  }
  const value = most * (1 - held);
  return part(
    'trunk lever',
    value - LEAST_LEVER,
    `gravity asks ${perMille(most)} of the trunk about ${where}${held > 0 ? ', a third of it taken by the support' : ''}`,
  );
}

const UPPER_PARTS: readonly string[] = ['waist', 'ribs', 'shoulders', 'head', 'elbows', 'hands'];
const LEG_PARTS: readonly string[] = ['knees', 'feet', 'toes'];
/** Carries more than this share of the weight: rests. Less is a touch. */
const RESTS = 0.02;

/**
 * What the trunk must hold. Where nothing above the low back rests, what is above each joint hangs
 * from it. Where the trunk lies and the legs are in the air, their lever must be held by the
 * pelvis. Where both ends rest, the trunk is a beam between them.
 */
function trunkMoments(body: Body | undefined, at: Statics): [place: string, moment: number][] {
  const { moments, supports } = at;
  const shareOf = (names: readonly string[]): number =>
    supports.reduce((sum, support) => sum + (names.includes(support.part) ? support.share : 0), 0);
  const legs = shareOf(LEG_PARTS) > RESTS;
  const hang: [string, number][] = [
    ['the middle back', moments.midBack * HIGHER_UP.middle],
    ['the upper back', moments.highBack * HIGHER_UP.upper],
  ];
  const upperHangs = shareOf(['shoulders', 'head', 'elbows', 'hands']) <= RESTS;
  if (shareOf(UPPER_PARTS) <= RESTS) {
    const slack = hangsForward(body) ? LIGAMENTS_LEAVE : 1;
    return [['L5/S1', moments.lowBack * slack], ...(slack < 1 ? [] : hang)];
  }
  if (legs) return [['L5/S1', moments.lowBack], ...(upperHangs ? hang.slice(1) : [])];
  const free = BODY_SIDES.reduce(
    (sum, side) => sum + moments.hip[side] * (isHeld(body, side) ? HANDS_CARRY : 1),
    0,
  );
  return [['the hips', free], ...(upperHangs ? hang.slice(1) : [])];
}

/** Degrees of rounding from which a back hangs in its ligaments. Common practice. */
const HANGING_DEG = 40;

/** A rounded back that hangs forward is held by its ligaments more than by work. */
function hangsForward(body: Body | undefined): boolean {
  if (!body) return false;
  const [low, middle, upper] = body.pose.round;
  return low + middle + upper > HANGING_DEG && body.pose.lean >= 0;
}

/** What is left to the muscles then. Common practice. */
const LIGAMENTS_LEAVE = 0.4;

/** The same moment is more for the smaller trunk that is left higher up. Fitted to the library's ladders. */
const HIGHER_UP = { middle: 1.3, upper: 3.2 } as const;

/** Moments of lying quietly, in shares of weight × stature, which ask nothing. */
const LEAST_LEVER = 0.016;

/** In shares of weight × stature: what a leg asks that only lies, and the most that standing on it asks. */
const LEG = { resting: 0.008, standingMost: 0.06, standingShare: 0.5 } as const;
/** Less of the weight than this on a foot is a touch. */
const TOUCH = 0.01;

function legLever(
  bodies: readonly Body[],
  statics: readonly Statics[],
  letDown: boolean,
): LoadPart {
  let [most, both] = [0, 0];
  statics.forEach(({ moments, supports }, index) => {
    const free = BODY_SIDES.map((side) => {
      const stands = supports.some(
        (at) => at.side === side && at.share > TOUCH && ['feet', 'toes', 'knees'].includes(at.part),
      );
      const held = isHeld(bodies[index], side) ? HANDS_CARRY : 1;
      const bearing = Math.min(moments.hip[side], LEG.standingMost) * LEG.standingShare;
      return stands ? Math.max(0, bearing - LEG.resting) : moments.hip[side] * held;
    });
    const sum = (free[0] ?? 0) + (free[1] ?? 0);
    if (sum > both) [both, most] = [sum, Math.max(...free)];
  });
  return part(
    'leg lever',
    (both - LEG.resting) * (letDown ? HANDS_CARRY : 1),
    `the legs turn about the hips with ${perMille(both)}, the greater with ${perMille(most)}`,
  );
}

type Hold = ArmPose['hand'];
/** Holds that spare the neck. A forearm carries no head; it is counted all the same, because the ladders were set with it. */
const SPARES_NECK: ReadonlySet<Hold> = new Set(['head', 'forehead', 'ear', 'forearm'] as const);

function isHeld(body: Body | undefined, side: 'right' | 'left'): boolean {
  if (!body) return false;
  return body.pose.machine?.straps === 'feet' || isLegInHand(body, side);
}

/**
 * Arms that bear as much as in a plank on the hands (three quarters of the weight) come to `bearing`; an
 * elbow asks less than a hand. To that comes the lever about the shoulders, past that of hanging arms.
 */
const ARMS = {
  /** What carries no more than both arms only lies. */
  ownWeight: 2 * ARM_MASS,
  elbow: 0.8,
  plankShare: 0.75,
  bearing: 0.8,
  hanging: 0.017,
  fullLever: 0.12,
} as const;

function armLoad(statics: readonly Statics[]): LoadPart {
  let [value, hands, lever] = [0, 0, 0];
  for (const { onHands, onElbows, moments } of statics) {
    const shoulders = moments.shoulder.right + moments.shoulder.left;
    const lies = onHands + onElbows < ARMS.ownWeight;
    const borne = lies ? 0 : (onHands + onElbows * ARMS.elbow) / ARMS.plankShare;
    const lifted = Math.max(0, shoulders - ARMS.hanging) / ARMS.fullLever;
    const asked = borne * ARMS.bearing + lifted;
    if (asked > value) [value, hands, lever] = [asked, onHands + onElbows, shoulders];
  }
  return part(
    'arm load',
    value,
    `the arms carry ${Math.round(hands * 100)} % of body weight and turn about the shoulders with ${perMille(lever)}`,
  );
}

/** A neck rounded this far on a trunk that faces up is curled: the front of it works besides. */
const CURLED = { roundDeg: 15, facingUp: 0.3, extra: 0.009 } as const;

function neckLoad(bodies: readonly Body[], statics: readonly Statics[]): LoadPart {
  const values = statics.map(({ moments, supports }, index) => {
    const body = bodies[index];
    const rests = supports.some(({ part: name }) => name === 'head');
    const handed =
      body &&
      [body.right, body.left].some(({ planted }) => planted.arm) &&
      BODY_SIDES.some((side) => SPARES_NECK.has(body.pose[side].arm.hand));
    if (!body || rests || handed) return 0;
    const curled =
      body.pose.round[3] > CURLED.roundDeg && rotate(body.pelvisTurn, FRONT)[1] > CURLED.facingUp;
    return moments.neck + (curled ? CURLED.extra : 0);
  });
  const most = Math.max(...values);
  return part('neck', most, `nothing carries the head: ${perMille(most)} about the neck`);
}

/** A hand, foot or head that goes farther than this share of stature has moved. */
const MOVED = 0.08;

function movingLimbs(bodies: readonly Body[]): LoadPart {
  const ends: ((body: Body) => Vec3)[] = [
    (body) => body.right.hand,
    (body) => body.left.hand,
    (body) => body.right.toe,
    (body) => body.left.toe,
  ];
  const [first] = bodies;
  if (!first) return part('moving limbs', 0, 'nothing moves');
  const moved = ends.filter((end) =>
    bodies.some((body) => distance(fromHips(body, end(body)), fromHips(first, end(first))) > MOVED),
  ).length;
  return part('moving limbs', moved, `${moved} of four limbs travel`);
}

function fromHips(body: Body, place: Vec3): Vec3 {
  return [place[0] - body.hips[0], place[1] - body.hips[1], place[2] - body.hips[2]];
}

/**
 * In shares of stature: lengths of a base from which more is no wider, the height of a centre that counts
 * whole, a resting part so high that it wobbles. Points of a whole: what a wobble adds, what a body asks
 * that no support balances, what every base has, from where it is called small. Fitted to the library.
 */
const BASE = {
  long: 0.35,
  wide: 0.16,
  high: 0.5,
  wobblesFrom: 0.3,
  wobble: 0.5,
  unbalanced: 0.55,
  usual: 0.15,
  small: 0.6,
} as const;

/** The less floor is under a body and the nearer its weight is to the rim, the more balance. */
function baseOf(bodies: readonly Body[], statics: readonly Statics[], held: number): LoadPart {
  const values = statics.map(({ supports, balanced, centre }, index) => {
    const places = supports.filter(({ share }) => share > TOUCH).map(({ at }) => at);
    const spread = (axis: 0 | 2): number =>
      places.length === 0
        ? 0
        : Math.max(...places.map((at) => at[axis])) - Math.min(...places.map((at) => at[axis]));
    const [long, wide] = [Math.min(1, spread(0) / BASE.long), Math.min(1, spread(2) / BASE.wide)];
    const narrow = 1 - long / 2 - wide / 2;
    const height = Math.min(1, centre[1] / BASE.high);
    const isHigh = bodies[index]?.pose.rest.some(([, at]) => at > BASE.wobblesFrom);
    const asked = balanced ? narrow * (0.5 + height) : BASE.unbalanced * (1 - held);
    return asked + (isHigh ? BASE.wobble : 0);
  });
  const most = Math.max(...values);
  const words = most > BASE.small ? 'the base is small' : 'the base is wide';
  return part('base', most - BASE.usual, words);
}

/** A tilt of the pelvis is shared with the hips: half of it is the back's. Common practice. */
const TILT_COUNTS = 0.5;

function rangeOf(bodies: readonly Body[]): LoadPart {
  const change = (a: Body, b: Body): number =>
    [0, 1, 2].reduce((sum, index) => {
      const at = index as 0 | 1 | 2;
      return (
        sum +
        Math.abs(a.pose.round[at] - b.pose.round[at]) +
        Math.abs(a.pose.side[at] - b.pose.side[at]) +
        Math.abs(a.pose.turn[at] - b.pose.turn[at])
      );
    }, 0) +
    tilt(a, b) * TILT_COUNTS;
  let most = 0;
  bodies.slice(1).forEach((body, index) => {
    const before = bodies[index];
    if (before) most = Math.max(most, change(before, body));
  });
  return part('range', most, `the back and pelvis go through ${Math.round(most)}°`);
}

function tilt(a: Body, b: Body): number {
  const between = dot(rotate(a.pelvisTurn, UP), rotate(b.pelvisTurn, UP));
  return toDegrees(Math.acos(Math.max(-1, Math.min(1, between))));
}

/** A spring that carries: from this force on it leaves nothing to do; what is missing counts less than a pull. */
const CARRYING = { fullN: 200, counts: 0.8 } as const;

function springOf(settings: MachineSetting | undefined): LoadPart {
  const force = springForceN(settings);
  if (force === 0) return part('spring', 0, 'no spring');
  if (settings?.moreSpring === 'easier') {
    const missing = Math.max(0, CARRYING.fullN - force);
    return part(
      'spring',
      missing * CARRYING.counts,
      `the spring carries about ${force} N; less is harder`,
    );
  }
  return part('spring', force, `the spring pulls with about ${force} N at mid stroke`);
}

/** Thousandths of body weight times stature. */
function perMille(moment: number): string {
  return `${Math.round(moment * 1000)} ‰ of weight × stature`;
}
