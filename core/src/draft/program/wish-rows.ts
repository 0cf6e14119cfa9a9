import type { SpineMove } from '../../movement/vocabulary.ts';
import type { ChoiceTest } from '../../review/draft-rows.ts';
import { directedS, movedS } from '../../review/moved-seconds.ts';
import type { PlacedChoice } from '../blueprint.ts';
import type { ProgramInput, Rows } from './program-input.ts';

/** The share of the class that each theme takes at least. */
const THEME_SHARE = 0.23;
/** The share of the directed time that a direction takes when it is the theme. */
const DIRECTION_SHARE = 0.25;
const RUNGS = 3;
const LINKED = 2;

export function themeRows(rows: Rows, { wishes }: ProgramInput, holds: ReadonlySet<string>): void {
  const theme = (weight: (choice: PlacedChoice) => number, leastS: number) =>
    rows.program.row(`${rows.sum(weight)} >= ${Math.round(leastS)}`);
  for (const foundation of wishes.foundations) {
    if (!holds.has(`foundation ${foundation}`)) continue;
    theme(
      ({ exercise, usualS }) =>
        exercise.teaches.some((taught) => taught.foundation === foundation) ? usualS : 0,
      THEME_SHARE * wishes.targetS,
    );
  }
  for (const part of wishes.bodyParts) {
    if (!holds.has(`part ${part}`)) continue;
    theme(
      ({ exercise, usualS }) => (exercise.bodyParts.includes(part) ? usualS : 0),
      THEME_SHARE * wishes.targetS,
    );
  }
  for (const direction of wishes.directions) {
    if (!holds.has(`direction ${direction}`)) continue;
    const move = direction.split('-')[0] as SpineMove;
    rows.program.row(
      `${rows.sum((choice) => {
        return movedS(choice, move) - DIRECTION_SHARE * directedS(choice);
      })} >= 0`,
    );
  }
}

const slugIs =
  (slug: string): ChoiceTest =>
  ({ exercise }) =>
    exercise.slug === slug;

/** The big exercise, and rungs of its ladder no later than it: what leads to it, and what leads to that. */
export function climbRows(rows: Rows, { wishes, rungs, blueprint, pool }: ProgramInput): void {
  const { climbTo } = wishes;
  if (!climbTo) return;
  rows.atLeast(slugIs(climbTo), 1);
  const at = (block: string) => blueprint.blocks.findIndex(({ id }) => id === block);
  const top = Math.max(
    ...pool.filter(({ exercise }) => exercise.slug === climbTo).map(({ block }) => at(block)),
  );
  const upTo = (isOne: (slug: string) => boolean, wanted: number) => {
    const isBefore = ({ exercise, block }: PlacedChoice) =>
      isOne(exercise.slug) && at(block) <= top;
    const many = new Set(pool.filter(isBefore).map(({ exercise }) => exercise.slug)).size;
    rows.total((choice) => Number(isBefore(choice)), { least: Math.min(wanted, many) });
  };
  upTo(rungs.isLinked, LINKED);
  upTo(rungs.isRung, RUNGS);
}
