import type { Machine } from '../movement/vocabulary.ts';
import { groupOf } from '../review/group.ts';
import { reviewOrder } from '../review/review.ts';
import type { Rule } from '../review/rule.ts';
import { RULES } from '../review/rules.ts';
import { showClock } from '../plan/show-time.ts';
import type { Plan } from '../plan/plan.ts';
import { halfAlone, type MixedPlan } from '../plan/tracks.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import type { Timeline } from '../plan/timing/timeline.ts';
import { timelineOfBoth, timeTracks } from '../plan/timing/time-tracks.ts';
import { partId } from './block.ts';
import { draftClass, type DraftProgress, type DraftResult, type Proposal } from './draft-class.ts';
import { fitTime } from './fit-time.ts';
import type { DraftContext } from './pool.ts';
import type { Solve } from './solver.ts';
import { machineHalfBlueprint, matHalfBlueprint, TWO_GROUPS } from './two-group-blueprint.ts';
import type { DraftWishes } from './wishes.ts';

/** The halves may differ by so many seconds. */
const EVEN_S = 30;
/** Fewer known exercises than this can fill no half: then everything may stand in it. */
const ENOUGH_KNOWN = 40;
/** What all do together belongs to the half on the mat while it is drafted. */
const TOGETHER: ReadonlySet<string> = new Set([partId('together'), partId('together-again')]);

/** Three classes of two groups: each half drafted as a class of its own, the one on the machines as long as the other. */
export function* draftTwoGroups(
  wishes: DraftWishes,
  context: DraftContext,
  solve: Solve,
): Generator<DraftProgress, DraftResult> {
  const ofWhole = { ...context, wholeS: wishes.targetS };
  const halfS = (wishes.targetS - TWO_GROUPS.changeOver - 2 * TWO_GROUPS.together) / 2;
  const { familiar } = context.timing;
  const known = familiar && familiar.size >= ENOUGH_KNOWN ? familiar : undefined;
  const matS = Math.round(halfS + 2 * TWO_GROUPS.together);
  const mat = yield* draftClass(wishesAt('mat', matS, wishes, context), ofWhole, solve, () =>
    matHalfBlueprint(matS, known),
  );
  if (mat.kind !== 'proposals') return mat;
  const machineWishes = wishesAt('reformer', Math.round(halfS), wishes, context);
  const halfOnly = { ...ofWhole, rules: (context.rules ?? RULES).filter(isOfAHalf) };
  const machine = yield* draftClass(machineWishes, halfOnly, solve, (_wishes, { id }) =>
    machineHalfBlueprint(id),
  );
  if (machine.kind !== 'proposals') return machine;
  return {
    kind: 'proposals',
    proposals: mat.proposals.flatMap((each, index) => {
      const other = machine.proposals[index] ?? machine.proposals.at(-1);
      return other ? [joined(each, other, wishes, context)] : [];
    }),
  };
}

/** What a class holds in all, how it begins and ends, and what leads to what, is asked of both halves together. */
function isOfAHalf({ kind }: Rule): boolean {
  return kind !== 'coverage' && kind !== 'shape' && kind !== 'order';
}

/** What is wished of one half: what is done there. */
function wishesAt(
  machine: Machine,
  targetS: number,
  { climbTo, mustHave, ...wishes }: DraftWishes,
  { catalogue }: DraftContext,
): DraftWishes {
  const isThere = (slug: string) => catalogue.require(slug).machine === machine;
  return {
    ...wishes,
    twoGroups: false,
    machine,
    targetS,
    mustHave: mustHave.filter(isThere),
    ...(climbTo !== undefined && isThere(climbTo) ? { climbTo } : {}),
  };
}

/** Seconds of what the group on the mat does by itself. */
function halfOf({ segments }: Timeline): number {
  return segments
    .filter(({ segmentId }) => !TOGETHER.has(segmentId))
    .reduce((sum, { durationS }) => sum + durationS, 0);
}

function joined(
  mat: Proposal,
  machine: Proposal,
  wishes: DraftWishes,
  context: DraftContext,
): Proposal {
  const { catalogue, timing } = context;
  const drafted = timePlan(mat.plan, catalogue, timing);
  const machinePlan = fitTime({ ...machine.plan, targetS: halfOf(drafted) }, context, EVEN_S);
  // Where the machines can't last as long, the mat ends sooner.
  const overS = halfOf(drafted) - timePlan(machinePlan, catalogue, timing).totalS;
  const matPlan = fitTime({ ...mat.plan, targetS: drafted.totalS - overS }, context, EVEN_S);
  const matS = halfOf(timePlan(matPlan, catalogue, timing));
  const own = matPlan.segments.filter(({ id }) => !TOGETHER.has(id));
  const at = (station: Machine, { id, ...segment }: Plan['segments'][number]) => ({
    ...segment,
    id: `${station}-${id}`,
    station,
  });
  const part = (id: string) => matPlan.segments.filter((segment) => segment.id === partId(id));
  const plan: MixedPlan = {
    ...matPlan,
    title: wishes.title,
    machine: 'reformer',
    targetS: wishes.targetS,
    changeOver: { durationS: TWO_GROUPS.changeOver },
    segments: [
      ...part('together'),
      ...machinePlan.segments.map((segment) => at('reformer', segment)),
      ...own.map((segment) => at('mat', segment)),
      ...part('together-again'),
    ],
    ...bracketsOf(matPlan, machinePlan),
  };
  const timeline = timelineOfBoth(plan, timeTracks(plan, catalogue, timing));
  const group = groupOf(context.attendees, context.day);
  const retime = (of: Plan) => timePlan(of, catalogue, timing);
  const findings = (['reformer', 'mat'] as const).reduce((sum, station) => {
    const half = halfAlone(plan, station);
    return (
      sum + reviewOrder({ ...context, plan: half, timeline: retime(half), retime, group }).length
    );
  }, 0);
  return {
    ...mat,
    plan,
    totalS: timeline.totalS,
    reasons: { ...mat.reasons, ...machine.reasons },
    character: `Two groups, ${showClock(matS)} at each place. On the mat: ${mat.character} On the machines: ${machine.character}`,
    findings,
  };
}

function bracketsOf(...plans: readonly Plan[]): Pick<Plan, 'brackets'> {
  const brackets = plans.flatMap(({ brackets: own = [] }) => own);
  return brackets.length > 0 ? { brackets } : {};
}
