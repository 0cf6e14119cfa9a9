import type { KeyPose, Pose } from '../../movement/pose.ts';
import { completePose, type FullPose } from '../full-pose.ts';
import { prone } from './prone.ts';
import { quadruped } from './quadruped.ts';
import { reformer } from './reformer.ts';
import { seated } from './seated.ts';
import { side } from './side.ts';
import { supine } from './supine.ts';
import { upright } from './upright.ts';

/** The named shapes that poses start from, by family. */
export const SHAPE_FAMILIES = { supine, seated, prone, quadruped, side, upright, reformer };

const SHAPES: ReadonlyMap<string, Pose> = new Map(
  Object.values(SHAPE_FAMILIES).flatMap((family) => Object.entries(family)),
);

export function hasShape(name: string): boolean {
  return SHAPES.has(name);
}

/** Fills a key pose from its shape. Throws where the shape does not exist. */
export function fullPose(key: KeyPose): FullPose {
  return completePose(key, SHAPES);
}
