import { proxy } from 'comlink';
import { useRef, useState, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { toast } from 'sonner';
import type { DraftResult } from '@wrenfern/core/draft/draft-plan';
import { isMixed } from '@wrenfern/core/plan/tracks';
import { DraftWishes, SHORTEST_S } from '@wrenfern/core/draft/wishes';
import { PROPS, type Prop } from '@wrenfern/core/movement/vocabulary';
import { capital, listWords } from '@wrenfern/core/movement/words';
import type { Plan } from '@wrenfern/core/plan/plan';
import type { WholeClass } from '@wrenfern/contract/classes';
import { sentenceOf } from '../../../data/request.ts';
import { useKnownExercises } from '../../../data/catalogue.tsx';
import { searchContext, searchWorker } from '../../../data/search.ts';
import { Button } from '../../../parts/button.tsx';
import { Sheet } from '../../../parts/dialog.tsx';
import { useEditor } from '../editor/plan-context.tsx';
import type { DraftStep } from '../../../workers/search-worker.ts';
import { Proposals } from './proposals.tsx';
import { WishesForm } from './wishes-form.tsx';

type State =
  | { status: 'wishing' }
  | { status: 'drafting'; step: DraftStep | undefined }
  | { status: 'drafted'; result: DraftResult };

/** What the new class was made with. */
function isWanted(state: unknown): boolean {
  return typeof state === 'object' && state !== null && 'draft' in state && state.draft === true;
}

/** Wishes as sentences; three classes that fulfil them, or the wishes that are in the way. */
export function DraftPanel({
  lesson,
  trigger,
  opensItself = false,
}: {
  lesson: WholeClass;
  trigger: ReactNode;
  /** Where a class was made to be drafted, it begins with its wishes. */
  opensItself?: boolean;
}) {
  const plan = useEditor((editor) => editor.plan);
  const wanted: unknown = useLocation().state;
  const [isOpen, setOpen] = useState(opensItself && isWanted(wanted));
  const [state, setState] = useState<State>({ status: 'wishing' });
  const [wishes, setWishes] = useState(() => firstWishes(plan, lesson));
  const [madeFor, setMadeFor] = useState(() => kindOf(plan));
  const draft = useDrafting(lesson, setState);
  const again = () => {
    const next = { ...wishes, seed: wishes.seed + 1 };
    setWishes(next);
    void draft(next);
  };
  return (
    <Sheet
      title="Draft for me"
      description={
        lesson.attendees.length > 0
          ? `For the ${lesson.attendees.length} who come: everyone has something to do, in three ways at most.`
          : 'Nobody is booked yet: the draft knows no cautions.'
      }
      from="wide"
      open={isOpen}
      onOpenChange={(open) => {
        setOpen(open);
        // The class became another since its wishes were written: the rest of them stays.
        const now = kindOf(plan);
        if (open && state.status === 'wishing' && !isEqual(now, madeFor)) {
          setWishes({ ...wishes, ...now, climbTo: undefined, mustHave: [] });
          setMadeFor(now);
        }
        if (!open && state.status === 'drafting') void searchWorker().stop();
      }}
      trigger={trigger}
    >
      <div className="-mx-5 min-h-0 flex-1 overflow-y-auto px-5 pb-4">
        {state.status === 'drafted' ? (
          <Drafted
            lesson={lesson}
            wishes={wishes}
            result={state.result}
            onUse={() => setOpen(false)}
          />
        ) : (
          <WishesForm wishes={wishes} schools={lesson.schools} onChange={setWishes} />
        )}
      </div>
      <div className="-mx-5 -mb-5 flex flex-wrap items-center gap-3 rounded-b-2xl border-t border-line bg-leaf px-5 py-3">
        <Steps state={state} setState={setState} draft={() => void draft(wishes)} again={again} />
        <p className="ml-auto max-w-md text-[0.8125rem] text-soft">
          A draft shows the usual cautions; it clears nobody. Clinicians, makers’ instructions and
          local rules come first.
        </p>
      </div>
    </Sheet>
  );
}

/** What kind of class it is, as far as a draft asks. */
function kindOf(plan: Plan): Pick<DraftWishes, 'machine' | 'twoGroups' | 'school' | 'targetS'> {
  const { machine, school, targetS } = plan;
  return { machine, twoGroups: isMixed(plan), school, targetS: Math.max(SHORTEST_S, targetS) };
}

const isEqual = (one: object, other: object) => JSON.stringify(one) === JSON.stringify(other);

/** What the class says already. */
function firstWishes(plan: Plan, lesson: WholeClass): DraftWishes {
  const { lately } = lesson;
  const props = enoughForAll(lesson);
  return DraftWishes.parse({
    title: plan.title,
    ...kindOf(plan),
    lately,
    props,
  });
}

/** Asks the worker for three classes; only the newest answer counts. */
function useDrafting(lesson: WholeClass, setState: (state: State) => void) {
  const { own } = useKnownExercises();
  const newest = useRef(0);
  return async (wanted: DraftWishes) => {
    // Words of progress come by another way than the result and may arrive after it.
    const mine = (newest.current += 1);
    setState({ status: 'drafting', step: undefined });
    try {
      const result = await searchWorker().draft(
        wanted,
        searchContext(lesson, own),
        proxy((step: DraftStep) => {
          if (newest.current === mine) setState({ status: 'drafting', step });
        }),
      );
      if (newest.current !== mine) return;
      newest.current += 1;
      setState(result ? { status: 'drafted', result } : { status: 'wishing' });
    } catch (error) {
      newest.current += 1;
      setState({ status: 'wishing' });
      toast.error(sentenceOf(error));
    }
  };
}

/** What can be done next, by how far it has come. */
function Steps({
  state,
  setState,
  draft,
  again,
}: {
  state: State;
  setState: (state: State) => void;
  draft: () => void;
  again: () => void;
}) {
  return (
    <>
      {state.status === 'wishing' ? (
        <Button look="main" onClick={draft}>
          Draft three classes
        </Button>
      ) : null}
      {state.status === 'drafting' ? (
        <>
          <p role="status" className="font-semibold">
            {state.step
              ? `${capital(state.step.phase)} … ${state.step.ready} of ${state.step.of} ready`
              : 'Starting …'}
          </p>
          <Button onClick={() => void searchWorker().stop()}>Stop, keep what is ready</Button>
        </>
      ) : null}
      {state.status === 'drafted' ? (
        <>
          <Button onClick={() => setState({ status: 'wishing' })}>Change the wishes</Button>
          {state.result.kind === 'proposals' ? <Button onClick={again}>Three others</Button> : null}
        </>
      ) : null}
    </>
  );
}

/** Props of which there is one for everyone who comes; undefined when that is all of them. */
function enoughForAll({ cupboard, attendees }: WholeClass): Prop[] | undefined {
  const wanted = Math.max(1, attendees.length);
  const enough = PROPS.filter((prop) => (cupboard[prop] ?? 0) >= wanted);
  return enough.length === PROPS.length ? undefined : enough;
}

function Drafted({
  lesson,
  wishes,
  result,
  onUse,
}: {
  lesson: WholeClass;
  wishes: DraftWishes;
  result: DraftResult;
  onUse: () => void;
}) {
  if (result.kind === 'proposals') {
    return <Proposals lesson={lesson} wishes={wishes} proposals={result.proposals} onUse={onUse} />;
  }
  return (
    <div
      role="alert"
      className="max-w-2xl rounded-2xl border border-copper-line bg-copper-soft p-5"
    >
      <h3 className="text-lg text-copper">
        {result.kind === 'conflict'
          ? 'These can’t be had together'
          : 'No class was found in the time there was'}
      </h3>
      {result.kind === 'conflict' ? (
        <>
          <p className="mt-1 text-lg">{capital(listWords(result.wishes))}.</p>
          <p className="mt-1">
            No smaller set of your wishes is in the way. Let go of one of them and the rest can be
            had, as far as these are concerned.
          </p>
        </>
      ) : (
        <p className="mt-1">
          Nothing shows that there is none. Wish for less, or try three others.
        </p>
      )}
    </div>
  );
}
