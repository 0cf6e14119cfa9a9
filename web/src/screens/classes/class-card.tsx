import { useDraggable } from '@dnd-kit/core';
import { clsx } from 'clsx';
import { GripVertical, Repeat } from 'lucide-react';
import { Link } from 'react-router';
import type { ReadyClass } from '@wrenfern/contract/class-cards';
import { Button } from '../../parts/button.tsx';
import { minutes, showTimeOfDay } from '../../parts/dates.ts';
import { Ridge } from '../../parts/ridge.tsx';
import { CardMenu } from './card-menu.tsx';
import { useClassChanges } from './use-class-changes.ts';
import { isEmpty, stateWords } from './week-summary.ts';

interface CardProps {
  lesson: ReadyClass;
  zone: string;
  mayChange: boolean;
  /** Folded to its name, as in a month. */
  small: boolean;
  /** What its place says: its day, or also who teaches it. */
  moves: 'days' | 'days and instructors';
  nudge: (lesson: ReadyClass, by: Nudge) => void;
}

/** How far a class is put by keys. */
export interface Nudge {
  days: number;
  columns: number;
}

/** Alt and an arrow, by what the directions of the screen mean. */
const NUDGES: Record<CardProps['moves'], { said: string; by: Record<string, Nudge> }> = {
  days: {
    said: 'Drag to another day; Alt ← and Alt → move it by a day',
    by: {
      ArrowLeft: { days: -1, columns: 0 },
      ArrowRight: { days: 1, columns: 0 },
    },
  },
  'days and instructors': {
    said: 'Drag to somebody else or to another day; Alt and arrows do the same',
    by: {
      ArrowUp: { days: -1, columns: 0 },
      ArrowDown: { days: 1, columns: 0 },
      ArrowLeft: { days: 0, columns: -1 },
      ArrowRight: { days: 0, columns: 1 },
    },
  },
};

type HandleProps = Pick<CardProps, 'lesson' | 'moves' | 'nudge'> &
  Pick<ReturnType<typeof useDraggable>, 'attributes' | 'listeners'>;

/** What a class is moved by: dragged, or by keys. */
function Handle({ lesson, moves, nudge, attributes, listeners }: HandleProps) {
  return (
    <button
      type="button"
      {...attributes}
      {...listeners}
      aria-label={`Move ${lesson.title}`}
      title={NUDGES[moves].said}
      onKeyDown={(event) => {
        const by = event.altKey ? NUDGES[moves].by[event.key] : undefined;
        if (by) {
          event.preventDefault();
          nudge(lesson, by);
        } else listeners?.onKeyDown?.(event);
      }}
      className="-ml-1.5 grid size-6 shrink-0 touch-none place-items-center text-line-strong hover:text-fern"
    >
      <GripVertical size={13} aria-hidden />
    </button>
  );
}

/** A class in its day: when, where, its ridge, who comes and what is left. */
export function ClassCard({ lesson, zone, mayChange, small, moves, nudge }: CardProps) {
  const mayMove = mayChange && !lesson.taught;
  const { setNodeRef, isDragging, ...drag } = useDraggable({
    id: lesson.id,
    disabled: !mayMove,
  });
  const off = lesson.calledOff !== null;
  return (
    <article
      ref={setNodeRef}
      aria-label={lesson.title}
      className={clsx(
        'group relative rounded-xl border bg-leaf p-2.5 text-[0.875rem] leading-snug',
        isEmpty(lesson) && !off ? 'border-dashed border-line-strong' : 'border-line',
        off && 'bg-transparent text-soft',
        isDragging && 'opacity-50',
      )}
    >
      <div className="flex items-center gap-1 text-[0.8125rem] text-soft">
        {mayMove ? (
          <Handle
            lesson={lesson}
            moves={moves}
            nudge={nudge}
            attributes={drag.attributes}
            listeners={drag.listeners}
          />
        ) : null}
        <span className={clsx('whitespace-nowrap', off && 'line-through')}>
          {showTimeOfDay(lesson.startsAt, zone)}
        </span>
        {lesson.isRepeated ? (
          <Repeat size={12} className="shrink-0" aria-label="every week" />
        ) : null}
        {mayChange ? <CardMenu lesson={lesson} zone={zone} /> : null}
      </div>
      <h3 className={clsx('leading-tight', small ? 'text-[0.875rem]' : 'text-base')}>
        <Link
          to={`/classes/${lesson.id}/plan`}
          className={clsx('hover:text-fern', off && 'line-through')}
        >
          {lesson.title}
        </Link>
      </h3>
      {off ? <p>Called off: {lesson.calledOff}</p> : null}
      {off || small ? null : <CardBody lesson={lesson} mayChange={mayChange} />}
    </article>
  );
}

/** How the class rises and falls, or what fills it; how long it is, who comes, what is left. */
function CardBody({ lesson, mayChange }: Pick<CardProps, 'lesson' | 'mayChange'>) {
  const { likeLast } = useClassChanges();
  const state = stateWords(lesson);
  const mayFill = isEmpty(lesson) && lesson.lastOfSeries !== null && mayChange;
  return (
    <>
      {mayFill ? (
        <Button look="quiet" className="my-1 w-full" onClick={() => void likeLast(lesson)}>
          Like last time<span className="sr-only">: {lesson.title}</span>
        </Button>
      ) : null}
      {!isEmpty(lesson) && lesson.ready ? <Ridge items={lesson.ready.swell} /> : null}
      <p>
        {minutes(lesson.targetS)} {lesson.machine} · {lesson.coming.length} come ·{' '}
        <span className={state.isOpen ? 'font-semibold text-copper' : ''}>{state.words}</span>
      </p>
    </>
  );
}
