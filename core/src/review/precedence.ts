import { demandOf } from '../body/demand.ts';
import { mobilityOf } from '../body/mobility.ts';
import type { Dose } from '../movement/dose.ts';
import type { Exercise, Option } from '../movement/exercise.ts';
import type { RuleId } from '../plan/school.ts';
import type { TimedItem } from '../plan/timing/timeline.ts';

/** As much of an item as decides what should come before it: shared by the rules and the search. */
export interface Placeable {
  exercise: Exercise;
  option: Option;
  dose: Dose;
  timed: Pick<TimedItem, 'moves' | 'position'>;
}

/** Says in words why `first` should come before `second`, or nothing where the rule has no wish. */
type Wish = (first: Placeable, second: Placeable) => string | undefined;

/** Steps of the pelvis: tilt, side to side, round. Common practice. */
function pelvisStep({ exercise, timed }: Placeable): number {
  const isPelvic =
    exercise.family === 'awareness' &&
    timed.position === 'supine' &&
    exercise.teaches.some(({ foundation }) => foundation === 'pelvis');
  if (!isPelvic) return 0;
  const moves = new Set(timed.moves);
  if (moves.has('still')) return 0;
  if (moves.size > 2) return 3;
  return moves.has('side') || moves.has('turn') ? 2 : 1;
}

const PELVIS_WORDS = ['', 'tilt forward and back', 'tilt side to side', 'go round'] as const;

const pelvisSequence: Wish = (first, second) => {
  const [one, two] = [pelvisStep(first), pelvisStep(second)];
  if (one === 0 || two === 0 || one >= two) return undefined;
  return `the pelvis learns to ${PELVIS_WORDS[one] ?? ''} before it learns to ${PELVIS_WORDS[two] ?? ''}`;
};

/** Points of demand between two items of one kind that make an order of them. */
const LEVER_STEP = 10;

/** Items of one movement family: either can stand in for the other. */
function areKin(a: Placeable, b: Placeable): boolean {
  if (a.exercise.slug === b.exercise.slug) return true;
  if (a.timed.position !== b.timed.position) return false;
  // What prepares the other comes first, whatever it weighs.
  if (a.exercise.prepares.includes(b.exercise.slug)) return false;
  if (b.exercise.prepares.includes(a.exercise.slug)) return false;
  const isSoft = (each: Placeable) => each.exercise.family === 'release';
  if (isSoft(a) || isSoft(b)) return false;
  return a.exercise.swaps.includes(b.exercise.slug) && b.exercise.family === a.exercise.family;
}

const shortBeforeLong: Wish = (first, second) => {
  if (!areKin(first, second) && !areKin(second, first)) return undefined;
  const [light, heavy] = [demandOf(first.option).score, demandOf(second.option).score];
  if (heavy - light < LEVER_STEP) return undefined;
  return `${first.exercise.name} asks ${light} of 100, ${second.exercise.name} ${heavy}: the shorter lever comes first`;
};

const isBackLift = ({ timed }: Placeable) =>
  timed.position === 'prone' && timed.moves.includes('arch');
const isOneSided = ({ dose }: Placeable) => dose.sides !== 'none';
const raisesOneArm = ({ exercise }: Placeable) => exercise.bodyParts.includes('shoulders');
const lowersBothLegs = ({ option }: Placeable) => option.demands.includes('double-leg-lower');

const bothThenOne: Wish = (first, second) => {
  if (isBackLift(first) && isBackLift(second) && !isOneSided(first) && isOneSided(second)) {
    if (raisesOneArm(first) && raisesOneArm(second)) {
      return 'both sides of the back lift together before one side does alone';
    }
  }
  const isLegWork = (item: Placeable) =>
    item.timed.position === 'supine' &&
    item.exercise.teaches.some(({ foundation }) => foundation === 'levers');
  if (isLegWork(first) && isOneSided(first) && !lowersBothLegs(first) && lowersBothLegs(second)) {
    return 'one leg moves away from the trunk before both do';
  }
  return undefined;
};

const partsThenWhole: Wish = (first, second) =>
  first.exercise.prepares.includes(second.exercise.slug) &&
  !second.exercise.prepares.includes(first.exercise.slug)
    ? `${first.exercise.name} prepares ${second.exercise.name}`
    : undefined;

/** Props that make the option harder. */
export const challenges = ({ option }: Pick<Placeable, 'option'>) =>
  option.props.filter(
    ({ role, optional }) => !optional && (role === 'challenge' || role === 'load'),
  );

const rehearseThenProp: Wish = (first, second) => {
  if (first.exercise.slug !== second.exercise.slug) return undefined;
  const [prop] = challenges(second);
  if (!prop || challenges(first).length > 0) return undefined;
  return `${first.exercise.name} is learned without the ${prop.prop.replace('-', ' ')} before it makes it harder`;
};

/** Deep turners of the hip lie under the long muscles at its back. Common practice. */
const isOuterStretch = ({ exercise }: Placeable) =>
  exercise.family === 'release' &&
  exercise.bodyParts.includes('legs') &&
  exercise.bodyParts.some((part) => part === 'hip-back' || part === 'hip-outside');
const isDeepStretch = ({ exercise }: Placeable) =>
  exercise.family === 'release' &&
  exercise.bodyParts.includes('hip-outside') &&
  !exercise.bodyParts.includes('legs') &&
  !exercise.bodyParts.includes('shoulders');

const layers: Wish = (first, second) =>
  isOuterStretch(first) && isDeepStretch(second)
    ? 'the long outer muscle lets go before the deep short one'
    : undefined;

/** Degrees from which a part of the back counts as mobilised. */
const MOBILE_DEG = 12;

/** What moves the lower back, and what moves the upper back alone. */
export function backMoved({ exercise, option, timed }: Placeable): 'low' | 'high' | 'neither' {
  if (exercise.family === 'release' || timed.moves.every((move) => move === 'still')) {
    return 'neither';
  }
  const { lowDeg, highDeg } = mobilityOf(option);
  if (lowDeg >= MOBILE_DEG) return 'low';
  return highDeg >= MOBILE_DEG ? 'high' : 'neither';
}

/**
 * Rules that say of two items which comes first, for any pair of a class. The rule files tell them as
 * findings; the search turns them into constraints or costs.
 */
export const PRECEDENCES: Partial<Record<RuleId, Wish>> = {
  'pelvis-sequence': pelvisSequence,
  'short-before-long': shortBeforeLong,
  'both-then-one': bothThenOne,
  'parts-then-whole': partsThenWhole,
  'rehearse-then-prop': rehearseThenProp,
  layers,
};
