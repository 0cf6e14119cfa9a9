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
  makeExercise('untwist', { moves: ['turn'] }),
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
    expect(of([minutes('fold-soft', 120), 'twist', 'twist'])).toEqual([]);
    expect(of([minutes('fold-soft', 200), 'twist', 'side-reach'])[0]?.sentence).toMatch(
      /^fold soft goes on rounding for 3:\d\d, and nothing within two items goes the other way\.$/,
    );
    expect(of([minutes('fold-soft', 200), 'twist', 'lift'])).toEqual([]);
  });

  it('answers hard rounding however short, and hard arching the same way', () => {
    expect(of(['curl', 'twist', 'side-reach'])).toHaveLength(1);
    expect(of(['curl', 'lift'])).toEqual([]);
    expect(of([minutes('lift', 200), 'twist', 'side-reach'])).toHaveLength(1);
  });

  it('adds up neighbours', () => {
    const plan = [minutes('fold-soft', 100), minutes('fold-soft', 100), 'twist', 'side-reach'];
    expect(of(plan)[0]?.sentence).toMatch(/^2 items up to fold soft go on rounding/);
  });

  it('counts an exercise that is named as the answer', () => {
    expect(of([minutes('fold-soft', 200), 'untwist'])).toEqual([]);
  });

  it('moves what opens behind it', () => {
    const plan = makePlan([[minutes('fold-soft', 200), 'twist', 'side-reach', 'lift']]);
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
