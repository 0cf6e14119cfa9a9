import { clsx } from 'clsx';
import { useMemo, type ReactNode } from 'react';
import { movedItems } from '@wrenfern/core/search/moves';
import type { Finding } from '@wrenfern/core/review/rule';
import { itemsOf, type Plan } from '@wrenfern/core/plan/plan';
import type { TimedItem } from '@wrenfern/core/plan/timing/timeline';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { analyseClass } from '../../../data/class-analysis.ts';
import { Sheet } from '../../../parts/dialog.tsx';
import { Rose } from '../../../parts/rose.tsx';
import { compareFindings, findingId } from '@wrenfern/core/review/finding-list';

export interface Version {
  name: string;
  plan: Plan;
}

/** Two versions of a class side by side: what was moved, added, taken out, and what it does. */
export function ComparePlans({
  lesson,
  one,
  other,
  trigger,
}: {
  lesson: WholeClass;
  one: Version;
  other: Version;
  trigger: ReactNode;
}) {
  return (
    <Sheet title={`${one.name} and ${other.name.toLowerCase()}`} from="wide" trigger={trigger}>
      <Sides lesson={lesson} one={one} other={other} />
    </Sheet>
  );
}

function Sides({ lesson, one, other }: { lesson: WholeClass; one: Version; other: Version }) {
  const catalogue = useCatalogue();
  const [first, second] = useMemo(
    () => [analyseClass(lesson, one.plan, catalogue), analyseClass(lesson, other.plan, catalogue)],
    [lesson, one.plan, other.plan, catalogue],
  );
  const { added, settled } = compareFindings(first.findings, second.findings);
  return (
    <>
      {settled.length + added.length === 0 ? (
        <p className="mb-3">Both leave the same to settle.</p>
      ) : (
        <div className="mb-3 grid max-h-44 gap-4 overflow-y-auto sm:grid-cols-2">
          <Changes title={`${other.name} settles`} findings={settled} tone="text-fern" />
          <Changes title="It brings" findings={added} tone="text-copper" />
        </div>
      )}
      <div className="grid min-h-0 flex-1 grid-cols-2 gap-4 overflow-y-auto">
        <Side version={one} analysis={first} beside={other.plan} />
        <Side version={other} analysis={second} beside={one.plan} isNew />
      </div>
    </>
  );
}

/** What changes for better or worse, one line each, gravest first. */
function Changes({
  title,
  findings,
  tone,
}: {
  title: string;
  findings: readonly Finding[];
  tone: string;
}) {
  if (findings.length === 0) return <p className="text-soft">{title} nothing.</p>;
  const sorted = findings.toSorted((one, other) => Number(other.binding) - Number(one.binding));
  return (
    <section aria-label={title}>
      <h3 className={clsx('text-base', tone)}>
        {title} {findings.length}
      </h3>
      <ul className="list-disc pl-5">
        {sorted.map((finding) => (
          <li key={findingId(finding)}>{finding.sentence}</li>
        ))}
      </ul>
    </section>
  );
}

function Side({
  version,
  analysis,
  beside,
  isNew = false,
}: {
  version: Version;
  analysis: ReturnType<typeof analyseClass>;
  beside: Plan;
  isNew?: boolean;
}) {
  const { timeline, findings, coverage } = analysis;
  const elsewhere = new Set(itemsOf(beside).map(({ id }) => id));
  const moved = movedItems(beside, version.plan);
  return (
    <section aria-label={version.name} className="min-w-0">
      <div className="mb-2 flex items-center gap-3">
        <div className="min-w-0 flex-1">
          <h3 className="text-lg">{version.name}</h3>
          <p className="text-soft">
            {showClock(timeline.totalS)} of {showClock(timeline.targetS)} · {findings.length} to
            settle
          </p>
        </div>
        <Rose seconds={coverage.seconds} size={64} small />
      </div>
      <ol className="flex flex-col gap-1">
        {timeline.segments.map((segment) => (
          <li key={segment.segmentId}>
            <p className="title mt-1 text-fern">{segment.name}</p>
            <ol className="flex flex-col gap-1">
              {segment.items.map((item) => {
                const gone = isNew ? 'added' : 'taken out';
                const stays = moved.has(item.itemId) ? 'moved' : '';
                const change = elsewhere.has(item.itemId) ? stays : gone;
                return <SideItem key={item.itemId} item={item} change={change} />;
              })}
            </ol>
          </li>
        ))}
      </ol>
    </section>
  );
}

interface SideItemProps {
  item: TimedItem;
  change: 'added' | 'taken out' | 'moved' | '';
}

function SideItem({ item, change }: SideItemProps) {
  return (
    <li
      className={clsx(
        'flex items-baseline gap-2 rounded-lg border px-2 py-1',
        change === 'moved' && 'border-fern bg-mist',
        (change === 'added' || change === 'taken out') && 'border-copper-line bg-copper-soft',
        change === '' && 'border-line bg-leaf',
      )}
    >
      <span className="w-11 shrink-0 text-right text-[0.8125rem] text-soft">
        {showClock(item.startS)}
      </span>
      <span className="min-w-0 flex-1 truncate">{item.name}</span>
      {change ? <span className="shrink-0 text-[0.75rem] text-soft">{change}</span> : null}
      <span className="shrink-0 text-[0.8125rem] text-soft">{showClock(item.durationS)}</span>
    </li>
  );
}
