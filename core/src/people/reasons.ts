import type { Exercise } from '../movement/exercise.ts';
import type { Demand, Position } from '../movement/vocabulary.ts';
import { cautionOf, DEMAND_WORDS, type CautionId } from './cautions.ts';

/** Why an option was chosen or passed over; data first, said by `explainReason`. */
export type Reason =
  | { code: 'avoids'; caution: CautionId; demand: Demand; option: number }
  | { code: 'careful'; caution: CautionId; demand: Demand; effect: 'limit' | 'support' }
  | { code: 'level'; level: number; option: number }
  | { code: 'last-time'; option: number }
  | { code: 'variants'; option: number }
  | { code: 'not-offered'; option: number }
  | { code: 'not-cued'; option: number; atOnce: number }
  | { code: 'swap'; exercise: string; name: string; samePosition: boolean }
  | { code: 'no-swap'; position: Position }
  | { code: 'by-hand' };

/** One sentence for a reason. */
export function explainReason(reason: Reason, exercise: Exercise): string {
  const name = (number: number) => exercise.options[number - 1]?.name ?? `option ${number}`;
  switch (reason.code) {
    case 'avoids':
      return `${cautionOf(reason.caution).name}: option ${reason.option} (${name(reason.option)}) asks for ${DEMAND_WORDS[reason.demand]}.`;
    case 'careful':
      return reason.effect === 'support'
        ? `${cautionOf(reason.caution).name}: give support for ${DEMAND_WORDS[reason.demand]}.`
        : `${cautionOf(reason.caution).name}: keep ${DEMAND_WORDS[reason.demand]} small.`;
    case 'level':
      return reason.level > reason.option
        ? `Own level is ${reason.level}; option ${reason.option} is the highest that fits.`
        : `Own level is ${reason.level}.`;
    case 'last-time':
      return `Did option ${reason.option} of this exercise in full last time.`;
    case 'variants':
      return `Variants are done by everybody in turn, as far as ${name(reason.option)}; whoever stops there does it again meanwhile.`;
    case 'not-offered':
      return `Own level is ${reason.option}, and no option that low is on offer.`;
    case 'not-cued':
      return `Option ${reason.option} would fit; it is not cued, so that no more than ${reason.atOnce} ways run at once.`;
    case 'swap':
      return reason.samePosition
        ? `${reason.name} keeps the position and the aim for the same length of time.`
        : `${reason.name} keeps the aim for the same length of time, in another position.`;
    case 'no-swap':
      return `Nothing in the catalogue stands in here: rest in this position (${reason.position}).`;
    case 'by-hand':
      return 'Chosen by you.';
  }
}
