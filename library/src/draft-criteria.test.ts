import type { Attendee } from '@wrenfern/core/people/attendee';
import { Person } from '@wrenfern/core/people/person';
import { makePlan } from '@wrenfern/core/testing/make-plan';
import { beforeAll, describe, expect, it } from 'vitest';
import { criteriaOf } from '@wrenfern/core/draft/draft-criteria';
import { draftPlan, type Proposal } from '@wrenfern/core/draft/draft-plan';
import { loadSolver, type Solve } from '@wrenfern/core/draft/solver';
import { DraftWishes } from '@wrenfern/core/draft/wishes';
import { analyse } from '@wrenfern/core/analyse';
import { exerciseItemsOf, Plan } from '@wrenfern/core/plan/plan';
import { isWork } from '@wrenfern/core/review/draft-rows';
import { isMixed } from '@wrenfern/core/plan/tracks';
import { builtInCatalogue as catalogue } from './index.ts';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

/** A group of six whose usual options lie around this one, half of them with something to mind. */
const groupOf = (level: number): Attendee[] =>
  (['rounding-out', 'osteoporosis', 'wrist', undefined, undefined, undefined] as const).map(
    (caution, at) => ({
      person: Person.parse({
        id: `p${at}`,
        name: `Person ${at}`,
        level: Math.max(1, Math.min(4, level + (at % 3) - 1)),
        cautions: caution ? [{ caution }] : [],
      }),
    }),
  );

function draft(wishes: object, attendees: Attendee[] = []): Proposal[] {
  const context = { catalogue, attendees, day: '2026-11-29', timing: {} };
  const search = draftPlan(DraftWishes.parse(wishes), context, solve);
  let step = search.next();
  while (!step.done) step = search.next();
  if (step.value.kind !== 'proposals') throw new Error(JSON.stringify(step.value));
  return step.value.proposals;
}

const machine = 'reformer';
const CASES: [name: string, wishes: object, level?: number][] = [
  ['half an hour on the mat', { targetS: 1800 }],
  ['45 minutes for backs', { targetS: 2700, school: 'graded-load' }],
  ['half an hour by the clock', { targetS: 1800, school: 'timed-sets' }],
  ['half an hour in the published order', { targetS: 1800, school: 'classic' }],
  ['55 minutes on the machine', { targetS: 3300, machine }],
  ['50 minutes on the machine for beginners', { targetS: 3000, machine }, 1],
  ['50 minutes on the machine for the practised', { targetS: 3000, machine }, 4],
  ['a climb on the machine', { targetS: 3000, machine, climbTo: 'long-stretch' }, 2],
  [
    'another, to what rolls over in the loops',
    { targetS: 3000, machine, climbTo: 'short-spine' },
    2,
  ],
  ['a climb on the mat', { targetS: 2700, climbTo: 'swan-dive' }, 2],
];

describe.each(CASES)('a draft of %s', (_name, wishes, level) => {
  let proposals: Proposal[] = [];
  beforeAll(() => {
    proposals = draft(wishes, level ? groupOf(level) : []);
  });

  it('is what a draft must be', () => {
    expect(proposals).toHaveLength(3);
    for (const { plan } of proposals) {
      const missed = criteriaOf(plan, DraftWishes.parse(wishes), catalogue)
        .filter(({ isMet }) => !isMet)
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

/** Of a class that nobody drafted, what it is not. */
const missedOf = (plan: Plan, wishes: object = {}) =>
  criteriaOf(plan, DraftWishes.parse({ targetS: plan.targetS, ...wishes }), catalogue).filter(
    ({ isMet }) => !isMet,
  );
const idsOf = (plan: Plan, wishes?: object) => missedOf(plan, wishes).map(({ id }) => id);

describe('what a draft must not be: common practice', () => {
  it('hard at once, over the shoulders before the middle, down and up again for one exercise', () => {
    const hard = makePlan([['hundred', 'roll-over', 'squat', 'chest-lift', 'figure-four']]);
    expect(idsOf(hard)).toEqual(
      expect.arrayContaining(['arrives', 'early effort', 'over the shoulders', 'none far off']),
    );
    expect(missedOf(hard).find(({ id }) => id === 'none far off')?.by).toEqual(['squat']);
    const swan = makePlan([['pelvic-tilt', 'bridge-roll', 'swan-prep', 'toe-tap', 'figure-four']]);
    expect(idsOf(swan)).toContain('none far off');
  });

  it('a whole before its part, nothing that opens the back, nothing on the hands', () => {
    const flat = makePlan([['breath-three-way', 'criss-cross', 'bridge-leg'], ['final-rest']], {
      targetS: 2700,
    });
    expect(missedOf(flat).find(({ id }) => id === 'parts first')?.by).toEqual([
      'bridge-leg',
      'criss-cross',
    ]);
    expect(idsOf(flat)).toEqual(expect.arrayContaining(['back opened', 'hands used', 'ends up']));
  });

  it('a rest, then the hardest: the two that do not go together are named', () => {
    const steep = makePlan([['pelvic-tilt', 'knees-to-chest', 'hundred', 'figure-four']]);
    expect(missedOf(steep).find(({ id }) => id === 'steps')?.by).toEqual([
      'knees-to-chest',
      'hundred',
    ]);
  });

  it('for backs rounding under load', () => {
    const backs = makePlan([['pelvic-tilt', 'roll-up', 'figure-four']], { school: 'graded-load' });
    expect(missedOf(backs).find(({ id }) => id === 'backs spared')?.by).toEqual(['roll-up']);
  });

  it('on the machine little footwork, the box twice, up too soon and down again, gear for each exercise', () => {
    const plan = makePlan(
      [
        ['carriage-breath', 'chest-expansion', 'scooter', 'short-box-round'],
        ['long-box-pulling-straps', 'short-box-flat', 'reformer-bridge', 'roll-down-beside'],
      ],
      { machine, targetS: 1200 },
    );
    expect(idsOf(plan)).toEqual(
      expect.arrayContaining(['footwork', 'up once', 'not up too soon', 'gear', 'box once']),
    );
  });
});

describe('for whom', () => {
  it('beginners on the machine are drafted nothing far above them, and nothing that stands on the carriage', () => {
    for (const { plan } of draft({ targetS: 3000, machine }, groupOf(1))) {
      const exercises = exerciseItemsOf(plan).map(({ exercise }) => catalogue.require(exercise));
      expect(exercises.map(({ fromLevel = 1 }) => fromLevel)).not.toContain(3);
      expect(exercises.map(({ fromLevel = 1 }) => fromLevel)).not.toContain(4);
      const standing = exercises.filter(({ position }) => position === 'standing');
      expect(standing.every(({ fromLevel = 1 }) => fromLevel === 1)).toBe(true);
    }
  });

  it('what is wished for is had all the same', () => {
    for (const { plan } of draft({ targetS: 2700, mustHave: ['corkscrew'] }, groupOf(1))) {
      expect(exerciseItemsOf(plan).map(({ exercise }) => exercise)).toContain('corkscrew');
    }
  });
});

describe('many drafts', () => {
  const work = ({ plan }: Proposal) =>
    exerciseItemsOf(plan)
      .map(({ exercise }) => exercise)
      .filter((slug) => isWork({ exercise: catalogue.require(slug) }));
  const share = (one: readonly string[], other: readonly string[]) =>
    other.filter((slug) => one.includes(slug)).length / Math.max(1, other.length);

  it('of another school or wish are other classes', () => {
    const wishes = [
      {},
      { school: 'graded-load' },
      { school: 'timed-sets' },
      { bodyParts: ['shoulders'] },
      { climbTo: 'teaser' },
    ].map((wish) => draft({ targetS: 2700, ...wish }));
    const firsts = wishes.map(([first]) => (first ? work(first) : []));
    firsts.forEach((one, at) =>
      firsts.slice(at + 1).forEach((other) => expect(share(one, other)).toBeLessThanOrEqual(0.7)),
    );
    // No cheap exercise that ticks many boxes stands in each of them.
    const all = wishes.flat().map(work);
    const often = new Set(all.flat());
    for (const slug of often) {
      const many = all.filter((each) => each.includes(slug)).length;
      expect(many, slug).toBeLessThanOrEqual(0.9 * all.length);
    }
  });

  it('say why in many words', () => {
    const [first] = draft({ targetS: 2700 });
    const reasons = Object.values(first?.reasons ?? {});
    expect(new Set(reasons).size).toBeGreaterThan(0.85 * reasons.length);
    expect(reasons.filter((reason) => reason.startsWith('Teaches'))).toEqual([]);
    expect(reasons.some((reason) => reason.startsWith('Builds on '))).toBe(true);
    expect(reasons.some((reason) => reason.includes('before everybody rolls over once'))).toBe(
      true,
    );
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

describe('an hour on the machine', () => {
  let drafts: Proposal[][] = [];
  beforeAll(() => {
    drafts = [1, 2, 4].map((level) => draft({ targetS: 3300, machine }, groupOf(level)));
  });

  it('is filled with second rounds on one setting, not with ten more exercises', () => {
    for (const { plan } of drafts.flat()) {
      expect(exerciseItemsOf(plan).length).toBeLessThanOrEqual(26);
      const rounds = plan.brackets?.filter(({ kind }) => kind === 'rounds') ?? [];
      const inTurn = exerciseItemsOf(plan).filter(({ bracket }) => bracket !== undefined);
      expect(inTurn.length).toBeGreaterThanOrEqual(2 * rounds.length);
      for (const { id } of rounds) {
        const settings = inTurn
          .filter(({ bracket }) => bracket === id)
          .map((item) => {
            const { options, standard } = catalogue.require(item.exercise);
            const { springs, bar, facing, box } = options[standard - 1]?.settings ?? {};
            return JSON.stringify([springs, bar, facing, box]);
          });
        expect(new Set(settings).size).toBe(1);
      }
    }
    expect(drafts.flat().some(({ plan }) => plan.brackets?.length)).toBe(true);
  });

  it('is another for who is far on: with what only they do', () => {
    const far = ({ plan }: Proposal) =>
      exerciseItemsOf(plan).filter(
        ({ exercise }) => (catalogue.require(exercise).fromLevel ?? 1) >= 3,
      ).length;
    const [beginners = [], , practised = []] = drafts;
    expect(beginners.map(far)).toEqual([0, 0, 0]);
    expect(Math.min(...practised.map(far))).toBeGreaterThanOrEqual(2);
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
      expect(Plan.safeParse(plan).error?.issues ?? []).toEqual([]);
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
