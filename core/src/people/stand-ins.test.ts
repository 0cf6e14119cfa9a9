import { describe, expect, it } from 'vitest';
import { makeExercise } from '../testing/make-exercise.ts';
import { createCatalogue } from '../movement/catalogue.ts';
import { standInsFor } from './stand-ins.ts';

const asked = makeExercise('asked', { swaps: ['named', 'named-next'] });
const others = [
  makeExercise('named', { position: 'seated', bodyParts: ['legs'] }),
  makeExercise('named-next', { swaps: ['asked'] }),
  makeExercise('alike', { swaps: ['asked'] }),
  makeExercise('elsewhere', { position: 'prone' }),
  makeExercise('other-aim', { teaches: [{ foundation: 'release', depth: 1 }] }),
  makeExercise('other-part', { bodyParts: ['neck'] }),
  makeExercise('far-too-hard', { options: [{ effort: 4 }, { effort: 4 }] }),
  makeExercise('on-the-machine', { machine: 'reformer' }),
  makeExercise('the-rest', { closing: 'rest' }),
];
const slugs = (exercise = asked, all = [asked, ...others]) =>
  standInsFor(exercise, createCatalogue(all)).map(({ slug }) => slug);

describe('standInsFor', () => {
  it('puts what the author names first and in that order, then what shares an aim, the same position before others', () => {
    expect(slugs()).toEqual(['named', 'named-next', 'alike', 'elsewhere']);
  });

  it('needs no list: whatever comes to the catalogue is found', () => {
    const added = makeExercise('added', { bodyParts: ['trunk-front', 'hip-front'] });
    expect(slugs(asked, [asked, added])).toEqual(['added']);
    expect(slugs(makeExercise('alone', { bodyParts: ['neck'] }), [...others])).toEqual([
      'other-part',
    ]);
  });

  it('prefers what needs no prop that is not there already', () => {
    const props = [
      { prop: 'band' as const, place: 'round thighs' as const, role: 'load' as const },
    ];
    const banded = makeExercise('a-banded', { options: [{ props }, { props }] });
    expect(slugs(asked, [asked, banded, makeExercise('z-plain')])).toEqual(['z-plain', 'a-banded']);
  });

  it('is the same each time it is asked', () => {
    const catalogue = createCatalogue([asked, ...others]);
    expect(standInsFor(asked, catalogue)).toBe(standInsFor(asked, catalogue));
  });
});
