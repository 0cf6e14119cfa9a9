import { createStore, type StoreApi } from 'zustand/vanilla';
import { applyEdit, type EditRefusal } from '@wrenfern/core/plan/apply-edit';
import type { Edit } from '@wrenfern/core/plan/edits';
import { Plan as PlanSchema, type Plan } from '@wrenfern/core/plan/plan';
import { createAutosave, type SaveState, type Unsaved } from '../../../data/autosave.ts';
import { SavedPlan } from '@wrenfern/contract/classes';
import { readAnswer } from '../../../data/request.ts';

interface EditorParts {
  plan: Plan;
  revision: number;
  /** Called instead of an edit where somebody may only look. */
  refuse?: (() => void) | undefined;
  /** Edits that this device kept from an earlier visit, and what they were made on. */
  unsaved?: Unsaved<Plan> | undefined;
  /** Sends the document; resolves to its new revision. */
  send: (revision: number, plan: Plan) => Promise<{ revision: number }>;
  keepUnsaved: (draft: Unsaved<Plan> | undefined) => void;
  /** Calls back once after so many milliseconds. */
  later: (ms: number, call: () => void) => () => void;
}

export interface PlanEditor {
  plan: Plan;
  selectedId: string | undefined;
  /** The finding that is open at the foot, by `findingId`. */
  focusedFinding: string | undefined;
  save: SaveState<Plan>;
  past: Edit[];
  future: Edit[];
  /** Why the last edit was refused. */
  refusal: EditRefusal | undefined;
  edit: (edit: Edit) => void;
  undo: () => void;
  redo: () => void;
  select: (itemId: string | undefined) => void;
  focusFinding: (id: string | undefined) => void;
  saveNow: () => Promise<void>;
  /** Ends a conflict: what does not touch is kept from both, the rest as said. */
  settle: (keep: 'mine' | 'theirs') => void;
  /** Sends what this device kept from an earlier visit. */
  resume: () => void;
}

const UNDO_STEPS = 200;

/**
 * The plan on the screen: every change is a named edit, kept for undo and saved by itself.
 *
 * Long because it is one store: what it holds, and the few ways to change it, all by `change`.
 */
export function createPlanEditor(parts: EditorParts): StoreApi<PlanEditor> {
  return createStore<PlanEditor>((set, get) => {
    const autosave = createAutosave<Plan>({
      saved: startedFrom(parts),
      read: () => get().plan,
      // Another document: the steps that led to the one before lead nowhere now.
      put: (plan) => set({ plan, past: [], future: [] }),
      send: parts.send,
      theirsOf: ({ details }) => {
        const { revision, plan } = readAnswer(SavedPlan, details.current);
        return { revision, value: plan };
      },
      keep: parts.keepUnsaved,
      isSame,
      tell: (save) => set({ save }),
      later: parts.later,
    });

    const change = (edit: Edit, remember: (inverse: Edit) => Partial<PlanEditor>) => {
      if (parts.refuse) {
        parts.refuse();
        return;
      }
      const result = applyEdit(get().plan, edit);
      if (!result.ok) {
        set({ refusal: result.reason });
        return;
      }
      set({ plan: result.plan, refusal: undefined, ...remember(result.inverse) });
      autosave.changed();
    };

    return {
      plan: parts.unsaved?.value ?? parts.plan,
      selectedId: undefined,
      focusedFinding: undefined,
      save: { status: 'saved' },
      past: [],
      future: [],
      refusal: undefined,

      edit: (edit) =>
        change(edit, (inverse) => ({
          past: [...get().past.slice(-UNDO_STEPS + 1), inverse],
          future: [],
        })),

      undo: () => {
        const last = get().past.at(-1);
        if (!last) return;
        change(last, (inverse) => ({
          past: get().past.slice(0, -1),
          future: [...get().future, inverse],
        }));
      },

      redo: () => {
        const next = get().future.at(-1);
        if (!next) return;
        change(next, (inverse) => ({
          past: [...get().past, inverse],
          future: get().future.slice(0, -1),
        }));
      },

      select: (selectedId) => set({ selectedId }),

      focusFinding: (focusedFinding) => set({ focusedFinding }),

      saveNow: autosave.saveNow,

      settle: autosave.settle,

      resume: () => {
        if (!parts.unsaved) return;
        autosave.changed();
        void autosave.saveNow();
      },
    };
  });
}

/** What the first save says it was made from. */
function startedFrom({ plan, revision, unsaved }: EditorParts) {
  if (!unsaved) return { revision, base: plan };
  const base = unsaved.revision === revision ? plan : unsaved.base;
  return { revision: unsaved.revision, base };
}

/** Read through the schema, two documents of the same content have the same letters. */
function isSame(one: Plan, other: Plan): boolean {
  if (one === other) return true;
  const letters = (plan: Plan) => JSON.stringify(PlanSchema.parse(plan));
  return letters(one) === letters(other);
}
