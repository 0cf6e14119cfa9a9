import { LRUCache } from 'lru-cache';
import { exerciseItemsOf, itemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { ClassRow } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';

/** What a list says of a plan. */
export interface Outline {
  machine: Plan['machine'];
  targetS: number;
  items: number;
  school: { id: string; name: string } | null;
  /** Its exercises, each once. */
  slugs: readonly string[];
}

export const NOTHING: Outline = {
  machine: 'mat',
  targetS: 0,
  items: 0,
  school: null,
  slugs: [],
};

/** A saved revision never changes. */
const outlines = new LRUCache<string, Outline>({ max: 20_000 });

/** Outlines by class; plans are read for those only that are not known yet. */
export async function outlinesOf(
  rows: readonly ClassRow[],
  studioId: string,
): Promise<Map<string, Outline>> {
  const keyOf = ({ id, revision }: { id: string; revision: number }) => `${id} ${revision}`;
  const unread = rows.filter((row) => !outlines.has(keyOf(row)));
  if (unread.length > 0) {
    const ids = unread.map(({ id }) => id);
    const read = await rowsOf(ClassRow, studioId).all({
      where: { id: ids },
      attributes: ['id', 'revision', 'plan'],
    });
    for (const row of read) outlines.set(keyOf(row), outlineOf(row.plan));
  }
  return new Map(rows.map((row) => [row.id, outlines.get(keyOf(row)) ?? NOTHING]));
}

function outlineOf(plan: Plan): Outline {
  const { id, name } = rulesOf(plan.school);
  return {
    machine: plan.machine,
    targetS: plan.targetS,
    items: itemsOf(plan).length,
    school: { id, name },
    slugs: [...new Set(exerciseItemsOf(plan).map(({ exercise }) => exercise))],
  };
}
