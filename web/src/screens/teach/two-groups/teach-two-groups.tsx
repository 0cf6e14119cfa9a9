import { clsx } from 'clsx';
import { useMemo, useState } from 'react';
import { capital, listWords, PLACE_WORDS } from '@wrenfern/core/movement/words';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { isMixed } from '@wrenfern/core/plan/tracks';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { analyseClass } from '../../../data/class-analysis.ts';
import { EmptyPlan } from '../../../parts/empty-plan.tsx';
import type { Machine } from '@wrenfern/core/movement/vocabulary';
import { useStayAwake } from '../../../parts/stay-awake.ts';
import { AfterClass } from '../after-class.tsx';
import { BeforeClass } from '../before-class.tsx';
import { KeepTime } from '../keep-time.tsx';
import { NowStage } from '../now-stage.tsx';
import { PauseCards } from '../pause-cards.tsx';
import { TeachBar } from '../teach-bar.tsx';
import { useTeachKeys } from '../teach-keys.ts';
import type { TeachProps } from '../teach-props.ts';
import { TeachTop } from '../teach-top.tsx';
import { useBegin } from '../use-begin.ts';
import { useStream } from '../use-run.ts';
import { VersionsAside } from '../versions-aside.tsx';
import { GroupColumn } from './group-column.tsx';
import { useTwoRuns, type GroupRun, type MixedLesson } from './use-two-runs.ts';

/** A class of two groups: both at a glance, one clock, and one of them under the keys. */
export function TeachTwoGroups(props: TeachProps) {
  const { lesson } = props;
  const { plan } = lesson;
  const mixed = useMemo(() => (isMixed(plan) ? { ...lesson, plan } : undefined), [lesson, plan]);
  return mixed ? <Both {...props} lesson={mixed} /> : null;
}

function Both({ lesson, known, onStarted }: TeachProps & { lesson: MixedLesson }) {
  const catalogue = useCatalogue();
  const { id: classId, revision } = lesson;
  const stream = useStream({ classId, revision, known, onStarted });
  const groups = useTwoRuns(lesson, stream);
  // What is new is taught on the machines: she begins there, and whoever comes there next is hers.
  const [place, setPlace] = useState<Machine>('reformer');
  const [first, second] = groups;
  const mine = second.place === place ? second : first;
  const { run } = mine;
  const starting = useBegin(lesson, run);
  useTeachKeys(run, run.analysis.timeline, starting.begin);
  useStayAwake(run.state.status === 'running');
  const whole = useMemo(() => analyseClass(lesson, lesson.plan, catalogue), [lesson, catalogue]);
  if (whole.timeline.items.length === 0) {
    return <EmptyPlan classId={lesson.id} then="teach it from here" />;
  }
  if (run.state.status === 'ready') {
    return (
      <BeforeClass lesson={lesson} analysis={whole} starting={starting}>
        <WhereTo groups={groups} />
      </BeforeClass>
    );
  }
  if (run.state.status === 'ended' || !run.now) return <AfterClass lesson={lesson} />;
  const isApart = first.place !== undefined || second.place !== undefined;
  return (
    <main className="flex h-dvh flex-col">
      <TeachTop lesson={mine.lesson} timeline={run.analysis.timeline} run={run} />
      {isApart ? (
        <div className="grid min-h-0 flex-1 grid-cols-2 divide-x divide-line max-sm:flex max-sm:flex-col max-sm:divide-x-0 max-sm:divide-y">
          {groups.toSorted(machinesFirst).map((group) => (
            <GroupColumn
              key={group.start}
              group={group}
              other={group === first ? second : first}
              isMine={group === mine}
              onMine={() => setPlace(group.place ?? place)}
            />
          ))}
        </div>
      ) : (
        <div className="flex min-h-0 flex-1 max-lg:flex-col max-lg:overflow-y-auto">
          <NowStage
            now={run.now}
            school={rulesOf(lesson.plan.school)}
            gear={null}
            pause={
              <>
                <Places groups={groups} />
                <PauseCards lesson={lesson} analysis={whole} now={run.now} />
              </>
            }
          />
          <VersionsAside lesson={lesson} analysis={whole} run={run} now={run.now} />
        </div>
      )}
      <KeepTime lesson={mine.lesson} planned={mine.track.plan} run={run} now={run.now} />
      <TeachBar
        run={run}
        now={run.now}
        about={mine.place && PLACE_WORDS[mine.place]}
        isForAll={run.now.next !== undefined && !mine.track.places.has(run.now.next.itemId)}
      />
    </main>
  );
}

/** The group at the machines stands on the left, whoever that is by now. */
function machinesFirst(one: GroupRun, other: GroupRun): number {
  return Number(one.place === 'mat') - Number(other.place === 'mat');
}

const namesOf = ({ lesson }: GroupRun) =>
  lesson.attendees.map(({ person }) => person.name.split(' ')[0] ?? person.name);

/** Before it begins: who goes where first. */
function WhereTo({ groups }: { groups: readonly GroupRun[] }) {
  return (
    <section aria-label="Who begins where">
      <h2 className="text-xl">Who begins where</h2>
      {groups.map((group) => (
        <p key={group.start}>
          <span className="font-semibold">{capital(PLACE_WORDS[group.start])}: </span>
          {listWords(namesOf(group)) || 'nobody yet'}
        </p>
      ))}
    </section>
  );
}

/** While all are together and go to places of their own next: who goes where, and what is done there. */
function Places({ groups }: { groups: readonly GroupRun[] }) {
  const going = groups.flatMap((group) => {
    const next = group.run.now?.next;
    const place = next && group.track.places.get(next.itemId);
    return next && place ? [{ group, next, place }] : [];
  });
  if (going.length === 0) return null;
  return (
    <div className="grid gap-4 text-xl max-sm:text-lg sm:grid-cols-2">
      {going
        .toSorted((a, b) => Number(a.place === 'mat') - Number(b.place === 'mat'))
        .map(({ group, next, place }) => (
          <section key={group.start} className={clsx('rounded-2xl border border-line bg-leaf p-4')}>
            <h2 className="font-text text-base font-normal text-soft">Then {PLACE_WORDS[place]}</h2>
            <p className="font-semibold">{listWords(namesOf(group))}</p>
            <p className="text-soft">{next.name}</p>
          </section>
        ))}
    </div>
  );
}
