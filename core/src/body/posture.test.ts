import { describe, expect, it } from 'vitest';
import type { Position } from '../movement/vocabulary.ts';
import { makeExercise } from '../testing/make-exercise.ts';
import { standardOption } from '../movement/exercise.ts';
import { postureOf } from './posture.ts';

const option = (shape: string) =>
  standardOption(makeExercise('one', { options: [{ poses: [shape] }, { poses: [shape] }] }));

/** What teachers call the drawn shapes: common practice. */
const NAMED: [shape: string, position: Position, posture: string | undefined][] = [
  ['sit-long', 'seated', 'long sitting'],
  ['sit-cross', 'seated', 'cross-legged'],
  ['side-sit', 'seated', 'side-sitting'],
  ['sit-bent', 'seated', 'knees bent'],
  ['chair-sit', 'seated', 'on a seat'],
  ['box-sit', 'seated', 'on a seat'],
  ['carriage-sit', 'seated', 'long sitting'],
  ['kneeling-sit-back', 'kneeling', 'heel-sitting'],
  ['half-kneeling', 'kneeling', 'half kneeling'],
  ['carriage-kneel', 'kneeling', 'tall kneeling'],
  ['child', 'quadruped', 'rest kneeling'],
  ['all-fours', 'quadruped', 'on the hands'],
  ['forearms-kneeling', 'quadruped', 'on the forearms'],
  ['plank', 'plank', 'on the hands'],
  ['plank-forearms', 'plank', 'on the forearms'],
  ['recline', 'supine', 'propped up'],
  ['supine-bent', 'supine', undefined],
  ['side-lying-long', 'side-lying', undefined],
];

describe('postureOf', () => {
  it.each(NAMED)('reads %s, %s, as %s', (shape, position, posture) =>
    expect(postureOf(option(shape), position)).toBe(posture),
  );

  it('says the same when asked again', () => {
    const sitting = option('side-sit');
    expect(postureOf(sitting, 'seated')).toBe(postureOf(sitting, 'seated'));
  });
});
