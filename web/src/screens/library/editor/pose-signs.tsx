import { Check, TriangleAlert } from 'lucide-react';
import { namePart, type PoseFault } from '@wrenfern/core/body/check-pose';
import type { Contact } from '@wrenfern/core/body/contacts';

/** What a body could not do, and what carries it. */
export function PoseSigns({
  faults,
  contacts,
}: {
  faults: readonly PoseFault[];
  contacts: readonly Contact[];
}) {
  const carried = [...new Set(contacts.map(({ part, side }) => namePart(part, side)))];
  return (
    <div className="mt-2 flex flex-col gap-1" aria-live="polite">
      <p>
        <span className="font-semibold">Carried by:</span>{' '}
        {carried.length > 0 ? carried.join(', ') : 'nothing'}
      </p>
      {faults.length === 0 ? (
        <p className="flex items-center gap-1.5 text-fern">
          <Check size={16} aria-hidden /> Within what a body can do.
        </p>
      ) : (
        <ul className="flex flex-col gap-0.5 text-copper">
          {faults.map(({ sentence }) => (
            <li key={sentence} className="flex gap-1.5">
              <TriangleAlert size={16} aria-hidden className="mt-0.5 shrink-0" /> {sentence}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
