import { proxy } from 'comlink';
import { Link2, Pin } from 'lucide-react';
import { useRef, useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { COST_WORDS } from '@wrenfern/core/search/cost-words';
import type { Gather } from '@wrenfern/core/search/gathers';
import type { OrderMove, OrderResult } from '@wrenfern/core/search/order-plan';
import { showClock } from '@wrenfern/core/plan/show-time';
import { itemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { COST_IDS } from '@wrenfern/core/plan/school';
import type { WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue, useKnownExercises } from '../../../data/catalogue.tsx';
import { sentenceOf } from '../../../data/request.ts';
import { searchContext, searchWorker } from '../../../data/search.ts';
import { Button } from '../../../parts/button.tsx';
import { Sheet } from '../../../parts/dialog.tsx';
import { IconButton } from '../../../parts/icon-button.tsx';
import type { OrderAnswer, OrderStep } from '../../../workers/search-worker.ts';
import { ComparePlans } from '../editor/compare-plans.tsx';
import { useEditor } from '../editor/plan-context.tsx';

type State =
  | { status: 'ready' }
  | { status: 'searching'; step: OrderStep | undefined }
  | { status: 'found'; result: OrderAnswer; of: Plan };

interface Locks {
  pinned: ReadonlySet<string>;
  joined: ReadonlySet<string>;
  partsStay: boolean;
}

/** The best running order: as a list of moves, each with what it gains, taken singly or together. */
export function OrderPanel({ lesson, trigger }: { lesson: WholeClass; trigger: ReactNode }) {
  const plan = useEditor((editor) => editor.plan);
  const edit = useEditor((editor) => editor.edit);
  const [isOpen, setOpen] = useState(false);
  const [locks, setLocks] = useState<Locks>({
    pinned: new Set(),
    joined: new Set(),
    partsStay: true,
  });
  const { state, search } = useOrdering(lesson);
  const change = (next: Locks) => {
    setLocks(next);
    void search(plan, next);
  };
  const take = ({ edit: taken, label }: Pick<OrderMove, 'edit' | 'label'>) => {
    edit(taken);
    toast.success(label);
  };
  const isOld = state.status === 'found' && state.of !== plan;
  return (
    <Sheet
      title="Order for me"
      from="right"
      open={isOpen}
      onOpenChange={(open) => {
        setOpen(open);
        if (open) void search(plan, locks);
        else if (state.status === 'searching') void searchWorker().stop();
      }}
      trigger={trigger}
    >
      <div className="flex flex-col gap-4">
        <p className="text-soft">
          Under {rulesOf(plan.school).name}. Rules that must hold are kept; everything else is
          counted in seconds that one would spend to avoid it.
        </p>
        {state.status === 'searching' ? <Searching step={state.step} /> : null}
        {state.status === 'found' && !isOld ? (
          <Found lesson={lesson} result={state.result} plan={plan} onTake={take} />
        ) : null}
        {isOld ? (
          <Button look="main" onClick={() => void search(plan, locks)}>
            Look again: the class has changed
          </Button>
        ) : null}
        <LockList plan={plan} locks={locks} onChange={change} />
      </div>
    </Sheet>
  );
}

/** Asks the worker for the best order; only the newest answer counts. */
function useOrdering(lesson: WholeClass) {
  const { own } = useKnownExercises();
  const [state, setState] = useState<State>({ status: 'ready' });
  const newest = useRef(0);
  const search = async (of: Plan, under: Locks) => {
    // Words of progress come by another way than the result and may arrive after it.
    const mine = (newest.current += 1);
    setState({ status: 'searching', step: undefined });
    try {
      const result = await searchWorker().order(
        of,
        searchContext(lesson, own),
        { pinned: [...under.pinned], joined: [...under.joined], partsStay: under.partsStay },
        proxy((step: OrderStep) => {
          if (newest.current === mine) setState({ status: 'searching', step });
        }),
      );
      if (newest.current !== mine) return;
      newest.current += 1;
      setState({ status: 'found', result, of });
    } catch (error) {
      newest.current += 1;
      setState({ status: 'ready' });
      toast.error(sentenceOf(error));
    }
  };
  return { state, search };
}

function Searching({ step }: { step: OrderStep | undefined }) {
  return (
    <div role="status" className="rounded-xl border border-line bg-leaf p-3">
      <p className="font-semibold">Looking for {step?.phase ?? 'a good start'} …</p>
      {step ? (
        <p className="text-soft">
          From {Math.round(step.nowS)} to {Math.round(step.bestS)} s so far
          {step.states > 0 ? `, ${step.states.toLocaleString()} sets of items looked at` : ''}.
        </p>
      ) : null}
      <Button className="mt-2" onClick={() => void searchWorker().stop()}>
        Stop, keep the best so far
      </Button>
    </div>
  );
}

function Found({
  lesson,
  result,
  plan,
  onTake,
}: {
  lesson: WholeClass;
  result: OrderAnswer;
  plan: Plan;
  onTake: (taken: Pick<OrderMove, 'edit' | 'label'>) => void;
}) {
  const edit = useEditor((editor) => editor.edit);
  const { edit: all } = result;
  return (
    <>
      {result.gathers.length > 0 ? <Gathers gathers={result.gathers} onTake={onTake} /> : null}
      <Verdict result={result} />
      {all ? (
        <div className="flex flex-wrap gap-2">
          <Button
            look="main"
            onClick={() => {
              edit(all);
              toast.success('The whole order was taken. Undo takes it back.');
            }}
          >
            Take all
          </Button>
          <ComparePlans
            lesson={lesson}
            one={{ name: 'Now', plan }}
            other={{ name: 'Best order', plan: result.plan }}
            trigger={<Button>Side by side</Button>}
          />
        </div>
      ) : null}
      {result.moves.length > 0 ? (
        <ol className="flex flex-col gap-2" aria-label="Moves">
          {result.moves.map((move) => (
            <li key={move.itemIds.join()} className="rounded-xl border border-line bg-leaf p-2.5">
              <p className="leading-snug font-semibold">{move.label}</p>
              <p className="text-[0.8125rem] text-soft">{gainOf(move)}</p>
              <button
                type="button"
                className="min-h-6 font-semibold text-fern underline"
                onClick={() => onTake(move)}
              >
                Take this one
              </button>
            </li>
          ))}
        </ol>
      ) : null}
    </>
  );
}

/** Blocks that the class lacks: gathered first, the order is looked for anew. */
function Gathers({
  gathers,
  onTake,
}: {
  gathers: readonly Gather[];
  onTake: (taken: Gather) => void;
}) {
  return (
    <section aria-label="To gather first" className="rounded-xl border border-line bg-leaf p-3">
      <h3 className="text-base">To gather first</h3>
      <ul className="mt-1 flex flex-col gap-2">
        {gathers.map((each) => (
          <li key={each.label}>
            <p className="leading-snug font-semibold">{each.label}</p>
            <button
              type="button"
              className="min-h-6 font-semibold text-fern underline"
              onClick={() => onTake(each)}
            >
              {each.kind === 'series' ? 'Make one series of it' : 'Move it there'}, saves{' '}
              {showClock(each.savesS)}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What was found, and how sure it is that nothing is better. */
function Verdict({ result }: { result: OrderResult }) {
  const { moves, gap, leftS, nowS, bestS, brokenNow } = result;
  const isProved = result.status === 'proved best';
  const nothing = isProved ? 'Nothing to gain' : 'No better order was found';
  return (
    <div className="rounded-xl border border-line bg-leaf p-3">
      <p className="title text-lg">
        {moves.length === 0
          ? nothing
          : `${moves.length} ${moves.length > 1 ? 'moves' : 'move'}, ${Math.round(nowS - bestS)} s better`}
      </p>
      <p>
        {isProved
          ? leftS < 1
            ? 'Proved best: no other order costs a second less.'
            : 'Proved best, but for rows whose move would gain less than it is worth.'
          : `Too many orders to look at all of them: it is within ${(gap * 100).toFixed(1)} % of the best.`}
        {brokenNow > 0 ? ` Today's order breaks ${brokenNow} that must hold and could.` : ''}
      </p>
      <Parts result={result} />
    </div>
  );
}

function gainOf({ mends, gainS, gains }: OrderMove): string {
  const alone = [
    mends > 0 ? 'keeps a rule that must hold' : '',
    gainS >= 1 ? `gains ${Math.round(gainS)} s by itself` : '',
  ].filter(Boolean);
  const partsOf = (sign: 1 | -1) =>
    (sign > 0 ? gains : gains.toReversed())
      .filter(({ seconds }) => sign * seconds >= 1)
      .slice(0, 2)
      .map(
        ({ cost, seconds }) =>
          `${COST_WORDS[cost]} ${sign > 0 ? '−' : '+'}${Math.round(Math.abs(seconds))} s`,
      );
  const told = (words: string, parts: string[]) =>
    parts.length > 0 ? `${words}: ${parts.join(', ')}` : words;
  if (alone.length > 0) return told(alone.join(', '), partsOf(1));
  const costs =
    gainS <= -1 ? `costs ${Math.round(-gainS)} s by itself` : 'changes little by itself';
  return `${told(costs, partsOf(-1))}. It makes room for the other moves.`;
}

/** What today's order and the best are made of, in seconds-equivalent. */
function Parts({ result }: { result: OrderResult }) {
  const rows = COST_IDS.filter((cost) => result.now[cost] >= 0.5 || result.best[cost] >= 0.5);
  return (
    <details className="mt-2">
      <summary className="cursor-pointer font-semibold">Why?</summary>
      <table className="mt-1 w-full">
        <thead>
          <tr className="text-[0.8125rem] text-soft">
            <th scope="col" className="text-left font-normal">
              seconds-equivalent
            </th>
            <th scope="col" className="text-right font-normal">
              now
            </th>
            <th scope="col" className="pl-3 text-right font-normal">
              best
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((cost) => (
            <tr key={cost}>
              <th scope="row" className="text-left font-normal">
                {COST_WORDS[cost]}
              </th>
              <td className="text-right">{Math.round(result.now[cost])}</td>
              <td className="pl-3 text-right font-semibold">{Math.round(result.best[cost])}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[0.8125rem] text-soft">
        Set-up is real time. The rest is what one would spend to avoid it, weighed by the school;
        common practice. {result.states.toLocaleString()} sets of items were looked at; no order
        costs less than {Math.round(result.lowerBoundS)} s.
      </p>
    </details>
  );
}

function LockList({
  plan,
  locks,
  onChange,
}: {
  plan: Plan;
  locks: Locks;
  onChange: (locks: Locks) => void;
}) {
  const catalogue = useCatalogue();
  const toggle = (set: ReadonlySet<string>, id: string) => {
    const next = new Set(set);
    if (!next.delete(id)) next.add(id);
    return next;
  };
  const locked = locks.pinned.size + locks.joined.size;
  return (
    <details>
      <summary className="cursor-pointer font-semibold">
        What stays as it is{locked > 0 ? ` (${locked})` : ''}
      </summary>
      <label className="mt-2 flex items-center gap-2">
        <input
          type="checkbox"
          className="size-4 accent-(--fern)"
          checked={locks.partsStay}
          onChange={(event) => onChange({ ...locks, partsStay: event.target.checked })}
        />
        Exercises stay in their part
      </label>
      <ul className="mt-2 flex flex-col">
        {itemsOf(plan).map((item, index) =>
          item.kind === 'pause' ? null : (
            <li key={item.id} className="flex items-center gap-1 border-b border-line py-0.5">
              <span className="min-w-0 flex-1 truncate">
                {catalogue.require(item.exercise).name}
              </span>
              <IconButton
                label={`Keep ${catalogue.require(item.exercise).name} in its place`}
                pressed={locks.pinned.has(item.id)}
                onClick={() => onChange({ ...locks, pinned: toggle(locks.pinned, item.id) })}
              >
                <Pin size={15} aria-hidden />
              </IconButton>
              <IconButton
                label={`Keep ${catalogue.require(item.exercise).name} behind the one before it`}
                pressed={locks.joined.has(item.id)}
                disabled={index === 0}
                onClick={() => onChange({ ...locks, joined: toggle(locks.joined, item.id) })}
              >
                <Link2 size={15} aria-hidden />
              </IconButton>
            </li>
          ),
        )}
      </ul>
    </details>
  );
}
