import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const onMachine = (slug: string, more: Parameters<typeof makeExercise>[1] = {}) =>
  makeExercise(slug, { machine: 'reformer', ...more });
const jump = [{ demands: ['jump' as const] }, { demands: ['jump' as const] }];
const catalogue = makeCatalogue([
  onMachine('feet', { family: 'hips', bodyParts: ['legs'] }),
  onMachine('jumps', { family: 'hips', bodyParts: ['legs'], options: jump }),
  onMachine('stand', { position: 'standing' }),
  onMachine('elephant', { position: 'standing' }),
  onMachine('lie', { position: 'supine' }),
  onMachine('let-go', { position: 'supine', family: 'release' }),
]);
const on = (slugs: string[]) => makePlan([slugs], { machine: 'reformer' });

describe('feet-first', () => {
  const of = (slugs: string[]) => findingsOf('feet-first', on(slugs), catalogue);

  it('wants footwork before a jump, standing, and what is hard: common practice', () => {
    expect(of(['jumps', 'feet'])[0]?.sentence).toBe('jumps comes before any footwork.');
    // All other work too, where there is footwork.
    expect(of(['lie', 'jumps', 'feet'])[0]?.sentence).toBe('lie comes before any footwork.');
    expect(of(['let-go', 'feet', 'lie'])).toEqual([]);
    expect(of(['stand', 'feet'])).toHaveLength(1);
    expect(of(['feet', 'stand', 'jumps'])).toEqual([]);
    expect(of(['lie', 'let-go'])).toEqual([]);
  });

  it('brings the feet forward, or adds them', () => {
    const late = on(['jumps', 'feet']);
    const [finding] = findingsOf('feet-first', late, catalogue);
    const moved = repaired(late, finding, /^Move feet before jumps$/);
    expect(findingsOf('feet-first', moved, catalogue)).toEqual([]);
    const none = on(['jumps']);
    const [without] = findingsOf('feet-first', none, catalogue);
    const added = repaired(none, without, /^Add feet before jumps$/);
    expect(findingsOf('feet-first', added, catalogue)).toEqual([]);
  });
});

describe('levels', () => {
  const of = (slugs: string[]) => findingsOf('levels', on(slugs), catalogue);

  it('lets nobody lie down again to work, but to let go', () => {
    expect(of(['feet', 'stand', 'lie'])[0]?.sentence).toBe(
      'After stand, standing, everybody lies down again for lie.',
    );
    expect(of(['feet', 'lie', 'stand'])).toEqual([]);
    expect(of(['feet', 'stand', 'let-go'])).toEqual([]);
    // Over the bar nobody has stood up yet.
    expect(of(['feet', 'elephant', 'lie'])).toEqual([]);
  });
});
