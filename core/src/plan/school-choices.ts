import { SCHOOL_IDS, type School } from './plan.ts';
import type { SchoolRules } from './school.ts';
import { rulesOf, SCHOOLS } from './schools.ts';

/** The school of a plan as the value of a list: its id. */
export function schoolValue(school: School): string {
  return rulesOf(school).id;
}

/** The schools that ship, the studio's own, and the plan's own where the studio has it no more. */
export function schoolChoices(
  own: readonly SchoolRules[],
  current: School,
): { value: string; name: string }[] {
  const now = rulesOf(current);
  const known = [...SCHOOL_IDS.map((id) => SCHOOLS[id]), ...own];
  const all = known.some(({ id }) => id === now.id) ? known : [...known, now];
  return all.map(({ id, name }) => ({ value: id, name }));
}

/** The school with this id, as a plan carries it. */
export function schoolOf(value: string, own: readonly SchoolRules[], current: School): School {
  return SCHOOL_IDS.find((id) => id === value) ?? own.find(({ id }) => id === value) ?? current;
}

/** True when the studio has changed its school since the plan took it. */
export function isOutdated(school: School, own: readonly SchoolRules[]): boolean {
  if (typeof school === 'string') return false;
  const newest = own.find(({ id }) => id === school.id);
  return newest !== undefined && JSON.stringify(newest) !== JSON.stringify(school);
}
