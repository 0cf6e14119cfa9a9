import { beforeAll, describe, expect, it } from 'vitest';
import { criteriaOf } from '@wrenfern/core/draft/draft-criteria';
import { draftPlan, type Proposal } from '@wrenfern/core/draft/draft-plan';
import { loadSolver, type Solve } from '@wrenfern/core/draft/solver';
import { DraftWishes } from '@wrenfern/core/draft/wishes';
import { analyse } from '@wrenfern/core/analyse';
import { exerciseItemsOf } from '@wrenfern/core/plan/plan';
import { isMixed } from '@wrenfern/core/plan/tracks';
import { builtInCatalogue as catalogue } from './index.ts';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

function draft(wishes: object): Proposal[] {
  const context = { catalogue, attendees: [], day: '2026-11-29', timing: {} };
  const search = draftPlan(DraftWishes.parse(wishes), context, solve);
  let step = search.next();
  while (!step.done) step = search.next();
  if (step.value.kind !== 'proposals') throw new Error(JSON.stringify(step.value));
  return step.value.proposals;
}

/** Of the published order: nobody can soften the way to its last one. */
const GIVEN_BY_THE_ORDER = ['steps', 'early effort', 'no long part'];

const CASES: [name: string, wishes: object, given: readonly string[]][] = [
  ['half an hour on the mat', { targetS: 1800 }, []],
  ['45 minutes for backs', { targetS: 2700, school: 'graded-load' }, []],
  ['half an hour by the clock', { targetS: 1800, school: 'timed-sets' }, []],
  ['half an hour in the published order', { targetS: 1800, school: 'classic' }, GIVEN_BY_THE_ORDER],
  ['55 minutes on the machine', { targetS: 3300, machine: 'reformer' }, []],
];

describe.each(CASES)('a draft of %s', (_name, wishes, given) => {
  let proposals: Proposal[] = [];
  beforeAll(() => {
    proposals = draft(wishes);
  });

  it('is what a draft must be', () => {
    expect(proposals).toHaveLength(3);
    for (const { plan } of proposals) {
      const missed = criteriaOf(plan, DraftWishes.parse(wishes), catalogue)
        .filter(({ isMet, id }) => !isMet && !given.includes(id))
        .map(({ id, found }) => `${id}: ${found}`);
      expect(missed).toEqual([]);
    }
  });

  it('is made of blocks that stay together, in one way through the room', () => {
    for (const { plan } of proposals) {
      expect(plan.segments.length).toBeGreaterThanOrEqual(3);
      expect(plan.segments[0]?.name).toMatch(/Arrive|Warm up/);
    }
  });
});

describe('what belongs together', () => {
  it('turns over once: work on the side is a series', () => {
    for (const { plan } of draft({ targetS: 2700 })) {
      const sides = exerciseItemsOf(plan).filter(
        ({ exercise }) => catalogue.require(exercise).position === 'side-lying',
      );
      expect(sides.length).toBeGreaterThanOrEqual(3);
      expect(new Set(sides.map(({ bracket }) => bracket)).size).toBe(1);
      expect(plan.brackets?.map(({ kind }) => kind)).toContain('series');
    }
  });

  it('has on the machine the feet first, the box once, and ends standing', () => {
    for (const { plan } of draft({ targetS: 3000, machine: 'reformer' })) {
      const exercises = exerciseItemsOf(plan).map(({ exercise }) => catalogue.require(exercise));
      const names = plan.segments.map(({ name }) => name);
      expect(names.indexOf('Footwork')).toBe(1);
      expect(names.filter((name) => name.includes('box')).length).toBeLessThanOrEqual(1);
      expect(exercises.at(-1)?.position).toBe('standing');
    }
  });
});

describe('a draft of two groups that change over', () => {
  const wishes = { targetS: 3300, twoGroups: true };
  let proposals: Proposal[] = [];
  beforeAll(() => {
    proposals = draft(wishes);
  });

  it('has two halves of the same length, each at its place, and fits its hour', () => {
    expect(proposals.length).toBeGreaterThanOrEqual(2);
    for (const { plan, totalS } of proposals) {
      expect(isMixed(plan)).toBe(true);
      expect(Math.abs(totalS - 3300)).toBeLessThan(0.05 * 3300);
      const { findings } = analyse(plan, catalogue, {
        attendees: [],
        cupboard: {},
        day: '2026-11-29',
      });
      // What a class of two groups must be, as the review says it. Common practice.
      const ofGroups = findings.filter(({ rule }) => /^half|at-its-place|change-over/.test(rule));
      expect(ofGroups.map(({ sentence }) => sentence)).toEqual([]);
    }
  });

  it('begins the machines with the feet and the plain bridge, and ends them standing', () => {
    for (const { plan } of proposals) {
      const onMachines = plan.segments
        .filter(({ station }) => station === 'reformer')
        .flatMap(({ items }) => items)
        .flatMap((item) => (item.kind === 'exercise' ? [item.exercise] : []));
      expect(onMachines[0]).toBe('footwork');
      expect(onMachines).toContain('reformer-bridge');
      expect(catalogue.require(onMachines.at(-1) ?? '').position).toBe('standing');
    }
  });

  it('teaches nothing new on the mat where the group is known', () => {
    const familiar = new Set(
      catalogue.all
        .filter(({ machine }) => machine === 'mat')
        .slice(0, 90)
        .map(({ slug }) => slug),
    );
    const search = draftPlan(
      DraftWishes.parse(wishes),
      { catalogue, attendees: [], day: '2026-11-29', timing: { familiar } },
      solve,
    );
    let step = search.next();
    while (!step.done) step = search.next();
    if (step.value.kind !== 'proposals') throw new Error(JSON.stringify(step.value));
    for (const { plan } of step.value.proposals) {
      const onMat = plan.segments
        .filter(({ station }) => station === 'mat')
        .flatMap(({ items }) => items)
        .flatMap((item) => (item.kind === 'exercise' ? [item.exercise] : []));
      expect(onMat.filter((slug) => !familiar.has(slug))).toEqual([]);
    }
  });
});
