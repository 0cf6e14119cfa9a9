import { z } from 'zod';
import { Plan } from '@wrenfern/core/plan/plan';
import { readJson } from '../../data/read-json.ts';
import type { Draft } from './plan-editor.ts';

const StoredDraft = z.object({ revision: z.number().int(), plan: Plan });

const keyOf = (classId: string) => `wrenfern-draft-${classId}`;

/** Edits that have not reached the server outlive the page on this device. */
export function keepDraft(classId: string, draft: Draft | undefined): void {
  if (draft) localStorage.setItem(keyOf(classId), JSON.stringify(draft));
  else localStorage.removeItem(keyOf(classId));
}

/** The draft left here, or undefined; one that can't be read is not a plan and is dropped. */
export function findDraft(classId: string): Draft | undefined {
  const text = localStorage.getItem(keyOf(classId));
  if (!text) return undefined;
  const parsed = StoredDraft.safeParse(readJson(text));
  if (!parsed.success) localStorage.removeItem(keyOf(classId));
  return parsed.data;
}
