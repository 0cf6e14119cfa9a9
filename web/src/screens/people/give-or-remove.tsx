import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import type { Person } from '@wrenfern/core/people/person';
import { useSession } from '../../data/use-session.ts';
import { send, sentenceOf } from '../../data/request.ts';
import { Button, buttonClass } from '../../parts/button.tsx';
import { Sheet } from '../../parts/dialog.tsx';

/** What is kept about somebody, for them to have. */
export function GivePerson({ person }: { person: Person }) {
  const session = useSession();
  if (session.data?.user.role !== 'owner') return null;
  const address = `/api/people/${person.id}/export`;
  return (
    <>
      <a
        className={buttonClass('quiet')}
        href={`${address}?as=page`}
        target="_blank"
        rel="noreferrer"
      >
        All that is kept
      </a>
      <a className={buttonClass('quiet')} href={address} download>
        As a file
      </a>
    </>
  );
}

/** Into the wastebasket, or erased for good when they ask to be forgotten. */
export function RemovePerson({ person }: { person: Person }) {
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  const [open, setOpen] = useState(false);
  const [isSure, setIsSure] = useState(false);
  const isOwner = useSession().data?.user.role === 'owner';
  const remove = async (all: '' | '/everything') => {
    try {
      await send('DELETE', `/people/${person.id}${all}`);
      await mutate('/people');
      await navigate('/people');
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  return (
    <Sheet
      title={`Remove ${person.name}?`}
      open={open}
      onOpenChange={setOpen}
      trigger={<Button>Remove</Button>}
    >
      <p className="mb-4">
        The record goes into the wastebasket with its bookings. It can be taken out again for thirty
        days. Classes that were taught stay.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button look="warn" onClick={() => void remove('')}>
          Into the wastebasket
        </Button>
        <Button onClick={() => setOpen(false)}>Keep</Button>
      </div>
      {isOwner ? (
        <div className="mt-5 border-t border-line pt-4">
          <p className="mb-3">
            When {person.name} asks to be forgotten: everything goes for good, and the name goes
            from notes of classes as well. Nothing brings it back.
          </p>
          <label className="mb-3 flex min-h-7 items-center gap-2">
            <input
              type="checkbox"
              checked={isSure}
              onChange={(event) => setIsSure(event.target.checked)}
              className="size-4 accent-(--fern)"
            />
            I have given {person.name} what they asked for.
          </label>
          <Button look="warn" disabled={!isSure} onClick={() => void remove('/everything')}>
            Erase for good
          </Button>
        </div>
      ) : null}
    </Sheet>
  );
}
