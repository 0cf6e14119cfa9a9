import { isMixed } from '../plan/tracks.ts';
import { listWords } from '../movement/words.ts';
import type { Edit } from '../plan/edits.ts';
import { applyEdit } from '../plan/apply-edit.ts';
import type { Plan } from '../plan/plan.ts';
import { COST_IDS, type CostId } from '../plan/school.ts';
import { teachesAwareness } from '../movement/exercise.ts';
import { together } from '../review/repairs.ts';
import { kindOfClass, speaksIn } from '../review/class-kind.ts';
import type { RuleContext } from '../review/rule.ts';
import { lowerBound } from './bound.ts';
import { buildProblem } from './build-problem.ts';
import type { OrderLocks } from './lay-out-units.ts';
import { searchSubsets } from './exact.ts';
import { forgivenIn, NOTHING_FORGIVEN, type Forgiven } from './forgiven.ts';
import { improve, keepingConstraints } from './improve.ts';
import { movesBetween, reorder, type Move } from './moves.ts';
import { contextOf, isNoWorse, toldOf, type OrderInput } from './order-input.ts';
import { nearToday, stepsBack } from './near-today.ts';
import type { OrderProblem, ScoredOrder } from './problem.ts';
import { scoreOrder, type OrderScore } from './score-order.ts';
import { entryOf } from './entry.ts';

/** What is to be put in order, what must stay, and how long it is looked for. */
export interface SearchInput extends OrderInput {
  locks?: Partial<OrderLocks>;
  /** Nobody chose the order of today: nothing in it is on purpose, and no move is too small. */
  isUnordered?: true;
  /** The same seed gives the same result. */
  seed?: number;
  effort?: Partial<SearchEffort>;
}

export interface SearchEffort {
  /** Orders scored to have something good before the exact search begins, and when it gives up. */
  firstEvaluations: number;
  furtherEvaluations: number;
  /** Sets with a last unit that the exact search may keep. */
  mostStates: number;
}

const USUAL_EFFORT: SearchEffort = {
  firstEvaluations: 6_000,
  furtherEvaluations: 120_000,
  mostStates: 3_000_000,
};

const NO_LOCKS: OrderLocks = { pinned: new Set(), joined: new Set(), partsStay: true };

/** Gains smaller than this, in seconds-equivalent, are not worth a move. */
const WORTH_S = 0.5;
/** What a row has to gain before anybody moves it. Common practice. */
const WORTH_A_MOVE_S = 8;
/** A lesson goes its own way: shown, in parts, whole. */
const WORTH_IN_LESSON_S = 60;
/** Costs are seconds: what is nearer than this to the bound is best. */
const TO_THE_SECOND_S = 1;

export interface OrderProgress {
  phase: 'a good start' | 'every order that can matter' | 'looking further';
  /** The best so far, in seconds-equivalent, and what today's order costs. */
  bestS: number;
  nowS: number;
  states: number;
  /** The best order so far, should the search be stopped here. */
  result: () => OrderResult;
}

export interface OrderMove {
  itemIds: string[];
  /** In words: what is moved behind what. */
  label: string;
  /** The move by itself, from today's order. */
  edit: Edit;
  /** What it gains by itself, in seconds-equivalent; negative when it pays only with the others. */
  gainS: number;
  /** How many broken constraints it mends. */
  mends: number;
  /** What that gain is made of, largest first. */
  gains: { cost: CostId; seconds: number }[];
}

export interface OrderResult {
  status: 'proved best' | 'within';
  /** How far the best that was found can be from the optimum at most, as a share of its cost; 0 when proved. */
  gap: number;
  /** What the proposal leaves of it: moves that gain less than they are worth, or that the review would speak against. */
  leftS: number;
  lowerBoundS: number;
  nowS: number;
  /** How many constraints today's order breaks: rules that must hold and could. */
  brokenNow: number;
  bestS: number;
  now: Record<CostId, number>;
  best: Record<CostId, number>;
  /** The whole plan in the best order found. */
  plan: Plan;
  /** All moves at once; undefined when there is nothing to gain. */
  edit: Edit | undefined;
  moves: OrderMove[];
  states: number;
  seed: number;
}

/**
 * The best running order that can be found: a good start by local search, then every set of items that
 * can matter; where these are too many, further local search beside a lower bound. Yields progress.
 */
export function* searchOrder(input: SearchInput): Generator<OrderProgress, OrderResult> {
  const bound = yield* searchWith(input, true);
  // Locks can leave no order that keeps every rule; then the rules only cost.
  return bound ?? (yield* searchWith(input, false)) ?? nothingFound();
}

function nothingFound(): never {
  throw new Error('an order without constraints is always possible');
}

function problemOf(input: SearchInput, plan: Plan, rulesBind: boolean): OrderProblem {
  const context = contextOf(input, plan);
  // What has nothing to say of a lesson does not put one in order either.
  const heard = context.rules.filter(({ rule }) => speaksIn(rule, context.kind));
  const locks = { ...NO_LOCKS, ...input.locks, rulesBind };
  const pinned = new Set([...locks.pinned, ...(input.isUnordered ? [] : softEnds(context))]);
  // What is done at one place can't go to the other.
  const stays = locks.partsStay || isMixed(plan);
  const forgiven = forgivenOf(
    input,
    plan === input.plan ? { ...context, rules: heard } : undefined,
  );
  return buildProblem(
    { ...context, rules: heard },
    { ...locks, pinned, partsStay: stays },
    forgiven,
    input.timing.gearSeconds,
  );
}

/** Effort up to which something arrives or closes. */
const SOFT = 2;

/** The class begins and ends as it is meant to: nothing soft at its ends goes anywhere else. */
function softEnds({ worked }: RuleContext): string[] {
  const [first, last] = [worked[0], worked.at(-1)];
  if (!first || !last || worked.length < 3) return [];
  const ends = [...(teachesAwareness(first.exercise) ? [first] : []), last];
  return ends.filter(({ timed }) => timed.effort <= SOFT).map(({ item }) => item.id);
}

/** Worked out once, in the order of today: what is moved by a proposal is measured by the same. */
const FORGIVEN = new WeakMap<SearchInput, Forgiven>();

function forgivenOf(input: SearchInput, today: RuleContext | undefined): Forgiven {
  if (input.isUnordered) return NOTHING_FORGIVEN;
  const known = FORGIVEN.get(input);
  if (known) return known;
  if (!today) throw new Error('what is forgiven is worked out for the order of today first');
  const forgiven = forgivenIn(today);
  FORGIVEN.set(input, forgiven);
  return forgiven;
}

/** Undefined where no order keeps every constraint. */
function* searchWith(
  input: SearchInput,
  rulesBind: boolean,
): Generator<OrderProgress, OrderResult | undefined> {
  const seed = input.seed ?? 1;
  const effort = { ...USUAL_EFFORT, ...input.effort };
  const problem = problemOf(input, input.plan, rulesBind);
  const today = problem.stretches.flat();
  const now = scoreOrder(problem, today);
  let states = 0;
  let best: ScoredOrder = { units: today, costS: now.breaks > 0 ? Infinity : now.costS };
  const progress = (phase: OrderProgress['phase']): OrderProgress => {
    const found = best;
    const reached = states;
    return {
      phase,
      bestS: Math.min(best.costS, now.costS),
      nowS: now.costS,
      states,
      result: () => {
        const bound = lowerBound(problem);
        return conclude(input, problem, now, found, { bound, states: reached, seed, rulesBind });
      },
    };
  };

  const start = now.breaks > 0 ? keepingConstraints(problem, today) : today;
  for (const step of improve(problem, start, { seed, evaluations: effort.firstEvaluations })) {
    best = better(problem, best, step.best);
    yield progress('a good start');
  }
  const search = searchSubsets(problem, { known: best.costS, mostStates: effort.mostStates });
  let step = search.next();
  while (!step.done) {
    states = step.value;
    yield progress('every order that can matter');
    step = search.next();
  }
  const exact = step.value;
  states = exact.states;
  if (exact.kind !== 'too-many') {
    if (exact.kind === 'best') best = exact.order;
    if (!Number.isFinite(best.costS)) return undefined;
    return conclude(input, problem, now, best, { bound: best.costS, states, seed, rulesBind });
  }
  for (const more of improve(problem, best.units, {
    seed: seed + 1,
    evaluations: effort.furtherEvaluations,
  })) {
    best = better(problem, best, more.best);
    yield progress('looking further');
  }
  const bound = Math.max(exact.bound, lowerBound(problem));
  return conclude(input, problem, now, best, { bound, states, seed, rulesBind });
}

/** The search run to its end. */
export function orderPlan(input: SearchInput): OrderResult {
  const search = searchOrder(input);
  let step = search.next();
  while (!step.done) step = search.next();
  return step.value;
}

/** Takes a found order only when it keeps every constraint. */
function better(problem: OrderProblem, best: ScoredOrder, found: ScoredOrder): ScoredOrder {
  if (found.costS >= best.costS) return best;
  return scoreOrder(problem, found.units).breaks > 0 ? best : found;
}

interface SearchEnd {
  bound: number;
  states: number;
  seed: number;
  rulesBind: boolean;
}

function conclude(
  input: SearchInput,
  problem: OrderProblem,
  now: OrderScore,
  found: ScoredOrder,
  { bound, states, seed, rulesBind }: SearchEnd,
): OrderResult {
  const { plan } = input;
  const worthS = worthOf(input);
  const isBetter = found.costS < now.costS - worthS || now.breaks > 0;
  const today = problem.stretches.flat();
  const nearer =
    isBetter && Number.isFinite(found.costS)
      ? withoutNewFindings(input, problem, nearToday(problem, found, today, worthS))
      : today;
  // Step by step back to today little is given up each time, and at last there may be nothing left that is gained.
  const after = scoreOrder(problem, nearer);
  const isWorthIt =
    input.isUnordered || after.breaks < now.breaks || after.costS < now.costS - worthS;
  const units = isWorthIt ? nearer : today;
  const best = scoreOrder(problem, units);
  const target = isBetter && isWorthIt ? reorder(plan, idsInOrder(plan, problem, units)) : plan;
  const moves = movesBetween(plan, target, input.locks?.pinned);
  const foundS = Math.min(found.costS, best.costS);
  const missing = Math.max(0, foundS - bound);
  const gap = missing < TO_THE_SECOND_S ? 0 : missing / Math.max(1, foundS);
  return {
    status: gap === 0 ? 'proved best' : 'within',
    gap,
    leftS: best.costS - foundS,
    lowerBoundS: Math.min(bound, best.costS),
    nowS: now.costS,
    brokenNow: now.breaks,
    bestS: best.costS,
    now: now.parts,
    best: best.parts,
    plan: target,
    edit: together(moves.map(({ edit }) => edit)),
    moves: moves.map((move) => explainMove(input, now, move, rulesBind)),
    states,
    seed,
  };
}

function worthOf({ plan, isUnordered }: SearchInput): number {
  if (isUnordered) return WORTH_S;
  return kindOfClass(plan) === 'lesson' ? WORTH_IN_LESSON_S : WORTH_A_MOVE_S;
}

/** Steps back towards today's order until the review tells nothing that it does not tell of that. */
function withoutNewFindings(
  input: SearchInput,
  problem: OrderProblem,
  found: ScoredOrder,
): readonly number[] {
  if (input.isUnordered) return found.units;
  const today = problem.stretches.flat();
  const before = toldOf(input, input.plan);
  const isWelcome = ({ units }: ScoredOrder) => {
    const ordered = reorder(input.plan, idsInOrder(input.plan, problem, units));
    return isNoWorse(toldOf(input, ordered), before);
  };
  let order = found;
  for (let left = today.length; left > 0 && !isWelcome(order); left -= 1) {
    const steps = stepsBack(problem, order, today);
    const next = steps.find(isWelcome) ?? steps[0];
    if (!next) return today;
    order = next;
  }
  return order.units;
}

/** Ids of all items in the new order, pauses in their places. */
function idsInOrder(plan: Plan, problem: OrderProblem, units: readonly number[]): string[] {
  const isSplit = problem.stretches.length === plan.segments.length;
  const lists = isSplit
    ? plan.segments.map(({ items }) => items)
    : [plan.segments.flatMap(({ items }) => items)];
  let from = 0;
  return lists.flatMap((list, stretch) => {
    const size = problem.stretches[stretch]?.length ?? 0;
    const items = units
      .slice(from, from + size)
      .flatMap((unit) =>
        entryOf(problem.units, unit).map((index) => problem.items[index]?.itemId ?? ''),
      );
    from += size;
    let next = 0;
    return list.map((item) => {
      if (item.kind === 'pause') return item.id;
      next += 1;
      return items[next - 1] ?? item.id;
    });
  });
}

function explainMove(
  input: SearchInput,
  now: OrderScore,
  { itemIds, alone: edit }: Move,
  rulesBind: boolean,
): OrderMove {
  const alone = applyEdit(input.plan, edit);
  if (!alone.ok) throw new Error(`${itemIds.join(', ')} can't be moved`);
  const problem = problemOf(input, alone.plan, rulesBind);
  const after = scoreOrder(problem, problem.stretches.flat());
  const gains = COST_IDS.map((cost) => ({ cost, seconds: now.parts[cost] - after.parts[cost] }))
    .filter(({ seconds }) => Math.abs(seconds) >= WORTH_S)
    .sort((a, b) => b.seconds - a.seconds);
  return {
    itemIds,
    label: labelOf(input, itemIds, edit),
    edit,
    gainS: now.costS - after.costS,
    mends: now.breaks - after.breaks,
    gains,
  };
}

function labelOf({ plan, catalogue }: SearchInput, itemIds: readonly string[], edit: Edit): string {
  const nameOf = new Map(
    plan.segments.flatMap((segment) =>
      segment.items.map((item) => [
        item.id,
        item.kind === 'pause' ? item.label : catalogue.require(item.exercise).name,
      ]),
    ),
  );
  const names = listWords(itemIds.map((id) => nameOf.get(id) ?? id));
  const result = applyEdit(plan, edit);
  if (!result.ok) return names;
  for (const segment of result.plan.segments) {
    const at = segment.items.findIndex(({ id }) => id === itemIds[0]);
    if (at < 0) continue;
    const before = segment.items[at - 1];
    return before
      ? `${names} after ${nameOf.get(before.id) ?? ''}`
      : `${names} first in ${segment.name}`;
  }
  return names;
}
