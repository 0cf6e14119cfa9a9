import { describe, expect, it } from 'vitest';
import { builtInCatalogue } from '@wrenfern/library';
import example from '../../../../../docs/formats/examples/back-ease-29-minutes.json';
import { readIn } from './read-in.ts';

const read = (text: string) => readIn(text, builtInCatalogue);
const written = () => JSON.stringify(example, null, 2);

describe('what is brought into a plan', () => {
  it('is a plan document, as it is', () => {
    const brought = read(written());
    expect(brought).toMatchObject({ kind: 'plan', plan: { title: example.title } });
  });

  it('is notes, where it is no document', () => {
    expect(read('clam 10 each\nplank 20 s')).toMatchObject({ kind: 'notes', lines: [{}, {}] });
  });

  it('is told with its line where a field is wrong', () => {
    const text = written().replace('"exercise": "pelvic-tilt"', '"exercise": "pelvic-tlt"');
    const line = text.split('\n').findIndex((each) => each.includes('pelvic-tlt')) + 1;
    const brought = read(text);
    expect(brought).toEqual({
      kind: 'faults',
      faults: [
        `line ${line}, segments › 1 › items › 2 › exercise: no exercise is called "pelvic-tlt"`,
      ],
    });
  });

  it.each([
    ['', 'There is nothing in it.'],
    ['{"format": ', 'a bracket or comma is missing'],
    ['{"format": "something-else"}', 'format'],
    ['[1, 2]', 'the whole document'],
  ])('%s is refused in words', (text, words) => {
    const brought = read(text);
    expect(brought.kind).toBe('faults');
    expect(JSON.stringify(brought)).toContain(words);
  });
});
