import { optionOf, type Exercise } from '../movement/exercise.ts';
import type { Position } from '../movement/vocabulary.ts';
import { amountOf, askedBy } from '../people/asked.ts';
import type { Timeless } from '../people/asks.ts';
import { AS_ASKED } from '../people/ways.ts';
import { PARTS_FIRST } from './parts-first.ts';
import type { Choice } from './pool.ts';

/** Tests that blocks are made of. */
export type Test = (choice: Choice) => boolean;

export const at =
  (...positions: readonly Position[]): Test =>
  ({ exercise }) =>
    positions.includes(exercise.position);

export const lies: Test = at('supine');

export const ofFamily =
  (...families: readonly Exercise['family'][]): Test =>
  ({ exercise }) =>
    families.includes(exercise.family);

export const withSlug =
  (...slugs: readonly string[]): Test =>
  ({ exercise }) =>
    slugs.includes(exercise.slug);

export const softer =
  (than: number): Test =>
  ({ effort }) =>
    effort <= than;

const optionOfChoice = ({ exercise, options }: Choice) =>
  optionOf(exercise, options?.at(-1) ?? exercise.standard);

function asks(choice: Choice, ask: Timeless, from: number): boolean {
  const asked = askedBy(optionOfChoice(choice), AS_ASKED);
  return !asked || (amountOf(asked, ask, 'either') ?? Infinity) >= from;
}

/** The chest leaves the floor from lying. */
export const curls: Test = (choice) => asks(choice, 'chestLifted', 0.5);

/**
 * What a class for backs that complain leaves out: bends under load, both legs low, rolling, upside down, the chest
 * lifted far. Degrees, thousandths, centimetres as measured. Common practice.
 */
export const isLoadedOrUpsideDown: Test = (choice) =>
  asks(choice, 'loadedRound', 1) ||
  asks(choice, 'legs', 36) ||
  asks(choice, 'rolls', 0.5) ||
  asks(choice, 'hipsHigh', 18);

/** Goes over the shoulders or rolls along the back: nothing for a class that is not warm. */
export const goesOver: Test = (choice) =>
  asks(choice, 'rolls', 0.5) || asks(choice, 'hipsHigh', 18);

/** Lets go inside a part, without ending the class. */
export const isLettingGo = withSlug('knees-to-chest', 'knee-sway');
export const isPlainBridge = withSlug('bridge-roll', 'bridge-articulate', 'bridge-hinge-roll');
export const isBridge: Test = ({ exercise }) => exercise.slug.includes('bridge');

/** For sorting: a part before its whole, else the lighter one first. */
export function risingByParts(a: Choice, b: Choice): number {
  const isPart = ({ exercise: one }: Choice, { exercise: other }: Choice) =>
    one.prepares.includes(other.slug) ||
    PARTS_FIRST.some(
      ({ parts, wholes }) => parts.includes(one.slug) && wholes.includes(other.slug),
    );
  return Number(isPart(b, a)) - Number(isPart(a, b)) || a.effort - b.effort;
}

/** How the machine is set for it, as its standard option has it. */
export function gearOfChoice({ exercise }: Choice) {
  return optionOf(exercise, exercise.standard).settings ?? {};
}
