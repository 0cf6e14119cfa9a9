import { BODY_SIDES } from '../../body/full-pose.ts';
import { fullPose, hasShape } from '../../body/shapes/index.ts';
import type { ArmPose, KeyPose, LegPose, Pose } from '../../movement/pose.ts';
import type { WrittenPose, WrittenPoses } from './exercise-document.ts';

type Limb = ArmPose | LegPose;
type LooseLimb = { [Key in keyof Limb]?: Limb[Key] | null };

/**
 * A key pose by its name in a file: the name of a shape, or what the file says of it with everything it
 * is made from. Limbs come out whole, for a pose that is worked with puts a limb in place of its shape's.
 * Throws where a name does not exist, which a checked document rules out.
 */
export function buildPose(name: string, poses: WrittenPoses): KeyPose {
  const written = poses[name];
  if (!written) {
    if (!hasShape(name)) throw new Error(`there is no pose or shape "${name}"`);
    return name;
  }
  const base = written.from === undefined ? {} : buildPose(written.from, poses);
  return changePose(typeof base === 'string' ? { shape: base } : base, written);
}

function changePose(base: Pose, written: WrittenPose): Pose {
  const { from: _, arms, rightArm, leftArm, legs, rightLeg, leftLeg, machine, ...rest } = written;
  const before = fullPose(base);
  const own = {
    right: { arm: rightArm, leg: rightLeg },
    left: { arm: leftArm, leg: leftLeg },
  };
  const pose: Pose = { ...base, ...rest };
  if (machine) pose.machine = { ...base.machine, ...machine };
  for (const side of BODY_SIDES) {
    const { arm, leg } = own[side];
    if (arms || arm) {
      Object.assign(pose, { [`${side}Arm`]: mergeLimb(before[side].arm, arms, arm) });
    }
    if (legs || leg) {
      Object.assign(pose, { [`${side}Leg`]: mergeLimb(before[side].leg, legs, leg) });
    }
  }
  return joinSides(pose);
}

/** Each change merged into the limb before; what is 0 or let go goes without saying. */
function mergeLimb(before: Limb, both?: LooseLimb, own?: LooseLimb): object {
  const merged = Object.entries({ ...before, ...both, ...own });
  return Object.fromEntries(merged.filter(([, value]) => value !== null && value !== 0));
}

/** Both sides by one name where they are alike. */
function joinSides(pose: Pose): Pose {
  const { arms, rightArm = arms, leftArm = arms, legs, ...most } = pose;
  const { rightLeg = legs, leftLeg = legs, ...joined } = most;
  return {
    ...joined,
    ...(rightArm && leftArm && isAlike(rightArm, leftArm)
      ? { arms: rightArm }
      : { ...(rightArm && { rightArm }), ...(leftArm && { leftArm }) }),
    ...(rightLeg && leftLeg && isAlike(rightLeg, leftLeg)
      ? { legs: rightLeg }
      : { ...(rightLeg && { rightLeg }), ...(leftLeg && { leftLeg }) }),
  };
}

/** The same fields with the same values, in any order. */
export function isAlike(one: object, other: object): boolean {
  const told = (value: object) => JSON.stringify(Object.entries(value).sort());
  return told(one) === told(other);
}
