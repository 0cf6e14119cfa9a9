import type { BodySide } from '../body/full-pose.ts';
import {
  SIDE_MEASURES,
  WHOLE_MEASURES,
  type MeasureUnit,
  type SideMeasure,
  type WholeMeasure,
} from '../body/measures/measure-names.ts';
import { BACK_PARTS } from '../body/trunk-curve.ts';
import type { OptionMeasures } from '../body/measures/measures-of.ts';
import type { Option } from '../movement/exercise.ts';
import type { Demand } from '../movement/vocabulary.ts';
import { raisedBy } from './demands.ts';

/** What no drawing shows, and an author says by hand. */
const BY_HAND = {
  articulates: 'articulation',
  standsOnMoving: 'moving-platform',
  impact: 'jump',
  rolls: 'rolling',
} as const satisfies Record<string, Demand>;
type HandAsk = keyof typeof BY_HAND;

/** Seconds in which something is asked. */
export const CLOCK_ASKS = ['flatS', 'standS', 'holdS'] as const;
export type ClockAsk = (typeof CLOCK_ASKS)[number];

/** What a way of doing something asks of a body. `any`: that it is done at all. */
export type Ask = WholeMeasure | SideMeasure | HandAsk | ClockAsk | 'any';

const BENDS = (['round', 'arch', 'side', 'turn'] as const).flatMap((way) =>
  BACK_PARTS.map((part) => `${way} ${part}` as const),
);

/** Everything that can be asked, as whoever treats somebody may release it. */
export const RELEASABLE = [
  ...BENDS,
  ...(Object.keys(WHOLE_MEASURES) as (keyof typeof WHOLE_MEASURES)[]),
  ...(Object.keys(SIDE_MEASURES) as SideMeasure[]),
  ...(Object.keys(BY_HAND) as HandAsk[]),
  ...CLOCK_ASKS,
  'any',
] as const satisfies readonly Ask[];

/** How long an item works, and how it holds. */
export interface ItemClock {
  workS: number;
  holdS: number;
  isStanding: boolean;
}

/** The bodies of both sides, when the second side is done with right for left. */
export type AskSide = BodySide | 'either';

export function isSideAsk(ask: Ask): ask is SideMeasure {
  return ask in SIDE_MEASURES;
}

/** How much an option asks on a side, as drawn; undefined is unknown. */
export function askedBy(
  option: Option,
  measures: OptionMeasures,
  ask: Ask,
  side: AskSide,
  clock: ItemClock,
): number | undefined {
  if (ask in BY_HAND) return option.demands.includes(BY_HAND[ask as HandAsk]) ? 1 : 0;
  switch (ask) {
    case 'any':
      return 1;
    case 'holdS':
      return clock.holdS;
    case 'standS':
      return clock.isStanding ? clock.workS : 0;
    case 'flatS': {
      const { flat } = measures.whole;
      return flat && flat.peak * flat.nearShare * clock.workS;
    }
    default:
      return measured(option, measures, ask as WholeMeasure | SideMeasure, side);
  }
}

function measured(
  option: Option,
  { whole, sides }: OptionMeasures,
  ask: WholeMeasure | SideMeasure,
  side: AskSide,
): number | undefined {
  const said = raisedBy(option, ask);
  if (!isSideAsk(ask)) {
    const peak = whole[ask]?.peak;
    return peak === undefined ? undefined : Math.max(peak, said);
  }
  if (side !== 'either') {
    const peak = sides[side][ask]?.peak;
    return peak === undefined ? undefined : Math.max(peak, said);
  }
  const [right, left] = [sides.right[ask]?.peak, sides.left[ask]?.peak];
  return right === undefined || left === undefined ? undefined : Math.max(right, left, said);
}

const OTHER_WORDS: Record<HandAsk | ClockAsk | 'any', string> = {
  articulates: 'rolling bone by bone',
  standsOnMoving: 'standing on what moves',
  impact: 'jumping and landing',
  rolls: 'rolling on the back',
  flatS: 'lying flat',
  standS: 'standing still',
  holdS: 'one long hold',
  any: 'any exercise',
};

const BACK_WORDS = { low: 'low back', mid: 'middle back', up: 'upper back', neck: 'neck' };
const BEND_WORDS = { round: 'rounding', arch: 'arching', side: 'side-bending', turn: 'turning' };

/** What is asked, as a part of a sentence: "weight on bent-back wrists". */
export function askWords(ask: Ask): string {
  if (ask in OTHER_WORDS) return OTHER_WORDS[ask as keyof typeof OTHER_WORDS];
  if (ask in WHOLE_MEASURES) return WHOLE_MEASURES[ask as keyof typeof WHOLE_MEASURES].name;
  if (isSideAsk(ask)) return SIDE_MEASURES[ask].name;
  const [way, part] = ask.split(' ') as [keyof typeof BEND_WORDS, keyof typeof BACK_WORDS];
  return `${BEND_WORDS[way]} in the ${BACK_WORDS[part]}`;
}

export function unitOf(ask: Ask): MeasureUnit | 's' | 'flag' {
  if ((CLOCK_ASKS as readonly string[]).includes(ask)) return 's';
  if (ask in BY_HAND || ask === 'any' || ask === 'chestLifted' || ask === 'oneLegStand')
    return 'flag';
  if (ask in WHOLE_MEASURES) return WHOLE_MEASURES[ask as keyof typeof WHOLE_MEASURES].unit;
  return isSideAsk(ask) ? SIDE_MEASURES[ask].unit : '°';
}
