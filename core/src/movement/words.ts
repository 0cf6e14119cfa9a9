import type { View } from './pose.ts';
import type { Direction } from './directions.ts';
import type {
  BodyPart,
  Demand,
  Foundation,
  Position,
  Prop,
  SpineMove,
  Lever,
  Machine,
  Tempo,
} from './vocabulary.ts';

export const POSITION_WORDS: Record<Position, string> = {
  supine: 'on the back',
  'side-lying': 'on the side',
  prone: 'on the front',
  quadruped: 'all fours',
  plank: 'plank',
  'side-support': 'side plank',
  seated: 'sitting',
  kneeling: 'kneeling',
  standing: 'standing',
};

/** Where people are, by what they work on. */
export const PLACE_WORDS: Record<Machine, string> = {
  mat: 'on the mat',
  reformer: 'on the machines',
};

export const MOVE_WORDS: Record<SpineMove, string> = {
  round: 'rounding',
  arch: 'arching',
  turn: 'turning',
  side: 'side-bending',
  still: 'still spine',
};

export const DIRECTION_WORDS = {
  round: 'rounding',
  arch: 'arching',
  'turn-left': 'turning left',
  'turn-right': 'turning right',
  'side-left': 'side-bending left',
  'side-right': 'side-bending right',
} as const satisfies Record<Direction, string>;

export const FOUNDATION_WORDS: Record<Foundation, string> = {
  breath: 'breath',
  settle: 'resting alignment',
  support: 'deep support',
  ribs: 'ribs over pelvis',
  shoulders: 'shoulder placing',
  neck: 'head as the end of the spine',
  pelvis: 'pelvis moves and stays',
  articulate: 'one bone at a time',
  levers: 'still trunk, moving limbs',
  rotate: 'turn and side-bend',
  bear: 'weight through the hands',
  balance: 'narrow or moving base',
  load: 'loaded spine',
  whole: 'joined-up movement',
  release: 'letting go',
};

/** How well a foundation is held, by its depth. */
export const DEPTH_WORDS = ['not met', 'met', 'practised', 'kept under load'] as const;

export const BODY_PART_WORDS: Record<BodyPart, string> = {
  'trunk-front': 'front of the trunk',
  'trunk-back': 'back',
  'trunk-sides': 'sides of the trunk',
  'hip-front': 'front of the hip',
  'hip-back': 'back of the hip',
  'hip-outside': 'outside of the hip',
  'hip-inside': 'inner thigh',
  shoulders: 'shoulders',
  neck: 'neck',
  legs: 'legs',
};

export const PROP_WORDS: Record<Prop, string> = {
  'small-ball': 'small ball',
  'stability-ball': 'large ball',
  cushion: 'cushion',
  block: 'block',
  band: 'band',
  blanket: 'folded blanket',
  towel: 'towel',
  pad: 'knee pad',
  'spine-support': 'spine support',
  chair: 'chair',
  ring: 'ring',
  roller: 'roller',
  'hand-weight': 'hand weight',
  pole: 'pole',
};

/** A list as it is said: "a", "a and b", "a, b and c". */
export function listWords(words: readonly string[]): string {
  return words.length < 2
    ? words.join('')
    : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;
}

/** The first few of a list, and how many more there are. */
export function someWords(words: readonly string[], most: number): string {
  if (words.length <= most) return listWords(words);
  const more = words.length - most + 1;
  return `${words.slice(0, most - 1).join(', ')} and ${more} others`;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

const COUNTS = ['no', 'one', 'two', 'three', 'four', 'five', 'six'] as const;

/** A small number as it is said. */
export const countWords = (count: number): string => COUNTS[count] ?? String(count);

/** A name inside a sentence; a letter that is a shape, such as T, stays what it is. */
export function inSentence(name: string): string {
  return /^.[a-z ]/.test(name) && !/^. /.test(name)
    ? name.charAt(0).toLowerCase() + name.slice(1)
    : name;
}

/** Kinds of repetition. */
export const TEMPO_WORDS: Record<Tempo, string> = {
  breath: 'breath',
  'articulate-large': 'bone by bone, large',
  'articulate-small': 'bone by bone, small',
  hinge: 'in one piece, up and down',
  'lift-trunk': 'trunk lift',
  squeeze: 'squeeze',
  'limb-slow': 'slow limb',
  'limb-steady': 'steady limb',
  circle: 'circle',
  turn: 'turn',
  'held-curl': 'within a held curl',
  'held-bridge': 'on a held bridge',
  'roll-down': 'roll down',
  sequence: 'sequence',
  quick: 'quick',
  pulse: 'pulse',
  'reach-hold': 'reach and hold',
  hold: 'hold',
};

/** What is turned between one option and the next. */
export const LEVER_WORDS: Record<Lever, string> = {
  'limb-length': 'limb length',
  'limbs-moving': 'limbs moving',
  support: 'support',
  base: 'base',
  range: 'range',
  start: 'start',
  tempo: 'tempo',
  load: 'load',
  attention: 'attention',
};

/** Where a figure is seen from. */
export const VIEW_WORDS: Readonly<Record<View, string>> = {
  side: 'from the side',
  above: 'from a little above',
  top: 'from high above',
  front: 'from the front',
  'three-quarter': 'from a corner',
};

/** Demands in plain words, for sentences and filters. */
export const DEMAND_WORDS = {
  'flexion-unloaded': 'rounding without load',
  'flexion-loaded': 'rounding under load',
  'flexion-end-range': 'rounding to the end of range',
  'extension-small': 'a small arch',
  'extension-large': 'a large arch',
  'rotation-small': 'a small turn',
  'rotation-end-range': 'turning to the end of range',
  'rotation-loaded': 'turning under load',
  'side-bend': 'side-bending',
  articulation: 'rolling bone by bone',
  'belly-pressure': 'pressure in the belly',
  'double-leg-lower': 'both legs lowered',
  'head-down': 'hips above the heart',
  'lying-flat': 'long lying flat',
  prone: 'lying on the front',
  'weight-on-wrists': 'weight on the wrists',
  'weight-on-knees': 'weight on the knees',
  'deep-knee-bend': 'a deep knee bend',
  'hip-flexion-deep': 'the hip bent past a right angle',
  'hip-across-midline': 'the leg across the midline',
  'hip-turned-in': 'the hip turned in',
  'arm-overhead': 'the arm overhead',
  'arm-weight-bearing': 'weight through the shoulder',
  'neck-curl': 'the head held up',
  'end-range-joint': 'a joint at the end of its range',
  balance: 'balance without a hand',
  'moving-platform': 'standing on a moving carriage',
  jump: 'jumping',
  rolling: 'rolling on the back',
  grip: 'gripping',
} as const satisfies Record<Demand, string>;
