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
import { useState } from 'react';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Edit } from '@wrenfern/core/plan/edits';
import { itemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { headerId, placeNew, placeRow, rowId } from '@wrenfern/core/review/arrange-rows';
import { useCatalogue } from '../../../data/catalogue.tsx';
import type { createPlanEditor } from '../editor/plan-editor.ts';
import { slugOf } from './drag.ts';

/** The pointer says exactly; a keyboard drag has none, and takes the nearest. */
const collide: CollisionDetection = (input) => {
  const within = pointerWithin(input);
  return within.length > 0 ? within : input.pointerCoordinates ? [] : closestCenter(input);
};

/** Rows are moved, and exercises brought in, by pointer or keys. */
export function DragArea({
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
