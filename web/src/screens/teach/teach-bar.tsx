import { useState } from 'react';
import type { NowView } from '@wrenfern/core/live/run-class';
import type { TimedItem } from '@wrenfern/core/plan/timing/timeline';
import { Button } from '../../parts/button.tsx';
import { Sheet } from '../../parts/dialog.tsx';
import { inputClass } from '../../parts/field.tsx';
import type { Run } from './use-run.ts';

const EXTRA_S = 30;

/** Few large buttons; the largest goes on. */
export function TeachBar({
  run,
  now,
  about,
  isForAll = false,
}: {
  run: Run;
  now: NowView;
  /** Of two groups, the one that the buttons are for. */
  about?: string | undefined;
  /** What comes next is done by both groups together. */
  isForAll?: boolean;
}) {
  const [asking, setAsking] = useState(false);
  const paused = run.state.status === 'paused';
  const goTo = (item: TimedItem | undefined) => {
    if (item) run.record({ type: 'goTo', itemId: item.itemId });
  };
  const big = 'min-h-16 flex-1 rounded-2xl text-xl max-sm:min-h-12 max-sm:text-base';
  return (
    <footer className="flex shrink-0 gap-3 border-t border-line p-4 max-sm:grid max-sm:grid-cols-4 max-sm:gap-2 max-sm:p-2">
      <Button className={big} disabled={!now.previous} onClick={() => goTo(now.previous)}>
        Back
      </Button>
      <Button className={big} onClick={() => run.record({ type: paused ? 'resume' : 'pause' })}>
        {paused ? 'Go on' : 'Pause'}
      </Button>
      <Button
        className={big}
        onClick={() => run.record({ type: 'extend', itemId: now.item.itemId, seconds: EXTRA_S })}
      >
        + 30 s
      </Button>
      <NoteSheet run={run} now={now} className={big} />
      {now.next ? (
        <Button
          look="main"
          className={`${big} grow-[2] max-sm:col-span-4`}
          onClick={() => goTo(now.next)}
        >
          {about && isForAll ? `${now.next.name}, everybody` : about ? `Next, ${about}` : 'Next'}
        </Button>
      ) : (
        <Button
          look="main"
          className={`${big} grow-[2] max-sm:col-span-4`}
          onClick={() => setAsking(true)}
        >
          End the class
        </Button>
      )}
      <Sheet title="End the class?" open={asking} onOpenChange={setAsking}>
        <p className="mb-4 text-lg">What was taught goes into the log.</p>
        <div className="flex gap-3">
          <Button
            look="main"
            className="min-h-12 px-6 text-lg"
            onClick={() => run.record({ type: 'end' })}
          >
            End it
          </Button>
          <Button className="min-h-12 px-6 text-lg" onClick={() => setAsking(false)}>
            Not yet
          </Button>
        </div>
      </Sheet>
    </footer>
  );
}

function NoteSheet({ run, now, className }: { run: Run; now: NowView; className: string }) {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const save = () => {
    if (text.trim()) run.record({ type: 'note', itemId: now.item.itemId, text: text.trim() });
    setText('');
    setOpen(false);
  };
  return (
    <Sheet
      title={`Note on ${now.item.name}`}
      open={open}
      onOpenChange={setOpen}
      trigger={<Button className={className}>Note</Button>}
    >
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <textarea
          aria-label="Note"
          rows={3}
          maxLength={1000}
          value={text}
          onChange={(event) => setText(event.target.value)}
          className={`${inputClass} text-lg`}
        />
        <Button look="main" type="submit" className="min-h-12 text-lg">
          Keep it
        </Button>
      </form>
    </Sheet>
  );
}
