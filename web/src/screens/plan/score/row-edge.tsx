import { useState, type PointerEvent } from 'react';
import { describeDose } from '@wrenfern/core/movement/dose';
import { doseByLength } from '@wrenfern/core/plan/dose-by-length';
import type { SingleEdit } from '@wrenfern/core/plan/edits';
import type { Item } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { showClock } from '@wrenfern/core/plan/show-time';
import { secondsOf } from '@wrenfern/core/plan/timing/timeline';
import { doseOf } from '@wrenfern/core/plan/usual';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { useEditor, usePlanScreen } from '../editor/plan-context.tsx';
import { MINUTE_PX, type ScoreRow } from './score-layout.ts';

/** A pause is pulled in steps of so many seconds. */
const PAUSE_STEP_S = 15;

/** What a pull comes to: the edit, and how it is said. */
interface Pulled {
  edit: SingleEdit;
  words: string;
}

/** The lower edge of a row: pulled down it is done for longer, pulled up for less. The dose beside the score is its twin for keys. */
export function RowEdge({ row, item }: { row: ScoreRow; item: Item }) {
  const edit = useEditor((editor) => editor.edit);
  const pullBy = usePull(row, item);
  const [from, setFrom] = useState<number>();
  const [pulled, setPulled] = useState<Pulled>();
  const letGo = (event: PointerEvent) => {
    event.currentTarget.releasePointerCapture(event.pointerId);
    setFrom(undefined);
    setPulled(undefined);
  };
  return (
    <div
      aria-hidden
      data-testid="row-edge"
      title="Pull to change how long"
      className="absolute inset-x-6 bottom-0 z-10 h-2 cursor-ns-resize touch-none rounded-b-xl hover:bg-fern-light/60"
      onPointerDown={(event) => {
        event.preventDefault();
        event.currentTarget.setPointerCapture(event.pointerId);
        setFrom(event.clientY);
      }}
      onPointerMove={(event) => {
        if (from !== undefined) setPulled(pullBy(((event.clientY - from) / MINUTE_PX) * 60));
      }}
      onPointerUp={(event) => {
        if (pulled) edit(pulled.edit);
        letGo(event);
      }}
      onPointerCancel={letGo}
    >
      {pulled ? (
        <span className="pointer-events-none absolute right-2 bottom-2 rounded-lg bg-fern px-2 py-0.5 text-[0.8125rem] font-semibold whitespace-nowrap text-paper">
          {pulled.words}
        </span>
      ) : null}
    </div>
  );
}

/** What so many seconds more come to; nothing where the row can't be pulled, or stays as it is. */
function usePull(row: ScoreRow, item: Item): (moreS: number) => Pulled | undefined {
  const catalogue = useCatalogue();
  const school = useEditor((editor) => editor.plan.school);
  const { analysis } = usePlanScreen();
  return (moreS) => {
    if (item.kind === 'pause') {
      const steps = Math.round((item.durationS + moreS) / PAUSE_STEP_S);
      const durationS = Math.min(1800, Math.max(PAUSE_STEP_S, steps * PAUSE_STEP_S));
      const { id: itemId, label } = item;
      return durationS === item.durationS
        ? undefined
        : { edit: { type: 'setPause', itemId, label, durationS }, words: showClock(durationS) };
    }
    if (item.variants) return undefined;
    const exercise = catalogue.require(item.exercise);
    const now = doseOf(item, exercise, rulesOf(school));
    const workS = analysis.timeline.items
      .filter(({ itemId }) => itemId === row.item.itemId)
      .reduce((sum, each) => sum + secondsOf(each, 'work'), 0);
    const dose = doseByLength(now, exercise, workS, moreS);
    const words = dose && describeDose(dose);
    return dose && words !== describeDose(now)
      ? { edit: { type: 'setDose', itemId: item.id, dose }, words: words ?? '' }
      : undefined;
  };
}
