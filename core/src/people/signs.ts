import type { AidId } from '../body/aids/aid.ts';
import type { Timeless } from './asks.ts';

/** What is seen or said while somebody moves, and what is tried for it. Common practice. */
export interface Sign {
  id: string;
  /** As it is seen, in a few words. */
  seen: string;
  /** What is said first, once. */
  cue: string;
  /** What shows that it is as it was meant again. */
  onWhen: string;
  /** What of the body's measures a remedy must take from; none where no drawing shows it. */
  asks: readonly Timeless[];
  /** Supports that are tried, the first that fits first. */
  aids: readonly AidId[];
  /** Going less far, or doing less of it, helps. */
  smaller?: true;
  fewer?: true;
}

export const SIGNS = [
  {
    id: 'back-lifts',
    seen: 'back lifts or arches',
    cue: 'Tilt a little first, then move; legs higher.',
    onWhen: 'flat for three',
    asks: ['legs', 'belly', 'arch low'],
    aids: [
      'flat-first',
      'low-towel',
      'foot-down',
      'knees-down',
      'hips-pillow',
      'ball-softer',
      'fewer-cushions',
      'ball-up',
      'hands-high',
    ],
    smaller: true,
  },
  {
    id: 'belly-domes',
    seen: 'belly domes',
    cue: 'Breathe out before you move; lift less.',
    onWhen: 'the belly stays flat',
    asks: ['belly', 'legs'],
    aids: ['head-in-hands', 'foot-down', 'knees-down', 'hands-on-thighs', 'hands-high'],
    smaller: true,
  },
  {
    id: 'ribs-flare',
    seen: 'ribs flare or lift',
    cue: 'Sigh the ribs down; arms less far overhead.',
    onWhen: 'ribs level with the hips',
    asks: ['armHigh', 'arch mid'],
    aids: ['arms-near', 'elbow-bent'],
    smaller: true,
  },
  {
    id: 'other-side-moves',
    seen: 'shoulder or pelvis comes along',
    cue: 'Only as far as the rest of you stays.',
    onWhen: 'it stays',
    asks: [],
    aids: ['knees-together'],
    smaller: true,
  },
  {
    id: 'knees-wander',
    seen: 'knees wander',
    cue: 'Smaller, in one line; hold once.',
    onWhen: 'the path is clean',
    asks: [],
    aids: ['knees-together'],
    smaller: true,
  },
  {
    id: 'wobbles',
    seen: 'wobbles or slips',
    cue: 'A wider base, eyes on one spot.',
    onWhen: 'still for two breaths',
    asks: [],
    aids: ['split-feet', 'hand-on-wall', 'feet-on-wall', 'foot-down', 'knees-down'],
    smaller: true,
  },
  {
    id: 'neck-strains',
    seen: 'neck strains',
    cue: 'Hands carry the head, elbows wide; down to the blades.',
    onWhen: 'the head is light',
    asks: ['neckFree'],
    aids: ['head-in-hands', 'head-rest', 'headrest-up', 'arms-near', 'trunk-wedge'],
    smaller: true,
  },
  {
    id: 'slumps',
    seen: 'slumps',
    cue: 'Taller first; turn less.',
    onWhen: 'tall again',
    asks: ['sittingBend', 'round low'],
    aids: ['seat-raise', 'sit-on-box', 'knees-soft', 'hands-on-thighs'],
  },
  {
    id: 'wrong-place',
    seen: 'felt in the wrong place',
    cue: 'Half the effort; name the place.',
    onWhen: 'it is felt where it should be',
    asks: [],
    aids: ['spring-easier', 'ball-up'],
    smaller: true,
  },
  {
    id: 'pinches',
    seen: 'pinches, or too strong',
    cue: 'A smaller angle; straighter, or farther out.',
    onWhen: 'only a stretch',
    asks: ['hipBend', 'kneeBend', 'armHigh', 'endShare'],
    aids: ['seat-on-cushion', 'seat-raise', 'elbow-bent', 'palm-up', 'knees-soft'],
    smaller: true,
  },
  {
    id: 'too-hard',
    seen: 'too hard, or tired',
    cue: 'A shorter set, with a breath between.',
    onWhen: 'the breath is easy',
    asks: [],
    aids: ['spring-easier', 'hands-high'],
    fewer: true,
  },
  {
    id: 'one-side',
    seen: 'one side far harder',
    cue: 'Slower on that side; its own count.',
    onWhen: 'both are alike',
    asks: [],
    aids: [],
    fewer: true,
  },
] as const satisfies readonly Sign[];

/** What ends it: rest, and somebody who treats it. */
export const STOP_SIGN = {
  id: 'stop',
  seen: 'sharp, spreading, numb or dizzy',
  cue: 'Stop here and rest. If it does not pass at once, it goes to a clinician; with speech, sight or breath, call for help.',
  onWhen: 'not today',
} as const;

/** The other way: one thing more, within all bounds. */
export const TOO_EASY = {
  id: 'too-easy',
  seen: 'too easy',
  cue: 'One thing more: slower, or a few more; then the next option.',
  onWhen: 'it is work again',
} as const;

export type SignId = (typeof SIGNS)[number]['id'] | 'stop' | 'too-easy';
/** The one that ends it first, for it must be found at once. */
export const SIGN_IDS: [SignId, ...SignId[]] = [
  STOP_SIGN.id,
  ...SIGNS.map(({ id }) => id),
  TOO_EASY.id,
];

export function signOf(id: SignId): Pick<Sign, 'seen' | 'cue' | 'onWhen'> & Partial<Sign> {
  const sign = [...SIGNS, STOP_SIGN, TOO_EASY].find((each) => each.id === id);
  if (!sign) throw new Error(`no sign "${id}"`);
  return sign;
}
