import { useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { sayChange } from '@wrenfern/core/fit/fit-repairs';
import { inOneGo, type Fit, type TimedFitEdit } from '@wrenfern/core/fit/fit-to-time';
import { showClock } from '@wrenfern/core/plan/show-time';
import { Button } from '../../../parts/button.tsx';
import { CLASS_LENGTHS } from '../../../parts/class-lengths.ts';
import { Sheet } from '../../../parts/dialog.tsx';
import { Stepper } from '../../../parts/stepper.tsx';
import { useEditor } from '../editor/plan-context.tsx';
import { useFit } from './use-fit.ts';

/** What brings the class to its length: taken one by one, or the best of it together. */
export function FitPanel({ trigger }: { trigger: ReactNode }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Sheet title="Fit to time" from="right" open={isOpen} onOpenChange={setOpen} trigger={trigger}>
      {isOpen ? <Fitting /> : null}
    </Sheet>
  );
}

function Fitting() {
  const plan = useEditor((editor) => editor.plan);
  const [minutes, setMinutes] = useState(Math.round(plan.targetS / 60));
  const found = useFit(plan, minutes * 60);
  return (
    <div className="flex flex-col gap-4">
      <div className="flex items-end gap-3">
        <div className="w-32">
          <Stepper
            label="fit to"
            unit="min"
            value={minutes}
            min={1}
            max={180}
            through={CLASS_LENGTHS}
            onChange={setMinutes}
          />
        </div>
        <p className="text-[0.8125rem] text-soft">
          Doses stay within what is usual; arrival, close and every rule that must hold are kept.
        </p>
      </div>
      {found === undefined ? (
        <p role="status">Looking for what could change …</p>
      ) : (
        <Found fit={found} />
      )}
    </div>
  );
}

function Found({ fit: { fromS, toS, targetS, together, ranked } }: { fit: Fit }) {
  const edit = useEditor((editor) => editor.edit);
  if (ranked.length === 0) {
    return (
      <p className="rounded-xl border border-line bg-leaf p-3">
        {Math.abs(fromS - targetS) < 60
          ? `${showClock(fromS)}: it fits.`
          : `${showClock(fromS)}: nothing can change within what is usual. Put another exercise in, or take one out.`}
      </p>
    );
  }
  const ofTogether = new Set(together.map(({ label }) => label));
  const others = ranked.filter(({ label }) => !ofTogether.has(label));
  return (
    <>
      <section aria-label="Together" className="rounded-xl border border-line bg-leaf p-3">
        <p className="title text-lg">
          {showClock(fromS)} to {showClock(together.length > 0 ? toS : fromS)}
        </p>
        {together.length > 0 ? (
          <>
            <p className="mb-2 text-soft">What costs the class least, together:</p>
            <Changes edits={together} />
            <Button
              look="main"
              className="mt-3"
              onClick={() => {
                edit(inOneGo(together));
                toast.success('Taken together. Undo takes it back.');
              }}
            >
              {together.length === 1 ? 'Take it' : `Take all ${together.length}`}
            </Button>
          </>
        ) : (
          <p>Nothing together that keeps the rules; look below one by one.</p>
        )}
      </section>
      {others.length > 0 ? (
        <section aria-label="One by one">
          <h3 className="mb-1.5 text-base">Else, one by one</h3>
          <Changes edits={others} />
        </section>
      ) : null}
    </>
  );
}

function Changes({ edits }: { edits: readonly TimedFitEdit[] }) {
  const edit = useEditor((editor) => editor.edit);
  return (
    <ul className="flex flex-col divide-y divide-line">
      {edits.map((each) => (
        <li key={each.label} className="flex items-center gap-3 py-1.5">
          <span className="min-w-0 flex-1">
            <span className="block leading-snug font-semibold">{each.label}</span>
            <span className="block text-[0.8125rem] text-soft">
              {sayChange(each.seconds)}; {each.why}
            </span>
          </span>
          <Button
            className="shrink-0"
            aria-label={`Take: ${each.label}`}
            onClick={() => {
              edit(each.edit);
              toast.success(each.label);
            }}
          >
            Take
          </Button>
        </li>
      ))}
    </ul>
  );
}
