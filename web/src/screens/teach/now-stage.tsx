import { clsx } from 'clsx';
import { useCallback, useEffect, useRef, type ReactNode } from 'react';
import { tempoOf, type Exercise, type Option } from '@wrenfern/core/movement/exercise';
import type { SchoolRules } from '@wrenfern/core/plan/school';
import { schoolWords } from '@wrenfern/core/plan/school-words';
import type { NowView } from '@wrenfern/core/live/run-class';
import { showClock } from '@wrenfern/core/plan/show-time';
import { useCatalogue } from '../../data/catalogue.tsx';
import { MovingFigure } from '../../parts/moving-figure.tsx';
import { PROP_WORDS } from '@wrenfern/core/movement/words';

const PART_NOW = {
  'set-up': 'get into place',
  teaching: 'say it',
  work: 'work',
  'side-change': 'other side',
  'set-rest': 'a moment',
  rest: 'rest',
  pause: 'talk',
} as const;

/** One thing at arm's length: name, count, figure, breath, two words to say, what to watch. */
export function NowStage({
  now,
  school,
  gear,
  pause,
  speed = 1,
  isHalf = false,
}: {
  now: NowView;
  school: SchoolRules;
  /** How the machine is set, on a machine. */
  gear: ReactNode;
  /** What there is to do while nobody exercises. */
  pause: ReactNode;
  /** Seconds of the class in a second: 1 while it is taught, 0 where it stands still. */
  speed?: number;
  /** One of two groups beside each other: smaller, and with fewer words. */
  isHalf?: boolean;
}) {
  const catalogue = useCatalogue();
  const exercise = now.item.exercise ? catalogue.get(now.item.exercise) : undefined;
  // A variant that is being done shows itself, not the first one of its series.
  const option = exercise?.options[(now.part?.variant ?? now.item.option ?? 1) - 1];
  const words = exercise && option ? schoolWords(exercise, option, school) : undefined;
  const shareAt = useShareAt(now, speed);
  return (
    <section
      aria-label="Now"
      className={clsx(
        'flex min-w-0 flex-col',
        isHalf ? 'gap-2' : 'flex-1 gap-4 p-6 max-lg:flex-none max-md:p-4 lg:overflow-y-auto',
      )}
    >
      <Head now={now} option={option} isHalf={isHalf} />
      <div className="flex flex-1 items-center justify-around gap-6 max-lg:flex-none sm:max-lg:flex-col sm:max-lg:gap-3">
        {exercise && option ? (
          <MovingFigure
            option={option}
            held={now.part?.variant === undefined ? now.item.props : undefined}
            view={exercise.view}
            round={tempoOf(exercise, option) === 'circle'}
            shareAt={shareAt}
            playing={speed > 0 && now.part?.kind === 'work' && now.part.eachS !== undefined}
            mirrored={now.part?.side === 'left'}
            width={470}
            height={250}
            className={clsx(
              'h-auto w-full max-w-xl min-w-0 max-lg:max-h-[26dvh] max-lg:max-w-[36rem] max-sm:max-w-52',
              isHalf ? 'lg:max-h-[17dvh]' : gear && 'lg:max-h-[30dvh]',
            )}
          />
        ) : null}
        {isHalf ? null : (
          <Ring
            now={now}
            exercise={exercise}
            natural={school.defaults.breath === 'natural' ? words?.breath : undefined}
          />
        )}
      </div>
      {gear}
      {pause}
      {exercise && !isHalf ? <SayAndWatch exercise={exercise} pelvis={words?.pelvis} /> : null}
      {exercise && isHalf ? <p className="text-lg">“{exercise.cues[0]}”</p> : null}
    </section>
  );
}

/** What it is, in which way, with what, and how far the count is. */
interface HeadProps {
  now: NowView;
  option: Option | undefined;
  isHalf: boolean;
}

function Head({ now, option, isHalf }: HeadProps) {
  const held = now.item.props.map((use) => `${PROP_WORDS[use.prop]} ${use.place}`);
  return (
    <div className="flex items-start justify-between gap-4">
      <div className="min-w-0">
        <h1 className={clsx(isHalf ? 'text-3xl' : 'text-5xl max-sm:text-3xl')}>
          {now.item.name}
          {now.item.side ? (
            <span className="ml-3 text-3xl text-soft max-sm:text-xl">{now.item.side}</span>
          ) : null}
        </h1>
        <p className="mt-1 text-xl text-soft max-sm:text-base">
          {[option?.name, ...held].filter(Boolean).join(' · ')}
        </p>
      </div>
      <Count now={now} isHalf={isHalf} />
    </div>
  );
}

interface SayProps {
  exercise: Exercise;
  /** What the school says about the pelvis here. */
  pelvis: string | undefined;
}

/** Two words to say, two faults to watch for: more is not read while teaching. */
function SayAndWatch({ exercise, pelvis }: SayProps) {
  return (
    <div className="grid gap-4 text-xl max-sm:text-lg sm:grid-cols-2">
      <Card title="Say">
        {exercise.cues.slice(0, 2).map((cue) => (
          <p key={cue}>“{cue}”</p>
        ))}
        {pelvis ? <p className="text-lg text-soft">{pelvis}</p> : null}
      </Card>
      <Card title="Watch">
        {exercise.faults.slice(0, 2).map(({ fault, remedy }) => (
          <p key={fault}>
            {fault} → <span className="text-soft">{remedy}</span>
          </p>
        ))}
      </Card>
    </div>
  );
}

/** The share of the repetition at any moment: the class clock, carried on between its ticks. */
function useShareAt(now: NowView, speed: number): (seconds: number) => number {
  const known = useRef({ share: 0, atS: 0, eachS: 1 });
  useEffect(() => {
    const eachS = (now.part?.eachS ?? 1) / Math.max(speed, 0.01);
    known.current = { share: phaseShare(now), atS: performance.now() / 1000, eachS };
  }, [now, speed]);
  return useCallback((seconds) => {
    const { share, atS, eachS } = known.current;
    return (share + Math.max(0, seconds - atS) / eachS) % 1;
  }, []);
}

/** How far the present repetition is, 0 to 1. */
function phaseShare(now: NowView): number {
  const { part, repetition, partElapsedS } = now;
  if (!part?.eachS || part.firstS === undefined || !repetition) return 0;
  const inFirst = partElapsedS < part.firstS;
  const since = inFirst ? partElapsedS : (partElapsedS - part.firstS) % part.eachS;
  return Math.min(0.999, since / (inFirst ? part.firstS : part.eachS));
}

function Count({ now, isHalf }: { now: NowView; isHalf: boolean }) {
  const { part, repetition } = now;
  const side = part?.side === 'left' || part?.side === 'right' ? `${part.side} side` : undefined;
  return (
    <div className="shrink-0 text-right" aria-live="off">
      {repetition && part?.count ? (
        <p className={clsx('title leading-none max-sm:text-6xl', isHalf ? 'text-6xl' : 'text-8xl')}>
          {repetition}
          <span className="font-text text-2xl text-soft max-sm:text-lg"> of {part.count}</span>
        </p>
      ) : (
        <p className="title text-3xl">{PART_NOW[part?.kind ?? 'pause']}</p>
      )}
      {side ? <p className="mt-1 text-2xl font-semibold text-fern">{side}</p> : null}
      {part?.side === 'alternating' ? <p className="mt-1 text-xl text-soft">alternating</p> : null}
      {part?.phase ? <p className="text-xl font-semibold text-fern">{part.phase}</p> : null}
      {part?.set ? <p className="text-xl text-soft">set {part.set}</p> : null}
    </div>
  );
}

const RADIUS = 88;
const ROUND = 2 * Math.PI * RADIUS;

/** Time left of the item round the breath of the moment. */
function Ring({
  now,
  exercise,
  natural,
}: {
  now: NowView;
  exercise: Exercise | undefined;
  /** Said in place of the phases where breath is left natural. */
  natural: string | undefined;
}) {
  const total = Math.max(1, now.itemElapsedS + Math.max(0, now.itemLeftS));
  const share = Math.min(1, now.itemElapsedS / total);
  const over = now.itemLeftS < 0;
  const phases = natural
    ? [{ on: 'free' as const, doing: natural }]
    : (exercise?.breath.phases ?? []);
  const phase =
    now.part?.kind === 'work' ? phases[Math.floor(phaseShare(now) * phases.length)] : undefined;
  return (
    <div className="relative grid size-52 shrink-0 place-items-center max-lg:size-44 max-sm:size-36">
      <svg viewBox="0 0 200 200" className="absolute inset-0" aria-hidden>
        <circle cx={100} cy={100} r={RADIUS} fill="none" stroke="var(--mist)" strokeWidth={12} />
        <circle
          cx={100}
          cy={100}
          r={RADIUS}
          fill="none"
          stroke={over ? 'var(--copper)' : 'var(--fern)'}
          strokeWidth={12}
          strokeLinecap="round"
          strokeDasharray={`${share * ROUND} ${ROUND}`}
          transform="rotate(-90 100 100)"
        />
      </svg>
      <div className="w-36 text-center max-sm:w-24">
        {phase ? (
          <>
            <p className="text-2xl font-bold max-sm:text-xl">
              {phase.on === 'free' ? 'breathe' : phase.on}
            </p>
            <p className="text-base leading-tight text-soft max-sm:text-[0.8125rem]">
              {phase.doing}
            </p>
          </>
        ) : (
          <p className="text-xl text-soft">{PART_NOW[now.part?.kind ?? 'pause']}</p>
        )}
        <p className={over ? 'text-lg font-semibold text-copper' : 'text-lg'}>
          {over ? `${showClock(-now.itemLeftS)} over` : `${showClock(now.itemLeftS)} left`}
        </p>
      </div>
    </div>
  );
}

function Card({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section className="rounded-2xl border border-line bg-leaf p-4">
      <h2 className="font-text text-base font-normal text-soft">{title}</h2>
      {children}
    </section>
  );
}
