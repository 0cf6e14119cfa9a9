import { clsx } from 'clsx';
import { Bell, BellOff, CloudOff, Maximize, X } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { Timeline } from '@wrenfern/core/plan/timing/timeline';
import type { WholeClass } from '@wrenfern/contract/classes';
import { Button } from '../../parts/button.tsx';
import { Sheet } from '../../parts/dialog.tsx';
import { saveFile } from '../../parts/save-file.ts';
import { useChime } from './use-chime.ts';
import { WallDoorButton } from './wall-door.tsx';
import type { Run } from './use-run.ts';

/** Behind or ahead by less than this is on time. */
const ON_TIME_S = 20;

/** How far the class is, and its pace against the plan. */
export function TeachTop({
  lesson,
  timeline,
  run,
}: {
  lesson: WholeClass;
  timeline: Timeline;
  run: Run;
}) {
  const { now, state } = run;
  const chime = useChime(now);
  if (!now) return null;
  const reached = now.item.startS + Math.min(now.itemElapsedS, now.item.durationS);
  return (
    <header className="flex shrink-0 items-center gap-4 border-b border-line px-4 py-3 max-sm:gap-2">
      <p className="title min-w-20 text-3xl max-sm:min-w-0 max-sm:text-2xl">
        <span className="sr-only">Class time </span>
        {showClock(now.classElapsedS)}
      </p>
      <Progress timeline={timeline} reachedS={reached} />
      {state.status === 'paused' ? (
        <p className="rounded-xl bg-slate-soft px-3 py-1.5 text-lg font-semibold text-slate">
          Paused
        </p>
      ) : null}
      <Pace behindS={now.behindS} endsAtS={now.endsAtS} targetS={timeline.targetS} />
      <DeliveryState run={run} />
      <p className="max-w-48 truncate text-soft max-md:hidden">{lesson.title}</p>
      <button
        type="button"
        aria-pressed={chime.isOn}
        aria-label="A soft tone when a hold or a timed set is over"
        title="A soft tone when a hold or a timed set is over"
        onClick={chime.toggle}
        className="grid size-11 shrink-0 place-items-center rounded-lg hover:bg-mist"
      >
        {chime.isOn ? <Bell size={20} aria-hidden /> : <BellOff size={20} aria-hidden />}
      </button>
      <WallDoorButton classId={lesson.id} />
      {document.fullscreenEnabled ? (
        <button
          type="button"
          aria-label="Fill the screen, or leave it again"
          onClick={toggleFullScreen}
          className="grid size-11 shrink-0 place-items-center rounded-lg hover:bg-mist max-sm:hidden"
        >
          <Maximize size={20} aria-hidden />
        </button>
      ) : null}
      <Link
        to={`/classes/${lesson.id}/plan`}
        aria-label="Leave the class screen; the class goes on"
        className="grid size-11 shrink-0 place-items-center rounded-lg hover:bg-mist max-sm:ml-auto"
      >
        <X aria-hidden />
      </Link>
    </header>
  );
}

/** The parts of the class, each as long as it lasts, filled as far as it is done. */
function Progress({ timeline, reachedS }: { timeline: Timeline; reachedS: number }) {
  return (
    <div className="flex h-3 flex-1 gap-1 max-sm:hidden" aria-hidden>
      {timeline.segments.map((segment) => {
        const done = Math.min(
          1,
          Math.max(0, (reachedS - segment.startS) / Math.max(1, segment.durationS)),
        );
        return (
          <div
            key={segment.segmentId}
            className="h-full overflow-hidden rounded-full bg-mist"
            style={{ flexGrow: Math.max(1, segment.durationS) }}
          >
            <div className="h-full bg-fern" style={{ width: `${done * 100}%` }} />
          </div>
        );
      })}
    </div>
  );
}

function toggleFullScreen(): void {
  if (document.fullscreenElement) void document.exitFullscreen();
  else void document.documentElement.requestFullscreen();
}

function Pace({
  behindS,
  endsAtS,
  targetS,
}: {
  behindS: number;
  endsAtS: number;
  targetS: number;
}) {
  const word =
    behindS > ON_TIME_S
      ? `${showClock(behindS)} behind`
      : behindS < -ON_TIME_S
        ? `${showClock(-behindS)} ahead`
        : 'on plan';
  const lateS = endsAtS - targetS;
  return (
    <p
      className={clsx(
        'rounded-xl px-3 py-1.5 text-lg font-semibold max-sm:px-2 max-sm:text-base',
        behindS > ON_TIME_S ? 'bg-copper-soft text-copper' : 'bg-mist text-fern',
      )}
      title={`The class would end at ${showClock(endsAtS)} of ${showClock(targetS)}`}
    >
      {word}
      <span className="max-md:hidden">
        {' '}
        · ends at {showClock(endsAtS)}
        {lateS > 60 ? `, ${showClock(lateS)} over` : ''}
      </span>
    </p>
  );
}

/** What has not reached the server, and what never will. */
function DeliveryState({ run }: { run: Run }) {
  const { delivery, setAside, unread } = run;
  return (
    <>
      {delivery === 'delivered' ? null : (
        <p role="status" className="flex items-center gap-1.5 text-copper">
          <CloudOff size={18} aria-hidden />
          <span className="max-sm:sr-only">
            {delivery === 'away'
              ? 'kept here, not sent yet'
              : 'kept here: sign in again to send it'}
          </span>
        </p>
      )}
      {setAside.length + unread > 0 ? <SetAside run={run} /> : null}
    </>
  );
}

function SetAside({ run: { setAside, unread, forgetSetAside } }: { run: Run }) {
  const [open, setOpen] = useState(false);
  return (
    <Sheet
      title="Set aside"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Button look="warn" className="shrink-0 whitespace-nowrap">
          {setAside.length + unread} set aside
        </Button>
      }
    >
      {setAside.length > 0 ? (
        <>
          <p className="mb-3">
            {setAside.length === 1 ? 'One press' : `${setAside.length} presses`} could not go into
            the log. Nothing else waits for them. Save them as a file if they matter.
          </p>
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => saveFile('set-aside.json', JSON.stringify(setAside, null, 2))}>
              Save as a file
            </Button>
            <Button
              look="warn"
              onClick={() => {
                forgetSetAside();
                setOpen(false);
              }}
            >
              Forget them
            </Button>
          </div>
        </>
      ) : null}
      {unread > 0 ? (
        <p className="mt-3">
          {unread} of the class’s events were written by another version and are left out here.
        </p>
      ) : null}
    </Sheet>
  );
}
