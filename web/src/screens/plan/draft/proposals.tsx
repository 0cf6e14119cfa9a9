import { RefreshCw } from 'lucide-react';
import { Fragment, useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { Proposal } from '@wrenfern/core/draft/draft-plan';
import type { DraftWishes } from '@wrenfern/core/draft/wishes';
import { capital, PLACE_WORDS } from '@wrenfern/core/movement/words';
import { bracketWords } from '@wrenfern/core/plan/bracket-words';
import { runsOf } from '@wrenfern/core/plan/occurrences';
import type { Item, Plan } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { showClock } from '@wrenfern/core/plan/show-time';
import { describeItemDose } from '@wrenfern/core/plan/variants';
import type { GearBlock } from '@wrenfern/core/room/gear-blocks';
import { settingWords } from '@wrenfern/core/room/gear-words';
import type { WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue, useKnownExercises } from '../../../data/catalogue.tsx';
import { analyseClass } from '../../../data/class-analysis.ts';
import { sentenceOf } from '../../../data/request.ts';
import { searchContext, searchWorker } from '../../../data/search.ts';
import { Button } from '../../../parts/button.tsx';
import { Rose } from '../../../parts/rose.tsx';
import { ComparePlans } from '../editor/compare-plans.tsx';
import { useEditor } from '../editor/plan-context.tsx';
import { replacePlan } from './replace-plan.ts';

interface ProposalsProps {
  lesson: WholeClass;
  wishes: DraftWishes;
  proposals: readonly Proposal[];
  onUse: () => void;
}

/** Three classes beside one another, each item with its reason and its next best. */
export function Proposals({ proposals, ...rest }: ProposalsProps) {
  return (
    <div className="grid gap-4 lg:grid-cols-3">
      {proposals.map((proposal) => (
        <Card key={proposal.id} proposal={proposal} {...rest} />
      ))}
    </div>
  );
}

type CardProps = Omit<ProposalsProps, 'proposals'> & { proposal: Proposal };

function Card({ proposal, lesson, wishes, onUse }: CardProps) {
  const catalogue = useCatalogue();
  const now = useEditor((editor) => editor.plan);
  const edit = useEditor((editor) => editor.edit);
  const [plan, setPlan] = useState<Plan>(proposal.plan);
  const { timeline, coverage, findings, gear } = useMemo(
    () => analyseClass(lesson, plan, catalogue),
    [lesson, plan, catalogue],
  );
  const use = () => {
    edit(replacePlan(now, plan));
    toast.success('The draft is your class now. Undo brings the old one back.');
    onUse();
  };
  return (
    <article className="flex flex-col rounded-2xl border border-line bg-leaf p-4">
      <div className="flex items-start gap-2">
        <div className="min-w-0 flex-1">
          <h3 className="text-lg">{proposal.name}</h3>
          <p className="text-[0.8125rem] text-soft">{proposal.character}</p>
        </div>
        <Rose seconds={coverage.seconds} size={58} small />
      </div>
      <p className="mt-1 font-semibold">
        {showClock(timeline.totalS)} of {showClock(timeline.targetS)} · {findings.length} to settle
        {gear.length > 1 ? ` · gear ${gear.length} times` : ''}
      </p>
      <div className="my-3 flex flex-wrap gap-2">
        <Button look="main" onClick={use}>
          Use this one
        </Button>
        <ComparePlans
          lesson={lesson}
          one={{ name: 'Now', plan: now }}
          other={{ name: proposal.name, plan }}
          trigger={<Button>Beside my class</Button>}
        />
      </div>
      {plan.segments.map((segment) => (
        <section key={segment.id} aria-label={segment.name}>
          <h4 className="title mt-1 text-fern">
            {segment.name}
            {segment.station ? (
              <span className="font-text text-[0.8125rem] text-soft">
                {' '}
                {PLACE_WORDS[segment.station]}
              </span>
            ) : null}
          </h4>
          {runsOf(segment, plan.brackets).map(({ bracket, items }) => (
            <Fragment key={items[0]?.id}>
              {bracket ? (
                <p className="mt-1 text-[0.8125rem] font-semibold text-fern">
                  {capital(bracketWords(bracket))}
                </p>
              ) : null}
              <ol className={bracket ? 'border-l-2 border-fern-light pl-2' : ''}>
                {items.map((item) => (
                  <ProposedItem
                    key={item.id}
                    item={item}
                    plan={plan}
                    reason={proposal.reasons[item.id]}
                    gear={gear.find(({ itemIds }) => itemIds[0] === item.id)}
                    lesson={lesson}
                    wishes={wishes}
                    onSwap={setPlan}
                  />
                ))}
              </ol>
            </Fragment>
          ))}
        </section>
      ))}
    </article>
  );
}

interface ItemProps {
  item: Item;
  plan: Plan;
  reason: string | undefined;
  /** How the machine is set for it and what follows, where that changes here. */
  gear: GearBlock | undefined;
  lesson: WholeClass;
  wishes: DraftWishes;
  onSwap: (plan: Plan) => void;
}

function ProposedItem({ item, plan, reason, gear, lesson, wishes, onSwap }: ItemProps) {
  const { catalogue, own } = useKnownExercises();
  const [isBusy, setBusy] = useState(false);
  if (item.kind === 'pause') {
    return (
      <li className="border-b border-line py-1 text-soft">
        {item.label}, {showClock(item.durationS)}
      </li>
    );
  }
  const exercise = catalogue.require(item.exercise);
  const swap = async () => {
    setBusy(true);
    try {
      const others = await searchWorker().nextBest(
        plan,
        item.id,
        // Of two groups, what is done at the same place.
        wishes.twoGroups ? { ...wishes, machine: exercise.machine } : wishes,
        searchContext(lesson, own),
      );
      const [best] = others;
      if (best) {
        onSwap(best.plan);
        toast.success(`${best.name} in its place: ${best.why}`);
      } else {
        toast.error(`Nothing else can stand in for ${exercise.name}.`);
      }
    } catch (error) {
      toast.error(sentenceOf(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <li className="flex items-start gap-2 border-b border-line py-1">
      <span className="min-w-0 flex-1">
        {gear ? (
          <span className="mb-0.5 block text-[0.8125rem] leading-snug text-slate">
            {settingWords(gear, lesson.machines)}
          </span>
        ) : null}
        <span className="block leading-snug font-semibold">
          {exercise.name}
          <span className="font-normal text-soft">
            {' '}
            · {describeItemDose(item, exercise, rulesOf(plan.school))}
          </span>
        </span>
        <span className="block text-[0.8125rem] leading-snug text-soft">
          {reason ?? 'Its next best, chosen by you.'}
        </span>
      </span>
      <button
        type="button"
        aria-label={`Another in place of ${exercise.name}`}
        title="Another in its place"
        disabled={isBusy}
        onClick={() => void swap()}
        className="grid size-7 shrink-0 place-items-center rounded-lg text-fern hover:bg-mist disabled:opacity-40"
      >
        <RefreshCw size={14} aria-hidden />
      </button>
    </li>
  );
}
