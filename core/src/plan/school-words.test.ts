import { describe, expect, it } from 'vitest';
import { makeExercise } from '../testing/make-exercise.ts';
import { optionOf } from '../movement/exercise.ts';
import { SCHOOL_IDS } from './plan.ts';
import { describeDefaults, schoolWords } from './school-words.ts';
import { SCHOOLS } from './schools.ts';

const raised = makeExercise('raised', { options: [{ poses: ['supine-legs-up'] }, {}] });
const down = makeExercise('down', { options: [{ poses: ['supine-bent'] }, {}] });
const words = (exercise: typeof raised, id: (typeof SCHOOL_IDS)[number]) =>
  schoolWords(exercise, optionOf(exercise, 1), SCHOOLS[id]);

describe('schoolWords', () => {
  it('breathes by phases or as it comes', () => {
    expect(words(down, 'foundations-first').breath).toBe('out: go');
    expect(words(down, 'timed-sets').breath).toBe('as it comes');
  });

  it('speaks of the low back only where the legs leave the floor', () => {
    expect(words(down, 'timed-sets').pelvis).toBeUndefined();
    expect(words(raised, 'timed-sets').pelvis).toMatch(/^Imprint/);
    expect(words(raised, 'foundations-first').pelvis).toMatch(/^Neutral/);
  });

  it('says who chooses the level', () => {
    expect(words(down, 'timed-sets').level).toContain('each person chooses');
    expect(words(down, 'classic').level).toContain('You set');
  });
});

describe('describeDefaults', () => {
  it('tells the schools apart', () => {
    const told = SCHOOL_IDS.map((id) => describeDefaults(SCHOOLS[id]).join('; '));
    expect(new Set(told).size).toBe(SCHOOL_IDS.length);
    expect(told[SCHOOL_IDS.indexOf('timed-sets')]).toContain('45 s of work, 15 s to change');
  });
});
