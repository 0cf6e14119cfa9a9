import { aidOf } from '../body/aids/aids.ts';
import type { Catalogue } from '../movement/catalogue.ts';
import { doseAmount, shareOfDose, type Dose } from '../movement/dose.ts';
import { optionOf, type Exercise } from '../movement/exercise.ts';
import type { Choice } from './choice.ts';
import type { How } from './ways.ts';

/** "pad under the knees, half as far, 5 of 10"; empty where it is done as it stands. */
function sayHow(how: How | undefined, dose: Dose | undefined): string {
  if (!how) return '';
  const aids = how.aids.map((id) => aidOf(id).name);
  return [
    ...aids,
    ...(how.smaller ? ['half as far'] : []),
    ...(how.dose < 1 ? [sayShare(how.dose, dose)] : []),
  ].join(', ');
}

/** How much of the dose: "5 of 10", "20 s of 45 s, then rest". */
function sayShare(share: number, dose: Dose | undefined): string {
  if (!dose || dose.kind === 'timed') return share <= 0.5 ? 'half as long' : 'seven tenths of it';
  const [part, all] = [shareOfDose(dose, share), dose].map(amountOfDose);
  switch (dose.kind) {
    case 'hold':
    case 'free':
      return `${part} s of ${all} s, then rest or an option lower`;
    case 'breaths':
      return `${part} of ${all} breaths`;
    case 'repetitions':
      return `${part} of ${all}`;
  }
}

function amountOfDose(dose: Dose): number {
  return dose.kind === 'timed' ? dose.onS : doseAmount(dose);
}

/** How it is done otherwise, in as few words as there are. */
export function markHow(how: How | undefined): string[] {
  if (!how) return [];
  return [
    ...how.aids.map((id) => aidOf(id).mark),
    ...(how.smaller ? ['half way'] : []),
    ...(how.dose < 1 ? ['less'] : []),
  ];
}

/** What somebody does of an item with this dose, in a few words that may be seen by all: "option 2, Full, pad under the knees". */
export function sayChoice(
  choice: Choice,
  exercise: Exercise,
  catalogue: Catalogue,
  dose: Dose,
): string {
  const right = sayOne(choice, exercise, catalogue, dose);
  if (!choice.onLeft) return right;
  return `right: ${right}; left: ${sayOne(choice.onLeft, exercise, catalogue, dose)}`;
}

function sayOne(
  choice: Choice,
  exercise: Exercise,
  catalogue: Catalogue,
  dose: Dose | undefined,
): string {
  if (choice.kind === 'rest') return `rest: ${choice.shape}`;
  // A stand-in has a dose of its own.
  const how = sayHow(
    choice.how,
    choice.kind === 'swap' ? catalogue.require(choice.exercise).dose : dose,
  );
  const behind = how ? `, ${how}` : '';
  if (choice.kind === 'option') {
    return `option ${choice.option}, ${optionOf(exercise, choice.option).name}${behind}`;
  }
  const swap = catalogue.require(choice.exercise);
  return `instead: ${swap.name}, ${optionOf(swap, choice.option).name}${behind}`;
}
