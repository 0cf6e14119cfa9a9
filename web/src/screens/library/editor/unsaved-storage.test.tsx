import { afterEach, describe, expect, it } from 'vitest';
import { builtInCatalogue } from '@wrenfern/library';
import { copyForStudio, unsavedExercises } from './unsaved-exercise.ts';

const copy = copyForStudio(builtInCatalogue.require('hundred'));

describe('what was not saved', () => {
  afterEach(() => localStorage.clear());

  it('comes back as it was typed, though its name is still missing', () => {
    unsavedExercises.keep('hundred', { ...copy, name: '' });
    expect(unsavedExercises.take('hundred')).toEqual({ ...copy, name: '' });
  });

  it.each([
    ['no JSON', '{'],
    ['another thing', '{"exercise":"hundred"}'],
    ['poses of another version', JSON.stringify({ ...copy, options: [{ figures: [] }] })],
  ])('is left alone where it is %s', (_what, text) => {
    localStorage.setItem('wrenfern-exercise-draft hundred', text);
    expect(unsavedExercises.take('hundred')).toBeUndefined();
  });
});
