import type { ExerciseInput } from '@wrenfern/core/movement/exercise';
import type { Foundation } from '@wrenfern/core/movement/vocabulary';

type OptionInput = ExerciseInput['options'][number];
type Phase = ExerciseInput['breath']['phases'][number];

/** An exercise as the families write it: what repeats in every entry is left to `exercise`. */
interface Entry extends Omit<
  ExerciseInput,
  | 'machine'
  | 'moves'
  | 'teaches'
  | 'needs'
  | 'breath'
  | 'options'
  | 'faults'
  | 'usual'
  | 'otherNames'
  | 'classicOrder'
> {
  also?: string[];
  /** Place in the mat order published in 1945. */
  classic?: number;
  machine?: ExerciseInput['machine'];
  moves: ExerciseInput['moves'][number][];
  teaches: Partial<Record<Foundation, number>>;
  needs?: Partial<Record<Foundation, number>>;
  usual: [least: number, most: number];
  breath: [on: Phase['on'], doing: string][];
  natural: string;
  /** Easiest first; they are numbered in this order. */
  options: Omit<OptionInput, 'number'>[];
  faults: [fault: string, remedy: string][];
}

export function exercise(entry: Entry): ExerciseInput {
  const { also, classic, teaches, needs, usual, breath, natural, options, faults, ...rest } = entry;
  return {
    machine: 'mat',
    ...rest,
    ...(also ? { otherNames: also } : {}),
    ...(classic ? { classicOrder: classic } : {}),
    teaches: depths(teaches),
    needs: depths(needs ?? {}),
    usual: { least: usual[0], most: usual[1] },
    breath: { phases: breath.map(([on, doing]) => ({ on, doing })), natural },
    options: options.map((option, index) => ({ ...option, number: index + 1 })),
    faults: faults.map(([fault, remedy]) => ({ fault, remedy })),
  };
}

function depths(held: Partial<Record<Foundation, number>>): ExerciseInput['needs'] {
  return Object.entries(held).map(([foundation, depth]) => ({
    foundation: foundation as Foundation,
    depth,
  }));
}

type Dose = ExerciseInput['dose'];
type Sides = NonNullable<Dose['sides']>;
/** Sets, ways round, or how many holds. */
interface More {
  sets?: number;
  directions?: number;
  count?: number;
}

export function reps(count: number, sides: Sides = 'none', more: More = {}): Dose {
  return { kind: 'repetitions', count, sides, ...more };
}

export function breaths(count: number, sides: Sides = 'none', more: More = {}): Dose {
  return { kind: 'breaths', count, sides, ...more };
}

export function hold(holdS: number, sides: Sides = 'none', more: More = {}): Dose {
  return { kind: 'hold', holdS, sides, ...more };
}

export function free(durationS: number, sides: Sides = 'none'): Dose {
  return { kind: 'free', durationS, sides };
}
