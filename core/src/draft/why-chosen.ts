import { effortOfExercise } from '../body/load/option-load.ts';
import { leadsTo, movesOf, type Exercise } from '../movement/exercise.ts';
import {
  BODY_PART_WORDS,
  capital,
  DIRECTION_WORDS,
  FOUNDATION_WORDS,
  listWords,
} from '../movement/words.ts';
import { teachesFor } from '../movement/foundation-depth.ts';
import type { Plan } from '../plan/plan.ts';
import type { Group } from '../review/group.ts';
import { blockIdOf } from './block.ts';
import { comesBefore, PARTS_FIRST } from './parts-first.ts';
import type { DraftContext } from './pool.ts';
import type { DraftWishes } from './wishes.ts';

/** An exercise of the draft in its place. */
interface Placed {
  id: string;
  exercise: Exercise;
  block: string;
  /** In its block. */
  index: number;
  of: readonly Exercise[];
  before: readonly Exercise[];
  later: readonly Exercise[];
}

/** Two things are as much as anybody reads; of an arrival and of the end one is enough. */
const REASONS = 2;

/** Why each item is in the class, by item id, as a teacher would say it: what was asked for, its place, what it goes with. */
export function whyChosen(
  plan: Plan,
  wishes: DraftWishes,
  { catalogue }: DraftContext,
  group: Group,
): Record<string, string> {
  return Object.fromEntries(
    placedIn(plan, catalogue).map((placed) => {
      const reasons = [
        ...asked(placed, wishes),
        ...themes(placed.exercise, wishes),
        ...role(placed),
        ...goesWith(placed, group),
        ...worksOn(placed.exercise),
      ];
      const most = placed.block === 'arrive' || isEnd(placed) ? 1 : REASONS;
      return [placed.id, `${capital(reasons.slice(0, most).join('; '))}.`];
    }),
  );
}

const isEnd = ({ block, index, of }: Placed) => block === 'close' && index === of.length - 1;

function placedIn(plan: Plan, catalogue: DraftContext['catalogue']): Placed[] {
  const all = plan.segments.flatMap((segment) => {
    const held = segment.items.flatMap((item) =>
      item.kind === 'exercise' ? [{ id: item.id, exercise: catalogue.require(item.exercise) }] : [],
    );
    const of = held.map(({ exercise }) => exercise);
    return held.map((each, index) => ({ ...each, block: blockIdOf(segment.id), index, of }));
  });
  const exercises = all.map(({ exercise }) => exercise);
  return all.map((each, at) => ({
    ...each,
    before: exercises.slice(0, at),
    later: exercises.slice(at + 1),
  }));
}

function asked({ exercise, later }: Placed, { mustHave, climbTo }: DraftWishes): string[] {
  if (climbTo === exercise.slug) return ['what the class climbs to'];
  if (mustHave.includes(exercise.slug)) return ['you asked for it'];
  if (!climbTo) return [];
  const next = leadsTo(exercise);
  const goal = later.find(({ slug }) => slug === climbTo && next.includes(slug));
  if (goal) return [`a rung to ${goal.name}`];
  const rung = later.find((each) => next.includes(each.slug) && leadsTo(each).includes(climbTo));
  return rung ? [`a rung to ${rung.name}`] : [];
}

function themes(exercise: Exercise, wishes: DraftWishes): string[] {
  const words = [
    ...wishes.foundations
      .filter((id) => exercise.teaches.some(({ foundation }) => foundation === id))
      .map((id) => FOUNDATION_WORDS[id]),
    ...wishes.bodyParts
      .filter((part) => exercise.bodyParts.includes(part))
      .map((part) => BODY_PART_WORDS[part]),
    ...wishes.directions
      .filter((id) => movesOf(exercise).some((move) => move === id.split('-')[0]))
      .map((id) => DIRECTION_WORDS[id]),
  ];
  return words.length > 0 ? [`your theme, ${listWords(words)}`] : [];
}

/** How it ends a class is all that is said of a rest. */
function worksOn({ bodyParts, closing }: Exercise): string[] {
  if (closing) return [];
  return [`for ${listWords(bodyParts.slice(0, 2).map((part) => BODY_PART_WORDS[part]))}`];
}

const PLAIN_BRIDGE = PARTS_FIRST.find(({ parts }) => parts.includes('bridge-roll'));
const isUp = ({ position }: Exercise) => position === 'plank' || position === 'side-support';

/** What is said of the first of a block. */
const OPENS: Readonly<Record<string, string>> = {
  warm: 'small and soft, while everybody still arrives',
  sides: 'begins the side small',
  upright: 'brings everybody upright, where all of it is used',
  standing: 'brings everybody to their feet, where all of it is used',
  feet: 'warms feet, knees and hips on one heavy setting',
  loops: 'frees the hips while the machine carries the legs',
  box: 'the box once, for what only it can do',
  arms: 'light springs, upright',
  legs: 'legs, while trunk and hands rest',
  turns: 'upright, while the hands rest',
  together: 'all together, on their feet',
  back: 'known work on the back, which runs on few words',
  'together-again': 'all together again, sitting',
};

/** Where it stands in its block, if that says something. */
function role({ exercise, block, index, of }: Placed): string[] {
  const isLast = index === of.length - 1;
  const letsGo = exercise.family === 'release';
  if (exercise.closing === 'way-up') return ['brings everyone up slowly'];
  if (exercise.closing === 'rest') return ['rests at the end, and only there'];
  switch (block) {
    case 'arrive':
      if (index > 0) return ['small and soft, while everybody still arrives'];
      return exercise.teaches.some(({ foundation }) => foundation === 'breath')
        ? ['opens the class with the breath, before anything is asked']
        : ['lets everybody arrive before anything is asked'];
    case 'sequence':
      return exercise.classicOrder
        ? [`number ${exercise.classicOrder} of the published order`]
        : [];
    case 'wake':
      if (PLAIN_BRIDGE?.parts.includes(exercise.slug)) return ['plain, before anything is added'];
      return exercise.slug === 'chest-lift' ? ['the first curl, and a small one'] : [];
    case 'sides':
      if (isLast && exercise.family !== 'hips') {
        return ['opens the side that worked, before everybody rolls over once'];
      }
      break;
    case 'hands':
      if (exercise.machine === 'reformer') {
        return index === 0 ? ['hands and knees at the bar, on medium springs'] : [];
      }
      if (letsGo) return [];
      if (exercise.position === 'prone' && index === 0) {
        return ['opens the back, after all that rounded'];
      }
      if (isTop(exercise, of) && isUp(exercise)) return ['the top of the class, on the hands'];
      if (exercise.position === 'quadruped' && !of.slice(0, index).some(isOnHands)) {
        return ['brings the weight to the hands'];
      }
      return [];
    case 'close':
      return isLast ? ['ends the class as softly as it began'] : [];
  }
  if (index === 0 && OPENS[block]) return [OPENS[block]];
  return of.length > 2 && block !== 'warm' && isTop(exercise, of) ? ['the top of this part'] : [];
}

const isOnHands = (exercise: Exercise) =>
  exercise.family !== 'release' && (exercise.position === 'quadruped' || isUp(exercise));

function isTop(exercise: Exercise, of: readonly Exercise[]): boolean {
  const efforts = of.map(effortOfExercise);
  const most = Math.max(...efforts);
  return (
    effortOfExercise(exercise) === most && efforts.filter((each) => each === most).length === 1
  );
}

/** Effort from which something is let go of. */
const WORK = 1;

/** What worked most of what is stretched, and of equals the last. */
function workedMost({ bodyParts }: Exercise, before: readonly Exercise[]): Exercise | undefined {
  const shared = (each: Exercise) =>
    each.bodyParts.filter((part) => bodyParts.includes(part)).length;
  return before
    .filter(
      (each) => each.family !== 'release' && effortOfExercise(each) >= WORK && shared(each) > 0,
    )
    .reduce<Exercise | undefined>((most, each) => {
      const isMore =
        !most ||
        shared(each) > shared(most) ||
        (shared(each) === shared(most) && effortOfExercise(each) >= effortOfExercise(most));
      return isMore ? each : most;
    }, undefined);
}

/** What it goes with in this class: what it lets go of, builds on, answers, readies for, or adds to the one before. */
function goesWith({ exercise, before, later, of, index }: Placed, group: Group): string[] {
  if (exercise.closing) return [];
  if (exercise.family === 'release') {
    // What stands beside it in its block comes to mind before anything that is further back.
    const worked = workedMost(exercise, of.slice(0, index)) ?? workedMost(exercise, before);
    return [worked ? `lets go after ${worked.name}` : 'lets go'];
  }
  // Everybody has arrived on the machine when the footwork begins: that is no part of it.
  const part = before.findLast(
    (each) =>
      comesBefore(each, exercise) && !(each.machine === 'reformer' && each.family === 'awareness'),
  );
  const answered = before.findLast(({ counters }) => counters.includes(exercise.slug));
  const whole = later.find((each) => comesBefore(exercise, each));
  const few = rare(exercise, [...before, ...later]);
  const last = of[index - 1];
  return [
    ...(part ? [`builds on ${part.name}`] : []),
    ...(answered ? [`answers ${answered.name}`] : []),
    ...(whole ? [`readies for ${whole.name}`] : taught(exercise, before, later, group)),
    ...few,
    ...(last && few.length === 0 ? added(exercise, last) : []),
  ];
}

const WAY_WORDS = {
  round: 'rounds the back',
  arch: 'arches the back',
  turn: 'turns both ways',
  side: 'bends to both sides',
} as const;

/** What it does that the one before it did not. */
function added(exercise: Exercise, last: Exercise): string[] {
  const ways = movesOf(exercise).filter(
    (move) => move !== 'still' && !movesOf(last).includes(move),
  );
  const [way] = ways.flatMap((move) => (move === 'still' ? [] : [WAY_WORDS[move]]));
  if (way) return [way];
  const more = effortOfExercise(exercise) - effortOfExercise(last);
  return more > 0 ? [`a step up from ${last.name}`] : [];
}

/** One of few that go some way are there for it. */
function rare(exercise: Exercise, others: readonly Exercise[]): string[] {
  return movesOf(exercise).flatMap((move) => {
    if (move === 'still' || others.filter((each) => movesOf(each).includes(move)).length > 1)
      return [];
    return [`${WAY_WORDS[move]}, which little else does here`];
  });
}

/** What a later one needs, and this one is the first to teach. */
function taught(
  exercise: Exercise,
  before: readonly Exercise[],
  later: readonly Exercise[],
  group: Group,
): string[] {
  for (const next of later) {
    const need = next.needs.find(
      (each) =>
        each.depth > 1 &&
        !group.holds(each.foundation, each.depth) &&
        teachesFor(exercise, each) &&
        !before.some((earlier) => teachesFor(earlier, each)),
    );
    if (need) return [`${FOUNDATION_WORDS[need.foundation]}, for ${next.name} later`];
  }
  return [];
}
