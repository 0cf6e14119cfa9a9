import { aidOf } from '../body/aids/aids.ts';
import type { Catalogue } from '../movement/catalogue.ts';
import { optionOf, type Exercise } from '../movement/exercise.ts';
import type { Choice } from './choice.ts';
import type { How } from './ways.ts';

/** "pad under the knees, half as far"; empty where it is done as it stands. */
export function sayHow(how: How | undefined): string {
  if (!how) return '';
  const aids = how.aids.map((id) => aidOf(id).name);
  return [
    ...aids,
    ...(how.smaller ? ['half as far'] : []),
    ...(how.dose < 1 ? [how.dose <= 0.5 ? 'half as many' : 'seven tenths of it'] : []),
  ].join(', ');
}

/** How it is done otherwise, in as few words as there are. */
export function markHow(how: How | undefined): string[] {
  if (!how) return [];
  return [
    ...how.aids.map((id) => aidOf(id).mark),
    ...(how.smaller ? ['half way'] : []),
    ...(how.dose < 1 ? ['fewer'] : []),
  ];
}

/** What somebody does, in a few words that may be seen by all: "option 2, Full, pad under the knees". */
export function sayChoice(choice: Choice, exercise: Exercise, catalogue: Catalogue): string {
  const right = sayOne(choice, exercise, catalogue);
  if (!choice.onLeft) return right;
  return `right: ${right}; left: ${sayOne(choice.onLeft, exercise, catalogue)}`;
}

function sayOne(choice: Choice, exercise: Exercise, catalogue: Catalogue): string {
  if (choice.kind === 'rest') return `rest: ${choice.shape}`;
  const how = sayHow(choice.how);
  const behind = how ? `, ${how}` : '';
  if (choice.kind === 'option') {
    return `option ${choice.option}, ${optionOf(exercise, choice.option).name}${behind}`;
  }
  const swap = catalogue.require(choice.exercise);
  return `instead: ${swap.name}, ${optionOf(swap, choice.option).name}${behind}`;
}
