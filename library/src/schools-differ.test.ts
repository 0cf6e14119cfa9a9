import { describe, expect, it } from 'vitest';
import { analyse } from '@wrenfern/core/analyse';
import { SCHOOL_IDS, type Plan, type SchoolId } from '@wrenfern/core/plan/plan';
import { makePlan } from '@wrenfern/core/testing/make-plan';
import { EXPERT_CLASSES } from './expert-classes.ts';
import { builtInCatalogue as catalogue } from './index.ts';

/** What is told of a plan under a school: the rules, each once. */
function told(plan: Plan, school: SchoolId, familiar?: readonly string[]): string[] {
  const { findings } = analyse({ ...plan, school }, catalogue, {
    attendees: [],
    cupboard: {},
    day: '2026-11-30',
    ...(familiar ? { familiar: new Set(familiar) } : {}),
  });
  return [...new Set(findings.map(({ rule }) => rule))];
}

const sentences = (plan: Plan) =>
  analyse(plan, catalogue, { attendees: [], cupboard: {}, day: '2026-11-30' }).findings;

const timed = {
  dose: { kind: 'timed', onS: 45, offS: 15, rounds: 2, sets: 1, sides: 'none', directions: 1 },
} as const;

const count = (times: number) =>
  ({ dose: { kind: 'repetitions', count: times, sets: 1, sides: 'none', directions: 1 } }) as const;

describe('a rule of one school', () => {
  const known = [
    'breath-three-way',
    'pelvic-tilt',
    'bridge-roll',
    'chest-lift',
    'clam',
    'cat-cow',
    'plank',
  ];
  const two = makePlan(
    [
      [
        'breath-three-way',
        'pelvic-tilt',
        'bridge-roll',
        'chest-lift',
        'toe-tap',
        'dead-bug',
        'clam',
        'cat-cow',
      ],
    ],
    { targetS: 2700 },
  );

  it('one new thing at a time, where foundations come first', () => {
    expect(told(two, 'foundations-first', known)).toContain('one-new-thing');
    expect(told(two, 'graded-load', known)).not.toContain('one-new-thing');
    // Where nothing is known of the group, and where everything is new to it, nothing is told.
    expect(told(two, 'foundations-first')).not.toContain('one-new-thing');
    expect(told(two, 'foundations-first', [])).not.toContain('one-new-thing');
  });

  it('few exercises and again, where load is graded', () => {
    const work = catalogue.all.filter(
      ({ machine, family }) => machine === 'mat' && family !== 'release' && family !== 'awareness',
    );
    const of = (count: number) =>
      makePlan([work.slice(0, count).map(({ slug }) => slug)], { targetS: 3300 });
    const isTold = (count: number, school: SchoolId) =>
      analyse({ ...of(count), school }, catalogue, {
        attendees: [],
        cupboard: {},
        day: '2026-11-30',
      }).findings.length >= 7 || told(of(count), school).includes('few-and-again');
    expect(isTold(26, 'graded-load')).toBe(true);
    expect(told(of(16), 'graded-load')).not.toContain('few-and-again');
    expect(told(of(26), 'foundations-first')).not.toContain('few-and-again');
  });

  it('by the clock, in timed sets: most of the work, and nothing that is felt', () => {
    const felt = makePlan(
      [['breath-three-way', ['bridge-articulate', timed], ['squat', timed], ['plank', timed]]],
      {
        targetS: 1500,
        school: 'timed-sets',
      },
    );
    expect(
      sentences(felt)
        .map(({ sentence }) => sentence)
        .join(' '),
    ).toContain('Rolled bridge goes by the clock');
    const eight = count(8);
    const counted = makePlan(
      [
        [
          'pelvic-tilt',
          ['squat', eight],
          ['lunge', eight],
          ['hundred', count(100)],
          ['dead-bug', timed],
        ],
      ],
      { targetS: 1500 },
    );
    expect(told(counted, 'timed-sets')).toContain('by-the-clock');
    expect(told(counted, 'foundations-first')).not.toContain('by-the-clock');
  });

  it('one sequence in one go, in the published order', () => {
    const plan = makePlan(
      [
        [
          'hundred',
          ['roll-up', count(16)],
          { pauseS: 60 },
          'single-leg-stretch',
          'control-balance',
        ],
      ],
      { targetS: 1500, school: 'classic' },
    );
    const all = sentences(plan).filter(({ rule }) => rule === 'as-published');
    expect(all.map(({ sentence }) => sentence)).toEqual([
      'Pause stops the sequence for 60 s.',
      'Roll up is done 16 times; in a sequence 10 are many.',
      'The sequence ends on the shoulders, with Control balance.',
    ]);
    expect(told(plan, 'graded-load')).not.toContain('as-published');
  });
});

describe.each(EXPERT_CLASSES.filter(({ plan }) => plan.targetS > 1200 && !plan.changeOver))(
  '$name under another school',
  ({ plan }) => {
    it('is another class: no two schools tell the same of it', () => {
      const of = SCHOOL_IDS.map((school) => told(plan, school).toSorted().join(', '));
      expect(new Set(of).size).toBeGreaterThanOrEqual(3);
    });
  },
);
