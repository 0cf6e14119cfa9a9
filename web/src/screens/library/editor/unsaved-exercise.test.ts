import { describe, expect, it } from 'vitest';
import { builtInCatalogue, builtInExercises } from '@wrenfern/library';
import { copyForStudio, numbered, readUnsaved, slugOf } from './unsaved-exercise.ts';

const hundred = builtInCatalogue.require('hundred');

describe('a copy for the studio', () => {
  it('has its own name, names the original in its place and keeps no number of the 1945 order', () => {
    const copy = copyForStudio(hundred);
    expect(copy.slug).toBe('our-hundred');
    expect(copy.name).toBe('Hundred, our way');
    expect(copy.swaps[0]).toBe('hundred');
    expect(copy.classicOrder).toBeUndefined();
    expect(hundred.classicOrder).toBe(1);
  });

  it('shares nothing that could be changed with the original', () => {
    const copy = copyForStudio(hundred);
    copy.cues[0] = 'Changed.';
    expect(hundred.cues[0]).not.toBe('Changed.');
  });

  it('can be saved as it is, for every built-in exercise', () => {
    for (const exercise of builtInExercises) {
      const { faults, remarks } = readUnsaved(copyForStudio(exercise));
      expect(faults).toEqual([]);
      expect(remarks).toEqual([]);
    }
  });
});

describe('readUnsaved', () => {
  it('says in words what stands in the way, counted from one', () => {
    const copy = copyForStudio(hundred);
    const [first, ...others] = copy.options;
    if (!first) throw new Error('no options');
    const { exercise, faults } = readUnsaved({
      ...copy,
      name: ' ',
      options: [first, ...others.map((option) => ({ ...option, stepBack: '' }))],
    });
    expect(exercise).toBeUndefined();
    expect(faults.join('\n')).toMatch(/^name: /m);
    expect(faults.join('\n')).toMatch(/^options › 2 › stepBack: /m);
  });

  it('remarks on a picture that a body could not do, and still lets it be saved', () => {
    const copy = copyForStudio(hundred);
    const [first, ...others] = copy.options;
    if (!first) throw new Error('no options');
    const bent = { ...first, poses: [{ shape: 'supine-long', rightLeg: { flex: 0, bend: 175 } }] };
    const { exercise, remarks } = readUnsaved({ ...copy, options: [bent, ...others] });
    expect(exercise?.slug).toBe('our-hundred');
    expect(remarks.join('\n')).toMatch(/^Option 1: .*knee/m);
  });
});

describe('options', () => {
  it('are numbered again in the order they stand', () => {
    const [a, b] = hundred.options;
    if (!a || !b) throw new Error('too few options');
    expect(numbered([b, a]).map(({ number, name }) => [number, name])).toEqual([
      [1, b.name],
      [2, a.name],
    ]);
  });
});

describe('slugOf', () => {
  it.each([
    ['Lantern reach', 'lantern-reach'],
    ['  Élan — two!  ', 'elan-two'],
    ['90/90 hold', '90-90-hold'],
    ['…', ''],
  ])('%s becomes %s', (name, slug) => {
    expect(slugOf(name)).toBe(slug);
  });
});
