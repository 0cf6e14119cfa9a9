import type { Pace } from '@wrenfern/core/plan/timing/pace';
import { Select } from '../select.tsx';
import { Stepper } from '../stepper.tsx';

const TALK = [
  { value: 'quick', name: 'a few words, and on' },
  { value: 'steady', name: 'as most do' },
  { value: 'unhurried', name: 'I stop and explain' },
] as const;

/** About the quarter points of teachers. Common practice. */
const CHANGES = [
  { factor: 0.75, name: 'quick: everybody is there at once' },
  { factor: 1, name: 'as with most' },
  { factor: 1.3, name: 'slow: people need time' },
] as const;

const COUNTS = [
  { factor: 0.9, name: 'quicker than most' },
  { factor: 1, name: 'as most do' },
  { factor: 1.1, name: 'slower than most' },
] as const;

interface QuestionsProps {
  pace: Pace;
  set: (change: Partial<Pace>) => void;
}

/** Three questions by which a new teacher begins near the truth; whoever knows better sets the figures. */
export function PaceQuestions({ pace, set }: QuestionsProps) {
  return (
    <div className="flex flex-col gap-2">
      <Select
        label="When something begins"
        value={pace.teaching}
        choices={TALK}
        onChange={(teaching) => set({ teaching })}
      />
      <Nearest
        label="Changes between exercises"
        steps={CHANGES}
        factor={pace.setUpFactor}
        onChange={(setUpFactor) => set({ setUpFactor })}
      />
      <Nearest
        label="I count"
        steps={COUNTS}
        factor={pace.workFactor}
        onChange={(workFactor) => set({ workFactor })}
      />
      <details>
        <summary className="cursor-pointer text-[0.8125rem] text-soft">In figures</summary>
        <div className="mt-1 grid grid-cols-3 gap-2">
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
        <p className="mt-1 text-[0.8125rem] text-soft">100 is the common figure.</p>
      </details>
    </div>
  );
}

interface NearestProps {
  label: string;
  steps: readonly { factor: number; name: string }[];
  factor: number;
  onChange: (factor: number) => void;
}

/** A factor in words; one that is between the words is told as it is. */
function Nearest({ label, steps, factor, onChange }: NearestProps) {
  const isNamed = steps.some((step) => step.factor === factor);
  const own = { value: String(factor), name: `${Math.round(factor * 100)} % of the common figure` };
  const choices = steps.map((step) => ({ value: String(step.factor), name: step.name }));
  return (
    <Select
      label={label}
      value={String(factor)}
      choices={isNamed ? choices : [own, ...choices]}
      onChange={(value) => onChange(Number(value))}
    />
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
