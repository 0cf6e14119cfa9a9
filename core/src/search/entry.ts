/**
 * The entry of a list that must have it: counting a missing one as 0 would hide a fault in the search.
 *
 * Not for the innermost loops, whose arrays are made for the very indices they are read with: the check
 * halves their speed (`bench/search.ts`).
 */
export function entryOf<T>(list: ArrayLike<T>, index: number): T {
  const entry = list[index];
  if (entry === undefined) throw new Error(`no entry ${index} in a list of ${list.length}`);
  return entry;
}
