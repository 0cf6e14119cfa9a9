import { SCHOOL_IDS } from '@wrenfern/core/plan/plan';
import type { SchoolRules } from '@wrenfern/core/plan/school';

/** A copy under a name and an id that nobody has yet; its reason is for the studio to write. */
export function copyOf(school: SchoolRules, own: readonly SchoolRules[]): SchoolRules {
  const taken = new Set<string>([...SCHOOL_IDS, ...own.map(({ id }) => id)]);
  const names = new Set(own.map(({ name }) => name));
  let number = 1;
  const idOf = () => `own-${number}`;
  const nameOf = () => {
    const base = school.name.slice(0, 44);
    return number === 1 ? `${base}, our way` : `${base}, our way ${number}`;
  };
  while (taken.has(idOf()) || names.has(nameOf())) number += 1;
  return { ...school, id: idOf(), name: nameOf() };
}
