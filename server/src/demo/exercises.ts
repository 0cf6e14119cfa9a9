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
const rollDown = builtInCatalogue.require('standing-roll-down');

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

/** How its machine classes end. */
const BESIDE_THE_MACHINE: Exercise = Exercise.parse({
  ...rollDown,
  slug: 'roll-down-beside',
  name: 'Roll down beside the machine',
  otherNames: [],
  classicOrder: undefined,
  machine: 'reformer',
  purpose: 'Lets the spine hang once more, both feet on the floor, a hand near the frame.',
  options: rollDown.options
    .filter(({ number }) => number !== 2)
    .map((option, index) => ({ ...option, number: index + 1 })),
  standard: 1,
  prepares: [],
  swaps: ['front-lunge-stretch'],
});

/** The demo studio's own exercises; everything about them is invented. */
export const DEMO_EXERCISES: readonly Exercise[] = [ON_THE_CARRIAGE, BESIDE_THE_MACHINE];

export const DEMO_CATALOGUE = createCatalogue([...builtInExercises, ...DEMO_EXERCISES]);
