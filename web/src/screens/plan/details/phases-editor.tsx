import { Plus, Trash2 } from 'lucide-react';
import {
  describePhase,
  isTwoSided,
  MOST_PHASES,
  USED_COUNTS,
  USED_SECONDS,
  type Dose,
  type Phase,
} from '@wrenfern/core/movement/dose';
import { Button } from '../../../parts/button.tsx';
import { IconButton } from '../../../parts/icon-button.tsx';
import { Select } from '../../../parts/select.tsx';
import { Stepper } from '../../../parts/stepper.tsx';

/** A dose that is counted or held: what may go on without a break. */
type PhasedDose = Extract<Dose, { kind: 'repetitions' | 'breaths' | 'hold' }>;

const NEXT: readonly { name: string; phase: Phase }[] = [
  { name: 'hold', phase: { kind: 'hold', holdS: 10 } },
  { name: 'small ones', phase: { kind: 'small', count: 20 } },
  { name: 'repetitions', phase: { kind: 'repetitions', count: 8 } },
  { name: 'an option lower', phase: { kind: 'repetitions', count: 4, lower: true } },
];

/** What follows the dose without a break, each phase with its amount; and where the sides are not alike. */
export function PhasesEditor({
  dose,
  onChange,
}: {
  dose: PhasedDose;
  onChange: (dose: Dose) => void;
}) {
  const { then = [] } = dose;
  const put = (phases: readonly Phase[]) => {
    const { then: _before, ...bare } = dose;
    onChange(phases.length > 0 ? { ...bare, then: [...phases] } : bare);
  };
  return (
    <div className="flex flex-col gap-2">
      {then.map((phase, at) => (
        <div key={`${at} ${phase.kind}`} className="grid grid-cols-[1fr_auto] items-end gap-2">
          <Stepper
            label={`then ${phase.kind === 'repetitions' && phase.lower ? 'an option lower' : NAMES[phase.kind]}`}
            {...(phase.kind === 'hold' ? { unit: 's' } : {})}
            value={phase.kind === 'hold' ? phase.holdS : phase.count}
            min={1}
            max={phase.kind === 'hold' ? 600 : 200}
            through={phase.kind === 'hold' ? USED_SECONDS : USED_COUNTS}
            onChange={(amount) =>
              put(then.map((each, index) => (index === at ? withAmount(each, amount) : each)))
            }
          />
          <IconButton
            label={`Without: then ${describePhase(phase)}`}
            onClick={() => put(then.filter((_, index) => index !== at))}
          >
            <Trash2 size={15} />
          </IconButton>
        </div>
      ))}
      {then.length < MOST_PHASES ? (
        <div className="flex flex-wrap items-center gap-1.5">
          <span className="text-[0.8125rem] text-soft">Then</span>
          {NEXT.map(({ name, phase }) => (
            <Button key={name} look="quiet" onClick={() => put([...then, phase])}>
              <Plus size={13} aria-hidden /> {name}
            </Button>
          ))}
        </div>
      ) : null}
      {isTwoSided(dose) && dose.sides === 'each' ? (
        <UnevenSides dose={dose} onChange={onChange} />
      ) : null}
    </div>
  );
}

const NAMES = { hold: 'hold', small: 'small ones', repetitions: 'more' } as const;

function withAmount(phase: Phase, amount: number): Phase {
  return phase.kind === 'hold' ? { ...phase, holdS: amount } : { ...phase, count: amount };
}

/** Which side begins, and another count on the left: an uneven dose on purpose. */
function UnevenSides({ dose, onChange }: { dose: PhasedDose; onChange: (dose: Dose) => void }) {
  return (
    <div className="grid grid-cols-2 gap-2">
      <Select
        label="First side"
        value={dose.first ?? 'left'}
        choices={[
          { value: 'left', name: 'left' },
          { value: 'right', name: 'right' },
        ]}
        onChange={(first) => onChange({ ...dose, first })}
      />
      {dose.kind === 'hold' ? null : (
        <Stepper
          label="on the left"
          value={dose.leftCount ?? dose.count}
          min={1}
          max={200}
          through={USED_COUNTS}
          onChange={(leftCount) => {
            const { leftCount: _before, ...bare } = dose;
            onChange(leftCount === dose.count ? bare : { ...dose, leftCount });
          }}
        />
      )}
    </div>
  );
}
