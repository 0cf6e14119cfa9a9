import { describe, expect, it } from 'vitest';
import type { PropUse } from '../../movement/exercise.ts';
import type { Position } from '../../movement/vocabulary.ts';
import { isTwin, setUpBetween } from './set-up.ts';
import type { Stance } from './stance.ts';

const at = (position: Position, change: Partial<Stance> = {}): Stance => ({
  exercise: position,
  option: 1,
  position,
  endPosition: position,
  posture: undefined,
  side: undefined,
  isHold: false,
  arrangeS: undefined,
  isWayUp: false,
  keepsShape: false,
  props: [],
  gear: undefined,
  ...change,
});
const use = (prop: PropUse['prop'], place: PropUse['place']): PropUse => ({
  prop,
  place,
  role: 'support',
  count: 1,
  optional: false,
});
const secondsOf = (before: Stance[], after: Stance, behind: Stance[] = []) =>
  setUpBetween(after, { before, behind }).seconds;

const hands = at('plank', { posture: 'on the hands' });
const rest = at('quadruped', { posture: 'rest kneeling' });
const heels = at('kneeling', { posture: 'heel-sitting' });
const longSitting = at('seated', { exercise: 'b', posture: 'long sitting' });

/** Seconds from the neighbour, the default and the least and most that were seen: common practice. */
describe('setUpBetween, by what changes', () => {
  it.each<[string, Stance[], Stance, number, number, number]>([
    ['the very first shape', [], at('supine'), 12.5, 3, 35],
    ['the same again', [at('supine')], at('supine'), 0, 0, 0],
    ['another option of the same', [at('supine')], at('supine', { option: 2 }), 3, 0, 13],
    ['the next in a position', [at('supine')], at('supine', { exercise: 'b' }), 5, 0, 15],
    ['a hold', [at('supine')], at('supine', { exercise: 'b', isHold: true }), 7, 0, 15],
    ['a shape risen', [at('quadruped')], at('plank'), 2, 0, 5],
    ['a shape lowered', [at('side-support')], at('side-lying'), 2, 0, 5],
    ['kneeling to all fours', [at('kneeling')], at('quadruped'), 10, 5, 18],
    ['side-lying to seated', [at('side-lying')], at('seated'), 10, 5, 18],
    ['lying to seated', [at('supine')], at('seated'), 13.5, 5, 22],
    ['back to side-lying', [at('supine')], at('side-lying'), 23, 14, 30],
    ['all fours to the back', [at('quadruped')], at('supine'), 23, 14, 30],
    ['chair to the floor', [at('seated', { posture: 'on a seat' })], longSitting, 10, 5, 18],
    ['the legs crossed', [at('seated', { posture: 'cross-legged' })], longSitting, 5, 0, 15],
    [
      'hands to forearms',
      [hands],
      at('plank', { exercise: 'b', posture: 'on the forearms' }),
      2,
      0,
      5,
    ],
    [
      'up from the rest shape',
      [rest],
      at('quadruped', { exercise: 'b', posture: 'on the hands' }),
      2,
      0,
      5,
    ],
    ['forward from the heels', [heels], rest, 2, 0, 5],
    [
      'a hover that is not left',
      [hands],
      at('plank', { exercise: 'b', keepsShape: true }),
      0,
      0,
      0,
    ],
    ['side to the back, then the shape', [at('side-lying')], at('supine'), 9, 4, 20],
  ])('%s', (_name, before, after, usual, least, most) => {
    const { seconds } = setUpBetween(after, { before, behind: [] });
    expect(seconds).toBe(usual);
    expect(seconds).toBeGreaterThanOrEqual(least);
    expect(seconds).toBeLessThanOrEqual(most);
  });

  it('goes by where the one before ended', () => {
    const rolledUp = at('supine', { endPosition: 'seated' });
    expect(secondsOf([rolledUp], at('seated', { exercise: 'b' }))).toBe(5);
  });

  it('takes the other side right behind for less, and says that nothing else changes', () => {
    const left = at('side-lying', { side: 'left' });
    const right = at('side-lying', { side: 'right' });
    expect(isTwin(left, right)).toBe(true);
    expect(isTwin(left, at('side-lying', { side: 'right', option: 2 }))).toBe(false);
    expect(setUpBetween(right, { before: [left], behind: [] }).reason).toBe(
      'to the other side 9 s',
    );
    expect(setUpBetween(left, { before: [left], behind: [] }).reason).toBe('nothing to arrange');
  });

  it('takes an exercise’s own arranging where that is longer', () => {
    const strap = at('supine', { exercise: 'strap', arrangeS: 20 });
    expect(secondsOf([at('supine')], strap)).toBe(20);
    expect(secondsOf([at('seated')], at('supine', { arrangeS: 25 }))).toBe(25);
  });

  it('counts the way up as its own work, and longer off cushions', () => {
    const up = at('supine', { exercise: 'up', isWayUp: true });
    const over = at('supine', { props: [use('cushion', 'under shoulder blades')] });
    expect(secondsOf([at('supine')], up)).toBe(0);
    // From cushions 27 s in all, of which 8 are the coming up.
    expect(secondsOf([over], up) + 8).toBe(27);
  });
});

/** Placed 9 s, moved 8.5, put down 2; 0 while it stays: common practice. */
describe('props', () => {
  const ball = (place: PropUse['place'], exercise: string) =>
    at('supine', { exercise, props: [use('small-ball', place)] });
  const bare = (exercise: string) => at('supine', { exercise });

  it('are placed, moved and put down', () => {
    expect(secondsOf([bare('a')], ball('between knees', 'b'))).toBe(5 + 9);
    expect(secondsOf([ball('under pelvis', 'a')], ball('between knees', 'b'))).toBe(5 + 8.5);
    expect(secondsOf([ball('between knees', 'a')], bare('b'))).toBe(5 + 2);
  });

  it('cost nothing while they stay where they are, even if what lies between does not name them', () => {
    const [with1, without, with2] = [
      ball('between knees', 'a'),
      bare('b'),
      ball('between knees', 'c'),
    ];
    expect(secondsOf([with1], without, [with2])).toBe(5);
    expect(secondsOf([with1, without], with2)).toBe(5);
  });

  it('are fetched again after three others, and after another position', () => {
    const used = ball('between knees', 'a');
    const again = ball('between knees', 'z');
    expect(secondsOf([used, bare('b'), bare('c'), bare('d')], again)).toBe(5 + 9);
    expect(secondsOf([used, at('prone')], again)).toBe(23 + 9);
  });

  it('are put down in passing where everybody moves in any case', () => {
    expect(secondsOf([ball('between knees', 'a')], at('prone'))).toBe(23);
  });

  it('take longest where one lies down over them', () => {
    const over = at('supine', { exercise: 'b', props: [use('cushion', 'under shoulder blades')] });
    const { seconds, reason } = setUpBetween(over, { before: [bare('a')], behind: [] });
    expect(seconds).toBe(5 + 19);
    expect(reason).toBe('rearranging, supine 5 s; cushion placed under shoulder blades 19 s');
  });
});
