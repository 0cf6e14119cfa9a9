import { Copy } from 'lucide-react';
import type { ReactNode } from 'react';
import { Button } from './button.tsx';
import { copyText } from './copy-text.ts';
import { inputClass } from './field.tsx';

/** An address of this server that is shown once, to be handed on. */
export function AddressToCopy({
  label,
  path,
  children,
}: {
  label: string;
  path: string;
  children: ReactNode;
}) {
  const address = `${location.origin}${path}`;
  return (
    <div className="flex flex-col gap-3">
      <p>{children}</p>
      <div className="flex gap-2">
        <input
          readOnly
          aria-label={label}
          value={address}
          onFocus={(event) => event.target.select()}
          className={inputClass}
        />
        <Button onClick={() => void copyText(address)}>
          <Copy size={16} aria-hidden /> Copy
        </Button>
      </div>
    </div>
  );
}
