import { learnPace, type Learned, type LearnedPace } from '@wrenfern/core/log/learn-pace';
import { TEMPO_WORDS } from '@wrenfern/core/movement/words';
import { showClock } from '@wrenfern/core/plan/show-time';
import { STEADY_PACE, type Pace } from '@wrenfern/core/plan/timing/pace';
import { TaughtParts, type StudioSettings } from '@wrenfern/contract/studio';
import { useAnswer } from '../../data/answers.ts';
import { sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { Select } from '../../parts/select.tsx';
import { Stepper } from '../../parts/stepper.tsx';
import { useStudioChange } from './studio-change.ts';

const TALK = [
  { value: 'quick', name: 'flowing: few words, quick changes' },
  { value: 'steady', name: 'steady' },
  { value: 'unhurried', name: 'stops to explain' },
] as const;

interface PaceProps {
  studio: StudioSettings;
  isOwner: boolean;
}

/** How quick this studio teaches: said by hand, or learned from what was taught. */
export function PacePart({ studio, isOwner }: PaceProps) {
  const change = useStudioChange();
  const { pace } = studio;
  const set = (next: Partial<Pace>) => void change({ pace: { ...pace, ...next } });
  return (
    <section aria-label="Pace">
      <h2 className="text-xl">Pace</h2>
      <p className="mb-3 text-soft">
        Common figures, changed to how you teach. 100 is the common figure.
      </p>
      <fieldset disabled={!isOwner} className="flex flex-col gap-2">
        <Select
          label="Talk"
          value={pace.teaching}
          choices={TALK}
          onChange={(teaching) => set({ teaching })}
        />
        <div className="grid grid-cols-3 gap-2">
          <Percent
            label="set-up"
            factor={pace.setUpFactor}
            onChange={(setUpFactor) => set({ setUpFactor })}
          />
          <Percent
            label="words"
            factor={pace.teachingFactor}
            onChange={(teachingFactor) => set({ teachingFactor })}
          />
          <Percent
            label="work"
            factor={pace.workFactor}
            onChange={(workFactor) => set({ workFactor })}
          />
        </div>
        <FromClasses pace={pace} set={set} />
      </fieldset>
    </section>
  );
}

interface PercentProps {
  label: string;
  factor: number;
  onChange: (factor: number) => void;
}

function Percent({ label, factor, onChange }: PercentProps) {
  return (
    <Stepper
      label={label}
      unit="%"
      value={Math.round(factor * 100)}
      min={30}
      max={300}
      step={5}
      onChange={(percent) => onChange(percent / 100)}
    />
  );
}

/** What taught classes say, beside what is set; nothing changes until it is taken. */
function FromClasses({ pace, set }: { pace: Pace; set: (pace: Partial<Pace>) => void }) {
  const taught = useAnswer(TaughtParts, '/studio/taught');
  if (taught.error && !taught.data) {
    return (
      <p role="alert" className="text-copper">
        What the log says of pace can’t be shown: {sentenceOf(taught.error)}
      </p>
    );
  }
  const learned = learnPace(taught.data?.classes.map(({ parts }) => parts) ?? []);
  if (!learned) {
    return (
      <p className="text-[0.8125rem] text-soft">
        Once a class is taught with Teach, its log says how your pace differs from the common one.
      </p>
    );
  }
  const next = paceOf(learned);
  const isTaken = JSON.stringify({ ...pace, ...next }) === JSON.stringify(pace);
  const classes = learned.classes === 1 ? 'one class' : `${learned.classes} classes`;
  return (
    <section aria-label="Learned from taught classes" className="mt-2">
      <h3 className="text-base">Learned from {classes}</h3>
      <ul className="divide-y divide-line border-y border-line">
        <LearnedRow name="words and set-up" learned={learned.words} />
        <LearnedRow name="work" learned={learned.work} />
        {learned.kinds.map(({ kind, learned: of }) => (
          <LearnedRow key={kind} name={TEMPO_WORDS[kind]} learned={of} isKind />
        ))}
      </ul>
      <LeftOut learned={learned} />
      <div className="mt-2 flex flex-wrap gap-2">
        <Button disabled={isTaken} onClick={() => set(next)}>
          {isTaken ? 'In use' : 'Use it'}
        </Button>
        <Button look="quiet" onClick={() => set(STEADY_PACE)}>
          Back to the common figures
        </Button>
      </div>
    </section>
  );
}

/** What was learned, as settings: words and set-up go together. */
function paceOf({ words, work, kinds, classes }: LearnedPace): Partial<Pace> {
  const round = (factor: number) => Math.round(factor * 100) / 100;
  return {
    teaching: 'steady',
    setUpFactor: round(words.factor),
    teachingFactor: round(words.factor),
    workFactor: round(work.factor),
    tempoFactors: Object.fromEntries(
      kinds.map(({ kind, learned }) => [kind, round(learned.factor)]),
    ),
    classes,
  };
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

function LeftOut({ learned: { leftOut } }: { learned: LearnedPace }) {
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
