import { clsx } from 'clsx';
import { X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { sayChange } from '@wrenfern/core/fit/fit-repairs';
import type { TimedFitEdit } from '@wrenfern/core/fit/fit-to-time';
import type { NowView } from '@wrenfern/core/live/run-class';
import type { LiveChange } from '@wrenfern/core/live/plan-as-taught';
import { LengthEdit } from '@wrenfern/core/plan/edits';
import { itemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue, useKnownExercises } from '../../data/catalogue.tsx';
import { contextOf } from '../../data/class-analysis.ts';
import { searchWorker } from '../../data/search.ts';
import { Button } from '../../parts/button.tsx';
import type { Run } from './use-run.ts';

/** Nobody minds a minute late; two minutes early are worth filling. Common practice. */
const LATE_S = 60;
const EARLY_S = 120;
const OFFERED = 3;
/** How often, in seconds of drift, it is worked out anew. */
const STEP_S = 30;

interface KeepTimeProps {
  /** With the plan as it is taught. */
  lesson: WholeClass;
  /** The plan that it was begun with. */
  planned: Plan;
  run: Run;
  now: NowView;
}

/** When the class would end late or early: what to change of what is still to come, one press each. */
export function KeepTime({ lesson, planned, run, now }: KeepTimeProps) {
  const [hiddenAt, setHiddenAt] = useState<number>();
  const [isListed, setListed] = useState(false);
  const lateS = now.endsAtS - lesson.plan.targetS;
  const isOff = lateS > LATE_S || (lateS < -EARLY_S && now.behindS < -LATE_S);
  const step = Math.round(lateS / STEP_S);
  const isHidden = hiddenAt !== undefined && Math.abs(step - hiddenAt) * STEP_S < LATE_S;
  const offers = useOffers({ lesson, run, now }, isOff && !isHidden ? step * STEP_S : 0);
  const changes = stillToCome(run.changes, planned, now.item.itemId);
  const isOffering = isOff && !isHidden && offers.length > 0;
  if (!isOffering && changes.length === 0) return null;
  return (
    <section
      aria-label="Keep to the time"
      className="flex shrink-0 items-center gap-2 border-t border-line bg-leaf px-4 py-1.5 text-lg max-sm:flex-wrap max-sm:px-2"
    >
      {isOffering ? (
        <>
          <p role="status" className={clsx('shrink-0', lateS > 0 ? 'text-copper' : 'text-fern')}>
            Ends about {showClock(Math.abs(step * STEP_S))} {lateS > 0 ? 'late' : 'early'}
          </p>
          <Button
            className="min-h-11 sm:hidden"
            aria-expanded={isListed}
            onClick={() => setListed(!isListed)}
          >
            {lateS > 0 ? 'Shorten' : 'Add'}
          </Button>
          <div
            className={clsx(
              'flex min-w-0 gap-2 max-lg:[&>:nth-child(3)]:hidden max-sm:order-last max-sm:w-full max-sm:flex-col max-sm:[&>:nth-child(3)]:flex',
              !isListed && 'max-sm:hidden',
            )}
          >
            {offers.map((offer) => (
              <Offer key={offer.label} offer={offer} run={run} />
            ))}
          </div>
          <button
            type="button"
            aria-label="Not now"
            onClick={() => setHiddenAt(step)}
            className="grid size-11 shrink-0 place-items-center rounded-lg hover:bg-mist"
          >
            <X size={20} aria-hidden />
          </button>
        </>
      ) : null}
      {changes.length > 0 ? <Undo last={changes.at(-1)} run={run} planned={planned} /> : null}
    </section>
  );
}

function Offer({ offer, run }: { offer: TimedFitEdit; run: Run }) {
  const edit = LengthEdit.safeParse(offer.edit);
  if (!edit.success) return null;
  return (
    <Button
      className="min-h-11 min-w-0 justify-start"
      aria-label={`${offer.brief}, ${sayChange(offer.seconds)}`}
      title={`${offer.label}: ${offer.why}`}
      onClick={() => run.record({ type: 'change', edit: edit.data })}
    >
      <span className="truncate">{offer.brief}</span>
      <span className="ml-auto shrink-0 text-soft">
        {offer.seconds < 0 ? '−' : '+'}
        {showClock(Math.abs(offer.seconds))}
      </span>
    </Button>
  );
}

/** What was changed of items that are still to come: only that can be taken back. */
function stillToCome(changes: readonly LiveChange[], planned: Plan, itemId: string): LiveChange[] {
  const items = itemsOf(planned).map(({ id }) => id);
  return changes.filter(({ edit }) => items.indexOf(edit.itemId) > items.indexOf(itemId));
}

/** The last change of the class, back again by one press. */
function Undo({
  last,
  run,
  planned,
}: Pick<KeepTimeProps, 'run' | 'planned'> & { last: LiveChange | undefined }) {
  const catalogue = useCatalogue();
  if (!last) return null;
  const item = itemsOf(planned).find(({ id }) => id === last.edit.itemId);
  const name = item?.kind === 'exercise' ? catalogue.get(item.exercise)?.name : item?.label;
  return (
    <Button
      look="quiet"
      className="ml-auto min-h-11 shrink-0"
      onClick={() => run.record({ type: 'takeBack', eventId: last.id })}
    >
      Undo{name ? `: ${name}` : ''}
    </Button>
  );
}

/** The same change of the same exercise is one offer, though it stands in the class more than once. */
function eachOnce(ranked: readonly TimedFitEdit[]): TimedFitEdit[] {
  const said = ranked.map(({ brief }) => brief);
  return ranked.filter(({ brief }, at) => said.indexOf(brief) === at);
}

/** What can still change, best first; worked out beside the screen. */
function useOffers(
  { lesson, run, now }: Omit<KeepTimeProps, 'planned'>,
  offS: number,
): TimedFitEdit[] {
  const { own } = useKnownExercises();
  const { plan } = lesson;
  const { itemId } = now.item;
  const { totalS } = run.analysis.timeline;
  const [found, setFound] = useState<{ of: string; ranked: TimedFitEdit[] }>();
  const of = `${itemId} ${offS} ${run.changes.map(({ id }) => id).join()}`;
  useEffect(() => {
    if (offS === 0) return undefined;
    let isWanted = true;
    const items = itemsOf(plan);
    const at = items.findIndex(({ id }) => id === itemId);
    const open = new Set(items.slice(at + 1).map(({ id }) => id));
    searchWorker()
      .fit(plan, own, contextOf(lesson), totalS - offS, open)
      .then(
        ({ ranked }) => {
          if (isWanted) setFound({ of, ranked: eachOnce(ranked).slice(0, OFFERED) });
        },
        // Without an offer the class goes on as it is planned.
        () => undefined,
      );
    return () => {
      isWanted = false;
    };
  }, [plan, own, lesson, itemId, offS, totalS, of]);
  return found?.of === of ? found.ranked : [];
}
