import { useDraggable } from '@dnd-kit/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Plus } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { searchCatalogue } from '@wrenfern/core/movement/search';
import { standardOption, type Exercise } from '@wrenfern/core/movement/exercise';
import { chooseOption } from '@wrenfern/core/people/choose-option';
import { newItem } from '@wrenfern/core/order/running-order';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { Plan } from '@wrenfern/core/plan/plan';
import type { BookedPerson } from '../../data/api-types.ts';
import { catalogue } from '../../data/catalogue.ts';
import { plainLengthS } from '@wrenfern/core/plan/timing/plain-length';
import { ToggleChip } from '../../parts/chip.tsx';
import { inputClass } from '../../parts/field.tsx';
import { Figure } from '../../parts/figure.tsx';
import { MOVE_WORDS } from '@wrenfern/core/movement/words';
import { addBehind, newId } from './drag.ts';
import { useEditor, usePlanScreen } from './plan-context.tsx';

const FILTERS = [
  { id: 'suits', name: 'suits this group' },
  { id: 'lying', name: 'on the back' },
  { id: 'side', name: 'side-bend' },
  { id: 'turn', name: 'turn' },
  { id: 'bare', name: 'no prop' },
  { id: 'short', name: 'under 3 min' },
] as const;
type FilterId = (typeof FILTERS)[number]['id'];

const CARD_PX = 76;

/** What can be added: search, filters, drag or press Enter. */
export function CataloguePanel({ day, searchId }: { day: string; searchId: string }) {
  const [query, setQuery] = useState('');
  const [on, setOn] = useState<ReadonlySet<FilterId>>(new Set());
  const { attendees } = usePlanScreen();
  const plan = useEditor((editor) => editor.plan);
  const found = useMemo(
    () =>
      searchCatalogue(catalogue, query).filter(
        (exercise) =>
          exercise.machine === plan.machine &&
          [...on].every((filter) => passes(filter, exercise, plan, attendees, day)),
      ),
    [query, on, plan, attendees, day],
  );
  const scroller = useRef<HTMLDivElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- the list is small to render and never memoised
  const virtual = useVirtualizer({
    count: found.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => CARD_PX,
    overscan: 6,
  });
  const toggle = (id: FilterId, isOn: boolean) => {
    const next = new Set(on);
    if (isOn) next.add(id);
    else next.delete(id);
    setOn(next);
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex flex-col gap-2.5 p-3">
        <label htmlFor={searchId} className="sr-only">
          Search exercises
        </label>
        <input
          id={searchId}
          type="search"
          value={query}
          onChange={(event) => setQuery(event.target.value)}
          placeholder="Search exercises   /"
          className={inputClass}
        />
        <div className="flex flex-wrap gap-1.5" role="group" aria-label="Filters">
          {FILTERS.map(({ id, name }) => (
            <ToggleChip key={id} on={on.has(id)} onChange={(isOn) => toggle(id, isOn)}>
              {name}
            </ToggleChip>
          ))}
        </div>
      </div>
      <div ref={scroller} className="min-h-0 flex-1 overflow-y-auto px-3 pb-3">
        {found.length === 0 ? (
          <p className="p-2 text-soft">Nothing fits. Take a filter away or search another word.</p>
        ) : null}
        <ul className="relative" style={{ height: virtual.getTotalSize() }} aria-label="Exercises">
          {virtual.getVirtualItems().map((row) => {
            const exercise = found[row.index];
            return exercise ? (
              <li
                key={exercise.slug}
                className="absolute inset-x-0 top-0"
                style={{ transform: `translateY(${row.start}px)`, height: CARD_PX - 6 }}
              >
                <Card exercise={exercise} seconds={plainLengthS(exercise)} />
              </li>
            ) : null;
          })}
        </ul>
      </div>
    </div>
  );
}

function Card({ exercise, seconds }: { exercise: Exercise; seconds: number }) {
  const editor = usePlanScreen().editor;
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({
    id: newId(exercise.slug),
  });
  const option = standardOption(exercise);
  const moving = exercise.moves.filter((move) => move !== 'still').map((move) => MOVE_WORDS[move]);
  const add = () => {
    const { plan, selectedId, edit, select } = editor.getState();
    const added = addBehind(plan, exercise, selectedId);
    if (!added) {
      toast.error('Add a part to the class first.');
      return;
    }
    edit(added);
    if (added.type === 'addItem') select(added.item.id);
    toast.success(`${exercise.name} added`);
  };
  return (
    <div
      className={`flex h-full items-stretch overflow-hidden rounded-xl border border-line bg-leaf ${isDragging ? 'opacity-50' : ''}`}
    >
      <div
        ref={setNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`Drag ${exercise.name} into the class`}
        className="flex min-w-0 flex-1 touch-none items-center gap-2 pl-1.5 hover:bg-mist"
      >
        <Figure of={option} view={exercise.view} width={68} height={46} />
        <div className="min-w-0 flex-1">
          <p className="line-clamp-2 leading-tight font-semibold">{exercise.name}</p>
          <p className="truncate text-[0.8125rem] text-soft">
            {[showClock(seconds), ...moving].join(' · ')}
          </p>
        </div>
      </div>
      <button
        type="button"
        onClick={add}
        aria-label={`Add ${exercise.name}`}
        title="Add behind the chosen row"
        className="grid w-8 shrink-0 place-items-center text-fern hover:bg-mist"
      >
        <Plus size={18} aria-hidden />
      </button>
    </div>
  );
}

const SHORT_S = 180;

function passes(
  filter: FilterId,
  exercise: Exercise,
  plan: Plan,
  attendees: readonly BookedPerson[],
  day: string,
): boolean {
  switch (filter) {
    case 'suits':
      return attendees.every((attendee) => {
        const choice = chooseOption(attendee, newItem(plan, exercise), catalogue, day);
        return choice.kind !== 'rest';
      });
    case 'lying':
      return exercise.position === 'supine';
    case 'side':
    case 'turn':
      return exercise.moves.includes(filter);
    case 'bare':
      return standardOption(exercise).props.every((use) => use.optional);
    case 'short':
      return plainLengthS(exercise) < SHORT_S;
  }
}
