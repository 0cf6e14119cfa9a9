import { postureOf } from '../../body/posture.ts';
import type { Dose } from '../../movement/dose.ts';
import type { Exercise, Option, PropUse } from '../../movement/exercise.ts';
import type { Gear } from '../../movement/gear.ts';
import type { Position, Posture, Side } from '../../movement/vocabulary.ts';

/** How the room stands at an item. */
export interface Stance {
  exercise: string;
  option: number;
  position: Position;
  /** Where the body is left, when the movement travels. */
  endPosition: Position;
  /** How exactly, within the position, where that is more than one thing. */
  posture: Posture | undefined;
  /** Where one side only is done. */
  side: Side | undefined;
  isHold: boolean;
  /** The exercise's own time to arrange the limbs. */
  arrangeS: number | undefined;
  /** The way up at the end: coming up is its own work, and takes longer off cushions. */
  isWayUp: boolean;
  props: readonly PropUse[];
  /** The shape of what came before is not left. */
  keepsShape: boolean;
  /** How the machine is set, on a machine. */
  gear?: Gear | undefined;
}

interface Done {
  exercise: Exercise;
  option: Option;
  dose: Dose;
  /** How the machine is set. */
  gear: Gear | undefined;
  /** What is held. */
  props: readonly PropUse[];
  keepsShape: boolean;
}

export function stanceOf({ exercise, option, dose, gear, props, keepsShape }: Done): Stance {
  const position = option.position ?? exercise.position;
  return {
    exercise: exercise.slug,
    option: option.number,
    position,
    endPosition: exercise.endPosition ?? position,
    side: dose.sides === 'left' || dose.sides === 'right' ? dose.sides : undefined,
    posture: postureOf(option, position),
    isHold: exercise.tempo === 'hold',
    arrangeS: exercise.arrangeS,
    isWayUp: exercise.closing === 'way-up',
    props,
    keepsShape,
    gear,
  };
}
