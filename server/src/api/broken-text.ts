type Path = (string | number)[];

/** A half of a pair of code units, which is no letter, or the character that stands for none. */
const BROKEN = /\p{Cs}|\0/u;

/** The path of the first text that no database column can hold; undefined when all are whole. */
export function findBrokenText(value: unknown): Path | undefined {
  // A list, not a recursion: a request may be nested as deep as it is long.
  const waiting: { value: unknown; path: Path }[] = [{ value, path: [] }];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    if (typeof next.value === 'string') {
      if (BROKEN.test(next.value)) return next.path;
    } else if (typeof next.value === 'object' && next.value !== null) {
      for (const [key, child] of Object.entries(next.value)) {
        if (BROKEN.test(key)) return next.path;
        // Deep nests are refused by their schema; where exactly is told to a depth that one can read.
        const path = next.path.length < 12 ? [...next.path, key] : next.path;
        waiting.push({ value: child, path });
      }
    }
  }
  return undefined;
}
