/** Plain data, as it travels as JSON. */
type Data = unknown;

export type Side = 'mine' | 'theirs';

/** A place that both changed, each in another way. */
export interface Clash {
  path: (string | number)[];
  mine: Data;
  theirs: Data;
}

export interface Merged<T> {
  value: T;
  /** None when what both changed does not touch. */
  clashes: Clash[];
}

/**
 * One document of two that began as the same: what only one of them changed is taken from that one.
 * Records are merged field by field, lists of things with an `id` (or a `caution`) thing by thing,
 * lists of names as sets. Where both changed the same place, `prefer` decides, and the clash is told.
 */
export function mergeThree<T>(base: T, mine: T, theirs: T, prefer: Side): Merged<T> {
  const clashes: Clash[] = [];
  const value = merge(base, mine, theirs, []) as T;
  return { value, clashes };

  function merge(from: Data, ours: Data, other: Data, path: Clash['path']): Data {
    if (isSame(ours, other) || isSame(from, other)) return ours;
    if (isSame(from, ours)) return other;
    if (isRecord(ours) && isRecord(other)) {
      return mergeRecords(isRecord(from) ? from : {}, ours, other, path);
    }
    if (Array.isArray(from) && Array.isArray(ours) && Array.isArray(other)) {
      const merged = mergeLists(from, ours, other, path);
      if (merged) return merged;
    }
    clashes.push({ path, mine: ours, theirs: other });
    return prefer === 'mine' ? ours : other;
  }

  function mergeRecords(from: Fields, ours: Fields, other: Fields, path: Clash['path']): Data {
    const names = new Set([...Object.keys(other), ...Object.keys(ours)]);
    const fields = [...names].map((name) => {
      const field = (record: Fields) => (Object.hasOwn(record, name) ? record[name] : undefined);
      return [name, merge(field(from), field(ours), field(other), [...path, name])] as const;
    });
    return Object.fromEntries(fields.filter(([, field]) => field !== undefined));
  }

  /** Undefined when the lists hold things without names, or both were put into another order. */
  function mergeLists(from: Data[], ours: Data[], other: Data[], path: Clash['path']) {
    const [before, mineNow, theirsNow] = [keyed(from), keyed(ours), keyed(other)];
    if (!before || !mineNow || !theirsNow) return undefined;
    const order = mergeOrder([...before.keys()], [...mineNow.keys()], [...theirsNow.keys()]);
    return order?.flatMap((key) => {
      const [was, ofMine, ofTheirs] = [before.get(key), mineNow.get(key), theirsNow.get(key)];
      // Taken out by one and changed by the other: told, and kept or dropped as preferred.
      const merged = merge(was, ofMine, ofTheirs, [...path, key]);
      return merged === undefined ? [] : [merged];
    });
  }
}

type Fields = Record<string, Data>;

function isRecord(value: Data): value is Fields {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** By content; fields that are undefined are as good as not there, as in JSON. */
export function isSame(one: Data, other: Data): boolean {
  if (Object.is(one, other)) return true;
  if (Array.isArray(one) && Array.isArray(other)) {
    return one.length === other.length && one.every((each, index) => isSame(each, other[index]));
  }
  if (!isRecord(one) || !isRecord(other)) return false;
  const names = new Set([...Object.keys(one), ...Object.keys(other)]);
  return [...names].every((name) => isSame(one[name], other[name]));
}

/** A list by the names of its things; undefined when some have none. The same name twice is numbered. */
function keyed(list: readonly Data[]): Map<string, Data> | undefined {
  const byKey = new Map<string, Data>();
  for (const each of list) {
    const name = nameOf(each);
    if (name === undefined) return undefined;
    let key = name;
    for (let again = 2; byKey.has(key); again += 1) key = `${name} ${again}`;
    byKey.set(key, each);
  }
  return byKey;
}

function nameOf(thing: Data): string | undefined {
  if (typeof thing === 'string') return thing;
  if (!isRecord(thing)) return undefined;
  const name = thing.id ?? thing.caution;
  return typeof name === 'string' ? name : undefined;
}

/**
 * Names in one order: theirs, without what mine took out and with what mine put in, each behind what it
 * stands behind there. Undefined when both moved what was there before.
 */
function mergeOrder(
  before: readonly string[],
  mine: readonly string[],
  theirs: readonly string[],
): string[] | undefined {
  const inBoth = new Set(before.filter((key) => mine.includes(key) && theirs.includes(key)));
  const stayed = (keys: readonly string[]) => keys.filter((key) => inBoth.has(key));
  const [was, ofMine, ofTheirs] = [stayed(before), stayed(mine), stayed(theirs)];
  if (!isSame(was, ofMine) && !isSame(was, ofTheirs) && !isSame(ofMine, ofTheirs)) return undefined;
  const [lead, other] = isSame(was, ofTheirs) ? [mine, theirs] : [theirs, mine];
  // What the other took out stays in the order: whether it goes is decided with what it holds.
  const order = [...lead];
  other.forEach((key, index) => {
    if (order.includes(key)) return;
    const behind = other.slice(0, index).findLast((each) => order.includes(each));
    order.splice(behind === undefined ? 0 : order.indexOf(behind) + 1, 0, key);
  });
  return order;
}
