import { CalendarPlus } from 'lucide-react';
import { lazy, Suspense, useEffect, useMemo } from 'react';
import { Link } from 'react-router';
import type { Role } from '@wrenfern/contract/account';
import type { ClassSummary } from '@wrenfern/contract/class-cards';
import { keepDay } from '../../data/keep-day.ts';
import {
  startOfToday,
  todayPath,
  useEarlierClasses,
  useToday,
} from '../../data/use-class-cards.ts';
import { useSession } from '../../data/use-session.ts';
import { Button, buttonClass } from '../../parts/button.tsx';
import { minutes, showDay, showWhen } from '../../parts/dates.ts';
import { Empty, Failed, Loading } from '../../parts/states.tsx';
import { NewClass } from '../classes/new-class.tsx';
import { ReadyCard } from './ready-card.tsx';

/** With the library behind it: a studio that has classes does not wait for it. */
const StarterClasses = lazy(async () => {
  const { StarterClasses: Component } = await import('./starter-classes.tsx');
  return { default: Component };
});

const MAKE_ONE = 'Make one with “New class”: on the mat or the reformer, empty or drafted for you.';

const NO_CLASS: Record<Role, string> = {
  owner: MAKE_ONE,
  instructor: MAKE_ONE,
  cover: 'As soon as a class is handed over to you, it stands here.',
  reader: 'As soon as somebody plans one, it stands here.',
};

/** The next classes and what each still wants; what was taught before. */
export function Component() {
  const from = useMemo(() => startOfToday(), []);
  const session = useSession();
  const zone = session.data?.studio.timeZone ?? 'UTC';
  const role = session.data?.user.role ?? 'reader';
  const mayPlan = role === 'owner' || role === 'instructor';
  const today = useToday(from);
  const earlier = useEarlierClasses(from);
  const ahead = today.data?.classes;
  useEffect(() => {
    if (ahead) void keepDay(ahead, todayPath(from));
  }, [ahead, from]);
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-3 pt-8 pb-4">
        <div>
          <h1 className="text-3xl">{showDay(new Date().toISOString(), zone)}</h1>
          <p className="mt-1 text-base text-soft">{session.data?.studio.name}</p>
        </div>
        {mayPlan ? (
          <NewClass
            trigger={
              <button type="button" className={buttonClass('main', 'min-h-10')}>
                <CalendarPlus size={18} aria-hidden /> New class
              </button>
            }
          />
        ) : null}
      </div>
      <section aria-label="Next classes">
        {today.error && !today.data ? (
          <Failed error={today.error} retry={() => void today.mutate()} />
        ) : !today.data ? (
          <Loading what="your classes" />
        ) : today.data.classes.length === 0 ? (
          mayPlan && earlier.data?.[0]?.classes.length === 0 ? (
            <Suspense fallback={<Loading what="classes to begin with" />}>
              <StarterClasses zone={zone} />
            </Suspense>
          ) : (
            <Empty title="No class ahead">{NO_CLASS[role]}</Empty>
          )
        ) : (
          <ul className="grid gap-4 lg:grid-cols-2">
            {today.data.classes.map((lesson, index) => (
              <li key={lesson.id} className={index === 0 ? 'lg:col-span-2' : ''}>
                <ReadyCard lesson={lesson} zone={zone} large={index === 0} />
              </li>
            ))}
          </ul>
        )}
      </section>
      <Earlier earlier={earlier} zone={zone} />
    </>
  );
}

function Earlier({
  earlier,
  zone,
}: {
  earlier: ReturnType<typeof useEarlierClasses>;
  zone: string;
}) {
  const { data, error, size, setSize, isValidating, mutate } = earlier;
  const rows = data?.flatMap((page) => page.classes) ?? [];
  const last = data?.at(-1);
  const hasMore = last !== undefined && last.classes.length === 20;
  return (
    <section className="mt-10" aria-labelledby="earlier">
      <h2 id="earlier" className="mb-2 text-xl">
        Earlier
      </h2>
      {error && !data ? <Failed error={error} retry={() => void mutate()} /> : null}
      {data && rows.length === 0 ? <p className="text-soft">Nothing has been taught yet.</p> : null}
      <ul className="divide-y divide-line border-line not-empty:border-y">
        {rows.map((row) => (
          <EarlierRow key={row.id} row={row} zone={zone} />
        ))}
      </ul>
      {hasMore ? (
        <Button className="mt-3" disabled={isValidating} onClick={() => void setSize(size + 1)}>
          {isValidating ? 'Loading …' : 'Show more'}
        </Button>
      ) : null}
    </section>
  );
}

function EarlierRow({ row, zone }: { row: ClassSummary; zone: string }) {
  const isReader = useSession().data?.user.role === 'reader';
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
      <span className="w-44 text-soft">{showWhen(row.startsAt, zone)}</span>
      <span className="min-w-40 flex-1 font-semibold">{row.title}</span>
      <span className="text-soft">
        {minutes(row.targetS)} · {row.coming} {row.coming === 1 ? 'person' : 'people'}
        {row.effort ? ` · effort ${row.effort} of 5` : ''}
      </span>
      <span className="flex gap-1">
        <Link className={buttonClass('quiet')} to={`/classes/${row.id}/plan`}>
          Plan<span className="sr-only"> of {row.title}</span>
        </Link>
        {row.taught && !isReader ? (
          <Link className={buttonClass('quiet')} to={`/classes/${row.id}/log`}>
            Log<span className="sr-only"> of {row.title}</span>
          </Link>
        ) : null}
      </span>
    </li>
  );
}
