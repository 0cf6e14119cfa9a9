import { describe, expect, it } from 'vitest';
import { makeCatalogue, makeExercise } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { exerciseItemsOf } from '../plan/plan.ts';
import { chooseOption } from './choose-option.ts';
import { Person } from './person.ts';
import { sayChoice } from './say-choice.ts';

const hold = (holdS: number) =>
  makeExercise(`held-${holdS}`, {
    dose: { kind: 'hold', holdS, sides: 'none' },
    options: [{ poses: ['clam-closed'] }, { poses: ['clam-closed'] }],
  });

function said(holdS: number): string {
  const exercise = hold(holdS);
  const catalogue = makeCatalogue([exercise]);
  const person = Person.parse({ id: 'p', name: 'P', cautions: [{ caution: 'blood-pressure' }] });
  const [item] = exerciseItemsOf(makePlan([[exercise.slug]]));
  if (!item) throw new Error('no item');
  const choice = chooseOption({ person }, item, catalogue, '2026-11-29', 'foundations-first');
  return sayChoice(choice, exercise, catalogue, exercise.dose);
}

describe('a hold that is limited to 20 s', () => {
  it.each([
    [15, /Option \d$|option \d, [^,]*$/i],
    [30, /15 s of 30 s, then rest or an option lower$/],
    [60, /15 s of 60 s, then rest or an option lower$/],
    [90, /15 s of 90 s, then rest or an option lower$/],
  ])('of %i s is told as the seconds that are under it', (holdS, words) => {
    expect(said(holdS)).toMatch(words);
  });
});
