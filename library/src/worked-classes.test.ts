import { describe, expect, it } from 'vitest';
import type { Dose } from '@wrenfern/core/movement/dose';
import type { Bracket, Plan } from '@wrenfern/core/plan/plan';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { composePlan, exercise } from './compose-plan.ts';
import { builtInCatalogue as catalogue } from './index.ts';

/*
 * Short stretches of classes worked out by hand from what is measured in taught ones (common practice): seconds of a
 * breath 4.2, slow 5.5 for the spine and 3.2, slow 4.4 for limbs; 12.5 for the first shape, 5 for the next in a
 * position, 7 for a hold, 23 to the side; 4.5 of words, as much again in a new position, 8 for options, 1.5 for a hold;
 * 8 more for a first repetition. Each sum may be off by the halves that are rounded.
 */

const plain = { sets: 1, sides: 'none', directions: 1 } as const;
const times = (count: number, sides: Dose['sides'] = 'none'): Dose => ({
  ...plain,
  kind: 'repetitions',
  count,
  sides,
});

/** All of the first part, in a bracket. */
function within(plan: Plan, bracket: Bracket): Plan {
  return {
    ...plan,
    brackets: [bracket],
    segments: plan.segments.map((segment) => ({
      ...segment,
      items: segment.items.map((item) => ({ ...item, bracket: bracket.id })),
    })),
  };
}

function expectSeconds(plan: Plan, byHand: readonly number[]) {
  const { items, totalS } = timePlan(plan, catalogue);
  items.forEach(({ name, durationS }, index) => {
    expect([name, Math.abs(durationS - (byHand[index] ?? NaN)) <= 2, durationS]).toEqual([
      name,
      true,
      durationS,
    ]);
  });
  const total = byHand.reduce((sum, seconds) => sum + seconds, 0);
  expect(Math.abs(totalS - total)).toBeLessThanOrEqual(items.length);
}

describe('a stretch of class, worked by hand', () => {
  it('slow, led by the breath', () => {
    const plan = composePlan({ title: 'Slow', targetS: 600, style: 'slow' }, [
      [
        'All',
        [
          exercise('breath-three-way', {
            options: [2],
            dose: { ...plain, kind: 'breaths', count: 6 },
          }),
          exercise('pelvic-tilt', { options: [2], dose: times(8) }),
          exercise('bridge-roll', { options: [3], dose: times(5) }),
          exercise('knee-fold', { options: [2], dose: times(4, 'alternating') }),
          exercise('supine-twist', { options: [2] }),
        ],
      ],
    ]);
    expectSeconds(plan, [
      12.5 + 4.5 + 4.5 + 8 + 6 * 2 * 5.5,
      5 + 4.5 + 8 + 8 * 2 * 5.5,
      // Rolled: three breaths, a third longer; a ball between the knees.
      5 + 9 + 4.5 + 8 + 5 * 3 * 5.5 * 1.3,
      5 + 2 + 4.5 + 8 + 2 * 4 * 2 * 4.4,
      7 + 1.5 + 30 + 7 + 30,
    ]);
  });

  it('brisk and flowing, each at its own pace', () => {
    const plan = composePlan({ title: 'Brisk', targetS: 600, style: 'brisk' }, [
      [
        'All',
        [
          exercise('chest-lift', { options: [2], dose: times(8) }),
          exercise('criss-cross', { options: [2], dose: times(6, 'alternating') }),
          exercise('side-leg-lift', { options: [1], dose: times(10, 'each') }),
          exercise('clam', { options: [2], dose: times(10, 'each') }),
          exercise('cat-cow', { dose: times(5) }),
          exercise('plank', {
            options: [2],
            dose: { ...plain, kind: 'hold', holdS: 30, count: 1 },
          }),
        ],
      ],
    ]);
    expectSeconds(plan, [
      12.5 + 4.5 + 4.5 + 8 + 8 * 6,
      5 + 4.5 + 8 + 12 * 3.1,
      23 + 4.5 + 4.5 + 8 + 10 * 3.6 + 15 + 10 * 3.6,
      5 + 4.5 + 8 + 10 * 3.6 + 15 + 10 * 3.6,
      13.5 + 4.5 + 8 + 4.5 + 8 + 5 * 4,
      2 + 1.5 + 30,
    ]);
  });

  it('a series, one side and then the other, over which the class turns once', () => {
    const plan = composePlan({ title: 'Side', targetS: 600, style: 'brisk' }, [
      [
        'All',
        [
          exercise('side-leg-lift', { options: [1], dose: times(10, 'each') }),
          exercise('clam', { options: [2], dose: times(10, 'each') }),
        ],
      ],
    ]);
    const series = within(plan, { kind: 'series', id: 'side', first: 'right' });
    expectSeconds(series, [
      12.5 + 4.5 + 4.5 + 8 + 10 * 3.6,
      5 + 4.5 + 8 + 10 * 3.6,
      // Over once, and no words to speak of.
      15 + 1 + 10 * 3.6,
      5 + 1 + 10 * 3.6,
    ]);
    expect(timePlan(series, catalogue).totalS).toBeLessThan(timePlan(plan, catalogue).totalS);
  });

  it('two exercises in turn, in three rounds', () => {
    const plan = composePlan({ title: 'Rounds', targetS: 600, style: 'brisk' }, [
      [
        'All',
        [
          exercise('chest-lift', { options: [2], dose: times(8) }),
          exercise('bridge-roll', { options: [2], dose: times(6) }),
        ],
      ],
    ]);
    expectSeconds(within(plan, { kind: 'rounds', id: 'turns', times: 3 }), [
      12.5 + 4.5 + 4.5 + 8 + 8 * 6,
      5 + 4.5 + 8 + 6 * 2.4,
      ...[2, 3].flatMap(() => [5 + 1 + 8 * 6, 5 + 1 + 6 * 2.4]),
    ]);
  });

  it('steady, on the machine, whose changes cost their own seconds', () => {
    const plan = composePlan(
      { title: 'Machine', targetS: 900, machine: 'reformer', style: 'steady' },
      [
        [
          'All',
          [
            exercise('footwork', {
              variants: [
                { option: 1, dose: times(10) },
                { option: 2, dose: times(10) },
              ],
            }),
            exercise('reformer-bridge', { options: [2], dose: times(6) }),
            exercise('feet-in-straps', { options: [1], dose: times(8) }),
            exercise('scooter', { options: [1], dose: times(8, 'each') }),
          ],
        ],
      ],
    );
    expectSeconds(plan, [
      12.5 + 4.5 + 4.5 + 8 + 10 * 3.6 + 3 + 10 * 3.6,
      // Headrest 5, on the springs of the feet; rolled in three breaths.
      5 + 5 + 4.5 + 8 + 6 * 3 * 4.2 * 1.3,
      // Arranging 20, headrest 5, springs 9, bar 5, loops 12.
      20 + 5 + 9 + 5 + 12 + 4.5 + 8 + 8 * 4.7,
      // Up to stand 23, headrest 5, springs 9, bar 5, loops away 12, turning round 15.
      23 + 5 + 9 + 5 + 12 + 15 + 4.5 + 4.5 + 8 + 8 * 3.6 + 7 + 8 * 3.6,
    ]);
  });

  it('one side after the other as two items: the second is turned to, not taught', () => {
    const plan = composePlan({ title: 'Twins', targetS: 600, style: 'steady' }, [
      [
        'All',
        [
          exercise('clam', { options: [1], dose: times(8, 'left') }),
          exercise('clam', { options: [1], dose: times(8, 'right') }),
        ],
      ],
    ]);
    expectSeconds(plan, [12.5 + 4.5 + 4.5 + 8 + 8 * 3.6, 9 + 1 + 8 * 3.6]);
  });

  it('a lesson, whose explanation is planned like work', () => {
    const plan = composePlan({ title: 'Lesson', targetS: 600 }, [
      [
        'All',
        [
          exercise('roll-up', {
            options: [2],
            dose: times(3),
            teaching: 'full',
            explainS: 120,
            breathed: true,
            phases: 4,
          }),
          exercise('roll-up', { options: [3], dose: times(5), breathed: false }),
        ],
      ],
    ]);
    expectSeconds(plan, [12.5 + 120 + 8 + 3 * 4 * 4.2 * 1.3, 3 + 1 + 5 * 10]);
  });
});
