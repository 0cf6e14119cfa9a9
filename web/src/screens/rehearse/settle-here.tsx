import { useMemo } from 'react';
import { Undo2 } from 'lucide-react';
import { useStore } from 'zustand';
import type { StoreApi } from 'zustand/vanilla';
import type { Finding } from '@wrenfern/core/review/rule';
import type { WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../data/catalogue.tsx';
import { repairsIn } from '../../data/class-analysis.ts';
import { Button } from '../../parts/button.tsx';
import type { PlanEditor } from '../plan/editor/plan-editor.ts';

/** The class as it is written, and the way to change it. */
export interface Settling {
  editor: StoreApi<PlanEditor>;
  lesson: WholeClass;
}

/** As many as are taken in at a glance. */
const OFFERED = 3;

/** What would settle a finding, taken on the spot: the class is played on as it is then. */
export function SettleHere({
  finding,
  settle: { editor, lesson },
}: {
  finding: Finding;
  settle: Settling;
}) {
  const catalogue = useCatalogue();
  const repairs = useMemo(
    () => repairsIn(lesson, lesson.plan, catalogue, finding).slice(0, OFFERED),
    [lesson, catalogue, finding],
  );
  if (repairs.length === 0) return null;
  return (
    <ul className="mt-2 flex flex-col gap-1.5">
      {repairs.map(({ label, edit }) => (
        <li key={label}>
          <Button
            className="w-full justify-start text-left"
            onClick={() => editor.getState().edit(edit)}
          >
            {label}
          </Button>
        </li>
      ))}
    </ul>
  );
}

const NOT_SAVED = {
  offline: 'No line: what you changed is kept here and sent when there is one.',
  refused: 'What you changed is not saved: settle it in Plan.',
  conflict: 'A colleague changed the same meanwhile: settle it in Plan.',
} as const;

/** What was changed while playing, back again by one press; and when it could not be saved. */
export function SinceChanged({ settle: { editor } }: { settle: Settling }) {
  const { past, undo, save } = useStore(editor);
  const words =
    save.status in NOT_SAVED ? NOT_SAVED[save.status as keyof typeof NOT_SAVED] : undefined;
  if (past.length === 0 && !words) return null;
  return (
    <div className="flex flex-col gap-2">
      {words ? (
        <p role="status" className="text-copper">
          {words}
        </p>
      ) : null}
      {past.length > 0 ? (
        <Button className="self-start" onClick={undo}>
          <Undo2 size={16} aria-hidden /> Undo the last change
        </Button>
      ) : null}
    </div>
  );
}
