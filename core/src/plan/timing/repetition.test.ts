import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TEMPOS, type Tempo } from '../../movement/vocabulary.ts';
import { KIND_PACE, STEADY_PACE } from './pace.ts';
import { repetitionPace, type Breathing } from './repetition.ts';

const each = (tempo: Tempo, breathing: Partial<Breathing> = {}) =>
  repetitionPace(tempo, { phases: 2, ...breathing }, STEADY_PACE).eachS;

describe('the pace of a repetition', () => {
  /** Seconds at its own pace, least and most: common practice. */
  it.each<[Tempo, number, number]>([
    ['breath', 5, 13],
    ['articulate-small', 2.5, 7],
    ['articulate-large', 8, 13],
    ['hinge', 2, 3],
    ['roll-down', 11, 21],
    ['lift-trunk', 5, 9],
    ['squeeze', 4.5, 7],
    ['reach-hold', 8, 17],
    ['sequence', 8, 24],
    ['limb-slow', 3, 8],
    ['limb-steady', 2, 6],
    ['circle', 3, 7],
    ['turn', 2.5, 8],
    ['held-curl', 2.9, 4],
    ['held-bridge', 3, 4.6],
    ['quick', 1, 2],
    ['pulse', 0.6, 1.1],
  ])('%s lies between %d and %d s where it is not breathed', (tempo, least, most) => {
    const pace = each(tempo, { breathed: false });
    expect(pace).toBeGreaterThanOrEqual(least);
    expect(pace).toBeLessThanOrEqual(most);
  });

  it('is its phases times a breath where it is breathed', () => {
    // A tilt out and in; a rolled bridge of three breaths, a third longer; a leg out and in: worked by hand.
    expect(each('articulate-small', { breathed: true })).toBeCloseTo(2 * 4.2);
    expect(each('articulate-large', { breathed: true, phases: 3 })).toBeCloseTo(3 * 4.2 * 1.3);
    expect(each('limb-steady', { breathed: true })).toBeCloseTo(2 * 3.2);
    expect(each('limb-steady', { breathed: true, style: 'slow' })).toBeCloseTo(2 * 4.4);
  });

  it('takes a breath to prepare for a large roll in a slow class, where none is told', () => {
    expect(each('articulate-large', { style: 'slow' })).toBeCloseTo(3 * 5.5 * 1.3);
    expect(each('articulate-large', { style: 'slow', phases: 4 })).toBeCloseTo(4 * 5.5 * 1.3);
  });

  it('follows the style where the item says nothing: spine breathed and limbs not, in a steady class', () => {
    expect(each('articulate-small', { style: 'steady' })).toBeCloseTo(8.4);
    expect(each('limb-steady', { style: 'steady' })).toBe(KIND_PACE['limb-steady'].naturalS);
    expect(each('articulate-small', { style: 'brisk' })).toBe(4);
    expect(each('articulate-small', { style: 'brisk', breathed: true })).toBeCloseTo(6);
  });

  it('is quicker where ten and more are usual and nothing is said, and not where it is said', () => {
    expect(each('lift-trunk', { isCounted: true })).toBeCloseTo(11 * 0.4);
    expect(each('limb-steady', { isCounted: true })).toBeCloseTo(4.5 * 0.85);
    expect(each('limb-steady', { isCounted: true, breathed: false })).toBe(3.6);
    expect(each('pulse', { isCounted: true })).toBe(0.8);
  });

  it('never gets quicker from brisk to steady to slow', () => {
    fc.assert(
      fc.property(fc.constantFrom(...TEMPOS), fc.integer({ min: 1, max: 6 }), (tempo, phases) => {
        const [brisk, steady, slow] = (['brisk', 'steady', 'slow'] as const).map((style) =>
          each(tempo, { style, phases }),
        );
        expect(steady).toBeGreaterThanOrEqual(brisk ?? NaN);
        expect(slow).toBeGreaterThanOrEqual(steady ?? NaN);
      }),
    );
  });

  it('says how it was found, and whether the plan tells if it is breathed', () => {
    const open = repetitionPace('turn', { phases: 2 }, STEADY_PACE);
    expect(open).toMatchObject({ isBreathStated: false, source: 'common practice' });
    expect(open.reason).toBe('turn, breathed or not');
    const told = repetitionPace('turn', { phases: 2, breathed: true }, STEADY_PACE);
    expect(told).toMatchObject({ isBreathStated: true });
    expect(told.reason).toBe('turn, 2 breaths in or out, 3.2 s each');
    // One pace whatever the breath does: nothing is open.
    expect(repetitionPace('hinge', { phases: 2 }, STEADY_PACE).isBreathStated).toBe(true);
  });

  it('follows the teacher’s own factors, of all work and of a kind', () => {
    const pace = { ...STEADY_PACE, workFactor: 1.1, tempoFactors: { turn: 0.9 } };
    const turn = repetitionPace('turn', { phases: 2, breathed: false }, pace);
    expect(turn.eachS).toBeCloseTo(5 * 1.1 * 0.9);
    expect(turn.source).toBe('your pace');
  });
});
