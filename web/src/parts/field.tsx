import { clsx } from 'clsx';
import { useId, type InputHTMLAttributes, type ReactNode } from 'react';

export const inputClass =
  'w-full min-h-9 rounded-lg border border-line-strong/70 bg-leaf px-2.5 py-1.5 text-ink placeholder:text-soft';

interface FieldProps {
  label: string;
  hint?: string;
  error?: string | undefined;
  children: (props: {
    id: string;
    'aria-describedby': string | undefined;
    'aria-invalid': boolean;
  }) => ReactNode;
}

/** A label, its control, and the sentence about what is wrong beside it. */
export function Field({ label, hint, error, children }: FieldProps) {
  const id = useId();
  const noteId = `${id}-note`;
  const note = error ?? hint;
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      {children({
        id,
        'aria-describedby': note ? noteId : undefined,
        'aria-invalid': error !== undefined,
      })}
      {note ? (
        <p
          id={noteId}
          className={clsx(
            'text-[0.8125rem] first-letter:uppercase',
            error ? 'text-copper' : 'text-soft',
          )}
        >
          {note}
        </p>
      ) : null}
    </div>
  );
}

export function TextField({
  label,
  hint,
  error,
  ...input
}: InputHTMLAttributes<HTMLInputElement> & {
  label: string;
  hint?: string;
  error?: string | undefined;
}) {
  return (
    <Field label={label} error={error} {...(hint ? { hint } : {})}>
      {(named) => <input {...input} {...named} className={inputClass} />}
    </Field>
  );
}
