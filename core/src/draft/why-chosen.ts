import { effortOfExercise } from '../body/load/option-load.ts';
import { leadsTo, teachesAwareness, type Exercise } from '../movement/exercise.ts';
import {
  BODY_PART_WORDS,
  capital,
  DIRECTION_WORDS,
  FOUNDATION_WORDS,
  listWords,
} from '../movement/words.ts';
import type { Group } from '../review/group.ts';
import { teachesFor } from '../movement/foundation-depth.ts';
import type { Plan } from '../plan/plan.ts';
import { PARTS_FIRST } from './parts-first.ts';
import type { DraftContext } from './pool.ts';
import type { DraftWishes } from './wishes.ts';

/** Why each item is in the class, by item id: what was asked for first, then what others need. */
export function whyChosen(
  plan: Plan,
  wishes: DraftWishes,
  { catalogue }: DraftContext,
  group: Group,
): Record<string, string> {
  const items = plan.segments.flatMap((segment) => {
    const held = segment.items.flatMap((item) =>
      item.kind === 'exercise' ? [{ id: item.id, exercise: catalogue.require(item.exercise) }] : [],
    );
    return held.map((each, index) => ({
      ...each,
      place: { block: segment.id, index, of: held.map(({ exercise }) => exercise) },
    }));
  });
  return Object.fromEntries(
    items.map(({ id, exercise, place }, at) => {
      const later = items.slice(at + 1).map((each) => each.exercise);
      const reasons = [
        ...asked(exercise, wishes),
        ...climbing(exercise, wishes, later),
        ...themes(exercise, wishes),
        ...opening(exercise, at),
        ...ending(exercise),
        ...roleIn(place, exercise),
        ...teaching(exercise, later, group),
        ...answering(
          exercise,
          items.slice(0, at).map((each) => each.exercise),
        ),
        ...turning(
          exercise,
          items.map((each) => each.exercise),
        ),
      ];
      const [first, second] = reasons;
      // What it is there for is enough; what it needs and teaches is for those that stand in no block.
      const isSaid = roleIn(place, exercise).includes(first ?? '');
      const words = [
        first ?? `works the ${exercise.movers[0] ?? 'whole body'}`,
        ...(isSaid ? [] : [second]),
      ];
      return [id, `${capital(words.filter(Boolean).join('; '))}.`];
    }),
  );
}

function asked({ slug }: Exercise, { mustHave, climbTo }: DraftWishes): string[] {
  if (climbTo === slug) return ['what the class climbs to'];
  return mustHave.includes(slug) ? ['you asked for it'] : [];
}

function climbing(
  exercise: Exercise,
  { climbTo }: DraftWishes,
  later: readonly Exercise[],
): string[] {
  if (!climbTo) return [];
  const next = leadsTo(exercise);
  const goal = later.find(({ slug }) => slug === climbTo && next.includes(slug));
  if (goal) return [`a rung to ${goal.name}`];
  const rung = later.find((each) => next.includes(each.slug) && leadsTo(each).includes(climbTo));
  return rung ? [`a rung to ${rung.name}`] : [];
}

function opening(exercise: Exercise, at: number): string[] {
  if (at > 1 || !teachesAwareness(exercise)) return [];
  return at === 0 ? ['opens the class: the breath, before anything is asked'] : [];
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
      .filter((id) => exercise.moves.some((move) => move === id.split('-')[0]))
      .map((id) => DIRECTION_WORDS[id]),
  ];
  return words.length > 0 ? [`for ${listWords(words)}`] : [];
}

const PLAIN_BRIDGE = PARTS_FIRST.find(({ parts }) => parts.includes('bridge-roll'));

/** Where an exercise stands in its block. */
interface Place {
  block: string;
  index: number;
  of: readonly Exercise[];
}

/** What it is there for in its block, as a teacher would say it. */
function roleIn({ block, index, of }: Place, exercise: Exercise): string[] {
  const efforts = of.map(effortOfExercise);
  const isTop = of.length > 1 && effortOfExercise(exercise) === Math.max(...efforts);
  const isLast = index === of.length - 1;
  const next = of[index + 1];
  if (exercise.family === 'release' && next) return ['lets go before the next one'];
  switch (block) {
    case 'arrive':
    case 'warm':
      return ['small and soft, while everybody still arrives'];
    case 'wake':
      if (PLAIN_BRIDGE?.parts.includes(exercise.slug)) {
        return ['wakes hips and back, plain before anything is added'];
      }
      return PLAIN_BRIDGE?.wholes.includes(exercise.slug)
        ? ['the bridge with one thing added']
        : ['warms what the next part needs'];
    case 'front':
    case 'trunk':
      return isTop
        ? ['the top of this part']
        : ['a step up from the one before, still short of the top'];
    case 'sides':
      if (index === 0) return ['begins the side small, before longer levers'];
      return isLast
        ? ['ends the side: what worked is opened, then everybody rolls over once']
        : ['goes on with the same hip, a little more of it'];
    case 'hands':
      if (isTop) return ['the top of the class: weight on the hands'];
      return exercise.position === 'prone'
        ? ['opens the back, the other way than the front of the trunk']
        : ['brings the weight to the hands by steps'];
    case 'upright':
    case 'standing':
      return ['brings the class upright, where it is used'];
    case 'feet':
      return ['warms feet, knees and hips on one heavy setting'];
    case 'loops':
      return ['frees the hips while the machine carries the legs'];
    case 'box':
      return ['the box once, for what only it can do'];
    case 'arms':
      return ['arms and posture, light and upright'];
    case 'legs':
      return ['legs, while trunk and hands rest'];
    case 'back':
      return ['the back of the body, by the clock'];
    case 'close':
      return ['slow, so that it ends as softly as it began'];
    default:
      return [];
  }
}

function ending({ closing, family }: Exercise): string[] {
  if (closing === 'way-up') return ['brings everyone up slowly'];
  if (closing === 'rest') return ['rests at the end'];
  return family === 'release' ? ['lets go of what worked'] : [];
}

/** What a later item needs and this one teaches. */
function teaching(exercise: Exercise, later: readonly Exercise[], group: Group): string[] {
  for (const next of later) {
    for (const { foundation, depth } of next.needs) {
      if (depth === 0 || group.holds(foundation, depth)) continue;
      if (teachesFor(exercise, { foundation, depth }))
        return [`teaches ${FOUNDATION_WORDS[foundation]}, which ${next.name} needs`];
    }
  }
  const prepared = later.find(({ slug }) => leadsTo(exercise).includes(slug));
  return prepared ? [`prepares ${prepared.name}`] : [];
}

function answering(exercise: Exercise, before: readonly Exercise[]): string[] {
  const answered = before.findLast(({ counters }) => counters.includes(exercise.slug));
  return answered ? [`answers ${answered.name}`] : [];
}

const WAY_WORDS = {
  round: 'rounds',
  arch: 'arches',
  turn: 'turns both ways',
  side: 'bends to both sides',
} as const;

/** The only one of the class to go some way is there for it. */
function turning(exercise: Exercise, all: readonly Exercise[]): string[] {
  const ways = exercise.moves.filter((move) => move !== 'still');
  const rare = ways.find((move) => all.filter(({ moves }) => moves.includes(move)).length <= 2);
  if (rare) return [`${WAY_WORDS[rare]}, which little else does here`];
  const [way] = ways;
  return way ? [WAY_WORDS[way]] : [];
}
