import highsLoader from 'highs';
import { groupOf } from '@wrenfern/core/review/group';
import { reviewOrder } from '@wrenfern/core/review/review';
import { ruleContext } from '@wrenfern/core/review/rule-context';
import { searchSubsets } from '@wrenfern/core/search/exact';
import { orderPlan } from '@wrenfern/core/search/order-plan';
import { draftPlan } from '@wrenfern/core/draft/draft-plan';
import { loadSolver } from '@wrenfern/core/draft/solver';
import { DraftWishes } from '@wrenfern/core/draft/wishes';
import { Person } from '@wrenfern/core/people/person';
import { Plan } from '@wrenfern/core/plan/plan';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { orderProgram } from '@wrenfern/core/testing/order-program';
import { problemOf, randomClass } from '@wrenfern/core/testing/random-order-problem';
import { builtInCatalogue } from '@wrenfern/library';
import { report, summarise } from './report.ts';

/** The middle of a class, to be taken from the front: what a teacher might put there. */
const MIDDLE = [
  'toe-tap',
  'inner-thigh-squeeze',
  'bridge-roll',
  'chest-lift',
  'single-leg-stretch',
  'dead-bug',
  'criss-cross',
  'knees-to-chest',
  'supine-rotation',
  'clam',
  'side-leg-lift',
  'side-leg-circle',
  'abdominal-draw',
  'cat-cow',
  'bird-dog',
  'plank',
  'shell-stretch',
  'breaststroke-prep',
  'swan-prep',
  'spine-twist',
  'half-roll-back',
  'roll-up',
  'side-plank',
  'saw',
  'mermaid',
  'teaser',
  'rolling-ball',
  'swimming',
  'side-kick',
  'spine-stretch',
  'thread-needle',
  'hundred',
  'bear-hover',
  'arm-opening',
];

function planOf(free: number): Plan {
  const part = (id: string, slugs: readonly string[]) => ({
    id,
    name: id,
    items: slugs.map((exercise) => ({ kind: 'exercise', id: exercise, exercise })),
  });
  return Plan.parse({
    format: 'wrenfern-plan/2',
    title: 'Bench',
    targetS: 3300,
    segments: [
      part('arrive', ['breath-three-way', 'pelvic-tilt']),
      part('build', MIDDLE.slice(0, free)),
      part('release', ['hamstring-strap', 'figure-four', 'final-rest', 'return-to-sitting']),
    ],
  });
}

function timed<T>(call: () => T): [T, number] {
  const before = performance.now();
  const value = call();
  return [value, performance.now() - before];
}

const say = (line: string) => process.stdout.write(`${line}\n`);
const CAUTIONS = [[], ['wrist'], ['rounding-out'], ['osteoporosis', 'knee'], []];
const attendees = Array.from({ length: 16 }, (_, index) => ({
  person: Person.parse({
    id: `person-${index}`,
    name: `Person ${index}`,
    level: 1 + (index % 4),
    cautions: (CAUTIONS[index % CAUTIONS.length] ?? []).map((caution) => ({ caution })),
  }),
}));
const DAY = '2026-11-26';
const group = groupOf(attendees, DAY);

const whole = planOf(29);
const retime = (plan: Plan) => timePlan(plan, builtInCatalogue);
const timeline = retime(whole);
const input = { plan: whole, catalogue: builtInCatalogue, timeline, retime, group };
for (let warm = 0; warm < 100; warm += 1) reviewOrder(input, ruleContext(input));
report(
  `review of ${timeline.items.length} items, 16 people`,
  summarise(Array.from({ length: 300 }, () => timed(() => reviewOrder(input))[1])),
  'wanted: under 3 ms',
);

say('\nOrder, parts kept; the time is that of the whole call, the first one from cold:');
for (const free of [12, 16, 20, 24, 34]) {
  const plan = planOf(free);
  const order = () => orderPlan({ plan, catalogue: builtInCatalogue, timing: {}, group });
  const [result, coldMs] = timed(order);
  const [, warmMs] = timed(order);
  say(
    `  ${free} free items: ${result.status}, gap ${(result.gap * 100).toFixed(1)} %, cost ${result.nowS.toFixed(0)} to ${result.bestS.toFixed(0)}, ${result.states} states, ${coldMs.toFixed(0)} ms, again ${warmMs.toFixed(0)} ms`,
  );
}

say('\nThe same costs as an integer program (HiGHS), random classes of one part:');
const highs = await highsLoader();
for (const [count, seed] of [
  [8, 311],
  [10, 515],
  [12, 601],
] as const) {
  const problem = problemOf(randomClass(seed, count, 1, 0));
  const [found, exactMs] = timed(() => {
    const search = searchSubsets(problem, { known: Infinity, mostStates: 5_000_000 });
    let step = search.next();
    while (!step.done) step = search.next();
    return step.value.kind === 'best' ? step.value.order.costS : Number.NaN;
  });
  const [solution, highsMs] = timed(() =>
    highs.solve(orderProgram(problem), { mip_rel_gap: 0, time_limit: 120 }),
  );
  say(
    `  ${count} items: subsets ${found.toFixed(3)} in ${exactMs.toFixed(1)} ms; HiGHS ${solution.ObjectiveValue.toFixed(3)} (${solution.Status}) in ${highsMs.toFixed(0)} ms`,
  );
}

say('\nDraft, three proposals, 16 people:');
const solve = await loadSolver();
for (const wishes of [
  { targetS: 3300 },
  { targetS: 3300, bodyParts: ['hip-outside'], mustHave: ['clam'] },
  { targetS: 1800, school: 'timed-sets' },
]) {
  const draft = () => {
    const context = { catalogue: builtInCatalogue, attendees, day: DAY, timing: {} };
    const search = draftPlan(DraftWishes.parse(wishes), context, solve);
    let step = search.next();
    while (!step.done) step = search.next();
    return step.value;
  };
  const [result, coldMs] = timed(draft);
  const [, warmMs] = timed(draft);
  const lengths =
    result.kind === 'proposals'
      ? result.proposals.map(({ totalS }) => totalS - wishes.targetS).join(', ')
      : result.kind;
  say(
    `  ${JSON.stringify(wishes)}: off by ${lengths} s, ${coldMs.toFixed(0)} ms, again ${warmMs.toFixed(0)} ms (wanted: under 3000 ms)`,
  );
}
