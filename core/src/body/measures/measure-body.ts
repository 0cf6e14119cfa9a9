import type { Body } from '../body.ts';
import type { BodySide } from '../full-pose.ts';
import type { Statics } from '../statics.ts';
import { angles, bends, heights } from './measure-bends.ts';
import type { SideMeasure, WholeMeasure } from './measure-names.ts';
import { bearing, weights } from './measure-weights.ts';
import { legsDown, seeBody } from './seen-body.ts';

/** Undefined is unknown: what the weight could not be worked out for. */
export interface BodyMeasures {
  whole: Partial<Record<WholeMeasure, number>>;
  sides: Record<BodySide, Partial<Record<SideMeasure, number>>>;
}

/**
 * What a body that is laid out asks, by the model. `statics` are those of the same body; where they do not
 * balance, what is made of weight is unknown. `down` are the legs that touch something.
 */
export function measureBody(
  body: Body,
  statics: Statics,
  down: readonly BodySide[] = legsDown(statics),
): BodyMeasures {
  const seen = seeBody(body, statics, down);
  const { balanced } = statics;
  const side = (which: BodySide) => ({
    ...angles(seen, which),
    ...(balanced ? bearing(seen, which) : {}),
  });
  return {
    whole: { ...bends(seen), ...heights(seen), ...(balanced ? weights(seen) : {}) },
    sides: { right: side('right'), left: side('left') },
  };
}
