import type { Analysis } from '../analyse.ts';
import { aidedOption, viewWith } from '../body/aids/aided-option.ts';
import type { Catalogue } from '../movement/catalogue.ts';
import type { Dose } from '../movement/dose.ts';
import { optionOf, type Exercise, type Option } from '../movement/exercise.ts';
import { adviceOf } from '../people/advice.ts';
import type { Choice } from '../people/choice.ts';
import { exerciseItemsOf, type ExerciseItem, type Plan } from '../plan/plan.ts';
import { rulesOf } from '../plan/schools.ts';
import { doseOf } from '../plan/usual.ts';
import { showClock } from '../plan/show-time.ts';
import { describeItemDose } from '../plan/variants.ts';
import type { Person } from '../people/person.ts';
import { ownSettings } from '../room/own-settings.ts';

/** What one person does on one side, or on both where they are alike. */
export interface PersonWay {
  side?: 'right' | 'left';
  does: string;
  howFar?: string;
  feltWhere?: string;
}

export interface PersonRow {
  at: string;
  name: string;
  dose: string;
  ways: PersonWay[];
  /** The body as they do it, with their supports; nothing in a rest. */
  drawn?: { exercise: Exercise; option: Option };
}

/** A class as one person does it: nothing of why, and no condition. */
export interface PersonPage {
  name: string;
  title: string;
  facts: string;
  parts: { name: string; rows: PersonRow[] }[];
}

interface PersonPageInput {
  plan: Plan;
  catalogue: Catalogue;
  analysis: Analysis;
  person: Pick<Person, 'id' | 'name' | 'springs' | 'statureCm'>;
  /** Day and place in words; empty when the class has no day. */
  when: string;
  /** How a second of the class is told: the time of day, or minutes from the start. */
  clock?: (atS: number) => string;
}

/** Pauses are left out: they are the same for all. */
export function personPage(input: PersonPageInput): PersonPage {
  const { plan, analysis, person, when, clock = showClock } = input;
  const items = new Map(exerciseItemsOf(plan).map((item) => [item.id, item]));
  const choices = analysis.options.choices.get(person.id);
  return {
    name: person.name,
    title: plan.title,
    facts: [when, plan.machine, ...(plan.machine === 'reformer' ? ownSettings(person) : [])]
      .filter(Boolean)
      .join(' · '),
    parts: analysis.timeline.segments
      .map((segment) => ({
        name: segment.name,
        rows: segment.items.flatMap(({ itemId, startS, pass }): PersonRow[] => {
          if ((pass?.number ?? 1) > 1) return [];
          const [item, choice] = [items.get(itemId), choices?.get(itemId)];
          return item && choice ? [{ at: clock(startS), ...rowOf(item, choice, input) }] : [];
        }),
      }))
      .filter(({ rows }) => rows.length > 0),
  };
}

function rowOf(
  item: ExerciseItem,
  choice: Choice,
  { plan, catalogue }: PersonPageInput,
): Omit<PersonRow, 'at'> {
  const exercise = catalogue.require(item.exercise);
  const { onLeft, ...right } = choice;
  const drawn = drawnOf(choice, exercise, catalogue);
  const dose = doseOf(item, exercise, rulesOf(plan.school));
  const told = (each: Choice) => wayOf(each, exercise, catalogue, dose);
  return {
    name: exercise.name,
    dose: describeItemDose(item, exercise, rulesOf(plan.school)),
    ways: onLeft
      ? [
          { side: 'right', ...told(right) },
          { side: 'left', ...told(onLeft) },
        ]
      : [told(right)],
    ...(drawn ? { drawn } : {}),
  };
}

function wayOf(choice: Choice, exercise: Exercise, catalogue: Catalogue, dose: Dose): PersonWay {
  const { does, landmark, feltWhere } = adviceOf(choice, exercise, catalogue, dose);
  // What is left out, or done otherwise, has no measure of its own to stop at.
  const isOwn = choice.kind === 'option' && choice.how?.smaller;
  return {
    does,
    ...(isOwn && landmark ? { howFar: landmark } : {}),
    ...(feltWhere ? { feltWhere } : {}),
  };
}

function drawnOf(choice: Choice, exercise: Exercise, catalogue: Catalogue): PersonRow['drawn'] {
  if (choice.kind === 'rest') return undefined;
  const done = choice.kind === 'swap' ? catalogue.require(choice.exercise) : exercise;
  const option = optionOf(done, choice.option);
  const aids = choice.how?.aids ?? [];
  return {
    exercise: { ...done, view: viewWith(done.view, aids) },
    option: aidedOption(option, aids) ?? option,
  };
}
