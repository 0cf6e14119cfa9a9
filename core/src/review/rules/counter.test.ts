import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const minutes = (slug: string, holdS: number): [string, object] => [
  slug,
  { dose: { kind: 'hold', holdS, count: 1, sets: 1, sides: 'none', directions: 1 } },
];
const side = (slug: string, sides: 'left' | 'right', holdS: number): [string, object] => [
  slug,
  { dose: { kind: 'hold', holdS, count: 1, sets: 1, sides, directions: 1 } },
];
const catalogue = makeCatalogue([
  makeExercise('fold-soft', { moves: ['round'], counters: ['untwist'] }),
  makeExercise('untwist', { moves: ['turn'], options: [{ effort: 3 }, {}] }),
  makeExercise('plank-hard', { position: 'plank', options: [{ effort: 4 }, {}] }),
  makeExercise('side-stretch', {
    family: 'release',
    position: 'side-lying',
    bodyParts: ['trunk-front'],
  }),
]);
const of = (entries: Parameters<typeof makePlan>[0][number]) =>
  findingsOf('counter', makePlan([entries]), catalogue);

describe('counter', () => {
  it('answers three minutes of rounding within two items: common practice', () => {
    expect(of([minutes('fold-soft', 120), 'leg-lift', 'leg-lift'])).toEqual([]);
    expect(of([minutes('fold-soft', 200), 'plank-hard', 'plank-hard'])[0]?.sentence).toMatch(
      /^fold soft goes on rounding for 3:\d\d, and nothing within two items goes the other way\.$/,
    );
    expect(of([minutes('fold-soft', 200), 'plank-hard', 'lift', 'hug'])).toEqual([]);
  });

  it('goes by minutes, not by how hard it is, and asks the same of back lifts', () => {
    expect(of(['curl', 'plank-hard', 'plank-hard'])).toEqual([]);
    expect(of([minutes('lift', 200), 'plank-hard', 'plank-hard'])).toHaveLength(1);
  });

  it('takes letting go for an answer, whichever way it goes', () => {
    expect(of([minutes('fold-soft', 200), 'hug'])).toEqual([]);
    expect(of([minutes('lift', 200), 'plank-hard', 'hug'])).toEqual([]);
  });

  it('asks what a class that ends on a back lift leaves', () => {
    expect(of(['breathe', 'lift'])).toHaveLength(1);
    expect(of(['breathe', 'lift', 'hug'])).toEqual([]);
  });

  it('adds up neighbours', () => {
    const plan = [minutes('fold-soft', 100), minutes('fold-soft', 100), 'plank-hard', 'plank-hard'];
    expect(of(plan)[0]?.sentence).toMatch(/^2 items up to fold soft go on rounding/);
  });

  it('counts an exercise that is named as the answer', () => {
    expect(of([minutes('fold-soft', 200), 'untwist'])).toEqual([]);
  });

  it('moves what opens behind it', () => {
    const plan = makePlan([[minutes('fold-soft', 200), 'plank-hard', 'plank-hard', 'lift', 'hug']]);
    const after = repaired(
      plan,
      findingsOf('counter', plan, catalogue)[0],
      /^Move lift after fold soft$/,
    );
    expect(findingsOf('counter', after, catalogue)).toEqual([]);
  });

  it('stretches one side before the sides change', () => {
    const long = [side('leg-lift', 'left', 300), side('leg-lift', 'right', 300)];
    expect(of(long)[0]?.sentence).toMatch(/^The left side works for 5:\d\d and the sides change/);
    const plan = makePlan([long]);
    const after = repaired(plan, findingsOf('counter', plan, catalogue)[0], /^Add side stretch/);
    const left = findingsOf('counter', after, catalogue).filter(({ key }) =>
      key.startsWith('side'),
    );
    expect(left).toEqual([]);
  });
});
