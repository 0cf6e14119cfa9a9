import { Minus, Plus } from 'lucide-react';

interface StepperProps {
  label: string;
  value: number;
  min: number;
  max: number;
  step?: number;
  /** The numbers that people use: the buttons go from one to the next; any other can be typed. */
  through?: readonly number[];
  unit?: string;
  onChange: (value: number) => void;
}

/** A number with a smaller and a larger button; typing works too. */
export function Stepper(props: StepperProps) {
  const { label, value, min, max, step = 1, through = [], unit, onChange } = props;
  const fewer = through.findLast((each) => each < value) ?? value - step;
  const more = through.find((each) => each > value) ?? value + step;
  const set = (next: number) => {
    if (Number.isFinite(next)) onChange(Math.min(max, Math.max(min, Math.round(next))));
  };
  return (
    <div
      role="group"
      aria-label={label}
      className="flex flex-col gap-0.5 rounded-lg border border-line bg-leaf px-2 pt-1 pb-1.5"
    >
      <span className="text-[0.75rem] text-soft" aria-hidden>
        {label}
        {unit ? `, ${unit}` : ''}
      </span>
      <div className="flex items-center justify-between">
        <button
          type="button"
          aria-label={`Less: ${label}`}
          disabled={value <= min}
          onClick={() => set(fewer)}
          className="grid size-6 place-items-center rounded hover:bg-mist disabled:opacity-35"
        >
          <Minus size={14} aria-hidden />
        </button>
        <input
          key={value}
          aria-label={`${label}${unit ? ` in ${unit}` : ''}`}
          inputMode="numeric"
          defaultValue={value}
          onBlur={(event) => {
            const typed = Number(event.target.value);
            if (event.target.value.trim() === '' || !Number.isFinite(typed)) {
              event.target.value = String(value);
            } else if (typed !== value) set(typed);
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur();
          }}
          className="w-10 rounded bg-transparent text-center font-semibold"
        />
        <button
          type="button"
          aria-label={`More: ${label}`}
          disabled={value >= max}
          onClick={() => set(more)}
          className="grid size-6 place-items-center rounded hover:bg-mist disabled:opacity-35"
        >
          <Plus size={14} aria-hidden />
        </button>
      </div>
    </div>
  );
}
