import { z } from 'zod';

/**
 * The closed word lists that every other part of the core speaks.
 * Each list is ordered where an order has a meaning (said beside it).
 */

export const SLUG = z
  .string()
  .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'use small letters, digits and single hyphens')
  .max(64)
  .refine((value) => !(value in Object.prototype), 'this word can’t be a name');

export const MACHINES = ['mat', 'reformer'] as const;
export const Machine = z.enum(MACHINES);
export type Machine = z.infer<typeof Machine>;

/** What an exercise is mostly for. */
export const FAMILIES = [
  'awareness',
  'trunk',
  'spine',
  'hips',
  'shoulders',
  'plank',
  'release',
] as const;
export const Family = z.enum(FAMILIES);

/** How the body rests on its surface; set-up time is counted between these. */
export const POSITIONS = [
  'supine',
  'side-lying',
  'prone',
  'quadruped',
  'plank',
  'side-support',
  'seated',
  'kneeling',
  'standing',
] as const;
export const Position = z.enum(POSITIONS);
export type Position = z.infer<typeof Position>;

/** How exactly one sits, kneels or leans within a position, where a change of it takes time of its own. */
const POSTURES = [
  'propped up',
  'on a seat',
  'long sitting',
  'knees bent',
  'cross-legged',
  'side-sitting',
  'heel-sitting',
  'half kneeling',
  'tall kneeling',
  'rest kneeling',
  'on the hands',
  'on the forearms',
] as const;
export type Posture = (typeof POSTURES)[number];

/** What the spine does. `turn` and `side` mean both ways unless the dose is one-sided. */
export const SPINE_MOVES = ['round', 'arch', 'turn', 'side', 'still'] as const;
export const SpineMove = z.enum(SPINE_MOVES);
export type SpineMove = z.infer<typeof SpineMove>;

/** What a movement asks of a body; cautions are written against these. */
export const DEMANDS = [
  'flexion-unloaded',
  'flexion-loaded',
  'flexion-end-range',
  'extension-small',
  'extension-large',
  'rotation-small',
  'rotation-end-range',
  'rotation-loaded',
  'side-bend',
  'articulation',
  'belly-pressure',
  'double-leg-lower',
  'head-down',
  'lying-flat',
  'prone',
  'weight-on-wrists',
  'weight-on-knees',
  'deep-knee-bend',
  'hip-flexion-deep',
  'hip-across-midline',
  'hip-turned-in',
  'arm-overhead',
  'arm-weight-bearing',
  'neck-curl',
  'end-range-joint',
  'balance',
  'moving-platform',
  'jump',
  'rolling',
  'grip',
] as const;
export const Demand = z.enum(DEMANDS);
export type Demand = z.infer<typeof Demand>;

export const FOUNDATIONS = [
  'breath',
  'settle',
  'support',
  'ribs',
  'shoulders',
  'neck',
  'pelvis',
  'articulate',
  'levers',
  'rotate',
  'bear',
  'balance',
  'load',
  'whole',
  'release',
] as const;
export const Foundation = z.enum(FOUNDATIONS);
export type Foundation = z.infer<typeof Foundation>;

/** Depth of a foundation: 0 none, 1 met, 2 practised, 3 kept under load. */
export const Depth = z.number().int().min(0).max(3);

/** What is turned between one option and the next. */
export const LEVERS = [
  'limb-length',
  'limbs-moving',
  'support',
  'base',
  'range',
  'start',
  'tempo',
  'load',
  'attention',
] as const;
export const Lever = z.enum(LEVERS);
export type Lever = z.infer<typeof Lever>;

/** More steps than this are no ladder; between two that are far apart there is room for one. */
export const MOST_OPTIONS = 6;

/** The number of an option on its ladder. */
export const OptionNumber = z.number().int().min(1).max(MOST_OPTIONS);

/** Kinds of repetition, each with its own plain pace. */
export const TEMPOS = [
  'breath',
  'articulate-large',
  'articulate-small',
  'hinge',
  'lift-trunk',
  'squeeze',
  'limb-slow',
  'limb-steady',
  'circle',
  'turn',
  'held-curl',
  'held-bridge',
  'roll-down',
  'sequence',
  'quick',
  'pulse',
  'reach-hold',
  'hold',
] as const;
export const Tempo = z.enum(TEMPOS);
export type Tempo = z.infer<typeof Tempo>;

export const PROPS = [
  'small-ball',
  'stability-ball',
  'cushion',
  'block',
  'band',
  'blanket',
  'towel',
  'pad',
  'spine-support',
  'chair',
  'ring',
  'roller',
  'hand-weight',
  'pole',
] as const;
export const Prop = z.enum(PROPS);
export type Prop = z.infer<typeof Prop>;

export const PROP_ROLES = ['support', 'feedback', 'challenge', 'load'] as const;
export const PropRole = z.enum(PROP_ROLES);
export type PropRole = z.infer<typeof PropRole>;

/** Where a prop lies. The same ball in two places is two different uses. */
export const PROP_PLACES = [
  'under pelvis',
  'under seat',
  'under head',
  'under low back',
  'behind low back',
  'between shoulder blades',
  'at bottom of ribs',
  'under shoulder blades',
  'between knees',
  'between ankles',
  'behind knee',
  'under heel',
  'under hand',
  'under knees',
  'under hips',
  'round sole',
  'round thighs',
  'under body',
  'along the back',
  'between hands',
  'in hands',
] as const;
export const PropPlace = z.enum(PROP_PLACES);
export type PropPlace = z.infer<typeof PropPlace>;

export const BODY_PARTS = [
  'trunk-front',
  'trunk-back',
  'trunk-sides',
  'hip-front',
  'hip-back',
  'hip-outside',
  'hip-inside',
  'shoulders',
  'neck',
  'legs',
] as const;
export const BodyPart = z.enum(BODY_PARTS);
export type BodyPart = z.infer<typeof BodyPart>;

/**
 * Spine load, least to most: 0 lying; 1 all fours, low bridge, chest lift; 2 tall sitting or standing;
 * 3 leaning back or rolling through sitting; 4 standing or long sitting bent, rolling on the back.
 * That bent and leaning backs are loaded more than upright ones, and those more than lying ones, follows disc
 * pressure by posture: Wilke et al., Spine 24 (1999) 755-762 (from memory). They measured no all fours, bridge or
 * rolling: where those stand is common practice.
 */
export const SpineLoad = z.number().int().min(0).max(4);

export const SIDES = ['none', 'each', 'alternating', 'left', 'right'] as const;
export const Sides = z.enum(SIDES);
export type Sides = z.infer<typeof Sides>;

export const Side = z.enum(['left', 'right']);
export type Side = z.infer<typeof Side>;
