import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const cushion = {
  prop: 'cushion' as const,
  place: 'under head' as const,
  role: 'support' as const,
};
const catalogue = makeCatalogue([
  makeExercise('nod', { options: [{ props: [cushion] }, {}] }),
  makeExercise('nod-maybe', { options: [{ props: [{ ...cushion, optional: true }] }, {}] }),
  makeExercise('bridge', { options: [{ poses: ['supine-bent', 'bridge'] }, {}] }),
  makeExercise('propped-bridge', {
    options: [{ poses: ['supine-bent', 'bridge'], props: [cushion] }, {}],
  }),
]);
const plan = makePlan([['nod', 'bridge']]);
const of = (slugs: string[]) => findingsOf('head-support-out', makePlan([slugs]), catalogue);

describe('head-support-out', () => {
  it('sees a bridge straight after a head support', () => {
    expect(of(['nod', 'bridge'])[0]?.sentence).toBe(
      'nod has something under the head, and bridge follows at once with the pelvis lifted.',
    );
    expect(of(['propped-bridge'])[0]?.sentence).toContain('something under the head');
  });

  it('is content with anything between, or where the support may be left out', () => {
    expect(of(['nod', 'curl', 'bridge'])).toEqual([]);
    expect(of(['nod-maybe', 'bridge'])).toEqual([]);
    expect(of(['nod', 'curl'])).toEqual([]);
  });

  it('puts a moment between', () => {
    const after = repaired(
      plan,
      findingsOf('head-support-out', plan, catalogue)[0],
      /^Pause after nod/,
    );
    expect(after.segments[0]?.items[1]).toMatchObject({ kind: 'pause', durationS: 10 });
    expect(findingsOf('head-support-out', after, catalogue)).toEqual([]);
  });
});
