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
import { exerciseItemsOf, type Plan } from '../plan/plan.ts';
import type { DraftContext } from './pool.ts';
import type { DraftWishes } from './wishes.ts';

/** Why each item is in the class, by item id: what was asked for first, then what others need. */
export function whyChosen(
  plan: Plan,
  wishes: DraftWishes,
  { catalogue }: DraftContext,
  group: Group,
): Record<string, string> {
  const items = exerciseItemsOf(plan).map((item) => ({
    id: item.id,
    exercise: catalogue.require(item.exercise),
  }));
  return Object.fromEntries(
    items.map(({ id, exercise }, at) => {
      const later = items.slice(at + 1).map((each) => each.exercise);
      const reasons = [
        ...asked(exercise, wishes),
        ...climbing(exercise, wishes, later),
        ...opening(exercise, at),
        ...themes(exercise, wishes),
        ...ending(exercise),
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
      const words = [first ?? `works the ${exercise.movers[0] ?? 'whole body'}`, second];
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
  return ['opens the class with breath and resting alignment'];
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
