import { MonitorPlay } from 'lucide-react';
import { useState } from 'react';
import useSWR from 'swr';
import { WallAddress, WallDoor } from '@wrenfern/contract/wall';
import { request, send, sentenceOf } from '../../data/request.ts';
import { AddressToCopy } from '../../parts/address-to-copy.tsx';
import { Button } from '../../parts/button.tsx';
import { Sheet } from '../../parts/dialog.tsx';
import { FormError } from '../../parts/form-error.tsx';

/** The address at which the room follows the class, on a screen of its own; it can be taken back. */
export function WallDoorButton({ classId }: { classId: string }) {
  const [open, setOpen] = useState(false);
  return (
    <Sheet
      title="On the wall"
      description="A screen for the room: figures, words, breath and time. No names, no conditions."
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button
          type="button"
          aria-label="Show the class on a screen for the room"
          title="Show the class on a screen for the room"
          className="grid size-11 shrink-0 place-items-center rounded-lg hover:bg-mist max-sm:hidden"
        >
          <MonitorPlay size={20} aria-hidden />
        </button>
      }
    >
      {open ? <Door classId={classId} /> : null}
    </Sheet>
  );
}

function Door({ classId }: { classId: string }) {
  const path = `/classes/${classId}/wall`;
  const door = useSWR(path, () => request(WallDoor, 'GET', path));
  const [address, setAddress] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const attempt = async (work: () => Promise<void>) => {
    try {
      setProblem(undefined);
      await work();
      await door.mutate();
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const make = () =>
    attempt(async () => setAddress((await request(WallAddress, 'POST', path)).path));
  const takeBack = () =>
    attempt(async () => {
      await send('DELETE', path);
      setAddress(undefined);
    });
  const since = door.data?.since;
  return (
    <div className="flex flex-col gap-3">
      <FormError message={problem ?? (door.error ? sentenceOf(door.error) : undefined)} />
      {address ? (
        <AddressToCopy label="Address for the room" path={address}>
          Open this on the screen in the room. Whoever has it sees the class on its day; it is shown
          only now.
        </AddressToCopy>
      ) : since ? (
        <p>An address is out. A new one takes that one back.</p>
      ) : null}
      <div className="flex flex-wrap gap-2">
        <Button look="main" onClick={() => void make()}>
          {since ? 'A new address' : 'Make an address'}
        </Button>
        {since ? (
          <Button look="warn" onClick={() => void takeBack()}>
            Take it back
          </Button>
        ) : null}
      </div>
    </div>
  );
}
