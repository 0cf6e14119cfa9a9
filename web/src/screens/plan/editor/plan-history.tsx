import { useState } from 'react';
import { toast } from 'sonner';
import type { Plan } from '@wrenfern/core/plan/plan';
import { useLesson } from '../../../data/use-lesson.ts';
import { usePlanRevisions } from '../../../data/use-classes.ts';
import { useSession } from '../../../data/use-session.ts';
import { SavedPlan } from '@wrenfern/contract/classes';
import { request, sentenceOf } from '../../../data/request.ts';
import { Button } from '../../../parts/button.tsx';
import { showWhen } from '../../../parts/dates.ts';
import { Sheet } from '../../../parts/dialog.tsx';
import { Failed, Loading } from '../../../parts/states.tsx';
import { ComparePlans } from './compare-plans.tsx';
import { replacePlan } from '../draft/replace-plan.ts';
import { useEditor } from './plan-context.tsx';

/** Every plan this class had in the last ninety days: to look at, and to bring back. */
export function PlanHistory() {
  const { lesson } = useLesson();
  const [open, setOpen] = useState(false);
  return (
    <Sheet
      title="Earlier plans of this class"
      description="Kept for ninety days; the one that was taught is kept for good."
      open={open}
      onOpenChange={setOpen}
      trigger={<Button>Earlier plans</Button>}
    >
      <Revisions classId={lesson.id} done={() => setOpen(false)} />
    </Sheet>
  );
}

function Revisions({ classId, done }: { classId: string; done: () => void }) {
  const { lesson } = useLesson();
  const history = usePlanRevisions(classId);
  const zone = useSession().data?.studio.timeZone ?? 'UTC';
  const plan = useEditor((editor) => editor.plan);
  const edit = useEditor((editor) => editor.edit);
  const [chosen, setChosen] = useState<{ revision: number; plan: Plan }>();
  const look = async (revision: number) => {
    try {
      setChosen(await request(SavedPlan, 'GET', `/classes/${classId}/revisions/${revision}`));
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  if (history.error && !history.data) {
    return <Failed error={history.error} retry={() => void history.mutate()} />;
  }
  if (!history.data) return <Loading what="earlier plans" />;
  return (
    <ul className="divide-y divide-line border-y border-line">
      {history.data.revisions.map(({ revision, savedAt, savedBy, wasTaught }) => (
        <li key={revision} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-2">
          <span className="min-w-40 flex-1">
            {showWhen(savedAt, zone)}
            <span className="text-soft">
              {savedBy ? ` by ${savedBy}` : ''}
              {wasTaught ? ', as it was taught' : ''}
            </span>
          </span>
          {chosen?.revision === revision ? (
            <>
              <ComparePlans
                lesson={lesson}
                one={{ name: 'Now', plan }}
                other={{ name: `The plan of ${showWhen(savedAt, zone)}`, plan: chosen.plan }}
                trigger={<Button>Compare</Button>}
              />
              <Button
                look="main"
                onClick={() => {
                  edit(replacePlan(plan, chosen.plan));
                  toast.success('It is back. Undo brings back what was there.');
                  done();
                }}
              >
                Bring back
              </Button>
            </>
          ) : (
            <Button onClick={() => void look(revision)}>
              Look<span className="sr-only"> at the plan of {showWhen(savedAt, zone)}</span>
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}
