import type { Timeline } from '../plan/timing/timeline.ts';

/** Standard normal numbers by Box and Muller (1958), from a seeded generator. */
function normals(seed: number): () => number {
  let state = seed;
  const uniform = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state + 1) / 4294967297;
  };
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
}

/**
 * Plays the class many times by the model's own spreads: how quick this teacher works and talks is drawn once a class,
 * each item's work and words once an item. (Breath open: half as much again and more.)
 */
export function playClass({ items }: Timeline, times: number): number[] {
  const normal = normals(20261125);
  return Array.from({ length: times }, () => {
    const [works, talks, clock] = [normal(), normal(), normal()];
    let total = 0;
    for (const { parts } of items) {
      const own = normal();
      let wordsS = 0;
      for (const { varies, durationS } of parts) {
        if (varies === 'words') wordsS += durationS;
        total += durationS;
        if (varies === 'work') total += durationS * (0.1 * works + 0.35 * own);
        else if (varies === 'open work') total += durationS * (0.25 * works + 0.4 * own);
        else if (varies === 'words') total += durationS * 0.3 * talks;
        else total += durationS * 0.03 * clock;
      }
      total += Math.sqrt(6 * wordsS) * normal();
    }
    return total;
  }).sort((a, b) => a - b);
}
