import { clsx } from 'clsx';
import type { ButtonHTMLAttributes } from 'react';

type Look = 'main' | 'plain' | 'quiet' | 'warn';

const LOOKS: Record<Look, string> = {
  main: 'bg-fern text-fern-ink border-transparent hover:brightness-110',
  plain: 'bg-leaf text-ink border-line-strong/60 hover:bg-mist',
  quiet: 'bg-transparent text-fern border-transparent hover:bg-mist',
  warn: 'bg-copper-soft text-copper border-copper-line hover:brightness-95',
};

export function buttonClass(look: Look = 'plain', extra?: string): string {
  return clsx(
    'inline-flex min-h-8 items-center justify-center gap-1.5 rounded-lg border px-3 py-1 font-semibold no-underline transition-colors disabled:opacity-45',
    LOOKS[look],
    extra,
  );
}

export function Button({
  look = 'plain',
  className,
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: Look }) {
  return <button type="button" {...rest} className={buttonClass(look, className)} />;
}
