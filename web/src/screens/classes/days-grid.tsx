import { DndContext, PointerSensor, useDroppable, useSensor, useSensors } from '@dnd-kit/core';
import { clsx } from 'clsx';
import { format } from 'date-fns';
import { Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import type { ReadyClass } from '@wrenfern/contract/class-cards';
import { dayAfter, dayIn, noonOf, timeIn } from '@wrenfern/core/week/studio-time';
import { ClassCard, type Nudge } from './class-card.tsx';
import { NewClass } from './new-class.tsx';
import { useMoves } from './use-moves.ts';

interface GridProps {
  days: readonly string[];
  classes: readonly ReadyClass[];
  zone: string;
  today: string;
  mayChange: boolean;
  view: 'week' | 'month';
  /** Days outside it are greyed; in a month, those of its neighbours. */
  month: string | undefined;
}

/** A class that begins from then on stands with the evening. */
const EVENING = '16:00';

/** Days as columns, classes in order of time; a class is dragged, or nudged with keys, to another day. */
export function DaysGrid(props: GridProps) {
  const { days, classes, zone, mayChange, view } = props;
  const { move } = useMoves(zone);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const byDay = new Map(days.map((day) => [day, [] as ReadyClass[]]));
  for (const each of classes) byDay.get(dayIn(zone, each.startsAt))?.push(each);
  const nudge = (lesson: ReadyClass, by: Nudge) =>
    move(lesson, { day: dayAfter(dayIn(zone, lesson.startsAt), by.days) });
  const cards = (of: readonly ReadyClass[]) =>
    of.map((lesson) => (
      <ClassCard
        key={lesson.id}
        lesson={lesson}
        zone={zone}
        mayChange={mayChange}
        small={view === 'month'}
        moves="days"
        nudge={nudge}
      />
    ));
  return (
    <DndContext
      sensors={sensors}
      onDragEnd={({ active, over }) => {
        const lesson = classes.find(({ id }) => id === active.id);
        if (lesson && over) move(lesson, { day: String(over.id) });
      }}
    >
      <div className="grid grid-cols-7 gap-x-2 max-lg:grid-cols-1">
        {days.map((day) => {
          const held = byDay.get(day) ?? [];
          const early = held.filter(({ startsAt }) => timeIn(zone, startsAt) < EVENING);
          const late = held.filter(({ startsAt }) => timeIn(zone, startsAt) >= EVENING);
          return (
            <Day key={day} {...props} day={day} isEmpty={held.length === 0}>
              {view === 'month' ? (
                cards(held)
              ) : (
                <>
                  <Half name="morning and noon">{cards(early)}</Half>
                  <Half name="evening">{cards(late)}</Half>
                </>
              )}
            </Day>
          );
        })}
      </div>
    </DndContext>
  );
}

function Half({ name, children }: { name: string; children: readonly ReactNode[] }) {
  return (
    <section
      aria-label={name}
      className={clsx(
        'flex flex-col gap-2 lg:min-h-40 lg:border-t lg:border-line lg:pt-1.5',
        children.length === 0 && 'max-lg:hidden',
      )}
    >
      <p className="text-[0.75rem] text-soft max-lg:sr-only">{name}</p>
      {children}
    </section>
  );
}

function Day({
  day,
  today,
  view,
  month,
  mayChange,
  isEmpty,
  children,
}: GridProps & { day: string; isEmpty: boolean; children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id: day });
  const date = noonOf(day);
  const isOutside = month !== undefined && !day.startsWith(month);
  return (
    <section
      ref={setNodeRef}
      aria-label={format(date, 'EEEE d MMMM')}
      className={clsx(
        'flex min-w-0 flex-col gap-2 rounded-xl p-1 pb-3',
        // Mornings and evenings stand in one line across the days.
        view === 'week' && 'lg:row-span-3 lg:grid lg:grid-rows-subgrid',
        view === 'month' && 'min-h-24 border-t border-line',
        isEmpty && 'max-lg:hidden',
        isOver && 'bg-mist',
      )}
    >
      <div className="flex items-baseline gap-1.5">
        <h2
          className={clsx(
            'text-lg',
            day === today && 'text-fern',
            // Paler by its colour, not by seeing through it: it is still to be read.
            isOutside && 'text-soft font-normal',
          )}
        >
          {format(date, 'EEE')}
        </h2>
        <span className={clsx('text-soft', day === today && 'font-semibold text-fern')}>
          {format(date, 'd')}
        </span>
        {mayChange ? (
          <NewClass
            day={day}
            trigger={
              <button
                type="button"
                aria-label={`New class on ${format(date, 'EEEE d MMMM')}`}
                className="ml-auto grid size-6 place-items-center rounded text-line-strong hover:bg-mist hover:text-fern"
              >
                <Plus size={15} aria-hidden />
              </button>
            }
          />
        ) : null}
      </div>
      {children}
    </section>
  );
}
