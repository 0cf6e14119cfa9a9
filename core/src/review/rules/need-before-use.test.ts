import { describe, expect, it } from 'vitest';
import { Person } from '../../people/person.ts';
import type { Plan } from '../../plan/plan.ts';
import { makeCatalogue, makeExercise } from '../../testing/make-exercise.ts';
import { makePlan } from '../../testing/make-plan.ts';
import { findingsOf, repaired } from '../../testing/review-plan.ts';

const catalogue = makeCatalogue([
  makeExercise('rock', { family: 'spine', teaches: [{ foundation: 'pelvis', depth: 1 }] }),
  makeExercise('clock', {
    family: 'hips',
    standard: 2,
    teaches: [{ foundation: 'pelvis', depth: 2 }],
    needs: [{ foundation: 'pelvis', depth: 2 }],
  }),
  makeExercise('deep', {
    family: 'plank',
    position: 'plank',
    standard: 2,
    needs: [{ foundation: 'pelvis', depth: 3 }],
  }),
  makeExercise('met', {
    family: 'plank',
    standard: 2,
    needs: [{ foundation: 'pelvis', depth: 1 }],
  }),
  makeExercise('alike', { family: 'hips', teaches: [{ foundation: 'support', depth: 1 }] }),
]);
const person = (name: string, pelvis?: number) => ({
  person: Person.parse({ id: name, name, holds: pelvis === undefined ? {} : { pelvis } }),
});
const of = (plan: Plan, attendees = [person('Asha')]) =>
  findingsOf('need-before-use', plan, catalogue, { attendees });

describe('need-before-use', () => {
  it.each([
    ['a step less deep is enough', ['rock', 'clock'], 0],
    ['nothing before it', ['clock'], 1],
    ['taught too late', ['clock', 'rock'], 1],
    ['two steps less deep are not', ['rock', 'deep'], 1],
    ['one after the other', ['rock', 'clock', 'deep'], 0],
    ['what has only been met is not waited for', ['met'], 0],
    ['the same kind in the same place teaches it too', ['alike', 'clock'], 0],
    ['one foundation is told once', ['clock', 'deep'], 1],
  ])('%s', (_name, slugs, count) => {
    expect(of(makePlan([['breathe', ...slugs]]))).toHaveLength(count);
  });

  it('is content with the first rung, which is where it is learned', () => {
    expect(of(makePlan([['breathe', ['clock', { options: [1] }]]]))).toEqual([]);
  });

  it('is content where everyone who comes holds it', () => {
    const plan = makePlan([['clock']]);
    expect(of(plan, [person('Asha', 2), person('Bram', 3)])).toEqual([]);
    expect(of(plan, [person('Asha', 2), person('Bram', 1)])).toHaveLength(1);
  });

  it('names the foundation, who lacks it, and what would teach it in how long', () => {
    const plan = makePlan([['breathe', 'clock']]);
    const [finding] = of(plan, [person('Asha', 2), person('Bram', 1), person('Ines')]);
    expect(finding?.sentence).toBe(
      'clock needs pelvis moves and stays, practised, and nothing before it teaches that. Bram and Ines may not hold it. rock would teach it in the same position in 1:07.',
    );
  });

  it('counts the many', () => {
    const many = ['A', 'B', 'C', 'D', 'E'].map((name) => person(name));
    expect(of(makePlan([['clock']]), many)[0]?.sentence).toContain(
      'A, B and 3 others may not hold it.',
    );
  });

  it('moves the teacher before it, or adds one', () => {
    const late = makePlan([['breathe', 'clock', 'rock']]);
    expect(of(repaired(late, of(late)[0], /^Move rock before clock$/))).toEqual([]);
    const none = makePlan([['breathe', 'clock']]);
    expect(of(repaired(none, of(none)[0], /^Add rock before clock$/))).toEqual([]);
  });
});
