import Fuse from 'fuse.js';
import type { Catalogue } from './catalogue.ts';
import type { Exercise } from './exercise.ts';

/** What is looked at, and how much a find there counts. */
const KEYS = [
  { name: 'name', weight: 6, getFn: ({ name }: Exercise) => plain(name) },
  { name: 'slug', weight: 3, getFn: ({ slug }: Exercise) => plain(slug) },
  {
    name: 'otherNames',
    weight: 4,
    getFn: ({ otherNames }: Exercise) => otherNames.map(plain),
  },
  {
    name: 'rest',
    weight: 1,
    getFn: ({ purpose, position, moves, bodyParts, movers, options }: Exercise) =>
      [
        purpose,
        position,
        ...moves,
        ...bodyParts,
        ...movers,
        ...options.flatMap((option) => option.props.map(({ prop }) => prop)),
      ].map(plain),
  },
];

/** How far a word may be from what was meant: not at all, a letter or two, two that changed places. */
const FORGIVING = [0, 0.25, 0.42] as const;

const SEARCHES = new WeakMap<readonly Exercise[], Fuse<Exercise>[]>();

/**
 * Exercises in which every word asked for is found, the nearest first. A word that stands nowhere
 * as it is spelled is taken for words that are spelled about so, as near as there are any.
 */
export function searchCatalogue(catalogue: Catalogue, query: string): Exercise[] {
  const words = plain(query)
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);
  const telling = words.filter((word) => word.length > 1);
  if (telling.length === 0) return [...catalogue.all];
  const searches = searchesOf(catalogue.all);
  let found: Map<Exercise, number> | undefined;
  for (const word of telling) {
    const hits = hitsOf(word, searches);
    found = found ? intersect(found, hits) : hits;
  }
  return [...(found ?? [])].sort(([, a], [, b]) => a - b).map(([exercise]) => exercise);
}

function hitsOf(word: string, searches: readonly Fuse<Exercise>[]): Map<Exercise, number> {
  for (const search of searches) {
    const results = search.search(word);
    if (results.length > 0) return new Map(results.map(({ item, score = 1 }) => [item, score]));
  }
  return new Map();
}

function intersect(
  before: ReadonlyMap<Exercise, number>,
  hits: ReadonlyMap<Exercise, number>,
): Map<Exercise, number> {
  const both = new Map<Exercise, number>();
  for (const [exercise, score] of before) {
    const other = hits.get(exercise);
    if (other !== undefined) both.set(exercise, score + other);
  }
  return both;
}

function searchesOf(all: readonly Exercise[]): readonly Fuse<Exercise>[] {
  const known = SEARCHES.get(all);
  if (known) return known;
  const index = Fuse.createIndex(KEYS, all);
  const made = FORGIVING.map(
    (threshold) =>
      new Fuse(
        all,
        { keys: KEYS, threshold, ignoreLocation: true, includeScore: true, minMatchCharLength: 2 },
        index,
      ),
  );
  SEARCHES.set(all, made);
  return made;
}

function plain(text: string): string {
  return text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase().replace(/-/g, ' ');
}
