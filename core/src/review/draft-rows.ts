import type { Exercise } from '../movement/exercise.ts';
import type { SchoolRules } from '../plan/school.ts';
import type { Group } from './group.ts';

/** An exercise that a draft may choose, as far as rules ask of it. */
export interface Choosable {
  exercise: Exercise;
  usualS: number;
  /** Seconds of work, without setting up and teaching. */
  workS: number;
  effort: number;
  spineLoad: number;
  /** Which ways the spine goes. */
  moves: Exercise['moves'];
}

export type ChoiceTest = (choice: Choosable) => boolean;

/** How a rule asks for what a drafted class holds. The draft makes rows of a linear program of it. */
export interface DraftRows {
  readonly pool: readonly Choosable[];
  readonly school: SchoolRules;
  readonly group: Group;
  readonly targetS: number;
  /** False while the draft looks for what stands in the way of the wished length. */
  readonly lengthHolds: boolean;
  /** As many as wanted, or as can be had. */
  upTo: (test: ChoiceTest, wanted: number) => void;
  /** The sum of a weight over all that is chosen. */
  total: (weight: (choice: Choosable) => number, bounds: { least?: number; most?: number }) => void;
  /** Whoever chooses this one chooses one of those too. */
  wants: (choice: Choosable, provides: ChoiceTest) => void;
  never: (choice: Choosable) => void;
}

/** True for exercises that let go: the close is made of them. */
export const isRelease: ChoiceTest = ({ exercise }) =>
  exercise.teaches.some(({ foundation }) => foundation === 'release');

/** True for what is neither awareness nor letting go. */
export const isWork = ({ exercise }: Pick<Choosable, 'exercise'>): boolean =>
  exercise.family !== 'release' && exercise.family !== 'awareness';
