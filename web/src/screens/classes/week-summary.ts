import { DIRECTIONS } from '@wrenfern/core/movement/directions';
import { DIRECTION_WORDS } from '@wrenfern/core/movement/words';
import type { Named, ReadyClass } from '@wrenfern/contract/class-cards';

/** Whether nothing has been planned yet. */
export const isEmpty = ({ items, state }: ReadyClass) => items === 0 && state !== 'unreadable';

/** What a stretch of days comes to, in one line; `undefined` parts are left out by the reader. */
export function summarise(classes: readonly ReadyClass[]): string[] {
  const held = classes.filter(({ calledOff }) => calledOff === null);
  const empty = held.filter(isEmpty).length;
  const off = classes.length - held.length;
  return [
    `${held.length} ${held.length === 1 ? 'class' : 'classes'}`,
    empty > 0 ? `${empty} not planned` : '',
    off > 0 ? `${off} called off` : '',
    leastMet(held),
  ].filter(Boolean);
}

/** Classes from which it says something that one direction is met in few of them. */
const ENOUGH = 3;

/** The direction of the spine that fewest of the planned classes meet, unless all meet all. */
function leastMet(classes: readonly ReadyClass[]): string {
  const planned = classes.flatMap(({ ready }) => (ready && ready.items > 0 ? [ready] : []));
  if (planned.length < ENOUGH) return '';
  const counts = DIRECTIONS.map((direction) => ({
    direction,
    met: planned.filter(({ directions }) => directions[direction] > 0).length,
  }));
  const [least] = counts.toSorted((a, b) => a.met - b.met);
  if (!least || least.met === planned.length) return '';
  return `${DIRECTION_WORDS[least.direction]} is met in ${least.met} of ${planned.length}`;
}

export interface Filters {
  words: string;
  machine: 'all' | 'mat' | 'reformer';
  onlyUnplanned: boolean;
  /** Id of a school, or of whoever teaches; empty for all. */
  school: string;
  instructor: string;
}

/** The schools or instructors that these classes have, each once, by name. */
export function namedIn(classes: readonly ReadyClass[], field: 'school' | 'instructor'): Named[] {
  const named = new Map(
    classes.flatMap((each) => (each[field] ? [[each[field].id, each[field]]] : [])),
  );
  return [...named.values()].sort((a, b) => a.name.localeCompare(b.name));
}

/** Classes by name, who comes, exercise, machine, school, whoever teaches, and whether they are planned. */
export function filterClasses(classes: readonly ReadyClass[], filters: Filters): ReadyClass[] {
  const words = filters.words.trim().toLowerCase();
  return classes.filter(
    (each) =>
      (filters.machine === 'all' || each.machine === filters.machine) &&
      (!filters.onlyUnplanned || isEmpty(each)) &&
      (filters.school === '' || each.school?.id === filters.school) &&
      (filters.instructor === '' || each.instructor?.id === filters.instructor) &&
      (words === '' ||
        [each.title, ...each.coming, ...each.exercises].some((text) =>
          text.toLowerCase().includes(words),
        )),
  );
}

/** What is left of a class, in a few words. */
export function stateWords(each: ReadyClass): { words: string; isOpen: boolean } {
  const { ready, state, taught, targetS } = each;
  if (taught) return { words: 'taught', isOpen: false };
  if (state === 'unreadable') return { words: 'can’t be read', isOpen: true };
  if (!ready) return { words: 'not worked out yet', isOpen: false };
  if (isEmpty(each)) return { words: 'not planned', isOpen: true };
  const overMin = Math.round((ready.totalS - targetS) / 60);
  if (overMin >= 2) return { words: `${overMin} min over`, isOpen: true };
  const left = Object.values(ready.toSettle).flat().length;
  return left > 0
    ? { words: `${left} to settle`, isOpen: true }
    : { words: 'ready', isOpen: false };
}
