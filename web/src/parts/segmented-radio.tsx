import { clsx } from 'clsx';
import { useId } from 'react';

interface SegmentedRadioProps<T extends string> {
  label: string;
  /** For screen readers only. */
  labelHidden?: boolean;
  choices: readonly { value: T; name: string }[];
  value: T;
  disabled?: boolean;
  onChange: (value: T) => void;
}

/** One of a few, all of them in sight. */
export function SegmentedRadio<T extends string>({
  label,
  labelHidden = false,
  choices,
  value,
  disabled = false,
  onChange,
}: SegmentedRadioProps<T>) {
  const name = useId();
  return (
    <fieldset disabled={disabled}>
      <legend className={labelHidden ? 'sr-only' : 'mb-1 font-semibold'}>{label}</legend>
      <div className="flex flex-wrap rounded-xl border border-line-strong/60 bg-leaf p-1">
        {choices.map((choice) => (
          <label
            key={choice.value}
            className={clsx(
              'grid min-h-9 flex-1 cursor-pointer place-items-center rounded-lg px-3 whitespace-nowrap has-focus-visible:outline-2 has-focus-visible:outline-fern',
              choice.value === value ? 'bg-mist font-semibold text-fern' : 'hover:bg-mist/60',
            )}
          >
            <input
              type="radio"
              name={name}
              className="sr-only"
              checked={choice.value === value}
              onChange={() => onChange(choice.value)}
            />
            {choice.name}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
