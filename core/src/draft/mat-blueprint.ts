import type { Position } from '../movement/vocabulary.ts';
import type { SchoolRules } from '../plan/school.ts';
import type { Block, Blueprint } from './block.ts';
import type { Character } from './characters.ts';
import {
  at,
  curls,
  goesOver,
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

/** Minutes from which a class has each of its blocks. Common practice. */
const WHOLE = 40;
const SHORT = 25;
const ROUTINE = 15;

/** Where a class goes from the hands: each proposal another way. */
const UPRIGHT: Record<Character['id'], readonly Position[]> = {
  near: ['seated'],
  fresh: ['standing'],
  calm: ['kneeling', 'seated'],
};

const isArrival = (choice: Choice) =>
  lies(choice) && ofFamily('awareness')(choice) && softer(1)(choice);
const isStillWork = (choice: Choice) =>
  choice.moves.every((move) => move === 'still') &&
  choice.exercise.teaches.some(
    ({ foundation }) => foundation === 'support' || foundation === 'levers',
  );
const isStretch = (choice: Choice) =>
  ofFamily('release')(choice) && choice.exercise.closing === undefined;

const isDrawnIn = withSlug('knees-to-chest');
const isLegStretch = (choice: Choice) =>
  isStretch(choice) &&
  choice.exercise.bodyParts.some((part) => part.startsWith('hip-') || part === 'legs');

/**
 * Down the levels once and up once: lying, on the side, on the front and the hands, upright, rest. Each block has its own
 * crest, each a little higher. Common practice.
 */
export function matBlueprint(
  minutes: number,
  character: Character['id'],
  school: SchoolRules,
  climbs: Choice | undefined,
): Blueprint {
  const sparesBacks = school.defaults.dose.kind === 'counted' && school.effortCeiling < 4;
  // Behind a top that lies or sits nobody stands up at once.
  const isLow = climbs !== undefined && at('supine', 'seated')(climbs);
  const upwards = isLow && character === 'fresh' ? 'calm' : character;
  const all = [
    arrive(minutes),
    wake(minutes),
    sparesBacks ? belly(minutes) : front(minutes),
    sides(minutes, sparesBacks),
    hands(minutes, sparesBacks),
    upright(minutes, upwards, sparesBacks),
    close(minutes, upwards),
  ];
  return {
    blocks: all.filter((block): block is Block => block !== undefined),
    leavesOut: (choice) => sparesBacks && isLoadedOrUpsideDown(choice),
  };
}

function arrive(minutes: number): Block {
  return {
    id: 'arrive',
    name: 'Arrive',
    share: [0.06, 0.12],
    exercises: minutes >= SHORT ? [2, 4] : [1, 2],
    fits: isArrival,
    holds: [(choice) => choice.exercise.teaches.some(({ foundation }) => foundation === 'breath')],
  };
}

function wake(minutes: number): Block | undefined {
  if (minutes < ROUTINE) return undefined;
  return {
    id: 'wake',
    name: 'Wake',
    share: [0.13, 0.2],
    exercises: minutes >= WHOLE ? [3, 5] : [2, 4],
    fits: (choice) =>
      lies(choice) &&
      softer(1.5)(choice) &&
      ofFamily('trunk', 'spine', 'hips', 'shoulders')(choice) &&
      (!curls(choice) || withSlug('chest-lift')(choice)),
    // A belly that is warm before it curls.
    holds: [isPlainBridge, isStillWork],
    // Plain, and with one thing added: a third bridge warms nothing new.
    most: [[isBridge, 2]],
    rank: rankInWake,
  };
}

/** Small things, the plain bridge, then others of it; the first lift of the chest leads over to the front. */
function rankInWake(choice: Choice): number {
  if (isPlainBridge(choice)) return 1;
  if (isBridge(choice)) return 2;
  return curls(choice) ? 3 : 0;
}

/** Four to six in rising order, and behind the top of it something that lets go. Nothing over the shoulders yet. */
function front(minutes: number): Block {
  return {
    id: 'front',
    name: 'Front of the trunk',
    share: [0.16, 0.25],
    exercises: minutes >= WHOLE ? [4, 6] : [2, 5],
    fits: (choice) =>
      lies(choice) &&
      !withSlug('chest-lift')(choice) &&
      !isHeavy(choice) &&
      (isLettingGo(choice) ||
        isHardBridge(choice) ||
        (ofFamily('trunk', 'spine')(choice) && choice.effort >= 1 && !isBridge(choice))),
    holds: minutes >= SHORT ? [isLettingGo, curls] : [curls],
    most: [
      [isLettingGo, 1],
      [isHardBridge, 1],
    ],
    rank: (choice) => Number(isLettingGo(choice)),
  };
}

/** For backs that complain: a still trunk under short levers, no curl. */
function belly(minutes: number): Block {
  return {
    id: 'front',
    name: 'Still trunk',
    share: [0.12, 0.22],
    exercises: minutes >= WHOLE ? [2, 4] : [2, 3],
    rounds: 2,
    fits: (choice) =>
      lies(choice) && ofFamily('trunk', 'hips')(choice) && !curls(choice) && !isPlainBridge(choice),
  };
}

function sides(minutes: number, sparesBacks: boolean): Block | undefined {
  if (minutes < ROUTINE) return undefined;
  return {
    id: 'sides',
    name: 'Sides',
    share: sparesBacks ? [0.15, 0.25] : [0.14, 0.22],
    exercises: minutes >= WHOLE ? [3, 5] : [2, 4],
    isSeries: true,
    rank: (choice) => Number(isOpening(choice)),
    // Strength of that hip, then what opens it.
    holds: minutes >= SHORT ? [ofFamily('hips'), isOpening] : [ofFamily('hips')],
    most: [[isOpening, 1]],
    fits: (choice) => at('side-lying')(choice) && !ofFamily('awareness')(choice),
  };
}

/** A spine that has carried little yet is neither rolled through nor turned upside down. */
const isHeavy = (choice: Choice) => goesOver(choice) || choice.spineLoad >= 3;
const isHardBridge = withSlug('bridge-curl', 'bridge-leg', 'shoulder-bridge-kick');
const isOpening = ofFamily('spine');

/** Back lifts, then the hands; the top of the class. */
function hands(minutes: number, sparesBacks: boolean): Block | undefined {
  if (minutes < ROUTINE) return undefined;
  const isPlank = at('plank', 'side-support');
  return {
    id: 'hands',
    name: sparesBacks ? 'Front and all fours' : 'Front and hands',
    share: [0.14, 0.24],
    exercises: minutes >= WHOLE ? [4, 6] : [2, 4],
    rank: (choice) => RANK_IN_HANDS.findIndex((test) => test(choice)),
    fits: (choice) =>
      at('prone')(choice) ||
      at('quadruped')(choice) ||
      (!sparesBacks && isPlank(choice)) ||
      withSlug('plank')(choice),
    holds: [
      (choice) => at('prone')(choice) && !ofFamily('release', 'awareness')(choice),
      ...(minutes >= SHORT ? [at('quadruped')] : []),
      ...(minutes >= WHOLE
        ? [sparesBacks ? withSlug('bird-dog', 'bird-dog-arm') : isPlank, withSlug('shell-stretch')]
        : []),
    ],
  };
}

/** Front-lying, rest shape, all fours, then the hands. */
const RANK_IN_HANDS: readonly ((choice: Choice) => boolean)[] = [
  at('prone'),
  withSlug('shell-stretch'),
  at('quadruped'),
  at('plank', 'side-support'),
];

const standsOnLegs = withSlug('squat', 'lunge', 'standing-balance', 'heel-raise');

function upright(
  minutes: number,
  character: Character['id'],
  sparesBacks: boolean,
): Block | undefined {
  if (minutes < WHOLE || (sparesBacks && character === 'near')) return undefined;
  const places = UPRIGHT[character];
  const isStanding = places.includes('standing');
  return {
    id: 'upright',
    name: isStanding ? 'Standing' : 'Upright',
    share: [0.06, 0.14],
    // Nobody stands up for one exercise.
    exercises: isStanding ? [3, 4] : [2, 3],
    // The hands were worked just before. What rolls through the back comes last, from sitting on the way down.
    fits: (choice) =>
      (at(...places)(choice) && !ofFamily('release', 'awareness', 'plank')(choice)) ||
      (places.includes('seated') && lies(choice) && isHeavy(choice)),
    ...(isStanding
      ? { holds: [standsOnLegs], most: [[ofFamily('shoulders'), 1]] as const }
      : {
          rank: (choice: Choice) => (lies(choice) ? 2 : Number(!at('kneeling')(choice))),
          most: [[lies, 1]] as const,
        }),
  };
}

/** One or two stretches, rest, and the way up; behind a standing block nobody lies down again. */
function close(minutes: number, character: Character['id']): Block {
  const staysUp = character === 'fresh' && minutes >= WHOLE;
  const isUpright = at('standing', 'kneeling', 'seated');
  const isRest = (choice: Choice) => choice.exercise.closing !== undefined;
  return {
    id: 'close',
    name: 'Close',
    share: [0.08, 0.15],
    exercises: staysUp ? [3, 3] : minutes >= SHORT ? [3, 4] : [1, 3],
    fits: (choice) =>
      staysUp
        ? isStretch(choice) && isUpright(choice)
        : isRest(choice) || (isStretch(choice) && lies(choice) && !isDrawnIn(choice)),
    ...(minutes >= SHORT && !staysUp
      ? {
          holds: [isLegStretch, withSlug('final-rest'), withSlug('return-to-sitting')],
          most: [[withSlug('neck-lengthen', 'arch-over-ball', 'supported-arch'), 1]],
        }
      : {}),
  };
}
