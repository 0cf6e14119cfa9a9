import { describe, expect, it } from 'vitest';
import { applyEdit } from '../plan/edits.ts';
import { itemsOf, type Plan } from '../plan/plan.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { makeCatalogue } from '../testing/make-exercise.ts';
import { makePlan } from '../testing/make-plan.ts';
import { reviewOrder, RULES } from './review.ts';
import type { Finding } from './rule.ts';

const catalogue = makeCatalogue();
const retime = (plan: Plan) => timePlan(plan, catalogue);
const review = (plan: Plan): Finding[] =>
  reviewOrder({ plan, catalogue, timeline: retime(plan), retime });
const of = (plan: Plan, rule: string) => review(plan).filter((finding) => finding.rule === rule);

/** A class that every rule is content with. */
const sound = makePlan([
  ['breathe', 'tilt', 'curl'],
  ['lift', 'twist', 'side-reach'],
  ['hug', 'final-rest', 'return-to-sitting'],
]);

const oneSided = (slug: string, sides: 'left' | 'right', count = 8): [string, object] => [
  slug,
  { dose: { kind: 'repetitions', count, sets: 1, sides, directions: 1 } },
];

describe('reviewOrder', () => {
  it('has nothing to say about a sound class', () => expect(review(sound)).toEqual([]));
  it('has nothing to say about an empty one', () => expect(review(makePlan([[], []]))).toEqual([]));
  it('has nothing to say about pauses alone', () =>
    expect(review(makePlan([[{ pauseS: 60 }]]))).toEqual([]));

  it('names its rules once each, with a statement and a reason', () => {
    expect(new Set(RULES.map(({ id }) => id)).size).toBe(RULES.length);
    for (const { statement, why } of RULES) {
      expect(statement).toMatch(/\.$/);
      expect(why).toMatch(/\.$/);
    }
  });

  it.each([
    ['short class', makePlan([['curl', 'roll-back']])],
    ['loaded at once', makePlan([['breathe', 'fold'], ['final-rest']])],
    ['one side only', makePlan([['breathe', oneSided('leg-lift', 'left')], ['final-rest']])],
    ['rounding only', makePlan([['breathe', 'curl', 'roll-back'], ['hug']])],
    ['rest before stretch', makePlan([['breathe'], ['final-rest', 'hug']])],
  ])('offers only repairs that clear their finding: %s', (_name, plan) => {
    const findings = review(plan);
    expect(findings.length).toBeGreaterThan(0);
    for (const finding of findings) {
      expect(finding.repairs.length).toBeGreaterThan(0);
      for (const { edit } of finding.repairs) {
        const result = applyEdit(plan, edit);
        if (!result.ok) throw new Error(result.reason.code);
        const left = of(result.plan, finding.rule).map(({ key }) => key);
        expect(left).not.toContain(finding.key);
      }
    }
  });
});

describe('breath-first', () => {
  const rule = 'breath-first';

  it('wants awareness first', () => {
    const [finding] = of(makePlan([['curl', 'breathe'], ['final-rest']]), rule);
    expect(finding?.sentence).toBe(
      'curl comes first, and it teaches neither breath nor resting alignment.',
    );
    expect(finding?.repairs[0]?.label).toBe('Begin with breathe');
  });

  it('lets a welcome come before the breath', () => {
    expect(of(makePlan([[{ pauseS: 60 }, 'breathe', 'tilt'], ['final-rest']]), rule)).toEqual([]);
  });

  it('wants nothing above gentle in the first 8 % of the time', () => {
    const shortBreath = {
      dose: { kind: 'breaths' as const, count: 1, sets: 1, sides: 'none' as const, directions: 1 },
      options: [1],
    };
    const long = Array.from({ length: 14 }, () => 'tilt');
    const plan = makePlan([[['breathe', shortBreath], 'curl', ...long], ['final-rest']]);
    const [finding] = of(plan, rule);
    expect(finding?.itemIds).toEqual(['curl']);
    expect(finding?.sentence).toMatch(
      /starts at 0:\d\d, inside the first \d:\d\d, with an effort of 3/,
    );
  });
});

describe('unloaded-before-loaded', () => {
  const rule = 'unloaded-before-loaded';

  it('allows a rise of one class at a time', () => {
    expect(of(makePlan([['breathe', 'curl', 'twist', 'roll-back', 'fold']]), rule)).toEqual([]);
  });

  it('names the item and both classes when one is jumped', () => {
    const [finding] = of(makePlan([['breathe', 'curl', 'roll-back']]), rule);
    expect(finding?.itemIds).toEqual(['roll-back']);
    expect(finding?.sentence).toContain('at 3 of 4');
    expect(finding?.sentence).toContain('until then the highest is 1');
  });

  it('offers a later place when one prepares it, else a bridge', () => {
    const later = of(makePlan([['breathe', 'curl', 'roll-back', 'twist']]), rule)[0];
    expect(later?.repairs[0]?.label).toBe('Move it after twist');
    const bridged = of(makePlan([['breathe', 'curl', 'roll-back']]), rule)[0];
    expect(bridged?.repairs[0]?.label).toMatch(/^Add (twist|side reach) before it$/);
  });

  it('does not ask again once the load has been met', () => {
    const plan = makePlan([['breathe', 'curl', 'twist', 'breathe', 'roll-back']]);
    expect(of(plan, rule)).toEqual([]);
  });
});

describe('sides-together', () => {
  const rule = 'sides-together';

  it('is content with both sides in one item', () => {
    expect(of(makePlan([['leg-lift', 'twist']]), rule)).toEqual([]);
  });

  it('is content with a left block followed by the same on the right', () => {
    const plan = makePlan([
      [
        oneSided('leg-lift', 'left'),
        oneSided('twist', 'left'),
        oneSided('leg-lift', 'right'),
        oneSided('twist', 'right'),
      ],
    ]);
    expect(of(plan, rule)).toEqual([]);
  });

  it('sees a side that never comes', () => {
    const [finding] = of(makePlan([[oneSided('leg-lift', 'left'), 'curl']]), rule);
    expect(finding?.sentence).toBe(
      'leg lift is done on the left, and the right side does not follow at once.',
    );
  });

  it('sees fewer repetitions on the second side', () => {
    const plan = makePlan([[oneSided('leg-lift', 'left', 8), oneSided('leg-lift', 'right', 6)]]);
    const [finding] = of(plan, rule);
    expect(finding?.sentence).toBe(
      'The right side does leg lift 6 times, the left side leg lift 8 times.',
    );
    expect(finding?.repairs).toHaveLength(2);
  });

  it('sees another order on the second side', () => {
    const plan = makePlan([
      [
        oneSided('leg-lift', 'left'),
        oneSided('twist', 'left'),
        oneSided('twist', 'right'),
        oneSided('leg-lift', 'right'),
      ],
    ]);
    expect(of(plan, rule)).toHaveLength(1);
  });

  it('sees something slipped in between the sides', () => {
    const plan = makePlan([[oneSided('leg-lift', 'left'), 'curl', oneSided('leg-lift', 'right')]]);
    expect(of(plan, rule).length).toBeGreaterThan(0);
  });

  it('mirrors the whole block, in its order and dose', () => {
    const plan = makePlan([
      [oneSided('leg-lift', 'left', 6), oneSided('twist', 'left', 4), 'curl'],
    ]);
    const edit = of(plan, rule)[0]?.repairs.find(({ label }) => label.startsWith('Add'))?.edit;
    if (!edit) throw new Error('no repair');
    const result = applyEdit(plan, edit);
    if (!result.ok) throw new Error(result.reason.code);
    const doses = itemsOf(result.plan).map((item) =>
      item.kind === 'exercise' && item.dose?.kind === 'repetitions'
        ? `${item.exercise} ${item.dose.count} ${item.dose.sides}`
        : item.id,
    );
    expect(doses).toEqual([
      'leg-lift 6 left',
      'twist 4 left',
      'leg-lift 6 right',
      'twist 4 right',
      'curl',
    ]);
  });
});

describe('six-directions', () => {
  const rule = 'six-directions';

  it('tells left and right of one move together', () => {
    const findings = of(makePlan([['breathe', 'tilt', 'twist']]), rule);
    expect(findings.map(({ sentence }) => sentence)).toContain(
      'Side-bending left and side-bending right are missing; 4 of six directions are met.',
    );
  });

  it('adds what is missing in the position the class is in', () => {
    const plan = makePlan([['breathe', 'tilt', 'curl'], ['lift', 'twist'], ['hug']]);
    const finding = of(plan, rule).find(({ key }) => key.startsWith('missing'));
    expect(finding?.repairs[0]?.label).toBe('Add side reach');
    expect(finding?.repairs[0]?.edit).toMatchObject({
      type: 'addItem',
      segmentId: 'segment-2',
      index: 2,
    });
  });

  it('names the direction that takes over half, and the one with least', () => {
    const plan = makePlan([
      ['breathe', ...Array.from({ length: 5 }, () => 'curl'), 'lift', 'twist', 'side-reach'],
    ]);
    const finding = of(plan, rule).find(({ key }) => key.startsWith('too much'));
    expect(finding?.sentence).toMatch(/^Rounding takes \d\d % of the directed time/);
  });
});

describe('close-soft', () => {
  const rule = 'close-soft';

  it('wants a tenth of the class at its end', () => {
    const plan = makePlan([
      ['breathe', 'tilt', 'curl', 'twist', 'leg-lift'],
      ['return-to-sitting'],
    ]);
    const long = makePlan([
      ['breathe', ...Array.from({ length: 12 }, () => 'curl')],
      ['return-to-sitting'],
    ]);
    expect(of(plan, rule).some(({ key }) => key === 'short')).toBe(false);
    const [finding] = of(long, rule).filter(({ key }) => key === 'short');
    expect(finding?.sentence).toMatch(/^The close is \d:\d\d of \d+:\d\d/);
  });

  it('wants to end sitting or standing', () => {
    const [finding] = of(makePlan([['breathe'], ['final-rest']]), rule);
    expect(finding?.sentence).toContain('The class ends lying on the back');
    expect(finding?.repairs[0]?.label).toBe('Add return to sitting');
  });

  it('wants stretch before rest', () => {
    const plan = makePlan([['breathe'], ['final-rest', 'hug', 'return-to-sitting']]);
    const finding = of(plan, rule).find(({ key }) => key === 'rest-first');
    expect(finding?.itemIds).toEqual(['final-rest', 'hug']);
  });
});
