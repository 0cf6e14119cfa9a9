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
  it('wants a pause or a rest in a class of 40 minutes: common practice', () => {
    expect(of([long('tilt', 1100), long('curl', 1100)])).toEqual([]);
    expect(of([long('tilt', 1300), long('curl', 1300)])[0]?.sentence).toMatch(
      /^From 0:00 to 4\d:\d\d there is no pause/,
    );
    expect(of([long('tilt', 1300), { pauseS: 30 }, long('curl', 1300)])).toEqual([]);
    expect(of([long('tilt', 1300), 'hug', long('curl', 1300)])).toEqual([]);
  });

  it('counts a rest after an item as one, and none in the close', () => {
    const [slug, extra] = long('tilt', 1300);
    expect(of([[slug, { ...extra, restS: 30 }], long('curl', 1300)])).toEqual([]);
    expect(of([long('tilt', 1300), long('curl', 1300), 'hug'])).toHaveLength(1);
  });

  it('wants one in hard work of more than six minutes', () => {
    expect(of([long('hard', 200), 'tilt', 'tilt', long('tilt', 900)])).toEqual([]);
    expect(of([long('hard', 200), long('hard', 200), long('tilt', 900)])[0]?.sentence).toMatch(
      /^Up to hard there are 6:\d\d of hard work without a pause\.$/,
    );
  });

  it('puts it in the middle', () => {
    const plan = makePlan([[long('tilt', 900), long('curl', 900), long('lift', 900)]]);
    const after = repaired(plan, findingsOf('water', plan, catalogue)[0], /^Pause after/);
    expect(findingsOf('water', after, catalogue)).toEqual([]);
  });
});
