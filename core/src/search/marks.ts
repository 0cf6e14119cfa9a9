import type { CostId } from '../plan/school.ts';
import { STANDING_PRICE_S, type RuleContext, type Worked } from '../review/rule.ts';
import { entryOf } from './entry.ts';
import type { Forgiven } from './forgiven.ts';

/** A set of marks, in two words of bits. */
export interface Bits {
  readonly low: number;
  readonly high: number;
}

export const NO_BITS: Bits = { low: 0, high: 0 };

/** Something that an item leaves for those behind it, and what it costs each that wants it in vain. */
export interface Mark {
  name: string;
  cost: CostId;
  costS: number;
}

export interface Marked {
  marks: readonly Mark[];
  /** By item: what it leaves, and what it wants to find. */
  leaves: Bits[];
  wants: Bits[];
}

/** One sign bit a word is left alone. */
const WORD = 31;

/** Gathers the marks that rules speak of. Only those that some item wants are counted. */
export function markItems(context: RuleContext, forgiven: Forgiven): Marked {
  const { worked, rules, school } = context;
  const marks: Mark[] = [];
  const found = worked.map(() => ({ leaves: NO_BITS, wants: NO_BITS }));
  for (const { rule, standing } of rules) {
    for (const { cost, marks: told } of rule.order ?? []) {
      const costS = STANDING_PRICE_S[standing] * school.weights[cost];
      if (!told || costS === 0) continue;
      const wanted = worked.map((each) =>
        told
          .wants(each, context)
          .filter((name) => !forgiven.marks.has(`${rule.id} ${each.item.id} ${name}`)),
      );
      const bitOf = new Map<string, Bits>();
      for (const name of new Set(wanted.flat())) {
        bitOf.set(name, bit(marks.length));
        marks.push({ name: `${rule.id} ${name}`, cost, costS });
      }
      const bitsOf = (names: readonly string[]) =>
        names.reduce((bits, name) => union(bits, bitOf.get(name) ?? NO_BITS), NO_BITS);
      worked.forEach((each: Worked, index) => {
        const before = found[index];
        if (!before) return;
        before.leaves = union(before.leaves, bitsOf(told.leaves(each, context)));
        before.wants = union(before.wants, bitsOf(entryOf(wanted, index)));
      });
    }
  }
  return {
    marks,
    leaves: found.map(({ leaves }) => leaves),
    wants: found.map(({ wants }) => wants),
  };
}

function bit(index: number): Bits {
  if (index >= 2 * WORD) {
    throw new Error(
      `the rules want more than ${2 * WORD} marks of one class; widen search/marks.ts`,
    );
  }
  return index < WORD ? { low: 1 << index, high: 0 } : { low: 0, high: 1 << (index - WORD) };
}

export function union(one: Bits, other: Bits): Bits {
  return { low: one.low | other.low, high: one.high | other.high };
}

export function hasBit(bits: Bits, index: number): boolean {
  const { low, high } = bit(index);
  return ((bits.low & low) | (bits.high & high)) !== 0;
}

/** Calls back for each mark that is wanted and was not left by what is done. */
export function eachMissing(
  marks: readonly Mark[],
  wants: Bits,
  doneLow: number,
  doneHigh: number,
  tell: (mark: Mark) => void,
): void {
  tellWord(marks, wants.low & ~doneLow, 0, tell);
  tellWord(marks, wants.high & ~doneHigh, WORD, tell);
}

function tellWord(
  marks: readonly Mark[],
  missing: number,
  from: number,
  tell: (mark: Mark) => void,
): void {
  for (let left = missing; left !== 0; left &= left - 1) {
    const index = from + 31 - Math.clz32(left & -left);
    const mark = marks[index];
    if (!mark) throw new Error(`no mark ${index}`);
    tell(mark);
  }
}
