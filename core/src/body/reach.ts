import {
  add,
  clamp,
  cross,
  dot,
  fromAxes,
  length,
  scale,
  subtract,
  unit,
  type Turn,
  type Vec3,
} from './space.ts';

/** A two-part limb bent so that its end is at (or as near as it gets to) a place. */
export interface BentLimb {
  middle: Vec3;
  end: Vec3;
  upper: Turn;
  lower: Turn;
}

/**
 * Two-link inverse kinematics by the cosine rule. The joint between goes towards `pole`. `way` says
 * how the lower part bends in the upper part's own plane: 1 forward (an elbow), -1 back (a knee).
 */
export function bendTo(
  root: Vec3,
  target: Vec3,
  upperLength: number,
  lowerLength: number,
  pole: Vec3,
  way: 1 | -1,
): BentLimb {
  const line = subtract(target, root);
  const least = Math.abs(upperLength - lowerLength) + 1e-4;
  const most = upperLength + lowerLength - 1e-5;
  const reach = clamp(length(line), least, most);
  const axis = unit(length(line) < 1e-9 ? [0, -1, 0] : line);
  const cosine = (upperLength ** 2 + reach ** 2 - lowerLength ** 2) / (2 * upperLength * reach);
  const along = upperLength * clamp(cosine, -1, 1);
  const aside = Math.sqrt(Math.max(0, upperLength ** 2 - along ** 2));
  const bow = unit(perpendicular(pole, axis));
  const middle = add(root, add(scale(axis, along), scale(bow, aside)));
  const end = add(root, scale(axis, reach));
  const plane = scale(bow, -way);
  return {
    middle,
    end,
    upper: frameOf(unit(subtract(middle, root)), plane),
    lower: frameOf(unit(subtract(end, middle)), plane),
  };
}

/** What of `v` stands across the axis; any such direction where none does. */
function perpendicular(v: Vec3, axis: Vec3): Vec3 {
  const across = subtract(v, scale(axis, dot(v, axis)));
  if (length(across) > 1e-6) return across;
  const spare: Vec3 = Math.abs(axis[1]) < 0.9 ? [0, 1, 0] : [1, 0, 0];
  return subtract(spare, scale(axis, dot(spare, axis)));
}

/** A part that points along `down`, whose front lies as near to `front` as it can. */
function frameOf(down: Vec3, front: Vec3): Turn {
  const up = scale(down, -1);
  const forward = unit(perpendicular(front, up));
  return fromAxes(forward, up, cross(forward, up));
}
