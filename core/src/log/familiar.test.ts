import { describe, expect, it } from 'vitest';
import {
  familiarIn,
  familiarTo,
  FAMILIAR_WEEKS,
  latelyDone,
  type TaughtLesson,
} from './familiar.ts';

const NOW = new Date('2026-11-30T18:00:00Z');
const DAY_MS = 86_400_000;

const taught = (daysAgo: number, exercises: string[], ...people: string[]): TaughtLesson => ({
  startsAt: new Date(NOW.getTime() - daysAgo * DAY_MS),
  exercises,
  personIds: new Set(people),
});

describe('what a group knows', () => {
  const known = (lessons: TaughtLesson[], people = ['asha', 'bram']) =>
    familiarTo(lessons, people, NOW);

  it('is what at least half of it did', () => {
    expect(known([taught(7, ['clam'], 'asha')])).toEqual(['clam']);
    expect(known([taught(7, ['clam'], 'asha')], ['asha', 'bram', 'ines'])).toEqual([]);
  });

  it('adds up over classes, each person once', () => {
    const people = ['asha', 'bram', 'ines', 'wim'];
    const twice = [taught(7, ['clam'], 'asha'), taught(14, ['clam'], 'asha')];
    expect(known(twice, people)).toEqual([]);
    expect(known([...twice, taught(21, ['clam'], 'bram')], people)).toEqual(['clam']);
  });

  it('ends with the weeks after which things are new again, and does not reach ahead', () => {
    expect(known([taught(FAMILIAR_WEEKS * 7, ['clam'], 'asha')])).toEqual(['clam']);
    expect(known([taught(FAMILIAR_WEEKS * 7 + 1, ['clam'], 'asha')])).toEqual([]);
    expect(known([taught(-1, ['clam'], 'asha'), taught(0, ['plank'], 'asha')])).toEqual([]);
  });

  it('is nothing where nobody comes', () => {
    expect(known([taught(7, ['clam'], 'asha')], [])).toEqual([]);
  });

  it('counts nothing as new where nobody is booked, and all of it where nobody did it', () => {
    expect(familiarIn([], [])).toEqual({});
    expect(familiarIn(['asha'], [])).toEqual({ familiar: new Set() });
  });
});

describe('what was done lately', () => {
  it('is of the last three classes that any of them came to, newest first, each once', () => {
    const lessons = [
      taught(28, ['teaser'], 'asha'),
      taught(21, ['clam', 'hundred'], 'bram'),
      taught(14, ['clam'], 'asha'),
      taught(7, ['plank'], 'asha', 'bram'),
      taught(3, ['swan'], 'wim'),
    ];
    expect(latelyDone(lessons, ['asha', 'bram'])).toEqual(['plank', 'clam', 'hundred']);
  });
});
