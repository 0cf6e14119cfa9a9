/**
 * The sixteen segments of the body: mass and centre of mass for women and men, lengths for both.
 *
 * Masses and centres: de Leva, "Adjustments to Zatsiorsky-Seluyanov's segment inertia parameters",
 * J Biomech 29 (1996) 1223-1230, table 4 (from memory). Lengths of thigh, shank and foot's height: Drillis and
 * Contini (1966) as tabled in Winter, Biomechanics and Motor Control of Human Movement (from memory). Those of the
 * arm are ours (theirs are 0.186, 0.146 and 0.108): it is counted from the middle of the shoulder and the hand to
 * where it grips. The trunk from hip to neck is cut by the joints of the back so that it can bend.
 */

export type Build = 'woman' | 'man';

export const BODY_SEGMENTS = [
  'head',
  'upper trunk',
  'middle trunk',
  'lower trunk',
  'upper arm',
  'forearm',
  'hand',
  'thigh',
  'shank',
  'foot',
] as const;
export type BodySegment = (typeof BODY_SEGMENTS)[number];

interface Inertia {
  /** Share of the body's mass, of one side where there are two. */
  mass: number;
  /** Place of the centre of mass along the segment, from its upper end (the heel for the foot). */
  centre: number;
}

/** Trunk parts: from neck to breastbone's end, to navel, to the middle of the hips. */
export const INERTIA: Record<Build, Record<BodySegment, Inertia>> = {
  woman: {
    head: { mass: 0.0668, centre: 0.4841 },
    'upper trunk': { mass: 0.1545, centre: 0.505 },
    'middle trunk': { mass: 0.1465, centre: 0.4512 },
    'lower trunk': { mass: 0.1247, centre: 0.492 },
    'upper arm': { mass: 0.0255, centre: 0.5754 },
    forearm: { mass: 0.0138, centre: 0.4559 },
    hand: { mass: 0.0056, centre: 0.7474 },
    thigh: { mass: 0.1478, centre: 0.3612 },
    shank: { mass: 0.0481, centre: 0.4416 },
    foot: { mass: 0.0129, centre: 0.4014 },
  },
  man: {
    head: { mass: 0.0694, centre: 0.5002 },
    'upper trunk': { mass: 0.1596, centre: 0.5066 },
    'middle trunk': { mass: 0.1633, centre: 0.4502 },
    'lower trunk': { mass: 0.1117, centre: 0.6115 },
    'upper arm': { mass: 0.0271, centre: 0.5772 },
    forearm: { mass: 0.0162, centre: 0.4574 },
    hand: { mass: 0.0061, centre: 0.79 },
    thigh: { mass: 0.1416, centre: 0.4095 },
    shank: { mass: 0.0433, centre: 0.4459 },
    foot: { mass: 0.0137, centre: 0.4415 },
  },
};

export const PAIRED: ReadonlySet<BodySegment> = new Set([
  'upper arm',
  'forearm',
  'hand',
  'thigh',
  'shank',
  'foot',
]);

/** Shares of stature. The four parts of the back run from the hips to the root of the neck. */
export const LENGTH = {
  pelvis: 0.05,
  lowBack: 0.075,
  midBack: 0.08,
  highBack: 0.09,
  neck: 0.055,
  /** From the top of the neck to the middle of the head. */
  head: 0.062,
  upperArm: 0.172,
  forearm: 0.15,
  hand: 0.085,
  thigh: 0.245,
  shank: 0.246,
  /** From the ankle to the ball of the foot, and to the heel. */
  forefoot: 0.095,
  heel: 0.03,
  ankleHeight: 0.039,
} as const;

/** Of whom is told in metres and newtons where nobody is named: a middle body, common practice. */
export const STATURE_M = 1.7;
export const MASS_KG = 65;

/** Half the distance between the two hips, and the two shoulders. */
export const HALF_WIDTH = { hips: 0.052, shoulders: 0.1 } as const;
