import { lazy, Suspense, useState, type ReactNode } from 'react';
import type { KeptPlanRow } from '@wrenfern/contract/classes';
import { Sheet } from '../../parts/dialog.tsx';
import { Loading } from '../../parts/states.tsx';

/** Fetched when it is first asked for: Today has no need of it. */
const NewClassForm = lazy(async () => ({
  default: (await import('./new-class-form.tsx')).NewClassForm,
}));

/** Makes a class and opens its plan. `day` is where it is to stand, year-month-day. */
export function NewClass({
  trigger,
  day,
  keptPlan,
}: {
  trigger: ReactNode;
  day?: string;
  /** The kept plan that it is to begin from. */
  keptPlan?: KeptPlanRow;
}) {
  const [open, setOpen] = useState(false);
  return (
    <Sheet title="New class" trigger={trigger} open={open} onOpenChange={setOpen}>
      <Suspense fallback={<Loading what="the form" />}>
        <NewClassForm day={day} keptPlan={keptPlan} />
      </Suspense>
    </Sheet>
  );
}
