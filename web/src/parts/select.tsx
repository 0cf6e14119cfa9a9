import { useId } from 'react';
import { inputClass } from './field.tsx';

interface SelectProps<T extends string> {
  label: string;
  labelHidden?: boolean;
  value: T;
  choices: readonly { value: T; name: string }[];
  onChange: (value: T) => void;
}

/** The browser's own list: it works with every keyboard, screen reader and thumb. */
export function Select<T extends string>({
  label,
  labelHidden = false,
  value,
  choices,
  onChange,
}: SelectProps<T>) {
  const id = useId();
  return (
    <div className="flex flex-col gap-0.5">
      <label htmlFor={id} className={labelHidden ? 'sr-only' : 'text-[0.8125rem] text-soft'}>
        {label}
      </label>
      <select
        id={id}
        value={value}
        onChange={(event) => {
          const chosen = choices.find((choice) => choice.value === event.target.value);
          if (chosen) onChange(chosen.value);
        }}
        className={inputClass}
      >
        {choices.map((choice) => (
          <option key={choice.value} value={choice.value}>
            {choice.name}
          </option>
        ))}
      </select>
    </div>
  );
}
