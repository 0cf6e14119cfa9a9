import { expect, it } from 'vitest';
import { agreement, rankedOptions } from './ranking.ts';

const ranked = rankedOptions();

/** Fewer than this say nothing of an order. */
const FEW = 8;

it('level puts options in the order in which a teacher does', () => {
  expect(ranked.length).toBeGreaterThanOrEqual(80);
  expect(agreement(ranked, 'level')).toBeGreaterThan(0.85);
  expect(agreement(ranked, 'load')).toBeGreaterThan(0.75);
});

it.each([...new Set(ranked.map(({ family }) => family))])('and so it does within %s', (family) => {
  const own = ranked.filter((each) => each.family === family);
  expect(own.length < FEW || agreement(own, 'level') > 0.7).toBe(true);
});
