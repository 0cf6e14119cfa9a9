import { format } from 'date-fns';
import type { Learned, LearnedPace as LearnedOfAll } from '@wrenfern/core/log/learn-pace';
import { learnFromClasses, paceOf } from '@wrenfern/core/log/pace-from-classes';
import { TEMPO_WORDS } from '@wrenfern/core/movement/words';
import { STYLE_WORDS } from '@wrenfern/core/plan/class-style';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { Pace } from '@wrenfern/core/plan/timing/pace';
import { TaughtParts } from '@wrenfern/contract/studio';
import { useAnswer } from '../../data/answers.ts';
import { sentenceOf } from '../../data/request.ts';
import { Button } from '../button.tsx';

interface LearnedProps {
  /** Where what was taught is told. */
  from: '/studio/taught' | '/account/taught';
  pace: Pace;
  take: (pace: Pace) => void;
  reset: () => void;
}

/** What taught classes say, beside what is set; nothing changes until it is taken. */
export function LearnedPace({ from, pace, take, reset }: LearnedProps) {
  const taught = useAnswer(TaughtParts, from);
  if (taught.error && !taught.data) {
    return (
      <p role="alert" className="text-copper">
        What the log says of pace can’t be shown: {sentenceOf(taught.error)}
      </p>
    );
  }
  const learned = learnFromClasses(taught.data?.classes ?? []);
  if (!learned) {
    return (
      <p className="text-[0.8125rem] text-soft">
        Once a class is taught with Teach, its log says how your pace differs from the common one.
      </p>
    );
  }
  const { all, byStyle } = learned;
  const next = paceOf(learned);
  const isTaken = Object.entries(next).every(
    ([field, value]) => JSON.stringify(pace[field as keyof Pace]) === JSON.stringify(value),
  );
  const classes = all.classes === 1 ? 'one class' : `${all.classes} classes`;
  return (
    <section aria-label="Learned from taught classes" className="mt-2">
      <h3 className="text-base">Learned from {classes}</h3>
      <ul className="divide-y divide-line border-y border-line">
        <LearnedRow name="words and set-up" learned={all.words} />
        <LearnedRow name="work" learned={all.work} />
        {all.kinds.map(({ kind, learned: of }) => (
          <LearnedRow key={kind} name={TEMPO_WORDS[kind]} learned={of} isKind />
        ))}
        {byStyle.map(({ style, learned: own }) => (
          <li key={style} className="py-1">
            Led {STYLE_WORDS[style]}
            <ul className="pl-3">
              <LearnedRow name="words and set-up, on top of that" learned={own.words} />
              <LearnedRow name="work, on top of that" learned={own.work} />
            </ul>
          </li>
        ))}
      </ul>
      <LeftOut learned={all} />
      {taught.data?.next && !isTaken ? <Next next={taught.data.next} /> : null}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button disabled={isTaken} onClick={() => take(next)}>
          {isTaken ? 'In use' : 'Use it'}
        </Button>
        <Button look="quiet" onClick={reset}>
          Back to the common figures
        </Button>
      </div>
    </section>
  );
}

/** What it would change in the class that comes. */
function Next({
  next: { title, startsAt, nowS, thenS },
}: {
  next: NonNullable<TaughtParts['next']>;
}) {
  const change = thenS - nowS;
  return (
    <p className="mt-2">
      {title} on {format(new Date(startsAt), 'EEEE d MMMM')} would be told as{' '}
      <span className="font-semibold">{showClock(thenS)}</span> in place of {showClock(nowS)}
      {change === 0
        ? ': the same'
        : `, ${showClock(Math.abs(change))} ${change > 0 ? 'longer' : 'shorter'}`}
      .
    </p>
  );
}

interface LearnedRowProps {
  name: string;
  learned: Learned;
  isKind?: boolean;
}

function LearnedRow({ name, learned, isKind = false }: LearnedRowProps) {
  const { factor, seen, weight, count } = learned;
  const percent = (value: number) => `${Math.round(value * 100)} %`;
  return (
    <li className="flex items-baseline justify-between gap-3 py-1">
      <span>
        {name}
        <span className="block text-[0.8125rem] text-soft">
          {percent(seen)} in {count} {isKind ? 'exercises' : count === 1 ? 'class' : 'classes'},
          believed by {percent(weight)}
        </span>
      </span>
      <span className="font-semibold">{percent(factor)}</span>
    </li>
  );
}

/** As many as say what kind of thing was left out. */
const NAMED = 3;

function LeftOut({ learned: { leftOut } }: { learned: LearnedOfAll }) {
  if (leftOut.length === 0) return null;
  const named = leftOut
    .slice(0, NAMED)
    .map(({ name, taughtS }) => `${name}, ${showClock(taughtS)}`);
  const more = leftOut.length > NAMED ? ` and ${leftOut.length - NAMED} more` : '';
  return (
    <p className="mt-1 text-[0.8125rem] text-soft">
      Left out, for it took more than three times its forecast or less than a third:{' '}
      {named.join('; ')}
      {more}.
    </p>
  );
}
