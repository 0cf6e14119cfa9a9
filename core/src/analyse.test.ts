import { describe, expect, it } from 'vitest';
import { analyse, repairsOf, type ClassContext } from './analyse.ts';
import { Person } from './people/person.ts';
import { exerciseItemsOf, offeredOptions } from './plan/plan.ts';
import { STEADY_PACE } from './plan/timing/pace.ts';
import { makeCatalogue, makeExercise } from './testing/make-exercise.ts';
import { copyOf, makePlan } from './testing/make-plan.ts';

const catalogue = makeCatalogue([
  makeExercise('squeeze', {
    options: [{}, { props: [{ prop: 'small-ball', place: 'between knees', role: 'feedback' }] }],
  }),
]);
const plan = makePlan([
  ['breathe', 'tilt', 'squeeze', 'curl'],
  ['lift', 'twist', 'side-reach'],
  ['hug', 'final-rest', 'return-to-sitting'],
]);

const context = (change: Partial<ClassContext> = {}): ClassContext => ({
  attendees: [1, 2, 3].map((level) => ({
    person: Person.parse({ id: `p${level}`, name: `P${level}`, level }),
  })),
  cupboard: { 'small-ball': 1 },
  day: '2026-11-25',
  ...change,
});

describe('analyse', () => {
  it('gives the same for the same, and leaves the plan alone', () => {
    const before = copyOf(plan);
    const first = analyse(plan, catalogue, context());
    expect(plan).toEqual(before);
    const again = analyse(copyOf(plan), catalogue, context());
    expect(JSON.stringify(again)).toBe(JSON.stringify(first));
  });

  it('lets props follow from the options that people take', () => {
    const { props, options } = analyse(plan, catalogue, context());
    const holding = [...options.choices].filter(([, items]) => {
      const choice = items.get('squeeze');
      return choice?.kind === 'option' && choice.option === 2;
    });
    expect(props[0]?.people).toEqual(holding.map(([id]) => id));
    expect(props[0]?.short).toBe(holding.length - 1);
  });

  it('lets the group decide how long words take', () => {
    const known = analyse(plan, catalogue, context({ familiar: new Set(['curl', 'tilt']) }));
    const strange = analyse(plan, catalogue, context({ familiar: new Set() }));
    expect(strange.timeline.totalS).toBeGreaterThan(known.timeline.totalS);
  });

  it('lets the teacher’s own pace decide, too', () => {
    const pace = {
      teaching: 'steady' as const,
      setUpFactor: 2,
      teachingFactor: 1,
      workFactor: 1,
      tempoFactors: {},
      classes: 0,
    };
    const slow = analyse(plan, catalogue, context({ pace })).timeline;
    const plain = analyse(plan, catalogue, context()).timeline;
    const setUp = (timeline: typeof slow) =>
      timeline.items
        .flatMap(({ parts }) => parts)
        .filter(({ kind }) => kind === 'set-up')
        .reduce((sum, { durationS }) => sum + durationS, 0);
    // Twice as much, but for half seconds that are rounded.
    expect(Math.abs(setUp(slow) - 2 * setUp(plain))).toBeLessThanOrEqual(plain.items.length);
    expect(slow.totalS).toBeGreaterThanOrEqual(plain.totalS + setUp(plain) - plain.items.length);
  });

  it('gives every finding a key of its own within its rule', () => {
    const rough = makePlan([['curl', 'roll-back', 'squeeze', 'fold'], ['lift']], { targetS: 300 });
    const { findings } = analyse(rough, catalogue, context({ cupboard: {} }));
    const keys = findings.map(({ rule, key }) => `${rule} ${key}`);
    expect(findings.length).toBeGreaterThan(4);
    expect(new Set(keys).size).toBe(keys.length);
  });

  it('tells time first: it is what is asked first', () => {
    const over = makePlan([['breathe', 'curl', 'curl', 'curl', 'curl', 'curl', 'curl', 'curl']], {
      targetS: 300,
    });
    expect(analyse(over, catalogue, context()).findings[0]?.rule).toBe('fits-the-hour');
  });

  it('has an answer for an empty plan and an empty room', () => {
    const nothing = analyse(makePlan([[]]), catalogue, context({ attendees: [], cupboard: {} }));
    expect(nothing).toMatchObject({ findings: [], props: [], timeline: { totalS: 0 } });
  });
});

describe('a plan whose exercise was taken out', () => {
  const known = makeCatalogue();
  const plan = makePlan([['breathe', 'gone-for-good', 'curl'], ['final-rest']]);
  const context = { pace: STEADY_PACE, cupboard: {}, attendees: [], day: '2026-11-25' };
  const analysis = analyse(plan, known, context);

  it('is read whole, with the missing one in its place', () => {
    expect(analysis.timeline.items.map(({ itemId }) => itemId)).toHaveLength(4);
    expect(analysis.timeline.items[1]?.name).toBe('gone for good (no longer in the library)');
  });

  it('says so first, and offers to take it out', () => {
    const [finding] = analysis.findings;
    expect(finding?.rule).toBe('exercise-there');
    if (!finding) throw new Error('no finding');
    expect(repairsOf(plan, known, context, finding)).toHaveLength(1);
    expect(repairsOf(plan, known, context, { ...finding, key: 'settled' })).toEqual([]);
  });

  it('is data: what it was made of is the same after a round by JSON', () => {
    const { timeline, findings, gear, props, coverage } = analysis;
    const data = { timeline, findings, gear, props, coverage };
    expect(JSON.parse(JSON.stringify(data))).toEqual(data);
  });

  it('offers what a shortened exercise still has', () => {
    const [item] = exerciseItemsOf(makePlan([['curl']]));
    if (!item) throw new Error('no item');
    const short = makeExercise('curl', { options: [{}, {}] });
    expect(offeredOptions({ ...item, options: [2, 4] }, short)).toEqual([2]);
    expect(offeredOptions({ ...item, options: [3, 4] }, short)).toEqual([1, 2]);
  });
});
