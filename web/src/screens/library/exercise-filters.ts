import { demandsOf } from '@wrenfern/core/people/demands';
import {
  BODY_PARTS,
  DEMANDS,
  FOUNDATIONS,
  POSITIONS,
  PROPS,
  SPINE_MOVES,
} from '@wrenfern/core/movement/vocabulary';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { DEMAND_WORDS } from '@wrenfern/core/movement/words';
import { isBuiltIn } from '../../data/catalogue.tsx';
import { plainLengthS } from '@wrenfern/core/plan/timing/plain-length';
import {
  BODY_PART_WORDS,
  FOUNDATION_WORDS,
  MOVE_WORDS,
  POSITION_WORDS,
  PROP_WORDS,
} from '@wrenfern/core/movement/words';

/** One thing to look for: its key in the address, its words, and what fits. */
export interface ExerciseFilter {
  key: string;
  label: string;
  choices: { value: string; name: string }[];
  fits: (exercise: Exercise, value: string) => boolean;
}

const MINUTE_S = 60;

function listed<T extends string>(
  values: readonly T[],
  words: Readonly<Record<T, string>>,
): ExerciseFilter['choices'] {
  return values.map((value) => ({ value, name: words[value] }));
}

export const FILTERS: readonly ExerciseFilter[] = [
  {
    key: 'on',
    label: 'On',
    choices: [
      { value: 'mat', name: 'mat' },
      { value: 'reformer', name: 'reformer' },
    ],
    fits: ({ machine }, value) => machine === value,
  },
  {
    key: 'position',
    label: 'Position',
    choices: listed(POSITIONS, POSITION_WORDS),
    fits: ({ position }, value) => position === value,
  },
  {
    key: 'move',
    label: 'Direction',
    choices: listed(SPINE_MOVES, MOVE_WORDS),
    fits: ({ moves }, value) => moves.some((move) => move === value),
  },
  {
    key: 'teaches',
    label: 'Teaches',
    choices: listed(FOUNDATIONS, FOUNDATION_WORDS),
    fits: ({ teaches }, value) => teaches.some(({ foundation }) => foundation === value),
  },
  {
    key: 'part',
    label: 'Body part',
    choices: listed(BODY_PARTS, BODY_PART_WORDS),
    fits: ({ bodyParts }, value) => bodyParts.some((part) => part === value),
  },
  {
    key: 'prop',
    label: 'Prop',
    choices: listed(PROPS, PROP_WORDS),
    fits: ({ options }, value) =>
      options.some((option) => option.props.some(({ prop }) => prop === value)),
  },
  {
    key: 'minutes',
    label: 'Takes at most',
    choices: [1, 2, 3, 5].map((count) => ({ value: String(count), name: `${count} min` })),
    fits: (exercise, value) => plainLengthS(exercise) <= Number(value) * MINUTE_S,
  },
  {
    key: 'without',
    label: 'Has an option without',
    choices: listed(DEMANDS, DEMAND_WORDS),
    fits: ({ options }, value) =>
      options.some((option) => !demandsOf(option).some((demand) => demand === value)),
  },
  {
    key: 'whose',
    label: 'From',
    choices: [
      { value: 'own', name: 'our own' },
      { value: 'built-in', name: 'the built-in library' },
    ],
    fits: ({ slug }, value) => isBuiltIn(slug) === (value === 'built-in'),
  },
];
