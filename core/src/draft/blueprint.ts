import { leadsTo } from '../movement/exercise.ts';
import { changedParts } from '../movement/gear.ts';
import type { SchoolRules } from '../plan/school.ts';
import { rulesOf } from '../plan/schools.ts';
import type { Block, Blueprint } from './block.ts';
import { gearOfChoice } from './choice-tests.ts';
import type { Character } from './characters.ts';
import { matBlueprint } from './mat-blueprint.ts';
import type { Choice } from './pool.ts';
import { reformerBlueprint } from './reformer-blueprint.ts';
import { sequenceBlueprint } from './sequence-blueprint.ts';
import { timedBlueprint } from './timed-blueprint.ts';
import { isAskedFor, type DraftWishes } from './wishes.ts';

/** By kind of class, its school and length; each character builds it up otherwise. Common practice. */
export function blueprintFor(
  wishes: DraftWishes,
  { id }: Character,
  pool: readonly Choice[],
): Blueprint {
  const school: SchoolRules = rulesOf(wishes.school);
  const minutes = wishes.targetS / 60;
  if (wishes.machine === 'reformer') {
    const asked = pool.filter(({ exercise }) => isAskedFor(exercise.slug, wishes));
    return reformerBlueprint(minutes, id, asked);
  }
  if (school.defaults.dose.kind === 'timed') return timedBlueprint(minutes, id);
  if (school.rules['classic-order'] === 'must') return sequenceBlueprint(minutes);
  const goal = pool.find(({ exercise }) => exercise.slug === wishes.climbTo);
  return matBlueprint(minutes, id, school, goal);
}

/** Behind which a climb has its top. */
const HALF = 0.5;

/**
 * The same class with the top of its climb in its second half: what the class climbs to has a block of its own behind the
 * hands, with a rung beside it; on the machine its whole block comes later, for gear is set once.
 */
export function climbing(
  blueprint: Blueprint,
  { climbTo, machine }: DraftWishes,
  pool: readonly Choice[],
): Blueprint {
  const goal = pool.find(({ exercise }) => exercise.slug === climbTo);
  const { blocks } = blueprint;
  const at = goal ? blocks.findIndex(({ fits }) => fits(goal)) : -1;
  const isGoal = ({ exercise }: Choice) => exercise.slug === climbTo;
  const own = blocks[at];
  if (!goal) return blueprint;
  if (own && startOf(blocks, at) >= HALF) {
    const topped = blocks.with(at, toppedBy(own, isGoal, goal));
    // Straight before the close the top would come too late: what follows it takes its time.
    return { ...blueprint, blocks: at === blocks.length - 2 ? topped.map(closingLonger) : topped };
  }
  const others = blocks.filter((block) => block !== own);
  const behindHands = others.findIndex(({ id }) => id === 'hands') + 1;
  const late = others.findIndex((_, index) => startOf(others, index) >= HALF);
  // Before the close at the latest.
  const later = behindHands || (late < 0 ? others.length - 1 : late);
  // A block that turns over once, or is set up once, stays one: all of it comes later.
  if (own && (machine === 'reformer' || own.isSeries)) {
    const top = toppedBy(own, isGoal, goal);
    return { ...blueprint, blocks: [...others.slice(0, later), top, ...others.slice(later)] };
  }
  const leadsThere = ({ exercise }: Choice) => leadsTo(exercise).includes(climbTo ?? '');
  const behind = Math.max(1, blocks.findIndex(({ id }) => id === 'hands') + 1);
  // What leads to the goal stands where it belongs before it, else beside it; never behind it.
  const before = blocks
    .slice(0, behind)
    .map((block): Block => ({ ...block, fits: (choice) => block.fits(choice) && !isGoal(choice) }));
  const top: Block = {
    id: 'climb',
    name: 'Climb',
    share: [0.05, 0.14],
    exercises: [2, 4],
    fits: (choice) =>
      isGoal(choice) || (leadsThere(choice) && !before.some(({ fits }) => fits(choice))),
    holds: [isGoal],
    rank: (choice) => Number(isGoal(choice)),
  };
  const after = blocks.slice(behind).map((block): Block => ({
    ...block,
    fits: (choice) => block.fits(choice) && !isGoal(choice) && !leadsThere(choice),
  }));
  return { ...blueprint, blocks: [...before, top, ...after] };
}

/** The share of the class before a block, as it is meant. */
const startOf = (blocks: readonly Block[], at: number) =>
  blocks.slice(0, at).reduce((sum, { share }) => sum + (share[0] + share[1]) / 2, 0);

const closingLonger = (block: Block): Block =>
  block.id === 'close' ? { ...block, share: [0.11, 0.17] } : block;

/**
 * The block of what the class climbs to: what is done elsewhere in it first, then its own place, then the top, and what lets
 * go of it.
 */
function toppedBy(
  { mayGoRound: _once, ...block }: Block,
  isGoal: (choice: Choice) => boolean,
  goal: Choice,
): Block {
  const { rank } = block;
  const setFor = gearOfChoice(goal);
  const steps = { elsewhere: 0, beside: 1e3, goal: 2e3, lettingGo: 3e3 };
  const stepOf = (choice: Choice) => {
    if (isGoal(choice)) return steps.goal;
    if (choice.exercise.family === 'release') return steps.lettingGo;
    return choice.exercise.position === goal.exercise.position ? steps.beside : steps.elsewhere;
  };
  // On the machine the gear comes nearer to that of the top, and never goes away from it and back.
  const nearness = (choice: Choice) => -10 * changedParts(setFor, gearOfChoice(choice)).length;
  return {
    ...block,
    rank: (choice) => stepOf(choice) + nearness(choice) + (rank?.(choice) ?? 0),
  };
}

/** A choice in the block that it would stand in. */
export interface PlacedChoice extends Choice {
  block: string;
}

/** By more usual options than this nothing comes too early, but for what is wished. */
const EARLIEST = 1;

/**
 * Every choice in each block that it fits. What fits none is left out of the class, but for what is wished: that
 * stands in the block that has most of its position.
 */
export function placeIn(
  { blocks, leavesOut }: Blueprint,
  pool: readonly Choice[],
  isWished: (slug: string) => boolean,
): PlacedChoice[] {
  return pool.flatMap((choice): PlacedChoice[] => {
    const wished = isWished(choice.exercise.slug);
    if (!wished && (leavesOut(choice) || choice.tooEarly > EARLIEST)) return [];
    const fitting = blocks.filter(({ fits }) => fits(choice));
    if (fitting.length > 0) return fitting.map((block) => placed(choice, block));
    if (!wished) return [];
    const nearest = nearestBlock(blocks, pool, choice);
    return nearest ? [placed(choice, nearest)] : [];
  });
}

/** Seconds that a second round takes beside its work; and what a series spares each exercise in turning over. */
export const ROUND_MORE_S = 8;
const SERIES_LESS_S = 15;

/** As long as it takes there: each round of it, and less where everything turns over together. */
function placed(choice: Choice, { id, rounds = 1, isSeries }: Block): PlacedChoice {
  const isSided = isSeries && choice.exercise.dose.sides === 'each';
  const more = (rounds - 1) * (choice.workS + ROUND_MORE_S) - (isSided ? SERIES_LESS_S : 0);
  return {
    ...choice,
    block: id,
    usualS: choice.usualS + more,
    leastS: choice.leastS + more,
    mostS: choice.mostS + more,
  };
}

function nearestBlock(
  blocks: readonly Block[],
  pool: readonly Choice[],
  { exercise }: Choice,
): Block | undefined {
  const inPosition = (block: Block) =>
    pool.filter((each) => each.exercise.position === exercise.position && block.fits(each)).length;
  return [...blocks].sort((a, b) => inPosition(b) - inPosition(a))[0];
}
