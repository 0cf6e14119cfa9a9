import { CalendarSync, Download } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { type Feed, NewFeed } from '@wrenfern/contract/studio';
import { useSession } from '../../data/use-session.ts';
import { useFeeds } from '../../data/use-studio.ts';
import { request, send, sentenceOf } from '../../data/request.ts';
import { AddressToCopy } from '../../parts/address-to-copy.tsx';
import { Button, buttonClass } from '../../parts/button.tsx';
import { showWhen } from '../../parts/dates.ts';
import { Sheet } from '../../parts/dialog.tsx';
import { SegmentedRadio } from '../../parts/segmented-radio.tsx';
import { Failed, Loading } from '../../parts/states.tsx';

/** Classes in one's own calendar: a private address that it reads, or a file. */
export function CalendarFeeds() {
  return (
    <Sheet
      title="Classes in your calendar"
      description="Times, names and who teaches. Never who comes, never what is planned."
      trigger={
        <Button className="min-h-10">
          <CalendarSync size={16} aria-hidden /> <span className="max-sm:sr-only">Calendar</span>
        </Button>
      }
    >
      <Feeds />
    </Sheet>
  );
}

const WHOSE = [
  { value: 'all', name: 'All classes' },
  { value: 'own', name: 'Only mine' },
] as const;

function Feeds() {
  const feeds = useFeeds();
  const [whose, setWhose] = useState<(typeof WHOSE)[number]['value']>('all');
  const [path, setPath] = useState('');
  const make = async () => {
    try {
      const body = { onlyOwn: whose === 'own' };
      setPath((await request(NewFeed, 'POST', '/feeds', body)).path);
      await feeds.mutate();
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  return (
    <div className="flex flex-col gap-5">
      <section aria-label="A new address" className="flex flex-col gap-3">
        <SegmentedRadio label="Which" choices={WHOSE} value={whose} onChange={setWhose} />
        {path ? (
          <AddressToCopy label="Address for the calendar" path={path}>
            Give this to your calendar as one that it subscribes to. It is shown only now. Whoever
            has it sees the classes until you take it back.
          </AddressToCopy>
        ) : (
          <Button look="main" className="self-start" onClick={() => void make()}>
            Make a private address
          </Button>
        )}
      </section>
      {feeds.error && !feeds.data ? (
        <Failed error={feeds.error} retry={() => void feeds.mutate()} />
      ) : feeds.data ? (
        <Made rows={feeds.data.feeds} reload={() => void feeds.mutate()} />
      ) : (
        <Loading what="your addresses" />
      )}
      <p className="text-soft">
        Only once?{' '}
        <a href="/api/classes.ics" download className={buttonClass('quiet')}>
          <Download size={16} aria-hidden /> Classes as a file
        </a>
      </p>
    </div>
  );
}

function Made({ rows, reload }: { rows: readonly Feed[]; reload: () => void }) {
  const zone = useSession().data?.studio.timeZone ?? 'UTC';
  if (rows.length === 0) return null;
  const takeBack = async (id: string) => {
    try {
      await send('DELETE', `/feeds/${id}`);
      toast.success('Nothing is read there any more. Calendars keep what they have.');
    } catch (error) {
      toast.error(sentenceOf(error));
    } finally {
      reload();
    }
  };
  return (
    <section aria-label="Addresses in use">
      <h3 className="mb-1 font-semibold">Addresses in use</h3>
      <ul className="divide-y divide-line border-y border-line">
        {rows.map(({ id, onlyOwn, madeAt, readAt }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-2">
            <span>{onlyOwn ? 'Only mine' : 'All classes'}</span>
            <span className="text-soft">
              made {showWhen(madeAt, zone)},{' '}
              {readAt ? `last read ${showWhen(readAt, zone)}` : 'never read'}
            </span>
            <Button className="ml-auto" onClick={() => void takeBack(id)}>
              Take back
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
