import { leadsTo } from '@wrenfern/core/movement/exercise';
import { beforeAll, describe, expect, it } from 'vitest';
import { draftPlan, type DraftResult, type Proposal } from '@wrenfern/core/draft/draft-plan';
import { nextBest } from '@wrenfern/core/draft/next-best';
import { loadSolver, type Solve } from '@wrenfern/core/draft/solver';
import { checkWishes, DraftWishes } from '@wrenfern/core/draft/wishes';
import { groupOf } from '@wrenfern/core/review/group';
import { reviewOrder } from '@wrenfern/core/review/review';
import { chooseOptions, VERSIONS_AT_ONCE } from '@wrenfern/core/people/choose-options';
import type { CautionId } from '@wrenfern/core/people/cautions/cautions';
import { Person } from '@wrenfern/core/people/person';
import { checkPlan, exerciseItemsOf, Plan } from '@wrenfern/core/plan/plan';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { builtInCatalogue as catalogue } from './index.ts';

const DAY = '2026-11-25';
let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

const person = (name: string, level: number, ...cautions: CautionId[]) => ({
  person: Person.parse({
    id: name,
    name,
    level,
    cautions: cautions.map((caution) => ({ caution })),
  }),
});
const GROUP = [
  person('Asha', 2),
  person('Bram', 3, 'rounding-out'),
  person('Ines', 2, 'osteoporosis'),
  person('Kaito', 2, 'wrist'),
  person('Wim', 4),
];

function draft(wishes: object, attendees = GROUP): DraftResult {
  const context = { catalogue, attendees, day: DAY, timing: {} };
  const search = draftPlan(DraftWishes.parse(wishes), context, solve);
  let step = search.next();
  while (!step.done) step = search.next();
  return step.value;
}

function proposalsFor(wishes: object, attendees = GROUP): Proposal[] {
  const result = draft(wishes, attendees);
  if (result.kind !== 'proposals') throw new Error(JSON.stringify(result));
  return result.proposals;
}

/** Drafted once for all tests that only look at it. */
const drafted = new Map<string, Proposal[]>();
function knownProposals(wishes: object): Proposal[] {
  const key = JSON.stringify(wishes);
  const known = drafted.get(key) ?? proposalsFor(wishes);
  drafted.set(key, known);
  return known;
}

const slugsOf = ({ plan }: Proposal) => exerciseItemsOf(plan).map(({ exercise }) => exercise);

const HIPS = { targetS: 1800, bodyParts: ['hip-outside'] };
const CASES: [string, object][] = [
  ['55 minutes', { targetS: 3300 }],
  ['half an hour of hips', HIPS],
  ['timed sets', { targetS: 1800, school: 'timed-sets' }],
  ['back ease', { targetS: 1800, school: 'graded-load' }],
  ['without props', { targetS: 1500, props: [] }],
  ['a climb', { targetS: 2700, climbTo: 'side-leg-circle', never: ['plank'] }],
];

describe.each(CASES)('a draft of %s', (_name, wishes) => {
  let proposals: Proposal[] = [];
  beforeAll(() => {
    proposals = knownProposals(wishes);
  });

  it('gives three classes that can be planned with', () => {
    expect(proposals).toHaveLength(3);
    for (const { plan } of proposals) {
      expect(Plan.safeParse(plan).success).toBe(true);
      expect(checkPlan(plan, catalogue)).toEqual([]);
    }
  });

  it('fills the time within 90 seconds', () => {
    for (const { plan } of proposals) {
      expect(Math.abs(timePlan(plan, catalogue).overS)).toBeLessThanOrEqual(90);
    }
  });

  it('has something to do for everyone, in three ways at most', () => {
    for (const { plan } of proposals) {
      const { versions } = chooseOptions(plan, GROUP, catalogue, DAY);
      for (const own of versions.values()) {
        expect(own.length).toBeLessThanOrEqual(VERSIONS_AT_ONCE);
        expect(own.map(({ choice }) => choice.kind)).not.toContain('rest');
      }
    }
  });

  it('leaves next to nothing to settle', () => {
    for (const { plan, findings } of proposals) {
      const retime = (of: Plan) => timePlan(of, catalogue);
      const timeline = retime(plan);
      const group = groupOf(GROUP, DAY);
      const found = reviewOrder({ plan, catalogue, timeline, retime, group });
      expect(found).toHaveLength(findings);
      expect(found.filter(({ binding }) => binding).length).toBeLessThanOrEqual(2);
    }
  });

  it('says why each exercise is there, and what sets the three apart', () => {
    for (const proposal of proposals) {
      for (const { id } of exerciseItemsOf(proposal.plan)) {
        expect(proposal.reasons[id]).toMatch(/^[A-Z].{3,}\.$/);
      }
    }
    expect(new Set(proposals.map(({ character }) => character)).size).toBe(3);
  });

  it('proposes no class twice', () => {
    const work = proposals.map((each) =>
      slugsOf(each).filter((slug) => catalogue.require(slug).family !== 'release'),
    );
    work.forEach((one, index) =>
      work.slice(index + 1).forEach((other) => {
        const same = other.filter((slug) => one.includes(slug)).length;
        expect(same / Math.max(one.length, other.length)).toBeLessThanOrEqual(0.61);
      }),
    );
  });
});

describe('wishes', () => {
  it('are kept: must, never, props, the hardest', () => {
    const wishes = {
      targetS: 2400,
      mustHave: ['swan-prep', 'clam'],
      never: ['bridge-roll'],
      props: ['cushion'],
      effortMost: 2.5,
    };
    for (const proposal of proposalsFor(wishes)) {
      const slugs = slugsOf(proposal);
      expect(slugs).toEqual(expect.arrayContaining(['swan-prep', 'clam']));
      expect(slugs).not.toContain('bridge-roll');
      for (const item of exerciseItemsOf(proposal.plan)) {
        const exercise = catalogue.require(item.exercise);
        const offered = exercise.options.filter(
          ({ number }) => item.options?.includes(number) ?? true,
        );
        const props = offered.flatMap((option) =>
          option.props.filter(({ optional }) => !optional).map(({ prop }) => prop),
        );
        expect(props.every((prop) => prop === 'cushion')).toBe(true);
      }
    }
  });

  it('climb by the ladder: what prepares the big exercise comes before it', () => {
    for (const proposal of proposalsFor({ targetS: 3300, climbTo: 'teaser' }, [])) {
      const slugs = slugsOf(proposal);
      const goal = slugs.indexOf('teaser');
      const before = slugs.slice(0, goal);
      const rungs = before.filter((slug) => leadsTo(catalogue.require(slug)).includes('teaser'));
      expect(goal).toBeGreaterThan(0);
      expect(rungs.length).toBeGreaterThanOrEqual(2);
      // Its parts are never left for later; what merely goes well before it may be.
      const behind = slugs.slice(goal).map((slug) => catalogue.require(slug));
      expect(behind.filter(({ prepares }) => prepares.includes('teaser'))).toEqual([]);
    }
  });

  it('give a theme its share', () => {
    for (const { plan } of knownProposals(HIPS)) {
      const timeline = timePlan(plan, catalogue);
      const seconds = timeline.items
        .filter(({ exercise }) => catalogue.get(exercise ?? '')?.bodyParts.includes('hip-outside'))
        .reduce((sum, { durationS }) => sum + durationS, 0);
      expect(seconds).toBeGreaterThan(0.12 * HIPS.targetS);
    }
  });

  it('bring less of what was done lately where freshness is asked for', () => {
    const [near] = knownProposals(HIPS);
    const lately = near ? slugsOf(near) : [];
    const again = proposalsFor({ ...HIPS, lately }).find(({ id }) => id === 'fresh');
    const same = again ? slugsOf(again).filter((slug) => lately.includes(slug)) : lately;
    expect(same.length).toBeLessThan(lately.length / 2);
  });

  it('give the same for the same seed, and something else for another', () => {
    const once = knownProposals(HIPS);
    expect(proposalsFor(HIPS)).toEqual(once);
    const other = proposalsFor({ ...HIPS, seed: 4 });
    expect(other.map(slugsOf)).not.toEqual(once.map(slugsOf));
  });

  it.each([
    [{ targetS: 1800, climbTo: 'headstand' }, 'climbTo', 'no exercise is called'],
    [{ targetS: 1800, mustHave: ['footwork'] }, 'mustHave', 'done on the reformer'],
    [{ targetS: 1800, never: ['nothing-such'] }, 'never', 'no exercise is called'],
  ])('that the catalogue can’t fulfil are named: %j', (wishes, field, says) => {
    const [problem] = checkWishes(DraftWishes.parse(wishes), catalogue);
    expect(problem?.path[0]).toBe(field);
    expect(problem?.message).toContain(says);
  });
});

describe('wishes that can’t be had together', () => {
  it.each([
    [{ targetS: 1800, mustHave: ['clam'], never: ['clam'] }, ['Clam as a must', 'no Clam today']],
    [
      { targetS: 1800, mustHave: ['ball-stir'], props: [] },
      ['Stir on the large ball as a must', 'no props'],
    ],
    [
      { targetS: 1800, mustHave: ['side-plank'], effortMost: 1 },
      ['Side plank as a must', 'nothing harder than 1 of 5'],
    ],
  ])('%j: the smallest set of them is named', (wishes, words) => {
    expect(draft(wishes, [])).toEqual({ kind: 'conflict', wishes: words });
  });

  it('names who can’t do what was asked for', () => {
    const cautions = [{ caution: 'recent-surgery' }];
    const all = Person.parse({ id: 'all', name: 'Ola', level: 2, cautions });
    const wishes = { targetS: 3300, machine: 'reformer', mustHave: ['down-stretch'] };
    expect(draft(wishes, [{ person: all }])).toEqual({
      kind: 'conflict',
      wishes: ['Down stretch as a must', 'Ola comes'],
    });
  });

  it('names the time where it is too short', () => {
    const mustHave = ['breath-three-way', 'body-scan', 'arm-raise-ribs', 'knee-fold', 'knee-sway'];
    const result = draft({ targetS: 300, mustHave }, []);
    if (result.kind !== 'conflict') throw new Error(result.kind);
    expect(result.wishes).toContain('5 minutes');
  });
});

describe('a draft that is stopped', () => {
  it('keeps what is ready', () => {
    const context = { catalogue, attendees: [], day: DAY, timing: {} };
    const search = draftPlan(DraftWishes.parse({ targetS: 1800 }), context, solve);
    let step = search.next();
    if (step.done) throw new Error('ended at once');
    expect(step.value.result()).toBeUndefined();
    while (!step.done && step.value.ready === 0) step = search.next();
    if (step.done) throw new Error('ended too soon');
    const kept = step.value.result();
    expect(kept?.kind === 'proposals' && kept.proposals).toHaveLength(1);
  });
});

describe('the next best', () => {
  it('stands in the same place, as long, for the same part, and leaves a valid class', () => {
    const wishes = DraftWishes.parse(HIPS);
    const context = { catalogue, attendees: GROUP, day: DAY, timing: {} };
    const [near] = knownProposals(HIPS);
    if (!near) throw new Error('no proposal');
    const items = exerciseItemsOf(near.plan);
    const item = items[Math.floor(items.length / 2)];
    if (!item) throw new Error('no item');
    const others = nextBest(near.plan, item.id, wishes, context, 3);
    expect(others.length).toBeGreaterThan(0);
    for (const { plan, exercise, why } of others) {
      expect(checkPlan(plan, catalogue)).toEqual([]);
      expect(slugsOf({ ...near, plan })).toContain(exercise.slug);
      expect(exerciseItemsOf(plan)).toHaveLength(items.length);
      expect(slugsOf(near)).not.toContain(exercise.slug);
      expect(why.length).toBeGreaterThan(3);
    }
  });
});

describe('week after week', () => {
  const workOf = (wishes: object) => {
    const [first] = proposalsFor(wishes, []);
    const slugs = (first ? exerciseItemsOf(first.plan) : []).map(({ exercise }) => exercise);
    return [...new Set(slugs)].filter((slug) => {
      const { family } = catalogue.require(slug);
      return family !== 'release' && family !== 'awareness';
    });
  };

  it.each([
    ['mat', 2700, 0.6],
    ['reformer', 3000, 0.75],
  ] as const)('on the %s a class is another one than last week’s', (machine, targetS, most) => {
    const last = workOf({ machine, targetS });
    const next = workOf({ machine, targetS, lately: last });
    const shared = next.filter((slug) => last.includes(slug)).length / next.length;
    expect(next.length).toBeGreaterThan(10);
    expect(shared).toBeLessThanOrEqual(most);
  });
});
