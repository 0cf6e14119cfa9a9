import type { MachinePose } from '../movement/pose.ts';
import { BODY_SIDES, type BodySide } from './full-pose.ts';

/**
 * The reformer and the large ball as a body meets them, in shares of stature (`STATURE_M`).
 * Heights count from the carriage's top. Sizes are those of common machines, rounded; a studio's
 * own differ and makers' instructions come first.
 */
export const CARRIAGE = { length: 0.52, thickness: 0.05, overFloor: 0.2 } as const;

/** Half lengths of the frame from the bar's end to the pulleys. */
export const FRAME_LENGTH = 1.36;

/** The large ball, a little pressed in. */
export const BALL = { height: 0.33, radius: 0.175 } as const;

export const BOX = { height: 0.22, long: 0.5, short: 0.27 } as const;

const BAR_HEIGHT = { high: 0.27, middle: 0.2, low: 0.1, off: 0.02 } as const;

export const BOARD_HEIGHT = 0.2;

/** The fixed step at the bar's end: it reaches from the bar to the carriage at home. */
export const PLATFORM_LENGTH = 0.16;

/** From the middle of the carriage at home to the bar. */
const HOME_TO_BAR = 0.42;

/** Where the bar stands in the room of the pose, whose middle is the resting part. */
export function barPlace(machine: MachinePose | undefined): [x: number, y: number] {
  if (!machine) return [0.4, BAR_HEIGHT.middle];
  const way = machine.bar === 'ahead' ? 1 : -1;
  return [machine.middle + way * (HOME_TO_BAR + machine.out), BAR_HEIGHT[machine.height]];
}

/** A hand or foot in a strap. */
export interface StrapEnd {
  part: 'hands' | 'feet';
  side: BodySide;
}

/** Who is in the straps: both hands, both feet, or one of them. */
export function strapEnds({ straps }: MachinePose): StrapEnd[] {
  switch (straps) {
    case 'none':
      return [];
    case 'hands':
    case 'feet':
      return BODY_SIDES.map((side) => ({ part: straps, side }));
    case 'right hand':
      return [{ part: 'hands', side: 'right' }];
    case 'left hand':
      return [{ part: 'hands', side: 'left' }];
    case 'right foot':
      return [{ part: 'feet', side: 'right' }];
    case 'left foot':
      return [{ part: 'feet', side: 'left' }];
  }
}

/** Where the straps come from: the end that the bar is not at, a little over the carriage. */
export function pulleyPlace(machine: MachinePose): [x: number, y: number] {
  const way = machine.bar === 'ahead' ? 1 : -1;
  const [bar] = barPlace(machine);
  return [bar - way * FRAME_LENGTH, 0.12];
}
