import { useDraggable } from '@dnd-kit/core';
import { useVirtualizer, type VirtualItem } from '@tanstack/react-virtual';
import { clsx } from 'clsx';
import { Plus } from 'lucide-react';
import { useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { toast } from 'sonner';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import { standardOption, type Exercise } from '@wrenfern/core/movement/exercise';
import { chooseOption } from '@wrenfern/core/people/choose-option';
import { newItem } from '@wrenfern/core/review/running-order';
import { isMixed } from '@wrenfern/core/plan/tracks';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { ExerciseItem, Plan } from '@wrenfern/core/plan/plan';
import type { BookedPerson } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { plainLengthS } from '@wrenfern/core/plan/timing/plain-length';
import { ToggleChip } from '../../../parts/chip.tsx';
import { inputClass } from '../../../parts/field.tsx';
import { Figure } from '../../../parts/figure.tsx';
import { MOVE_WORDS } from '@wrenfern/core/movement/words';
import { addBehind } from '@wrenfern/core/review/arrange-rows';
import { newId } from '../score/drag.ts';
import { useEditor, usePlanScreen } from '../editor/plan-context.tsx';
import { readTyped } from './typed-exercise.ts';

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
  const [active, setActive] = useState(0);
  const { editor } = usePlanScreen();
  const { typed, found } = useFound(query, on, day);
  const scroller = useRef<HTMLDivElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- the list is small to render and never memoised
  const virtual = useVirtualizer({
    count: found.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => CARD_PX,
    overscan: 6,
  });
  const at = Math.min(active, found.length - 1);
  const isChosen = query !== '' && found[at] !== undefined;
  const search = (next: string) => {
    setQuery(next);
    setActive(0);
  };
  const onKey = searchKeys({
    choose: (by) => {
      const next = Math.min(found.length - 1, Math.max(0, at + by));
      setActive(next);
      virtual.scrollToIndex(next);
    },
    add: () => {
      const exercise = found[at];
      const { found: _found, ...how } = typed;
      if (exercise && addExercise(editor, exercise, at === 0 ? how : {})) search('');
    },
    leave: () => search(''),
  });
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex flex-col gap-2.5 p-3">
        <label htmlFor={searchId} className="sr-only">
          Search exercises
        </label>
        <SearchField
          id={searchId}
          query={query}
          activeId={isChosen ? cardId(searchId, found[at]) : undefined}
          onSearch={search}
          onKey={onKey}
        />
        <Filters on={on} onChange={setOn} />
      </div>
      <div ref={scroller} className="min-h-0 flex-1 overflow-y-auto px-3 pb-3">
        <Cards
          searchId={searchId}
          found={found}
          chosen={isChosen ? at : undefined}
          rows={virtual.getVirtualItems()}
          heightPx={virtual.getTotalSize()}
        />
      </div>
    </div>
  );
}

interface SearchKeys {
  choose: (by: 1 | -1) => void;
  add: () => void;
  leave: () => void;
}

/** Arrows choose, Enter adds and leaves the field ready for the next, Escape leaves. */
function searchKeys({ choose, add, leave }: SearchKeys) {
  return (event: KeyboardEvent<HTMLInputElement>) => {
    const { key, currentTarget } = event;
    if (key === 'ArrowDown' || key === 'ArrowUp') choose(key === 'ArrowDown' ? 1 : -1);
    else if (key === 'Enter' && currentTarget.value.trim() !== '') add();
    else if (key === 'Escape') {
      leave();
      currentTarget.blur();
    } else return;
    event.preventDefault();
  };
}

/** What the words and the filters leave of the catalogue, and how it is to be done if that was typed. */
function useFound(query: string, on: ReadonlySet<FilterId>, day: string) {
  const catalogue = useCatalogue();
  const { attendees } = usePlanScreen();
  const plan = useEditor((editor) => editor.plan);
  const typed = useMemo(() => readTyped(query, catalogue), [query, catalogue]);
  const found = useMemo(
    () =>
      typed.found.filter(
        (exercise) =>
          (isMixed(plan) || exercise.machine === plan.machine) &&
          [...on].every((filter) => passes(filter, exercise, { plan, attendees, day, catalogue })),
      ),
    [typed, on, plan, attendees, day, catalogue],
  );
  return { typed, found };
}

const cardId = (searchId: string, exercise: Exercise | undefined) =>
  `${searchId}-${exercise?.slug ?? ''}`;

interface CardsProps {
  searchId: string;
  found: readonly Exercise[];
  /** The place in the list that Enter adds. */
  chosen: number | undefined;
  /** Those in sight. */
  rows: readonly VirtualItem[];
  heightPx: number;
}

function Cards({ searchId, found, chosen, rows, heightPx }: CardsProps) {
  if (found.length === 0) {
    return (
      <p className="p-2 text-soft">Nothing fits. Take a filter away or search another word.</p>
    );
  }
  return (
    <ul
      id={`${searchId}-list`}
      className="relative"
      style={{ height: heightPx }}
      aria-label="Exercises"
    >
      {found.length === 0 ? (
        <li className="p-2 text-soft">Nothing fits. Take a filter away or search another word.</li>
      ) : null}
      {rows.map((row) => {
        const exercise = found[row.index];
        return exercise ? (
          <li
            key={exercise.slug}
            className="absolute inset-x-0 top-0"
            style={{ transform: `translateY(${row.start}px)`, height: CARD_PX - 6 }}
          >
            <Card
              id={cardId(searchId, exercise)}
              exercise={exercise}
              seconds={plainLengthS(exercise)}
              isActive={row.index === chosen}
            />
          </li>
        ) : null;
      })}
    </ul>
  );
}

function SearchField({
  id,
  query,
  activeId,
  onSearch,
  onKey,
}: {
  id: string;
  query: string;
  /** The row of the list that Enter adds. */
  activeId: string | undefined;
  onSearch: (query: string) => void;
  onKey: (event: KeyboardEvent<HTMLInputElement>) => void;
}) {
  return (
    <input
      id={id}
      type="search"
      value={query}
      role="combobox"
      aria-expanded={query !== ''}
      aria-controls={`${id}-list`}
      aria-activedescendant={activeId}
      aria-autocomplete="list"
      onChange={(event) => onSearch(event.target.value)}
      onKeyDown={onKey}
      placeholder="/   clam 10 each"
      title="Arrows choose, Enter adds, Escape leaves. Behind the name: 10 each, x5, 30 s, 20s twice."
      className={inputClass}
    />
  );
}

function Filters({
  on,
  onChange,
}: {
  on: ReadonlySet<FilterId>;
  onChange: (on: ReadonlySet<FilterId>) => void;
}) {
  const toggle = (id: FilterId, isOn: boolean) => {
    const next = new Set(on);
    if (isOn) next.add(id);
    else next.delete(id);
    onChange(next);
  };
  return (
    <div className="flex flex-wrap gap-1.5" role="group" aria-label="Filters">
      {FILTERS.map(({ id, name }) => (
        <ToggleChip key={id} on={on.has(id)} onChange={(isOn) => toggle(id, isOn)}>
          {name}
        </ToggleChip>
      ))}
    </div>
  );
}

/** Adds behind the chosen row and chooses what was added; false, and said, where there is no part. */
function addExercise(
  editor: ReturnType<typeof usePlanScreen>['editor'],
  exercise: Exercise,
  how: Pick<ExerciseItem, 'dose' | 'options'>,
): boolean {
  const { plan, selectedId, edit, select } = editor.getState();
  const added = addBehind(plan, exercise, selectedId);
  if (added?.type !== 'addItem' || added.item.kind !== 'exercise') {
    toast.error('Add a part to the class first.');
    return false;
  }
  edit({ ...added, item: { ...added.item, ...how } });
  select(added.item.id);
  toast.success(`${exercise.name} added`);
  return true;
}

interface CardProps {
  id: string;
  exercise: Exercise;
  seconds: number;
  /** What Enter in the search would add. */
  isActive: boolean;
}

function Card({ id, exercise, seconds, isActive }: CardProps) {
  const editor = usePlanScreen().editor;
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({
    id: newId(exercise.slug),
  });
  const option = standardOption(exercise);
  const moving = exercise.moves.filter((move) => move !== 'still').map((move) => MOVE_WORDS[move]);
  return (
    <div
      id={id}
      className={clsx(
        'flex h-full items-stretch overflow-hidden rounded-xl border bg-leaf',
        isActive ? 'border-fern ring-1 ring-fern' : 'border-line',
        isDragging && 'opacity-50',
      )}
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
        onClick={() => addExercise(editor, exercise, {})}
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

interface Around {
  plan: Plan;
  attendees: readonly BookedPerson[];
  day: string;
  catalogue: Catalogue;
}

function passes(
  filter: FilterId,
  exercise: Exercise,
  { plan, attendees, day, catalogue }: Around,
): boolean {
  switch (filter) {
    case 'suits':
      return attendees.every((attendee) => {
        const choice = chooseOption(attendee, newItem(plan, exercise), catalogue, day, plan.school);
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
