import { clsx } from 'clsx';
import { useMemo, type ReactNode } from 'react';
import { movedItems } from '@wrenfern/core/order/search/moves';
import { itemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { WholeClass } from '../../data/api-types.ts';
import { analyseClass } from '../../data/class-analysis.ts';
import { Sheet } from '../../parts/dialog.tsx';
import { Rose } from '../../parts/rose.tsx';
import { compareFindings } from './findings.ts';

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
  const [first, second] = useMemo(
    () => [analyseClass(lesson, one.plan), analyseClass(lesson, other.plan)],
    [lesson, one.plan, other.plan],
  );
  const { added, settled } = compareFindings(first.findings, second.findings);
  return (
    <>
      <p className="mb-3">
        {settled.length > 0 ? (
          <span className="text-fern">
            {other.name} settles {settled.length}:{' '}
            {settled
              .slice(0, 2)
              .map(({ sentence }) => sentence)
              .join(' ')}
            {settled.length > 2 ? ` And ${settled.length - 2} more.` : ''}{' '}
          </span>
        ) : null}
        {added.length > 0 ? (
          <span className="text-copper">
            It brings {added.length} new:{' '}
            {added
              .slice(0, 2)
              .map(({ sentence }) => sentence)
              .join(' ')}
            {added.length > 2 ? ` And ${added.length - 2} more.` : ''}
          </span>
        ) : null}
        {settled.length + added.length === 0 ? 'Both leave the same to settle.' : null}
      </p>
      <div className="grid min-h-0 flex-1 grid-cols-2 gap-4 overflow-y-auto">
        <Side version={one} analysis={first} beside={other.plan} />
        <Side version={other} analysis={second} beside={one.plan} isNew />
      </div>
    </>
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
                const isElsewhere = elsewhere.has(item.itemId);
                const gone = isNew ? 'added' : 'taken out';
                const change = !isElsewhere ? gone : moved.has(item.itemId) ? 'moved' : '';
                return (
                  <li
                    key={item.itemId}
                    className={clsx(
                      'flex items-baseline gap-2 rounded-lg border px-2 py-1',
                      change === 'moved' && 'border-fern bg-mist',
                      (change === 'added' || change === 'taken out') &&
                        'border-copper-line bg-copper-soft',
                      change === '' && 'border-line bg-leaf',
                    )}
                  >
                    <span className="w-11 shrink-0 text-right text-[0.8125rem] text-soft">
                      {showClock(item.startS)}
                    </span>
                    <span className="min-w-0 flex-1 truncate">{item.name}</span>
                    {change ? (
                      <span className="shrink-0 text-[0.75rem] text-soft">{change}</span>
                    ) : null}
                    <span className="shrink-0 text-[0.8125rem] text-soft">
                      {showClock(item.durationS)}
                    </span>
                  </li>
                );
              })}
            </ol>
          </li>
        ))}
      </ol>
    </section>
  );
}
