import type { Option } from '../movement/exercise.ts';
import { fullPose } from './shapes/index.ts';

/** How far the lower and the upper back travel between an option's key poses, in degrees. */
export interface Mobility {
  lowDeg: number;
  highDeg: number;
}

const KNOWN = new WeakMap<Option, Mobility>();

/** The largest range of any one bend: rounding, side-bending or turning. The middle back counts as upper. */
export function mobilityOf(option: Option): Mobility {
  const known = KNOWN.get(option);
  if (known) return known;
  const poses = option.poses.map((pose) => fullPose(pose));
  const range = (joints: readonly number[]) =>
    Math.max(
      ...(['round', 'side', 'turn'] as const).map((bend) => {
        const sums = poses.map((pose) =>
          joints.reduce((sum, joint) => sum + (pose[bend][joint] ?? 0), 0),
        );
        return Math.max(...sums) - Math.min(...sums);
      }),
    );
  const mobility = { lowDeg: range([0]), highDeg: range([1, 2]) };
  KNOWN.set(option, mobility);
  return mobility;
}
