import { draftPlan, type Proposal } from '@wrenfern/core/draft/draft-plan';
import { analyse } from '@wrenfern/core/analyse';
import { criteriaOf } from '@wrenfern/core/draft/draft-criteria';
import { criterion, type Criterion } from '@wrenfern/core/draft/criteria/drafted';
import { loadSolver } from '@wrenfern/core/draft/solver';
import { DraftWishes } from '@wrenfern/core/draft/wishes';
import { Person } from '@wrenfern/core/people/person';
import { describeItemDose } from '@wrenfern/core/plan/variants';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { showClock } from '@wrenfern/core/plan/show-time';
import { exerciseItemsOf, itemsOf } from '@wrenfern/core/plan/plan';
import { isWork } from '@wrenfern/core/review/draft-rows';
import { timePlan } from '@wrenfern/core/plan/timing/time-plan';
import { builtInCatalogue } from '@wrenfern/library';

/** Forty wishes as teachers have them, drafted and held against what a draft must be; `--read N` prints one whole. */
const MAT = [30, 45, 55].flatMap((minutes) =>
  ['foundations-first', 'graded-load', 'timed-sets', 'classic'].map((school) => ({
    name: `mat ${minutes} ${school}`,
    wishes: { targetS: minutes * 60, school },
  })),
);
const REFORMER = [50, 55].flatMap((minutes) =>
  [1, 2, 4].map((level) => ({
    name: `reformer ${minutes} level ${level}`,
    level,
    wishes: { targetS: minutes * 60, machine: 'reformer' },
  })),
);
const THEMES = [
  { bodyParts: ['hip-outside'] },
  { bodyParts: ['trunk-back'] },
  { bodyParts: ['shoulders'] },
  { foundations: ['articulate'] },
  { foundations: ['balance'] },
  { directions: ['turn-right'] },
].flatMap((theme) =>
  [30, 45].map((minutes) => ({
    name: `mat ${minutes} ${JSON.stringify(theme)}`,
    wishes: { targetS: minutes * 60, ...theme },
  })),
);
const CLIMBS = [
  ['mat', 'teaser'],
  ['mat', 'side-leg-circle'],
  ['mat', 'leg-pull-front'],
  ['mat', 'swan-dive'],
  ['reformer', 'long-stretch'],
  ['reformer', 'short-box-side'],
  ['reformer', 'short-spine'],
].map(([machine, climbTo]) => ({
  name: `climb to ${climbTo}`,
  wishes: { targetS: machine === 'mat' ? 2700 : 3000, machine, climbTo },
}));
const OTHERS = [
  { name: 'mat 45 no props', wishes: { targetS: 2700, props: [] } },
  { name: 'mat 45 effort 2', wishes: { targetS: 2700, effortMost: 2 } },
  { name: 'mat 20', wishes: { targetS: 1200 } },
  { name: 'reformer 30', wishes: { targetS: 1800, machine: 'reformer' } },
  { name: 'two groups 55', wishes: { targetS: 3300, twoGroups: true } },
  {
    name: 'two groups 50 graded-load',
    wishes: { targetS: 3000, twoGroups: true, school: 'graded-load' },
  },
];
const ALL: { name: string; level?: number; wishes: object }[] = [
  ...MAT,
  ...REFORMER,
  ...THEMES,
  ...CLIMBS,
  ...OTHERS,
];

const MIXED = ['rounding-out', 'osteoporosis', 'wrist', undefined, undefined, undefined] as const;
const groupOf = (level = 2) =>
  MIXED.map((caution, index) => ({
    person: Person.parse({
      id: `p${index}`,
      name: `Person ${index}`,
      level: Math.max(1, Math.min(4, level + (index % 3) - 1)),
      cautions: caution ? [{ caution }] : [],
    }),
  }));

const solve = await loadSolver();
const read = process.argv.includes('--read')
  ? process.argv.slice(process.argv.indexOf('--read') + 1).map(Number)
  : [];

function print({ plan, name, reasons }: Proposal): void {
  const timeline = timePlan(plan, builtInCatalogue);
  console.log(`  -- ${name}, ${showClock(timeline.totalS)}`);
  const items = new Map(itemsOf(plan).map((item) => [item.id, item]));
  for (const segment of timeline.segments) {
    console.log(`  ${segment.name} ${showClock(segment.durationS)}`);
    for (const timed of segment.items) {
      const item = items.get(timed.itemId);
      const exercise = builtInCatalogue.get(timed.exercise ?? '');
      const dose =
        item?.kind === 'exercise' && exercise
          ? describeItemDose(item, exercise, rulesOf(plan.school))
          : '';
      const pass = timed.pass ? ` (${timed.pass.side ?? timed.pass.number})` : '';
      console.log(
        `    ${showClock(timed.startS)} ${timed.name}${pass} · ${dose} · e${timed.effort} · ${timed.durationS}s · ${(timed.pass?.number ?? 1) > 1 ? '' : (reasons[timed.itemId] ?? '')}`,
      );
    }
  }
}

/** What a class of two groups must be: its length, and what the review says of its halves. */
function twoGroupCriteria({ plan, totalS }: Proposal): Criterion[] {
  const off = Math.abs(totalS - plan.targetS);
  const { findings } = analyse(plan, builtInCatalogue, {
    attendees: [],
    cupboard: {},
    day: '2026-11-29',
  });
  const rules = ['halves-equal', 'half-size', 'half-gear', 'at-its-place', 'few-words'];
  return [
    criterion('length', off <= 0.05 * plan.targetS, `${off} s off`),
    ...rules.map((id) => {
      const found = findings.filter(({ rule }) => rule === id).map(({ sentence }) => sentence);
      return criterion(id, found.length === 0, found.join(' '));
    }),
  ];
}

/** Work is what three drafts may share only a part of: 60 % on the mat, 70 % on the machine. Common practice. */
function sharedAtMost(proposals: readonly Proposal[]): number {
  const works = proposals.map(({ plan }) =>
    exerciseItemsOf(plan).filter((item) =>
      isWork({ exercise: builtInCatalogue.require(item.exercise) }),
    ),
  );
  const shares = works.flatMap((one, at) =>
    works.slice(at + 1).map((other) => {
      const again = new Set(one.map(({ exercise }) => exercise));
      return other.filter(({ exercise }) => again.has(exercise)).length / Math.max(1, other.length);
    }),
  );
  return Math.max(0, ...shares);
}

let [met, of, told] = [0, 0, 0];
const standsIn = new Map<string, number>();
let drafts = 0;
for (const [index, { name, level, wishes }] of ALL.entries()) {
  if (read.length > 0 && !read.includes(index)) continue;
  const parsed = DraftWishes.parse(wishes);
  const context = {
    catalogue: builtInCatalogue,
    attendees: groupOf(level),
    day: '2026-11-29',
    timing: {},
  };
  const search = draftPlan(parsed, context, solve);
  const startedAt = performance.now();
  let step = search.next();
  while (!step.done) step = search.next();
  const tookS = (performance.now() - startedAt) / 1000;
  const result = step.value;
  if (result.kind !== 'proposals') {
    console.log(`${index} ${name}: ${JSON.stringify(result)}`);
    of += 30;
    continue;
  }
  const lines = result.proposals.map((proposal) => {
    const criteria = parsed.twoGroups
      ? twoGroupCriteria(proposal)
      : criteriaOf(proposal.plan, parsed, builtInCatalogue);
    const missed = criteria.filter(({ isMet }) => !isMet);
    met += criteria.length - missed.length;
    of += criteria.length;
    return missed.map(({ id, found }) => `${id}: ${found}`).join('; ') || 'all';
  });
  const found = result.proposals.map(({ findings }) => findings);
  told += found.reduce((sum, each) => sum + each, 0);
  for (const { plan } of result.proposals) {
    drafts += 1;
    for (const slug of new Set(exerciseItemsOf(plan).map(({ exercise }) => exercise))) {
      standsIn.set(slug, (standsIn.get(slug) ?? 0) + 1);
    }
  }
  const shared = Math.round(100 * sharedAtMost(result.proposals));
  console.log(
    `${index} ${name} (${tookS.toFixed(1)} s, findings ${found.join(' ')}, shared ${shared} %)\n   ${lines.join('\n   ')}`,
  );
  if (read.length > 0) result.proposals.forEach(print);
}
console.log(`criteria met: ${met} of ${of}; findings left: ${told} in ${drafts} drafts`);
const often = [...standsIn].toSorted(([, a], [, b]) => b - a).slice(0, 12);
console.log(
  `most often: ${often.map(([slug, many]) => `${slug} ${Math.round((100 * many) / drafts)} %`).join(', ')}; ${standsIn.size} exercises in all`,
);
