import { clsx } from 'clsx';
import type { ReactNode } from 'react';

/** A filter that is on or off. */
export function ToggleChip({
  on,
  onChange,
  children,
}: {
  on: boolean;
  onChange: (on: boolean) => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={() => onChange(!on)}
      className={clsx(
        'min-h-7 rounded-full border px-3 text-[0.8125rem]',
        on
          ? 'border-fern bg-mist font-semibold text-fern'
          : 'border-line-strong/50 bg-leaf hover:bg-mist',
      )}
    >
      {children}
    </button>
  );
}
