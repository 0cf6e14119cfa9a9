import { aidOf } from '../body/aids/aids.ts';
import type { Dose } from '../movement/dose.ts';
import type { Exercise } from '../movement/exercise.ts';
import type { ExerciseItem } from '../plan/plan.ts';
import type { GroupMember } from './attendee.ts';
import type { Caution } from './cautions/caution.ts';
import { cautionOf, type CautionId } from './cautions/cautions.ts';
import type { Choice, HandChoice } from './choice.ts';
import type { Drawn } from './hits.ts';
import type { OfferedItem } from './offered-item.ts';
import type { Person, UsualOption } from './person.ts';
import type { Restriction } from './restrictions.ts';
import {
  askingOf,
  cheapestWay,
  COST,
  numberOf,
  type AllowedWay,
  type Asking,
  type How,
} from './ways.ts';

export type Own = { option: number; from: 'level' | 'last-time' | 'variants' };

/** How far up a person goes on a side; variants are no ladder, so everybody goes through them all. */
function ownOption(person: Person, item: ExerciseItem, exercise: Exercise, drawn: Drawn): Own {
  if (item.variants) return { option: exercise.options.length, from: 'variants' };
  const last = person.usualOptions[exercise.slug];
  return last === undefined
    ? { option: person.level, from: 'level' }
    : { option: onSide(last, drawn), from: 'last-time' };
}

/** What is drawn is the right side. Done both ways at once, the weaker side decides. */
function onSide(usual: UsualOption, drawn: Drawn): number {
  if (typeof usual === 'number') return usual;
  switch (drawn) {
    case 'as drawn':
      return usual.right;
    case 'mirrored':
      return usual.left;
    case 'both ways':
      return Math.min(usual.right, usual.left);
  }
}

const MEMBER_KEYS = new WeakMap<GroupMember, string>();

/** What of a person decides at every item: the same for all who are alike. */
export function keyOf(member: GroupMember): string {
  const known = MEMBER_KEYS.get(member);
  if (known !== undefined) return known;
  const made = [numberOf(member.restrictions), ...member.cautions].join(' ');
  MEMBER_KEYS.set(member, made);
  return made;
}

/** The same for all for whom an item comes to the same; what is chosen by hand is chosen for one. */
export function likenessOf(member: GroupMember, { item, exercise }: OfferedItem): string {
  const { person, byHand } = member.attendee;
  if (byHand?.[item.id]) return `by hand ${person.id}`;
  if (item.variants) return keyOf(member);
  const last = person.usualOptions[exercise.slug];
  if (last === undefined) return `${keyOf(member)} level ${person.level}`;
  const usual = typeof last === 'number' ? String(last) : `${last.right} ${last.left}`;
  return `${keyOf(member)} last ${usual}`;
}

/** What states like tired or new take off: options, and of the dose. */
interface Easing {
  own: number;
  dose: number;
  by: CautionId[];
}

function easingOf(own: number, offered: readonly number[], cautions: readonly CautionId[]): Easing {
  const lowest = offered[0] ?? 1;
  return cautions.reduce(
    (easing: Easing, id): Easing => {
      const { eases }: Caution = cautionOf(id);
      if (!eases) return easing;
      const lower = eases.rungs === 'first' ? lowest : own - eases.rungs;
      return {
        own: Math.min(easing.own, Math.max(lowest, lower)),
        dose: Math.min(
          easing.dose,
          own <= lowest ? (eases.doseOfLowest ?? eases.dose) : eases.dose,
        ),
        by: [...easing.by, id],
      };
    },
    { own, dose: 1, by: [] },
  );
}

/** An option that is on offer, allowed and within reach, in its cheapest way. */
interface OpenOption {
  option: number;
  way: AllowedWay;
  /** In departures from what is asked, the options below one's own with it. */
  cost: number;
  /** The version that it is of. */
  key: string;
}

/** What decides one person's way on one side, worked out once for every set of cued options. */
export interface Strand {
  asking: Asking;
  own: Own;
  easing: Easing;
  /** The cheapest first. */
  open: readonly OpenOption[];
}

/** What decides one person's choice at an item. */
export interface Standing {
  offer: OfferedItem;
  member: GroupMember;
  byHand: HandChoice | undefined;
  /** The same for all for whom the exercise comes to the same. */
  key: string;
  /** One where both sides are the same; the right one first. */
  strands: readonly Strand[];
}

const STANDINGS = new WeakMap<OfferedItem, Map<string, Standing>>();

/** The same for all who are alike; worked out once while item and records stay. */
export function standingOf(member: GroupMember, offer: OfferedItem, likeness?: string): Standing {
  if (likeness === undefined || member.attendee.byHand?.[offer.item.id]) {
    return workOutStanding(member, offer);
  }
  const standings = STANDINGS.get(offer) ?? new Map<string, Standing>();
  STANDINGS.set(offer, standings);
  const known = standings.get(likeness) ?? workOutStanding(member, offer);
  standings.set(likeness, known);
  return known;
}

function workOutStanding(member: GroupMember, offer: OfferedItem): Standing {
  const { attendee, restrictions, cautions } = member;
  const { item, exercise, offered, clock } = offer;
  const usual = attendee.person.usualOptions[exercise.slug];
  const isUneven = typeof usual === 'object' && usual.right !== usual.left;
  const strands = drawnSides(offer.dose, restrictions, isUneven).map((drawn): Strand => {
    const own = ownOption(attendee.person, item, exercise, drawn);
    const easing = easingOf(own.option, offered, cautions);
    const asking = askingOf(restrictions, drawn, clock);
    const open = [...offered]
      .reverse()
      .flatMap((number): OpenOption[] => {
        const option = exercise.options[number - 1];
        const way = option && number <= easing.own ? cheapestWay(option, asking) : undefined;
        if (!way) return [];
        const cost = way.cost + COST.rung * (easing.own - number);
        return [{ option: number, way, cost, key: optionKey(number, way.how) }];
      })
      .sort((one, other) => one.cost - other.cost);
    return { asking, own, easing, open };
  });
  const key = [
    ...strands.flatMap(({ asking, own: { from, option }, easing }) => [
      asking.key,
      from,
      option,
      easing.own,
      easing.dose,
    ]),
    offered.join(' '),
    ...cautions,
  ].join('|');
  return { offer, member, byHand: attendee.byHand?.[item.id], key, strands };
}

/** Sides that are looked at apart: only where somebody has one side that is not as the other. */
function drawnSides(dose: Dose, restrictions: readonly Restriction[], isUneven: boolean): Drawn[] {
  const isOneSided = isUneven || restrictions.some(({ side }) => side !== 'either');
  switch (dose.sides) {
    case 'left':
      return ['mirrored'];
    case 'right':
      return ['as drawn'];
    case 'each':
      return isOneSided ? ['as drawn', 'mirrored'] : ['as drawn'];
    case 'none':
    case 'alternating':
      return ['both ways'];
  }
}

/** The cheapest of the cued options for a strand. */
export function bestOf(cued: readonly number[], { open }: Strand): OpenOption | undefined {
  return open.find(({ option }) => cued.includes(option));
}

/** Options sort before swaps, swaps before rests. A support is a version of its own only where it must be told. */
export function versionKey(choice: Choice): string {
  switch (choice.kind) {
    case 'option':
      return optionKey(choice.option, choice.how);
    case 'swap':
      return `2 ${choice.exercise} ${choice.option}`;
    case 'rest':
      return '3';
  }
}

function optionKey(option: number, how: How | undefined): string {
  const told = how?.aids.filter((id) => aidOf(id).isTold) ?? [];
  return ['1', option, ...told].join(' ');
}
