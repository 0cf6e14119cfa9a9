import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const long = (slug: string, holdS: number): [string, object] => [
  slug,
  { dose: { kind: 'hold', holdS, count: 1, sets: 1, sides: 'none', directions: 1 } },
];
const catalogue = makeCatalogue([makeExercise('hard', { options: [{ effort: 4 }, {}] })]);
const of = (entries: Parameters<typeof makePlan>[0][number]) =>
  findingsOf('water', makePlan([entries]), catalogue);

describe('water', () => {
  it('wants a pause at least every 20 minutes: common practice', () => {
    expect(of([long('tilt', 1100)])).toEqual([]);
    expect(of([long('tilt', 700), long('curl', 700)])[0]?.sentence).toMatch(
      /^From 0:00 to 2\d:\d\d there is no pause/,
    );
    expect(of([long('tilt', 700), { pauseS: 30 }, long('curl', 700)])).toEqual([]);
  });

  it('counts a rest after an item as one', () => {
    const [slug, extra] = long('tilt', 700);
    expect(of([[slug, { ...extra, restS: 30 }], long('curl', 700)])).toEqual([]);
  });

  it('wants one behind the hardest block', () => {
    expect(of(['tilt', 'hard', 'tilt', 'tilt', 'tilt'])[0]?.sentence).toMatch(
      /^hard is the hardest .* no pause follows within two items\.$/,
    );
    expect(of(['tilt', 'hard', 'tilt', { pauseS: 30 }, 'tilt'])).toEqual([]);
  });

  it('puts it in the middle', () => {
    const plan = makePlan([[long('tilt', 500), long('curl', 500), long('lift', 500)]]);
    const after = repaired(plan, findingsOf('water', plan, catalogue)[0], /^Pause after/);
    expect(findingsOf('water', after, catalogue)).toEqual([]);
  });
});
