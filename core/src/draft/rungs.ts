import type { Catalogue } from '../movement/catalogue.ts';
import { leadsTo } from '../movement/exercise.ts';

/** Whether an exercise leads to a goal, by itself or over one other: a rung of the climb. */
export function isRungTo(goal: string, catalogue: Catalogue): (slug: string) => boolean {
  const next = (slug: string) => {
    const exercise = catalogue.get(slug);
    return exercise ? leadsTo(exercise) : [];
  };
  return (slug) =>
    slug !== goal &&
    (next(slug).includes(goal) || next(slug).some((each) => next(each).includes(goal)));
}
