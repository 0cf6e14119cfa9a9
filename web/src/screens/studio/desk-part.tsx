import { useState } from 'react';
import { toast } from 'sonner';
import { DeskSecret, type DeskState } from '@wrenfern/contract/studio';
import { useSession } from '../../data/use-session.ts';
import { useDesk } from '../../data/use-studio.ts';
import { request, send, sentenceOf } from '../../data/request.ts';
import { AddressToCopy } from '../../parts/address-to-copy.tsx';
import { Button } from '../../parts/button.tsx';
import { copyText } from '../../parts/copy-text.ts';
import { showWhen } from '../../parts/dates.ts';
import { inputClass } from '../../parts/field.tsx';

const EVENT_WORDS: Record<DeskState['told'][number]['event'], string> = {
  booked: 'booked into',
  cancelled: 'cancelled',
  'late-cancelled': 'cancelled late:',
  'walked-in': 'walked into',
};

/** Another system that tells who comes: its address and secret, and what it told lately. */
export function DeskPart({ isOwner }: { isOwner: boolean }) {
  const desk = useDesk();
  const [secret, setSecret] = useState('');
  if (!desk.data) return null;
  const { isOn, path, told } = desk.data;
  const connect = async () => {
    try {
      setSecret((await request(DeskSecret, 'POST', '/studio/desk')).secret);
    } catch (error) {
      toast.error(sentenceOf(error));
    }
    await desk.mutate();
  };
  const disconnect = async () => {
    try {
      await send('DELETE', '/studio/desk');
      setSecret('');
      toast.success('The desk can tell nothing any more.');
    } catch (error) {
      toast.error(sentenceOf(error));
    }
    await desk.mutate();
  };
  return (
    <section aria-label="Booking desk" className="flex flex-col gap-3">
      <div>
        <h2 className="text-xl">Booking desk</h2>
        <p className="text-soft">
          A booking system can tell who comes, who cancels and who walks in.
          {isOn ? '' : ' None is connected.'}
        </p>
      </div>
      {secret ? <Secret path={path} secret={secret} /> : null}
      {isOwner ? (
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => void connect()}>
            {isOn ? 'Another secret' : 'Connect a desk'}
          </Button>
          {isOn ? (
            <Button look="quiet" onClick={() => void disconnect()}>
              Disconnect it
            </Button>
          ) : null}
        </div>
      ) : null}
      <Told told={told} />
    </section>
  );
}

function Secret({ path, secret }: { path: string; secret: string }) {
  return (
    <div className="flex flex-col gap-3 rounded-xl bg-mist p-3">
      <AddressToCopy label="Address for the desk" path={path}>
        Give the desk both. The secret is shown only now; one that it had before is worth nothing
        any more.
      </AddressToCopy>
      <div className="flex gap-2">
        <input
          readOnly
          aria-label="Secret for the desk"
          value={secret}
          onFocus={(event) => event.target.select()}
          className={inputClass}
        />
        <Button onClick={() => void copyText(secret)}>Copy</Button>
      </div>
    </div>
  );
}

function Told({ told }: Pick<DeskState, 'told'>) {
  const zone = useSession().data?.studio.timeZone ?? 'UTC';
  if (told.length === 0) return null;
  return (
    <details>
      <summary className="cursor-pointer font-semibold">What it told lately</summary>
      <ul className="mt-1 divide-y divide-line border-y border-line">
        {told.map((each, index) => (
          <li key={index} className="py-1.5">
            <span className="font-semibold">{each.person ?? 'Somebody'}</span>{' '}
            {EVENT_WORDS[each.event]} {each.class?.title ?? 'a class that is gone'}
            <span className="text-soft">, {showWhen(each.at, zone)}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}
