import type { Plan } from '@wrenfern/core/plan/plan';
import {
  breaths,
  composePlan as plan,
  exercise,
  free,
  hold,
  pause,
  rounds,
  series,
  timed,
  times,
  twice,
} from './compose-plan.ts';
import { TWO_GROUP_CLASS } from './two-group-class.ts';

/** A class, and the rules whose findings a careful teacher would call right or fair, gravest first. */
export interface ExpertClass {
  name: string;
  plan: Plan;
  fair: readonly string[];
}

/**
 * Classes written as experienced teachers build them, with series, rounds and ladders; beside each the findings that
 * such a teacher would accept. Common practice; the classes are ours.
 */
export const EXPERT_CLASSES: readonly ExpertClass[] = [
  {
    name: 'a quiet mat class of 45 minutes',
    fair: ['body-parts'],
    plan: plan({ title: 'Quiet mat', targetS: 2700, style: 'slow' }, [
      [
        'Arrive',
        [
          exercise('breath-three-way', { options: [1], dose: breaths(6) }),
          exercise('pelvic-tilt', { options: [1], dose: times(6) }),
          exercise('pelvic-clock', { options: [2], dose: times(3) }),
          exercise('knee-fold', { options: [2], dose: times(6, 'alternating') }),
        ],
      ],
      [
        'On the back',
        [
          exercise('bridge-roll', { options: [2, 3], dose: times(6) }),
          exercise('knee-sway', { options: [1], dose: times(6, 'alternating') }),
          exercise('toe-tap', { options: [1, 2], dose: times(8, 'alternating') }),
          exercise('chest-lift', { options: [1, 2], dose: times(8) }),
          exercise('knees-to-chest', { options: [1], dose: hold(20) }),
          exercise('single-leg-stretch', { options: [2, 3], dose: times(10, 'alternating') }),
        ],
      ],
      [
        'Sides',
        [
          series([
            exercise('clam', { options: [1, 2], dose: times(10, 'each') }),
            exercise('side-leg-lift', { options: [1], dose: times(10, 'each') }),
            exercise('side-leg-circle', { options: [1], dose: times(8, 'each') }),
            exercise('arm-opening', { options: [1], dose: times(3, 'each') }),
          ]),
        ],
      ],
      [
        'Front and hands',
        [
          exercise('dart', { options: [1, 2], dose: times(6) }),
          exercise('breaststroke-prep', { options: [1, 2], dose: times(6) }),
          exercise('shell-stretch', { options: [1, 2], dose: breaths(5) }),
          exercise('cat-cow', { dose: times(5) }),
          exercise('bird-dog', { options: [2, 3], dose: times(8, 'alternating') }),
          exercise('plank', { options: [1, 2], dose: hold(20) }),
        ],
      ],
      [
        'Close',
        [
          exercise('mermaid', { options: [1, 2], dose: times(3, 'each') }),
          exercise('spine-twist', { options: [1, 2], dose: times(4, 'alternating') }),
          exercise('figure-four', { options: [1], dose: hold(45, 'each') }),
          exercise('final-rest', { dose: free(120) }),
          exercise('return-to-sitting'),
        ],
      ],
    ]),
  },
  {
    name: 'a mat class that opens standing',
    fair: [],
    plan: plan({ title: 'Down and up again', targetS: 2700, style: 'steady' }, [
      [
        'Standing',
        [
          exercise('standing-roll-down', { dose: times(4) }),
          exercise('standing-side-reach', { options: [1, 2], dose: times(4, 'each') }),
          exercise('squat', { options: [1, 2], dose: times(8) }),
          exercise('walk-out', { options: [1, 2], dose: times(3) }),
        ],
      ],
      [
        'All fours and front',
        [
          exercise('cat-cow', { dose: times(6) }),
          exercise('bird-dog', { options: [2, 3], dose: times(8, 'alternating') }),
          exercise('plank', { options: [1, 2, 3], dose: hold(30) }),
          exercise('shell-stretch', { options: [1, 2], dose: breaths(4) }),
          exercise('swan-prep', { options: [2, 3], dose: times(5) }),
          exercise('single-leg-kick', { dose: times(8, 'alternating') }),
          exercise('shell-stretch', { options: [1, 2], dose: breaths(3) }),
        ],
      ],
      [
        'Sides',
        [
          series([
            exercise('side-kick', { options: [1, 2], dose: times(10, 'each') }),
            exercise('side-leg-circle', { options: [1, 2], dose: times(8, 'each') }),
            exercise('side-double-lift', { options: [1, 2], dose: times(8, 'each') }),
            exercise('side-plank', { options: [1, 2], dose: hold(20, 'each') }),
          ]),
        ],
      ],
      [
        'On the back',
        [
          exercise('pelvic-tilt', { options: [1], dose: times(5) }),
          rounds(2, [
            exercise('bridge-roll', { options: [2, 3], dose: times(6) }),
            exercise('chest-lift', { options: [1, 2], dose: times(8) }),
          ]),
          exercise('knees-to-chest', { options: [1], dose: hold(20) }),
          exercise('single-leg-stretch', { options: [3, 4], dose: times(10, 'alternating') }),
          exercise('criss-cross', { options: [1, 2], dose: times(8, 'alternating') }),
          exercise('knee-sway', { options: [1], dose: times(6, 'alternating') }),
          exercise('single-leg-circle', { options: [1, 3], dose: times(6, 'each') }),
        ],
      ],
      [
        'Sitting and close',
        [
          exercise('half-roll-back', { options: [2, 3], dose: times(5) }),
          exercise('saw', { options: [1, 2], dose: times(3, 'alternating') }),
          exercise('hamstring-strap', { options: [1, 2], dose: hold(45, 'each') }),
          exercise('figure-four', { options: [1], dose: hold(45, 'each') }),
          exercise('final-rest', { dose: free(120) }),
          exercise('return-to-sitting'),
        ],
      ],
    ]),
  },
  {
    name: 'a climb to the teaser',
    fair: ['body-parts'],
    plan: plan({ title: 'Up to the teaser', targetS: 2700, style: 'steady' }, [
      [
        'Arrive',
        [
          exercise('breath-three-way', { options: [1], dose: breaths(5) }),
          exercise('pelvic-tilt', { options: [1], dose: times(6) }),
          exercise('pelvic-side-tilt', { options: [2], dose: times(6, 'alternating') }),
          exercise('hamstring-strap', { options: [1], dose: hold(30, 'each') }),
        ],
      ],
      [
        'Wake',
        [
          exercise('bridge-roll', { options: [2, 3], dose: times(6) }),
          exercise('toe-tap', { options: [1, 2], dose: times(8, 'alternating') }),
          exercise('chest-lift', { options: [1, 2], dose: times(8) }),
          exercise('single-leg-stretch', { options: [3, 4], dose: times(10, 'alternating') }),
          exercise('knees-to-chest', { options: [1], dose: hold(20) }),
        ],
      ],
      [
        'Sides',
        [
          series([
            exercise('side-leg-lift', { options: [1, 3], dose: times(10, 'each') }),
            exercise('side-kick', { options: [1, 2], dose: times(8, 'each') }),
            exercise('side-leg-forward', { options: [1, 2], dose: times(8, 'each') }),
          ]),
        ],
      ],
      [
        'Back and hands',
        [
          exercise('breaststroke-prep', { options: [1, 2], dose: times(6) }),
          exercise('swimming', { options: [2, 3], dose: times(20) }),
          exercise('shell-stretch', { options: [1, 2], dose: breaths(4) }),
          exercise('plank', { options: [1, 2, 3], dose: hold(30) }),
        ],
      ],
      [
        'Climb',
        [
          exercise('half-roll-back', { options: [2], dose: times(5) }),
          exercise('half-roll-back', { options: [3], dose: times(5) }),
          exercise('roll-up', { options: [2, 3], dose: times(5) }),
          exercise('teaser', { options: [1], dose: times(3, 'each') }),
          exercise('teaser', { options: [2], dose: times(3, 'each') }),
          exercise('teaser', { options: [3], dose: times(3) }),
        ],
      ],
      [
        'Close',
        [
          exercise('spine-stretch', { options: [1, 2], dose: times(4) }),
          exercise('mermaid', { options: [1, 2], dose: times(3, 'each') }),
          exercise('figure-four', { options: [1], dose: hold(45, 'each') }),
          exercise('final-rest', { dose: free(120) }),
          exercise('return-to-sitting'),
        ],
      ],
    ]),
  },
  {
    name: 'a fixed sequence of half an hour',
    fair: ['classic-order'],
    plan: plan({ title: 'In order', targetS: 1800, school: 'classic', style: 'brisk' }, [
      [
        'The order',
        [
          exercise('hundred', { options: [2, 3], dose: times(100) }),
          exercise('roll-up', { options: [2, 3], dose: times(5) }),
          exercise('single-leg-circle', { options: [3], dose: times(5, 'each') }),
          exercise('rolling-ball', { options: [1, 2], dose: times(6) }),
          exercise('single-leg-stretch', { options: [4], dose: times(8, 'alternating') }),
          exercise('double-leg-stretch', { options: [3], dose: times(6) }),
          exercise('spine-stretch', { options: [2], dose: times(3) }),
          exercise('open-leg-rocker', { options: [2, 3], dose: times(5) }),
          exercise('saw', { options: [2], dose: times(3, 'alternating') }),
          exercise('swan-prep', { options: [2, 3], dose: times(5) }),
          exercise('single-leg-kick', { dose: times(6, 'alternating') }),
          exercise('shoulder-bridge-kick', { options: [1, 2], dose: times(3, 'each') }),
          exercise('spine-twist', { options: [2], dose: times(4, 'alternating') }),
          exercise('side-kick', { options: [2], dose: times(8, 'each') }),
          exercise('teaser', { options: [2, 3], dose: times(3) }),
          exercise('swimming', { options: [3], dose: times(20) }),
          exercise('leg-pull-front', { options: [2, 3], dose: times(3, 'alternating') }),
          exercise('mermaid', { options: [2], dose: times(3, 'each') }),
          exercise('seal', { options: [1, 2], dose: times(6) }),
          exercise('push-up-series', { options: [2, 3], dose: times(3) }),
        ],
      ],
    ]),
  },
  {
    name: 'timed sets',
    fair: [],
    plan: plan({ title: 'By the clock', targetS: 1800, school: 'timed-sets' }, [
      [
        'Warm up',
        [
          exercise('pelvic-tilt', { options: [1], dose: times(6) }),
          exercise('bridge-roll', { options: [2], dose: times(6) }),
          exercise('cat-cow', { dose: times(5) }),
          exercise('standing-roll-down', { dose: times(3) }),
        ],
      ],
      [
        'First block',
        [
          rounds(2, [
            exercise('plank', { dose: timed('none', 40, 20) }),
            exercise('bridge-leg', { onlySide: 'right', dose: timed('none', 40, 20) }),
            exercise('bridge-leg', { onlySide: 'left', dose: timed('none', 40, 20) }),
            exercise('dead-bug', { dose: timed('none', 40, 20) }),
            exercise('half-superman', { dose: timed('none', 40, 20) }),
          ]),
          pause('Water', 60),
        ],
      ],
      [
        'Second block',
        [
          rounds(2, [
            exercise('lunge', { onlySide: 'right', dose: timed('none', 40, 20) }),
            exercise('lunge', { onlySide: 'left', dose: timed('none', 40, 20) }),
            exercise('squat', { dose: timed('none', 40, 20) }),
            exercise('bear-hover', { dose: timed('none', 40, 20) }),
          ]),
        ],
      ],
      [
        'Close',
        [
          exercise('shell-stretch', { options: [1, 2], dose: breaths(5) }),
          exercise('kneeling-hip-flexor', { options: [1], dose: hold(30, 'each') }),
          exercise('spine-twist', { options: [1], dose: times(4, 'alternating') }),
        ],
      ],
    ]),
  },
  {
    name: 'a lesson on the roll up',
    fair: [],
    plan: plan({ title: 'Roll up, in parts', targetS: 420 }, [
      [
        'Lesson',
        [
          exercise('roll-up', { options: [3], dose: times(1), explainS: 40, note: 'Shown first.' }),
          exercise('half-roll-back', { options: [2], dose: times(3), explainS: 30 }),
          exercise('half-roll-back', { options: [3], dose: times(3), explainS: 20 }),
          exercise('chest-lift', { options: [2], dose: times(4), explainS: 20 }),
          exercise('roll-up', { options: [2], dose: times(3), explainS: 20 }),
          exercise('roll-up', { options: [3], dose: times(3) }),
        ],
      ],
    ]),
  },
  {
    name: 'a short set for the hips',
    fair: [],
    plan: plan({ title: 'Ten minutes of hips', targetS: 600, style: 'steady' }, [
      [
        'Hips',
        [
          exercise('bridge-roll', { options: [2], dose: times(8) }),
          series([
            exercise('clam', { options: [2], dose: times(12, 'each') }),
            exercise('side-leg-lift', { options: [1, 3], dose: times(10, 'each') }),
            exercise('side-leg-circle', { options: [1], dose: times(8, 'each') }),
            exercise('side-double-lift', { options: [1, 2], dose: times(8, 'each') }),
          ]),
          exercise('figure-four', { options: [1], dose: hold(30, 'each') }),
        ],
      ],
    ]),
  },
  {
    name: 'a reformer class for mixed levels',
    fair: ['body-parts', 'machine-blocks'],
    plan: plan({ title: 'Machines', machine: 'reformer', targetS: 3000, style: 'steady' }, [
      ['Arrive', [exercise('carriage-breath', { dose: breaths(5) })]],
      [
        'Feet',
        [
          exercise('footwork', {
            variants: [
              { option: 1, dose: times(10) },
              { option: 2, dose: times(10) },
              { option: 3, dose: times(10) },
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
          exercise('feet-in-straps', {
            variants: [
              { option: 1, dose: times(8) },
              { option: 2, dose: times(8) },
              { option: 3, dose: times(6) },
              { option: 4, dose: times(8) },
            ],
          }),
        ],
      ],
      [
        'Long box',
        [
          exercise('long-box-pulling-straps', { dose: times(8) }),
          exercise('long-box-breaststroke', { options: [1, 2], dose: times(6) }),
          exercise('swan-long-box', { options: [1, 2], dose: times(5) }),
        ],
      ],
      [
        'Hands and knees',
        [
          exercise('carriage-rest', { dose: breaths(4) }),
          exercise('elephant', { dose: times(10) }),
          exercise('knee-stretch', { options: [1, 2], dose: times(12) }),
          exercise('long-stretch', { options: [1, 2], dose: times(5) }),
        ],
      ],
      [
        'Kneeling and standing',
        [
          exercise('chest-expansion', { options: [1, 2], dose: times(8) }),
          exercise('kneeling-arms', { options: [1, 2], dose: times(8) }),
          exercise('side-arm-kneeling', { dose: times(8, 'each') }),
          exercise('scooter', { dose: times(10, 'each') }),
        ],
      ],
      [
        'Close',
        [
          exercise('front-lunge-stretch', { options: [1, 2], dose: hold(45, 'each') }),
          exercise('side-sit-mermaid-reformer', { options: [1, 2], dose: times(3, 'each') }),
          exercise('roll-down-beside', { dose: times(3) }),
        ],
      ],
    ]),
  },
  {
    name: 'a strong reformer class with jumps',
    fair: ['six-directions', 'machine-blocks', 'machine-blocks'],
    plan: plan({ title: 'Jumps', machine: 'reformer', targetS: 2400, style: 'brisk' }, [
      ['Arrive', [exercise('carriage-breath', { dose: breaths(4) })]],
      [
        'Feet and jumps',
        [
          exercise('footwork', {
            variants: [
              { option: 1, dose: times(12) },
              { option: 2, dose: times(12) },
              { option: 3, dose: times(10) },
            ],
          }),
          exercise('calf-raise', { dose: times(12) }),
          exercise('running', { dose: times(30) }),
          exercise('reformer-bridge', { dose: twice(6) }),
        ],
      ],
      [
        'Trunk',
        [
          exercise('reformer-hundred', { options: [1, 2] }),
          exercise('coordination', { dose: times(8) }),
          exercise('feet-in-straps', {
            variants: [
              { option: 1, dose: times(10) },
              { option: 2, dose: times(8) },
              { option: 3, dose: times(8) },
            ],
          }),
          exercise('jumping', { options: [2, 3], dose: { ...times(20), sets: 3 } }),
          exercise('carriage-rest', { dose: breaths(4) }),
        ],
      ],
      [
        'Short box',
        [
          exercise('short-box-round', { dose: times(6) }),
          exercise('short-box-flat', { dose: times(6) }),
          exercise('short-box-side', { dose: times(5, 'each') }),
        ],
      ],
      [
        'Planks',
        [
          exercise('elephant', { dose: times(10) }),
          exercise('long-stretch', { options: [2], dose: times(6) }),
          exercise('up-stretch', { options: [1, 2], dose: times(5) }),
        ],
      ],
      [
        'Standing',
        [
          exercise('chest-expansion', { options: [2], dose: times(8) }),
          exercise('scooter', { dose: times(12, 'each') }),
          exercise('side-splits', { options: [1, 2], dose: times(10) }),
        ],
      ],
      [
        'Close',
        [
          exercise('front-lunge-stretch', { options: [1, 2], dose: hold(45, 'each') }),
          exercise('roll-down-beside', { dose: times(3) }),
        ],
      ],
    ]),
  },
  { name: 'two groups on mats and machines', fair: [], plan: TWO_GROUP_CLASS },
  {
    name: 'a class for backs',
    fair: ['rehearse-then-prop'],
    plan: plan({ title: 'Kind to the back', targetS: 2700, school: 'graded-load', style: 'slow' }, [
      [
        'Arrive',
        [
          exercise('breath-three-way', { options: [1], dose: breaths(8) }),
          exercise('pelvic-tilt', { options: [1], dose: times(8) }),
          exercise('knee-drop-out', { options: [1, 2], dose: times(6, 'alternating') }),
        ],
      ],
      [
        'On the back',
        [
          exercise('heel-press', { dose: hold(10) }),
          exercise('knee-fold', { options: [1, 2], dose: times(6, 'alternating') }),
          exercise('bridge-roll', { options: [1, 2], dose: twice(8) }),
          exercise('dead-bug', { options: [1, 2], dose: times(8, 'alternating') }),
          exercise('knees-to-chest', { options: [1], dose: hold(20) }),
        ],
      ],
      [
        'Sides',
        [
          series([
            exercise('clam', { options: [1, 2], dose: times(12, 'each') }),
            exercise('side-leg-lift', { options: [1], dose: times(10, 'each') }),
            exercise('side-pelvis-rock', { dose: times(6, 'each') }),
            exercise('arm-opening', { options: [1], dose: times(3, 'each') }),
          ]),
        ],
      ],
      [
        'Hands and knees',
        [
          exercise('cat-small', { dose: times(5) }),
          exercise('bird-dog', { options: [2, 3], dose: twice(6) }),
          exercise('shell-stretch', { options: [1], dose: breaths(5) }),
          exercise('dart', { options: [1, 2], dose: twice(5) }),
          exercise('plank', { options: [1, 2], dose: hold(15) }),
          exercise('shell-stretch', { options: [1], dose: breaths(4) }),
        ],
      ],
      [
        'Close',
        [
          exercise('kneeling-hinge', { options: [1], dose: times(6) }),
          exercise('standing-balance', { options: [1], dose: hold(20, 'each') }),
          exercise('standing-side-reach', { options: [1], dose: times(4, 'each') }),
          exercise('chest-opener-wall', { options: [1], dose: hold(30, 'each') }),
          pause('What to take home', 60),
        ],
      ],
    ]),
  },
];
