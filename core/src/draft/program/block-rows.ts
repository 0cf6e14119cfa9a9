import { isWork, type ChoiceTest } from '../../review/draft-rows.ts';
import type { PlacedChoice } from '../blueprint.ts';
import { PARTS_FIRST } from '../parts-first.ts';
import { isAskedFor } from '../wishes.ts';
import type { ProgramInput, Rows } from './program-input.ts';
import { secondRoundsS } from './round-rows.ts';

/** What a wish rules out is asked of nobody. */
type Open = (choice: PlacedChoice) => boolean;

/** What it costs that a block is too short or long, for each second; has one too few or many; lacks what it is for. */
export const BLOCK_COST = { second: 0.12, exercise: 10, lacking: 40 } as const;

/**
 * Each block takes its share of the class and holds what it is for; wishes may stretch it, at a price, and so may what it
 * is for where there is little to choose from.
 */
export function blockRows(rows: Rows, input: ProgramInput, isOpen: Open): void {
  const { blueprint, pool, wishes, isOfFew } = input;
  const soft = (
    name: string,
    sum: string,
    [least, most]: readonly [number, number],
    cost: number,
  ) => {
    rows.program.positive(`few${name}`, cost);
    rows.program.positive(`many${name}`, cost);
    rows.program.row(`${sum} + few${name} >= ${least}`);
    rows.program.row(`${sum} - many${name} <= ${most}`);
  };
  for (const [at, held] of blueprint.blocks.entries()) {
    const { id, share, exercises, holds = [], most: limits = [] } = held;
    const inBlock = (weight: (choice: PlacedChoice) => number) =>
      rows.sum((choice) => (choice.block === id ? weight(choice) : 0));
    if (!pool.some(({ block }) => block === id)) continue;
    const [least, most] = share;
    const seconds = [least * wishes.targetS, most * wishes.targetS].map(Math.round);
    soft(
      `S${at}`,
      `${inBlock(({ usualS }) => usualS)}${secondRoundsS(input, id)}`,
      [seconds[0] ?? 0, seconds[1] ?? 0],
      BLOCK_COST.second,
    );
    soft(
      `N${at}`,
      inBlock(() => 1),
      exercises,
      BLOCK_COST.exercise,
    );
    for (const [of, atMost] of limits) {
      const sum = inBlock((choice) =>
        Number(of(choice) && !isAskedFor(choice.exercise.slug, wishes)),
      );
      rows.program.row(`${sum} <= ${atMost}`);
    }
    holds.forEach((test, which) => {
      if (!pool.some((choice) => choice.block === id && isOpen(choice) && test(choice))) return;
      const sum = inBlock((choice) => Number(test(choice)));
      const lacks = `lack${at}h${which}`;
      if (isOfFew) rows.program.positive(lacks, BLOCK_COST.lacking);
      rows.program.row(`${sum}${isOfFew ? ` + ${lacks}` : ''} >= 1`);
    });
  }
}

/** From so much effort on something of the second half is the top of a class that is not meant to be gentle. */
const CREST = { effort: 2.5, cost: 25 } as const;

export function crestRow(rows: Rows, { wishes, blueprint }: ProgramInput): void {
  if (wishes.effortMost < CREST.effort || rows.school.effortCeiling < 4) return;
  rows.program.positive('noCrest', CREST.cost);
  const { blocks } = blueprint;
  const late = new Set(blocks.slice(Math.floor(blocks.length / 2)).map(({ id }) => id));
  const tops = rows.sum((choice) =>
    Number(isWork(choice) && late.has(choice.block) && choice.effort >= CREST.effort),
  );
  rows.program.row(`${tops} + noCrest >= 1`);
}

/** From so much effort on something of the same block comes before it that is not so far below. */
const STEEP = { from: 3, step: 2.5 } as const;

export function stepRows(rows: Rows, isOpen: Open): void {
  if (rows.school.rules['classic-order'] === 'must') return;
  for (const choice of rows.pool) {
    if (choice.effort < STEEP.from) continue;
    const isStep = (other: PlacedChoice) =>
      other.block === choice.block &&
      other.effort < choice.effort &&
      other.effort >= choice.effort - STEEP.step;
    const steps = rows.pool.filter((other) => isOpen(other) && isStep(other));
    if (steps.length > 0) rows.wants(choice, (other) => steps.includes(other as PlacedChoice));
  }
}

/** Whoever does the whole has done a part of it; in a published order the order itself sees to that. */
export function partRows(rows: Rows, isOpen: Open): void {
  if (rows.school.rules['classic-order'] === 'must') return;
  for (const { parts, wholes } of PARTS_FIRST) {
    const isPart: ChoiceTest = ({ exercise }) => parts.includes(exercise.slug);
    if (!rows.pool.some((choice) => isOpen(choice) && isPart(choice))) continue;
    for (const choice of rows.pool) {
      if (wholes.includes(choice.exercise.slug)) rows.wants(choice, isPart);
    }
  }
}

/** What a second new exercise costs in a block, where one new thing at a time is asked for. */
const NEW_COST = 25;

export function newRows(rows: Rows, { pool, blueprint }: ProgramInput): void {
  if ((rows.school.rules['one-new-thing'] ?? 'off') === 'off') return;
  for (const [at, { id }] of blueprint.blocks.entries()) {
    if (!pool.some(({ block, isNew }) => block === id && isNew)) continue;
    rows.program.positive(`new${at}`, NEW_COST);
    const many = rows.sum((choice) =>
      Number(choice.block === id && choice.isNew && isWork(choice)),
    );
    rows.program.row(`${many} - new${at} <= 1`);
  }
}
