import type { Catalogue } from '../movement/catalogue.ts';
import type { Exercise, Option } from '../movement/exercise.ts';
import type { Demand, Position } from '../movement/vocabulary.ts';
import { exerciseItemsOf, offeredOptions, type ExerciseItem, type Plan } from '../plan/plan.ts';
import { cautionOf, DEMAND_WORDS, type CautionId } from './cautions.ts';
import { cautionsOn, type CautionEntry, type Person } from './person.ts';

/** Why an option was chosen or passed over; data first, said by `explainReason`. */
export type Reason =
  | { code: 'avoids'; caution: CautionId; demand: Demand; option: number }
  | { code: 'careful'; caution: CautionId; demand: Demand; effect: 'limit' | 'support' }
  | { code: 'level'; level: number; option: number }
  | { code: 'last-time'; option: number }
  | { code: 'not-offered'; option: number }
  | { code: 'not-cued'; option: number; atOnce: number }
  | { code: 'swap'; exercise: string; name: string; samePosition: boolean }
  | { code: 'no-swap'; position: Position }
  | { code: 'by-hand' };

/** What one person does at one item. */
export type Choice =
  | { kind: 'option'; option: number; reasons: Reason[] }
  | { kind: 'swap'; exercise: string; option: number; reasons: Reason[] }
  | { kind: 'rest'; shape: string; reasons: Reason[] };

/** What the teacher decided by hand, instead of the computed choice. */
export type HandChoice =
  | { kind: 'option'; option: number }
  | { kind: 'swap'; exercise: string; option: number }
  | { kind: 'rest' };

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

interface Restriction {
  caution: CautionId;
  effect: 'avoid' | 'limit' | 'support';
}

/** The strictest effect of a person's cautions on each demand. */
function restrictionsOf(attendee: Attendee, day: string): Map<Demand, Restriction> {
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

function chooseAmong(
  offered: readonly number[],
  restrictions: Map<Demand, Restriction>,
  attendee: Attendee,
  item: ExerciseItem,
  catalogue: Catalogue,
): Choice {
  const exercise = catalogue.require(item.exercise);
  const byHand = attendee.byHand?.[item.id];
  if (byHand) return handChoice(byHand, exercise, catalogue, restrictions);
  const own = ownOption(attendee.person, exercise);
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
  for (const demand of option.demands) {
    const restriction = restrictions.get(demand);
    if (restriction?.effect === 'avoid') {
      reasons.push({ code: 'avoids', caution: restriction.caution, demand, option: option.number });
    }
  }
  reasons.push(...careful(option, restrictions));
  return { ...byHand, reasons };
}

type Own = { option: number; from: 'level' | 'last-time' };

function ownOption(person: Person, exercise: Exercise): Own {
  const last = person.usualOptions[exercise.slug];
  return last === undefined
    ? { option: person.level, from: 'level' }
    : { option: last, from: 'last-time' };
}

function ownReason(own: Own, chosen: number): Reason {
  return own.from === 'last-time'
    ? { code: 'last-time', option: own.option }
    : { code: 'level', level: own.option, option: chosen };
}

function firstAvoided(
  option: Option,
  restrictions: Map<Demand, Restriction>,
): { caution: CautionId; demand: Demand } | undefined {
  for (const demand of option.demands) {
    const restriction = restrictions.get(demand);
    if (restriction?.effect === 'avoid') return { caution: restriction.caution, demand };
  }
  return undefined;
}

function careful(option: Option, restrictions: Map<Demand, Restriction>): Reason[] {
  return option.demands.flatMap((demand): Reason[] => {
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
  for (const slug of exercise.swaps) {
    const swap = catalogue.get(slug);
    const option = swap?.options
      .filter((candidate) => candidate.number <= Math.min(swap.standard, Math.max(1, ownLevel)))
      .reverse()
      .find((candidate) => !firstAvoided(candidate, restrictions));
    if (!swap || !option) continue;
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

/** One sentence for a reason. */
export function explainReason(reason: Reason, exercise: Exercise): string {
  const name = (number: number) => exercise.options[number - 1]?.name ?? `option ${number}`;
  switch (reason.code) {
    case 'avoids':
      return `${cautionOf(reason.caution).name}: option ${reason.option} (${name(reason.option)}) asks for ${DEMAND_WORDS[reason.demand]}.`;
    case 'careful':
      return reason.effect === 'support'
        ? `${cautionOf(reason.caution).name}: give support for ${DEMAND_WORDS[reason.demand]}.`
        : `${cautionOf(reason.caution).name}: keep ${DEMAND_WORDS[reason.demand]} small.`;
    case 'level':
      return reason.level > reason.option
        ? `Own level is ${reason.level}; option ${reason.option} is the highest that fits.`
        : `Own level is ${reason.level}.`;
    case 'last-time':
      return `Did option ${reason.option} of this exercise in full last time.`;
    case 'not-offered':
      return `Own level is ${reason.option}, and no option that low is on offer.`;
    case 'not-cued':
      return `Option ${reason.option} would fit; it is not cued, so that no more than ${reason.atOnce} ways run at once.`;
    case 'swap':
      return reason.samePosition
        ? `${reason.name} keeps the position and the aim for the same length of time.`
        : `${reason.name} keeps the aim for the same length of time, in another position.`;
    case 'no-swap':
      return `Nothing in the catalogue stands in here: rest in this position (${reason.position}).`;
    case 'by-hand':
      return 'Chosen by you.';
  }
}

/** One way of doing an item that the teacher has to cue, and who does it. */
export interface Version {
  choice: Choice;
  people: string[];
}

export interface OptionsPlan {
  /** Choices by person id, then by item id. */
  choices: ReadonlyMap<string, ReadonlyMap<string, Choice>>;
  /** Versions by item id: options from the lowest, then swaps, then rests. */
  versions: ReadonlyMap<string, Version[]>;
}

/** Common practice: more than three ways at once and some people are not seen. */
export const VERSIONS_AT_ONCE = 3;

/**
 * Everyone's choice at every item, and the versions that follow. Of the options on offer, those are
 * cued that keep the versions within `atOnce` and everyone as near to their own as can be.
 * `day` is year-month-day.
 */
export function chooseOptions(
  plan: Plan,
  attendees: readonly Attendee[],
  catalogue: Catalogue,
  day: string,
  atOnce: number = VERSIONS_AT_ONCE,
): OptionsPlan {
  const group = attendees.map((attendee) => ({
    attendee,
    restrictions: restrictionsOf(attendee, day),
  }));
  const choices = new Map(attendees.map(({ person }) => [person.id, new Map<string, Choice>()]));
  const versions = new Map<string, Version[]>();
  for (const item of exerciseItemsOf(plan)) {
    const best = cueBest(item, group, catalogue, atOnce);
    versions.set(item.id, best.versions);
    best.byPerson.forEach((choice, personId) => choices.get(personId)?.set(item.id, choice));
  }
  return { choices, versions };
}

interface GroupMember {
  attendee: Attendee;
  restrictions: Map<Demand, Restriction>;
}

interface Cueing {
  byPerson: Map<string, Choice>;
  versions: Version[];
}

/** A swap or a rest counts as this many options away. */
const AWAY = { option: 0, swap: 4, rest: 8 } as const;

/** What decides one person's option, worked out once for every set of cued options. */
interface Standing {
  /** Option numbers on offer that are allowed and within reach, highest first. */
  open: number[];
  /** The version without any of them: a swap, a rest, or what was chosen by hand. Seldom asked for. */
  otherwise: () => { key: string; away: number };
}

/** Tries every set of cued options, the whole offer first; there are at most fifteen. */
function cueBest(
  item: ExerciseItem,
  group: readonly GroupMember[],
  catalogue: Catalogue,
  atOnce: number,
): Cueing {
  const exercise = catalogue.require(item.exercise);
  const offered = offeredOptions(item, exercise);
  const standings = group.map((member) => standingOf(member, item, exercise, offered, catalogue));
  let best = weigh(offered, standings);
  let cued: readonly number[] = offered;
  if (best.versions > atOnce) {
    for (const tried of subsets(offered)) {
      const weight = weigh(tried, standings);
      if (!isBetter(weight, best, atOnce)) continue;
      best = weight;
      cued = tried;
    }
  }
  return cue(cued, offered, item, group, catalogue, atOnce);
}

function standingOf(
  { attendee, restrictions }: GroupMember,
  item: ExerciseItem,
  exercise: Exercise,
  offered: readonly number[],
  catalogue: Catalogue,
): Standing {
  const isByHand = attendee.byHand?.[item.id] !== undefined;
  const own = ownOption(attendee.person, exercise).option;
  const open = isByHand
    ? []
    : offered
        .filter((number) => {
          const option = exercise.options[number - 1];
          return option && number <= own && !firstAvoided(option, restrictions);
        })
        .reverse();
  let known: { key: string; away: number } | undefined;
  const otherwise = () => {
    if (known) return known;
    const cued = isByHand ? offered : [];
    const fallback = chooseAmong(cued, restrictions, attendee, item, catalogue);
    known = { key: versionKey(fallback), away: isByHand ? 0 : AWAY[fallback.kind] };
    return known;
  };
  return { open, otherwise };
}

interface Weight {
  versions: number;
  /** How far people are from their own option, in options. */
  distance: number;
}

function weigh(cued: readonly number[], standings: readonly Standing[]): Weight {
  const versions = new Set<string>();
  let distance = 0;
  for (const { open, otherwise } of standings) {
    const option = open.find((number) => cued.includes(number));
    if (option === undefined) {
      const { key, away } = otherwise();
      versions.add(key);
      distance += away;
    } else {
      versions.add(`1 ${option}`);
      distance += (open[0] ?? option) - option;
    }
  }
  return { versions: versions.size, distance };
}

function isBetter(tried: Weight, best: Weight, atOnce: number): boolean {
  const over = ({ versions }: Weight) => Math.max(0, versions - atOnce);
  if (over(tried) !== over(best)) return over(tried) < over(best);
  return tried.distance < best.distance;
}

/** The choices that follow from a set of cued options, each with its reasons. */
function cue(
  cued: readonly number[],
  offered: readonly number[],
  item: ExerciseItem,
  group: readonly GroupMember[],
  catalogue: Catalogue,
  atOnce: number,
): Cueing {
  const isWhole = cued.length === offered.length;
  const byPerson = new Map<string, Choice>();
  for (const { attendee, restrictions } of group) {
    const choice = chooseAmong(cued, restrictions, attendee, item, catalogue);
    const wanted = isWhole ? choice : chooseAmong(offered, restrictions, attendee, item, catalogue);
    byPerson.set(attendee.person.id, withCueReason(choice, wanted, atOnce));
  }
  return { byPerson, versions: versionsOf(byPerson) };
}

function withCueReason(choice: Choice, wanted: Choice, atOnce: number): Choice {
  if (wanted.kind !== 'option') return choice;
  if (choice.kind === 'option' && choice.option === wanted.option) return choice;
  const reason: Reason = { code: 'not-cued', option: wanted.option, atOnce };
  return { ...choice, reasons: [reason, ...choice.reasons] };
}

/** Every non-empty part of a list of at most four. */
function subsets(list: readonly number[]): number[][] {
  return Array.from({ length: 2 ** list.length - 1 }, (_, bits) =>
    list.filter((_entry, index) => ((bits + 1) >> index) & 1),
  );
}

function versionsOf(byPerson: ReadonlyMap<string, Choice>): Version[] {
  const byKey = new Map<string, Version>();
  for (const [personId, choice] of byPerson) {
    const key = versionKey(choice);
    const version = byKey.get(key);
    if (version) version.people.push(personId);
    else byKey.set(key, { choice, people: [personId] });
  }
  return [...byKey.entries()].sort(([a], [b]) => a.localeCompare(b)).map(([, version]) => version);
}

/** Options sort before swaps, swaps before rests. */
function versionKey(choice: Choice): string {
  switch (choice.kind) {
    case 'option':
      return `1 ${choice.option}`;
    case 'swap':
      return `2 ${choice.exercise} ${choice.option}`;
    case 'rest':
      return '3';
  }
}
