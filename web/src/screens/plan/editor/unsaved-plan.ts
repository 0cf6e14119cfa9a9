import { z } from 'zod';
import { StoredPlan } from '@wrenfern/core/plan/migrate-plan';
import type { Plan } from '@wrenfern/core/plan/plan';
import type { Unsaved } from '../../../data/autosave.ts';
import { readJson } from '../../../data/read-json.ts';

const StoredDraft = z
  .object({
    revision: z.number().int(),
    value: StoredPlan.optional(),
    base: StoredPlan.optional().catch(undefined),
    /** Where earlier versions kept the plan. */
    plan: StoredPlan.optional(),
  })
  .transform(({ revision, value, plan, base }) => ({ revision, value: value ?? plan, base }));

const keyOf = (classId: string) => `wrenfern-draft-${classId}`;

/** Edits that have not reached the server outlive the page on this device. False when it has no room. */
export function keepUnsaved(classId: string, draft: Unsaved<Plan> | undefined): boolean {
  try {
    if (draft) localStorage.setItem(keyOf(classId), JSON.stringify(draft));
    else localStorage.removeItem(keyOf(classId));
    return true;
  } catch (error) {
    if (error instanceof DOMException) return false;
    throw error;
  }
}

type Found =
  | { status: 'none' }
  | { status: 'found'; draft: Unsaved<Plan> }
  /** Of another version, or damaged: kept as it is, to be saved as a file. */
  | { status: 'unreadable'; text: string };

/** What this device kept of a class that has not reached the server. */
export function findUnsaved(classId: string): Found {
  const text = localStorage.getItem(keyOf(classId));
  if (!text) return { status: 'none' };
  const parsed = StoredDraft.safeParse(readJson(text));
  if (!parsed.data?.value) return { status: 'unreadable', text };
  const { revision, value, base } = parsed.data;
  return { status: 'found', draft: { revision, value, base } };
}
