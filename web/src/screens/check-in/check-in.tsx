import { useMemo } from 'react';
import { classVerdicts, isRefused, sayVerdict } from '@wrenfern/core/people/class-verdict';
import type { ClassVerdict } from '@wrenfern/core/people/class-verdict';
import type { BookedPerson, WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../data/catalogue.tsx';
import { analyseClass } from '../../data/class-analysis.ts';
import { useLesson } from '../../data/use-lesson.ts';
import { Empty } from '../../parts/states.tsx';
import { CheckInCard } from './check-in-card.tsx';
import { WalkIn } from './walk-in.tsx';
import { whatChanges, type Change } from './what-changes.ts';

/** At the door: who is here, what holds for them today, and what that changes in the plan. */
export function Component() {
  const { lesson } = useLesson();
  const { changes, verdicts } = useToday(lesson);
  const here = lesson.attendees.filter(({ came }) => came === 'here').length;
  const gone = lesson.attendees.filter(({ came }) => came === 'cancelled late').length;
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mb-4 flex flex-wrap items-center gap-3">
        <p className="text-2xl" role="status">
          <span className="font-semibold">{here}</span> of {lesson.attendees.length - gone} here
          {gone > 0 ? <span className="text-soft">, {gone} not coming</span> : null}
        </p>
        <WalkIn lesson={lesson} />
      </div>
      {lesson.attendees.length === 0 ? (
        <Empty title="Nobody is booked yet">Add who walks in, by name.</Empty>
      ) : (
        <ul className="grid items-start gap-3 md:grid-cols-2 xl:grid-cols-3">
          {lesson.attendees.map((booked) => (
            <CheckInCard
              key={booked.person.id}
              lesson={lesson}
              booked={booked}
              changes={changes.get(booked.person.id) ?? []}
              refused={refusalOf(verdicts.get(booked.person.id), booked)}
            />
          ))}
        </ul>
      )}
    </div>
  );
}

function refusalOf(verdict: ClassVerdict | undefined, { came }: BookedPerson): string | undefined {
  return verdict && came !== 'cancelled late' && isRefused(verdict)
    ? sayVerdict(verdict)
    : undefined;
}

/** The plan as it is worked out with what holds today, beside what it would be without. */
function useToday(lesson: WholeClass): {
  changes: ReadonlyMap<string, Change[]>;
  verdicts: ReadonlyMap<string, ClassVerdict>;
} {
  const catalogue = useCatalogue();
  return useMemo(() => {
    const { plan, attendees, day } = lesson;
    const plain = { ...lesson, attendees: attendees.map((each) => ({ ...each, today: [] })) };
    const before = analyseClass(plain, plan, catalogue).options;
    const after = analyseClass(lesson, plan, catalogue).options;
    return {
      changes: whatChanges(plan, before, after, catalogue),
      verdicts: classVerdicts(plan, attendees, after, catalogue, day),
    };
  }, [lesson, catalogue]);
}
