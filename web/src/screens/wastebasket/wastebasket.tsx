import { useState } from 'react';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import type { Wasted } from '@wrenfern/contract/keeping';
import { useWastebasket } from '../../data/use-keeping.ts';
import { useSession } from '../../data/use-session.ts';
import { send, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { showDay } from '../../parts/dates.ts';
import { Sheet } from '../../parts/dialog.tsx';
import { Empty, Failed, Loading } from '../../parts/states.tsx';

const KINDS: Record<Wasted['kind'], string> = {
  class: 'class',
  person: 'person',
  exercise: 'own exercise',
};

/** What was taken out in the last thirty days. */
export function Component() {
  const basket = useWastebasket();
  const { mutate } = useSWRConfig();
  const session = useSession();
  const isOwner = session.data?.user.role === 'owner';
  const zone = session.data?.studio.timeZone ?? 'UTC';
  const act = async (method: 'POST' | 'DELETE', path: string, said: string) => {
    try {
      await send(method, `/wastebasket${path}`);
      await mutate(
        (key) =>
          typeof key === 'string' && /^\/(wastebasket|people|classes|today|exercises)/.test(key),
      );
      toast.success(said);
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  if (basket.error && !basket.data) {
    return <Failed error={basket.error} retry={() => void basket.mutate()} />;
  }
  if (!basket.data) return <Loading what="the wastebasket" />;
  const { wasted } = basket.data;
  return (
    <div className="max-w-3xl pt-8">
      <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <h1 className="text-3xl">Wastebasket</h1>
        {isOwner && wasted.length > 0 ? (
          <EmptyBasket empty={() => act('DELETE', '', 'The wastebasket is empty')} />
        ) : null}
      </div>
      {wasted.length === 0 ? (
        <Empty title="Nothing in it">
          Classes, people and own exercises that are taken out stay here for thirty days.
        </Empty>
      ) : (
        <ul className="divide-y divide-line border-y border-line">
          {wasted.map((each) => (
            <li
              key={`${each.kind} ${each.id}`}
              className="flex flex-wrap items-center gap-x-4 py-2"
            >
              <span className="min-w-48 flex-1 font-semibold">{each.name}</span>
              <span className="text-soft">
                {KINDS[each.kind]}, until {showDay(each.goneAt, zone)}
              </span>
              <Button
                onClick={() => void act('POST', `/${each.kind}/${each.id}`, `${each.name} is back`)}
              >
                Take out again<span className="sr-only"> {each.name}</span>
              </Button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function EmptyBasket({ empty }: { empty: () => Promise<void> }) {
  const [open, setOpen] = useState(false);
  return (
    <Sheet
      title="Empty the wastebasket?"
      open={open}
      onOpenChange={setOpen}
      trigger={<Button>Empty it</Button>}
    >
      <p className="mb-4">Everything in it goes for good, logs and records included.</p>
      <div className="flex gap-2">
        <Button look="warn" onClick={() => void empty().then(() => setOpen(false))}>
          Empty it for good
        </Button>
        <Button onClick={() => setOpen(false)}>Keep</Button>
      </div>
    </Sheet>
  );
}
