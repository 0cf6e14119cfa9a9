import { z } from 'zod';
import { REST_PARTS } from './rest-parts.ts';

/** Angles in degrees, lengths in shares of stature, as in the rest of the body. */
const degrees = z.number().min(-360).max(360);
const share = z.number().min(-2).max(2);
const place = z.tuple([share, share]).readonly();

/** Lower back, middle back, upper back, neck. */
const Curve = z.tuple([degrees, degrees, degrees, degrees]).readonly();
export type Curve = z.infer<typeof Curve>;

/** What a hand can be put on; the elbow bends as it must. */
export const HandTarget = z.enum([
  'floor',
  'forearm',
  'block',
  'chair',
  'small ball',
  'ball',
  'bar',
  'wall',
  'head',
  'forehead',
  'ear',
  'shoulder',
  'other shoulder',
  'chest',
  'ribs',
  'belly',
  'low back',
  'hip',
  'thigh',
  'back of thigh',
  'other thigh',
  'knee',
  'other knee',
  'shin',
  'ankle',
  'foot',
  'other foot',
]);
export type HandTarget = z.infer<typeof HandTarget>;

/**
 * An arm: `flex` lifts it forward (0 by the side, 90 ahead, 180 overhead), `out` to the side,
 * `turn` outwards about its length; `bend` of the elbow; `wrist` bends the hand back. `shrug`
 * lifts the shoulder and `reach` draws it forward. With `hand` the elbow follows from the target,
 * `at` shifts the target (ahead and outwards, as the body is faced), `elbow` says which way the elbow points.
 */
export const ArmPose = z
  .strictObject({
    flex: degrees,
    out: degrees,
    turn: degrees,
    bend: degrees,
    wrist: degrees,
    shrug: share,
    reach: share,
    hand: HandTarget,
    at: place,
    elbow: z.tuple([share, share, share]).readonly(),
  })
  .partial();
export type ArmPose = z.infer<typeof ArmPose>;

const FootTarget = z.enum([
  'floor',
  'lying',
  'toes',
  'bar',
  'toes on bar',
  'ball',
  'wall',
  'other calf',
  'other knee',
  'other foot',
]);

/**
 * A leg: `flex` of the hip (0 in line with the trunk, 90 at a right angle), `out` to the side, `turn`
 * outwards; `bend` of the knee; `point` of the foot (0 square, 50 long). With `foot` the knee follows.
 */
export const LegPose = z
  .strictObject({
    flex: degrees,
    out: degrees,
    turn: degrees,
    bend: degrees,
    point: degrees,
    foot: FootTarget,
    at: place,
    knee: z.tuple([share, share, share]).readonly(),
  })
  .partial();
export type LegPose = z.infer<typeof LegPose>;

export const RestPart = z.enum(REST_PARTS);
export type RestPart = z.infer<typeof RestPart>;

/** The machine under a pose: `out` is how far the carriage has gone from home. */
export const MachinePose = z.strictObject({
  /** Where the bar is seen from the body: ahead of it or behind it. */
  bar: z.enum(['ahead', 'behind']),
  height: z.enum(['high', 'middle', 'low', 'off']),
  out: z.number().min(0).max(0.8),
  /** The carriage's middle, from the part that the body rests on. */
  middle: share,
  straps: z.enum(['none', 'hands', 'feet', 'right hand', 'left hand', 'right foot', 'left foot']),
  box: z.enum(['none', 'long', 'short']),
  board: z.boolean(),
  /** A fixed step at the bar's end, as high as the carriage, that one foot can stand on. */
  platform: z.boolean(),
});
export type MachinePose = z.infer<typeof MachinePose>;

/**
 * A body in space, as far as it differs from the named `shape` (or from standing tall). `lean` tips
 * the pelvis: 0 upright and facing right, 90 on the front, -90 on the back. `roll` turns the body
 * about its length to its own right, `face` turns it about the plumb line. The back bends by
 * `round` (arching is negative), `side` and `turn` (to the right). `rest` names the one or two parts
 * that carry it and their heights over the floor; the first stays where it is when the body moves.
 * `wall` stands so far ahead of that place, or behind it. A limb that is named replaces the shape's limb.
 */
export const Pose = z
  .strictObject({
    shape: z.string().min(1).max(64),
    name: z.string().trim().min(1).max(160),
    lean: degrees,
    roll: degrees,
    face: degrees,
    round: Curve,
    side: Curve,
    turn: Curve,
    arms: ArmPose,
    rightArm: ArmPose,
    leftArm: ArmPose,
    legs: LegPose,
    rightLeg: LegPose,
    leftLeg: LegPose,
    rest: z.partialRecord(RestPart, share),
    /** Where the resting part stands along the room, when the body travels. */
    along: share,
    wall: share,
    machine: MachinePose.partial(),
  })
  .partial();
export type Pose = z.infer<typeof Pose>;

/** A key pose: the name of a shape, or what differs from one. */
export const KeyPose = z.union([z.string().min(1).max(64), Pose]);
export type KeyPose = z.infer<typeof KeyPose>;

export const VIEWS = ['side', 'above', 'top', 'front', 'three-quarter'] as const;
export const View = z.enum(VIEWS);
export type View = z.infer<typeof View>;
