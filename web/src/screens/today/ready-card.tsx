import { clsx } from 'clsx';
import { Check, CircleAlert } from 'lucide-react';
import { Link } from 'react-router';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { ReadyClass } from '@wrenfern/contract/class-cards';
import { useSession } from '../../data/use-session.ts';
import { buttonClass } from '../../parts/button.tsx';
import { minutes, showDistance, showWhen } from '../../parts/dates.ts';
import { Rose } from '../../parts/rose.tsx';
import { Ridge } from '../../parts/ridge.tsx';

const SIDES = [
  { key: 'time', good: 'Fits the time', wanting: 'Time' },
  { key: 'options', good: 'Everyone has an option', wanting: 'Options' },
  { key: 'props', good: 'Props suffice', wanting: 'Props' },
  { key: 'order', good: 'Order is sound', wanting: 'Order' },
] as const;

const NOT_READY = {
  ready: '',
  outline: '',
  late: 'Not worked out in time. Open the plan: it says what is left to settle.',
  unreadable: 'This class was written by another version and can’t be read. It is kept as it is.',
} as const;

/** One class ahead: who, how long, and what is left to settle. */
export function ReadyCard({
  lesson,
  zone,
  large,
}: {
  lesson: ReadyClass;
  zone: string;
  large: boolean;
}) {
  const { ready } = lesson;
  const isReader = useSession().data?.user.role === 'reader';
  const isEmpty = ready?.items === 0;
  const told = ready ? toldOf(ready.toSettle) : NOTHING_TOLD;
  return (
    <article
      className={clsx(
        'flex h-full flex-col gap-4 rounded-2xl border border-line bg-leaf p-5',
        large && 'lg:grid lg:grid-cols-[1.2fr_1fr] lg:gap-8 lg:p-6',
      )}
    >
      <div className="flex flex-col gap-3">
        <Heading lesson={lesson} zone={zone} large={large} isReader={isReader} />
        {!ready ? (
          <p>{NOT_READY[lesson.state]}</p>
        ) : isEmpty ? (
          <p>The plan is empty. Open it and add the first exercise.</p>
        ) : (
          <Figures lesson={lesson} ready={ready} large={large} />
        )}
        <Ways lesson={lesson} isReader={isReader} />
      </div>
      {!ready || isEmpty ? null : (
        <ul className="flex flex-col gap-1.5 self-start">
          {SIDES.map(({ key, good, wanting }) => (
            <Readiness
              key={key}
              good={good}
              wanting={wanting}
              sentences={ready.toSettle[key]}
              told={told[key]}
            />
          ))}
        </ul>
      )}
    </article>
  );
}

type ToSettle = NonNullable<ReadyClass['ready']>['toSettle'];
type Side = keyof ToSettle;

/** Of a class, a tired eye reads two sentences; the plan has the rest. People come first, then the clock. */
const MOST_TOLD = 2;
const GRAVEST_FIRST: readonly Side[] = ['options', 'time', 'props', 'order'];
const NOTHING_TOLD: Record<Side, number> = { options: 0, time: 0, props: 0, order: 0 };

/** How many sentences of each side are told: one of each side before a second of any. */
function toldOf(toSettle: ToSettle): Record<Side, number> {
  const told = { ...NOTHING_TOLD };
  let left = MOST_TOLD;
  for (const round of [1, 2]) {
    for (const side of GRAVEST_FIRST) {
      if (left === 0 || toSettle[side].length < round) continue;
      told[side] = round;
      left -= 1;
    }
  }
  return told;
}

interface HeadingProps {
  lesson: ReadyClass;
  zone: string;
  large: boolean;
  isReader: boolean;
}

function Heading({ lesson, zone, large, isReader }: HeadingProps) {
  return (
    <div>
      <p className="text-soft">
        {showWhen(lesson.startsAt, zone)} · {showDistance(lesson.startsAt, new Date())}
      </p>
      <h2 className={large ? 'text-3xl' : 'text-xl'}>
        <Link to={`/classes/${lesson.id}/plan`} className="hover:text-fern">
          {lesson.title}
        </Link>
      </h2>
      <p className="mt-1 text-soft">
        {isReader
          ? null
          : lesson.coming.length === 0
            ? 'Nobody is booked yet'
            : `${lesson.coming.length} coming: ${firstNames(lesson.coming, large ? 14 : 6)}`}
      </p>
    </div>
  );
}

interface FiguresProps {
  lesson: ReadyClass;
  ready: NonNullable<ReadyClass['ready']>;
  large: boolean;
}

/** How long it takes, how its effort goes, and which way it bends. */
function Figures({ lesson, ready, large }: FiguresProps) {
  return (
    <div className="flex items-center gap-5">
      <div>
        <p className="title text-3xl">{showClock(ready.totalS)}</p>
        <p className="text-soft">
          of {minutes(lesson.targetS)} · likely {Math.round(ready.likely.lowS / 60)}–
          {Math.round(ready.likely.highS / 60)}
        </p>
      </div>
      <Ridge items={ready.swell} />
      {large ? <Rose seconds={ready.directions} size={84} /> : null}
    </div>
  );
}

/** Where to go with it from here; who may only read plans is not offered the rest. */
function Ways({ lesson, isReader }: { lesson: ReadyClass; isReader: boolean }) {
  return (
    <div className="mt-auto flex flex-wrap gap-2 pt-1">
      <Link className={buttonClass('main')} to={`/classes/${lesson.id}/plan`}>
        Plan<span className="sr-only"> {lesson.title}</span>
      </Link>
      {isReader ? null : (
        <>
          <Link className={buttonClass()} to={`/classes/${lesson.id}/options`}>
            Options<span className="sr-only"> of {lesson.title}</span>
          </Link>
          <Link className={buttonClass()} to={`/classes/${lesson.id}/teach`}>
            Teach<span className="sr-only"> {lesson.title}</span>
          </Link>
        </>
      )}
      {lesson.taught && !isReader ? (
        <Link className={buttonClass('quiet')} to={`/classes/${lesson.id}/log`}>
          Log<span className="sr-only"> of {lesson.title}</span>
        </Link>
      ) : null}
    </div>
  );
}

function Readiness({
  good,
  wanting,
  sentences,
  told,
}: {
  good: string;
  wanting: string;
  sentences: readonly string[];
  /** How many of them are told here. */
  told: number;
}) {
  if (sentences.length === 0) {
    return (
      <li className="flex items-center gap-2">
        <Check size={16} className="shrink-0 text-fern" aria-hidden /> {good}
      </li>
    );
  }
  const rest = sentences.length - told;
  return (
    <li className="flex gap-2">
      <CircleAlert size={16} className="mt-0.5 shrink-0 text-copper" aria-hidden />
      <div>
        <span className="font-semibold text-copper">{wanting}.</span>
        {sentences.slice(0, told).map((sentence) => ` ${sentence}`)}
        {rest > 0 ? (
          <span className="text-soft">
            {told > 0 ? ` And ${rest} more.` : ` ${rest} in the plan.`}
          </span>
        ) : null}
      </div>
    </li>
  );
}

function firstNames(names: string[], most: number): string {
  const first = names.map((name) => name.split(' ')[0] ?? name);
  const shown = first.slice(0, most).join(', ');
  return first.length > most ? `${shown} and ${first.length - most} more` : shown;
}
