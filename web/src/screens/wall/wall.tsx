import { clsx } from 'clsx';
import { useEffect, useState } from 'react';
import { useParams } from 'react-router';
import { capital, listWords, PLACE_WORDS } from '@wrenfern/core/movement/words';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { WallTold } from '@wrenfern/contract/wall';
import { useDarkRoom } from '../../parts/dark-room.ts';
import { Figure } from '../../parts/figure.tsx';
import { useStayAwake } from '../../parts/stay-awake.ts';
import { useWall } from './use-wall.ts';

type Now = NonNullable<WallTold['now']>;

/** For the people in the room: what is done, in which ways, and how long still. Nobody’s name, no condition. */
export function Component() {
  const { token = '' } = useParams();
  const { told, toldAtMs, line } = useWall(token);
  useStayAwake(told?.status === 'running');
  useDarkRoom();
  return (
    <main className="flex h-dvh flex-col overflow-hidden bg-paper text-ink">
      {line === 'lost' || line === 'closed' ? <Line line={line} /> : null}
      {line === 'closed' || !told ? (
        line === 'closed' ? null : (
          <Middle title="One moment" words="Looking for the class …" />
        )
      ) : (
        <Told told={told} toldAtMs={toldAtMs} />
      )}
    </main>
  );
}

function Line({ line }: { line: 'lost' | 'closed' }) {
  return line === 'closed' ? (
    <Middle
      title="Nothing to see here"
      words="This address shows no class now: it was taken back, or it is not the day of its class."
    />
  ) : (
    <p role="alert" className="bg-copper-soft px-6 py-3 text-center text-2xl text-copper">
      The line to the class is lost: listen to your teacher. It goes on by itself.
    </p>
  );
}

function Middle({ title, words }: { title: string; words: string }) {
  return (
    <div className="grid flex-1 place-content-center gap-4 p-8 text-center">
      <h1 className="title text-6xl max-sm:text-4xl">{title}</h1>
      <p className="text-3xl text-soft max-sm:text-xl">{words}</p>
    </div>
  );
}

function Told({ told, toldAtMs }: { told: WallTold; toldAtMs: number }) {
  const { title, status, fetch, now, next } = told;
  if (status === 'ready') {
    const words =
      fetch.length === 0
        ? 'It begins in a moment. You need your mat and nothing else.'
        : `It begins in a moment. Please fetch: ${listWords(fetch)}.`;
    return <Middle title={title} words={words} />;
  }
  if (status === 'ended' || !now) return <Middle title={title} words="That was the class." />;
  if (told.at && told.beside) return <Both told={told} toldAtMs={toldAtMs} />;
  return (
    <>
      <section aria-label="Now" className="flex min-h-0 flex-1 flex-col gap-4 p-8 max-sm:p-4">
        <Head now={now} isPaused={status === 'paused'} toldAtMs={toldAtMs} />
        <Versions now={now} />
        {now.breath.length > 0 && now.part === 'work' ? (
          <p className="text-center text-3xl text-soft max-sm:text-lg">{now.breath.join(' · ')}</p>
        ) : null}
      </section>
      <Next next={next} />
    </>
  );
}

function Next({ next }: Pick<WallTold, 'next'>) {
  return (
    <footer className="flex flex-wrap items-baseline justify-between gap-x-8 gap-y-1 border-t border-line px-8 py-4 text-3xl max-sm:px-4 max-sm:text-lg">
      <p>
        <span className="text-soft">next </span>
        {next ? next.name : 'the end'}
      </p>
      {next && next.fetch.length > 0 ? (
        <p className="font-semibold text-copper">with: {listWords(next.fetch)}</p>
      ) : null}
    </footer>
  );
}

/** Two groups at two places, by one clock. */
function Both({ told, toldAtMs }: { told: WallTold; toldAtMs: number }) {
  const sides = told.beside ? [told, told.beside] : [told];
  const inTurn = sides.toSorted((a, b) => Number(a.at === 'mat') - Number(b.at === 'mat'));
  return (
    <div className="grid min-h-0 flex-1 grid-cols-2 divide-x divide-line max-sm:grid-cols-1 max-sm:divide-x-0 max-sm:divide-y">
      {inTurn.map(({ at, status, now, next }) =>
        now && at ? (
          <div key={at} className="flex min-h-0 min-w-0 flex-col">
            <section
              aria-label={capital(PLACE_WORDS[at])}
              className="flex min-h-0 flex-1 flex-col gap-3 p-6 max-sm:p-4"
            >
              <p className="text-3xl text-fern max-sm:text-lg">{capital(PLACE_WORDS[at])}</p>
              <Head now={now} isPaused={status === 'paused'} toldAtMs={toldAtMs} isHalf />
              <Versions now={now} />
            </section>
            <Next next={next} />
          </div>
        ) : null,
      )}
    </div>
  );
}

const PART_WORDS: Record<Now['part'], string> = {
  'set-up': 'get into place',
  teaching: 'watch and listen',
  work: '',
  'side-change': 'other side',
  'set-rest': 'a moment',
  rest: 'rest',
  pause: 'a pause',
};

interface HeadProps {
  now: Now;
  isPaused: boolean;
  toldAtMs: number;
  /** Beside another: smaller. */
  isHalf?: boolean;
}

function Head({ now, isPaused, toldAtMs, isHalf = false }: HeadProps) {
  const sinceS = useSince(toldAtMs, !isPaused);
  const left = now.itemLeftS - sinceS;
  const count = now.count && {
    of: now.count.of,
    now: Math.min(
      now.count.of,
      now.count.now + Math.floor(sinceS / Math.max(0.5, now.count.eachS)),
    ),
  };
  const side = now.side === 'alternating' ? 'side to side' : now.side && `${now.side} side`;
  return (
    <div className="flex items-start justify-between gap-8">
      <div className="min-w-0">
        <h1
          className={clsx(
            'title leading-tight max-sm:text-3xl',
            isHalf ? 'text-5xl max-lg:text-3xl' : 'text-7xl max-lg:text-5xl',
          )}
        >
          {now.name}
        </h1>
        <p className="mt-1 text-3xl text-soft max-sm:text-lg">
          {[now.dose, side].filter(Boolean).join(' · ')}
        </p>
      </div>
      <div className="shrink-0 text-right">
        <p
          className={clsx(
            'title leading-none tabular-nums max-sm:text-4xl',
            isHalf ? 'text-6xl max-lg:text-4xl' : 'text-8xl max-lg:text-6xl',
          )}
        >
          {left >= 0 ? showClock(left) : showClock(0)}
        </p>
        <p className="mt-1 text-3xl text-fern max-sm:text-lg">
          {isPaused ? 'paused' : count ? `${count.now} of ${count.of}` : PART_WORDS[now.part]}
        </p>
      </div>
    </div>
  );
}

/** Whole seconds since something was told, while the class runs. */
function useSince(atMs: number, isRunning: boolean): number {
  const [nowMs, setNowMs] = useState(() => Date.now());
  useEffect(() => {
    const tick = setInterval(() => setNowMs(Date.now()), 250);
    return () => clearInterval(tick);
  }, []);
  return isRunning ? Math.max(0, (nowMs - atMs) / 1000) : 0;
}

/** More than so many side by side can't be told apart from the back of the room. */
const MOST_SHOWN = 4;

function Versions({ now }: { now: Now }) {
  const shown = now.versions.slice(0, MOST_SHOWN);
  return (
    <ul
      className={clsx(
        'grid min-h-0 flex-1 items-center gap-6',
        shown.length === 1 ? 'grid-cols-1' : 'grid-cols-2 max-sm:grid-cols-1',
        shown.length === 3 && 'lg:grid-cols-3',
      )}
    >
      {shown.map(({ words, drawn }) => (
        <li key={words} className="flex min-h-0 flex-col items-center gap-2">
          {drawn ? (
            <Figure
              of={drawn.option}
              view={drawn.view}
              mirrored={now.side === 'left'}
              width={640}
              height={340}
              className="h-auto max-h-[44dvh] w-full max-sm:max-h-[18dvh]"
            />
          ) : null}
          <p className="text-center text-3xl max-sm:text-lg">{words}</p>
        </li>
      ))}
    </ul>
  );
}
