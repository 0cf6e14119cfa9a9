import { describe, expect, it } from 'vitest';
import { analyse } from '@wrenfern/core/analyse';
import { PROPS } from '@wrenfern/core/movement/vocabulary';
import type { CautionId } from '@wrenfern/core/people/cautions/cautions';
import { Person } from '@wrenfern/core/people/person';
import { checkPlan, exerciseItemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { groupOf } from '@wrenfern/core/review/group';
import { orderPlan } from '@wrenfern/core/search/order-plan';
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

describe.each(EXPERT_CLASSES)('the order of $name', ({ plan, fair }) => {
  const {
    status,
    gap,
    moves,
    nowS,
    bestS,
    brokenNow,
    plan: ordered,
  } = orderPlan({
    plan,
    catalogue,
    timing: {},
    group: groupOf([], ''),
  });

  it('is proved, within 5 % of the best, and moves next to nothing', () => {
    expect(status).toBe('proved best');
    expect(gap).toBeLessThan(0.05);
    expect(moves.length).toBeLessThanOrEqual(3);
  });

  it('proposes nothing that costs more than the class of today', () => {
    expect(moves.length === 0 || bestS < nowS || brokenNow > 0).toBe(true);
    const own = catalogue.all.filter(({ machine }) => machine === 'reformer');
    const isOwn = (slug: string) => own.some((exercise) => exercise.slug === slug);
    const machine = exerciseItemsOf(ordered).flatMap(({ exercise }) =>
      isOwn(exercise) ? [exercise] : [],
    );
    // Common practice: footwork first, and nobody is on hands and knees again behind the scooter.
    if (machine.includes('footwork')) {
      expect(machine.filter((slug) => slug !== 'carriage-breath')[0]).toBe('footwork');
    }
    if (machine.includes('scooter') && machine.includes('knee-stretch')) {
      expect(machine.indexOf('knee-stretch')).toBeLessThan(machine.indexOf('scooter'));
    }
  });

  it('is told nothing new, and a whole class begins and ends as it did', () => {
    const names = (of: Plan) => exerciseItemsOf(of).map(({ exercise }) => exercise);
    const ends = (of: Plan) => (plan.targetS > 720 ? [names(of)[0], names(of).at(-1)] : []);
    expect(ends(ordered)).toEqual(ends(plan));
    const unheard = told(ordered).filter(({ rule }) => !fair.includes(rule));
    expect(unheard.map(({ sentence }) => sentence)).toEqual([]);
  });
});

/** Groups as they come: each with what the review may say beyond the class itself, since it is about them. */
const GROUPS: [name: string, cautions: CautionId[], about: readonly string[]][] = [
  ['mixed', ['wrist', 'low-back-pain', 'knee', 'neck'], ['versions-at-once']],
  [
    'with backs to spare',
    ['rounding-out', 'osteoporosis', 'arch-sensitive'],
    ['versions-at-once', 'unloaded-before-loaded'],
  ],
];
const OWNED = Object.fromEntries(PROPS.filter((prop) => prop !== 'pad').map((prop) => [prop, 20]));

describe.each(GROUPS)('with a group %s', (_name, cautions, about) => {
  const attendees = [...cautions, undefined, undefined, undefined].map((caution, at) => ({
    person: Person.parse({
      id: `p${at}`,
      name: `Person ${at}`,
      level: 1 + (at % 3),
      cautions: caution ? [{ caution }] : [],
    }),
  }));
  const day = '2026-11-30';

  it.each(EXPERT_CLASSES)('$name hears nothing more but about who comes', ({ plan, fair }) => {
    const { findings } = analyse(plan, catalogue, { attendees, cupboard: OWNED, day });
    const more = findings.filter(({ rule }) => !fair.includes(rule) && !about.includes(rule));
    expect(more.map(({ sentence }) => sentence)).toEqual([]);
  });

  it.each(EXPERT_CLASSES)('$name is left in its order but for little', ({ plan }) => {
    const group = groupOf(attendees, day);
    const { moves } = orderPlan({ plan, catalogue, timing: {}, group });
    expect(moves.length).toBeLessThanOrEqual(3);
  });
});

it('tells them about one thing a class', () => {
  const all = EXPERT_CLASSES.flatMap(({ plan }) => told(plan));
  expect(all.length / EXPERT_CLASSES.length).toBeLessThan(1.5);
});

it('proves the best order of a class of 34 items, as long as any is built', () => {
  const [, standing] = EXPERT_CLASSES;
  if (!standing) throw new Error('no class');
  const more = ['dead-bug', 'toe-tap', 'bird-dog', 'saw', 'side-kick'];
  const segments = standing.plan.segments.map((segment, part) => ({
    ...segment,
    items: [
      ...segment.items,
      ...more
        .filter((_, at) => 1 + (at % 3) === part)
        .map((exercise) => ({
          ...{ kind: 'exercise' as const, id: `more-${exercise}`, exercise },
          ...{ restS: 0, note: '' },
        })),
    ],
  }));
  const plan = { ...standing.plan, segments };
  expect(exerciseItemsOf(plan)).toHaveLength(34);
  const { status, gap } = orderPlan({ plan, catalogue, timing: {}, group: groupOf([], '') });
  expect([status, gap]).toEqual(['proved best', 0]);
});
