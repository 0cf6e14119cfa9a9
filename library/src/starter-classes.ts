import type { Plan } from '@wrenfern/core/plan/plan';
import { composePlan, exercise, free, hold, pause, series, times, twice } from './compose-plan.ts';

/** Told in few words unless the plan says otherwise: in a studio that begins, every exercise would count as new. */
function briefly(plan: Plan): Plan {
  return {
    ...plan,
    segments: plan.segments.map((segment) => ({
      ...segment,
      items: segment.items.map((item) =>
        item.kind === 'exercise' ? { ...item, teaching: item.teaching ?? 'brief' } : item,
      ),
    })),
  };
}

const WRITTEN = {
  mat: composePlan(
    {
      title: 'A first mat hour, shortened',
      targetS: 2400,
      note: 'For a group of mixed ability. Every exercise has its options: say the first, show the second.',
    },
    [
      [
        'Arrive',
        [
          pause('Welcome, how is everybody today', 120),
          exercise('breath-three-way', { options: [1, 2] }),
          exercise('inner-thigh-squeeze'),
          exercise('pelvic-tilt', { dose: times(6) }),
        ],
      ],
      [
        'Warm up',
        [
          exercise('knee-fold', { options: [1, 2], dose: times(5, 'each') }),
          exercise('knee-sway', { dose: times(5, 'alternating') }),
          exercise('bridge-roll', { options: [1, 2], dose: twice(5) }),
          exercise('arm-raise-ribs', { dose: times(6) }),
        ],
      ],
      [
        'Main part',
        [
          exercise('chest-lift', { options: [1, 2], dose: times(8) }),
          exercise('toe-tap', { options: [1, 2], dose: times(6, 'alternating') }),
          exercise('single-leg-stretch', { options: [1, 2], dose: times(8, 'alternating') }),
          series([
            exercise('clam', { options: [1, 2], dose: times(8, 'each') }),
            exercise('side-leg-lift', { options: [1, 2], dose: times(8, 'each') }),
            exercise('arm-opening', { options: [1, 2], dose: times(4, 'each') }),
          ]),
          pause('Water', 45),
          exercise('dart', { options: [1, 2], dose: times(6) }),
          exercise('breaststroke-prep', { options: [1, 2], dose: times(6) }),
          exercise('shell-stretch', { options: [1, 2] }),
          exercise('cat-cow', { options: [1, 2], dose: times(6) }),
          exercise('bird-dog', { options: [1, 2, 3], dose: times(5, 'alternating') }),
        ],
      ],
      [
        'Close',
        [
          exercise('spine-twist', { options: [1, 2], dose: times(4, 'alternating') }),
          exercise('mermaid', { options: [1, 2], dose: times(4, 'each') }),
          exercise('hamstring-strap', { options: [1, 2] }),
          exercise('figure-four', { options: [1, 2] }),
          exercise('final-rest', { dose: free(150) }),
          exercise('return-to-sitting', { options: [1] }),
        ],
      ],
    ],
  ),
  reformer: composePlan(
    {
      title: 'A first hour on the machine, shortened',
      machine: 'reformer',
      targetS: 2580,
      note: 'Show how springs are changed, and how one steps on and off, before anything moves. Makers’ instructions come first.',
    },
    [
      [
        'Arrive',
        [
          pause('Round the machine: springs, bar, loops', 180),
          pause('On the back, springs on: breathe, let the shoulders be heavy', 90),
        ],
      ],
      [
        'Feet',
        [
          exercise('footwork', {
            variants: [
              { option: 1, dose: times(10) },
              { option: 2, dose: times(10) },
              { option: 3, dose: times(8) },
            ],
            teaching: 'full',
          }),
          exercise('calf-raise', { options: [1, 2], dose: times(12) }),
          exercise('running', { options: [1, 2], dose: times(20) }),
        ],
      ],
      [
        'Loops and trunk',
        [
          pause('Loops: how to take and leave them', 60),
          exercise('feet-in-straps', { options: [1, 2], dose: twice(8), teaching: 'full' }),
          exercise('supine-arms', { options: [1, 2], dose: twice(8), teaching: 'full' }),
          exercise('reformer-bridge', { options: [1, 2], dose: twice(5), teaching: 'full' }),
        ],
      ],
      [
        'On the box',
        [
          pause('Box lengthwise: how it is put on, water', 90),
          exercise('long-box-pulling-straps', { options: [1], dose: twice(6), teaching: 'full' }),
        ],
      ],
      [
        'Hands and knees',
        [
          exercise('elephant', { options: [1, 2], dose: times(6), teaching: 'full' }),
          pause('Water, shake the hands', 40),
          exercise('knee-stretch', { options: [1, 2], dose: times(10), teaching: 'full' }),
        ],
      ],
      [
        'Kneeling, sitting, standing',
        [
          exercise('chest-expansion', { options: [1], dose: times(8), teaching: 'full' }),
          exercise('side-sit-mermaid-reformer', { options: [1, 2], dose: times(4, 'each') }),
          exercise('scooter', { options: [1, 2], dose: times(8, 'each'), teaching: 'full' }),
        ],
      ],
      [
        'Close',
        [
          exercise('front-lunge-stretch', { options: [1, 2], dose: hold(45, 'each') }),
          pause('Step off, springs on, roll down beside the machine', 60),
        ],
      ],
    ],
  ),
  chair: composePlan(
    {
      title: 'Beside a chair',
      targetS: 1200,
      note: 'A chair for everybody, its back to a wall, a hand on it whenever it is wanted. Nobody goes down to the floor.',
    },
    [
      [
        'Arrive, seated',
        [
          pause('Chairs to the wall, shoes off, how is everybody today', 180),
          exercise('breath-three-way', {
            options: [1],
            note: 'Sitting tall on the chair, hands on the ribs.',
          }),
          exercise('neck-lengthen', { options: [1], note: 'On the chair.' }),
        ],
      ],
      [
        'Seated',
        [
          exercise('spine-twist', {
            options: [1],
            dose: times(4, 'alternating'),
            note: 'On the chair, both feet down.',
          }),
          exercise('side-bend-seated', { options: [1], dose: times(5, 'each') }),
          exercise('seated-figure-four', { options: [2], dose: hold(45, 'each') }),
        ],
      ],
      [
        'Standing, a hand on the chair',
        [
          exercise('standing-balance', { options: [1], dose: hold(30, 'each') }),
          exercise('standing-hinge', { options: [1], dose: twice(6) }),
          exercise('calf-wall', { options: [1], dose: hold(40, 'each') }),
          exercise('chest-opener-wall', { options: [1], dose: hold(40, 'each') }),
        ],
      ],
      ['Close, seated', [pause('Sit, breathe, and feel both feet', 150)]],
    ],
  ),
} as const satisfies Record<string, Plan>;

/** For whoever has no class yet: whole classes to look at, teach and change. */
export const STARTER_CLASSES = {
  mat: briefly(WRITTEN.mat),
  reformer: briefly(WRITTEN.reformer),
  chair: briefly(WRITTEN.chair),
} as const;
