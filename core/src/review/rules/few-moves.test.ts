import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const catalogue = makeCatalogue([
  makeExercise('stand', { position: 'standing' }),
  makeExercise('crawl', { position: 'quadruped' }),
  makeExercise('sink', { position: 'standing', endPosition: 'quadruped' }),
]);
const of = (slugs: string[]) => findingsOf('few-moves', makePlan([slugs]), catalogue);

describe('few-moves', () => {
  it('sees one item between two of another position, when its own comes elsewhere', () => {
    expect(of(['curl', 'twist', 'tilt', 'side-reach'])[0]?.sentence).toMatch(
      /^twist is sitting between two items on the back; there and back costs \d+ s\.$/,
    );
    expect(of(['curl', 'twist', 'tilt'])).toEqual([]);
    expect(of(['curl', 'tilt', 'twist', 'side-reach'])).toEqual([]);
  });

  it('lets a slow close go wherever it goes, and on the machine from sitting to standing: common practice', () => {
    const work = Array.from({ length: 12 }, () => 'crawl');
    const soft = ['tilt', 'twist', 'hug', 'return-to-sitting'];
    expect(of(['twist', ...work, ...soft])).toEqual([]);
    const machine = makeCatalogue(
      ['seated', 'standing', 'seated', 'standing'].map((position, at) =>
        makeExercise(`m-${at}`, {
          machine: 'reformer',
          position: position as 'seated',
          moves: ['still'],
        }),
      ),
    );
    const plan = makePlan([['m-0', 'm-1', 'm-2', 'm-3']], { machine: 'reformer' });
    expect(findingsOf('few-moves', plan, machine)).toEqual([]);
  });

  it('moves it to its like', () => {
    const plan = makePlan([['curl', 'twist', 'tilt', 'side-reach']]);
    const after = repaired(plan, findingsOf('few-moves', plan, catalogue)[0], /^Move twist/);
    expect(findingsOf('few-moves', after, catalogue)).toEqual([]);
  });

  it('gets up and down through the side or all fours: common practice', () => {
    expect(of(['curl', 'stand'])[0]?.sentence).toContain('straight to standing');
    expect(of(['stand', 'curl'])).toHaveLength(1);
    expect(of(['curl', 'crawl', 'stand'])).toEqual([]);
    expect(of(['sink', 'curl'])).toEqual([]);
  });
});
