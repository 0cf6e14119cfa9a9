import type { ReactNode } from 'react';

interface IconButtonProps {
  /** Said to screen readers and shown on hover. */
  label: string;
  disabled?: boolean;
  onClick: () => void;
  children: ReactNode;
}

/** A picture to press, with its words. */
export function IconButton({ label, disabled = false, onClick, children }: IconButtonProps) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
      className="grid size-9 shrink-0 place-items-center rounded-lg hover:bg-mist disabled:opacity-35"
    >
      {children}
    </button>
  );
}
