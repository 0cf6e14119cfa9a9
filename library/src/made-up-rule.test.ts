import { describe, expect, it } from 'vitest';
import { draftPlan } from '@wrenfern/core/draft/draft-plan';
import { loadSolver } from '@wrenfern/core/draft/solver';
import { DraftWishes } from '@wrenfern/core/draft/wishes';
import { exerciseItemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { groupOf } from '@wrenfern/core/review/group';
import { reviewOrder } from '@wrenfern/core/review/review';
import type { OrderWish, Rule } from '@wrenfern/core/review/rule';
import { RULES } from '@wrenfern/core/review/rules';
import { orderPlan } from '@wrenfern/core/search/order-plan';
import { composePlan, exercise } from './compose-plan.ts';
import { builtInCatalogue as catalogue } from './index.ts';

const DAY = '2026-11-25';
const EARLY = 'cat-cow';
const LATE = 'clam';

/** Nobody's rule: it exists nowhere but here. */
function madeUp(usually: Rule['usually'], wish: Partial<OrderWish>): Rule {
  return {
    id: 'cat-before-clam',
    name: 'The cat before the clam',
    statement: 'The cat comes before the clam.',
    kind: 'order',
    why: 'Made up.',
    usually,
    order: [{ cost: 'sequence', ...wish }],
    draft(rows) {
      rows.upTo((choice) => choice.exercise.slug === EARLY, 1);
      rows.upTo((choice) => choice.exercise.slug === LATE, 1);
    },
    find({ worked }) {
      const clam = worked.find((each) => each.exercise.slug === LATE);
      const cat = worked.find((each) => each.exercise.slug === EARLY);
      if (!clam || !cat || cat.at < clam.at) return [];
      return [
        { key: 'turned', itemIds: [clam.item.id], sentence: 'Turned.', candidates: () => [] },
      ];
    },
  };
}

const plan: Plan = composePlan({ title: 'Made up', targetS: 900 }, [
  ['All', ['toe-tap', LATE, 'side-leg-lift', EARLY, 'bird-dog'].map((slug) => exercise(slug))],
]);

const placeOf = (of: Plan, slug: string) =>
  exerciseItemsOf(of).findIndex((item) => item.exercise === slug);

function ordered(rule: Rule): Plan {
  const group = groupOf([], DAY);
  return orderPlan({ plan, catalogue, timing: {}, group, rules: [rule] }).plan;
}

describe('a rule that is only added to the list', () => {
  it('is reviewed, and off where the school says so', () => {
    const timeline = timePlan(plan, catalogue, {});
    const input = { plan, catalogue, timeline, retime: () => timeline };
    const found = (rule: Rule) =>
      reviewOrder({ ...input, rules: [...RULES, rule] }).filter(({ rule: id }) => id === rule.id);
    expect(found(madeUp('must', {}))).toMatchObject([{ binding: true, sentence: 'Turned.' }]);
    expect(found(madeUp('should', {}))).toMatchObject([{ binding: false }]);
    expect(found(madeUp('off', {}))).toEqual([]);
  });

  const slugIs = (wanted: string) => (worked: { exercise: { slug: string } }) =>
    worked.exercise.slug === wanted;
  const WISHES: [string, Partial<OrderWish>][] = [
    [
      'says what comes first',
      { comesFirst: (a, b) => (slugIs(EARLY)(a) && slugIs(LATE)(b) ? 'made up' : undefined) },
    ],
    [
      'leaves a mark and wants it',
      {
        marks: {
          leaves: (worked) => (slugIs(EARLY)(worked) ? ['arched'] : []),
          wants: (worked) => (slugIs(LATE)(worked) ? ['arched'] : []),
        },
      },
    ],
    [
      'prices a place in the class',
      {
        place: (worked) =>
          slugIs(LATE)(worked)
            ? [
                { share: 0, seconds: 900 },
                { share: 1, seconds: 0 },
              ]
            : [],
      },
    ],
    [
      'prices neighbours',
      {
        // Whatever the clam follows is dear, but the cat.
        neighbours: (from, to, _context, priceS) =>
          slugIs(LATE)(to) && !slugIs(EARLY)(from) ? 10 * priceS : 0,
      },
    ],
  ];

  it.each(WISHES)('is searched where it %s', (_words, wish) => {
    expect(placeOf(plan, EARLY)).toBeGreaterThan(placeOf(plan, LATE));
    const best = ordered(madeUp('must', wish));
    const neighboursOnly = 'neighbours' in wish;
    // First of all has no neighbour before it: that is as good.
    if (neighboursOnly) expect([0, placeOf(best, EARLY) + 1]).toContain(placeOf(best, LATE));
    else expect(placeOf(best, EARLY)).toBeLessThan(placeOf(best, LATE));
  });

  it('is searched where things are fetched again, and where items stay joined', () => {
    const beside = ordered(
      madeUp('must', {
        things: {
          of: (worked) => (slugIs(EARLY)(worked) || slugIs('toe-tap')(worked) ? ['hoop'] : []),
          againS: 900,
        },
      }),
    );
    expect(Math.abs(placeOf(beside, EARLY) - placeOf(beside, 'toe-tap'))).toBe(1);
    const joined = ordered(
      madeUp('must', {
        joined: (worked) =>
          new Set(worked.filter(slugIs('side-leg-lift')).map(({ item }) => item.id)),
      }),
    );
    expect(placeOf(joined, 'side-leg-lift')).toBe(placeOf(joined, LATE) + 1);
  });

  it('is drafted', async () => {
    const solve = await loadSolver();
    const slugsWith = (rules: readonly Rule[]) => {
      const context = { catalogue, attendees: [], day: DAY, timing: {}, rules };
      const search = draftPlan(DraftWishes.parse({ targetS: 1500 }), context, solve);
      let step = search.next();
      while (!step.done) step = search.next();
      if (step.value.kind !== 'proposals') throw new Error(step.value.kind);
      return step.value.proposals.map(({ plan: of }) =>
        exerciseItemsOf(of).map((item) => item.exercise),
      );
    };
    const rule = madeUp('must', {});
    for (const slugs of slugsWith([...RULES, rule])) {
      expect(slugs).toEqual(expect.arrayContaining([EARLY, LATE]));
    }
    const without = slugsWith(RULES);
    expect(without.some((slugs) => !slugs.includes(EARLY) || !slugs.includes(LATE))).toBe(true);
  });
});
