import Fuse from 'fuse.js';
import type { Caution } from './caution.ts';
import { CAUTIONS, type CautionId } from './cautions.ts';

type Known = Caution & { id: CautionId };

const SEARCH = new Fuse<Known>(CAUTIONS, {
  keys: [
    { name: 'name', weight: 4 },
    { name: 'plain', weight: 3 },
    { name: 'says', weight: 1 },
  ],
  includeScore: true,
  ignoreLocation: true,
  threshold: 0.35,
  minMatchCharLength: 2,
});

/** Of the best find; what is worse was not meant. */
const AS_GOOD = 0.55;

/** Cautions by plain words, the nearest first; all of them while nothing is asked for. */
export function searchCautions(words: string): readonly Known[] {
  const asked = words.split(/\s+/u).filter((word) => word.length > 1);
  if (asked.length === 0) return CAUTIONS;
  const near = new Map<Known, number>();
  for (const word of asked) {
    for (const { item, score = 1 } of SEARCH.search(word)) {
      near.set(item, (near.get(item) ?? 0) + 1 - score);
    }
  }
  const best = Math.max(...near.values());
  return [...near]
    .filter(([, score]) => score >= best * AS_GOOD)
    .sort(([, one], [, other]) => other - one)
    .map(([caution]) => caution);
}
