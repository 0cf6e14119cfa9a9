import { createCatalogue } from '@wrenfern/core/movement/catalogue';
import { Exercise } from '@wrenfern/core/movement/exercise';
import { builtInCatalogue, builtInExercises } from '@wrenfern/library';

const HOME = {
  springs: { heavy: 2 },
  bar: 'middle',
  headrest: 'up',
  loops: 'none',
  box: 'none',
  facing: 'feet to bar',
} as const;

const breathing = builtInCatalogue.require('breath-three-way');

/** How the demo studio arrives on its machines. */
const ON_THE_CARRIAGE: Exercise = Exercise.parse({
  ...breathing,
  slug: 'lie-and-breathe',
  name: 'Lie, breathe, tilt',
  otherNames: [],
  machine: 'reformer',
  purpose: 'Arrives on the carriage: springs on, feet on the bar, breath wide, pelvis loose.',
  dose: { kind: 'breaths', count: 6 },
  options: [
    {
      ...breathing.options[0],
      settings: HOME,
      poses: [
        {
          shape: 'carriage-home',
          name: 'lying on the carriage, hands on ribs and belly',
          arms: { hand: 'ribs' },
        },
      ],
    },
    { ...breathing.options[1], settings: HOME, poses: ['carriage-home'] },
  ],
  standard: 1,
  prepares: ['footwork'],
  swaps: ['footwork'],
});

/** The demo studio's own exercises; everything about them is invented. */
export const DEMO_EXERCISES: readonly Exercise[] = [ON_THE_CARRIAGE];

export const DEMO_CATALOGUE = createCatalogue([...builtInExercises, ...DEMO_EXERCISES]);
