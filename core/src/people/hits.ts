import { aidOf, type AidId, type AskedMeasure } from '../body/aids/aids.ts';
import type { BodySide } from '../body/full-pose.ts';
import type { OptionMeasures } from '../body/measures/measures-of.ts';
import type { Option } from '../movement/exercise.ts';
import { askedBy, type Ask, type AskSide, type ItemClock } from './asks.ts';
import type { CautionId } from './cautions/cautions.ts';
import type { Restriction } from './restrictions.ts';

/** A bound that a way of doing something reaches. */
export interface Hit {
  caution?: CautionId;
  ask: Ask;
  /** Left out where it is not known: then it is avoided. */
  value?: number;
  bound: number;
  effect: 'avoid' | 'limit' | 'support';
  smallerIsNoWayOut: boolean;
}

/** A dose's side as it is drawn, or with right for left. */
export type Drawn = 'as drawn' | 'mirrored' | 'both ways';

/** Whether somebody may do this: what of their restrictions it reaches. */
export function hitsOf(
  option: Option,
  measures: OptionMeasures,
  aids: readonly AidId[],
  restrictions: readonly Restriction[],
  drawn: Drawn,
  clock: ItemClock,
): Hit[] {
  return restrictions.flatMap((restriction) => {
    const value = askedBy(
      option,
      measures,
      restriction.ask,
      sideAsDrawn(restriction.side, drawn),
      clock,
    );
    return hitOf(restriction, value, aids) ?? [];
  });
}

function hitOf(
  { ask, caution, avoid, limit, support, smallerIsNoWayOut }: Restriction,
  value: number | undefined,
  aids: readonly AidId[],
): Hit | undefined {
  const hit = (bound: number, effect: Hit['effect']): Hit => ({
    ...(caution === undefined ? {} : { caution }),
    ask,
    ...(value === undefined ? {} : { value }),
    bound,
    effect,
    smallerIsNoWayOut: smallerIsNoWayOut ?? false,
  });
  if (value === undefined) return hit(avoid ?? limit ?? support ?? 0, 'avoid');
  if (avoid !== undefined && value >= avoid) return hit(avoid, 'avoid');
  if (support !== undefined && value >= support && !isEased(ask, aids))
    return hit(support, 'support');
  return limit !== undefined && value >= limit ? hit(limit, 'limit') : undefined;
}

function isEased(ask: Ask, aids: readonly AidId[]): boolean {
  return aids.some((id) => aidOf(id).eases?.includes(ask as AskedMeasure));
}

const OTHER: Record<BodySide, BodySide> = { right: 'left', left: 'right' };

/** Where a side of a person is in the drawing; what is done both ways is looked at on both. */
function sideAsDrawn(side: AskSide, drawn: Drawn): AskSide {
  if (side === 'either' || drawn === 'both ways') return 'either';
  return drawn === 'mirrored' ? OTHER[side] : side;
}
