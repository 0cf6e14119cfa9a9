import { optionOf, type Exercise, type Option } from '../movement/exercise.ts';
import { gearFor, type Gear } from '../movement/gear.ts';
import type { Position } from '../movement/vocabulary.ts';
import { amountOf, askedBy } from '../people/asked.ts';
import type { Timeless } from '../people/asks.ts';
import { AS_ASKED } from '../people/ways.ts';
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

function optionAsks(option: Option, ask: Timeless, from: number): boolean {
  const asked = askedBy(option, AS_ASKED);
  return !asked || (amountOf(asked, ask, 'either') ?? Infinity) >= from;
}

const asks = (choice: Choice, ask: Timeless, from: number) =>
  optionAsks(optionOfChoice(choice), ask, from);

/** What is footwork on the machine, in its order. */
export const BY_FEET: readonly string[] = ['footwork', 'calf-raise', 'running'];

/** The chest leaves the floor from lying. */
export const curls: Test = (choice) => asks(choice, 'chestLifted', 0.5);

/**
 * What a class for backs that complain leaves out: bends under load, both legs low, rolling, upside down, the chest
 * lifted far. Degrees, thousandths, centimetres as measured. Common practice.
 */
export const optionIsLoadedOrUpsideDown = (option: Option) =>
  optionAsks(option, 'loadedRound', 1) || optionAsks(option, 'legs', 36) || optionGoesOver(option);
export const isLoadedOrUpsideDown: Test = (choice) =>
  optionIsLoadedOrUpsideDown(optionOfChoice(choice));

/** Goes over the shoulders or rolls along the back: nothing for a class that is not warm. */
export const optionGoesOver = (option: Option) =>
  optionAsks(option, 'rolls', 0.5) || optionAsks(option, 'hipsHigh', 18);
export const goesOver: Test = (choice) => optionGoesOver(optionOfChoice(choice));

/** Lets go inside a part, without ending the class. */
export const isLettingGo = withSlug(
  'knees-to-chest',
  'knee-sway',
  'supine-twist',
  'crossed-knee-twist',
);
export const isPlainBridge = withSlug('bridge-roll', 'bridge-articulate', 'bridge-hinge-roll');
export const isBridge: Test = ({ exercise }) => exercise.slug.includes('bridge');

/** How the machine is set for it, as its standard option has it. */
export function gearOfChoice({ exercise }: Choice): Gear {
  return gearFor(optionOf(exercise, exercise.standard), undefined) ?? {};
}
