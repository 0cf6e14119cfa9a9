import { useState } from 'react';
import { Button } from '../../../parts/button.tsx';
import { saveFile } from '../../../parts/save-file.ts';
import { keepUnsaved } from './unsaved-plan.ts';

/** Edits of an earlier visit that this version can't read: nobody loses them without being asked. */
export function UnreadableCopy({ classId, text }: { classId: string; text: string }) {
  const [isOpen, setIsOpen] = useState(true);
  if (!isOpen) return null;
  return (
    <div
      role="alert"
      className="fixed inset-x-4 bottom-4 z-40 mx-auto max-w-xl rounded-2xl border border-copper-line bg-copper-soft p-4"
    >
      <p className="mb-3">
        This device keeps edits of this class that this version can’t read. The next edit takes
        their place, so save them first if they matter.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => saveFile('unsaved-plan.json', text)}>Save them as a file</Button>
        <Button
          onClick={() => {
            keepUnsaved(classId, undefined);
            setIsOpen(false);
          }}
        >
          Forget them
        </Button>
        <Button look="quiet" onClick={() => setIsOpen(false)}>
          Later
        </Button>
      </div>
    </div>
  );
}
