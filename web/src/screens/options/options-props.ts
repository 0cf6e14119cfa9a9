import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { OptionsPlan } from '@wrenfern/core/people/choose-options';
import type { ClassVerdict } from '@wrenfern/core/people/class-verdict';
import type { ExerciseItem } from '@wrenfern/core/plan/plan';
import type { BookedPerson, WholeClass } from '@wrenfern/contract/classes';

/** What both forms of the screen show: the table, and one exercise at a time. */
export interface OptionsProps {
  lesson: WholeClass;
  people: readonly BookedPerson[];
  items: readonly ExerciseItem[];
  options: OptionsPlan;
  verdicts: ReadonlyMap<string, ClassVerdict>;
  catalogue: Catalogue;
}
