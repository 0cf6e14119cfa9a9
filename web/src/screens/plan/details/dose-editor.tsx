import { USED_COUNTS, USED_SECONDS, type Dose, type DoseKind } from '@wrenfern/core/movement/dose';
import { usualRange, type Exercise, type Option } from '@wrenfern/core/movement/exercise';
import type { Sides } from '@wrenfern/core/movement/vocabulary';
import { Select } from '../../../parts/select.tsx';
import { Stepper } from '../../../parts/stepper.tsx';
import { WorkAndChange } from '../../../parts/work-and-change.tsx';
import { PhasesEditor } from './phases-editor.tsx';

const KINDS: { value: DoseKind; name: string }[] = [
  { value: 'repetitions', name: 'repetitions' },
  { value: 'breaths', name: 'breaths' },
  { value: 'hold', name: 'hold' },
  { value: 'timed', name: 'timed set' },
  { value: 'free', name: 'free time' },
];

const SIDES: { value: Sides; name: string }[] = [
  { value: 'none', name: 'no sides' },
  { value: 'each', name: 'one side, then the other' },
  { value: 'alternating', name: 'alternating' },
  { value: 'left', name: 'left only' },
  { value: 'right', name: 'right only' },
];

/** The dose of one item; sides share one dose, so they stay equal where nobody says otherwise. */
export function DoseEditor({
  dose,
  exercise,
  option,
  onChange,
}: {
  dose: Dose;
  exercise: Exercise;
  /** The one that is shown. */
  option: Option;
  onChange: (dose: Dose) => void;
}) {
  const { least, most } = usualRange(exercise, option);
  return (
    <div className="flex flex-col gap-2">
      <Select
        label="Dose"
        value={dose.kind}
        choices={KINDS}
        onChange={(kind) => onChange(changeKind(dose, kind))}
      />
      <Select
        label="Sides"
        value={dose.sides}
        choices={SIDES}
        onChange={(sides) => onChange({ ...dose, sides })}
      />
      <div className="grid grid-cols-2 gap-2">
        <Amount dose={dose} onChange={onChange} />
        <Stepper
          label="sets"
          value={dose.sets}
          min={1}
          max={10}
          onChange={(sets) => onChange({ ...dose, sets })}
        />
      </div>
      {dose.kind === 'timed' || dose.kind === 'free' ? null : (
        <PhasesEditor dose={dose} onChange={onChange} />
      )}
      {dose.kind === exercise.dose.kind ? (
        <p className="text-[0.8125rem] text-soft">
          Usual: {least} to {most}
          {dose.kind === 'hold' || dose.kind === 'free' ? ' s' : ''}. Common practice.
        </p>
      ) : null}
    </div>
  );
}

function Amount({ dose, onChange }: { dose: Dose; onChange: (dose: Dose) => void }) {
  switch (dose.kind) {
    case 'repetitions':
    case 'breaths':
      return (
        <Stepper
          label={dose.kind === 'breaths' ? 'breaths' : 'times'}
          value={dose.count}
          min={1}
          max={200}
          through={USED_COUNTS}
          onChange={(count) => onChange({ ...dose, count })}
        />
      );
    case 'hold':
      return <Holds dose={dose} onChange={onChange} />;
    case 'timed':
      return (
        <>
          <WorkAndChange dose={dose} onChange={(part) => onChange({ ...dose, ...part })} />
          <Stepper
            label="rounds"
            value={dose.rounds}
            min={1}
            max={20}
            onChange={(rounds) => onChange({ ...dose, rounds })}
          />
        </>
      );
    case 'free':
      return (
        <Stepper
          label="lasts"
          unit="s"
          value={dose.durationS}
          min={5}
          max={1800}
          step={15}
          onChange={(durationS) => onChange({ ...dose, durationS })}
        />
      );
  }
}

function Holds({
  dose,
  onChange,
}: {
  dose: Extract<Dose, { kind: 'hold' }>;
  onChange: (dose: Dose) => void;
}) {
  return (
    <>
      <Stepper
        label="hold"
        unit="s"
        value={dose.holdS}
        min={1}
        max={600}
        through={USED_SECONDS}
        onChange={(holdS) => onChange({ ...dose, holdS })}
      />
      <Stepper
        label="holds"
        value={dose.count}
        min={1}
        max={20}
        onChange={(count) => onChange({ ...dose, count })}
      />
    </>
  );
}

function changeKind({ sets, sides, directions }: Dose, kind: DoseKind): Dose {
  const shared = { sets, sides, directions };
  switch (kind) {
    case 'repetitions':
      return { kind, count: 6, ...shared };
    case 'breaths':
      return { kind, count: 6, ...shared };
    case 'hold':
      return { kind, holdS: 30, count: 1, ...shared };
    case 'timed':
      return { kind, onS: 45, offS: 15, rounds: 1, ...shared };
    case 'free':
      return { kind, durationS: 60, ...shared };
  }
}
