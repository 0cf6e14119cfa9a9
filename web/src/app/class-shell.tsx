import { clsx } from 'clsx';
import { NavLink, Outlet, useParams } from 'react-router';
import type { ClassOutlet } from '../data/use-lesson.ts';
import { thoseWhoCome } from '@wrenfern/core/people/came';
import { useClass } from '../data/use-classes.ts';
import { useSession } from '../data/use-session.ts';
import type { WholeClass } from '@wrenfern/contract/classes';
import { RequestProblem } from '../data/request.ts';
import { buttonClass } from '../parts/button.tsx';
import { minutes, showWhen } from '../parts/dates.ts';
import { Failed, Loading } from '../parts/states.tsx';
import { Brand } from './brand.tsx';
import { LostPage } from '../parts/not-found.tsx';
import { RequireSession } from './shell.tsx';

const TABS = [
  { to: 'plan', name: 'Plan' },
  { to: 'options', name: 'Options' },
  { to: 'rehearse', name: 'Rehearse', isWide: true },
  { to: 'check-in', name: 'Check-in' },
  { to: 'log', name: 'Log' },
] as const;

/** The frame round one class: what it is, and its screens. */
export function ClassShell() {
  return (
    <RequireSession>
      <LoadedClass />
    </RequireSession>
  );
}

function LoadedClass() {
  const { id = '' } = useParams();
  const { data: lesson, error, mutate } = useClass(id);
  if (error instanceof RequestProblem && error.code === 'not-found') return <LostPage />;
  if (error && !lesson) return <Failed error={error} retry={() => void mutate()} />;
  if (!lesson) return <Loading what="the class" />;
  return (
    <div className="flex h-dvh flex-col">
      <ClassHeader lesson={lesson} />
      <main className="flex min-h-0 flex-1 flex-col">
        <Outlet context={{ lesson, reload: () => mutate() } satisfies ClassOutlet} />
      </main>
    </div>
  );
}

function ClassHeader({ lesson }: { lesson: WholeClass }) {
  const session = useSession();
  const zone = session.data?.studio.timeZone ?? 'UTC';
  const isReader = session.data?.user.role === 'reader';
  return (
    <header className="flex min-h-14 shrink-0 items-center gap-2 border-b border-line bg-leaf px-3 max-sm:flex-wrap max-sm:justify-between max-sm:gap-y-0 max-sm:py-1.5 sm:gap-4 sm:px-5 print:hidden">
      <Brand />
      <div className="min-w-0 flex-1 max-sm:order-last max-sm:basis-full lg:flex lg:items-baseline lg:gap-4">
        <h1 className="text-lg max-sm:line-clamp-2 sm:truncate lg:text-xl" title={lesson.title}>
          {lesson.title}
        </h1>
        <p className="truncate text-soft max-sm:hidden lg:shrink-0">
          {showWhen(lesson.startsAt, zone)} · {minutes(lesson.plan.targetS)} ·{' '}
          {isReader ? 'to look at' : `${thoseWhoCome(lesson.attendees).length} coming`}
        </p>
      </div>
      <nav aria-label="This class" className="flex items-center gap-0.5 sm:gap-1">
        {(isReader ? TABS.slice(0, 1) : TABS).map(({ to, name, ...tab }) => (
          <NavLink
            key={to}
            to={`/classes/${lesson.id}/${to}`}
            className={({ isActive }) =>
              clsx(
                'rounded-lg px-2 py-1.5 sm:px-3',
                // On a phone nobody rehearses; it is reached from a wider screen.
                'isWide' in tab && 'max-sm:hidden',
                isActive ? 'bg-mist font-semibold text-fern' : 'hover:bg-mist',
              )
            }
          >
            {name}
          </NavLink>
        ))}
        {isReader ? null : (
          <NavLink
            to={`/classes/${lesson.id}/teach`}
            className={buttonClass('main', 'ml-1 min-h-9 px-4')}
          >
            Teach
          </NavLink>
        )}
      </nav>
    </header>
  );
}
