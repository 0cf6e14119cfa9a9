import { describe, expect, it } from 'vitest';
import { analyse } from '@wrenfern/core/analyse';
import { checkPlan, exerciseItemsOf } from '@wrenfern/core/plan/plan';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { builtInCatalogue as catalogue } from './index.ts';
import { STARTER_CLASSES } from './starter-classes.ts';

const STARTER_IDS = Object.keys(STARTER_CLASSES) as (keyof typeof STARTER_CLASSES)[];

describe.each(STARTER_IDS)('the starter class %s', (id) => {
  const plan = STARTER_CLASSES[id];

  it('is made of exercises that ship, and fits its time with a little to spare', () => {
    expect(checkPlan(plan, catalogue)).toEqual([]);
    const { overS } = timePlan(plan, catalogue, { familiar: new Set() });
    // Between five minutes to spare and none over: a first class runs long. Common practice.
    expect(overS).toBeLessThanOrEqual(0);
    expect(overS).toBeGreaterThan(-300);
  });
});

describe('what a careful teacher asks of a first class', () => {
  const slugs = (id: (typeof STARTER_IDS)[number]) =>
    exerciseItemsOf(STARTER_CLASSES[id]).map(({ exercise }) => catalogue.require(exercise));

  it('leaves nothing to settle in the order of the mat class', () => {
    const { findings } = analyse(STARTER_CLASSES.mat, catalogue, {
      attendees: [],
      cupboard: {},
      day: '2026-11-30',
      familiar: new Set(),
    });
    expect(findings.map(({ sentence }) => sentence)).toEqual([]);
  });

  it('begins on the machine with the feet and nothing standing on the carriage', () => {
    const [first] = slugs('reformer');
    expect(first?.slug).toBe('footwork');
    expect(slugs('reformer').every(({ machine }) => machine === 'reformer')).toBe(true);
    expect(slugs('reformer').map(({ slug }) => slug)).not.toContain('side-splits');
  });

  it('never goes down to the floor beside a chair', () => {
    const lying = slugs('chair').filter(
      ({ slug, position }) => !/seated|standing/.test(position) && !/breath|neck/.test(slug),
    );
    expect(lying.map(({ slug }) => slug)).toEqual([]);
  });
});
