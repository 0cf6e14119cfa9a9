import { Exercise, type ExerciseInput } from '../movement/exercise.ts';
import { createCatalogue, type Catalogue } from '../movement/catalogue.ts';

type Change = Partial<Omit<ExerciseInput, 'options'>> & { options?: Partial<OptionInput>[] };
type OptionInput = Omit<ExerciseInput['options'][number], 'effort'> & {
  effort?: keyof typeof SHAPE_OF_EFFORT;
};

/** Shapes that the body model gives these efforts. */
const SHAPE_OF_EFFORT = {
  0: 'supine-bent',
  1: 'chest-lift',
  2: 'v-sit-one',
  3: 'v-sit',
  4: 'plank',
} as const;

/** A plain exercise for tests; every field can be changed. */
export function makeExercise(slug: string, change: Change = {}): Exercise {
  const { options, ...rest } = change;
  return Exercise.parse({
    slug,
    name: slug.replaceAll('-', ' '),
    machine: 'mat',
    family: 'trunk',
    position: 'supine',
    moves: ['still'],
    spineLoad: 0,
    teaches: [{ foundation: 'support', depth: 1 }],
    needs: [],
    bodyParts: ['trunk-front'],
    movers: [`what ${slug} works`],
    dose: { kind: 'repetitions', count: 8 },
    usual: { least: 4, most: 12 },
    tempo: 'limb-slow',
    breath: { phases: [{ on: 'out', doing: 'go' }], natural: 'as it comes' },
    purpose: 'for tests',
    standard: 1,
    options: (options ?? [{}, {}]).map((option, index) => makeOption(index + 1, option)),
    cues: ['one', 'two'],
    faults: [
      { fault: 'a', remedy: 'b' },
      { fault: 'c', remedy: 'd' },
    ],
    swaps: ['other'],
    ...rest,
  });
}

function makeOption(
  number: number,
  { effort = 1, ...change }: Partial<OptionInput>,
): ExerciseInput['options'][number] {
  return {
    number,
    name: `way ${number}`,
    change: 'harder',
    levers: ['range'],
    demands: [],
    feel: 'it',
    stepBack: 'less',
    poses: [SHAPE_OF_EFFORT[effort]],
    ...change,
  };
}

/** Enough of a catalogue for the order rules: awareness, every load and direction, a soft close. */
export function makeCatalogue(more: readonly Exercise[] = []): Catalogue {
  return createCatalogue([
    makeExercise('breathe', {
      family: 'awareness',
      tempo: 'breath',
      teaches: [{ foundation: 'breath', depth: 1 }],
      dose: { kind: 'breaths', count: 8 },
      options: [{ effort: 0 }, { effort: 0 }],
    }),
    makeExercise('tilt', { moves: ['round', 'arch'], tempo: 'articulate-small' }),
    makeExercise('brace', { spineLoad: 1 }),
    makeExercise('curl', {
      moves: ['round'],
      spineLoad: 1,
      options: [{ effort: 3 }, { effort: 4 }],
    }),
    makeExercise('lift', {
      moves: ['arch'],
      position: 'prone',
      tempo: 'lift-trunk',
      options: [{ effort: 2 }, { effort: 3 }],
    }),
    makeExercise('twist', {
      moves: ['turn'],
      position: 'seated',
      spineLoad: 2,
      tempo: 'turn',
      dose: { kind: 'repetitions', count: 4, sides: 'each' },
    }),
    makeExercise('side-reach', {
      moves: ['side'],
      position: 'seated',
      spineLoad: 2,
      tempo: 'articulate-small',
      dose: { kind: 'repetitions', count: 3, sides: 'each' },
    }),
    makeExercise('roll-back', {
      moves: ['round'],
      position: 'seated',
      spineLoad: 3,
      options: [{ effort: 3 }, { effort: 4 }],
    }),
    makeExercise('fold', { moves: ['round'], position: 'seated', spineLoad: 4 }),
    makeExercise('leg-lift', {
      position: 'side-lying',
      tempo: 'limb-steady',
      dose: { kind: 'repetitions', count: 10, sides: 'each' },
    }),
    makeExercise('hug', {
      family: 'release',
      tempo: 'hold',
      teaches: [{ foundation: 'release', depth: 1 }],
      dose: { kind: 'hold', holdS: 30 },
      options: [{ effort: 0 }, { effort: 0 }],
    }),
    makeExercise('final-rest', {
      closing: 'rest',
      family: 'release',
      tempo: 'hold',
      teaches: [{ foundation: 'release', depth: 3 }],
      dose: { kind: 'free', durationS: 120 },
      options: [{ effort: 0 }, { effort: 0 }],
    }),
    makeExercise('return-to-sitting', {
      closing: 'way-up',
      family: 'release',
      tempo: 'hold',
      endPosition: 'seated',
      teaches: [{ foundation: 'release', depth: 1 }],
      dose: { kind: 'free', durationS: 40 },
      options: [{ effort: 0 }, { effort: 0 }],
    }),
    ...more,
  ]);
}
