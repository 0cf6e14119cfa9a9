import { DndContext, PointerSensor, useDroppable, useSensor, useSensors } from '@dnd-kit/core';
import { clsx } from 'clsx';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { dayAfter, dayIn, noonOf } from '@wrenfern/core/week/studio-time';
import type { ReadyClass } from '@wrenfern/contract/class-cards';
import { useTeam } from '../../data/use-studio.ts';
import { ClassCard, type Nudge } from './class-card.tsx';
import { useMoves } from './use-moves.ts';
import { namedIn } from './week-summary.ts';

interface ColumnsProps {
  days: readonly string[];
  classes: readonly ReadyClass[];
  zone: string;
  today: string;
  mayChange: boolean;
}

/** The column of classes for which nobody was named. */
const NOBODY = { id: '', name: 'Nobody named' };

/**
 * A week with a column for each who teaches: who has how much, and when. Dragging a class gives it to
 * somebody else, or to another day.
 */
export function InstructorColumns({ days, classes, zone, today, mayChange }: ColumnsProps) {
  const team = useTeam(mayChange).data?.team ?? [];
  const { move } = useMoves(zone);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const columns = columnsOf(team, classes);
  const nudge = (lesson: ReadyClass, { days: by, columns: across }: Nudge) => {
    const at = columns.findIndex(({ id }) => id === (lesson.instructor?.id ?? NOBODY.id));
    const instructor = columns[at + across];
    if (instructor) move(lesson, { day: dayAfter(dayIn(zone, lesson.startsAt), by), instructor });
  };
  return (
    <DndContext
      sensors={sensors}
      onDragEnd={({ active, over }) => {
        const lesson = classes.find(({ id }) => id === active.id);
        const [day, ...id] = String(over?.id ?? '').split(' ');
        const instructor = columns.find((column) => column.id === id.join(' '));
        if (lesson && day && instructor) move(lesson, { day, instructor });
      }}
    >
      <div className="overflow-x-auto">
        <table className="w-full table-fixed border-separate border-spacing-x-2 border-spacing-y-0 max-lg:min-w-[44rem]">
          <Head columns={columns} classes={classes} />
          <tbody>
            {days.map((day) => (
              <tr key={day} className="align-top">
                <DayHead day={day} isToday={day === today} />
                {columns.map(({ id }) => (
                  <Cell key={id} day={day} instructorId={id}>
                    {classes
                      .filter(
                        ({ startsAt, instructor }) =>
                          dayIn(zone, startsAt) === day && (instructor?.id ?? NOBODY.id) === id,
                      )
                      .map((lesson) => (
                        <ClassCard
                          key={lesson.id}
                          lesson={lesson}
                          zone={zone}
                          mayChange={mayChange}
                          small={false}
                          moves="days and instructors"
                          nudge={nudge}
                        />
                      ))}
                  </Cell>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </DndContext>
  );
}

interface Column {
  id: string;
  name: string;
}

function Head({
  columns,
  classes,
}: {
  columns: readonly Column[];
  classes: readonly ReadyClass[];
}) {
  return (
    <thead>
      <tr>
        <th className="w-20">
          <span className="sr-only">Day</span>
        </th>
        {columns.map((column) => (
          <th key={column.id} scope="col" className="pb-2 text-left font-normal">
            <span className="text-lg">{column.name}</span>{' '}
            <span className="text-soft">{loadOf(column.id, classes)}</span>
          </th>
        ))}
      </tr>
    </thead>
  );
}

function DayHead({ day, isToday }: { day: string; isToday: boolean }) {
  return (
    <th
      scope="row"
      className={clsx('border-t border-line py-2 text-left font-normal', isToday && 'text-fern')}
    >
      <span className="text-lg">{format(noonOf(day), 'EEE')}</span>{' '}
      <span className={clsx(!isToday && 'text-soft')}>{format(noonOf(day), 'd')}</span>
    </th>
  );
}

/** Everybody who teaches here, whoever else stands before a class, and nobody where that is so. */
function columnsOf(
  team: readonly { id: string; name: string; role: string }[],
  classes: readonly ReadyClass[],
): Column[] {
  const teachers = team.filter(({ role }) => role === 'owner' || role === 'instructor');
  const others = namedIn(classes, 'instructor').filter(
    ({ id }) => !teachers.some((teacher) => teacher.id === id),
  );
  const isOpen = classes.some(({ instructor }) => instructor === null);
  return [...teachers, ...others, ...(isOpen ? [NOBODY] : [])].map(({ id, name }) => ({
    id,
    name,
  }));
}

/** "4 classes, 3 h 20 min": what the week asks of one. */
function loadOf(instructorId: string, classes: readonly ReadyClass[]): string {
  const own = classes.filter(
    ({ instructor, calledOff }) =>
      calledOff === null && (instructor?.id ?? NOBODY.id) === instructorId,
  );
  const totalMin = Math.round(own.reduce((sum, { targetS }) => sum + targetS, 0) / 60);
  const [hours, rest] = [Math.floor(totalMin / 60), totalMin % 60];
  const length = [hours > 0 ? `${hours} h` : '', rest > 0 ? `${rest} min` : ''].filter(Boolean);
  if (own.length === 0) return 'no class';
  return `${own.length} ${own.length === 1 ? 'class' : 'classes'}, ${length.join(' ')}`;
}

function Cell({
  day,
  instructorId,
  children,
}: {
  day: string;
  instructorId: string;
  children: ReactNode;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: `${day} ${instructorId}` });
  return (
    <td ref={setNodeRef} className={clsx('h-14 border-t border-line py-2', isOver && 'bg-mist')}>
      <div className="flex flex-col gap-2">{children}</div>
    </td>
  );
}
