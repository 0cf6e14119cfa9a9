import type { TimedItem, TimedPart, Timeline } from '../plan/timing/timeline.ts';
import { isAtItem, optionTaken, whatStands, type LiveEvent, type PersonEvent } from './events.ts';

/** One stay at an item; an item that was gone back to has several. */
export interface Visit {
  itemId: string;
  startedAtMs: number;
  activeMs: number;
}

export interface RunState {
  status: 'ready' | 'running' | 'paused' | 'ended';
  /** Place in `timeline.items`. */
  itemIndex: number;
  visits: Visit[];
  startedAtMs?: number;
  endedAtMs?: number;
  /** Time taught, pauses left out. */
  activeMs: number;
  /** Seconds added by hand, by item id. */
  extendedS: Map<string, number>;
  /** Options changed during the class, by item id and person id; the last one counts. */
  moved: Map<string, Map<string, number>>;
  /** What was pressed about people, in turn: what was seen and tried, who was put to another option. */
  about: PersonEvent[];
  notes: { itemId: string; text: string }[];
  /** Presses that name an item which this plan does not hold. */
  unplaced: number;
}

/**
 * Where the class stands at `nowMs`, from nothing but its events. Events are taken in the order in
 * which devices had seen them, each id once, so a doubled or late delivery and a clock that runs wrong
 * give the same state.
 */
export function runClass(
  timeline: Timeline,
  events: readonly LiveEvent[],
  nowMs: number,
): RunState {
  const state: RunState = {
    status: 'ready',
    itemIndex: 0,
    visits: [],
    activeMs: 0,
    extendedS: new Map(),
    moved: new Map(),
    about: [],
    notes: [],
    unplaced: 0,
  };
  let lastMs = 0;
  for (const event of whatStands(events)) {
    passTime(state, lastMs, event.atMs);
    lastMs = Math.max(lastMs, event.atMs);
    step(state, event, timeline);
  }
  if (state.status === 'running') passTime(state, lastMs, nowMs);
  return state;
}

function passTime(state: RunState, fromMs: number, toMs: number): void {
  if (state.status !== 'running') return;
  const passed = Math.max(0, toMs - fromMs);
  state.activeMs += passed;
  const visit = state.visits.at(-1);
  if (visit) visit.activeMs += passed;
}

function step(state: RunState, event: LiveEvent, timeline: Timeline): void {
  if (state.status === 'ended') return keep(state, event);
  switch (event.type) {
    case 'start':
      if (state.status !== 'ready') return;
      state.status = 'running';
      state.startedAtMs = event.atMs;
      visit(state, timeline, 0, event.atMs);
      return;
    case 'goTo':
      if (state.status !== 'ready') goTo(state, timeline, event.itemId, event.atMs);
      return;
    case 'pause':
      if (state.status === 'running') state.status = 'paused';
      return;
    case 'resume':
      if (state.status === 'paused') state.status = 'running';
      return;
    case 'end':
      if (state.status === 'ready') return;
      state.status = 'ended';
      state.endedAtMs = event.atMs;
      return;
    default:
      keep(state, event);
  }
}

/** What is noted down counts whenever it arrives, after the end as well. */
function keep(state: RunState, event: LiveEvent): void {
  const taken = optionTaken(event);
  if (taken) {
    const people = state.moved.get(taken.itemId) ?? new Map<string, number>();
    state.moved.set(taken.itemId, people.set(taken.personId, taken.option));
  }
  if (isAtItem(event)) state.about.push(event);
  if (event.type === 'extend') {
    const already = state.extendedS.get(event.itemId) ?? 0;
    state.extendedS.set(event.itemId, already + event.seconds);
  } else if (event.type === 'note') {
    state.notes.push({ itemId: event.itemId, text: event.text });
  }
}

/** The same item again is the same press from another device. */
function goTo(state: RunState, timeline: Timeline, itemId: string, atMs: number): void {
  const index = timeline.items.findIndex((item) => item.itemId === itemId);
  if (index < 0) state.unplaced += 1;
  else if (index !== state.itemIndex) visit(state, timeline, index, atMs);
}

function visit(state: RunState, timeline: Timeline, index: number, atMs: number): void {
  const item = timeline.items[index];
  if (!item) return;
  state.itemIndex = index;
  state.visits.push({ itemId: item.itemId, startedAtMs: atMs, activeMs: 0 });
}

/**
 * What was seen in people at an item, in turn. `times` are the ids of the times that it was done up to now: what
 * helped on the first side helps on the second.
 */
export function seenAt(
  state: RunState,
  ...times: readonly string[]
): Extract<PersonEvent, { type: 'seen' }>[] {
  return state.about.flatMap((event) =>
    event.type === 'seen' && times.includes(event.itemId) ? [event] : [],
  );
}

/** Who does which option otherwise than planned, by person: the second side begins as the first was done. */
export function movedAt(state: RunState, ...times: readonly string[]): Map<string, number> {
  return new Map(times.flatMap((id) => [...(state.moved.get(id) ?? [])]));
}

/** The last that was pressed about somebody at an item, which can be taken back. */
export function lastAbout(
  state: RunState,
  itemId: string,
  personId: string,
): PersonEvent | undefined {
  return state.about.findLast((event) => event.itemId === itemId && event.personId === personId);
}

/** What to show at arm's length, in seconds. */
export interface NowView {
  item: TimedItem;
  previous?: TimedItem;
  next?: TimedItem;
  /** The part that the plan's clock has reached; the last one once time is out. */
  part: TimedPart | undefined;
  partElapsedS: number;
  partLeftS: number;
  /** 1 for the first repetition; left out when the part is not counted. */
  repetition?: number;
  itemElapsedS: number;
  /** Negative once the item runs over its time. */
  itemLeftS: number;
  classElapsedS: number;
  /** Positive when behind the plan, negative when ahead. */
  behindS: number;
  endsAtS: number;
}

/** The running class as numbers for the screen; undefined before it starts or without items. */
export function viewNow(timeline: Timeline, state: RunState): NowView | undefined {
  const item = timeline.items[state.itemIndex];
  const visitNow = state.visits.at(-1);
  if (!item || !visitNow) return undefined;
  const itemElapsedS = visitNow.activeMs / 1000;
  const planned = item.durationS + (state.extendedS.get(item.itemId) ?? 0);
  const { part, intoPartS } = partAt(item, itemElapsedS);
  const classElapsedS = state.activeMs / 1000;
  const reached = item.startS + Math.min(itemElapsedS, item.durationS);
  const leftHere = Math.max(0, planned - itemElapsedS);
  const after = timeline.totalS - (item.startS + item.durationS);
  const previous = timeline.items[state.itemIndex - 1];
  const next = timeline.items[state.itemIndex + 1];
  return {
    item,
    ...(previous ? { previous } : {}),
    ...(next ? { next } : {}),
    part,
    partElapsedS: intoPartS,
    partLeftS: part ? Math.max(0, part.durationS - intoPartS) : 0,
    ...repetitionAt(part, intoPartS),
    itemElapsedS,
    itemLeftS: planned - itemElapsedS,
    classElapsedS,
    behindS: classElapsedS - reached,
    endsAtS: classElapsedS + leftHere + after,
  };
}

function partAt(
  item: TimedItem,
  elapsedS: number,
): { part: TimedPart | undefined; intoPartS: number } {
  const atS = item.startS + elapsedS;
  const part = item.parts.find((each) => atS < each.startS + each.durationS) ?? item.parts.at(-1);
  return { part, intoPartS: part ? Math.max(0, atS - part.startS) : 0 };
}

function repetitionAt(part: TimedPart | undefined, intoPartS: number): { repetition?: number } {
  if (!part?.count || part.firstS === undefined || part.eachS === undefined) return {};
  const later = Math.max(0, intoPartS - part.firstS);
  const done = intoPartS < part.firstS ? 0 : 1 + Math.floor(later / part.eachS);
  return { repetition: Math.min(part.count, done + 1) };
}
