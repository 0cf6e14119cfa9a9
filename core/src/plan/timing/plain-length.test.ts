import { expect, it } from 'vitest';
import { makeExercise } from '../../testing/make-exercise.ts';
import { optionOf } from '../../movement/exercise.ts';
import { plainLengthS, plainWork } from './plain-length.ts';

const each = { kind: 'repetitions' as const, count: 6, sides: 'each' as const };
const exercise = makeExercise('swing', {
  tempo: 'limb-slow',
  dose: each,
  options: [{}, { tempo: 'pulse' }, { dose: { kind: 'hold', holdS: 20, count: 2 } }],
});
const work = (number: number) => plainWork(exercise, optionOf(exercise, number));

it('counts the work of both sides, and not the change between them', () => {
  expect(work(1).count).toBe(12);
  expect(work(1).workS).toBeLessThan(plainLengthS(exercise));
});

it('goes by the option’s own pace and dose', () => {
  expect(work(2).count).toBe(12);
  expect(work(2).workS).toBeLessThan(work(1).workS / 2);
  expect(work(3)).toMatchObject({ count: 2 });
  expect(work(3).workS).toBeGreaterThanOrEqual(40);
});
