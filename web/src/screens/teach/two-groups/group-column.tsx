import { clsx } from 'clsx';
import { capital, PLACE_WORDS } from '@wrenfern/core/movement/words';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { showClock } from '@wrenfern/core/plan/show-time';
import { Button } from '../../../parts/button.tsx';
import { GearNow } from '../gear-now.tsx';
import { NextCard } from '../next-card.tsx';
import { NowStage } from '../now-stage.tsx';
import { RunningVersions } from '../running-versions.tsx';
import type { GroupRun } from './use-two-runs.ts';

interface ColumnProps {
  group: GroupRun;
  other: GroupRun;
  /** Whether the keys and the bar below are for this one. */
  isMine: boolean;
  onMine: () => void;
}

/** One of two groups: what it does, in which ways, how long still, and its own way on. */
export function GroupColumn({ group, other, isMine, onMine }: ColumnProps) {
  const { run, lesson, place, track } = group;
  const { now, analysis } = run;
  if (!now) return null;
  const where = place ? capital(PLACE_WORDS[place]) : 'Changing over';
  const { next } = now;
  // What all do together begins for both at once: whoever is done first waits.
  const waits = next !== undefined && !track.places.has(next.itemId);
  const isOver = now.itemLeftS < 0;
  return (
    <section
      aria-label={where}
      className={clsx(
        'flex min-h-0 min-w-0 flex-col gap-3 p-4 sm:overflow-y-auto',
        // A phone has room for one; of the other it says what it does and how long still.
        isMine ? 'bg-mist/60 max-sm:flex-1 max-sm:overflow-y-auto' : 'max-sm:shrink-0 max-sm:py-2',
      )}
    >
      <div className="flex items-center gap-3">
        <button
          type="button"
          aria-pressed={isMine}
          onClick={onMine}
          className={clsx(
            'min-h-11 shrink-0 rounded-xl px-3 text-lg font-semibold whitespace-nowrap',
            isMine ? 'bg-fern text-paper' : 'border border-line-strong hover:bg-mist',
          )}
        >
          {where}
        </button>
        {isMine ? null : (
          <p className="min-w-0 truncate font-semibold sm:hidden">{now.item.name}</p>
        )}
        <p className={clsx('shrink-0 text-lg', isOver ? 'font-semibold text-copper' : 'text-soft')}>
          {isOver ? `${showClock(-now.itemLeftS)} over` : `${showClock(now.itemLeftS)} left`}
        </p>
        {next && !waits ? (
          <Button
            look="main"
            className="ml-auto min-h-12 px-5 text-lg"
            onClick={() => run.record({ type: 'goTo', itemId: next.itemId })}
          >
            Next
          </Button>
        ) : (
          <p className="ml-auto text-right text-soft">
            {waits ? `then all together: ${next.name.toLowerCase()}` : ''}
          </p>
        )}
      </div>
      <div className={clsx('flex flex-col gap-3', !isMine && 'max-sm:hidden')}>
        <NowStage
          now={now}
          school={rulesOf(lesson.plan.school)}
          gear={<GearNow lesson={lesson} analysis={analysis} now={now} />}
          pause={
            now.item.kind === 'pause' ? (
              <p className="text-lg text-soft">{waitWords(other)}</p>
            ) : null
          }
          isHalf
        />
        <RunningVersions lesson={lesson} analysis={analysis} run={run} now={now} />
        <NextCard lesson={lesson} analysis={analysis} now={now} stays={false} />
      </div>
    </section>
  );
}

/** For whom a group waits, and about how long. */
function waitWords({ run, track }: GroupRun): string {
  const { now, analysis } = run;
  if (!now) return '';
  const { items } = analysis.timeline;
  const at = items.findIndex(({ itemId }) => itemId === now.item.itemId);
  const rest = items.slice(at + 1);
  const end = rest.findIndex(({ itemId }) => !track.places.has(itemId));
  const before = rest.slice(0, Math.max(0, end));
  const leftS = before.reduce((sum, { durationS }) => sum + durationS, Math.max(0, now.itemLeftS));
  return leftS > 0 ? `The others need about ${showClock(leftS)} more.` : 'The others are done.';
}
