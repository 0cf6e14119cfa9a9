import { MACHINES, type Machine } from '../movement/vocabulary.ts';
import type { Item, PauseItem, Plan, Segment } from './plan.ts';

/** A class of two groups that change over: one on the machines, one on the mat, and then the other way round. */
export type MixedPlan = Plan & Required<Pick<Plan, 'changeOver'>>;

export function isMixed(plan: Plan): plan is MixedPlan {
  return plan.changeOver !== undefined;
}

/** The other of the two places. */
export function otherStation(station: Machine): Machine {
  return station === 'mat' ? 'reformer' : 'mat';
}

/** The parts of a class of two groups: what all do together before and after, and what is done at each place. */
export interface MixedParts {
  before: Segment[];
  at: Record<Machine, Segment[]>;
  after: Segment[];
}

/** What stands before the first part of a group is done together first, whatever else is together at the end. */
export function mixedParts({ segments }: Plan): MixedParts {
  const first = segments.findIndex(({ station }) => station !== undefined);
  const from = first < 0 ? segments.length : first;
  const later = segments.slice(from);
  return {
    before: segments.slice(0, from),
    at: {
      mat: later.filter(({ station }) => station === 'mat'),
      reformer: later.filter(({ station }) => station === 'reformer'),
    },
    after: later.filter(({ station }) => station === undefined),
  };
}

/** Seconds for which a track waits for the other, at the end of its first and of its second half. */
export type Waits = readonly [first: number, second: number];

/** The class as one of its two groups goes through it: an ordinary plan, in which every item is done once. */
export interface Track {
  /** Where this group begins. */
  start: Machine;
  plan: Plan;
  /**
   * The item of the written plan behind each item of the second half, where it has a name of its own: so a press in
   * class says which group it is about.
   */
  written: ReadonlyMap<string, string>;
}

export const CHANGE_OVER_ID = 'change-over';

/** A pause shorter than this is none. */
const LEAST_PAUSE_S = 5;

export function trackOf(plan: MixedPlan, start: Machine, waits: Waits = [0, 0]): Track {
  const { changeOver, segments: _, setAside: _stand, ...rest } = plan;
  const { before, at, after } = mixedParts(plan);
  const taken = new Set(plan.segments.flatMap(({ items }) => items.map(({ id }) => id)));
  const written = new Map<string, string>();
  const again = (item: Item): Item => {
    const id = secondName(item.id, taken);
    written.set(id, item.id);
    return { ...item, id };
  };
  // Both tracks name both halves before either is laid out, so that a name never depends on which is asked for.
  const second = Object.fromEntries(
    MACHINES.map((station) => [
      station,
      at[station].map((segment) => ({ ...segment, items: segment.items.map(again) })),
    ]),
  ) as Record<Machine, Segment[]>;
  const wait = (seconds: number, number: number): PauseItem[] =>
    seconds < LEAST_PAUSE_S
      ? []
      : [pause(unusedName(`wait-${start}-${number}`, taken), 'Wait for the others', seconds)];
  const change: Segment = {
    id: unusedName(CHANGE_OVER_ID, new Set(plan.segments.map(({ id }) => id))),
    name: 'Change over',
    items: [
      ...wait(waits[0], 1),
      pause(unusedName(CHANGE_OVER_ID, taken), 'Change over', changeOver.durationS),
    ],
  };
  const [last, ...earlier] = second[otherStation(start)].toReversed();
  const secondHalf = last
    ? [...earlier.toReversed(), { ...last, items: [...last.items, ...wait(waits[1], 2)] }]
    : [];
  return {
    start,
    written,
    plan: {
      ...rest,
      segments: [...before, ...at[start], change, ...secondHalf, ...after].map(
        ({ station: _at, ...segment }) => segment,
      ),
    },
  };
}

/**
 * A half as a class of its own, for what is said of the order at one place: what all do together before and after
 * belongs to it.
 */
export function halfAlone(plan: MixedPlan, station: Machine): Plan {
  const { before, at, after } = mixedParts(plan);
  const { changeOver: _, ...rest } = plan;
  return { ...rest, machine: station, segments: [...before, ...at[station], ...after] };
}

/** What each person does in all, in the order in which it is written. */
export function bothHalves({ changeOver: _, ...plan }: MixedPlan): Plan {
  return plan;
}

/** The item of the written plan that an item of a track is. */
export function writtenId({ written }: Pick<Track, 'written'>, itemId: string): string {
  return written.get(itemId) ?? itemId;
}

function pause(id: string, label: string, durationS: number): PauseItem {
  return { kind: 'pause', id, label, durationS: Math.min(1800, durationS), note: '' };
}

/** As long as an id may be, less what tells the half. */
const ROOM = 56;

function secondName(id: string, taken: Set<string>): string {
  const name = unusedName(`${id.slice(0, ROOM)}-half2`, taken);
  taken.add(name);
  return name;
}

function unusedName(wanted: string, taken: ReadonlySet<string>): string {
  let name = wanted;
  while (taken.has(name)) name += 'x';
  return name;
}
