import { demandsOf } from './demands.ts';
import { z } from 'zod';
import type { Catalogue } from '../movement/catalogue.ts';
import type { Exercise, Option } from '../movement/exercise.ts';
import { Id } from '../movement/ids.ts';
import { OptionNumber, SLUG, type Demand, type Position } from '../movement/vocabulary.ts';
import { offeredOptions, type ExerciseItem } from '../plan/plan.ts';
import { cautionOf, type CautionId } from './cautions.ts';
import { cautionsOn, type CautionEntry, type Person } from './person.ts';
import type { Reason } from './reasons.ts';
import { standInsFor } from './stand-ins.ts';

/** What one person does at one item. */
export type Choice =
  | { kind: 'option'; option: number; reasons: Reason[] }
  | { kind: 'swap'; exercise: string; option: number; reasons: Reason[] }
  | { kind: 'rest'; shape: string; reasons: Reason[] };

/** What the teacher decided by hand, instead of the computed choice. */
const HandChoice = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('option'), option: OptionNumber }),
  z.strictObject({
    kind: z.literal('swap'),
    exercise: SLUG,
    option: OptionNumber,
  }),
  z.strictObject({ kind: z.literal('rest') }),
]);
export type HandChoice = z.infer<typeof HandChoice>;

/** As many as a plan has items. */
const MOST_CHOICES = 400;

/** What was decided by hand for one person, by item id. */
export const HandChoices = z
  .record(Id, HandChoice)
  .refine((choices) => Object.keys(choices).length <= MOST_CHOICES, 'more choices than items');

/** Somebody who comes to this class. */
export interface Attendee {
  person: Person;
  /** Cautions of today only, added to those in the record. */
  today?: readonly CautionEntry[];
  /** By item id. */
  byHand?: Readonly<Record<string, HandChoice>>;
}

export const REST_SHAPES = {
  supine: 'on the back, knees bent, hands on the ribs',
  'side-lying': 'on the side, knees bent, head supported',
  prone: 'on the front, forehead on the hands',
  quadruped: 'hips back towards the heels, head down on the arms',
  plank: 'on hands and knees, or hips back towards the heels',
  'side-support': 'on the side, knees bent, head supported',
  seated: 'sitting tall, hands on the thighs',
  kneeling: 'sitting on the heels or on a block',
  standing: 'standing tall, a hand on the wall',
} as const satisfies Record<Position, string>;

/** A rest shape for those who may not lie on the back or front. */
const SIDE_REST = REST_SHAPES['side-lying'];

export interface Restriction {
  caution: CautionId;
  effect: 'avoid' | 'limit' | 'support';
}

/** The strictest effect of a person's cautions on each demand. */
export function restrictionsOf(attendee: Attendee, day: string): Map<Demand, Restriction> {
  const strictness = { support: 1, limit: 2, avoid: 3 };
  const restrictions = new Map<Demand, Restriction>();
  for (const entry of [...cautionsOn(attendee.person, day), ...(attendee.today ?? [])]) {
    const effects = Object.entries(cautionOf(entry.caution).effects);
    for (const [demand, effect] of effects as [Demand, Restriction['effect']][]) {
      const known = restrictions.get(demand);
      if (!known || strictness[effect] > strictness[known.effect]) {
        restrictions.set(demand, { caution: entry.caution, effect });
      }
    }
  }
  return restrictions;
}

/**
 * The highest allowed option at or below the person's own, by demands first and ladder second:
 * an easier option is not always the safer one. With none, a swap in the same position with a
 * shared aim; with no swap, a rest shape.
 */
export function chooseOption(
  attendee: Attendee,
  item: ExerciseItem,
  catalogue: Catalogue,
  day: string,
): Choice {
  const restrictions = restrictionsOf(attendee, day);
  const offered = offeredOptions(item, catalogue.require(item.exercise));
  return chooseAmong(offered, restrictions, attendee, item, catalogue);
}

export function chooseAmong(
  offered: readonly number[],
  restrictions: Map<Demand, Restriction>,
  attendee: Attendee,
  item: ExerciseItem,
  catalogue: Catalogue,
): Choice {
  const exercise = catalogue.require(item.exercise);
  const byHand = attendee.byHand?.[item.id];
  if (byHand) return handChoice(byHand, exercise, catalogue, restrictions);
  const own = ownOption(attendee.person, item, exercise);
  const passedOver: Reason[] = [];
  for (const number of [...offered].reverse()) {
    const option = exercise.options[number - 1];
    if (!option || number > own.option) continue;
    const blocked = firstAvoided(option, restrictions);
    if (blocked) {
      passedOver.push({ code: 'avoids', ...blocked, option: number });
      continue;
    }
    return {
      kind: 'option',
      option: number,
      reasons: [...passedOver, ownReason(own, number), ...careful(option, restrictions)],
    };
  }
  const reasons: Reason[] =
    passedOver.length > 0 ? passedOver : [{ code: 'not-offered', option: own.option }];
  return swapFor(exercise, reasons, restrictions, own.option, catalogue);
}

function handChoice(
  byHand: HandChoice,
  exercise: Exercise,
  catalogue: Catalogue,
  restrictions: Map<Demand, Restriction>,
): Choice {
  const reasons: Reason[] = [{ code: 'by-hand' }];
  if (byHand.kind === 'rest') {
    return { kind: 'rest', shape: restShape(exercise.position, restrictions), reasons };
  }
  const target = byHand.kind === 'swap' ? catalogue.get(byHand.exercise) : exercise;
  const option = target?.options[byHand.option - 1];
  if (!option) return { kind: 'rest', shape: restShape(exercise.position, restrictions), reasons };
  for (const demand of demandsOf(option)) {
    const restriction = restrictions.get(demand);
    if (restriction?.effect === 'avoid') {
      reasons.push({ code: 'avoids', caution: restriction.caution, demand, option: option.number });
    }
  }
  reasons.push(...careful(option, restrictions));
  return { ...byHand, reasons };
}

type Own = { option: number; from: 'level' | 'last-time' | 'variants' };

/** How far up a person goes; variants are no ladder, so everybody goes through them all. */
export function ownOption(person: Person, item: ExerciseItem, exercise: Exercise): Own {
  if (item.variants) return { option: exercise.options.length, from: 'variants' };
  const last = person.usualOptions[exercise.slug];
  return last === undefined
    ? { option: person.level, from: 'level' }
    : { option: last, from: 'last-time' };
}

function ownReason(own: Own, chosen: number): Reason {
  if (own.from === 'variants') return { code: 'variants', option: chosen };
  return own.from === 'last-time'
    ? { code: 'last-time', option: own.option }
    : { code: 'level', level: own.option, option: chosen };
}

export function firstAvoided(
  option: Option,
  restrictions: Map<Demand, Restriction>,
): { caution: CautionId; demand: Demand } | undefined {
  for (const demand of demandsOf(option)) {
    const restriction = restrictions.get(demand);
    if (restriction?.effect === 'avoid') return { caution: restriction.caution, demand };
  }
  return undefined;
}

function careful(option: Option, restrictions: Map<Demand, Restriction>): Reason[] {
  return demandsOf(option).flatMap((demand): Reason[] => {
    const restriction = restrictions.get(demand);
    if (!restriction || restriction.effect === 'avoid') return [];
    return [{ code: 'careful', caution: restriction.caution, demand, effect: restriction.effect }];
  });
}

function swapFor(
  exercise: Exercise,
  passedOver: Reason[],
  restrictions: Map<Demand, Restriction>,
  ownLevel: number,
  catalogue: Catalogue,
): Choice {
  for (const swap of standInsFor(exercise, catalogue)) {
    const option = swap.options
      .filter((candidate) => candidate.number <= Math.min(swap.standard, Math.max(1, ownLevel)))
      .reverse()
      .find((candidate) => !firstAvoided(candidate, restrictions));
    if (!option) continue;
    return {
      kind: 'swap',
      exercise: swap.slug,
      option: option.number,
      reasons: [
        ...passedOver,
        {
          code: 'swap',
          exercise: swap.slug,
          name: swap.name,
          samePosition: swap.position === exercise.position,
        },
        ...careful(option, restrictions),
      ],
    };
  }
  return {
    kind: 'rest',
    shape: restShape(exercise.position, restrictions),
    reasons: [...passedOver, { code: 'no-swap', position: exercise.position }],
  };
}

function restShape(position: Position, restrictions: Map<Demand, Restriction>): string {
  const avoids = (demand: Demand) => restrictions.get(demand)?.effect === 'avoid';
  if (position === 'supine' && avoids('lying-flat')) return SIDE_REST;
  if (position === 'prone' && avoids('prone')) return SIDE_REST;
  return REST_SHAPES[position];
}
