import { describe, expect, it } from 'vitest';
import type { Option } from '../movement/exercise.ts';
import { optionOf } from '../movement/exercise.ts';
import { makeExercise } from '../testing/make-exercise.ts';
import { leverSentences } from './check-levers.ts';

type Drawn = Partial<Omit<Option, 'effort'>>;
const told = (before: Drawn, option: Drawn) => {
  const exercise = makeExercise('ladder', { options: [before, option] });
  return leverSentences(optionOf(exercise, 1), optionOf(exercise, 2));
};
const legs = (flex: number, bend: number) => ({
  shape: 'supine-90',
  rightLeg: { flex, bend },
  leftLeg: { flex, bend },
});

describe('a lever that is named', () => {
  it.each<[string, Partial<Option>, Partial<Option>]>([
    ['a longer limb', { poses: [legs(90, 90)] }, { poses: [legs(90, 0)], levers: ['limb-length'] }],
    [
      'another limb that moves',
      { poses: ['supine-bent', 'supine-one-90'] },
      { poses: ['supine-90', 'supine-90-out'], levers: ['limbs-moving'] },
    ],
    [
      'a stronger spring',
      { settings: { springs: { light: 1 } } },
      { settings: { springs: { heavy: 1 } }, levers: ['load'] },
    ],
    ['attention, which no picture shows', {}, { levers: ['attention'] }],
  ])('is turned by %s', (_why, before, option) => expect(told(before, option)).toEqual([]));

  it('is a fault where the pictures turn nothing of it', () => {
    const same = { poses: [legs(90, 90)] };
    expect(told(same, { ...same, levers: ['limb-length', 'limbs-moving', 'load'] })).toEqual([
      'says that it turns "limb length", and shows none of it.',
      'says that it turns "limbs moving", and shows none of it.',
      'says that it turns "load", and shows none of it.',
    ]);
  });
});
