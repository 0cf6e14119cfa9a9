import { Stepper } from './stepper.tsx';

interface WorkAndChangeProps {
  dose: { onS: number; offS: number };
  onChange: (part: { onS: number } | { offS: number }) => void;
}

/** A dose by the clock: seconds of work, and seconds to change after it. */
export function WorkAndChange({ dose, onChange }: WorkAndChangeProps) {
  return (
    <>
      <Stepper
        label="work"
        unit="s"
        value={dose.onS}
        min={5}
        max={300}
        step={5}
        onChange={(onS) => onChange({ onS })}
      />
      <Stepper
        label="change"
        unit="s"
        value={dose.offS}
        min={0}
        max={120}
        step={5}
        onChange={(offS) => onChange({ offS })}
      />
    </>
  );
}
