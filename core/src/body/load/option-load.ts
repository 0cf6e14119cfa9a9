import type { Exercise, Option, PropUse } from '../../movement/exercise.ts';
import { peakOfEither, measuresOf, type OptionMeasures } from '../measures/measures-of.ts';
import type { WholeMeasure } from '../measures/measure-names.ts';
import { PROP_WORDS } from '../../movement/words.ts';
import { BODY_SIDES } from '../full-pose.ts';
import { bodiesOf } from '../option-body.ts';
import { springForceN } from '../springs.ts';
import { movingOf } from './moving.ts';

/** One reason why an option asks what it asks. */
export interface LoadPart {
  name:
    | 'front of the trunk'
    | 'back of the trunk'
    | 'side of the trunk'
    | 'hips'
    | 'knees'
    | 'arms that bear'
    | 'arms that lift'
    | 'neck'
    | 'upside down'
    | 'balance'
    | 'range'
    | 'momentum'
    | 'moving limbs'
    | 'stillness'
    | 'prop that loads'
    | 'spring'
    | 'carriage';
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

/** What a measure gives: no points up to `from`, `most` from `full` on, straight between. */
interface Scale {
  most: number;
  from: number;
  full: number;
}

/**
 * The measures are those of the body model, the springs among them, from the first key pose to the last and
 * between; `full` stands near what the library's hardest options show. What the points weigh is common
 * practice: they put options in order, they are no unit of work.
 */
const SCALE = {
  'front of the trunk': { most: 26, from: 0, full: 90 },
  'back of the trunk': { most: 12, from: 15, full: 125 },
  'side of the trunk': { most: 10, from: 5, full: 85 },
  hips: { most: 16, from: 8, full: 138 },
  knees: { most: 6, from: 8, full: 118 },
  'arms that bear': { most: 6, from: 0.12, full: 0.72 },
  'arms that lift': { most: 8, from: 17, full: 127 },
  neck: { most: 5, from: 0, full: 12 },
  'upside down': { most: 12, from: 6, full: 36 },
  balance: { most: 14, from: 0, full: 1 },
  range: { most: 14, from: 0, full: 1 },
  momentum: { most: 5, from: 50, full: 60 },
  'moving limbs': { most: 4, from: 0, full: 4 },
  stillness: { most: 2, from: 0, full: 1 },
  'prop that loads': { most: 3, from: 0, full: 1 },
  spring: { most: 10, from: 0, full: 260 },
  carriage: { most: 8, from: 0, full: 1 },
} as const satisfies Record<LoadPart['name'], Scale>;

const LOADS = new WeakMap<Option, OptionLoad>();

/** How much an option asks by the body model, and of what that is made. */
export function optionLoadOf(option: Option): OptionLoad {
  const known = LOADS.get(option);
  if (known) return known;
  const made = weighOption(option);
  LOADS.set(option, made);
  return made;
}

const SCORES = new WeakMap<Option, number>();

/** What was worked out before, so that nobody waits for it. */
export function keepLoad(option: Option, score: number): void {
  SCORES.set(option, score);
}

/** How much an option asks, 0 rest to 100, without its reasons. */
export function loadOf(option: Option): number {
  return SCORES.get(option) ?? optionLoadOf(option).score;
}

/** The scale that classes are planned with: points of load to a step, in halves, and the last step. */
const EFFORT = { pointsAStep: 10.5, most: 5 } as const;

/**
 * The most that some exercises ask of a class, whatever their shape weighs: the way up is done once, in passing;
 * into a stretch one lets go. Common practice.
 */
const EFFORT_AT_MOST = { 'way-up': 1, stretch: 1.5 } as const;

/** How hard it is on the scale that classes are planned with, 0 rest to 5 very strong: as is said, else by its load. */
export function effortOf(exercise: Pick<Exercise, 'family' | 'closing'>, option: Option): number {
  if (option.effort !== undefined) return option.effort;
  const effort = Math.min(EFFORT.most, Math.round((loadOf(option) / EFFORT.pointsAStep) * 2) / 2);
  if (exercise.closing === 'way-up') return Math.min(effort, EFFORT_AT_MOST['way-up']);
  return exercise.family === 'release' ? Math.min(effort, EFFORT_AT_MOST.stretch) : effort;
}

/** The standard option's effort. */
export function effortOfExercise(exercise: Exercise): number {
  const option = exercise.options[exercise.standard - 1];
  return option ? effortOf(exercise, option) : 0;
}

function weighOption(option: Option): OptionLoad {
  const measures = measuresOf(option);
  const work = [
    ...heldParts(measures, option),
    ...placeParts(measures, option),
    ...movementParts(measures, option),
    springPart(option),
    propPart(option),
  ];
  const parts = [...work, carriagePart(option, sumOf(work))].filter(({ points }) => points > 0);
  const score = sumOf(parts);
  return { score: Math.round(Math.min(100, score)), parts };
}

function sumOf(parts: readonly LoadPart[]): number {
  return parts.reduce((sum, { points }) => sum + points, 0);
}

function part(name: LoadPart['name'], value: number, because: string): LoadPart {
  const { most, from, full }: Scale = SCALE[name];
  const points = Math.min(1, Math.max(0, (value - from) / (full - from))) * most;
  return { name, points: Math.round(points * 10) / 10, because };
}

/** What is not known counts half of the most that it could be. */
function unknownPart(name: LoadPart['name']): LoadPart {
  return { name, points: SCALE[name].most / 2, because: `${name}: not known, counted half` };
}

function measuredPart(
  name: LoadPart['name'],
  value: number | undefined,
  tell: (value: number) => string,
): LoadPart {
  return value === undefined ? unknownPart(name) : part(name, value, tell(value));
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

/** Of what the front of the trunk holds, so much is left with a prop behind it: common practice. */
const PROPPED_LEAVES = 0.65;

function isPropped({ props }: Option): boolean {
  return props.some(({ role, place }) => role === 'support' && TRUNK_PLACES.has(place));
}

/** What muscles hold. */
function heldParts(measures: OptionMeasures, option: Option): LoadPart[] {
  const belly = measures.whole.belly?.peak;
  const propped = isPropped(option);
  const peak = (name: WholeMeasure) => measures.whole[name]?.peak;
  return [
    measuredPart(
      'front of the trunk',
      belly === undefined || !propped ? belly : belly * PROPPED_LEAVES,
      (at) => `the belly holds ${perMille(at)}${propped ? ', what the prop leaves of it' : ''}`,
    ),
    measuredPart('back of the trunk', peak('backHold'), (at) => `the back holds ${perMille(at)}`),
    measuredPart(
      'side of the trunk',
      peak('sideHold'),
      (at) => `the side of the trunk holds ${perMille(at)}`,
    ),
    measuredPart('hips', peak('hipHold'), (at) => `both hips hold ${perMille(at)}`),
    measuredPart('knees', peak('kneeHold'), (at) => `both knees hold ${perMille(at)}`),
    measuredPart(
      'arms that bear',
      bearing(measures),
      (at) => `the arms carry ${Math.round(at * 100)} % of body weight`,
    ),
    measuredPart(
      'arms that lift',
      peak('shoulderHold'),
      (at) => `both shoulders hold ${perMille(at)}`,
    ),
    measuredPart('neck', peak('neckFree'), (at) => `nothing carries the head: ${perMille(at)}`),
  ];
}

/** An elbow asks less than a hand: common practice. */
const ELBOW_COUNTS = 0.8;

function bearing(measures: OptionMeasures): number | undefined {
  const { right, left } = measures.sides;
  const [onRight, onLeft] = [right.shoulderLoad?.peak, left.shoulderLoad?.peak];
  const elbows = peakOfEither(measures, 'elbows');
  if (onRight === undefined || onLeft === undefined || elbows === undefined) return undefined;
  return (onRight + onLeft) * (elbows > 0 ? ELBOW_COUNTS : 1);
}

/** Where the body is: over or under its heart, near to tipping, on what moves. */
function placeParts(measures: OptionMeasures, option: Option): LoadPart[] {
  const peak = (name: WholeMeasure) => measures.whole[name]?.peak;
  const tips = peak('tips');
  const onMoving = option.demands.includes('moving-platform');
  const ground = !onMoving ? 0 : holdsBar(option) ? MOVING_GROUND / 2 : MOVING_GROUND;
  const high = peak('hipsHigh');
  const folded = standsFolded(option);
  return [
    measuredPart(
      'upside down',
      high === undefined || !folded ? high : high * FOLDED_COUNTS,
      () =>
        `the hips come ${Math.round(high ?? 0)} cm over the heart${folded ? ', the feet down' : ''}`,
    ),
    measuredPart('balance', tips === undefined ? undefined : Math.max(tips, ground), (at) =>
      onMoving && at === ground
        ? 'what it stands on moves'
        : `${Math.round(at * 100)} % of the way to tipping`,
    ),
  ];
}

/** On a carriage even a wide base asks so much of balance, half of it with a bar in the hands. Common practice. */
const MOVING_GROUND = 0.5;

function holdsBar(option: Option): boolean {
  return bodiesOf(option).every(({ pose }) =>
    BODY_SIDES.some((side) => pose[side].arm.hand === 'bar'),
  );
}

/** Hips that are high over feet that stand are a fold, which asks less than a trunk upside down. Common practice. */
const FOLDED_COUNTS = 0.5;

function standsFolded(option: Option): boolean {
  return bodiesOf(option).every(({ pose }) =>
    pose.rest.every(([at]) => at === 'feet' || at === 'toes' || at === 'hands'),
  );
}

const LOADED_BENDS = ['loadedRound', 'loadedArch', 'loadedSide', 'loadedTurn'] as const;
/** A bend that carries nothing asks less than one under load. Common practice. */
const UNLOADED_COUNTS = 0.3;

function movementParts(measures: OptionMeasures, option: Option): LoadPart[] {
  const bodies = bodiesOf(option);
  const moving = movingOf(bodies);
  const end = measures.whole.backEnd?.peak;
  const bends = LOADED_BENDS.map((name) => measures.whole[name]?.peak);
  const loaded = bends.some((bend) => bend === undefined || bend > 0);
  const rolls = bodies.some(({ pose }) => pose.rest.some(([at]) => ROLLED_ON.has(at)));
  const nothingMoves =
    moving.limbs === 0 && moving.backDeg < STILL_DEG && moving.pelvisDeg < STILL_DEG;
  const lies = (measures.whole.flat?.peak ?? 0) > 0;
  return [
    measuredPart(
      'range',
      end === undefined ? undefined : end * (loaded ? 1 : UNLOADED_COUNTS),
      () =>
        `the back goes to ${Math.round((end ?? 0) * 100)} % of its range${loaded ? ' under load' : ', without load'}`,
    ),
    part(
      'momentum',
      rolls ? moving.pelvisDeg : 0,
      `the body rolls through ${Math.round(moving.pelvisDeg)}°`,
    ),
    part(
      'moving limbs',
      moving.limbs,
      moving.limbs === 1
        ? 'one limb travels, or a pair that does the same'
        : `${moving.limbs} limbs travel, each its own way`,
    ),
    part('stillness', nothingMoves && !lies ? 1 : 0, 'it is held still'),
  ];
}

/** A change of less is no movement. */
const STILL_DEG = 6;
const ROLLED_ON: ReadonlySet<string> = new Set(['waist', 'ribs', 'shoulders']);

/** A spring that carries: from this force on it leaves nothing to do; what is missing counts less than a pull. */
const CARRYING = { fullN: 200, counts: 0.8 } as const;

/** What the limbs on it feel is in the hips, knees and shoulders; this is the control that it asks besides. */
function springPart({ settings }: Option): LoadPart {
  const force = springForceN(settings);
  // Where nobody says what one more does, the springs only hold the carriage.
  if (force === 0 || !settings?.moreSpring) return part('spring', 0, 'no spring at work');
  if (settings.moreSpring === 'easier') {
    const missing = Math.max(0, CARRYING.fullN - force);
    return part(
      'spring',
      missing * CARRYING.counts,
      `the spring carries about ${force} N; less is harder`,
    );
  }
  return part('spring', force, `the spring pulls with about ${force} N at mid stroke`);
}

/** Of stature: a carriage that goes farther is worked with. */
const CARRIAGE_GOES = 0.03;

/** Points of other work beside which it no longer counts that the carriage moves. */
const CARRIAGE_COUNTS_UNDER = 35;

/**
 * A carriage is moved and held back again, both ways, which a mat does not ask; it counts the less, the more is
 * asked besides. Common practice.
 */
function carriagePart(option: Option, besides: number): LoadPart {
  const outs = bodiesOf(option).map(({ pose }) => pose.machine?.out ?? 0);
  const goes = Math.max(...outs) - Math.min(...outs) > CARRIAGE_GOES;
  return part(
    'carriage',
    goes ? 1 - besides / CARRIAGE_COUNTS_UNDER : 0,
    'the carriage goes both ways',
  );
}

/** Weights, bands and rings are not weighed: their strength is the studio's. */
function propPart({ props }: Option): LoadPart {
  const load = props.find(({ role, optional }) => role === 'load' && !optional);
  return part(
    'prop that loads',
    load ? 1 : 0,
    load ? `a ${PROP_WORDS[load.prop]} is lifted, pressed or stretched` : 'no prop loads it',
  );
}

/** Thousandths of body weight times stature. */
function perMille(moment: number): string {
  return `${Math.round(moment)} ‰ of weight × stature`;
}
