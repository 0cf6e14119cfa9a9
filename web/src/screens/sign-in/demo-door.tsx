import { useState } from 'react';
import { Link } from 'react-router';
import { useDoor } from '../../data/use-session.ts';
import { send, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { Failed, Loading } from '../../parts/states.tsx';
import { DoorFrame } from './door-frame.tsx';
import { useEnter } from './enter.ts';
import { FormError } from '../../parts/form-error.tsx';

/** One press into a demo studio of one's own. */
export function Component() {
  const door = useDoor();
  const enter = useEnter();
  const [fault, setFault] = useState<string>();
  const [busy, setBusy] = useState(false);
  if (door.error) return <Failed error={door.error} retry={() => void door.mutate()} />;
  if (!door.data) return <Loading what="the demo’s door" />;
  if (!door.data.demo) {
    return (
      <DoorFrame>
        <h1 className="text-2xl">There is no demo here</h1>
        <p className="my-3">Members come in with their email and password.</p>
        <Link className="font-semibold text-fern underline" to="/sign-in">
          Sign in
        </Link>
      </DoorFrame>
    );
  }
  const comeIn = async () => {
    setBusy(true);
    try {
      const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
      await send('POST', '/demo-session', { timeZone });
      await enter();
    } catch (error) {
      setFault(sentenceOf(error));
      setBusy(false);
    }
  };
  return (
    <DoorFrame>
      <h1 className="text-2xl">Tilework Studio, a demo</h1>
      <p className="my-3 text-base">
        A former tile factory with fourteen mats, one cupboard, and bell-ringers, orchard pickers
        and tram drivers in the same class. All of it is invented, and this one is yours alone: it
        is dated from today, and gone a day after you last used it. Put nobody’s real data in.
      </p>
      <div className="flex flex-col gap-3">
        <FormError message={fault} />
        <Button
          look="main"
          className="min-h-11 w-full"
          disabled={busy}
          onClick={() => void comeIn()}
        >
          {busy ? 'Laying out the mats …' : 'Come in as Rowan, who teaches here'}
        </Button>
      </div>
      <p className="mt-6">
        <Link className="font-semibold text-fern underline" to="/sign-in">
          Sign in to a studio
        </Link>
      </p>
    </DoorFrame>
  );
}
