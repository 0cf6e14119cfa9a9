import { describe, expect, it } from 'vitest';
import { analyse } from '@wrenfern/core/analyse';
import { checkPlan } from '@wrenfern/core/plan/plan';
import { EXPERT_CLASSES } from './expert-classes.ts';
import { builtInCatalogue as catalogue } from './index.ts';

const told = (plan: (typeof EXPERT_CLASSES)[number]['plan']) =>
  analyse(plan, catalogue, { attendees: [], cupboard: {}, day: '2026-11-30' }).findings;

describe.each(EXPERT_CLASSES)('the review of $name', ({ plan, fair }) => {
  it('is made of what ships', () => {
    expect(checkPlan(plan, catalogue)).toEqual([]);
  });

  it('says nothing but what a careful teacher would call right or fair', () => {
    expect(told(plan).map(({ rule }) => rule)).toEqual(fair);
  });
});

it('tells them about one thing a class', () => {
  const all = EXPERT_CLASSES.flatMap(({ plan }) => told(plan));
  expect(all.length / EXPERT_CLASSES.length).toBeLessThan(1.5);
});
