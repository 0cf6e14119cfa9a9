import {
  breaths,
  composePlan,
  exercise,
  free,
  hold,
  pause,
  rounds,
  series,
  times,
  twice,
} from './compose-plan.ts';

/** A whole class of two groups: one on the machines, one on the mat, and then the other way round. */
export const TWO_GROUP_CLASS = composePlan(
  {
    title: 'Mats and machines',
    machine: 'reformer',
    targetS: 3300,
    style: 'steady',
    note: 'The mat half is what everybody knows; what is new waits for the machines.',
    changeOver: { durationS: 150 },
  },
  [
    [
      'Together',
      [
        pause('Who begins where; springs and boxes are set', 90),
        exercise('standing-roll-down', { dose: times(4) }),
        exercise('standing-side-reach', { dose: times(3, 'each') }),
        exercise('squat', { options: [1, 2], dose: times(8) }),
      ],
    ],
    [
      'Feet and loops',
      [
        exercise('footwork', {
          variants: [
            { option: 1, dose: times(10) },
            { option: 2, dose: times(10) },
            { option: 3, dose: times(8) },
            { option: 4, dose: times(8, 'each') },
          ],
        }),
        exercise('calf-raise', { dose: times(12) }),
        exercise('running', { dose: times(20) }),
        exercise('reformer-bridge', { dose: twice(5) }),
        exercise('feet-in-straps', {
          variants: [
            { option: 1, dose: times(8) },
            { option: 2, dose: times(8) },
            { option: 3, dose: times(6) },
          ],
        }),
      ],
      'reformer',
    ],
    [
      'Hands, standing',
      [
        exercise('elephant', { dose: times(8) }),
        exercise('knee-stretch', { dose: twice(10) }),
        exercise('scooter', { dose: times(10, 'each') }),
        exercise('front-lunge-stretch', {
          options: [1, 2],
          dose: hold(30, 'each'),
          gear: { springs: { heavy: 1 } },
        }),
      ],
      'reformer',
    ],
    [
      'On the back',
      [
        exercise('breath-three-way', { options: [1], dose: breaths(4) }),
        exercise('pelvic-tilt', { options: [1], dose: times(6) }),
        rounds(2, [
          exercise('bridge-roll', { options: [1, 2], dose: times(6) }),
          exercise('chest-lift', { options: [1, 2], dose: times(8) }),
        ]),
        exercise('knees-to-chest', { options: [1], dose: hold(20) }),
      ],
      'mat',
    ],
    [
      'Sides and front',
      [
        series([
          exercise('clam', { options: [1, 2], dose: times(12, 'each') }),
          exercise('side-leg-lift', { options: [1, 2], dose: times(12, 'each') }),
          exercise('side-leg-circle', { options: [1, 2], dose: times(8, 'each') }),
          exercise('arm-opening', { options: [1, 2], dose: times(3, 'each') }),
        ]),
        exercise('dart', { options: [1, 2], dose: times(6) }),
        exercise('shell-stretch', { options: [1, 2], dose: breaths(4) }),
        exercise('bird-dog', { options: [1, 2], dose: times(8, 'alternating') }),
        exercise('plank', { options: [1, 2], dose: hold(30) }),
      ],
      'mat',
    ],
    [
      'Together again',
      [
        exercise('mermaid', { options: [1, 2], dose: times(4, 'each') }),
        exercise('spine-twist', { options: [1, 2], dose: times(4, 'alternating') }),
        exercise('floor-sit-tall', { dose: free(60) }),
      ],
    ],
  ],
);
