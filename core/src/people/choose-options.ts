import type { Catalogue } from '../movement/catalogue.ts';
import { exerciseItemsOf, type Plan } from '../plan/plan.ts';
import { memberOn, type Attendee, type GroupMember } from './attendee.ts';
import { chooseAmong, otherwiseOf } from './choose-option.ts';
import { offerItem, type OfferedItem } from './offered-item.ts';
import { bestOf, likenessOf, standingOf, versionKey, type Standing } from './standing.ts';
import type { Choice } from './choice.ts';
import { lyingRuns } from './lying-runs.ts';
import type { Reason } from './reasons.ts';
import { COST } from './ways.ts';

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
  /** The most ways that run at the same moment, by item id: what differs by side is not at once. */
  atOnce: ReadonlyMap<string, number>;
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
  const group = attendees.map((attendee) => memberOn(attendee, day));
  const choices = new Map(attendees.map(({ person }) => [person.id, new Map<string, Choice>()]));
  const versions = new Map<string, Version[]>();
  const ways = new Map<string, number>();
  const lying = lyingRuns(plan, catalogue);
  for (const item of exerciseItemsOf(plan)) {
    const offer = offerItem(item, plan.school, catalogue, lying.get(item.id));
    const best = cueBest(offer, group, atOnce);
    versions.set(item.id, best.versions);
    ways.set(item.id, best.atOnce);
    best.byPerson.forEach((choice, personId) => choices.get(personId)?.set(item.id, choice));
  }
  return { choices, versions, atOnce: ways };
}

interface Cueing {
  byPerson: Map<string, Choice>;
  versions: Version[];
  atOnce: number;
}

/** What another exercise or a rest counts, beside departures within the exercise. */
const AWAY = { option: 0, swap: 2 * COST.fewer, rest: 4 * COST.fewer } as const;

/** Tries every set of cued options, the whole offer first. */
function cueBest(offer: OfferedItem, group: readonly GroupMember[], atOnce: number): Cueing {
  const standings = alikeAt(offer, group);
  const { offered } = offer;
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
  return { ...cue(cued, offered, standings, atOnce), atOnce: best.versions };
}

/** People for whom an item comes to the same, worked out once for all of them. */
interface Alike {
  standing: Standing;
  people: string[];
}

function alikeAt(offer: OfferedItem, group: readonly GroupMember[]): Alike[] {
  const alike = new Map<string, Alike>();
  for (const member of group) {
    const key = likenessOf(member, offer);
    const known = alike.get(key);
    const { id } = member.attendee.person;
    if (known) known.people.push(id);
    else alike.set(key, { standing: standingOf(member, offer, key), people: [id] });
  }
  return [...alike.values()];
}

interface Weight {
  versions: number;
  /** How far people are from what they would do alone, in departures. */
  distance: number;
}

function weigh(cued: readonly number[], standings: readonly Alike[]): Weight {
  const bySide = [new Set<string>(), new Set<string>()] as const;
  let distance = 0;
  for (const { standing, people } of standings) {
    const { strands, byHand } = standing;
    if (byHand) {
      const key = versionKey(chooseAmong(cued, standing));
      bySide.forEach((side) => side.add(key));
      continue;
    }
    bySide.forEach((side, index) => {
      const strand = strands[index] ?? strands[0];
      if (!strand) return;
      const best = bestOf(cued, strand);
      if (best) {
        side.add(best.key);
        distance += best.cost * people.length;
      } else {
        const otherwise = otherwiseOf(standing, strand);
        side.add(versionKey(otherwise));
        distance += AWAY[otherwise.kind] * people.length;
      }
    });
  }
  return { versions: Math.max(...bySide.map(({ size }) => size)), distance };
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
  standings: readonly Alike[],
  atOnce: number,
): Omit<Cueing, 'atOnce'> {
  const isWhole = cued.length === offered.length;
  const byPerson = new Map<string, Choice>();
  for (const { standing, people } of standings) {
    const choice = chooseAmong(cued, standing);
    const wanted = isWhole ? choice : chooseAmong(offered, standing);
    const told = withCueReason(choice, wanted, atOnce);
    for (const id of people) byPerson.set(id, told);
  }
  return { byPerson, versions: versionsOf(byPerson) };
}

function withCueReason(choice: Choice, wanted: Choice, atOnce: number): Choice {
  if (wanted.kind !== 'option') return choice;
  if (choice.kind === 'option' && choice.option === wanted.option) return choice;
  const reason: Reason = { code: 'not-cued', option: wanted.option, atOnce };
  return { ...choice, reasons: [reason, ...choice.reasons] };
}

/** Every non-empty part of a short list. */
function subsets(list: readonly number[]): number[][] {
  return Array.from({ length: 2 ** list.length - 1 }, (_, bits) =>
    list.filter((_entry, index) => ((bits + 1) >> index) & 1),
  );
}

/** Somebody who does each side in another way is in the version of each. */
function versionsOf(byPerson: ReadonlyMap<string, Choice>): Version[] {
  const byKey = new Map<string, Version>();
  const add = (personId: string, choice: Choice) => {
    const key = versionKey(choice);
    const version = byKey.get(key);
    if (!version) byKey.set(key, { choice, people: [personId] });
    else if (!version.people.includes(personId)) version.people.push(personId);
  };
  for (const [personId, choice] of byPerson) {
    add(personId, choice);
    if (choice.onLeft) add(personId, choice.onLeft);
  }
  return [...byKey.entries()].sort(([a], [b]) => a.localeCompare(b)).map(([, version]) => version);
}
