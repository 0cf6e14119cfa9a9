import { fittingAids, measuresOfWay, MOST_AIDS } from '../body/aids/aided-option.ts';
import { aidOf, type AidId } from '../body/aids/aids.ts';
import type { Option } from '../movement/exercise.ts';
import { hitsOf, type Drawn, type Hit } from './hits.ts';
import type { ItemClock } from './asks.ts';
import type { Restriction } from './restrictions.ts';

/** How an option is done: with which supports, how far, and how much of the dose. */
export interface How {
  aids: readonly AidId[];
  smaller: boolean;
  /** A share of the dose. */
  dose: number;
}

export const AS_ASKED: How = { aids: [], smaller: false, dose: 1 };

/** A way that is allowed, what it costs in departures, and what of the plain way it answers. */
export interface AllowedWay {
  how: How;
  cost: number;
  answers: readonly Hit[];
}

/**
 * What each departure costs, so that the cheapest is the one a careful teacher tries first: a support, a second,
 * then an option lower, then a smaller range, then less of it. Common practice.
 */
export const COST = { aid: 1, rung: 3, smaller: 20, fewer: 40 } as const;
/** Less by half. */
export const FEWER = 0.5;

export interface Asked {
  restrictions: readonly Restriction[];
  drawn: Drawn;
  clock: ItemClock;
}

/** The cheapest way in which somebody may do an option; undefined where there is none. */
export function cheapestWay(option: Option, asked: Asked): AllowedWay | undefined {
  const plain = judge(option, [], false, asked) ?? [];
  if (plain.length === 0) return { how: AS_ASKED, cost: 0, answers: [] };
  const found = (how: Partial<How>, cost: number): AllowedWay => ({
    how: { ...AS_ASKED, ...how },
    cost,
    answers: plain,
  });
  const helping = aidsThatHelp(option, plain, asked);
  for (const { ids, left } of helping) {
    if (left.length === 0) return found({ aids: ids }, COST.aid * ids.length);
  }
  for (const ids of pairsOf(helping, plain)) {
    if (judge(option, ids, false, asked)?.length === 0) {
      return found({ aids: ids }, COST.aid * ids.length);
    }
  }
  if (plain.every(({ effect, smallerIsNoWayOut }) => effect !== 'avoid' || !smallerIsNoWayOut)) {
    for (const aids of [[], ...helping.map(({ ids }) => ids)]) {
      if (judge(option, aids, true, asked)?.length === 0) {
        return found({ aids, smaller: true }, COST.smaller + COST.aid * aids.length);
      }
    }
  }
  return fewer(plain, helping, found);
}

/** Less of it answers what is only limited; alone, or where a support has taken away what is avoided. */
function fewer(
  plain: readonly Hit[],
  helping: readonly Helping[],
  found: (how: Partial<How>, cost: number) => AllowedWay,
): AllowedWay | undefined {
  const isOnlyLimited = (hits: readonly Hit[]) => hits.every(({ effect }) => effect !== 'avoid');
  if (isOnlyLimited(plain)) return found({ dose: FEWER }, COST.fewer);
  const helped = helping.find(({ left }) => isOnlyLimited(left));
  return helped && found({ aids: helped.ids, dose: FEWER }, COST.fewer + COST.aid);
}

interface Helping {
  ids: readonly AidId[];
  /** What is still reached with it. */
  left: readonly Hit[];
}

/** Supports that take away at least one of the bounds that are reached, and reach no other. */
function aidsThatHelp(option: Option, plain: readonly Hit[], asked: Asked): Helping[] {
  return fittingAids(option).flatMap((id) => {
    const left = judge(option, [id], false, asked);
    return left && isLess(left, plain) ? [{ ids: [id], left }] : [];
  });
}

const RANK = { support: 1, limit: 1, avoid: 2 } as const;

function isLess(left: readonly Hit[], plain: readonly Hit[]): boolean {
  const weight = (hits: readonly Hit[]) => hits.reduce((sum, { effect }) => sum + RANK[effect], 0);
  return weight(left) < weight(plain);
}

/** Pairs of which each takes away what the other leaves. */
function pairsOf(helping: readonly Helping[], plain: readonly Hit[]): AidId[][] {
  if (MOST_AIDS < 2) return [];
  const key = ({ caution, ask }: Hit) => `${caution ?? ''} ${ask}`;
  return helping.flatMap((one, index) =>
    helping.slice(index + 1).flatMap((other) => {
      const leftByOther = new Set(other.left.map(key));
      const isSolved = plain.every(
        (hit) => !leftByOther.has(key(hit)) || !one.left.some((left) => key(left) === key(hit)),
      );
      return isSolved ? [[...one.ids, ...other.ids]] : [];
    }),
  );
}

/** What is reached in this way; undefined where it can’t be done so. */
function judge(
  option: Option,
  aids: readonly AidId[],
  smaller: boolean,
  { restrictions, drawn, clock }: Asked,
): Hit[] | undefined {
  const measures = measuresOfWay(option, { aids, smaller });
  if (!measures) return undefined;
  const hits = hitsOf(option, measures, aids, restrictions, drawn, clock);
  return hits;
}

/** What the plain way of an option reaches. */
export function plainHits(option: Option, asked: Asked): Hit[] {
  return judge(option, [], false, asked) ?? [];
}
