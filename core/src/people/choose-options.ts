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
  /** Whoever has something in force, by person id: what supports them is not taken away for all. */
  guarded: ReadonlySet<string>;
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
  const guarded = group.filter(({ cautions }) => cautions.length > 0);
  return {
    choices,
    versions,
    atOnce: ways,
    guarded: new Set(guarded.map(({ attendee }) => attendee.person.id)),
  };
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
  const lanes = lanesOf(standings);
  let best: Weight = { versions: Infinity, distance: Infinity };
  let cued: readonly number[] = offered;
  const isHopeful = (least: Weight) => isBetter(least, best, atOnce);
  for (const tried of [offered, ...subsets(offered)]) {
    const weight = weigh(tried, standings, lanes, isHopeful);
    if (weight && isHopeful(weight)) {
      best = weight;
      cued = tried;
    }
    if (tried === offered && best.versions <= atOnce) break;
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

/** One side of people who are alike: what is open to them with the bit of each option, the cheapest first. */
interface Lane {
  open: readonly { bit: number; cost: number; key: string }[];
  otherwise: () => { key: string; cost: number };
  people: number;
}

/** The lanes of each side; people who do both sides alike count on both. */
function lanesOf(standings: readonly Alike[]): readonly (readonly Lane[])[] {
  return [0, 1].map((side) =>
    standings.flatMap(({ standing, people }): Lane[] => {
      const strand = standing.strands[side] ?? standing.strands[0];
      if (!strand || standing.byHand) return [];
      return [
        {
          open: strand.open.map(({ option, cost, key }) => ({ bit: 1 << option, cost, key })),
          otherwise: () => {
            const choice = otherwiseOf(standing, strand);
            return { key: versionKey(choice), cost: AWAY[choice.kind] };
          },
          people: people.length,
        },
      ];
    }),
  );
}

/**
 * What a set of cued options comes to; undefined where it is seen to be no better than `best` before it is known what
 * those do who can do none of them.
 */
function weigh(
  cued: readonly number[],
  standings: readonly Alike[],
  lanes: readonly (readonly Lane[])[],
  isHopeful: (least: Weight) => boolean,
): Weight | undefined {
  const byHand = standings.flatMap(({ standing }) =>
    standing.byHand ? [versionKey(chooseAmong(cued, standing))] : [],
  );
  const mask = cued.reduce((bits, option) => bits | (1 << option), 0);
  const sides = lanes.map(() => new Set(byHand));
  const away: { side: Set<string>; lane: Lane }[] = [];
  let distance = 0;
  for (const [index, side] of sides.entries()) {
    for (const lane of lanes[index] ?? []) {
      const found = lane.open.find(({ bit }) => (bit & mask) !== 0);
      if (found) side.add(found.key);
      else away.push({ side, lane });
      distance += (found?.cost ?? 0) * lane.people;
    }
  }
  const most = () => Math.max(...sides.map(({ size }) => size));
  const atLeast = away.reduce((sum, { lane }) => sum + AWAY.swap * lane.people, distance);
  if (!isHopeful({ versions: most(), distance: atLeast })) return undefined;
  for (const { side, lane } of away) {
    const { key, cost } = lane.otherwise();
    side.add(key);
    distance += cost * lane.people;
  }
  return { versions: most(), distance };
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
  const byPerson = new Map<string, Choice>();
  for (const { standing, people } of standings) {
    const choice = chooseAmong(cued, standing);
    const told = withCueReason(choice, wantedOf(offered, standing), atOnce);
    for (const id of people) byPerson.set(id, told);
  }
  return { byPerson, versions: versionsOf(byPerson) };
}

/** The option that somebody would do were all of them cued; undefined where it is none, or chosen by hand. */
function wantedOf(offered: readonly number[], { byHand, strands }: Standing): number | undefined {
  const [right] = strands;
  return byHand || !right ? undefined : bestOf(offered, right)?.option;
}

function withCueReason(choice: Choice, wanted: number | undefined, atOnce: number): Choice {
  if (wanted === undefined) return choice;
  if (choice.kind === 'option' && choice.option === wanted) return choice;
  const reason: Reason = { code: 'not-cued', option: wanted, atOnce };
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
