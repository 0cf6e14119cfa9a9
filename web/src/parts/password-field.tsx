import type { UseFormRegisterReturn } from 'react-hook-form';
import { TextField } from './field.tsx';

/** The reader's own password, asked again before something that matters. */
export function PasswordField({
  label = 'Your password',
  error,
  field,
}: {
  label?: string;
  error: string | undefined;
  field: UseFormRegisterReturn;
}) {
  return (
    <TextField
      label={label}
      type="password"
      autoComplete="current-password"
      error={error}
      {...field}
    />
  );
}
