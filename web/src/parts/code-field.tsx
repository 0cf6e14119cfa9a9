import type { InputHTMLAttributes } from 'react';
import { TextField } from './field.tsx';

/** Six digits from an authenticator. */
export function CodeField(
  props: InputHTMLAttributes<HTMLInputElement> & { label: string; error?: string | undefined },
) {
  return <TextField inputMode="numeric" autoComplete="one-time-code" maxLength={6} {...props} />;
}
