import type { Exercise, Option } from '../movement/exercise.ts';
import type { Caution } from './cautions/caution.ts';
import { CAUTIONS, type CautionId } from './cautions/cautions.ts';
import { askedBy } from './asked.ts';
import { hitsOf, NO_CLOCK } from './hits.ts';
import type { CautionEntry } from './person.ts';
import { restrictionsOf } from './restrictions.ts';
import { AS_ASKED } from './ways.ts';

/** A caution that rules options of an exercise out, and what stays open. */
export interface CautionAgainst {
  caution: Caution;
  /** Options that may still be done as they stand; none where it must be helped, another exercise, or rest. */
  open: Option[];
}

/** An entry of which nothing more is known: every stage and way holds. */
export function bareEntry(caution: CautionId): CautionEntry {
  return { caution, clearedBy: '', note: '' };
}

/** True where somebody with only this caution, of which nothing more is known, must leave an option out. */
export function isAgainst(caution: CautionId, option: Option): boolean {
  const restrictions = restrictionsOf(
    { person: { cautions: [] }, today: [bareEntry(caution)] },
    '',
  );
  const asked = askedBy(option, AS_ASKED);
  if (!asked) return true;
  return hitsOf(option, asked, [], restrictions, 'both ways', NO_CLOCK).some(
    (hit) => hit.effect === 'avoid' && hit.caution === caution,
  );
}

/** The usual cautions that rule out at least one option of an exercise. */
export function cautionsAgainst(exercise: Exercise): CautionAgainst[] {
  return CAUTIONS.flatMap((caution) => {
    const open = exercise.options.filter((option) => !isAgainst(caution.id, option));
    return open.length === exercise.options.length ? [] : [{ caution, open }];
  });
}

/** "options 1, 2 stay open", or that none does. */
export function tellOpen(open: readonly Option[]): string {
  if (open.length === 0) return 'no option: another exercise in its place, or rest';
  const numbers = open.map(({ number }) => number).join(', ');
  return open.length === 1 ? `option ${numbers} stays open` : `options ${numbers} stay open`;
}
