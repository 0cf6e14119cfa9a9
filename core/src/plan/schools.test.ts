import { describe, expect, it } from 'vitest';
import { makeExercise } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { exerciseItemsOf, Plan, SCHOOL_IDS } from './plan.ts';
import { SchoolRules, standingOf, type SchoolDefaults } from './school.ts';
import { rulesOf, SCHOOLS } from './schools.ts';
import { doseOf, shownOption } from './usual.ts';

const item = exerciseItemsOf(makePlan([['any']]))[0];
if (!item) throw new Error('no item');

describe.each(SCHOOL_IDS)('the school %s', (id) => {
  it('is whole: every cost has a weight', () => {
    expect(SchoolRules.parse(SCHOOLS[id])).toEqual(SCHOOLS[id]);
    expect(SCHOOLS[id].id).toBe(id);
  });
});

describe('a studio’s own school', () => {
  const own: SchoolRules = {
    ...SCHOOLS['graded-load'],
    id: 'ours',
    name: 'Ours',
    why: 'Our backs.',
    rules: { ...SCHOOLS['graded-load'].rules, water: 'must' },
  };

  const many = Array.from({ length: 101 }, (_, index) => [`rule-${index}`, 'off'] as const);

  it('travels inside the plan', () => {
    const plan = Plan.parse({ ...makePlan([['any']]), school: own });
    expect(rulesOf(plan.school)).toEqual(own);
    expect(Plan.parse(JSON.parse(JSON.stringify(plan)))).toEqual(plan);
  });

  it.each([
    ['without a reason', { why: '' }],
    ['with a standing that is none', { rules: { ...own.rules, water: 'perhaps' } }],
    ['with a rule whose name is none', { rules: { 'No Name': 'must' } }],
    ['with more rules than there are', { rules: Object.fromEntries(many) }],
  ])('is refused %s', (_name, change) => {
    expect(Plan.safeParse({ ...makePlan([['any']]), school: { ...own, ...change } }).success).toBe(
      false,
    );
  });
});

describe('how schools differ', () => {
  it('leaves a rule that it does not name as is usual for the rule, or as all others are', () => {
    const rule = { id: 'of-our-own', usually: 'should' as const };
    expect(standingOf(SCHOOLS['foundations-first'], rule)).toBe('should');
    expect(standingOf(SCHOOLS.classic, rule)).toBe('off');
    expect(standingOf(SCHOOLS.classic, { ...rule, id: 'classic-order' })).toBe('must');
  });
});

describe('what a school makes of a dose', () => {
  const work = makeExercise('any', {
    dose: { kind: 'repetitions', count: 5, sides: 'alternating' },
    usual: { least: 3, most: 9 },
  });
  const with_ = (dose: SchoolDefaults['dose']): SchoolRules => ({
    ...SCHOOLS.classic,
    defaults: { ...SCHOOLS.classic.defaults, dose },
  });

  it.each([
    [{ kind: 'own' as const }, { kind: 'repetitions', count: 5 }],
    [
      { kind: 'counted' as const, least: 8, most: 10 },
      { kind: 'repetitions', count: 8 },
    ],
    [
      { kind: 'counted' as const, least: 20, most: 30 },
      { kind: 'repetitions', count: 9 },
    ],
    [
      { kind: 'timed' as const, onS: 45, offS: 15 },
      { kind: 'timed', onS: 45, offS: 15, sides: 'none' },
    ],
  ])('%o', (dose, expected) => {
    expect(doseOf(item, work, with_(dose))).toMatchObject(expected);
  });

  it('leaves what was set by hand, awareness, release, breaths and beats alone', () => {
    const timed = with_({ kind: 'timed', onS: 45, offS: 15 });
    const counted = with_({ kind: 'counted', least: 3, most: 10 });
    const byHand = { ...item, dose: { ...work.dose, count: 2 } as typeof work.dose };
    expect(doseOf(byHand, work, timed)).toEqual(byHand.dose);
    for (const family of ['awareness', 'release'] as const) {
      const soft = makeExercise('any', { family });
      expect(doseOf(item, soft, timed)).toEqual(soft.dose);
    }
    const beats = makeExercise('any', {
      tempo: 'pulse',
      dose: { kind: 'repetitions', count: 100 },
    });
    expect(doseOf(item, beats, counted)).toEqual(beats.dose);
  });

  it('counts both sides as two intervals', () => {
    const each = makeExercise('any', { dose: { kind: 'repetitions', count: 5, sides: 'each' } });
    const dose = doseOf(item, each, SCHOOLS['timed-sets']);
    expect(dose).toMatchObject({ kind: 'timed', rounds: 1, sides: 'each' });
  });
});

describe('articulate or hinge', () => {
  const bridge = makeExercise('any', {
    standard: 3,
    options: [{}, {}, { demands: ['articulation'] }],
  });
  const plain = makeExercise('any', { standard: 2 });

  it('shows the option that moves as one block where the school hinges', () => {
    expect(shownOption(item, bridge, SCHOOLS['foundations-first'])).toBe(3);
    expect(shownOption(item, bridge, SCHOOLS['graded-load'])).toBe(2);
  });

  it('keeps to what is on offer', () => {
    const only = { ...item, options: [3] };
    expect(shownOption(only, bridge, SCHOOLS['graded-load'])).toBe(3);
    expect(shownOption(item, plain, SCHOOLS['graded-load'])).toBe(2);
  });
});
