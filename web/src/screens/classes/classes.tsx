import { format } from 'date-fns';
import type { ReadyClass } from '@wrenfern/contract/class-cards';
import { CalendarPlus, ChevronLeft, ChevronRight, CopyPlus } from 'lucide-react';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useWeek } from '../../data/use-class-cards.ts';
import { useSession } from '../../data/use-session.ts';
import { Button, buttonClass } from '../../parts/button.tsx';
import { IconButton } from '../../parts/icon-button.tsx';
import { SegmentedRadio } from '../../parts/segmented-radio.tsx';
import { Empty, Failed, Loading } from '../../parts/states.tsx';
import { dayAfter, dayIn, noonOf, weekOf } from '@wrenfern/core/week/studio-time';
import { CalendarFeeds } from './calendar-feeds.tsx';
import { DaysGrid } from './days-grid.tsx';
import { FilterBar } from './filter-bar.tsx';
import { InstructorColumns } from './instructor-columns.tsx';
import { KeptPlans } from './kept-plans.tsx';
import { NewClass } from './new-class.tsx';
import { useClassChanges } from './use-class-changes.ts';
import { filterClasses, type Filters } from './week-summary.ts';

type View = 'week' | 'who' | 'month' | 'kept';
const VIEWS: { value: View; name: string }[] = [
  { value: 'week', name: 'Week' },
  { value: 'who', name: 'By instructor' },
  { value: 'month', name: 'Month' },
  { value: 'kept', name: 'Kept plans' },
];

const WEEK = 7;

const pageOf = (view: View) => (view === 'month' ? 'month' : 'week');

/** The days of a week, or of the weeks that a month touches. */
function daysOf(view: View, on: string): string[] {
  const count = (length: number, from: string) =>
    Array.from({ length }, (_, index) => dayAfter(from, index));
  if (view !== 'month') return count(WEEK, weekOf(on));
  const first = weekOf(`${on.slice(0, 7)}-01`);
  const weeks = count(6, first).map((_, index) => dayAfter(first, index * WEEK));
  return weeks
    .filter((day, index) => index < 4 || day.startsWith(on.slice(0, 7)))
    .flatMap((day) => count(WEEK, day));
}

/** The next or the previous week or month. */
function stepped(view: View, on: string, by: 1 | -1): string {
  if (view !== 'month') return dayAfter(on, by * WEEK);
  const date = noonOf(`${on.slice(0, 7)}-15`);
  date.setMonth(date.getMonth() + by);
  return format(date, 'yyyy-MM-dd');
}

function titleOf(view: View, days: readonly string[], on: string): string {
  if (view === 'kept') return 'Kept plans';
  if (view === 'month') return format(noonOf(on), 'MMMM yyyy');
  const [first, last] = [noonOf(days[0] ?? on), noonOf(days.at(-1) ?? on)];
  const sameMonth = first.getMonth() === last.getMonth();
  return `${format(first, sameMonth ? 'd' : 'd MMMM')} to ${format(last, 'd MMMM')}`;
}

/** Every class of a week or a month: where each stands, moved by hand, called off, copied. */
export function Component() {
  const session = useSession();
  const zone = session.data?.studio.timeZone ?? 'UTC';
  const role = session.data?.user.role;
  const mayChange = role === 'owner' || role === 'instructor';
  const today = dayIn(zone, new Date());
  const [search, setSearch] = useSearchParams();
  const on = /^\d{4}-\d{2}-\d{2}$/.test(search.get('on') ?? '')
    ? (search.get('on') ?? today)
    : today;
  const asked = search.get('view');
  const view = VIEWS.find(({ value }) => value === asked)?.value ?? 'week';
  const [filters, setFilters] = useState<Filters>({
    words: '',
    machine: 'all',
    onlyUnplanned: false,
    school: '',
    instructor: '',
  });
  const days = daysOf(view, on);
  const week = useWeek(days[0] ?? on, days.at(-1) ?? on);
  const show = (next: { on?: string; view?: View }) =>
    setSearch({ on: next.on ?? on, view: next.view ?? view }, { replace: true });
  const classes = week.data?.classes ?? [];
  const shown = filterClasses(classes, filters);
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 pt-7 pb-3">
        <h1 className="text-3xl">{titleOf(view, days, on)}</h1>
        {view === 'kept' ? null : <Steps view={view} on={on} today={today} show={show} />}
        <SegmentedRadio
          label="Show"
          labelHidden
          choices={VIEWS}
          value={view}
          onChange={(next) => show({ view: next })}
        />
        <Actions {...{ view, days, today, mayChange }} />
      </div>
      <FilterBar
        filters={filters}
        onChange={setFilters}
        classes={view === 'kept' ? undefined : classes}
      />
      {view === 'kept' ? (
        <KeptPlans zone={zone} mayChange={mayChange} filters={filters} />
      ) : week.error && !week.data ? (
        <Failed error={week.error} retry={() => void week.mutate()} />
      ) : !week.data ? (
        <Loading what="the classes" />
      ) : (
        <Days {...{ days, zone, today, mayChange, view, on, classes }} shown={shown} />
      )}
    </>
  );
}

interface StepsProps {
  view: View;
  on: string;
  today: string;
  show: (next: { on: string }) => void;
}

/** The week or month before, the one of today, the one after. */
function Steps({ view, on, today, show }: StepsProps) {
  const page = pageOf(view);
  return (
    <div className="flex items-center">
      <IconButton label={`The ${page} before`} onClick={() => show({ on: stepped(view, on, -1) })}>
        <ChevronLeft size={18} aria-hidden />
      </IconButton>
      <Button look="quiet" onClick={() => show({ on: today })}>
        today
      </Button>
      <IconButton label={`The ${page} after`} onClick={() => show({ on: stepped(view, on, 1) })}>
        <ChevronRight size={18} aria-hidden />
      </IconButton>
    </div>
  );
}

interface DaysProps {
  view: View;
  days: readonly string[];
  today: string;
  mayChange: boolean;
}

/** What can be done with the days that are seen. */
function Actions({ view, days, today, mayChange }: DaysProps) {
  const first = days[0] ?? today;
  return (
    <div className="ml-auto flex flex-wrap gap-2">
      {view === 'kept' ? null : <CalendarFeeds />}
      {mayChange && view !== 'month' && view !== 'kept' ? <CopyWeek from={first} /> : null}
      {mayChange ? (
        <NewClass
          day={days.includes(today) ? today : first}
          trigger={
            <button type="button" className={buttonClass('main', 'min-h-10')}>
              <CalendarPlus size={18} aria-hidden /> New class
            </button>
          }
        />
      ) : null}
    </div>
  );
}

interface ShownProps extends Omit<DaysProps, 'view'> {
  view: Exclude<View, 'kept'>;
  zone: string;
  on: string;
  classes: readonly ReadyClass[];
  /** Those that the filters leave. */
  shown: readonly ReadyClass[];
}

function Days({ view, days, today, mayChange, zone, on, classes, shown }: ShownProps) {
  return (
    <>
      {classes.length === 0 ? (
        <div className="lg:hidden">
          <Empty title="No class in these days">Make one, or look at another week.</Empty>
        </div>
      ) : null}
      {view === 'who' ? (
        <InstructorColumns {...{ days, zone, today, mayChange }} classes={shown} />
      ) : (
        <DaysGrid
          {...{ days, zone, today, mayChange, view }}
          classes={shown}
          month={view === 'month' ? on.slice(0, 7) : undefined}
        />
      )}
    </>
  );
}

function CopyWeek({ from }: { from: string }) {
  const { copyWeek } = useClassChanges();
  const next = dayAfter(from, WEEK);
  return (
    <Button
      className="min-h-10"
      title="Plans, people and times of day, once more a week later"
      onClick={() => void copyWeek(from, next)}
    >
      <CopyPlus size={16} aria-hidden /> <span className="max-sm:sr-only">Copy to next week</span>
    </Button>
  );
}
