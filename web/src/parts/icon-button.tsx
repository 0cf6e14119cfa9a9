import { clsx } from 'clsx';
import type { ReactNode } from 'react';

interface IconButtonProps {
  /** Said to screen readers and shown on hover. */
  label: string;
  disabled?: boolean;
  /** Given where the button is on or off. */
  pressed?: boolean;
  onClick: () => void;
  children: ReactNode;
}

/** A picture to press, with its words. */
export function IconButton({
  label,
  disabled = false,
  pressed,
  onClick,
  children,
}: IconButtonProps) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={disabled}
      aria-pressed={pressed}
      onClick={onClick}
      className={clsx(
        'grid size-9 shrink-0 place-items-center rounded-lg hover:bg-mist disabled:opacity-35',
        pressed && 'bg-mist text-fern ring-1 ring-fern',
      )}
    >
      {children}
    </button>
  );
}
