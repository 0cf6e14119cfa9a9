import { format } from 'date-fns';
import { dayIn, momentIn, noonOf, timeIn } from '@wrenfern/core/week/studio-time';
import type { Named, ReadyClass } from '@wrenfern/contract/class-cards';
import { useClassChanges, type ClassChange } from './use-class-changes.ts';

interface Place {
  day: string;
  /** Whose column it is; an empty id for nobody's. Left out where there are no columns. */
  instructor?: Named;
}

/** Puts a class where it was dragged or nudged to; where it stands already, nothing happens. */
export function useMoves(zone: string) {
  const { change } = useClassChanges();
  const move = (lesson: ReadyClass, { day, instructor }: Place) => {
    const wanted: ClassChange = {};
    const back: ClassChange = {};
    const said: string[] = [];
    if (day !== dayIn(zone, lesson.startsAt)) {
      wanted.startsAt = momentIn(zone, day, timeIn(zone, lesson.startsAt));
      back.startsAt = lesson.startsAt;
      said.push(`is moved to ${format(noonOf(day), 'EEEE d MMMM')}`);
    }
    if (instructor && instructor.id !== (lesson.instructor?.id ?? '')) {
      wanted.instructorId = instructor.id || null;
      back.instructorId = lesson.instructor?.id ?? null;
      said.push(instructor.id ? `is given to ${instructor.name}` : 'is nobody’s yet');
    }
    if (said.length > 0) void change(lesson, wanted, `${lesson.title} ${said.join(' and ')}`, back);
  };
  return { move };
}
