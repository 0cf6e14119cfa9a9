import {
  describeDose,
  doseAmount,
  USED_COUNTS,
  USED_SECONDS,
  withDoseAmount,
  type Dose,
} from '../../movement/dose.ts';
import { listWords } from '../../movement/words.ts';
import type { SingleEdit } from '../../plan/edits.ts';
import type { Rule, Worked } from '../rule.ts';

const FEW = 2;
const TENS = 10;
/** Small holds, and what is set on purpose to the quarter of a minute. */
const SMALL_S = 3;
const QUARTER_S = 15;

/** What people say aloud: the used numbers, round tens, a minute and its quarters. Common practice. */
function isSaid(amount: number, inSeconds: boolean): boolean {
  if (inSeconds) {
    return USED_SECONDS.includes(amount) || amount === SMALL_S || amount % QUARTER_S === 0;
  }
  return amount <= FEW || USED_COUNTS.includes(amount) || amount % TENS === 0;
}

/** The dose that would be said instead; nothing where this one is. */
function saidInstead({ dose, item }: Worked): Dose | undefined {
  // Free time is as long as it is.
  if (!item.dose || dose.kind === 'timed' || dose.kind === 'free') return undefined;
  const amount = doseAmount(dose);
  const inSeconds = dose.kind === 'hold';
  if (isSaid(amount, inSeconds)) return undefined;
  const nearest = (inSeconds ? USED_SECONDS : USED_COUNTS).reduce((best, each) =>
    Math.abs(each - amount) < Math.abs(best - amount) ? each : best,
  );
  return withDoseAmount(dose, nearest);
}

export const oddDose: Rule = {
  id: 'odd-dose',
  name: 'Numbers that people say',
  statement: 'Counts and holds are those that people say aloud: 8 and 10, not 7 and 9.',
  kind: 'preference',
  why: 'A crooked number is lost on the way, by the teacher first.',
  usually: 'should',
  find({ worked }) {
    const odd = worked.flatMap((each) => {
      const instead = saidInstead(each);
      return instead ? [{ ...each, instead }] : [];
    });
    if (odd.length === 0) return [];
    const edits = odd.map(({ item, instead }): SingleEdit => ({
      type: 'setDose',
      itemId: item.id,
      dose: instead,
    }));
    return [
      {
        key: 'odd',
        itemIds: odd.map(({ item }) => item.id),
        sentence: `${listWords(odd.map(({ exercise, dose }) => `${exercise.name} ${describeDose(dose)}`))}: nobody says that aloud.`,
        candidates: () => [
          {
            label: `Make it ${listWords(odd.map(({ instead }) => describeDose(instead)))}`,
            edit: { type: 'together', edits },
          },
        ],
      },
    ];
  },
};
