import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const ball = (role: 'challenge' | 'support') => ({
  prop: 'small-ball' as const,
  place: 'under hand' as const,
  role,
});
const catalogue = makeCatalogue([
  makeExercise('reach', { standard: 2, options: [{}, { props: [ball('challenge')] }] }),
  makeExercise('eased', { standard: 2, options: [{}, { props: [ball('support')] }] }),
  makeExercise('ball-only', {
    options: [{ props: [ball('challenge')] }, { props: [ball('challenge')] }],
  }),
]);
const of = (plan: ReturnType<typeof makePlan>) => findingsOf('rehearse-then-prop', plan, catalogue);
const bare: [string, object] = ['reach', { options: [1] }];

describe('rehearse-then-prop', () => {
  it('wants one set without a prop that makes it harder', () => {
    expect(of(makePlan([['reach']]))[0]?.sentence).toBe(
      'reach starts with the small ball under hand, and no set without it comes before.',
    );
    expect(of(makePlan([[bare, 'reach']]))).toEqual([]);
    expect(of(makePlan([['reach', bare]]))).toHaveLength(1);
  });

  it('lets a prop that helps come at once', () => expect(of(makePlan([['eased']]))).toEqual([]));

  it('does not ask for a set without where there is none', () =>
    expect(of(makePlan([['ball-only']]))).toEqual([]));

  it('offers it without the prop', () => {
    const plan = makePlan([['reach']]);
    expect(of(repaired(plan, of(plan)[0], /without the small ball/))).toEqual([]);
  });
});
