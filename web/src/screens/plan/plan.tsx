import {
  closestCenter,
  DndContext,
  DragOverlay,
  KeyboardSensor,
  PointerSensor,
  pointerWithin,
  useSensor,
  useSensors,
  type Announcements,
  type CollisionDetection,
  type DragEndEvent,
  type UniqueIdentifier,
} from '@dnd-kit/core';
import { sortableKeyboardCoordinates } from '@dnd-kit/sortable';
import { ListPlus, PanelRight } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { useStore } from 'zustand';
import { useSWRConfig } from 'swr';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Analysis } from '@wrenfern/core';
import { applyEdit, type Edit } from '@wrenfern/core/plan/edits';
import { itemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { useLesson } from '../../data/use-lesson.ts';
import { KeysHelp } from '../../parts/keys-help.tsx';
import { PlanSaved, type WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../data/catalogue.tsx';
import type { Unsaved } from '../../data/autosave.ts';
import { analyseClass, repairsIn } from '../../data/class-analysis.ts';
import { useSession } from '../../data/use-session.ts';
import { request } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { Sheet } from '../../parts/dialog.tsx';
import { CataloguePanel } from './adding/catalogue-panel.tsx';
import { ConflictDialog } from './editor/conflict-dialog.tsx';
import { useWalk } from './walk.ts';
import { UnreadableCopy } from './editor/unreadable-copy.tsx';
import { findUnsaved, keepUnsaved } from './editor/unsaved-plan.ts';
import { headerId, placeNew, placeRow, rowId } from '@wrenfern/core/review/arrange-rows';
import { slugOf } from './score/drag.ts';
import { Foot } from './findings/foot.tsx';
import { Inspector } from './details/inspector.tsx';
import { PlanScreenContext } from './editor/plan-context.tsx';
import { createPlanEditor, type PlanEditor } from './editor/plan-editor.ts';
import { PLAN_KEYS, SEARCH_ID, usePlanKeys } from './editor/plan-keys.ts';
import { PlanTools } from './plan-tools.tsx';
import { Score } from './score/score.tsx';

export function Component() {
  const { lesson } = useLesson();
  // A class keeps one editor while its screen is open, whatever is fetched meanwhile.
  return <PlanScreen key={lesson.id} lesson={lesson} />;
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

function PlanScreen({ lesson }: { lesson: WholeClass }) {
  const catalogue = useCatalogue();
  const { mutate } = useSWRConfig();
  const isReader = useSession().data?.user.role === 'reader';
  const [found] = useState(() => findUnsaved(lesson.id));
  const [editor] = useState(() =>
    startEditor(
      lesson,
      found.status === 'found' ? found.draft : undefined,
      isReader,
      (revision, saved) => {
        void mutate(
          `/classes/${lesson.id}`,
          (known?: WholeClass) =>
            known ? { ...known, plan: saved, revision, title: saved.title } : known,
          { revalidate: false },
        );
      },
    ),
  );
  const plan = useStore(editor, (state: PlanEditor) => state.plan);
  const selectedId = useStore(editor, (state: PlanEditor) => state.selectedId);
  const analysis = useMemo(() => analyseClass(lesson, plan, catalogue), [lesson, plan, catalogue]);
  const [preview, setPreview] = useState<Analysis>();
  const screen = useMemo(
    () => ({
      editor,
      analysis,
      attendees: lesson.attendees,
      machines: lesson.machines,
      mayEdit: !isReader,
      preview,
    }),
    [editor, analysis, lesson.attendees, lesson.machines, isReader, preview],
  );
  const previewDrop = (edit: Edit | undefined) => {
    const result = edit && applyEdit(editor.getState().plan, edit);
    setPreview(result?.ok ? analyseClass(lesson, result.plan, catalogue) : undefined);
  };
  usePlanKeys(editor, analysis.findings, (finding) =>
    repairsIn(lesson, editor.getState().plan, catalogue, finding),
  );
  useSaveOnLeave(editor);
  useWalk(plan.machine);
  return (
    <PlanScreenContext value={screen}>
      <DragArea editor={editor} onHold={previewDrop}>
        <div className="flex min-h-0 flex-1">
          {isReader ? null : (
            <aside
              aria-label="Exercises to add"
              className="flex w-58 shrink-0 flex-col border-r border-line max-lg:hidden"
            >
              <CataloguePanel day={lesson.day} searchId={SEARCH_ID} />
            </aside>
          )}
          <section aria-label="Score" className="flex min-w-0 flex-1 flex-col">
            <div className="flex shrink-0 gap-2 overflow-x-auto border-b border-line p-2 whitespace-nowrap lg:hidden [&>*]:shrink-0">
              {isReader ? null : (
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
                    <CataloguePanel day={lesson.day} searchId={`${SEARCH_ID}-drawer`} />
                  </Sheet>
                </>
              )}
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

/** The pointer says exactly; a keyboard drag has none, and takes the nearest. */
const collide: CollisionDetection = (input) => {
  const within = pointerWithin(input);
  return within.length > 0 ? within : input.pointerCoordinates ? [] : closestCenter(input);
};

function DragArea({
  editor,
  onHold,
  children,
}: {
  editor: ReturnType<typeof createPlanEditor>;
  /** What would be changed if it were dropped here; nothing when it is over no place. */
  onHold: (edit: Edit | undefined) => void;
  children: React.ReactNode;
}) {
  const catalogue = useCatalogue();
  const [dragged, setDragged] = useState<string>();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const editOf = ({ active, over }: Pick<DragEndEvent, 'active' | 'over'>): Edit | undefined => {
    if (!over) return undefined;
    const { plan } = editor.getState();
    const slug = slugOf(String(active.id));
    const exercise = slug ? catalogue.get(slug) : undefined;
    return exercise
      ? placeNew(plan, exercise, String(over.id))
      : placeRow(plan, String(active.id), String(over.id));
  };
  const letGo = () => {
    setDragged(undefined);
    onHold(undefined);
  };
  const drop = (event: DragEndEvent) => {
    letGo();
    const made = editOf(event);
    if (!made) return;
    const { edit, select } = editor.getState();
    edit(made);
    if (made.type === 'addItem') select(made.item.id);
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={collide}
      accessibility={{ announcements: announce(editor, catalogue) }}
      onDragStart={({ active }) => setDragged(String(active.id))}
      onDragOver={(event) => onHold(editOf(event))}
      onDragCancel={letGo}
      onDragEnd={drop}
    >
      {children}
      <DragOverlay dropAnimation={null}>
        {dragged?.startsWith('new:') ? (
          <div className="rounded-xl border border-fern bg-mist px-4 py-2 font-semibold shadow-lg">
            {catalogue.get(slugOf(dragged) ?? '')?.name}
          </div>
        ) : null}
      </DragOverlay>
    </DndContext>
  );
}

/** What a screen reader hears while something is dragged. */
function announce(
  editor: ReturnType<typeof createPlanEditor>,
  catalogue: Catalogue,
): Announcements {
  const name = (id: UniqueIdentifier) => nameOf(editor.getState().plan, catalogue, String(id));
  return {
    onDragStart: ({ active }) => `${name(active.id)} lifted.`,
    onDragOver: ({ active, over }) =>
      over ? `${name(active.id)} over ${name(over.id)}.` : `${name(active.id)} over nothing.`,
    onDragEnd: ({ active, over }) =>
      over ? `${name(active.id)} dropped at ${name(over.id)}.` : `${name(active.id)} put back.`,
    onDragCancel: ({ active }) => `${name(active.id)} put back.`,
  };
}

function nameOf(plan: Plan, catalogue: Catalogue, id: string): string {
  const slug = slugOf(id);
  if (slug) return catalogue.get(slug)?.name ?? slug;
  const segment = plan.segments.find((each) => headerId(each.id) === id);
  if (segment) return `the beginning of ${segment.name}`;
  const item = itemsOf(plan).find((each) => rowId(each.id) === id);
  if (!item) return 'nothing';
  return item.kind === 'pause' ? item.label : (catalogue.get(item.exercise)?.name ?? item.exercise);
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
