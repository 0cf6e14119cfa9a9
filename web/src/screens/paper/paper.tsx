import { ArrowLeft, Printer } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import { personPage } from '@wrenfern/core/formats/person-page';
import { personPageHtml } from '@wrenfern/core/formats/person-page-html';
import { runSheet } from '@wrenfern/core/formats/run-sheet';
import { cueCardsHtml, runSheetHtml } from '@wrenfern/core/formats/run-sheet-html';
import { setUpListHtml } from '@wrenfern/core/formats/set-up-list-html';
import { LostPage } from '../../parts/not-found.tsx';
import type { WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../data/catalogue.tsx';
import { analyseClass } from '../../data/class-analysis.ts';
import { useClass } from '../../data/use-classes.ts';
import { useSession } from '../../data/use-session.ts';
import { RequestProblem } from '../../data/request.ts';
import { Button, buttonClass } from '../../parts/button.tsx';
import { showDay, showTimeOfDay } from '../../parts/dates.ts';
import { Select } from '../../parts/select.tsx';
import { SegmentedRadio } from '../../parts/segmented-radio.tsx';
import { Failed, Loading } from '../../parts/states.tsx';
import { withFonts } from './paper-fonts.ts';

/** The class on paper: a run sheet on one page, what to set up, or a card an exercise. */
export function Component() {
  const { id = '' } = useParams();
  const { data: lesson, error, mutate } = useClass(id);
  if (error instanceof RequestProblem && error.code === 'not-found') return <LostPage />;
  if (error && !lesson) return <Failed error={error} retry={() => void mutate()} />;
  if (!lesson) return <Loading what="the class" />;
  return <Paper lesson={lesson} />;
}

const FORMS = [
  { value: 'sheet', name: 'Run sheet' },
  { value: 'set-up', name: 'Set-up list' },
  { value: 'two', name: 'Cards, two on a page' },
  { value: 'eight', name: 'Cards, eight on a page' },
  { value: 'person', name: 'One person’s page' },
] as const;
type Form = (typeof FORMS)[number]['value'];

function Paper({ lesson }: { lesson: WholeClass }) {
  const zone = useSession().data?.studio.timeZone ?? 'UTC';
  const [asked] = useSearchParams();
  const forWhom = asked.get('person');
  const [form, setForm] = useState<Form>(forWhom === null ? 'sheet' : 'person');
  const [withNames, setWithNames] = useState(false);
  const people = lesson.attendees.map(({ person }) => person);
  const [whose, setWhose] = useState((people.find(({ id }) => id === forWhom) ?? people[0])?.id);
  const forms = people.length > 0 ? FORMS : FORMS.filter(({ value }) => value !== 'person');
  const frame = useRef<HTMLIFrameElement>(null);
  const catalogue = useCatalogue();
  const html = useMemo(
    () => withFonts(paperOf(lesson, catalogue, zone, form, withNames, whose)),
    [lesson, catalogue, zone, form, withNames, whose],
  );
  return (
    <main className="flex h-dvh flex-col">
      <header className="flex flex-wrap items-center gap-3 border-b border-line bg-leaf px-4 py-2">
        <Link
          to={`/classes/${lesson.id}/plan`}
          className={buttonClass('quiet')}
          aria-label="Back to the plan"
        >
          <ArrowLeft size={18} aria-hidden />
        </Link>
        <h1 className="min-w-0 truncate text-lg">{lesson.title} on paper</h1>
        <SegmentedRadio label="Form" labelHidden choices={forms} value={form} onChange={setForm} />
        {form === 'person' && whose !== undefined ? (
          <Select
            label="Whose"
            labelHidden
            value={whose}
            choices={people.map(({ id, name }) => ({ value: id, name }))}
            onChange={setWhose}
          />
        ) : (
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-(--fern)"
              checked={withNames}
              onChange={(event) => setWithNames(event.target.checked)}
            />
            with first names
          </label>
        )}
        <Button
          look="main"
          className="ml-auto min-h-10"
          onClick={() => frame.current?.contentWindow?.print()}
        >
          <Printer size={16} aria-hidden /> Print
        </Button>
      </header>
      <p className="bg-mist px-4 py-1.5 text-[0.8125rem]">
        Nothing on paper says why somebody does which version. With names, it is yours to keep safe.
      </p>
      <iframe
        ref={frame}
        title="What is printed"
        srcDoc={html}
        className="min-h-0 flex-1 bg-white"
      />
    </main>
  );
}

function paperOf(
  lesson: WholeClass,
  catalogue: Catalogue,
  zone: string,
  form: Form,
  withNames: boolean,
  whose: string | undefined,
): string {
  const start = new Date(lesson.startsAt).getTime();
  const input = {
    plan: lesson.plan,
    catalogue,
    analysis: analyseClass(lesson, lesson.plan, catalogue),
    when: `${showDay(lesson.startsAt, zone)}, ${showTimeOfDay(lesson.startsAt, zone)}`,
    clock: (atS: number) => showTimeOfDay(new Date(start + atS * 1000).toISOString(), zone),
  };
  const person = lesson.attendees.find((each) => each.person.id === whose)?.person;
  if (form === 'person' && person) return personPageHtml(personPage({ ...input, person }));
  const sheet = runSheet({
    ...input,
    machines: lesson.machines,
    ...(withNames
      ? {
          names: new Map(
            lesson.attendees.map(({ person }) => [
              person.id,
              person.name.split(' ')[0] ?? person.name,
            ]),
          ),
          people: lesson.attendees.map(({ person }) => person),
        }
      : {}),
  });
  switch (form) {
    case 'sheet':
    case 'person':
      return runSheetHtml(sheet);
    case 'set-up':
      return setUpListHtml(sheet);
    case 'two':
      return cueCardsHtml(sheet, 2);
    case 'eight':
      return cueCardsHtml(sheet, 8);
  }
}
