import { useState } from 'react';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import type { KeptPlanRow } from '@wrenfern/contract/classes';
import { useKeptPlans } from '../../data/use-classes.ts';
import { send, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { minutes, showDay } from '../../parts/dates.ts';
import { Sheet } from '../../parts/dialog.tsx';
import { Empty, Failed, Loading } from '../../parts/states.tsx';
import { KeepForm, tagsOf } from '../../parts/keep-form.tsx';
import { NewClass } from './new-class.tsx';
import type { Filters } from './week-summary.ts';

/** Plans without a date: taken into a class, and told how they went. */
export function KeptPlans({
  zone,
  mayChange,
  filters,
}: {
  zone: string;
  mayChange: boolean;
  filters: Pick<Filters, 'words' | 'machine'>;
}) {
  const kept = useKeptPlans();
  if (kept.error && !kept.data) {
    return <Failed error={kept.error} retry={() => void kept.mutate()} />;
  }
  if (!kept.data) return <Loading what="the kept plans" />;
  const wanted = filters.words.trim().toLowerCase();
  const shown = kept.data.plans.filter(
    ({ name, tags, machine }) =>
      (filters.machine === 'all' || machine === filters.machine) &&
      [name, ...tags].some((text) => text.toLowerCase().includes(wanted)),
  );
  if (kept.data.plans.length === 0) {
    return (
      <Empty title="None kept yet">
        In a plan, “Out and in” keeps it here, without its date and people, to be taken into other
        classes.
      </Empty>
    );
  }
  if (shown.length === 0) return <Empty title="None like that">Search for something else.</Empty>;
  return (
    <ul className="divide-y divide-line border-y border-line">
      {shown.map((plan) => (
        <KeptRow key={plan.id} plan={plan} zone={zone} mayChange={mayChange} />
      ))}
    </ul>
  );
}

function KeptRow({
  plan,
  zone,
  mayChange,
}: {
  plan: KeptPlanRow;
  zone: string;
  mayChange: boolean;
}) {
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
      <span className="min-w-48 flex-1">
        <span className="font-semibold">{plan.name}</span>
        <span className="text-soft">
          {' '}
          {plan.machine}, {minutes(plan.targetS)}, {plan.items} items
        </span>
        {plan.tags.length > 0 ? (
          <span className="block text-[0.8125rem] text-soft">{plan.tags.join(' · ')}</span>
        ) : null}
      </span>
      <span className="text-soft">{taughtWords(plan, zone)}</span>
      {mayChange ? (
        <span className="flex gap-2">
          <NewClass
            keptPlan={plan}
            trigger={
              <Button>
                Into a class<span className="sr-only">: {plan.name}</span>
              </Button>
            }
          />
          <ChangeKept plan={plan} />
        </span>
      ) : null}
    </li>
  );
}

function taughtWords({ taught, lastTaughtAt, tookS }: KeptPlanRow, zone: string): string {
  if (taught === 0 || !lastTaughtAt) return 'not taught yet';
  const times = taught === 1 ? 'taught once' : `taught ${taught} times`;
  const took = tookS
    ? `, took ${[...new Set([tookS.least, tookS.most].map((s) => Math.round(s / 60)))].join('–')} min`
    : '';
  return `${times}, last on ${showDay(lastTaughtAt, zone)}${took}`;
}

function ChangeKept({ plan }: { plan: KeptPlanRow }) {
  const { mutate } = useSWRConfig();
  const [open, setOpen] = useState(false);
  const finish = async (work: () => Promise<unknown>) => {
    try {
      await work();
      setOpen(false);
    } catch (error) {
      toast.error(sentenceOf(error));
    } finally {
      await mutate('/kept-plans');
    }
  };
  return (
    <Sheet
      title={plan.name}
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Button look="quiet">
          Change<span className="sr-only"> {plan.name}</span>
        </Button>
      }
    >
      <KeepForm
        name={plan.name}
        tags={plan.tags}
        keep={(name, tags) =>
          finish(() =>
            send('PUT', `/kept-plans/${plan.id}`, {
              revision: plan.revision,
              name,
              tags: tagsOf(tags),
            }),
          )
        }
      />
      <Button
        look="warn"
        className="mt-4 self-start"
        onClick={() => void finish(() => send('DELETE', `/kept-plans/${plan.id}`))}
      >
        Keep it no longer
      </Button>
      <p className="mt-1 text-soft">Classes that were begun from it stay.</p>
    </Sheet>
  );
}
