import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const soft = (slug: string, bodyParts: ('hip-back' | 'hip-outside' | 'legs')[]) =>
  makeExercise(slug, { family: 'release', tempo: 'hold', bodyParts });
const catalogue = makeCatalogue([
  soft('hamstring', ['hip-back', 'legs']),
  soft('deep-turner', ['hip-back', 'hip-outside']),
]);
const of = (slugs: string[]) => findingsOf('layers', makePlan([slugs]), catalogue);

describe('layers', () => {
  it('stretches the long outer muscle before the deep short one: common practice', () => {
    expect(of(['hamstring', 'deep-turner'])).toEqual([]);
    expect(of(['deep-turner', 'hamstring'])[0]?.sentence).toContain('long outer muscle');
  });

  it('is a preference: it does not bind', () => {
    expect(of(['deep-turner', 'hamstring'])[0]?.binding).toBe(false);
  });

  it('turns them round', () => {
    const plan = makePlan([['deep-turner', 'hamstring']]);
    const after = repaired(
      plan,
      findingsOf('layers', plan, catalogue)[0],
      /^Move hamstring before/,
    );
    expect(findingsOf('layers', after, catalogue)).toEqual([]);
  });
});
