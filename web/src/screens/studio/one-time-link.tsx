import { Copy } from 'lucide-react';
import type { ReactNode } from 'react';
import { toast } from 'sonner';
import { Button } from '../../parts/button.tsx';
import { inputClass } from '../../parts/field.tsx';

/** A link that is shown once, to be handed on. */
export function OneTimeLink({ path, children }: { path: string; children: ReactNode }) {
  const address = `${location.origin}${path}`;
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(address);
      toast.success('Copied');
    } catch {
      // Without leave to use the clipboard the field is there to copy from.
      toast.error('This browser does not let pages copy. Mark the link and copy it.');
    }
  };
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
        <Button onClick={() => void copy()}>
          <Copy size={16} aria-hidden /> Copy
        </Button>
      </div>
    </div>
  );
}
