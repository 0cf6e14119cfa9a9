import { clsx } from 'clsx';
import { isRefused, sayVerdict, type ClassVerdict } from '@wrenfern/core/people/class-verdict';
import { cautionOf } from '@wrenfern/core/people/cautions/cautions';
import { cautionsOn } from '@wrenfern/core/people/person';
import type { BookedPerson, WholeClass } from '@wrenfern/contract/classes';
import { TodaySheet } from './today-sheet.tsx';

/** A name with what holds today; pressed, it opens what is different today. */
export function PersonHead({
  booked,
  lesson,
  verdict,
}: {
  booked: BookedPerson;
  lesson: WholeClass;
  verdict: ClassVerdict | undefined;
}) {
  const names = [...cautionsOn(booked.person, lesson.day), ...booked.today].map(
    (entry) => cautionOf(entry.caution).name,
  );
  return (
    <TodaySheet lesson={lesson} booked={booked}>
      <button type="button" className="w-full rounded px-1 text-left hover:bg-mist">
        <span className="block font-semibold">{booked.person.name}</span>
        {verdict && verdict.verdict !== 'yes' ? (
          <span
            className={clsx(
              'block text-[0.8125rem] leading-tight',
              isRefused(verdict) ? 'font-semibold text-copper' : 'text-fern',
            )}
          >
            {sayVerdict(verdict)}
          </span>
        ) : null}
        {verdict?.because.map((sentence) => (
          <span
            key={sentence}
            className="block max-w-44 text-[0.8125rem] leading-tight text-copper"
          >
            {sentence}
          </span>
        ))}
        {names.length > 0 || booked.todayNote ? (
          <span className="block max-w-44 text-[0.8125rem] leading-tight text-soft">
            {[...names, ...(booked.todayNote ? [`today: ${booked.todayNote}`] : [])].join(' · ')}
          </span>
        ) : null}
      </button>
    </TodaySheet>
  );
}
