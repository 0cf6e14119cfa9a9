/**
 * The smallest set of wishes that can't be had together, or undefined where all can. First wishes are
 * dropped one by one as long as the rest stays impossible (a deletion filter: what is left is minimal),
 * then every smaller set is tried, so that no smaller one is overlooked.
 */
export function smallestConflict<T>(
  wishes: readonly T[],
  isPossible: (wishes: readonly T[]) => boolean,
): T[] | undefined {
  if (isPossible(wishes)) return undefined;
  let minimal = [...wishes];
  for (const wish of wishes) {
    const without = minimal.filter((each) => each !== wish);
    if (!isPossible(without)) minimal = without;
  }
  for (let size = 1; size < minimal.length; size += 1) {
    for (const set of subsets(wishes, size)) if (!isPossible(set)) return set;
  }
  return minimal;
}

function* subsets<T>(list: readonly T[], size: number): Generator<T[]> {
  if (size === 0) yield [];
  for (let index = 0; size > 0 && index <= list.length - size; index += 1) {
    for (const rest of subsets(list.slice(index + 1), size - 1)) yield [list[index] as T, ...rest];
  }
}
