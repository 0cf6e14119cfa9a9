import {
  doseAmount,
  USED_COUNTS,
  USED_SECONDS,
  withDoseAmount,
  type Dose,
} from '../movement/dose.ts';
import type { Exercise } from '../movement/exercise.ts';

/** Twice as much as is usual, and half as little: further nobody pulls a row by accident. */
const BEYOND = 2;

/**
 * The dose that lasts about so many seconds more, or less where negative, in the numbers that people use. `workS` is what
 * the work of the dose takes now. What goes by the clock snaps to whole intervals. Undefined for what does not grow with
 * its amount.
 */
export function doseByLength(
  dose: Dose,
  { usual }: Pick<Exercise, 'usual'>,
  workS: number,
  moreS: number,
): Dose | undefined {
  if (dose.kind === 'timed') return byIntervals(dose, moreS);
  if (workS <= 0) return undefined;
  const amount = doseAmount(dose);
  const wanted = (amount * (workS + moreS)) / workS;
  const inSeconds = dose.kind === 'hold' || dose.kind === 'free';
  const said = (inSeconds ? USED_SECONDS : USED_COUNTS).filter(
    (each) => each >= usual.least / BEYOND && each <= usual.most * BEYOND,
  );
  const nearest = [amount, ...said].reduce((best, each) =>
    Math.abs(each - wanted) < Math.abs(best - wanted) ? each : best,
  );
  return withDoseAmount(dose, nearest);
}

/** More rounds than anybody sets for one exercise by pulling. */
const MOST_ROUNDS = 12;

function byIntervals(dose: Dose & { kind: 'timed' }, moreS: number): Dose {
  const eachS = (dose.onS + dose.offS) * (dose.sides === 'each' ? 2 : 1);
  const rounds = Math.round(dose.rounds + moreS / eachS);
  return { ...dose, rounds: Math.min(MOST_ROUNDS, Math.max(1, rounds)) };
}
