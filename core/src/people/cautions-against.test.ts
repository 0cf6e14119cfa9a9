import { describe, expect, it } from 'vitest';
import { makeExercise } from '../testing/make-exercise.ts';
import { cautionsAgainst, tellOpen } from './cautions-against.ts';

const hop = makeExercise('hop', {
  options: [
    { effort: 0, demands: [] },
    { effort: 0, demands: ['jump'] },
    { effort: 0, demands: ['jump', 'flexion-unloaded'] },
  ],
});

describe('cautions against an exercise', () => {
  it('are those that rule an option out, with the options that stay open', () => {
    const bone = cautionsAgainst(hop).find(({ caution }) => caution.id === 'osteoporosis');
    expect(bone?.open.map(({ number }) => number)).toEqual([1]);
  });

  it('leave out a caution that only limits', () => {
    const bend = makeExercise('bend', {
      options: [{ effort: 0, demands: ['side-bend'] }, { effort: 0 }],
    });
    const ids = cautionsAgainst(bend).map(({ caution }) => caution.id);
    expect(ids).not.toContain('osteoporosis');
  });

  it('are told in words', () => {
    expect(tellOpen(hop.options.slice(0, 1))).toBe('option 1 stays open');
    expect(tellOpen(hop.options)).toBe('options 1, 2, 3 stay open');
    expect(tellOpen([])).toContain('no option');
  });
});
