import { describe, expect, it } from 'vitest';
import type { ClassStyle } from '../plan/class-style.ts';
import { LEARNING, paceIn, STEADY_PACE } from '../plan/timing/pace.ts';
import type { LoggedParts } from './logged-parts.ts';
import { learnFromClasses, paceOf, type TaughtClass } from './pace-from-classes.ts';

/** Twelve exercises whose words and work took so many times the common figures. */
function taught(words: number, work: number, style?: ClassStyle): TaughtClass {
  const parts = Array.from({ length: 12 }, (_, index): LoggedParts => {
    const [wordsS, workS] = [8 + 3 * (index % 4), 30 + 12 * (index % 3)];
    const taughtS = words * wordsS + work * workS;
    return { name: `Item ${index}`, wordsS, workS, isOpen: false, clockS: 0, taughtS };
  });
  return { style, parts };
}

describe('learnFromClasses', () => {
  it('says nothing before a class', () => expect(learnFromClasses([])).toBeUndefined());

  it('says nothing of a style where all classes are led alike', () => {
    const learned = learnFromClasses([taught(1.4, 1, 'slow'), taught(1.4, 1, 'slow')]);
    expect(learned?.byStyle).toEqual([]);
    expect(learned?.all.classes).toBe(2);
  });

  it('says nothing of a style after one class of it, or where it goes as the others', () => {
    expect(learnFromClasses([taught(1.4, 1, 'slow'), taught(1, 1)])?.byStyle).toEqual([]);
    const alike = [taught(1, 1, 'slow'), taught(1, 1, 'slow'), taught(1, 1), taught(1, 1)];
    expect(learnFromClasses(alike)?.byStyle).toEqual([]);
  });

  it('tells the slow classes from the others, and what is not led so stays where it was', () => {
    const classes = [
      ...[1, 2, 3, 4].map(() => taught(1.6, 1, 'slow')),
      ...[1, 2, 3, 4].map(() => taught(1, 1, 'brisk')),
    ];
    const learned = learnFromClasses(classes);
    if (!learned) throw new Error('nothing learned');
    const pace = paceOf(learned);
    expect(learned.byStyle.map(({ style }) => style).toSorted()).toEqual(['brisk', 'slow']);
    expect(paceIn(pace, 'slow').teachingFactor).toBeGreaterThan(1.35);
    expect(paceIn(pace, 'slow').teachingFactor).toBeLessThan(1.6);
    expect(paceIn(pace, 'brisk').teachingFactor).toBeGreaterThan(0.95);
    expect(paceIn(pace, 'brisk').teachingFactor).toBeLessThan(1.2);
    expect(paceIn(pace, undefined)).toBe(pace);
    expect(paceIn(pace, 'steady')).toBe(pace);
  });

  it('draws a style towards the teacher’s own pace by the closed form', () => {
    const classes = [taught(1.3, 1, 'slow'), taught(1.3, 1, 'slow'), taught(1.3, 1)];
    const learned = learnFromClasses(classes);
    // All are alike, so that beside all a style has what all was drawn back by: under the least that is told.
    const { t, s } = LEARNING.words;
    const drawnBack = Math.log(1.3) * (s ** 2 / (s ** 2 + 3 * t ** 2));
    expect(Math.abs(drawnBack)).toBeLessThan(0.05);
    expect(learned?.byStyle).toEqual([]);
  });
});

describe('paceOf', () => {
  it('keeps factors within what a pace can be', () => {
    const learned = learnFromClasses([1, 2, 3, 4, 5, 6].map(() => taught(2.9, 0.6)));
    if (!learned) throw new Error('nothing learned');
    const { setUpFactor, teachingFactor, workFactor, classes } = paceOf(learned);
    expect(setUpFactor).toBe(teachingFactor);
    expect(teachingFactor).toBeLessThanOrEqual(3);
    expect(workFactor).toBeGreaterThanOrEqual(0.3);
    expect(workFactor).toBeLessThan(STEADY_PACE.workFactor);
    expect(classes).toBe(6);
  });
});
