import { clsx } from 'clsx';
import { Redo2, Undo2 } from 'lucide-react';
import { Popover } from 'radix-ui';
import type { Finding } from '@wrenfern/core/order/rule';
import { showClock } from '@wrenfern/core/plan/show-time';
import { Button } from '../../parts/button.tsx';
import { Rose } from '../../parts/rose.tsx';
import { useEditor, usePlanScreen } from './plan-context.tsx';
import type { SaveState } from './plan-editor.ts';

/** The total against the hour, the directions, what is left to settle, and whether it is saved. */
export function Foot() {
  const { analysis } = usePlanScreen();
  const { findings } = analysis;
  return (
    <footer className="flex shrink-0 items-stretch gap-3 border-t border-line bg-leaf px-3 max-md:flex-wrap max-md:py-2 md:h-[6.75rem] md:px-4">
      <Total />
      <div className="max-lg:hidden">
        <Rose seconds={analysis.coverage.seconds} size={106} legend />
      </div>
      <section
        aria-label={`${findings.length} to settle`}
        className="flex min-w-0 flex-1 gap-2 overflow-x-auto py-2 max-md:order-last max-md:basis-full"
      >
        {findings.length === 0 ? (
          <p className="self-center text-soft">
            {analysis.timeline.items.length === 0
              ? 'Drag an exercise into the class, or press + on one.'
              : 'Nothing left to settle.'}
          </p>
        ) : (
          findings.map((finding) => (
            <FindingCard key={`${finding.rule} ${finding.key}`} finding={finding} />
          ))
        )}
      </section>
      <SaveCorner count={findings.length} />
    </footer>
  );
}

function Total() {
  const { analysis } = usePlanScreen();
  const { totalS, targetS, overS, likely } = analysis.timeline;
  const scale = Math.max(targetS * 1.15, likely.highS);
  const at = (seconds: number) => `${(100 * seconds) / scale}%`;
  return (
    <div className="flex w-44 shrink-0 flex-col justify-center lg:w-52">
      <Popover.Root>
        <Popover.Trigger className="self-start text-left text-[0.8125rem] text-soft underline decoration-dotted underline-offset-3">
          likely {Math.round(likely.lowS / 60)}–{Math.round(likely.highS / 60)} of{' '}
          {Math.round(targetS / 60)} min
        </Popover.Trigger>
        <Note>
          <p className="font-semibold">
            {showClock(likely.lowS)} to {showClock(likely.highS)}
          </p>
          <p>{likely.reason}</p>
        </Note>
      </Popover.Root>
      <p className="title text-3xl" data-testid="total">
        {showClock(totalS)}
        <span className={clsx('ml-2 font-text text-sm', overS > 60 ? 'text-copper' : 'text-soft')}>
          {overS > 0 ? `${showClock(overS)} over` : `${showClock(-overS)} left`}
        </span>
      </p>
      <div className="relative mt-1.5 h-2 rounded-full bg-slate-soft" aria-hidden>
        <div
          className="absolute h-full rounded-full bg-copper-line"
          style={{ left: at(likely.lowS), right: `${100 - (100 * likely.highS) / scale}%` }}
        />
        <div className="absolute -top-1 h-4 w-0.5 bg-ink" style={{ left: at(targetS) }} />
        <div
          className={clsx(
            'absolute -top-0.5 h-3 w-1 rounded',
            overS > 60 ? 'bg-copper' : 'bg-fern',
          )}
          style={{ left: at(totalS) }}
        />
      </div>
    </div>
  );
}

function FindingCard({ finding }: { finding: Finding }) {
  const edit = useEditor((editor) => editor.edit);
  const select = useEditor((editor) => editor.select);
  const [first] = finding.itemIds;
  return (
    <article className="flex w-[15.3rem] shrink-0 flex-col overflow-hidden rounded-xl border border-copper-line bg-copper-soft px-3 py-1.5">
      <button
        type="button"
        className="line-clamp-3 text-left leading-snug focus-visible:-outline-offset-2"
        title={finding.sentence}
        onClick={() => select(first)}
      >
        {finding.sentence}
      </button>
      <div className="mt-auto flex items-center gap-3 pt-0.5">
        {finding.repairs[0] ? (
          <button
            type="button"
            className="min-w-0 truncate font-semibold text-copper underline"
            title={finding.repairs[0].label}
            onClick={() => finding.repairs[0] && edit(finding.repairs[0].edit)}
          >
            {finding.repairs[0].label}
          </button>
        ) : null}
        <Popover.Root>
          <Popover.Trigger className="ml-auto shrink-0 text-soft underline decoration-dotted">
            why?
          </Popover.Trigger>
          <Note>
            <p className="font-semibold">{finding.sentence}</p>
            <p>{finding.why}</p>
            <p className="text-soft">
              Rule {finding.rule}: {finding.statement} Common practice.
            </p>
            {finding.repairs.map((repair) => (
              <Button
                key={repair.label}
                className="h-auto w-full justify-start text-left"
                onClick={() => edit(repair.edit)}
              >
                {repair.label}
              </Button>
            ))}
          </Note>
        </Popover.Root>
      </div>
    </article>
  );
}

function Note({ children }: { children: React.ReactNode }) {
  return (
    <Popover.Portal>
      <Popover.Content
        aria-label="Why"
        side="top"
        sideOffset={6}
        collisionPadding={10}
        className="z-50 flex w-80 max-w-[90vw] flex-col gap-2 rounded-xl border border-line bg-leaf p-4 shadow-lg"
      >
        {children}
      </Popover.Content>
    </Popover.Portal>
  );
}

const SAID: Record<Exclude<SaveState['status'], 'refused'>, string> = {
  saved: 'Saved',
  waiting: 'Saving …',
  saving: 'Saving …',
  offline: 'Offline: kept on this device',
  conflict: 'Changed elsewhere',
};

function SaveCorner({ count }: { count: number }) {
  const save = useEditor((editor) => editor.save);
  const undo = useEditor((editor) => editor.undo);
  const redo = useEditor((editor) => editor.redo);
  const canUndo = useEditor((editor) => editor.past.length > 0);
  const canRedo = useEditor((editor) => editor.future.length > 0);
  return (
    <div className="flex w-32 shrink-0 flex-col justify-center gap-1">
      <p
        role="status"
        data-testid="save-state"
        className={clsx(
          'text-[0.8125rem] leading-tight',
          save.status === 'saved' ? 'text-soft' : 'text-copper',
        )}
      >
        {save.status === 'refused' ? save.sentence : SAID[save.status]}
        <span className="block text-soft">{count} to settle</span>
      </p>
      <div className="flex gap-1">
        <Button aria-label="Undo" title="Undo (Ctrl Z)" disabled={!canUndo} onClick={undo}>
          <Undo2 size={16} aria-hidden />
        </Button>
        <Button aria-label="Redo" title="Redo (Ctrl Shift Z)" disabled={!canRedo} onClick={redo}>
          <Redo2 size={16} aria-hidden />
        </Button>
      </div>
    </div>
  );
}
