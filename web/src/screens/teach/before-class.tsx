import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Analysis } from '@wrenfern/core';
import { PROP_WORDS } from '@wrenfern/core/movement/words';
import { gearWords } from '@wrenfern/core/room/gear-words';
import type { WholeClass } from '@wrenfern/contract/classes';
import { Button, buttonClass } from '../../parts/button.tsx';
import { minutes } from '../../parts/dates.ts';
import type { Begin } from './use-begin.ts';
import { WhoComes } from './who-comes.tsx';

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

function LayOut({ lesson, analysis }: { lesson: WholeClass; analysis: Analysis }) {
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

interface BeforeProps {
  lesson: WholeClass;
  analysis: Analysis;
  starting: Begin;
  /** What is particular to this class, beside who comes. */
  children?: ReactNode;
}

/** What is laid out and who comes, until the class is started. */
export function BeforeClass({
  lesson,
  analysis,
  starting: { isFar, mayMove, isBusy, begin },
  children,
}: BeforeProps) {
  return (
    <main className="mx-auto flex min-h-dvh max-w-2xl flex-col justify-center gap-5 p-6 text-lg">
      <h1 className="text-4xl">{lesson.title}</h1>
      <p className="text-soft">
        {analysis.timeline.items.length} items, {minutes(analysis.timeline.totalS)} planned of{' '}
        {minutes(lesson.plan.targetS)}, {lesson.attendees.length} coming.
      </p>
      <LayOut lesson={lesson} analysis={analysis} />
      {children}
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
