import type { BodyPart, Foundation, Prop, SpineMove } from '@wrenfern/core/movement/vocabulary';

export const POSITION_WORDS = {
  supine: 'on the back',
  'side-lying': 'on the side',
  prone: 'on the front',
  quadruped: 'all fours',
  plank: 'plank',
  'side-support': 'side plank',
  seated: 'sitting',
  kneeling: 'kneeling',
  standing: 'standing',
} as const;

export const MOVE_WORDS: Record<SpineMove, string> = {
  round: 'rounding',
  arch: 'arching',
  turn: 'turning',
  side: 'side-bending',
  still: 'still spine',
};

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
};
