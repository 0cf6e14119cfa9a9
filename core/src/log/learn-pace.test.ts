import { describe, expect, it } from 'vitest';
import { LEARNING, weightOf } from '../plan/timing/pace.ts';
import { learnPace } from './learn-pace.ts';
import type { LoggedParts } from './logged-parts.ts';

/** Ten items of many lengths, as somebody teaches them who needs so much more for words, and for work. */
function aClass(words: number, work: number, change: Partial<LoggedParts> = {}): LoggedParts[] {
  return Array.from({ length: 10 }, (_, index) => {
    const item = { wordsS: 8 + 4 * (index % 4), workS: 20 + 15 * (index % 5), clockS: index % 3 };
    return {
      name: `item ${index}`,
      ...item,
      kind: index < 5 ? ('turn' as const) : ('limb-slow' as const),
      isOpen: false,
      taughtS: words * item.wordsS + work * item.workS + item.clockS,
      ...change,
    };
  });
}
const repeat = (count: number, of: LoggedParts[]) => Array.from({ length: count }, () => of);
const learned = (classes: LoggedParts[][]) => {
  const found = learnPace(classes);
  if (!found) throw new Error('nothing was learned');
  return found;
};

describe('learnPace', () => {
  it('knows nothing before a class, nor from one of three exercises', () => {
    expect(learnPace([])).toBeUndefined();
    expect(learnPace([aClass(1.2, 1).slice(0, 3)])).toBeUndefined();
  });

  it('tells words and work of one class apart', () => {
    const { words, work } = learned([aClass(1.5, 0.9)]);
    expect(words.seen).toBeCloseTo(1.5, 1);
    expect(work.seen).toBeCloseTo(0.9, 1);
  });

  /** Weights after 1, 2, 3 classes whose parts were measured, between teachers: common practice. */
  it.each([
    [1, 0.75, 0.37, 0.76],
    [2, 0.86, 0.54, 0.86],
    [3, 0.9, 0.64, 0.91],
  ])('knows the weight of %i classes: w = k / (k + s² / t²)', (count, words, work, openWork) => {
    expect(Math.abs(weightOf(count, LEARNING.words) - words)).toBeLessThan(0.01);
    expect(Math.abs(weightOf(count, LEARNING.work) - work)).toBeLessThan(0.01);
    expect(Math.abs(weightOf(count, LEARNING.openWork) - openWork)).toBeLessThan(0.01);
  });

  it('draws the mean logarithm towards none by that weight, less for being seen through whole items', () => {
    for (const count of [1, 2, 3]) {
      const { words, work } = learned(repeat(count, aClass(1.3, 1.1)));
      expect(words.factor).toBeCloseTo(words.seen ** words.weight, 9);
      expect(work.factor).toBeCloseTo(work.seen ** work.weight, 9);
      expect(words.weight).toBeLessThan(weightOf(count, LEARNING.words));
      expect(work.weight).toBeLessThan(weightOf(count, LEARNING.work));
    }
  });

  it('comes to the closed form the more exercises a class has', () => {
    const long = Array.from({ length: 400 }, () => aClass(1.3, 1.1)).flat();
    const { words } = learned([long, long]);
    expect(words.weight).toBeCloseTo(weightOf(2, LEARNING.words), 2);
    expect(words.factor).toBeCloseTo(1.3 ** weightOf(2, LEARNING.words), 2);
  });

  it('changes nothing where the class went as forecast', () => {
    const { words, work, kinds } = learned(repeat(3, aClass(1, 1)));
    expect(words.factor).toBeCloseTo(1, 2);
    expect(work.factor).toBeCloseTo(1, 2);
    expect(kinds).toEqual([]);
  });

  it('is not misled by a telephone in the middle, and says what it left out', () => {
    const calm = aClass(1.2, 1);
    const disturbed = calm.map((item, index) => (index === 4 ? { ...item, taughtS: 900 } : item));
    const { words, leftOut } = learned([disturbed]);
    expect(leftOut.map(({ name }) => name)).toEqual(['item 4']);
    expect(words.factor).toBeCloseTo(learned([calm]).words.factor, 1);
  });

  it('finds a kind that is done more slowly than the rest', () => {
    const slowTurns = aClass(1, 1).map((item) =>
      item.kind === 'turn' ? { ...item, taughtS: item.taughtS + 0.5 * item.workS } : item,
    );
    const { kinds } = learned(repeat(3, slowTurns));
    const turn = kinds.find(({ kind }) => kind === 'turn');
    expect(turn?.learned.factor).toBeGreaterThan(1.1);
    expect(turn?.learned.count).toBe(15);
    expect(kinds.find(({ kind }) => kind === 'limb-slow')?.learned.factor ?? 0.9).toBeLessThan(1);
  });

  it('gives the same whatever the order of classes', () => {
    const classes = [aClass(1.1, 1), aClass(1.4, 0.95), aClass(0.9, 1.05)];
    const [there, back] = [learned(classes), learned(classes.toReversed())];
    expect(back.words.factor).toBeCloseTo(there.words.factor, 12);
    expect(back.work.factor).toBeCloseTo(there.work.factor, 12);
  });
});
