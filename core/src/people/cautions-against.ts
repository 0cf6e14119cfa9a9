import type { Exercise, Option } from '../movement/exercise.ts';
import { CAUTIONS, type Caution } from './cautions.ts';
import { demandsOf } from './demands.ts';

/** A caution that rules options of an exercise out, and what stays open. */
export interface CautionAgainst {
  caution: Caution;
  /** Options that may still be done; none where it must be another exercise, or rest. */
  open: Option[];
}

/** The usual cautions that rule out at least one option of an exercise. */
export function cautionsAgainst(exercise: Exercise): CautionAgainst[] {
  return (CAUTIONS as readonly Caution[]).flatMap((caution) => {
    const open = exercise.options.filter(
      (option) => !demandsOf(option).some((demand) => caution.effects[demand] === 'avoid'),
    );
    return open.length === exercise.options.length ? [] : [{ caution, open }];
  });
}

/** "options 1, 2 stay open", or that none does. */
export function tellOpen(open: readonly Option[]): string {
  if (open.length === 0) return 'no option: another exercise in its place, or rest';
  const numbers = open.map(({ number }) => number).join(', ');
  return open.length === 1 ? `option ${numbers} stays open` : `options ${numbers} stay open`;
}
