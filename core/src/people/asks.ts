import type { BodySide } from '../body/full-pose.ts';
import {
  SIDE_MEASURES,
  WHOLE_MEASURES,
  type MeasureUnit,
  type SideMeasure,
} from '../body/measures/measure-names.ts';
import { BACK_PARTS } from '../body/trunk-curve.ts';
import type { Demand } from '../movement/vocabulary.ts';

/** What no drawing shows, and an author says by hand. */
export const BY_HAND = {
  articulates: 'articulation',
  standsOnMoving: 'moving-platform',
  impact: 'jump',
  rolls: 'rolling',
} as const satisfies Record<string, Demand>;
type HandAsk = keyof typeof BY_HAND;

/** Seconds in which something is asked: they depend on the dose. */
const CLOCK_ASKS = ['flatS', 'standS', 'holdS'] as const;

const BENDS = (['round', 'arch', 'side', 'turn'] as const).flatMap((way) =>
  BACK_PARTS.map((part) => `${way} ${part}` as const),
);

/** Measured for load, skill and authors; no caution speaks of them. */
type Unspoken =
  'axial' | 'margin' | 'backHold' | 'sideHold' | 'hipHold' | 'kneeHold' | 'shoulderHold';
const UNSPOKEN: Readonly<Record<Unspoken, true>> = {
  axial: true,
  margin: true,
  backHold: true,
  sideHold: true,
  hipHold: true,
  kneeHold: true,
  shoulderHold: true,
};
type SpokenWhole = Exclude<keyof typeof WHOLE_MEASURES, Unspoken>;

/** All that can be asked whatever the dose, of the body as a whole and of a side. `any`: that it is done at all. */
export const WHOLE_ASKS = [
  ...BENDS,
  ...(Object.keys(WHOLE_MEASURES) as (keyof typeof WHOLE_MEASURES)[]).filter(
    (name): name is SpokenWhole => !(name in UNSPOKEN),
  ),
  ...(Object.keys(BY_HAND) as HandAsk[]),
  'archOverProp',
  'plankOnMoving',
  'any',
] as const;
type WholeAsk = (typeof WHOLE_ASKS)[number];
export const SIDE_ASKS = Object.keys(SIDE_MEASURES) as SideMeasure[];
export type Timeless = WholeAsk | SideMeasure;

/** True for what depends on the dose. */
export function isByClock(ask: Ask): ask is (typeof CLOCK_ASKS)[number] {
  return (CLOCK_ASKS as readonly Ask[]).includes(ask);
}

/** Everything that a way of doing something can ask of a body. */
export const ASKS = [...WHOLE_ASKS, ...SIDE_ASKS, ...CLOCK_ASKS] as const;
export type Ask = (typeof ASKS)[number];

/** A side of a body, or whichever is asked more. */
export type AskSide = BodySide | 'either';

export function isSideAsk(ask: Ask): ask is SideMeasure {
  return ask in SIDE_MEASURES;
}

export function isByHand(ask: Ask): ask is HandAsk {
  return ask in BY_HAND;
}

const OTHER_WORDS: Record<
  HandAsk | (typeof CLOCK_ASKS)[number] | 'archOverProp' | 'plankOnMoving' | 'any',
  string
> = {
  archOverProp: 'arching over a prop',
  plankOnMoving: 'a plank on what moves',
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

const FLAGS: readonly Ask[] = [
  'any',
  'archOverProp',
  'plankOnMoving',
  'chestLifted',
  'oneLegStand',
];

export function unitOf(ask: Ask): MeasureUnit | 's' | 'flag' {
  if (isByClock(ask)) return 's';
  if (isByHand(ask) || FLAGS.includes(ask)) return 'flag';
  if (ask in WHOLE_MEASURES) return WHOLE_MEASURES[ask as keyof typeof WHOLE_MEASURES].unit;
  return isSideAsk(ask) ? SIDE_MEASURES[ask].unit : '°';
}
