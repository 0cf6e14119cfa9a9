import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { PlanSaved, type WholeClass } from '@wrenfern/contract/classes';
import type { Plan } from '@wrenfern/core/plan/plan';
import type { Unsaved } from '../../../data/autosave.ts';
import { request } from '../../../data/request.ts';
import { createPlanEditor } from './plan-editor.ts';
import { findUnsaved, keepUnsaved } from './unsaved-plan.ts';

/** The editor of a class, begun with what this device has not saved yet; it lives as long as its screen. */
export function usePlanEditor(lesson: WholeClass, isReader: boolean) {
  const { mutate } = useSWRConfig();
  const [found] = useState(() => findUnsaved(lesson.id));
  const [editor] = useState(() =>
    startEditor(
      lesson,
      found.status === 'found' ? found.draft : undefined,
      isReader,
      (revision, saved) => {
        mutate(
          `/classes/${lesson.id}`,
          (known?: WholeClass) =>
            known ? { ...known, plan: saved, revision, title: saved.title } : known,
          { revalidate: false },
        ).catch((error: unknown) => {
          // It is saved; only what this page knew of it went with the page while it was on its way.
          console.warn('what is known of a saved plan could not be renewed', error);
        });
      },
    ),
  );
  useSaveOnLeave(editor);
  return { editor, found };
}

function startEditor(
  lesson: WholeClass,
  unsaved: Unsaved<Plan> | undefined,
  isReader: boolean,
  onSaved: (revision: number, plan: Plan) => void,
) {
  const editor = createPlanEditor({
    plan: lesson.plan,
    revision: lesson.revision,
    unsaved,
    refuse: isReader
      ? () => toast.info('You are a reader here: plans are for looking at.', { id: 'reader' })
      : undefined,
    send: async (revision, plan) => {
      const saved = await request(PlanSaved, 'PUT', `/classes/${lesson.id}/plan`, {
        revision,
        plan,
      });
      onSaved(saved.revision, plan);
      return saved;
    },
    keepUnsaved: (draft) => {
      if (keepUnsaved(lesson.id, draft)) return;
      toast.error('This device has no room to keep what is not saved yet.', { id: 'no-room' });
    },
    later: (ms, call) => {
      const timer = setTimeout(call, ms);
      return () => clearTimeout(timer);
    },
  });
  editor.getState().resume();
  return editor;
}

/** What is still waiting is sent when the screen is left; the draft stays until it has arrived. */
function useSaveOnLeave(editor: ReturnType<typeof createPlanEditor>) {
  useEffect(() => {
    const flush = () => void editor.getState().saveNow();
    document.addEventListener('visibilitychange', flush);
    return () => {
      document.removeEventListener('visibilitychange', flush);
      flush();
    };
  }, [editor]);
}
