import { ListPlus, PanelRight } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useStore, type StoreApi } from 'zustand';
import type { WholeClass } from '@wrenfern/contract/classes';
import type { Analysis } from '@wrenfern/core';
import { applyEdit } from '@wrenfern/core/plan/apply-edit';
import type { Edit } from '@wrenfern/core/plan/edits';
import { itemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { useCatalogue } from '../../data/catalogue.tsx';
import { analyseClass, repairsIn, timeIn } from '../../data/class-analysis.ts';
import { useLesson } from '../../data/use-lesson.ts';
import { useSession } from '../../data/use-session.ts';
import { Button } from '../../parts/button.tsx';
import { Sheet } from '../../parts/dialog.tsx';
import { KeysHelp } from '../../parts/keys-help.tsx';
import { CataloguePanel } from './adding/catalogue-panel.tsx';
import { Inspector } from './details/inspector.tsx';
import { ConflictDialog } from './editor/conflict-dialog.tsx';
import { PlanScreenContext, useEditor, usePlanScreen } from './editor/plan-context.tsx';
import type { PlanEditor } from './editor/plan-editor.ts';
import { PLAN_KEYS, SEARCH_ID, usePlanKeys } from './editor/plan-keys.ts';
import { UnreadableCopy } from './editor/unreadable-copy.tsx';
import { usePlanEditor } from './editor/use-plan-editor.ts';
import { Foot } from './findings/foot.tsx';
import { PlanTools } from './plan-tools.tsx';
import { DragArea } from './score/drag-area.tsx';
import { Score } from './score/score.tsx';
import { useWalk } from './walk.ts';

export function Component() {
  const { lesson } = useLesson();
  // A class keeps one editor while its screen is open, whatever is fetched meanwhile.
  return <PlanScreen key={lesson.id} lesson={lesson} />;
}

function PlanScreen({ lesson }: { lesson: WholeClass }) {
  const catalogue = useCatalogue();
  const isReader = useSession().data?.user.role === 'reader';
  const { editor, found } = usePlanEditor(lesson, isReader);
  const plan = useStore(editor, (state: PlanEditor) => state.plan);
  const analysis = useMemo(() => analyseClass(lesson, plan, catalogue), [lesson, plan, catalogue]);
  const [preview, setPreview] = useState<Analysis>();
  const screen = useMemo(
    () => ({
      editor,
      analysis,
      retime: (edited: Plan) => timeIn(lesson, edited, catalogue),
      attendees: lesson.attendees,
      machines: lesson.machines,
      mayEdit: !isReader,
      preview,
    }),
    [editor, analysis, lesson, catalogue, isReader, preview],
  );
  const previewDrop = (edit: Edit | undefined) => {
    const result = edit && applyEdit(editor.getState().plan, edit);
    setPreview(result?.ok ? analyseClass(lesson, result.plan, catalogue) : undefined);
  };
  usePlanKeys(editor, analysis.findings, (finding) =>
    repairsIn(lesson, editor.getState().plan, catalogue, finding),
  );
  useWalk(plan.machine);
  useAskedFor(editor);
  return (
    <PlanScreenContext value={screen}>
      <DragArea editor={editor} onHold={previewDrop}>
        <Columns day={lesson.day} />
      </DragArea>
      <Foot />
      <ConflictDialog />
      {found.status === 'unreadable' ? (
        <UnreadableCopy classId={lesson.id} text={found.text} />
      ) : null}
      <KeysHelp keys={PLAN_KEYS} />
    </PlanScreenContext>
  );
}

/** The row that an address asks for, such as the one where a rehearsal stopped: chosen, and in sight. */
function useAskedFor(editor: StoreApi<PlanEditor>): void {
  const itemId = useSearchParams()[0].get('item');
  useEffect(() => {
    const { plan, select } = editor.getState();
    if (!itemId || !itemsOf(plan).some(({ id }) => id === itemId)) return;
    select(itemId);
    document
      .querySelector(`[data-item="${CSS.escape(itemId)}"]`)
      ?.scrollIntoView({ block: 'center' });
  }, [editor, itemId]);
}

/** Exercises to add, the score, and what is chosen; on a narrow screen the sides are drawers. */
function Columns({ day }: { day: string }) {
  const { mayEdit } = usePlanScreen();
  const selectedId = useEditor((editor) => editor.selectedId);
  return (
    <div className="flex min-h-0 flex-1">
      {mayEdit ? (
        <aside
          aria-label="Exercises to add"
          className="flex w-58 shrink-0 flex-col border-r border-line max-lg:hidden"
        >
          <CataloguePanel day={day} searchId={SEARCH_ID} />
        </aside>
      ) : null}
      <section aria-label="Score" className="flex min-w-0 flex-1 flex-col">
        <div className="flex shrink-0 gap-2 overflow-x-auto border-b border-line p-2 whitespace-nowrap lg:hidden [&>*]:shrink-0">
          {mayEdit ? (
            <>
              <PlanTools />
              <Sheet
                title="Exercises"
                from="left"
                trigger={
                  <Button>
                    <ListPlus size={16} aria-hidden /> Add exercises
                  </Button>
                }
              >
                <CataloguePanel day={day} searchId={`${SEARCH_ID}-drawer`} />
              </Sheet>
            </>
          ) : null}
          <Sheet
            title="Details"
            from="right"
            trigger={
              <Button>
                <PanelRight size={16} aria-hidden />
                {selectedId ? 'Chosen row' : 'The class'}
              </Button>
            }
          >
            <Inspector />
          </Sheet>
        </div>
        <Score />
      </section>
      <aside
        aria-label="Details"
        className="w-68 shrink-0 overflow-y-auto border-l border-line max-lg:hidden"
      >
        <Inspector />
      </aside>
    </div>
  );
}
