import { useEffect, useState } from 'react';
import { Sheet } from './dialog.tsx';
import { isTyping } from './typing.ts';

export interface KeyHint {
  keys: string;
  does: string;
}

/** What `?` shows: the keys of this screen. */
export function KeysHelp({ keys }: { keys: readonly KeyHint[] }) {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === '?' && !isTyping(event)) setOpen(true);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <Sheet title="Keys" open={open} onOpenChange={setOpen}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
        {keys.map(({ keys: pressed, does }) => (
          <div key={pressed} className="contents">
            <dt>
              <kbd className="rounded border border-line-strong/60 bg-leaf px-1.5 py-0.5 font-semibold">
                {pressed}
              </kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
