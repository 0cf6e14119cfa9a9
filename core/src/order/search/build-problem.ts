import type { Catalogue } from '../../movement/catalogue.ts';
import { teachesAwareness, type Exercise } from '../../movement/exercise.ts';
import {
  FOUNDATIONS,
  POSITIONS,
  PROPS,
  type Machine,
  type Position,
} from '../../movement/vocabulary.ts';
import { setUpBetween, type Stance } from '../../plan/timing/set-up.ts';
import { secondsOf, type Timeline } from '../../plan/timing/timeline.ts';
import { standingOf, type CostId, type RuleId, type SchoolRules } from '../../plan/school.ts';
import type { Plan } from '../../plan/plan.ts';
import { backMoved, PRECEDENCES } from '../precedence.ts';
import { ruleContext } from '../review.ts';
import type { Group } from '../group.ts';
import type { RuleContext, Worked } from '../rule.ts';
import { taughtDepthFor } from '../rules/need-before-use.ts';
import { primeMover } from '../rules/no-pile-up.ts';
import { GENTLE, STEP } from '../rules/peak-late.ts';
import { springsChanged } from '../rules/machine-blocks.ts';
import { warmsBelly } from '../rules/still-before-bend.ts';
import { onHands } from '../rules/wrist-rest.ts';
import { liftsPelvis, supportsHead } from '../rules/head-support-out.ts';
import { swellBand } from '../swell.ts';
import type { OrderProblem, PlacedItem, SoftPrecedence } from './problem.ts';

/**
 * What an offence costs, in seconds of class time that one would spend to avoid it. Common practice
 * decides them; each is multiplied by the school's weight. `docs/decisions.md` says why.
 */
const PRICE = {
  /** A finding of a rule that must hold, and of one that should. */
  must: 90,
  should: 20,
  effortStep: 12,
  peakTenth: 15,
  jumpStep: 15,
  counter: 12,
  pileUp: 6,
  wristsPerMinute: 4,
  propAgain: 5,
  twoNew: 6,
  /** Beyond its own seconds: everyone gets up, looks round and settles again. */
  changeOfPosition: 10,
  straightUp: 20,
  spring: 5,
} as const;

/** From this effort, or for this long, a bend wants its answer. */
const STRONG = 3;
const SUSTAINED_S = 180;

export interface OrderContext {
  catalogue: Catalogue;
  timeline: Timeline;
  group: Group;
  /** Exercises that the group knows; left out when nothing is known of it. */
  familiar?: ReadonlySet<string>;
}

export interface OrderLocks {
  /** Items that keep their place in their part. */
  pinned: ReadonlySet<string>;
  /** Items that stay behind one another as they are today: ids of every one but the first. */
  joined: ReadonlySet<string>;
  /** False lets items go to another part of the class; parts keep how many they hold. */
  partsStay: boolean;
  /** False makes a cost of every rule that must hold: for locks that leave no order that keeps them. */
  rulesBind?: boolean;
}

/** The plan as numbers. The search knows nothing else. */
export function buildProblem(plan: Plan, context: OrderContext, locks: OrderLocks): OrderProblem {
  const rules = ruleContext({ plan, ...context, retime: () => context.timeline });
  const { worked, school } = rules;
  const items = worked.map((each) => placedItem(each, rules));
  const layout = layOutUnits(plan, rules, locks);
  const wishes = wishesOf(worked, school);
  const { before, soft } = splitWishes(wishes, layout, school, locks.rulesBind ?? true);
  const tables = pairTables(worked, rules, context);
  const hardest = Math.max(0, ...items.map(({ effort }) => effort));
  const weight = (id: CostId) => school.weights[id];
  const priceOf = (rule: RuleId) => priceFor(school, rule);
  const ownS = items.reduce((sum, item) => sum + item.ownS, 0);
  const pauseS = layout.pauses.reduce(
    (sum, pauses) => sum + [...pauses.values()].reduce((a, b) => a + b, 0),
    0,
  );
  const isGentle = hardest <= GENTLE || standingOf(school, 'peak-late') === 'off';
  return {
    items,
    ...layout,
    before,
    ...tables,
    soft,
    place: {
      effort: PRICE.effortStep * weight('effort'),
      peak: PRICE.peakTenth * weight('effort'),
      load: priceOf('unloaded-before-loaded') * weight('load'),
      needs: priceOf('need-before-use') * weight('needs'),
      warm: priceOf('still-before-bend') * weight('sequence'),
      lowFirst: priceOf('low-then-high') * weight('sequence'),
      awareness: priceOf('breath-first') * weight('sequence'),
      propsAgain: PRICE.propAgain * weight('props-again'),
    },
    band: swellBand(school),
    hardest,
    hardestCount: isGentle ? 0 : items.filter(({ effort }) => effort === hardest).length,
    hasLowMover: worked.some((each) => backMoved(each) === 'low'),
    totalS: Math.max(1, ownS + pauseS),
  };
}

function priceFor(school: SchoolRules, rule: RuleId): number {
  const standing = standingOf(school, rule);
  return standing === 'off' ? 0 : PRICE[standing];
}

const positionBit = (position: Position | undefined) =>
  position ? 1 << POSITIONS.indexOf(position) : 0;

function placedItem(worked: Worked, { group }: RuleContext): PlacedItem {
  const { exercise, timed } = worked;
  const moved = backMoved(worked);
  return {
    itemId: worked.item.id,
    name: exercise.name,
    ownS: Math.max(1, timed.durationS - secondsOf(timed, 'set-up')),
    // Letting go is no effort, however the body model weighs the stretch.
    effort: exercise.family === 'release' ? Math.min(1, timed.effort) : timed.effort,
    spineLoad: timed.spineLoad,
    startBit: positionBit(timed.position),
    positionBits: positionBit(timed.position) | positionBit(timed.endPosition),
    taughtBits: taughtBits(exercise),
    needs: exercise.needs
      .filter(({ foundation, depth }) => depth > 0 && !group.holds(foundation, depth))
      .map(({ foundation, depth }) => depthBit(foundation, taughtDepthFor(depth))),
    propBits: worked.option.props
      .filter(({ optional }) => !optional)
      .reduce((bits, { prop }) => bits | (1 << PROPS.indexOf(prop)), 0),
    isAwareness: teachesAwareness(exercise),
    warmsBelly: warmsBelly(exercise, timed.moves),
    bendsLoaded: timed.moves.includes('round') && timed.spineLoad >= 1,
    moved,
  };
}

function depthBit(foundation: (typeof FOUNDATIONS)[number], depth: number): number {
  return 1 << (FOUNDATIONS.indexOf(foundation) * 2 + Math.min(2, depth) - 1);
}

function taughtBits({ teaches }: Exercise): number {
  return teaches.reduce((bits, { foundation, depth }) => {
    let taught = bits;
    if (depth >= 1) taught |= depthBit(foundation, 1);
    if (depth >= 2) taught |= depthBit(foundation, 2);
    return taught;
  }, 0);
}

type Layout = Pick<OrderProblem, 'units' | 'groups' | 'pauses' | 'pinnedAt'>;

/** Parts of the class, blocks that stay together, pauses and pinned places. */
function layOutUnits(plan: Plan, { worked, school }: RuleContext, locks: OrderLocks): Layout {
  const indexOf = new Map(worked.map(({ item }, index) => [item.id, index]));
  const lists = locks.partsStay
    ? plan.segments.map(({ items }) => items)
    : [plan.segments.flatMap(({ items }) => items)];
  const sideBlocks =
    standingOf(school, 'sides-together') === 'off' ? new Set() : joinedSides(worked);
  const units: number[][] = [];
  const pinnedAt: number[] = [];
  const groups: number[][] = [];
  const pauses: Map<number, number>[] = [];
  for (const list of lists) {
    const group: number[] = [];
    const quiet = new Map<number, number>();
    list.forEach((item, place) => {
      const index = indexOf.get(item.id);
      if (item.kind === 'pause' || index === undefined) {
        quiet.set(place, item.kind === 'pause' ? item.durationS : 0);
        return;
      }
      const isJoined =
        (locks.joined.has(item.id) || sideBlocks.has(item.id)) && !quiet.has(place - 1);
      const last = group.at(-1);
      if (isJoined && last !== undefined) {
        units[last]?.push(index);
        if (locks.pinned.has(item.id) && pinnedAt[last] === -1) {
          pinnedAt[last] = place - (units[last]?.length ?? 1) + 1;
        }
        return;
      }
      group.push(units.length);
      units.push([index]);
      pinnedAt.push(locks.pinned.has(item.id) ? place : -1);
    });
    groups.push(group);
    pauses.push(quiet);
  }
  return { units, groups, pauses, pinnedAt };
}

/** One-sided items and their answer on the other side: ids of every one but the first of its block. */
function joinedSides(worked: readonly Worked[]): Set<string> {
  const joined = new Set<string>();
  let wasSide: string | undefined;
  let first: string | undefined;
  for (const { item, dose } of worked) {
    const side = dose.sides === 'left' || dose.sides === 'right' ? dose.sides : undefined;
    if (!side) {
      [wasSide, first] = [undefined, undefined];
      continue;
    }
    // A block begins, goes on, or is answered by the other side; after that a new one begins.
    if (wasSide === undefined || (side === first && wasSide !== side)) first = side;
    else joined.add(item.id);
    wasSide = side;
  }
  return joined;
}

interface Wished {
  first: number;
  second: number;
  rule: RuleId;
}

/** Every pair of which some rule says which comes first; the close counts as one of them. */
function wishesOf(worked: readonly Worked[], school: SchoolRules): Wished[] {
  const wishes: Wished[] = [];
  const rules = Object.entries(PRECEDENCES) as [
    RuleId,
    NonNullable<(typeof PRECEDENCES)[RuleId]>,
  ][];
  worked.forEach((one, first) =>
    worked.forEach((other, second) => {
      if (first === second) return;
      for (const [rule, wish] of rules) {
        if (standingOf(school, rule) !== 'off' && wish(one, other)) {
          wishes.push({ first, second, rule });
        }
      }
      if (standingOf(school, 'close-soft') !== 'off' && closes(other) > closes(one)) {
        wishes.push({ first, second, rule: 'close-soft' });
      }
      const [early, late] = [one.exercise.classicOrder, other.exercise.classicOrder];
      if (standingOf(school, 'classic-order') !== 'off' && early && late && early < late) {
        wishes.push({ first, second, rule: 'classic-order' });
      }
    }),
  );
  return wishes;
}

/** Rest comes behind everything, and the way up behind the rest. */
function closes({ exercise }: Worked): number {
  if (exercise.slug === 'return-to-sitting') return 2;
  return exercise.slug === 'final-rest' ? 1 : 0;
}

/**
 * Wishes of rules that must hold become constraints within a group, as long as they do not contradict
 * one another or what is pinned; the others cost.
 */
function splitWishes(
  wishes: readonly Wished[],
  { units, groups, pinnedAt }: Layout,
  school: SchoolRules,
  rulesBind: boolean,
): { before: number[][]; soft: SoftPrecedence[] } {
  const unitOf = new Map(
    units.flatMap((items, unit) => items.map((item) => [item, unit] as const)),
  );
  const groupOf = new Map(
    groups.flatMap((members, group) => members.map((unit) => [unit, group] as const)),
  );
  const before: Set<number>[] = units.map(() => new Set());
  const soft: SoftPrecedence[] = [];
  for (const { first, second, rule } of wishes) {
    const [one, other] = [unitOf.get(first) ?? -1, unitOf.get(second) ?? -1];
    const isBinding =
      rulesBind &&
      standingOf(school, rule) === 'must' &&
      one !== other &&
      groupOf.get(one) === groupOf.get(other) &&
      pinnedAt[one] === -1 &&
      pinnedAt[other] === -1 &&
      !reaches(before, one, other);
    if (isBinding) before[other]?.add(one);
    else soft.push({ first, second, costS: priceFor(school, rule) * school.weights.sequence });
  }
  return { before: before.map((set) => [...set]), soft };
}

/** True when `to` must come before `from` already, at any distance. */
function reaches(before: readonly ReadonlySet<number>[], from: number, to: number): boolean {
  const seen = new Set<number>();
  const open = [from];
  for (let unit = open.pop(); unit !== undefined; unit = open.pop()) {
    if (unit === to) return true;
    if (seen.has(unit)) continue;
    seen.add(unit);
    open.push(...(before[unit] ?? []));
  }
  return false;
}

type Tables = Pick<OrderProblem, 'setUpMet' | 'setUpNew' | 'setUpFirst' | 'near' | 'nearSum'>;

function pairTables(
  worked: readonly Worked[],
  { school, plan }: RuleContext,
  { familiar }: OrderContext,
): Tables {
  const count = worked.length;
  const table = () => new Float64Array(count * count);
  const weight = (id: CostId) => school.weights[id];
  const tables: Tables = {
    setUpMet: table(),
    setUpNew: table(),
    setUpFirst: Float64Array.from(
      worked,
      (each) =>
        setUpBetween(undefined, startOf(each), new Set(), each.exercise.arrangeS).seconds *
        weight('set-up'),
    ),
    near: {
      moves: table(),
      jump: table(),
      counter: table(),
      'pile-up': table(),
      wrists: table(),
      new: table(),
      sequence: table(),
    },
    nearSum: table(),
  };
  const isOff = (rule: RuleId) => standingOf(school, rule) === 'off';
  const isNew = ({ exercise }: Worked) => familiar !== undefined && !familiar.has(exercise.slug);
  worked.forEach((from, row) =>
    worked.forEach((to, column) => {
      if (row === column) return;
      const cell = row * count + column;
      const stance = {
        ...startOf(from),
        position: from.timed.endPosition ?? from.exercise.position,
      };
      const seconds = (met: ReadonlySet<Position>) =>
        setUpBetween(stance, startOf(to), met, to.exercise.arrangeS).seconds * weight('set-up');
      tables.setUpMet[cell] = seconds(EVERYWHERE);
      tables.setUpNew[cell] = seconds(NOWHERE);
      const near: Partial<Record<CostId, number>> = {
        moves:
          (isOff('few-moves') ? 0 : moveS(stance.position, to.timed.position, plan.machine)) +
          (isOff('machine-blocks') ? 0 : springsS(from, to)),
        jump: Math.max(0, to.timed.effort - from.timed.effort - STEP) * PRICE.jumpStep,
        counter: isOff('counter') ? 0 : unanswered(from, to) * PRICE.counter,
        'pile-up':
          !isOff('no-pile-up') && primeMover(from) && primeMover(from) === primeMover(to)
            ? PRICE.pileUp
            : 0,
        wrists:
          !isOff('wrist-rest') && onHands(from) && onHands(to)
            ? ((from.timed.durationS + to.timed.durationS) / 60) * PRICE.wristsPerMinute
            : 0,
        new: isNew(from) && isNew(to) ? PRICE.twoNew : 0,
        sequence:
          !isOff('head-support-out') && supportsHead(from) && liftsPelvis(to)
            ? priceFor(school, 'head-support-out')
            : 0,
      };
      for (const [id, cost] of Object.entries(near) as [CostId, number][]) {
        const weighed = cost * weight(id);
        const own = tables.near[id];
        if (own) own[cell] = weighed;
        tables.nearSum[cell] = (tables.nearSum[cell] ?? 0) + weighed;
      }
    }),
  );
  return tables;
}

const EVERYWHERE: ReadonlySet<Position> = new Set(POSITIONS);
const NOWHERE: ReadonlySet<Position> = new Set();

function startOf({ exercise, option, timed }: Worked): Stance {
  return {
    exercise: exercise.slug,
    position: timed.position ?? exercise.position,
    props: option.props.filter(({ optional }) => !optional),
    settings: option.settings,
  };
}

/** Each spring past the first is one more walk round the machine. */
function springsS(from: Worked, to: Worked): number {
  const changed = springsChanged(from.option.settings, to.option.settings);
  return Math.max(0, changed - 1) * PRICE.spring;
}

/** What a change of position costs beyond its seconds; from lying straight to standing, more. */
function moveS(from: Position, to: Position | undefined, machine: Machine): number {
  if (from === to) return 0;
  const isLying = (position: Position | undefined) => position === 'supine' || position === 'prone';
  const isStraight =
    machine === 'mat' &&
    ((isLying(from) && to === 'standing') || (from === 'standing' && isLying(to)));
  return PRICE.changeOfPosition + (isStraight ? PRICE.straightUp : 0);
}

/** 1 where a long or hard bend is not followed by what goes the other way. */
function unanswered(from: Worked, to: Worked): number {
  const bends = (['round', 'arch'] as const).filter((bend) => from.timed.moves.includes(bend));
  const [bend] = bends;
  if (!bend || bends.length > 1) return 0;
  if (from.timed.effort < STRONG && from.timed.durationS <= SUSTAINED_S) return 0;
  const answer = bend === 'round' ? 'arch' : 'round';
  const isAnswered =
    to.timed.moves.includes(answer) || from.exercise.counters.includes(to.exercise.slug);
  return isAnswered ? 0 : 1;
}
