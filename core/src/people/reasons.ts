import type { AidId } from '../body/aids/aid.ts';
import { aidOf } from '../body/aids/aids.ts';
import type { Exercise } from '../movement/exercise.ts';
import type { Position } from '../movement/vocabulary.ts';
import { showAmount } from './amounts.ts';
import { askWords, unitOf, type Ask } from './asks.ts';
import { cautionOf, type CautionId } from './cautions/cautions.ts';
import type { Hit } from './hits.ts';
import { landmarkOf } from './landmarks.ts';
import { ratherNotOf } from './rather-not.ts';
import { FEWER } from './ways.ts';

/** Why an option was chosen, changed or passed over; data first, said by `explainReason`. */
export type Reason =
  | ({ code: 'asks'; option: number } & Omit<Hit, 'smallerIsNoWayOut'>)
  | { code: 'support'; aid: AidId }
  | { code: 'smaller'; ask: Ask }
  | { code: 'fewer'; share: number }
  | { code: 'again'; caution: CautionId }
  | { code: 'eased'; caution: CautionId }
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
    case 'asks':
      return explainAsk(reason, name(reason.option));
    case 'support':
      return `With ${aidOf(reason.aid).name}: ${aidOf(reason.aid).words}`;
    case 'smaller':
      return `Half as far: ${landmarkOf(reason.ask)}.`;
    case 'fewer':
      return reason.share <= FEWER
        ? `${reason.share === FEWER ? 'Half as many, or half as long' : 'As long as it is under the bound'}; then rest, or the first option.`
        : `About ${Math.round(reason.share * 10)} tenths of the dose.`;
    case 'again':
      return `More again when ${cautionOf(reason.caution).againWhen}. Stop: ${cautionOf(reason.caution).stop}.`;
    case 'eased':
      return `${cautionOf(reason.caution).name}: ${cautionOf(reason.caution).says}`;
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
      return `Nothing in the catalogue stands in here: rest (from ${reason.position}).`;
    case 'by-hand':
      return 'Chosen by you.';
  }
}

const EFFECT_WORDS = {
  avoid: 'left out from',
  limit: 'kept small from',
  support: 'supported from',
} as const;

function explainAsk(
  { caution, wish, ask, value, bound, effect, option }: Extract<Reason, { code: 'asks' }>,
  name: string,
): string {
  const own = wish === undefined ? 'For nobody' : `Rather ${ratherNotOf(wish).name}`;
  const who = caution === undefined ? own : cautionOf(caution).name;
  if (value === undefined) {
    return `${who}: how much ${askWords(ask)} option ${option} (${name}) asks is not known, so it is left out.`;
  }
  const how = `${askWords(ask)}${amount(ask, value)}`;
  const from = unitOf(ask) === 'flag' ? '' : `, ${EFFECT_WORDS[effect]}${amount(ask, bound)}`;
  return `${who}: option ${option} (${name}) asks for ${how}${from}.`;
}

/** With a blank before it; nothing where it is there or is not. */
function amount(ask: Ask, value: number): string {
  return unitOf(ask) === 'flag' ? '' : ` ${showAmount(ask, value)}`;
}
