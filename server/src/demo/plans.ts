import type { Plan } from '@wrenfern/core/plan/plan';
import {
  breaths,
  composePlan as plan,
  exercise,
  free,
  pause,
  series,
  timed,
  times,
  twice,
} from '@wrenfern/library/compose-plan';

/** Today's class, with something to settle: too long, no side-bend, somebody without an option, a ball short. */
export const SMALL_BALL: Plan = plan(
  {
    title: 'Small ball evening',
    targetS: 1800,
    note: 'Long way to the roll back.',
    style: 'steady',
  },
  [
    [
      'Arrive',
      [
        pause('Welcome, balls and bands out', 120),
        exercise('breath-three-way', { options: [1, 2] }),
        exercise('inner-thigh-squeeze'),
        exercise('pelvic-tilt'),
      ],
    ],
    [
      'Build',
      [
        exercise('bridge-roll', { dose: times(6) }),
        exercise('knee-fold', { options: [1, 2] }),
        exercise('chest-lift', { dose: times(8) }),
        exercise('single-leg-stretch', { options: [1, 2] }),
        exercise('supine-rotation', { options: [1, 2], dose: times(4, 'alternating') }),
        exercise('knees-to-chest', { options: [1, 2] }),
        exercise('side-leg-lift', { options: [1, 2] }),
        exercise('side-leg-circle', { options: [1, 2] }),
        exercise('cat-cow'),
        exercise('bird-dog', { options: [1, 2, 3] }),
        exercise('dart', { options: [1, 2] }),
        exercise('breaststroke-prep', { options: [1, 2, 3] }),
        exercise('shell-stretch', { options: [1, 2] }),
        exercise('spine-twist', { options: [1, 2] }),
        exercise('half-roll-back', { options: [1, 2, 3] }),
      ],
    ],
    [
      'Release',
      [
        exercise('hamstring-strap', { options: [1, 2] }),
        exercise('figure-four', { options: [1, 2] }),
        exercise('final-rest', { dose: free(150) }),
        exercise('return-to-sitting'),
      ],
    ],
  ],
);

export const FOUNDATIONS: Plan = plan(
  {
    title: 'Foundations one',
    targetS: 2400,
    note: 'Part two next week: bridge with arms.',
    style: 'steady',
  },
  [
    [
      'Arrive',
      [
        pause('Welcome and last week', 180),
        exercise('body-scan', { options: [1, 2] }),
        exercise('breath-three-way'),
        exercise('pelvic-tilt', { options: [1, 2] }),
        exercise('pelvic-side-tilt', { options: [1, 2] }),
        exercise('arm-raise-ribs'),
      ],
    ],
    [
      'Build',
      [
        exercise('knee-fold'),
        exercise('pelvic-clock', { options: [1, 2, 3] }),
        exercise('bridge-roll', { options: [1, 2, 3] }),
        exercise('toe-tap', { options: [1, 2] }),
        exercise('chest-lift', { options: [1, 2] }),
        exercise('knees-to-chest'),
        pause('Water', 40),
        series([
          exercise('clam', { options: [1, 2] }),
          exercise('arm-opening', { options: [1, 2] }),
        ]),
        exercise('abdominal-draw'),
        exercise('cat-cow'),
        exercise('bird-dog', { options: [1, 2] }),
        exercise('thread-needle', { options: [1, 2] }),
        exercise('breaststroke-prep', { options: [1, 2], dose: times(8) }),
        exercise('shell-stretch', { options: [1, 2] }),
        exercise('spine-twist', { options: [1, 2] }),
        exercise('side-bend-seated', { options: [2] }),
      ],
    ],
    [
      'Release',
      [
        exercise('hamstring-strap', { options: [1, 2] }),
        exercise('supine-twist', { options: [1, 2] }),
        exercise('final-rest', { dose: free(120) }),
        exercise('return-to-sitting'),
      ],
    ],
  ],
);

/** No loaded rounding anywhere. */
export const BACK_EASE: Plan = plan(
  {
    title: 'Back ease',
    style: 'slow',
    targetS: 2700,
    school: 'graded-load',
    note: 'Nothing seated and round. Cushions at the end.',
  },
  [
    [
      'Arrive',
      [
        exercise('breath-three-way', { options: [1, 2] }),
        exercise('pelvic-tilt', { options: [1, 2] }),
        exercise('arm-raise-ribs', { options: [1, 2] }),
        exercise('knee-sway', { options: [1, 2] }),
        exercise('pelvic-side-tilt', { options: [1, 2] }),
      ],
    ],
    [
      'Build',
      [
        exercise('bridge-roll', { options: [1, 2, 3], dose: times(6) }),
        exercise('inner-thigh-squeeze'),
        exercise('knee-fold', { options: [1, 2], dose: times(6, 'alternating') }),
        series([
          exercise('clam', { options: [1, 2] }),
          exercise('side-leg-lift', { options: [1] }),
        ]),
        exercise('abdominal-draw', { options: [2, 3] }),
        exercise('cat-cow'),
        exercise('quadruped-rock', { options: [1, 2] }),
        exercise('bird-dog', { options: [1, 2, 3] }),
        exercise('swan-prep', { options: [1, 2] }),
        exercise('shell-stretch', { options: [1, 2] }),
      ],
    ],
    [
      'Release',
      [
        exercise('hamstring-strap', { options: [1, 2] }),
        exercise('figure-four', { options: [1, 2] }),
        exercise('supine-twist', { options: [1, 2] }),
        exercise('supported-arch', { options: [1, 2] }),
        exercise('return-to-sitting', { options: [1] }),
      ],
    ],
  ],
);

/** Forty-five on, fifteen to change; both sides are two intervals. */
export const TIMED_SETS: Plan = plan(
  { title: 'Forty-five fifteen', targetS: 1800, school: 'timed-sets', style: 'brisk' },
  [
    [
      'Arrive',
      [
        pause('How the intervals go', 30),
        exercise('breath-three-way', {
          options: [1, 2],
          dose: breaths(6),
        }),
        exercise('pelvic-tilt', { options: [1, 2], dose: timed() }),
        exercise('knee-sway', { dose: timed() }),
      ],
    ],
    [
      'Build',
      [
        exercise('toe-tap', { options: [1, 2], dose: timed() }),
        exercise('dead-bug', { dose: timed() }),
        exercise('bridge-roll', { options: [2, 3], dose: timed() }),
        exercise('side-leg-lift', { options: [1, 3], dose: timed('each') }),
        exercise('clam', { options: [2, 3], dose: timed('each') }),
        exercise('bird-dog', { options: [1, 2, 3], dose: timed() }),
        exercise('bear-hover', { options: [1, 2], dose: timed() }),
        exercise('plank', { dose: timed() }),
        pause('Water', 45),
        exercise('plank-step', { options: [1, 2], dose: timed() }),
        exercise('side-plank', { options: [1, 2], dose: timed('each', 30, 15) }),
        exercise('half-superman', { options: [1, 2], dose: timed() }),
        exercise('shell-stretch', { options: [1, 2] }),
        exercise('criss-cross', { options: [1, 2], dose: timed() }),
        exercise('single-leg-stretch', { options: [1, 2, 3], dose: timed() }),
        exercise('supine-rotation', { options: [1, 2], dose: timed() }),
        exercise('half-roll-back', { options: [1, 2], dose: timed() }),
      ],
    ],
    [
      'Release',
      [
        exercise('knees-to-chest', { options: [1, 2] }),
        exercise('hamstring-strap', { options: [1, 2] }),
        exercise('figure-four', { options: [1, 2] }),
        exercise('final-rest', { dose: free(165) }),
        exercise('return-to-sitting', { options: [1] }),
      ],
    ],
  ],
);

/** Every week, for whoever comes: heavy for the feet, lighter for the hands, one box, standing last. */
export const MACHINES_MIXED: Plan = plan(
  {
    title: 'Machines, mixed ability',
    style: 'steady',
    machine: 'reformer',
    targetS: 2700,
    note: 'Box on once, after the loops.',
  },
  [
    ['Arrive', [exercise('lie-and-breathe')]],
    [
      'Feet',
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
      ],
    ],
    [
      'Trunk and loops',
      [
        exercise('reformer-bridge', { dose: twice(6) }),
        exercise('supine-arms', {
          variants: [
            { option: 1, dose: times(8) },
            { option: 2, dose: times(8) },
            { option: 3, dose: times(6) },
          ],
        }),
        exercise('reformer-hundred', { options: [1, 2] }),
        exercise('coordination', { options: [1, 2], dose: times(6) }),
        exercise('feet-in-straps', {
          variants: [
            { option: 1, dose: times(8) },
            { option: 2, dose: times(8) },
            { option: 3, dose: times(6) },
          ],
        }),
      ],
    ],
    [
      'Box',
      [
        exercise('long-box-pulling-straps', { dose: times(8) }),
        exercise('long-box-breaststroke', { dose: times(6) }),
      ],
    ],
    [
      'Hands and knees',
      [
        pause('Box away, water', 60),
        exercise('knee-stretch', { dose: times(12) }),
        exercise('elephant', { dose: times(10) }),
        exercise('long-stretch', { options: [1, 2], dose: times(5) }),
      ],
    ],
    [
      'Kneeling and standing',
      [
        exercise('chest-expansion', { dose: twice(6) }),
        exercise('kneeling-arms', { dose: twice(6) }),
        exercise('scooter', { dose: times(10, 'each') }),
        exercise('side-splits', { options: [1, 2], dose: times(10) }),
      ],
    ],
    [
      'Close',
      [
        exercise('side-sit-mermaid-reformer', { dose: times(4, 'each') }),
        exercise('front-lunge-stretch'),
        exercise('roll-down-beside', { options: [1] }),
      ],
    ],
  ],
);

/** Week by week for people who are new to the machine: nothing standing on the carriage. */
export const MACHINES_FIRST: Plan = plan(
  {
    title: 'Machines, first course',
    machine: 'reformer',
    targetS: 2400,
    note: 'Show how to change springs once more.',
  },
  [
    ['Arrive', [pause('Round the machine, springs', 180), exercise('lie-and-breathe')]],
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
        exercise('calf-raise', { options: [1, 2], dose: times(10) }),
        exercise('running', { dose: times(16) }),
      ],
    ],
    [
      'Trunk and loops',
      [
        exercise('reformer-bridge', { options: [1, 2], dose: times(6), teaching: 'full' }),
        pause('Loops: how to take and leave them', 60),
        exercise('supine-arms', { options: [1, 2], dose: times(8), teaching: 'full' }),
        exercise('feet-in-straps', { options: [1, 2], dose: times(8), teaching: 'full' }),
      ],
    ],
    [
      'Hands and knees',
      [
        pause('Water', 60),
        exercise('knee-stretch', { options: [1, 2], dose: times(10), teaching: 'full' }),
        exercise('elephant', { options: [1, 2], dose: times(8) }),
      ],
    ],
    [
      'Kneeling and standing',
      [
        exercise('chest-expansion', { options: [1], dose: times(8) }),
        exercise('kneeling-arms', { options: [1], dose: times(8) }),
        exercise('scooter', { options: [1, 2], dose: times(8, 'each'), teaching: 'full' }),
      ],
    ],
    [
      'Close',
      [
        exercise('side-sit-mermaid-reformer', { options: [1, 2], dose: times(4, 'each') }),
        exercise('front-lunge-stretch', { options: [1, 2] }),
        exercise('roll-down-beside', { options: [1] }),
      ],
    ],
  ],
);
