import { useCallback, useMemo } from 'react';
import { useParams } from 'react-router';
import { LostPage } from '../../parts/not-found.tsx';
import { useCatalogue } from '../../data/catalogue.tsx';
import { analyseClass } from '../../data/class-analysis.ts';
import { useClass, useClassEvents } from '../../data/use-classes.ts';
import { RequestProblem } from '../../data/request.ts';
import { Failed, Loading } from '../../parts/states.tsx';
import { useDarkRoom } from '../../parts/dark-room.ts';
import { EmptyPlan } from '../../parts/empty-plan.tsx';
import { useStayAwake } from '../../parts/stay-awake.ts';
import { eachTime } from '@wrenfern/core/people/attendee';
import { planAsOccurrences } from '@wrenfern/core/plan/occurrences';
import type { Plan } from '@wrenfern/core/plan/plan';
import { isMixed } from '@wrenfern/core/plan/tracks';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { AfterClass } from './after-class.tsx';
import { BeforeClass } from './before-class.tsx';
import { KeepTime } from './keep-time.tsx';
import { NowStage } from './now-stage.tsx';
import { GearNow } from './gear-now.tsx';
import { PauseCards } from './pause-cards.tsx';
import { TeachBar } from './teach-bar.tsx';
import { TeachTop } from './teach-top.tsx';
import { useBegin } from './use-begin.ts';
import { useRun, useStream } from './use-run.ts';
import type { TeachProps } from './teach-props.ts';
import { useTeachKeys } from './teach-keys.ts';
import { TeachTwoGroups } from './two-groups/teach-two-groups.tsx';
import { VersionsAside } from './versions-aside.tsx';

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
  const Class = isMixed(shown.plan) ? TeachTwoGroups : Teach;
  return <Class key={shown.revision} lesson={shown} known={events.data} onStarted={reload} />;
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
    return <BeforeClass lesson={lesson} analysis={analysis} starting={starting} />;
  }
  if (run.state.status === 'ended' || !run.now) return <AfterClass lesson={lesson} />;
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
