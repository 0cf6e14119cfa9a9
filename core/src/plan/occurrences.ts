import type { Side } from '../movement/vocabulary.ts';
import type { Bracket, ExerciseItem, Item, Plan, Segment } from './plan.ts';

/** Which time its bracket is gone through, from 1; in a series, on which side. */
export interface Pass {
  bracket: Bracket;
  number: number;
  of: number;
  side?: Side;
}

/** One time that an item is done. */
export interface Occurrence {
  /** Its own name, by which a running class calls it; the first time it is the item’s. */
  id: string;
  /** The item as it is done this time: in a series on one side. */
  item: Item;
  /** Left out outside of brackets. */
  pass?: Pass;
}

/** Items that stand one behind the other in one bracket, or one that stands in none. */
export interface Run {
  bracket?: Bracket;
  items: Item[];
}

/** A part as its runs, in turn. */
export function runsOf({ items }: Segment, brackets: readonly Bracket[] = []): Run[] {
  const runs: Run[] = [];
  for (const item of items) {
    const bracket = item.bracket && brackets.find(({ id }) => id === item.bracket);
    const last = runs.at(-1);
    if (bracket && last?.bracket === bracket) last.items.push(item);
    else runs.push({ ...(bracket ? { bracket } : {}), items: [item] });
  }
  return runs;
}

/** Every time that an item is done, in running order: what a class is, whatever its plan is written in. */
export function occurrencesOf(plan: Plan): { segment: Segment; occurrences: Occurrence[] }[] {
  if (!plan.brackets || plan.brackets.length === 0) return eachOnce(plan);
  const taken = new Set(plan.segments.flatMap(({ items }) => items.map(({ id }) => id)));
  return plan.segments.map((segment) => ({
    segment,
    occurrences: runsOf(segment, plan.brackets).flatMap((run) => goThrough(run, taken)),
  }));
}

function eachOnce({ segments }: Plan): { segment: Segment; occurrences: Occurrence[] }[] {
  return segments.map((segment) => ({
    segment,
    occurrences: segment.items.map((item) => ({ id: item.id, item })),
  }));
}

/** For each time that an item is done, by its id: all times up to it, the first by the item’s own id. */
export function timesUpTo(plan: Plan): Map<string, readonly string[]> {
  const times = new Map<string, readonly string[]>();
  const lastOf = new Map<string, readonly string[]>();
  for (const { id, item } of occurrencesOf(plan).flatMap(({ occurrences }) => occurrences)) {
    const all = [...(lastOf.get(item.id) ?? []), id];
    lastOf.set(item.id, all);
    times.set(id, all);
  }
  return times;
}

/** The exercises of a class each time that they are done, under the ids of their items. */
export function exercisesDone(plan: Plan): ExerciseItem[] {
  return occurrencesOf(plan).flatMap(({ occurrences }) =>
    occurrences.flatMap(({ item }) => (item.kind === 'exercise' ? [item] : [])),
  );
}

/** The same class with every occurrence written as an item of its own: what is taught, step by step. */
export function planAsOccurrences(plan: Plan): Plan {
  const { brackets = [], ...rest } = plan;
  if (brackets.length === 0) return plan;
  return {
    ...rest,
    segments: occurrencesOf(plan).map(({ segment: { id, name }, occurrences }) => ({
      id,
      name,
      items: occurrences.map(({ id: own, item: { bracket: _, ...item } }) => ({
        ...item,
        id: own,
      })),
    })),
  };
}

function goThrough({ bracket, items }: Run, taken: Set<string>): Occurrence[] {
  if (!bracket) return items.map((item) => ({ id: item.id, item }));
  return passesOf(bracket).flatMap((pass) =>
    items.flatMap((item): Occurrence[] => {
      const done = onSide(item, pass.side);
      return done ? [{ id: nameOf(item, pass.number, taken), item: done, pass }] : [];
    }),
  );
}

function passesOf(bracket: Bracket): Pass[] {
  if (bracket.kind === 'series') {
    const sides: readonly Side[] =
      bracket.first === 'right' ? ['right', 'left'] : ['left', 'right'];
    return sides.map((side, at) => ({ bracket, number: at + 1, of: sides.length, side }));
  }
  const { times } = bracket;
  return Array.from({ length: times }, (_, at) => ({ bracket, number: at + 1, of: times }));
}

/** What is meant for the other side alone is left out of this one; what has no sides is done in both. */
function onSide(item: Item, side: Side | undefined): Item | undefined {
  if (!side || item.kind === 'pause') return item;
  const own = ownSide(item);
  return own && own !== side ? undefined : { ...item, onlySide: side };
}

function ownSide({ onlySide, dose }: ExerciseItem): Side | undefined {
  if (onlySide) return onlySide;
  return dose?.sides === 'left' || dose?.sides === 'right' ? dose.sides : undefined;
}

/** As long as an id may be, less what tells the pass. */
const ROOM = 56;

function nameOf({ id }: Item, pass: number, taken: Set<string>): string {
  if (pass === 1) return id;
  let name = `${id.slice(0, ROOM)}-${pass}`;
  while (taken.has(name)) name += 'x';
  taken.add(name);
  return name;
}
