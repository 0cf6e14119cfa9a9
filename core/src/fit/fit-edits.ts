import { doseAmount, usedWithin, withDoseAmount, type Dose } from '../movement/dose.ts';
import { closingRank, usualRange, type Exercise } from '../movement/exercise.ts';
import { listWords } from '../movement/words.ts';
import type { Edit } from '../plan/edits.ts';
import type { PauseItem } from '../plan/plan.ts';
import { itemsOf } from '../plan/plan.ts';
import { addWhereItFits } from '../review/light-additions.ts';
import type { RuleContext, Worked } from '../review/rule.ts';
import { unusedOf } from '../review/running-order.ts';

/** Something that makes a class shorter or longer. */
export interface FitEdit {
  /** What it is about: of several about one thing, one is taken. */
  about: string;
  /** The item that it changes; none where one is added. */
  itemId?: string;
  label: string;
  /** The same where there is little room. */
  brief: string;
  /** What it costs the class, in words. */
  why: string;
  edit: Edit;
  /** How gladly it is done: a step of a dose 1 to 5, something left out from 8. Common practice. */
  cost: number;
  /** It changes what is in the class: to be looked at again by the rules. */
  changesContent: boolean;
  /** Items of which one at least has to stay. */
  needsOneOf?: readonly string[];
}

export const FIT_COST = {
  /** A dose within what is usual, and as much again at its end. */
  dose: 1,
  doseAtEnd: 4,
  set: 3,
  round: 2,
  rest: 2,
  pause: 2.5,
  leaveOut: 8,
  add: 5,
  /** It is the only one of its kind. */
  onlyOne: 5,
  /** What the review would say more. */
  finding: 1.5,
} as const;

/** A pause keeps half of its time. */
const PAUSE_KEPT = 0.5;
const PAUSE_STEP_S = 15;
const SHORTEST_PAUSE_S = 15;
const MOST_SETS = 3;
const LONGEST_REST_S = 60;

/** Everything that makes a class shorter, or longer, and keeps what is usual. */
export function fitEdits(context: RuleContext, way: 'shorter' | 'longer'): FitEdit[] {
  const { plan, worked } = context;
  const pauses = itemsOf(plan).filter((item) => item.kind === 'pause');
  const ofItems = [
    ...worked.flatMap((each) => [...doses(each, way), ...sets(each, way)]),
    ...rounds(context, way),
  ];
  return way === 'shorter'
    ? [...ofItems, ...worked.flatMap(noRest), ...pauses.flatMap(shorterPause), ...leftOut(context)]
    : [...ofItems, ...added(context)];
}

/** Other doses within the usual range, by the numbers that people use. */
function doses({ item, exercise, option, dose }: Worked, way: 'shorter' | 'longer'): FitEdit[] {
  // Each variant has its own count, which nobody changes for the teacher; nor is the clock of timed sets.
  if (item.variants || dose.kind === 'timed' || dose.kind !== exercise.dose.kind) return [];
  // Letting go is what gets lost when a class runs late.
  if (way === 'shorter' && exercise.family === 'release') return [];
  const range = usualRange(exercise, option);
  const { least, most } = range;
  const now = doseAmount(dose);
  return usedWithin(dose.kind, range)
    .filter((next) => (way === 'shorter' ? next < now : next > now))
    .map((next) => ({
      about: item.id,
      itemId: item.id,
      label: `${exercise.name}: ${sayAmount(dose, next)} in place of ${sayAmount(dose, now)}`,
      brief: `${exercise.name}: ${sayAmount(dose, next)}`,
      why: `usual is ${least} to ${most}`,
      edit: { type: 'setDose', itemId: item.id, dose: withDoseAmount(dose, next) },
      cost: FIT_COST.dose + (FIT_COST.doseAtEnd * Math.abs(next - now)) / Math.max(1, most - least),
      changesContent: false,
    }));
}

function sayAmount(dose: Dose, amount: number): string {
  return dose.kind === 'hold' || dose.kind === 'free' ? `${amount} s` : String(amount);
}

function sets({ item, exercise, dose }: Worked, way: 'shorter' | 'longer'): FitEdit[] {
  const next = dose.sets + (way === 'shorter' ? -1 : 1);
  const isRest = exercise.family === 'release' || exercise.family === 'awareness';
  if (item.variants || isRest || next < 1 || next > MOST_SETS) return [];
  return [
    {
      about: item.id,
      itemId: item.id,
      label: `${exercise.name}: ${next === 1 ? 'one set' : `${next} sets`} in place of ${dose.sets}`,
      brief: `${exercise.name}: ${next === 1 ? 'once' : `${next} sets`}`,
      why: way === 'shorter' ? 'a set less of it' : 'once more, after a moment',
      edit: { type: 'setDose', itemId: item.id, dose: { ...dose, sets: next } },
      cost: FIT_COST.set,
      changesContent: false,
    },
  ];
}

const ROUNDS = { least: 2, most: 4 } as const;

/** A round more or less is how a class is fitted: everybody knows what comes. */
function rounds({ plan, worked }: RuleContext, way: 'shorter' | 'longer'): FitEdit[] {
  return (plan.brackets ?? []).flatMap((bracket): FitEdit[] => {
    if (bracket.kind !== 'rounds') return [];
    const of = worked.filter(({ item }) => item.bracket === bracket.id);
    const times = bracket.times + (way === 'shorter' ? -1 : 1);
    if (of.length === 0 || times < ROUNDS.least || times > ROUNDS.most) return [];
    const names = listWords(of.map(({ exercise }) => exercise.name));
    return [
      {
        about: bracket.id,
        label: `${names}: ${times} rounds in place of ${bracket.times}`,
        brief: `${names}: ${times} rounds`,
        why: way === 'shorter' ? 'a round less of what is known by then' : 'once more from the top',
        edit: { type: 'setBracket', bracket: { ...bracket, times } },
        cost: FIT_COST.round,
        changesContent: false,
      },
    ];
  });
}

function noRest({ item, exercise }: Worked): FitEdit[] {
  if (item.restS === 0 || item.restS > LONGEST_REST_S) return [];
  return [
    {
      about: `${item.id} rest`,
      itemId: item.id,
      label: `No rest after ${exercise.name}`,
      brief: `No rest after ${exercise.name}`,
      why: 'nobody gets their breath back there',
      edit: { type: 'setRest', itemId: item.id, restS: 0 },
      cost: FIT_COST.rest,
      changesContent: true,
    },
  ];
}

function shorterPause({ id, label, durationS }: PauseItem): FitEdit[] {
  const half = Math.ceil((durationS * PAUSE_KEPT) / PAUSE_STEP_S) * PAUSE_STEP_S;
  const shorter = Math.max(SHORTEST_PAUSE_S, half);
  if (shorter >= durationS) return [];
  return [
    {
      about: id,
      itemId: id,
      label: `${label}: ${shorter} s in place of ${durationS} s`,
      brief: `${label}: ${shorter} s`,
      why: 'half the time to talk or drink',
      edit: { type: 'setPause', itemId: id, label, durationS: shorter },
      cost: FIT_COST.pause,
      changesContent: false,
    },
  ];
}

/** Not the arrival, not the close: what comes first, and the last part. */
function leftOut({ worked, plan }: RuleContext): FitEdit[] {
  const close = plan.segments.length > 1 ? plan.segments.at(-1)?.id : undefined;
  return worked
    .slice(1)
    .filter(({ exercise, timed }) => closingRank(exercise) === 0 && timed.segmentId !== close)
    .map(({ item, exercise }) => {
      const others = worked.filter(({ exercise: other }) => isAlike(exercise, other));
      const [other] = others;
      return {
        about: item.id,
        itemId: item.id,
        label: `Leave ${exercise.name} out`,
        brief: `Without ${exercise.name}`,
        why: other ? `${other.exercise.name} is much the same` : 'nothing else here is like it',
        edit: { type: 'removeItem', itemId: item.id },
        cost: FIT_COST.leaveOut + (other ? 0 : FIT_COST.onlyOne),
        changesContent: true,
        ...(other ? { needsOneOf: others.map((each) => each.item.id) } : {}),
      };
    });
}

/** Much the same to do: in the same position, for the same part of the body, with the same in the hands or on the feet. */
function isAlike(one: Exercise, other: Exercise): boolean {
  const loopsOf = ({ options }: Exercise) => options[0]?.settings?.loops ?? 'none';
  return (
    one.slug !== other.slug &&
    one.family === other.family &&
    (one.tempo === 'breath') === (other.tempo === 'breath') &&
    one.position === other.position &&
    one.bodyParts[0] === other.bodyParts[0] &&
    one.moves.some((move) => other.moves.includes(move)) &&
    loopsOf(one) === loopsOf(other)
  );
}

function added(context: RuleContext): FitEdit[] {
  const families = new Set(context.worked.map(({ exercise }) => exercise.family));
  const { familiar } = context;
  const fresh = unusedOf(context).filter(
    (exercise) =>
      closingRank(exercise) === 0 &&
      families.has(exercise.family) &&
      // What is new takes its own teaching: not to fill a gap.
      (familiar === undefined || familiar.has(exercise.slug)),
  );
  return addWhereItFits(context, fresh).map(({ label, edit }) => ({
    about: label,
    label,
    brief: label,
    why: 'where the class is in its position already',
    edit,
    cost: FIT_COST.add,
    changesContent: true,
  }));
}
