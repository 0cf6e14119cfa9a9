import { describe, expect, it } from 'vitest';
import { builtInCatalogue, builtInExercises } from '@wrenfern/library';
import { exerciseFile, readExerciseFile } from './exercise-file.ts';

const plank = builtInCatalogue.require('plank');
const faultsOf = (value: unknown): string[] => {
  const read = readExerciseFile(typeof value === 'string' ? value : JSON.stringify(value));
  return 'faults' in read ? read.faults : [];
};

describe('an exercise as a file', () => {
  it('comes back as it went, for every built-in exercise', () => {
    for (const exercise of builtInExercises) {
      const read = readExerciseFile(exerciseFile(exercise));
      expect(read).toEqual({ exercise: JSON.parse(JSON.stringify(exercise)) as unknown });
    }
  });

  it('is refused in words when it is not JSON', () => {
    expect(faultsOf('{"format":')).toEqual(['The file is not JSON, so it cannot be read.']);
    expect(faultsOf('')).toHaveLength(1);
  });

  it('is refused when it is something else', () => {
    const [fault] = faultsOf({ format: 'other/1', exercise: plank });
    expect(fault).toBe('format: this is not a Wrenfern exercise file');
    expect(faultsOf([])).not.toEqual([]);
    expect(faultsOf('null')).not.toEqual([]);
  });

  it('names the field that is wrong, and where it stands', () => {
    const [first, ...others] = plank.options;
    const broken = { ...plank, options: [{ ...first, feel: '' }, ...others] };
    const faults = faultsOf({ format: 'wrenfern-exercise/1', exercise: broken });
    expect(faults.join()).toContain('exercise › options › 0 › feel');
  });

  it('refuses fields it does not know, so that nothing is silently lost', () => {
    const faults = faultsOf({
      format: 'wrenfern-exercise/1',
      exercise: { ...plank, colour: 'green' },
    });
    expect(faults.join()).toContain('colour');
  });
});
