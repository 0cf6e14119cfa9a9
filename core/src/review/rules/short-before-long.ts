import { loadOf } from '../../body/load/option-load.ts';
import { pairRule } from '../pair-rule.ts';
import type { Placeable } from '../rule.ts';

/** Points of demand between two items of one kind that make an order of them. */
const LEVER_STEP = { rungs: 10, kin: 15 } as const;

/** Items of one movement family: either can stand in for the other. */
function areKin(a: Placeable, b: Placeable): boolean {
  if (a.exercise.slug === b.exercise.slug) return true;
  if (a.timed.position !== b.timed.position) return false;
  // What works something else is no step to it.
  if (a.exercise.movers[0] !== b.exercise.movers[0]) return false;
  // What prepares the other comes first, whatever it weighs.
  if (a.exercise.prepares.includes(b.exercise.slug)) return false;
  if (b.exercise.prepares.includes(a.exercise.slug)) return false;
  const isSoft = (each: Placeable) => each.exercise.family === 'release';
  if (isSoft(a) || isSoft(b)) return false;
  return a.exercise.swaps.includes(b.exercise.slug) && b.exercise.family === a.exercise.family;
}

export const shortBeforeLong = pairRule({
  id: 'short-before-long',
  name: 'Short levers before long',
  statement:
    'Within one movement family the shorter lever, the wider base, the more supported comes first.',
  kind: 'order',
  why: 'The short lever shows whether the trunk can hold still; the long one punishes it when it can not.',
  usually: 'must',
  speaksFrom: 'lesson',
  within: 'part',
  comesFirst: (first, second) => {
    if (!areKin(first, second) && !areKin(second, first)) return undefined;
    const [light, heavy] = [loadOf(first.option), loadOf(second.option)];
    const isLadder = first.exercise.slug === second.exercise.slug;
    if (heavy - light < (isLadder ? LEVER_STEP.rungs : LEVER_STEP.kin)) return undefined;
    return `${first.exercise.name} asks ${light} of 100, ${second.exercise.name} ${heavy}: the shorter lever comes first`;
  },
});
