import type { Block, Blueprint } from './block.ts';
import type { Character } from './characters.ts';
import {
  at,
  curls,
  isBridge,
  isLettingGo,
  isLoadedOrUpsideDown,
  isPlainBridge,
  lies,
  ofFamily,
  softer,
  withSlug,
} from './choice-tests.ts';
import type { Choice } from './pool.ts';

/** How a class of two groups divides, in seconds. Common practice. */
export const TWO_GROUPS = { together: 255, changeOver: 150 } as const;

const isFirst = withSlug('standing-roll-down');

/**
 * The mat half between what all do together: known things in long series, a class of its own with a crest of its own.
 * Together everybody stands first and sits at the end. Common practice.
 */
export function matHalfBlueprint(
  seconds: number,
  familiar: ReadonlySet<string> | undefined,
): Blueprint {
  const share = TWO_GROUPS.together / seconds;
  const blocks: Block[] = [
    {
      id: 'together',
      name: 'Together',
      share: [0.7 * share, 1.2 * share],
      exercises: [2, 3],
      fits: (choice) =>
        withSlug(
          'standing-roll-down',
          'standing-side-reach',
          'standing-arms',
          'standing-hinge',
          'heel-raise',
          'squat',
          'lunge',
        )(choice) && softer(2)(choice),
      // Soft first, whoever may roll down.
      holds: [isFirst, softer(1)],
      rank: (choice) => Number(!isFirst(choice)),
    },
    {
      id: 'back',
      name: 'On the back',
      share: [0.2, 0.3],
      exercises: [4, 5],
      fits: (choice) =>
        lies(choice) &&
        (isLettingGo(choice) || ofFamily('trunk', 'spine', 'hips', 'awareness')(choice)),
      holds: [isPlainBridge, curls],
      rank: rankOnBack,
    },
    {
      id: 'sides',
      name: 'Sides',
      share: [0.2, 0.3],
      exercises: [3, 4],
      isSeries: true,
      fits: (choice) => at('side-lying')(choice) && !ofFamily('awareness')(choice),
      rank: (choice) => Number(!ofFamily('hips')(choice)),
    },
    {
      id: 'hands',
      name: 'Front and hands',
      share: [0.14, 0.26],
      exercises: [3, 4],
      fits: (choice) =>
        at('prone', 'quadruped')(choice) || withSlug('plank', 'shell-stretch')(choice),
      holds: [
        (choice) => at('prone')(choice) && !ofFamily('release', 'awareness')(choice),
        at('quadruped'),
        withSlug('plank', 'bird-dog'),
      ],
      rank: rankOnHands,
    },
    {
      id: 'together-again',
      name: 'Together again',
      share: [0.7 * share, 1.3 * share],
      exercises: [2, 3],
      fits: (choice) =>
        at('seated')(choice) && softer(1.5)(choice) && choice.exercise.closing === undefined,
      holds: [(choice) => ofFamily('spine')(choice)],
      rank: (choice) => Number(ofFamily('release')(choice)),
    },
  ];
  const isKnown = ({ exercise }: Choice) => familiar === undefined || familiar.has(exercise.slug);
  const isShared = (choice: Choice) => at('standing', 'seated')(choice);
  return {
    blocks,
    // One teacher is with the machines: nothing new, nothing that has to be watched.
    leavesOut: (choice) =>
      isLoadedOrUpsideDown(choice) ||
      !softer(3.5)(choice) ||
      !(isKnown(choice) || isShared(choice)),
  };
}

const isArriving = (choice: Choice) =>
  choice.exercise.teaches.some(
    ({ foundation }) => foundation === 'breath' || foundation === 'settle',
  );

function rankOnBack(choice: Choice): number {
  // Breath, then the tilt that all other moves of the pelvis begin with.
  if (withSlug('pelvic-tilt')(choice)) return 0.3;
  if (ofFamily('awareness')(choice)) return isArriving(choice) ? 0 : 0.6;
  if (isPlainBridge(choice)) return 1;
  if (isBridge(choice)) return 2;
  return isLettingGo(choice) ? 4 : 3;
}

function rankOnHands(choice: Choice): number {
  if (at('prone')(choice)) return 0;
  if (withSlug('shell-stretch')(choice)) return 1;
  return at('quadruped')(choice) ? 2 : 3;
}

/**
 * Behind footwork and bridge, what shares a setting stands together: each proposal goes another way. Slugs in their
 * order.
 */
const MACHINE_PLACES: Record<
  Character['id'],
  readonly (readonly [name: string, ...slugs: string[]])[]
> = {
  near: [
    ['Feet in loops', 'feet-in-straps'],
    ['Hands and knees', 'elephant', 'knee-stretch', 'up-stretch'],
    ['Plank and standing', 'long-stretch', 'scooter'],
  ],
  fresh: [
    ['Arms and trunk', 'supine-arms', 'mid-back-series', 'coordination'],
    ['Kneeling', 'chest-expansion', 'kneeling-arms', 'thigh-stretch'],
    ['Standing', 'scooter'],
  ],
  calm: [
    ['Arms and trunk', 'supine-arms', 'reformer-hundred'],
    ['Short box', 'short-box-round', 'short-box-flat', 'short-box-side', 'short-box-tree'],
    ['Standing', 'scooter'],
  ],
};

/** Without these a half on the machines is none. */
const NEEDED: ReadonlySet<string> = new Set([
  'footwork',
  'reformer-bridge',
  'short-box-flat',
  'scooter',
]);

/** Four or five settings, one box or none: feet, trunk, loops or the box, hands, standing. Common practice. */
export function machineHalfBlueprint(character: Character['id']): Blueprint {
  const block = (
    id: string,
    name: string,
    share: [number, number],
    slugs: readonly string[],
  ): Block => {
    const needed = slugs.filter((slug) => NEEDED.has(slug));
    return {
      id,
      name,
      share,
      exercises: [1, Math.min(4, slugs.length)],
      fits: withSlug(...slugs),
      holds: [withSlug(...slugs), ...needed.map((slug) => withSlug(slug))],
      rank: ({ exercise }) => slugs.indexOf(exercise.slug),
    };
  };
  return {
    blocks: [
      block('feet', 'Footwork', [0.24, 0.4], ['footwork', 'calf-raise', 'running']),
      block('bridge', 'Bridge', [0.08, 0.18], ['reformer-bridge']),
      ...MACHINE_PLACES[character].map(([name, ...slugs], at) =>
        block(`place-${at + 1}`, name, [0.1, 0.3], slugs),
      ),
    ],
    leavesOut: () => false,
  };
}
