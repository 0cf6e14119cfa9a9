import { Copy } from 'lucide-react';
import type { ReactNode } from 'react';
import { Button } from '../../parts/button.tsx';
import { copyText } from '../../parts/copy-text.ts';
import { inputClass } from '../../parts/field.tsx';

/** A link that is shown once, to be handed on. */
export function OneTimeLink({ path, children }: { path: string; children: ReactNode }) {
  const address = `${location.origin}${path}`;
  return (
    <div className="flex flex-col gap-3">
      <p>{children}</p>
      <div className="flex gap-2">
        <input
          readOnly
          aria-label="One-time link"
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
