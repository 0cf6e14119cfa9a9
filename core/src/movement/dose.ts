import { z } from 'zod';
import { Side, Sides } from './vocabulary.ts';

const count = z.number().int().min(1).max(200);
const seconds = z.number().int().min(1).max(3600);

const shared = {
  /** Whole rounds of the dose. */
  sets: z.number().int().min(1).max(10).default(1),
  /** `each` and `alternating` count on each side; `left` and `right` do one side only. */
  sides: Sides.default('none'),
  /** 2 when the movement is done one way and then the other (a circle, a clock). */
  directions: z.number().int().min(1).max(2).default(1),
};

/** An option lower than the one that somebody does: so many full, the rest easier. */
const lower = z.literal(true).optional();

/** What follows a dose without a break, on the same side: a hold at the end, small ones, the rest an option lower. */
export const Phase = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('repetitions'), count, lower }),
  z.strictObject({ kind: z.literal('small'), count }),
  z.strictObject({ kind: z.literal('hold'), holdS: seconds, lower }),
]);
export type Phase = z.infer<typeof Phase>;

export const MOST_PHASES = 4;

/** Of what is counted or held; timed sets and free time follow the clock. */
const counted = {
  ...shared,
  then: z.array(Phase).min(1).max(MOST_PHASES).optional(),
  /** Which side begins, where the sides follow each other; the left when left out. */
  first: Side.optional(),
};
/** How many on the left where that is not as on the right. */
const leftCount = count.optional();
/** Nobody counts: so many, more or less. */
const about = z.literal(true).optional();

/** How much of an exercise is done. Seconds carry `S` in their name. */
export const Dose = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('repetitions'), count, leftCount, about, ...counted }),
  z.strictObject({ kind: z.literal('breaths'), count, leftCount, about, ...counted }),
  /** `count` holds of `holdS` each. */
  z.strictObject({ kind: z.literal('hold'), holdS: seconds, count: count.default(1), ...counted }),
  /** Work for `onS`, change for `offS`, `rounds` times (each side counts its own rounds). */
  z.strictObject({
    kind: z.literal('timed'),
    onS: seconds,
    offS: z.number().int().min(0).max(600),
    rounds: z.number().int().min(1).max(40).default(1),
    ...shared,
  }),
  z.strictObject({ kind: z.literal('free'), durationS: seconds, ...shared }),
]);
export type Dose = z.infer<typeof Dose>;
export type DoseKind = Dose['kind'];

/** True when a second side follows the first inside the same item. */
export function isTwoSided(dose: Dose): boolean {
  return dose.sides === 'each' || dose.sides === 'alternating';
}

/** What people count to, and hold for, in seconds. Common practice. */
export const USED_COUNTS: readonly number[] = [3, 4, 5, 6, 8, 10, 12, 15, 16, 20, 30];
export const USED_SECONDS: readonly number[] = [
  3, 5, 10, 15, 20, 30, 45, 60, 90, 120, 150, 180, 240, 300,
];

/** The number that people use nearest to an amount, within what is usual. */
export function usedNear(kind: ScaledDose['kind'], amount: number, usual: Amounts): number {
  return usedWithin(kind, usual).reduce((best, each) =>
    Math.abs(each - amount) < Math.abs(best - amount) ? each : best,
  );
}

/** The least and the most of something. */
interface Amounts {
  least: number;
  most: number;
}

/** The numbers that people use from the least to the most of what is usual, those two among them. */
export function usedWithin(kind: ScaledDose['kind'], { least, most }: Amounts): number[] {
  const inSeconds = kind === 'hold' || kind === 'free';
  const used = inSeconds ? USED_SECONDS : USED_COUNTS;
  return [
    least,
    ...used.filter((each) => each > least && each < most),
    ...(most > least ? [most] : []),
  ];
}

/** A dose whose amount can be made more or less; timed sets follow the clock. */
export type ScaledDose = Exclude<Dose, { kind: 'timed' }>;

/** How much of it: repetitions, breaths, or seconds of a hold or of free time. */
export function doseAmount(dose: ScaledDose): number {
  switch (dose.kind) {
    case 'hold':
      return dose.holdS;
    case 'free':
      return dose.durationS;
    default:
      return dose.count;
  }
}

/** The same dose with another amount. */
export function withDoseAmount(dose: ScaledDose, amount: number): Dose {
  switch (dose.kind) {
    case 'hold':
      return { ...dose, holdS: amount };
    case 'free':
      return { ...dose, durationS: amount };
    default:
      return { ...dose, count: amount };
  }
}

/** A share of a dose, as a number that people say: never more than the share, never nothing. */
export function shareOfDose(dose: ScaledDose, share: number): Dose {
  const amount = doseAmount(dose);
  const inSeconds = dose.kind === 'hold' || dose.kind === 'free';
  const fits = (inSeconds ? USED_SECONDS : USED_COUNTS).filter((each) => each <= amount * share);
  return withDoseAmount(dose, fits.at(-1) ?? Math.max(1, Math.floor(amount * share)));
}

/** The dose in words, e.g. "5 each side", "45 s on, 15 s to change". */
export function describeDose(dose: Dose): string {
  const amount = describeAmount(dose);
  const ways = dose.directions === 2 ? ' each way' : '';
  const sets = dose.sets > 1 ? `${dose.sets} × ` : '';
  return `${sets}${amount}${ways}${SIDE_WORDS[dose.sides]}${describeMore(dose)}`;
}

/** What is said behind the amount and its sides: ", 6 on the left, right first, then hold 20 s, then 20 small". */
export function describeMore(dose: Dose): string {
  if (dose.kind === 'timed' || dose.kind === 'free') return '';
  const isCounted = dose.kind !== 'hold';
  return [
    ...(isCounted && dose.leftCount !== undefined ? [`${dose.leftCount} on the left`] : []),
    ...(dose.first ? [`${dose.first} first`] : []),
    ...(dose.then ?? []).map((phase) => `then ${describePhase(phase)}`),
  ]
    .map((words) => `, ${words}`)
    .join('');
}

/** "hold 20 s", "20 small", "4 an option lower". */
export function describePhase(phase: Phase): string {
  switch (phase.kind) {
    case 'repetitions':
      return `${phase.count}${phase.lower ? ' an option lower' : ' more'}`;
    case 'small':
      return `${phase.count} small`;
    case 'hold':
      return `hold ${phase.holdS} s${phase.lower ? ' an option lower' : ''}`;
  }
}

const SIDE_WORDS: Record<Sides, string> = {
  none: '',
  each: ' each side',
  alternating: ' each side, in turn',
  left: ', left only',
  right: ', right only',
};

function describeAmount(dose: Dose): string {
  switch (dose.kind) {
    case 'repetitions':
      if (isTwoSided(dose)) return `${dose.about ? 'about ' : ''}${dose.count}`;
      return dose.count === 1 ? 'once' : `${dose.about ? 'about ' : ''}${dose.count} times`;
    case 'breaths':
      return `${dose.about ? 'about ' : ''}${dose.count} ${dose.count === 1 ? 'breath' : 'breaths'}`;
    case 'hold':
      return dose.count === 1 ? `hold ${dose.holdS} s` : `${dose.count} holds of ${dose.holdS} s`;
    case 'timed':
      return dose.rounds === 1
        ? `${dose.onS} s on, ${dose.offS} s to change`
        : `${dose.rounds} rounds, ${dose.onS} s on, ${dose.offS} s to change`;
    case 'free':
      return `${dose.durationS} s`;
  }
}
