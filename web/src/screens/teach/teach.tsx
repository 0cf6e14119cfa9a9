import type { Analysis } from '@wrenfern/core';
import { gearWords } from '@wrenfern/core/room/gear-words';
import { useCallback, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { LostPage } from '../../parts/not-found.tsx';
import type { EventsRead } from '../../data/use-classes.ts';
import type { WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../data/catalogue.tsx';
import { analyseClass } from '../../data/class-analysis.ts';
import { useClass, useClassEvents } from '../../data/use-classes.ts';
import { RequestProblem } from '../../data/request.ts';
import { Button, buttonClass } from '../../parts/button.tsx';
import { PROP_WORDS } from '@wrenfern/core/movement/words';
import { Failed, Loading } from '../../parts/states.tsx';
import { useDarkRoom } from '../../parts/dark-room.ts';
import { EmptyPlan } from '../../parts/empty-plan.tsx';
import { minutes } from '../../parts/dates.ts';
import { useStayAwake } from '../../parts/stay-awake.ts';
import { eachTime } from '@wrenfern/core/people/attendee';
import { planAsOccurrences } from '@wrenfern/core/plan/occurrences';
import type { Plan } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { KeepTime } from './keep-time.tsx';
import { NowStage } from './now-stage.tsx';
import { GearNow } from './gear-now.tsx';
import { PauseCards } from './pause-cards.tsx';
import { TeachBar } from './teach-bar.tsx';
import { TeachTop } from './teach-top.tsx';
import { useBegin, type Begin } from './use-begin.ts';
import { useRun, useStream } from './use-run.ts';
import { useTeachKeys } from './teach-keys.ts';
import { VersionsAside } from './versions-aside.tsx';
import { WhoComes } from './who-comes.tsx';

/** Full screen, at arm's length. */
export function Component() {
  useDarkRoom();
  return <LoadedTeach />;
}

function LoadedTeach() {
  const { id = '' } = useParams();
  const lesson = useClass(id);
  const events = useClassEvents(id);
  const { mutate } = events;
  const reload = useCallback(() => void mutate(), [mutate]);
  const error: unknown = lesson.error ?? events.error;
  if (error instanceof RequestProblem && error.code === 'not-found') return <LostPage />;
  if (error && (!lesson.data || !events.data)) {
    return (
      <Failed
        error={error}
        retry={() => {
          void lesson.mutate();
          reload();
        }}
      />
    );
  }
  if (!lesson.data || !events.data) return <Loading what="the class" />;
  // Once begun, a class follows the plan that it was begun with, whatever is planned since.
  const { taught } = events.data;
  const shown = taught ? { ...lesson.data, ...taught } : lesson.data;
  return <Teach key={shown.revision} lesson={shown} known={events.data} onStarted={reload} />;
}

interface TeachProps {
  lesson: WholeClass;
  known: EventsRead;
  onStarted: () => void;
}

function Teach({ lesson, known, onStarted }: TeachProps) {
  const catalogue = useCatalogue();
  // Whoever chose an option by hand does it on both sides and in every round.
  const eachTimeDone = useMemo(
    () => ({
      ...lesson,
      attendees: lesson.attendees.map((each) => eachTime(each, lesson.plan)),
    }),
    [lesson],
  );
  const layOut = useCallback(
    (plan: Plan) => analyseClass(eachTimeDone, plan, catalogue),
    [eachTimeDone, catalogue],
  );
  const { id: classId, revision } = lesson;
  const stream = useStream({ classId, revision, known, onStarted });
  const run = useRun(stream, { plan: lesson.plan, layOut });
  const { analysis, plan } = run;
  const { timeline } = analysis;
  const taught = useMemo(() => ({ ...eachTimeDone, plan }), [eachTimeDone, plan]);
  const starting = useBegin(lesson, run);
  useTeachKeys(run, timeline, starting.begin);
  useStayAwake(run.state.status === 'running');
  if (timeline.items.length === 0) {
    return <EmptyPlan classId={lesson.id} then="teach it from here" />;
  }
  if (run.state.status === 'ready') {
    return <Before lesson={lesson} analysis={analysis} starting={starting} />;
  }
  if (run.state.status === 'ended' || !run.now) return <After lesson={lesson} />;
  return (
    <main className="flex h-dvh flex-col">
      <TeachTop lesson={taught} timeline={timeline} run={run} />
      <div className="flex min-h-0 flex-1 max-lg:flex-col max-lg:overflow-y-auto">
        <NowStage
          now={run.now}
          school={rulesOf(lesson.plan.school)}
          gear={<GearNow lesson={taught} analysis={analysis} now={run.now} />}
          pause={<PauseCards lesson={taught} analysis={analysis} now={run.now} />}
        />
        <VersionsAside lesson={taught} analysis={analysis} run={run} now={run.now} />
      </div>
      <KeepTime lesson={taught} planned={planAsOccurrences(lesson.plan)} run={run} now={run.now} />
      <TeachBar run={run} now={run.now} />
    </main>
  );
}

/** How every machine is set before anybody lies down. */
function FirstGear({ lesson, analysis }: { lesson: WholeClass; analysis: Analysis }) {
  const [first] = analysis.gear;
  if (!first) return null;
  return (
    <p className="my-1 rounded-xl bg-slate-soft p-3">
      Every machine: {gearWords(first.gear, lesson.machines).join(', ')}.
    </p>
  );
}

function LayOut({
  lesson,
  analysis,
}: {
  lesson: WholeClass;
  analysis: ReturnType<typeof analyseClass>;
}) {
  return (
    <section aria-label="Lay out first">
      <h2 className="text-xl">Lay out first</h2>
      <FirstGear lesson={lesson} analysis={analysis} />
      {analysis.props.length === 0 ? (
        <p className="text-soft">{lesson.plan.machine === 'mat' ? 'Mats only.' : 'No props.'}</p>
      ) : (
        <ul className="mt-1 flex flex-col gap-1">
          {analysis.props.map((need) => (
            <li key={need.prop}>
              {need.inAll} × {PROP_WORDS[need.prop]}
              {need.short > 0 ? (
                <span className="text-copper">
                  {' '}
                  ({need.short} short: {need.standsIn})
                </span>
              ) : null}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Before({
  lesson,
  analysis,
  starting: { isFar, mayMove, isBusy, begin },
}: {
  lesson: WholeClass;
  analysis: ReturnType<typeof analyseClass>;
  starting: Begin;
}) {
  return (
    <main className="mx-auto flex min-h-dvh max-w-2xl flex-col justify-center gap-5 p-6 text-lg">
      <h1 className="text-4xl">{lesson.title}</h1>
      <p className="text-soft">
        {analysis.timeline.items.length} items, {minutes(analysis.timeline.totalS)} planned of{' '}
        {minutes(lesson.plan.targetS)}, {lesson.attendees.length} coming.
      </p>
      <LayOut lesson={lesson} analysis={analysis} />
      <WhoComes lesson={lesson} analysis={analysis} />
      {isFar ? (
        <p role="note" className="rounded-xl bg-copper-soft p-4 text-copper">
          {mayMove
            ? 'This class is more than a day away. Starting it now gives it today’s day and time, so that the log says when it was taught.'
            : 'This class is more than a day away. Ask whoever handed it over to give it another day first.'}
        </p>
      ) : null}
      <div className="flex flex-wrap gap-3">
        <Button
          look="main"
          className="min-h-14 px-8 text-xl"
          disabled={isBusy || (isFar && !mayMove)}
          onClick={begin}
        >
          Start the class
        </Button>
        <Link className={buttonClass('plain', 'min-h-14 px-6')} to={`/classes/${lesson.id}/plan`}>
          Back to the plan
        </Link>
      </div>
      <p className="text-base text-soft">
        Space, → or a pedal goes on; ← goes back; P pauses. Sharp or spreading pain, a held breath,
        a straining neck: stop and step back. Pain that stays belongs with a clinician.
      </p>
    </main>
  );
}

function After({ lesson }: { lesson: WholeClass }) {
  return (
    <main className="mx-auto flex min-h-dvh max-w-2xl flex-col justify-center gap-5 p-6 text-lg">
      <h1 className="text-4xl">That was {lesson.title}</h1>
      <p className="text-soft">It is in the log: what was planned, and what it really took.</p>
      <div className="flex flex-wrap gap-3">
        <Link
          className={buttonClass('main', 'min-h-14 px-8 text-xl')}
          to={`/classes/${lesson.id}/log`}
        >
          See the log
        </Link>
        <Link className={buttonClass('plain', 'min-h-14 px-6')} to="/">
          To today
        </Link>
      </div>
    </main>
  );
}
