import type { AidId, AskedMeasure } from '../body/aids/aid.ts';
import { AIDS } from '../body/aids/aids.ts';
import type { BodySide } from '../body/full-pose.ts';
import type { Option } from '../movement/exercise.ts';
import { amountOf, type Asked } from './asked.ts';
import type { Ask, AskSide } from './asks.ts';
import type { CautionId } from './cautions/cautions.ts';
import type { RatherNot } from './rather-not.ts';
import type { Restriction } from './restrictions.ts';

/** A bound that a way of doing something reaches. */
export interface Hit {
  caution?: CautionId;
  wish?: RatherNot;
  ask: Ask;
  /** Left out where it is not known: then it is avoided. */
  value?: number;
  bound: number;
  effect: 'avoid' | 'limit' | 'support';
  smallerIsNoWayOut: boolean;
}

/** A dose's side as it is drawn, or with right for left. */
export type Drawn = 'as drawn' | 'mirrored' | 'both ways';

/** How long an item works, and how it holds. */
export interface ItemClock {
  workS: number;
  /** How long the class lies on its back in one go, this item within it. */
  lyingS: number;
  holdS: number;
  isStanding: boolean;
}

export const NO_CLOCK: ItemClock = { workS: 0, lyingS: 0, holdS: 0, isStanding: false };

/** Whether somebody may do this: what of their restrictions it reaches. */
export function hitsOf(
  option: Option,
  asked: Asked,
  aids: readonly AidId[],
  restrictions: readonly Restriction[],
  drawn: Drawn,
  clock: ItemClock,
): Hit[] {
  const hits: Hit[] = [];
  for (const restriction of restrictions) {
    const { ask, avoid, limit, support } = restriction;
    const value = valueOf(asked, ask, sideAsDrawn(restriction.side, drawn), clock);
    if (value === undefined) {
      hits.push(hit(restriction, value, avoid ?? limit ?? support ?? 0, 'avoid'));
    } else if (avoid !== undefined && value >= avoid) {
      hits.push(hit(restriction, value, avoid, 'avoid'));
    } else if (support !== undefined && value >= support && !isEased(ask, option, aids)) {
      hits.push(hit(restriction, value, support, 'support'));
    } else if (limit !== undefined && value >= limit) {
      hits.push(hit(restriction, value, limit, 'limit'));
    }
  }
  return hits;
}

function hit(
  { ask, caution, wish, smallerIsNoWayOut }: Restriction,
  value: number | undefined,
  bound: number,
  effect: Hit['effect'],
): Hit {
  const made: Hit = { ask, bound, effect, smallerIsNoWayOut: smallerIsNoWayOut ?? false };
  // Made by the thousand: assigned and not spread.
  if (caution !== undefined) made.caution = caution;
  if (wish !== undefined) made.wish = wish;
  if (value !== undefined) made.value = value;
  return made;
}

function valueOf(asked: Asked, ask: Ask, side: AskSide, clock: ItemClock): number | undefined {
  switch (ask) {
    case 'holdS':
      return clock.holdS;
    case 'standS':
      return clock.isStanding ? clock.workS : 0;
    case 'flatS':
      return asked.near.flat * Math.max(clock.workS, clock.lyingS);
    default:
      return amountOf(asked, ask, side);
  }
}

/** A support is there, by choice or because the option has its prop in that place anyway. */
function isEased(ask: Ask, { props }: Option, aids: readonly AidId[]): boolean {
  return AIDS.some(
    ({ id, eases, props: needed }) =>
      eases?.includes(ask as AskedMeasure) &&
      (aids.includes(id) ||
        needed.some(({ place }) => props.some((use) => use.place === place && !use.optional))),
  );
}

const OTHER: Record<BodySide, BodySide> = { right: 'left', left: 'right' };

/** Where a side of a person is in the drawing; what is done both ways is looked at on both. */
function sideAsDrawn(side: AskSide, drawn: Drawn): AskSide {
  if (side === 'either' || drawn === 'both ways') return 'either';
  return drawn === 'mirrored' ? OTHER[side] : side;
}
