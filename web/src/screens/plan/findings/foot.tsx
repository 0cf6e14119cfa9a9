import { clsx } from 'clsx';
import { Redo2, Undo2 } from 'lucide-react';
import { showClock } from '@wrenfern/core/plan/show-time';
import { Button } from '../../../parts/button.tsx';
import { Note } from '../../../parts/note.tsx';
import { Rose } from '../../../parts/rose.tsx';
import { Balance } from './balance.tsx';
import { FitPanel } from '../fit/fit-panel.tsx';
import { FindingsStrip } from './findings-strip.tsx';
import { SetAsideList } from './on-purpose.tsx';
import { useEditor, usePlanScreen } from '../editor/plan-context.tsx';
import type { Plan } from '@wrenfern/core/plan/plan';
import type { SaveState } from '../../../data/autosave.ts';

/** The total against the hour, the directions, what is left to settle, and whether it is saved. */
export function Foot() {
  const { analysis, preview } = usePlanScreen();
  const shown = preview ?? analysis;
  return (
    <footer className="flex shrink-0 items-stretch gap-3 border-t border-line bg-leaf px-3 max-md:flex-wrap max-md:gap-y-1 max-md:py-1.5 md:h-36 lg:h-[5.75rem] md:px-4">
      <Total />
      <div className="self-center max-lg:hidden">
        <Balance>
          <Rose seconds={shown.coverage.seconds} size={80} legend />
        </Balance>
      </div>
      <FindingsStrip />
      <SaveCorner count={analysis.findings.length} />
    </footer>
  );
}

function Total() {
  const { analysis, preview } = usePlanScreen();
  const { totalS, targetS, overS, likely } = (preview ?? analysis).timeline;
  const scale = Math.max(targetS * 1.15, likely.highS);
  const at = (seconds: number) => `${(100 * seconds) / scale}%`;
  return (
    <div className="flex w-44 shrink-0 flex-col justify-center lg:w-52">
      <Note
        className="self-start text-left text-[0.8125rem] text-soft underline decoration-dotted underline-offset-3"
        trigger={`likely ${Math.round(likely.lowS / 60)}–${Math.round(likely.highS / 60)} of ${Math.round(targetS / 60)} min`}
      >
        <p className="font-semibold">
          {showClock(likely.lowS)} to {showClock(likely.highS)}
        </p>
        <p>{likely.reason}</p>
      </Note>
      <p className="title text-3xl max-md:text-2xl" data-testid="total">
        {showClock(totalS)}
        <Over overS={overS} />
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

/** How far the class is from its length; whoever may change it gets there from here. */
function Over({ overS }: { overS: number }) {
  const { mayEdit } = usePlanScreen();
  const words = overS > 0 ? `${showClock(overS)} over` : `${showClock(-overS)} left`;
  const look = clsx('ml-2 font-text text-sm', overS > 60 ? 'text-copper' : 'text-soft');
  if (!mayEdit) return <span className={look}>{words}</span>;
  return (
    <FitPanel
      trigger={
        <button
          type="button"
          title="Fit to time"
          className={clsx(look, 'underline decoration-dotted underline-offset-3')}
        >
          {words}
        </button>
      }
    />
  );
}

const SAID: Record<Exclude<SaveState<Plan>['status'], 'refused'>, string> = {
  saved: 'Saved',
  waiting: 'Saving …',
  saving: 'Saving …',
  offline: 'Offline: kept on this device',
  conflict: 'Changed elsewhere',
};

function SaveCorner({ count }: { count: number }) {
  const { mayEdit } = usePlanScreen();
  return mayEdit ? (
    <SavedAndUndo count={count} />
  ) : (
    <p className="w-32 shrink-0 self-center text-soft">Yours to look at</p>
  );
}

function SavedAndUndo({ count }: { count: number }) {
  const save = useEditor((editor) => editor.save);
  const undo = useEditor((editor) => editor.undo);
  const redo = useEditor((editor) => editor.redo);
  const canUndo = useEditor((editor) => editor.past.length > 0);
  const canRedo = useEditor((editor) => editor.future.length > 0);
  return (
    <div
      className={clsx(
        save.status === 'refused' ? 'w-64' : 'w-32',
        'flex shrink-0 flex-col justify-center gap-1 max-md:w-auto max-md:flex-1 max-md:flex-row max-md:items-center max-md:justify-end max-md:gap-3',
      )}
    >
      <p
        role="status"
        data-testid="save-state"
        className={clsx(
          'text-[0.8125rem] leading-tight',
          save.status === 'saved' ? 'text-soft' : 'text-copper',
        )}
      >
        {save.status === 'refused' ? (
          // It may be long, and the foot is low: whole by pointing at it.
          <span title={save.sentence} className="line-clamp-2">
            Not saved. {save.sentence}
          </span>
        ) : (
          SAID[save.status]
        )}
        <span className="block text-soft">{count} to settle</span>
      </p>
      <div className="text-[0.8125rem] leading-tight">
        <SetAsideList />
      </div>
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
