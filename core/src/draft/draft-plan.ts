import { draftClass, type DraftProgress, type DraftResult } from './draft-class.ts';
import { draftTwoGroups } from './draft-two-groups.ts';
import type { DraftContext } from './pool.ts';
import type { Solve } from './solver.ts';
import type { DraftWishes } from './wishes.ts';

export type { DraftProgress, DraftResult, Proposal } from './draft-class.ts';

/**
 * Three classes that fulfil the wishes, each for another reason; or the smallest set of wishes that
 * can't be had together. Yields progress. Wishes must have passed `checkWishes`.
 */
export function draftPlan(
  wishes: DraftWishes,
  context: DraftContext,
  solve: Solve,
): Generator<DraftProgress, DraftResult> {
  return wishes.twoGroups
    ? draftTwoGroups(wishes, context, solve)
    : draftClass(wishes, context, solve);
}
