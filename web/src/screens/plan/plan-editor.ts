import { createStore, type StoreApi } from 'zustand/vanilla';
import { applyEdit, type Edit, type EditRefusal } from '@wrenfern/core/plan/edits';
import { Plan as PlanSchema, type Plan } from '@wrenfern/core/plan/plan';
import { RequestProblem, sentenceOf } from '../../data/request.ts';

/** How the saved document stands against the one on the screen. */
export type SaveState =
  | { status: 'saved' }
  | { status: 'waiting' }
  | { status: 'saving' }
  | { status: 'offline' }
  | { status: 'refused'; sentence: string }
  | { status: 'conflict'; theirs: { revision: number; plan: Plan } };

/** Kept on this device while the newest edits have not reached the server. */
export interface Draft {
  revision: number;
  plan: Plan;
}

interface EditorParts {
  plan: Plan;
  revision: number;
  /** Sends the document; resolves to its new revision. */
  send: (revision: number, plan: Plan) => Promise<{ revision: number }>;
  keepDraft: (draft: Draft | undefined) => void;
  /** Calls back once after so many milliseconds. */
  later: (ms: number, call: () => void) => () => void;
}

export interface PlanEditor {
  plan: Plan;
  revision: number;
  selectedId: string | undefined;
  /** The finding that is open at the foot, by `findingId`. */
  focusedFinding: string | undefined;
  save: SaveState;
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
  /** Ends a conflict: mine saved over theirs, or theirs in place of mine. */
  settle: (keep: 'mine' | 'theirs') => void;
}

const SAVE_AFTER_MS = 700;
const TRY_AGAIN_MS = 4000;
const UNDO_STEPS = 200;

/** The plan on the screen: every change is a named edit, kept for undo and saved by itself. */
export function createPlanEditor(parts: EditorParts): StoreApi<PlanEditor> {
  let cancelTimer = () => {};
  return createStore<PlanEditor>((set, get) => {
    const schedule = (ms: number) => {
      cancelTimer();
      cancelTimer = parts.later(ms, () => void get().saveNow());
    };

    const change = (edit: Edit, remember: (inverse: Edit) => Partial<PlanEditor>) => {
      const result = applyEdit(get().plan, edit);
      if (!result.ok) {
        set({ refusal: result.reason });
        return;
      }
      const isBlocked = get().save.status === 'conflict';
      set({
        plan: result.plan,
        refusal: undefined,
        ...remember(result.inverse),
        ...(isBlocked ? {} : { save: { status: 'waiting' } }),
      });
      parts.keepDraft({ revision: get().revision, plan: result.plan });
      if (!isBlocked) schedule(SAVE_AFTER_MS);
    };

    return {
      plan: parts.plan,
      revision: parts.revision,
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

      saveNow: async () => {
        cancelTimer();
        const { plan, revision, save } = get();
        if (save.status === 'saved' || save.status === 'saving' || save.status === 'conflict')
          return;
        set({ save: { status: 'saving' } });
        try {
          const saved = await parts.send(revision, plan);
          const isNewest = get().plan === plan;
          set({ revision: saved.revision, save: { status: isNewest ? 'saved' : 'waiting' } });
          parts.keepDraft(isNewest ? undefined : { revision: saved.revision, plan: get().plan });
          if (!isNewest) schedule(SAVE_AFTER_MS);
        } catch (error) {
          const failed = failure(error);
          if (failed.status === 'conflict' && isSame(failed.theirs.plan, get().plan)) {
            // An earlier save of ours arrived, only its answer did not.
            set({ revision: failed.theirs.revision, save: { status: 'saved' } });
            parts.keepDraft(undefined);
            return;
          }
          set({ save: failed });
          if (failed.status === 'offline') schedule(TRY_AGAIN_MS);
        }
      },

      settle: (keep) => {
        const { save, plan } = get();
        if (save.status !== 'conflict') return;
        const { theirs } = save;
        if (keep === 'mine') {
          set({ revision: theirs.revision, save: { status: 'waiting' } });
          parts.keepDraft({ revision: theirs.revision, plan });
          schedule(0);
          return;
        }
        set({
          plan: theirs.plan,
          revision: theirs.revision,
          past: [],
          future: [],
          save: { status: 'saved' },
        });
        parts.keepDraft(undefined);
      },
    };
  });
}

function failure(error: unknown): SaveState {
  if (error instanceof RequestProblem && error.code === 'stale') {
    const { revision, plan } = error.details as { revision: number; plan: Plan };
    return { status: 'conflict', theirs: { revision, plan } };
  }
  const isAway = error instanceof RequestProblem && (error.status === 0 || error.status >= 500);
  return isAway ? { status: 'offline' } : { status: 'refused', sentence: sentenceOf(error) };
}

/** Read through the schema, two documents of the same content have the same letters. */
function isSame(one: Plan, other: Plan): boolean {
  const letters = (plan: Plan) => JSON.stringify(PlanSchema.parse(plan));
  return letters(one) === letters(other);
}
