import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

import { WANTED_PARTS } from '../coverage.ts';

const catalogue = makeCatalogue(
  WANTED_PARTS.map((part) => makeExercise(part, { bodyParts: [part] })),
);
const of = (slugs: readonly string[], targetS = 2400) =>
  findingsOf('body-parts', makePlan([[...slugs]], { targetS }), catalogue);

describe('body-parts', () => {
  it('is content when each is touched', () => expect(of(WANTED_PARTS)).toEqual([]));

  it('names what is not', () => {
    const but = WANTED_PARTS.filter((part) => part !== 'hip-inside' && part !== 'trunk-sides');
    expect(of(but)[0]?.sentence).toBe(
      'Sides of the trunk and inner thigh are not touched in 40 minutes.',
    );
  });

  it('asks nothing of a class under 40 minutes', () => expect(of(['curl'], 2399)).toEqual([]));

  it('adds as few as it takes', () => {
    const but = WANTED_PARTS.filter((part) => part !== 'hip-inside' && part !== 'trunk-sides');
    const plan = makePlan([[...but]], { targetS: 2400 });
    const after = repaired(plan, findingsOf('body-parts', plan, catalogue)[0], /^Add /);
    expect(after.segments[0]?.items).toHaveLength(but.length + 2);
    expect(findingsOf('body-parts', after, catalogue)).toEqual([]);
  });
});
