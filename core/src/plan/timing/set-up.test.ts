import { describe, expect, it } from 'vitest';
import type { PropUse } from '../../movement/exercise.ts';
import type { Position } from '../../movement/vocabulary.ts';
import { setUpBetween, type Stance } from './set-up.ts';

const at = (position: Position, exercise = position, props: PropUse[] = []): Stance => ({
  exercise,
  position,
  props,
});
const use = (prop: PropUse['prop'], place: PropUse['place']): PropUse => ({
  prop,
  place,
  role: 'support',
  count: 1,
  optional: false,
});
const all = new Set<Position>([
  'supine',
  'side-lying',
  'prone',
  'quadruped',
  'plank',
  'seated',
  'kneeling',
  'standing',
]);

/** Least and most seconds: common practice. */
describe('setUpBetween stays within the usual seconds', () => {
  it.each<[string, Stance | undefined, Stance, number, number]>([
    ['the very first shape', undefined, at('supine'), 12, 35],
    ['supine to kneeling', at('supine'), at('kneeling'), 5, 12],
    ['kneeling to all fours', at('kneeling'), at('quadruped'), 5, 12],
    ['lying to seated', at('supine'), at('seated'), 5, 12],
    ['side to supine, then arranging', at('side-lying'), at('supine', 'prone'), 7, 20],
    ['into side-lying', at('supine'), at('side-lying'), 12, 30],
    ['all fours to supine through the side', at('quadruped'), at('supine'), 12, 30],
    ['supine to prone', at('supine'), at('prone'), 12, 30],
    ['rearranging within a position', at('supine', 'seated'), at('supine'), 4, 15],
  ])('%s', (_name, before, after, least, most) => {
    const { seconds } = setUpBetween(before, after, all);
    expect(seconds).toBeGreaterThanOrEqual(least);
    expect(seconds).toBeLessThanOrEqual(most);
  });

  it('costs nothing to do the same exercise again', () => {
    expect(setUpBetween(at('supine'), at('supine'), all)).toEqual({
      seconds: 0,
      reason: 'same exercise, nothing to arrange',
    });
  });

  it('lines up a shape that this class meets for the first time', () => {
    const known = setUpBetween(at('supine'), at('seated'), all).seconds;
    const first = setUpBetween(at('supine'), at('seated'), new Set()).seconds;
    expect(first).toBeGreaterThan(known);
  });

  it('takes 5 to 8 s to move a ball that is at hand to another place', () => {
    const before = at('supine', 'supine', [use('small-ball', 'under pelvis')]);
    const after = at('supine', 'supine', [use('small-ball', 'between knees')]);
    const { seconds, reason } = setUpBetween(before, after, all);
    expect(seconds).toBeGreaterThanOrEqual(5);
    expect(seconds).toBeLessThanOrEqual(8);
    expect(reason).toBe('small ball placed between knees 6 s');
  });

  it('takes about 15 s to change position with a prop', () => {
    const after = at('seated', 'seated', [use('small-ball', 'behind low back')]);
    const { seconds } = setUpBetween(at('supine'), after, all);
    expect(seconds).toBeGreaterThanOrEqual(10);
    expect(seconds).toBeLessThanOrEqual(15);
  });

  it('counts 19 s to lie down over cushions', () => {
    const after = at('supine', 'supine', [use('cushion', 'under shoulder blades')]);
    const bare = setUpBetween(at('supine'), at('supine'), all).seconds;
    expect(setUpBetween(at('supine'), after, all).seconds - bare).toBe(19);
  });

  it('counts putting a prop down, and says so', () => {
    const before = at('supine', 'supine', [use('band', 'round sole')]);
    const { seconds, reason } = setUpBetween(before, at('supine'), all);
    expect(seconds).toBe(5);
    expect(reason).toContain('band put down');
  });

  it("takes an exercise's own arranging where that is longer", () => {
    expect(setUpBetween(at('supine', 'prone'), at('supine'), all, 20).seconds).toBe(20);
    expect(setUpBetween(at('seated'), at('supine'), all, 25).seconds).toBe(25);
  });
});
