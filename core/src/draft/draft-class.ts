import { listWords, POSITION_WORDS } from '../movement/words.ts';
import { groupOf, type Group } from '../review/group.ts';
import { reviewOrder } from '../review/review.ts';
import { exerciseItemsOf, type Plan } from '../plan/plan.ts';
import { showClock } from '../plan/show-time.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import type { Blueprint } from './block.ts';
import { blueprintFor, climbing, placeIn, type PlacedChoice } from './blueprint.ts';
import { buildClass, TOLERANCE_S, type Chosen } from './build-class.ts';
import { CHARACTERS, type Character } from './characters.ts';
import { variableOf } from './program/choice-rows.ts';
import { classProgram } from './program/class-program.ts';
import { secondTimeOf } from './program/round-rows.ts';
import type { Criterion } from './criteria/drafted.ts';
import { criteriaOf } from './draft-criteria.ts';
import { poolOf, type Choice, type DraftContext } from './pool.ts';
import { smallestConflict } from './smallest-conflict.ts';
import type { Solve } from './solver.ts';
import { NO_RUNGS, rungsTo, type Rungs } from './rungs.ts';
import { whyChosen } from './why-chosen.ts';
import { wishList, type Wish } from './wish-list.ts';
import { isAskedFor, type DraftWishes } from './wishes.ts';

export interface Proposal {
  id: Character['id'];
  name: string;
  plan: Plan;
  totalS: number;
  /** Why each item is there, by item id. */
  reasons: Record<string, string>;
  /** What sets it apart, in a sentence or two. */
  character: string;
  /** How many findings of order are left in it. */
  findings: number;
}

export type DraftResult =
  | { kind: 'proposals'; proposals: Proposal[] }
  /** The smallest set of wishes that can't be had together, in words. */
  | { kind: 'conflict'; wishes: string[] }
  /** No class was found in the time that was given to the search, and none was shown to be impossible. */
  | { kind: 'not-found' };

export interface DraftProgress {
  phase: 'measuring the exercises' | 'choosing' | 'ordering' | 'looking for what is in the way';
  /** How many of the proposals are ready. */
  ready: number;
  of: number;
  /** What is ready, should the search be stopped here; undefined while nothing is. */
  result: () => DraftResult | undefined;
}

/** Limits for one program: to choose a class, and only to see whether there is one. */
/** The branches end a choice, not the clock: the same seed gives the same class on any machine. */
const CHOOSE = { seconds: 30, gap: 0.06, nodes: 60 } as const;
/** Where there is less to choose from, the best is found sooner. */
const CHOOSE_OF_FEW = { seconds: 30, gap: 0.02, nodes: 300 } as const;
const FEW = 100;
const LOOK = { seconds: 2, gap: 10 } as const;
/** How often a choice is made again after its length was measured in its order. */
const TRIES = 3;

/** A character that only asks whether there is a class at all. */
const ANY: Character = {
  id: 'near',
  name: '',
  cost: () => 0,
  doseCost: 0,
  propCost: 0,
};

/** Three classes built as `blueprintOf` says, in which all do the same. */
export function* draftClass(
  wishes: DraftWishes,
  context: DraftContext,
  solve: Solve,
  blueprintOf: (
    wishes: DraftWishes,
    character: Character,
    pool: readonly Choice[],
  ) => Blueprint = blueprintFor,
): Generator<DraftProgress, DraftResult> {
  const proposals: Proposal[] = [];
  const finish = (): DraftResult => ({
    kind: 'proposals',
    proposals: proposals.map((each) => describe(each, proposals, wishes, context)),
  });
  const progress = (phase: DraftProgress['phase']): DraftProgress => ({
    phase,
    ready: proposals.length,
    of: CHARACTERS.length,
    result: () => (proposals.length > 0 ? finish() : undefined),
  });
  yield progress('measuring the exercises');
  const group = groupOf(context.attendees, context.day);
  const choices = poolOf(wishes, context);
  const list = wishList(wishes, choices, context.catalogue);
  const isWished = wishedFor(wishes, context);
  const missed = (plan: Plan) => missedOf(plan, wishes, context);
  for (const character of CHARACTERS) {
    yield progress('choosing');
    const earlier = proposals.map(({ plan }) =>
      exerciseItemsOf(plan).map(({ exercise }) => exercise),
    );
    const built = climbing(blueprintOf(wishes, character, choices), wishes, choices);
    const pool = placeIn(built, choices, isWished);
    const input = { wishes, context, solve, group, pool, list, character, earlier, missed };
    const made = propose({ ...input, blueprint: built });
    if (!made && proposals.length === 0) {
      yield progress('looking for what is in the way');
      return inTheWay({ wishes, context, solve, group, pool, list, blueprint: built });
    }
    if (made) proposals.push(made);
    yield progress('ordering');
  }
  return finish();
}

/** What stands in a class wherever it fits: what is asked for, what the class climbs to and the rungs to it. */
function wishedFor(wishes: DraftWishes, { catalogue }: DraftContext): (slug: string) => boolean {
  const { isRung } = rungsFor(wishes, catalogue);
  return (slug) => isAskedFor(slug, wishes) || isRung(slug);
}

function rungsFor(
  { climbTo }: Pick<DraftWishes, 'climbTo'>,
  catalogue: DraftContext['catalogue'],
): Rungs {
  return climbTo === undefined ? NO_RUNGS : rungsTo(climbTo, catalogue);
}

/** A half of two groups is held against what halves must be, by who drafts both. */
function missedOf(plan: Plan, wishes: DraftWishes, { catalogue, timing, wholeS }: DraftContext) {
  if (wholeS !== undefined) return [];
  return criteriaOf(plan, wishes, catalogue, timing).filter(({ isMet }) => !isMet);
}

interface ProposeInput {
  wishes: DraftWishes;
  context: DraftContext;
  solve: Solve;
  group: Group;
  pool: readonly PlacedChoice[];
  blueprint: Blueprint;
  list: readonly Wish[];
  character: Character;
  earlier: readonly (readonly string[])[];
  isOfFew?: boolean;
  /** What a plan is not that it must be. */
  missed: (plan: Plan) => Criterion[];
}

/** How often a class that is not yet what a draft must be is chosen again without what was in the way. */
const AGAIN = 6;

/**
 * Chooses, orders and measures; what comes out too short or long is chosen again with that known, and what is not what a
 * draft must be without what was in the way. The best of all is proposed.
 */
function propose(input: ProposeInput): Proposal | undefined {
  const { wishes, context, group, character } = input;
  const retime = (plan: Plan) => timePlan(plan, context.catalogue, context.timing);
  const notAgain: string[][] = [];
  let best: { plan: Plan; misses: number } | undefined;
  for (let turn = 0; turn <= AGAIN; turn += 1) {
    const plan =
      ofItsLength(input, notAgain) ?? (best ? undefined : ofItsLength(ofFew(input), notAgain));
    if (!plan) break;
    const missed = input.missed(plan);
    if (!best || missed.length < best.misses) best = { plan, misses: missed.length };
    const leftOut = notAgain.length;
    for (const { by } of missed) {
      const others = by.filter((slug) => !isAskedFor(slug, wishes));
      // What its block is for is not left out altogether.
      const [only] = others.length === 1 ? others : [];
      if (others.length > 0 && !(only && isHeld(only, notAgain, input))) notAgain.push(others);
    }
    if (notAgain.length === leftOut) break;
  }
  if (!best) return undefined;
  const timeline = retime(best.plan);
  return {
    id: character.id,
    name: character.name,
    plan: best.plan,
    totalS: timeline.totalS,
    reasons: whyChosen(best.plan, wishes, context, group),
    character: '',
    findings: reviewOrder({ ...context, plan: best.plan, timeline, retime, group }).length,
  };
}

/** A class that shares more with those before, or lacks something that a block is for, is better than none. */
const ofFew = (input: ProposeInput): ProposeInput => ({ ...input, isOfFew: true });

/** Nothing else that can still be chosen is what its block is for. */
function isHeld(
  slug: string,
  notAgain: readonly string[][],
  { pool, blueprint }: ProposeInput,
): boolean {
  const leftOut = new Set(notAgain.flatMap((slugs) => (slugs.length === 1 ? slugs : [])));
  return blueprint.blocks.some(({ id, holds = [] }) =>
    holds.some((test) => {
      const able = pool.filter(
        (choice) => choice.block === id && !leftOut.has(choice.exercise.slug) && test(choice),
      );
      return able.length > 0 && able.every(({ exercise }) => exercise.slug === slug);
    }),
  );
}

/** Chosen again and again until its length is right, without those that do not go together. */
function ofItsLength(input: ProposeInput, notAgain: readonly string[][]): Plan | undefined {
  const { wishes, context, group } = input;
  let correctionS = 0;
  let best: Plan | undefined;
  let bestOff = Infinity;
  for (let turn = 0; turn < TRIES; turn += 1) {
    const chosen = choose(input, correctionS, notAgain);
    if (!chosen) break;
    const plan = buildClass(chosen, input.blueprint, wishes, context, group);
    const { overS } = timePlan(plan, context.catalogue, context.timing);
    if (Math.abs(overS) < bestOff) [best, bestOff] = [plan, Math.abs(overS)];
    if (bestOff <= TOLERANCE_S) break;
    correctionS -= overS;
  }
  return best;
}

function choose(
  input: ProposeInput,
  correctionS: number,
  notAgain: readonly string[][],
): Chosen[] | undefined {
  const { pool, solve } = input;
  const solution = solve(
    classProgram({
      ...input,
      ...rulesIn(input.context),
      rungs: rungsFor(input.wishes, input.context.catalogue),
      correctionS,
      notAgain,
    }),
    pool.length < FEW ? CHOOSE_OF_FEW : CHOOSE,
  );
  if (solution.kind !== 'found') return undefined;
  return pool.flatMap((choice, index) =>
    solution.value(variableOf(index)) > 0.5
      ? [
          {
            choice,
            extraS: solution.value(`more${index}`) - solution.value(`less${index}`),
            isTwice: solution.value(secondTimeOf(index)) > 0.5,
          },
        ]
      : [],
  );
}

function rulesIn({ rules }: DraftContext): Pick<DraftContext, 'rules'> {
  return rules ? { rules } : {};
}

function inTheWay({
  wishes,
  context,
  solve,
  group,
  pool,
  blueprint,
  list,
}: Omit<ProposeInput, 'character' | 'earlier' | 'missed'>): DraftResult {
  const isPossible = (some: readonly Wish[]) => {
    const program = classProgram({
      pool,
      blueprint,
      rungs: rungsFor(wishes, context.catalogue),
      wishes,
      group,
      list: some,
      ...rulesIn(context),
      character: ANY,
      correctionS: 0,
      earlier: [],
      isOfFew: true,
    });
    return solve(program, LOOK).kind !== 'none';
  };
  const conflict = smallestConflict(list, isPossible);
  return conflict
    ? { kind: 'conflict', wishes: conflict.map(({ words }) => words) }
    : { kind: 'not-found' };
}

/** What sets a proposal apart from the others: what only it has, its changes, what is new in it. */
function describe(
  proposal: Proposal,
  all: readonly Proposal[],
  wishes: DraftWishes,
  { catalogue, timing }: DraftContext,
): Proposal {
  const slugsOf = ({ plan }: Proposal) => exerciseItemsOf(plan).map(({ exercise }) => exercise);
  const own = slugsOf(proposal);
  const elsewhere = new Set(all.filter((each) => each !== proposal).flatMap(slugsOf));
  const only = own.filter((slug) => !elsewhere.has(slug));
  const lately = own.filter((slug) => wishes.lately.includes(slug)).length;
  const timeline = timePlan(proposal.plan, catalogue, timing);
  const positions = timeline.items.flatMap(({ position }) => (position ? [position] : []));
  const changes = positions.filter(
    (position, at) => at > 0 && position !== positions[at - 1],
  ).length;
  const most = mostOf(positions);
  const names = only
    .map((slug) => catalogue.require(slug))
    .filter(({ family }) => family !== 'release')
    .slice(0, 3)
    .map(({ name }) => name);
  const sentences = [
    `${own.length} exercises in ${showClock(timeline.totalS)}, ${changes} changes of position${most ? `, most of it ${POSITION_WORDS[most]}` : ''}.`,
    names.length > 0 ? `Only here: ${listWords(names)}.` : '',
    wishes.lately.length > 0 ? `${lately} of them came in the last weeks.` : '',
  ];
  return { ...proposal, character: sentences.filter(Boolean).join(' ') };
}

function mostOf<T>(list: readonly T[]): T | undefined {
  const counts = new Map<T, number>();
  for (const each of list) counts.set(each, (counts.get(each) ?? 0) + 1);
  return [...counts].sort(([, a], [, b]) => b - a)[0]?.[0];
}
