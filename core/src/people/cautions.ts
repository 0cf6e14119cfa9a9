import type { Demand } from '../movement/vocabulary.ts';

/** What a caution does to a demand. `limit` and `support` still allow it, with care. */
export type CautionEffect = 'avoid' | 'limit' | 'support';

export interface Caution {
  id: string;
  name: string;
  /** What to remember, in one line. */
  says: string;
  effects: Partial<Record<Demand, CautionEffect>>;
  /** A published source, or common practice. Sources are from memory: read them before relying on their wording. */
  source: string;
}

const practice = 'common practice';

/**
 * What usually changes for a body with this caution. This is no diagnosis and no clearance:
 * a clinician, local rules and licensed practice come first.
 */
export const CAUTIONS = [
  {
    id: 'low-bone-density',
    name: 'Low bone density',
    says: 'No loaded or end-range rounding, twisting or side-bending; nothing rolled or upside down. Hinge from the hips.',
    effects: {
      'flexion-loaded': 'avoid',
      'flexion-end-range': 'avoid',
      'rotation-loaded': 'avoid',
      'rotation-end-range': 'avoid',
      'side-bend': 'limit',
      'head-down': 'avoid',
      'neck-curl': 'avoid',
      jump: 'avoid',
    },
    source: 'Giangregorio et al., Osteoporosis International 25 (2014), from memory',
  },
  {
    id: 'rounding-uncomfortable',
    name: 'Rounding uncomfortable today',
    says: 'Small range or the still version. Not a ban.',
    effects: {
      'flexion-loaded': 'avoid',
      'flexion-end-range': 'avoid',
      'flexion-unloaded': 'limit',
    },
    source: practice,
  },
  {
    id: 'disc-flexion',
    name: 'Disc: no rounding',
    says: 'Flat-back and small arching versions, hinged bridge, belly draw in place of rounding. Which way is sensitive differs from person to person.',
    effects: {
      'flexion-unloaded': 'avoid',
      'flexion-loaded': 'avoid',
      'flexion-end-range': 'avoid',
      'rotation-loaded': 'avoid',
    },
    source: practice,
  },
  {
    id: 'disc-loaded-flexion',
    name: 'Disc: no loaded rounding',
    says: 'Tail curl, low bridge, cat and rest shape stay; no seated, standing or rolling rounding.',
    effects: { 'flexion-loaded': 'avoid', 'flexion-end-range': 'avoid' },
    source: practice,
  },
  {
    id: 'extension-sensitive',
    name: 'Arching sensitive',
    says: 'Not past neutral; press-ups stay on the forearms or are swapped; a bridge stops at a straight line.',
    effects: { 'extension-large': 'avoid', 'extension-small': 'limit' },
    source: practice,
  },
  {
    id: 'fused-segments',
    name: 'Fused segments',
    says: 'They move as one block there: hinge, small range, no bone-by-bone demand.',
    effects: { articulation: 'avoid', 'flexion-end-range': 'avoid', 'rotation-end-range': 'limit' },
    source: practice,
  },
  {
    id: 'sciatica',
    name: 'Sciatica or deep hip pain',
    says: 'No stretch into nerve pain; outer layers first; ease in and hold about 30 s.',
    effects: {
      'flexion-loaded': 'limit',
      'hip-across-midline': 'limit',
      'end-range-joint': 'limit',
    },
    source: practice,
  },
  {
    id: 'pregnancy-early',
    name: 'Pregnancy, first trimester',
    says: 'No strong curl, no breath holding; rest whenever wanted.',
    effects: { 'belly-pressure': 'limit', 'double-leg-lower': 'avoid', 'head-down': 'limit' },
    source: 'ACOG Committee Opinion 804 (2020), from memory',
  },
  {
    id: 'pregnancy-later',
    name: 'Pregnancy, from the second trimester',
    says: 'No long lying flat, no lying prone, no double leg lowering or strong curl; watch for doming.',
    effects: {
      'lying-flat': 'avoid',
      prone: 'avoid',
      'double-leg-lower': 'avoid',
      'belly-pressure': 'avoid',
      'neck-curl': 'avoid',
      'head-down': 'avoid',
      'rotation-loaded': 'avoid',
      jump: 'avoid',
      balance: 'limit',
    },
    source: 'ACOG Committee Opinion 804 (2020), from memory',
  },
  {
    id: 'after-birth',
    name: 'After birth or belly surgery',
    says: 'Start again at single-leg work; watch for doming; go on when cleared. No jumping.',
    effects: {
      'belly-pressure': 'avoid',
      'double-leg-lower': 'avoid',
      'neck-curl': 'limit',
      jump: 'avoid',
    },
    source: practice,
  },
  {
    id: 'abdominal-separation',
    name: 'Abdominal separation',
    says: 'No doming: support the head, lift less or leave the lift out.',
    effects: { 'belly-pressure': 'avoid', 'double-leg-lower': 'avoid', 'neck-curl': 'limit' },
    source: practice,
  },
  {
    id: 'blood-pressure',
    name: 'High blood pressure, glaucoma or dizziness',
    says: 'Nothing upside down, no breath holding, slow changes of level.',
    effects: { 'head-down': 'avoid', 'belly-pressure': 'limit' },
    source: practice,
  },
  {
    id: 'wrist',
    name: 'Wrist',
    says: 'Forearms, fists or a wedge; little time on the hands.',
    effects: { 'weight-on-wrists': 'avoid', grip: 'limit' },
    source: practice,
  },
  {
    id: 'knee',
    name: 'Knee',
    says: 'Pad under the knees; no deep bend; sit with legs straight or on a cushion.',
    effects: { 'weight-on-knees': 'support', 'deep-knee-bend': 'avoid', jump: 'avoid' },
    source: practice,
  },
  {
    id: 'shoulder',
    name: 'Shoulder',
    says: 'Elbow bent, arm lower, no hanging in the joint.',
    effects: { 'arm-overhead': 'avoid', 'arm-weight-bearing': 'limit' },
    source: practice,
  },
  {
    id: 'neck',
    name: 'Neck',
    says: 'Head down, or carried by hands or towel; no held chest lift; never weight on the neck.',
    effects: { 'neck-curl': 'avoid', 'head-down': 'avoid' },
    source: practice,
  },
  {
    id: 'hip-replacement',
    name: 'Hip replacement',
    says: 'Until cleared: not past a right angle, not across the midline, not turned in.',
    effects: {
      'hip-flexion-deep': 'avoid',
      'hip-across-midline': 'avoid',
      'hip-turned-in': 'avoid',
      'deep-knee-bend': 'avoid',
    },
    source: 'AAOS patient guidance, from memory',
  },
  {
    id: 'hypermobile',
    name: 'Very mobile joints',
    says: 'Stop short of the end, go slowly, use props for feedback.',
    effects: {
      'end-range-joint': 'limit',
      'extension-large': 'limit',
      'rotation-end-range': 'limit',
    },
    source: practice,
  },
  {
    id: 'tight-hips',
    name: 'Tight hips, cannot sit tall',
    says: 'Sit on a folded blanket with the legs bent in front.',
    effects: { 'hip-flexion-deep': 'support', 'deep-knee-bend': 'limit' },
    source: practice,
  },
] as const satisfies readonly Caution[];

export type CautionId = (typeof CAUTIONS)[number]['id'];

export const CAUTION_IDS = CAUTIONS.map((caution) => caution.id) as [CautionId, ...CautionId[]];

const BY_ID = new Map<string, Caution>(CAUTIONS.map((caution) => [caution.id, caution]));

export function cautionOf(id: CautionId): Caution {
  const caution = BY_ID.get(id);
  if (!caution) throw new Error(`no caution "${id}"`);
  return caution;
}

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
  grip: 'gripping',
} as const satisfies Record<Demand, string>;
