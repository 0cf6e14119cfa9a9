import { scaleLinear } from 'd3';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import {
  summariseClass,
  type ClassSummary,
  type LoggedItem,
} from '@wrenfern/core/log/summarise-class';
import { sayRemedy } from '@wrenfern/core/people/remedies';
import { signOf } from '@wrenfern/core/people/signs';
import { describeDose } from '@wrenfern/core/movement/dose';
import type { LengthEdit } from '@wrenfern/core/plan/edits';
import { planAsOccurrences } from '@wrenfern/core/plan/occurrences';
import { itemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { isMixed } from '@wrenfern/core/plan/tracks';
import { pressedOn, tracksTaught } from '@wrenfern/core/analysis/tracks-taught';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import { listWords, PLACE_WORDS } from '@wrenfern/core/movement/words';
import { showClock } from '@wrenfern/core/plan/show-time';
import { useLesson } from '../../data/use-lesson.ts';
import { ClassNote, type WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../data/catalogue.tsx';
import { analyseClass, contextOf } from '../../data/class-analysis.ts';
import { useClassEvents, useClassNote, type EventsRead } from '../../data/use-classes.ts';
import { useSession } from '../../data/use-session.ts';
import { saveMerged } from '../../data/save-merged.ts';
import { readAnswer, request, sentenceOf } from '../../data/request.ts';
import { EffortOfEach } from './effort-of-each.tsx';
import { Button, buttonClass } from '../../parts/button.tsx';
import { showTimeOfDay } from '../../parts/dates.ts';
import { Field, inputClass } from '../../parts/field.tsx';
import { Empty, Failed, Loading } from '../../parts/states.tsx';

/** A taught class: what was planned beside what it really took. */
export function Component() {
  const catalogue = useCatalogue();
  const { lesson } = useLesson();
  const events = useClassEvents(lesson.id);
  // A class that still runs is shown as it stood when the page was opened.
  const [openedAtMs] = useState(() => Date.now());
  const ways = useMemo(
    () => (events.data ? waysTaught(lesson, events.data, catalogue, openedAtMs) : []),
    [lesson, events.data, openedAtMs, catalogue],
  );
  const summary = ways[0]?.summary;
  if (events.error && !events.data) {
    return <Failed error={events.error} retry={() => void events.mutate()} />;
  }
  if (!events.data) return <Loading what="the log" />;
  return (
    <div className="min-h-0 flex-1 overflow-y-auto">
      <div className="mx-auto max-w-5xl p-4 sm:p-6">
        {summary ? (
          <>
            <Outline summary={summary} />
            {ways.map((way) => (
              <section key={way.title} aria-label={way.title} className="mb-6">
                {ways.length > 1 ? <h2 className="mb-1 text-xl">{way.title}</h2> : null}
                <Items {...way} lesson={lesson} />
              </section>
            ))}
            {summary.unplaced > 0 ? (
              <p className="mt-2 text-soft">
                {summary.unplaced} {summary.unplaced === 1 ? 'press names' : 'presses name'} an item
                that this plan does not hold; it is left out here and kept in the log.
              </p>
            ) : null}
          </>
        ) : (
          <Empty title="Not taught yet">
            The log writes itself while you teach.{' '}
            <Link className="font-semibold text-fern underline" to={`/classes/${lesson.id}/teach`}>
              Teach the class
            </Link>
          </Empty>
        )}
        {summary ? (
          <EffortOfEach
            lesson={lesson}
            events={events.data.pressed.map(({ event }) => event)}
            tookS={summary.actualS}
            again={() => events.mutate()}
          />
        ) : null}
        {summary ? <Afterwards classId={lesson.id} /> : null}
      </div>
    </div>
  );
}

/** One way through the class as it was taught, each side and round by itself; of two groups there are two. */
interface WayTaught {
  title: string;
  plan: Plan;
  summary: ClassSummary;
}

/** What is planned since it was taught is another class. */
function waysTaught(
  lesson: WholeClass,
  { taught, pressed }: EventsRead,
  catalogue: Catalogue,
  nowMs: number,
): WayTaught[] {
  const written = taught?.plan ?? lesson.plan;
  const events = pressed.map(({ event }) => event);
  const ways = isMixed(written)
    ? tracksTaught(written, catalogue, { ...contextOf(lesson), attendees: lesson.attendees })
    : [{ plan: planAsOccurrences(written), attendees: lesson.attendees, start: undefined }];
  return ways.flatMap(({ plan, attendees, start }) => {
    const { timeline } = analyseClass({ ...lesson, attendees }, plan, catalogue);
    const summary = summariseClass(timeline, start ? pressedOn(plan, events) : events, nowMs);
    const names = attendees.map(({ person }) => person.name.split(' ')[0] ?? person.name);
    const title = start
      ? `First ${PLACE_WORDS[start]}: ${listWords(names) || 'nobody'}`
      : 'What was taught';
    return summary ? [{ title, plan, summary }] : [];
  });
}

function Outline({ summary }: { summary: ClassSummary }) {
  const session = useSession();
  const zone = session.data?.studio.timeZone ?? 'UTC';
  const difference = summary.actualS - summary.plannedS;
  const done = summary.items.filter((item) => item.done).length;
  const started = new Date(summary.startedAtMs).toISOString();
  const ended = summary.endedAtMs ? new Date(summary.endedAtMs).toISOString() : undefined;
  return (
    <div className="mb-5 flex flex-wrap items-end gap-x-8 gap-y-3">
      <div>
        <p className="text-soft">
          {showTimeOfDay(started, zone)} to {ended ? showTimeOfDay(ended, zone) : 'now'}
        </p>
        <p className="title text-4xl">{showClock(summary.actualS)}</p>
      </div>
      <p className="text-base">
        planned {showClock(summary.plannedS)}
        {ended ? (
          <span className={difference > 60 ? 'font-semibold text-copper' : 'font-semibold'}>
            , {showClock(Math.abs(difference))} {difference >= 0 ? 'longer' : 'shorter'}
          </span>
        ) : (
          ', still running'
        )}
        <br />
        <span className="text-soft">
          {done} of {summary.items.length} items taught
        </span>
      </p>
      <p className="ml-auto flex items-center gap-4 text-[0.8125rem] text-soft" aria-hidden>
        <span className="flex items-center gap-1.5">
          <span className="h-2 w-6 rounded bg-line-strong/60" /> planned
        </span>
        <span className="flex items-center gap-1.5">
          <span className="h-2 w-6 rounded bg-fern" /> taught
        </span>
      </p>
    </div>
  );
}

function Items({ summary, plan, lesson }: WayTaught & { lesson: WholeClass }) {
  const longest = Math.max(60, ...summary.items.flatMap((item) => [item.plannedS, item.actualS]));
  const percent = scaleLinear([0, longest], [0, 100]);
  const nameOf = new Map(lesson.attendees.map(({ person }) => [person.id, person.name]));
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b border-line-strong text-left text-soft">
            <th scope="col" className="py-1.5 pr-3 font-normal">
              Item
            </th>
            <th scope="col" className="w-2/5 px-3 font-normal max-sm:hidden">
              <span className="sr-only">As bars</span>
            </th>
            <th scope="col" className="px-2 text-right font-normal">
              Planned
            </th>
            <th scope="col" className="px-2 text-right font-normal">
              Taught
            </th>
            <th scope="col" className="pl-2 text-right font-normal">
              Difference
            </th>
          </tr>
        </thead>
        <tbody>
          {summary.items.map((item) => (
            <tr key={item.itemId} className="border-b border-line align-top">
              <th scope="row" className="py-2 pr-3 text-left font-semibold">
                {item.name}
                {item.done ? null : (
                  <span className="ml-2 font-normal text-copper">
                    {summary.endedAtMs ? 'left out' : 'not yet'}
                  </span>
                )}
                <Details item={item} plan={plan} nameOf={nameOf} />
              </th>
              <td className="px-3 py-2.5 max-sm:hidden" aria-hidden>
                <div
                  className="h-2 rounded bg-line-strong/60"
                  style={{ width: `${percent(item.plannedS)}%` }}
                />
                <div
                  className="mt-1 h-2 rounded bg-fern"
                  style={{ width: `${percent(item.actualS)}%` }}
                />
              </td>
              <td className="px-2 py-2 text-right">{showClock(item.plannedS)}</td>
              <td className="px-2 py-2 text-right">{showClock(item.actualS)}</td>
              <td className="py-2 pl-2 text-right">
                <Difference item={item} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Difference({ item }: { item: LoggedItem }) {
  if (!item.done) return <span className="text-soft">–</span>;
  const difference = item.actualS - item.plannedS;
  const large = difference > Math.max(20, item.plannedS * 0.25);
  return (
    <span className={large ? 'font-semibold text-copper' : ''}>
      {difference < 0 ? '−' : '+'}
      {showClock(Math.abs(difference))}
    </span>
  );
}

function Details({
  item,
  plan,
  nameOf,
}: {
  item: LoggedItem;
  plan: Plan;
  nameOf: Map<string, string>;
}) {
  const catalogue = useCatalogue();
  const moves = [...item.moved].map(
    ([id, option]) => `${nameOf.get(id) ?? 'somebody'} did option ${option}`,
  );
  const planned = itemsOf(plan).find(({ id }) => id === item.itemId);
  const exercise = planned?.kind === 'exercise' ? catalogue.get(planned.exercise) : undefined;
  const seen = item.seen.map(({ personId, sign, remedy }) => {
    const tried = exercise ? sayRemedy(remedy, exercise) : remedy.kind;
    return `${nameOf.get(personId) ?? 'somebody'}: ${signOf(sign).seen}; ${tried}`;
  });
  const changed = item.changed.map(changeWords);
  const lines = [...item.notes, ...changed, ...moves, ...seen];
  if (lines.length === 0) return null;
  return (
    <ul className="font-normal text-soft">
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  );
}

/** A change that was made on the way, in words. */
function changeWords(edit: LengthEdit): string {
  switch (edit.type) {
    case 'removeItem':
      return 'left out on the way';
    case 'setDose':
      return edit.dose ? `on the way: ${describeDose(edit.dose)}` : 'on the way: as usual';
    case 'setRest':
      return edit.restS === 0 ? 'no rest, on the way' : `rest ${edit.restS} s, on the way`;
    case 'setPause':
      return `on the way: ${edit.durationS} s`;
  }
}

const EFFORTS = [
  { value: 1, name: 'easy' },
  { value: 2, name: 'light' },
  { value: 3, name: 'middling' },
  { value: 4, name: 'hard' },
  { value: 5, name: 'very hard' },
] as const;

function Afterwards({ classId }: { classId: string }) {
  const note = useClassNote(classId);
  if (note.error && !note.data) {
    return <Failed error={note.error} retry={() => void note.mutate()} />;
  }
  if (!note.data) return <Loading what="the note" />;
  return <NoteForm classId={classId} first={note.data} />;
}

type Noted = Omit<ClassNote, 'revision'>;

function saveNote(classId: string, { revision: at, ...base }: ClassNote, mine: Noted) {
  return saveMerged<Noted, ClassNote>({
    what: 'The note on this class',
    revision: at,
    base,
    mine,
    send: (revision, value) =>
      request(ClassNote, 'PUT', `/classes/${classId}/note`, { revision, ...value }),
    theirsOf: (current) => {
      const { revision, ...value } = readAnswer(ClassNote, current);
      return { revision, value };
    },
  });
}

function NoteForm({ classId, first }: { classId: string; first: ClassNote }) {
  const [saved, setSaved] = useState(first);
  const [effort, setEffort] = useState(first.effort);
  const [text, setText] = useState(first.note);
  const changed = effort !== saved.effort || text !== saved.note;
  const { mutate } = useClassNote(classId);
  const save = async () => {
    try {
      const now = await saveNote(classId, saved, { effort, note: text });
      setSaved(now);
      setEffort(now.effort);
      setText(now.note);
      await mutate(now, { revalidate: false });
      toast.success('Kept in the log');
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  return (
    <section className="mt-6 flex max-w-xl flex-col gap-3" aria-label="Afterwards">
      <h2 className="text-xl">Afterwards</h2>
      <Effort effort={effort} onChange={setEffort} />
      <Field label="Note: what to change, what to build on">
        {(named) => (
          <textarea
            {...named}
            rows={3}
            maxLength={4000}
            value={text}
            onChange={(event) => setText(event.target.value)}
            className={inputClass}
          />
        )}
      </Field>
      <Button look="main" className="self-start" disabled={!changed} onClick={() => void save()}>
        Keep
      </Button>
    </section>
  );
}

function Effort({
  effort,
  onChange,
}: {
  effort: Noted['effort'];
  onChange: (effort: Noted['effort']) => void;
}) {
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">How hard it was for the group</legend>
      <div className="flex flex-wrap gap-2">
        {EFFORTS.map(({ value, name }) => (
          <label
            key={value}
            className={buttonClass(
              'plain',
              effort === value ? 'bg-mist! border-fern! text-fern!' : '',
            )}
          >
            <input
              type="radio"
              name="effort"
              className="sr-only"
              checked={effort === value}
              onChange={() => onChange(value)}
            />
            {value} {name}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
