import { describe, expect, it } from 'vitest';
import { makeExercise } from '../testing/make-exercise.ts';
import { checkExercise } from './check-exercise.ts';
import { describeOption, floorSpaceOf, mirroredBodiesOf, bodiesOf } from './option-body.ts';

/** Leaning far past the toes. */
const TOPPLING = { shape: 'standing', lean: 40 };

const told = (change: Parameters<typeof makeExercise>[1]) =>
  checkExercise(makeExercise('x', change))
    .map(({ option, sentence }) => `${option ?? ''} ${sentence}`)
    .join('\n');

const SOUND = {
  moves: ['round'] as const,
  options: [
    { poses: ['supine-hands-head', 'chest-lift-low'] },
    { poses: ['supine-hands-head', 'chest-lift-90'] },
  ],
};

describe('checkExercise', () => {
  it('finds nothing in a sound exercise', () => {
    expect(told({ ...SOUND, moves: ['round'] })).toBe('');
  });

  it.each<[why: string, change: Parameters<typeof makeExercise>[1], says: RegExp]>([
    [
      'a direction that no picture shows',
      { moves: ['turn'], options: [{ poses: ['supine-90'] }, { poses: ['supine-legs-up'] }] },
      /1 is said to turn[\s\S]*no option's pictures show "turn"/,
    ],
    [
      'a still spine that moves',
      { moves: ['still'], options: [{ poses: ['supine-bent', 'sit-back'] }, {}] },
      /is said to still/,
    ],
    [
      'a position that the trunk does not have',
      { position: 'prone', options: [{ poses: ['supine-bent'] }, { poses: ['prone'] }] },
      /1 is said to start prone/,
    ],
    [
      'a pose that a body could not take',
      { options: [{ poses: [{ shape: 'supine-90', legs: { flex: 90, bend: -40 } }] }, {}] },
      /pose 1: .*knee is at -40°/,
    ],
    [
      'a step that is lighter than the one before',
      { position: 'plank', options: [{ poses: ['plank'] }, { poses: ['plank-knees'] }] },
      /2 weighs \d+ of 100 after an option of \d+/,
    ],
    [
      'a reason that is not needed',
      {
        position: 'plank',
        options: [{ poses: ['plank-knees'] }, { poses: ['plank'], lighterBecause: 'so it is' }],
      },
      /needs no "lighterBecause"/,
    ],
    [
      'a step on which nothing changes',
      { options: [{ poses: ['supine-90'] }, { poses: ['supine-90'], levers: ['limb-length'] }] },
      /nothing differs from the option before/,
    ],
    [
      'a prop in the air',
      {
        options: [
          {
            poses: ['standing'],
            props: [{ prop: 'cushion', place: 'under head', role: 'support' }],
          },
          {},
        ],
      },
      /cushion under head touches nothing/,
    ],
    [
      'a weight that falls beside what carries it',
      { position: 'standing', options: [{ poses: [TOPPLING] }, {}] },
      /does not fall within what carries it/,
    ],
  ])('tells of %s', (_why, change, says) => expect(told(change)).toMatch(says));

  it('takes a word for what keeps a body up', () => {
    const held = 'The hip shifts over the foot.';
    const options = [{ poses: [TOPPLING], held }, {}];
    expect(told({ position: 'standing', options })).not.toMatch(/does not fall/);
  });
});

describe('an option’s bodies', () => {
  const exercise = makeExercise('x', {
    options: [{ poses: ['supine-t'] }, { poses: ['supine-one-90', 'supine-90'] }],
  });
  const [wide, narrow] = exercise.options;

  it('are laid out once', () => {
    if (!wide) throw new Error('no option');
    expect(bodiesOf(wide)).toBe(bodiesOf(wide));
    expect(mirroredBodiesOf(wide)).toBe(mirroredBodiesOf(wide));
  });

  it('are described for those who do not see them', () => {
    if (!narrow) throw new Error('no option');
    expect(describeOption(narrow)).toBe('lying, one leg at 90/90; then lying, both legs at 90/90');
  });

  it('take the floor that they reach over, and never less than a mat', () => {
    const { widthM, lengthM } = floorSpaceOf(exercise);
    // Arms out to a T: about a stature wide. Common practice gives 1.8 m.
    expect(widthM).toBeGreaterThan(1.5);
    expect(widthM).toBeLessThan(2);
    expect(lengthM).toBeGreaterThanOrEqual(1.8);
    const narrowOnes = [{ poses: ['supine-long'] }, { poses: ['supine-90'] }];
    expect(floorSpaceOf(makeExercise('y', { options: narrowOnes })).widthM).toBeLessThan(1);
  });
});
