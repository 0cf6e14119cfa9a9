import { AlertDialog } from 'radix-ui';
import { itemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { Button } from '../../parts/button.tsx';
import { useEditor } from './plan-context.tsx';

/** Somebody else saved first: nothing is thrown away until one of the two is chosen. */
export function ConflictDialog() {
  const save = useEditor((editor) => editor.save);
  const mine = useEditor((editor) => editor.plan);
  const settle = useEditor((editor) => editor.settle);
  if (save.status !== 'conflict') return null;
  return (
    <AlertDialog.Root open>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-50 w-[min(32rem,calc(100vw-2rem))] -translate-x-1/2 -translate-y-1/2 rounded-2xl border border-line bg-paper p-6">
          <AlertDialog.Title className="text-xl">
            This class was changed somewhere else
          </AlertDialog.Title>
          <AlertDialog.Description className="my-3">
            While you were planning here, a newer version was saved on another device or by a
            colleague. Keep one of the two.
          </AlertDialog.Description>
          <dl className="mb-4 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
            <dt className="font-semibold">Yours</dt>
            <dd>{describe(mine)}</dd>
            <dt className="font-semibold">Theirs</dt>
            <dd>{describe(save.theirs.plan)}</dd>
          </dl>
          <div className="flex flex-wrap gap-2">
            <Button look="main" onClick={() => settle('mine')}>
              Keep mine, replace theirs
            </Button>
            <Button onClick={() => settle('theirs')}>Take theirs, drop mine</Button>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}

function describe(plan: Plan): string {
  return `“${plan.title}”, ${itemsOf(plan).length} items, ${Math.round(plan.targetS / 60)} min`;
}
