import type { Catalogue } from '../movement/catalogue.ts';
import type { Exercise } from '../movement/exercise.ts';
import type { Demand } from '../movement/vocabulary.ts';
import { exerciseItemsOf, offeredOptions, type ExerciseItem, type Plan } from '../plan/plan.ts';
import {
  chooseAmong,
  firstAvoided,
  ownOption,
  restrictionsOf,
  type Attendee,
  type Choice,
  type Restriction,
} from './choose-option.ts';
import type { Reason } from './reasons.ts';

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
  const own = ownOption(attendee.person, item, exercise).option;
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
