import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { clsx } from 'clsx';
import { ArrowLeftRight } from 'lucide-react';
import { Fragment, useMemo, type ReactNode } from 'react';
import type { Finding } from '@wrenfern/core/review/rule';
import { capital, PLACE_WORDS } from '@wrenfern/core/movement/words';
import { STATIONS } from '@wrenfern/core/people/two-groups';
import type { Segment } from '@wrenfern/core/plan/plan';
import type { Timeline } from '@wrenfern/core/plan/timing/timeline';
import { isMixed, mixedParts, type MixedPlan } from '@wrenfern/core/plan/tracks';
import { showClock } from '@wrenfern/core/plan/show-time';
import { flatIds, headerId } from '@wrenfern/core/review/arrange-rows';
import { findingId } from '@wrenfern/core/review/finding-list';
import { BracketFoot, BracketFrame, BracketHead } from './bracket-frame.tsx';
import { LaneHeads, Lanes, type LaneSet } from './lanes.tsx';
import { ItemRow, type Mark } from './item-row.tsx';
import { useEditor, usePlanScreen } from '../editor/plan-context.tsx';
import { PlanTools } from '../plan-tools.tsx';
import { WaysToBegin } from '../adding/ways-to-begin.tsx';
import { layOutScore, type ScoreHeader } from './score-layout.ts';

/** A finding about more rows than this speaks of the whole class and marks none. */
const MARKS_AT_MOST = 3;

/** The running order: time runs down, lanes run beside it; two groups that change over stand side by side. */
export function Score() {
  const { mayEdit } = usePlanScreen();
  const plan = useEditor((editor) => editor.plan);
  const isEmpty = plan.segments.every(({ items }) => items.length === 0);
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex min-h-9 shrink-0 flex-wrap items-center border-b border-line max-md:hidden">
        <div className="flex min-w-max flex-auto items-center gap-1 py-0.5 pl-2 whitespace-nowrap max-lg:hidden [&>button]:px-2 [&>button]:text-[0.8125rem] max-[85rem]:[&>button>svg]:hidden">
          {mayEdit ? <PlanTools isMain /> : null}
        </div>
        {isMixed(plan) ? null : (
          <div className="ml-auto flex h-8" data-walk="lanes">
            <LaneHeads />
            <span className="w-4" />
          </div>
        )}
      </div>
      <div className="min-h-0 flex-1 overflow-y-auto" style={{ scrollbarGutter: 'stable' }}>
        <div className="pr-1 pb-10">
          {isMixed(plan) ? (
            <ScoreOfBoth plan={plan} />
          ) : (
            <Running label="Running order" segments={plan.segments} />
          )}
        </div>
        {mayEdit && isEmpty ? <WaysToBegin /> : null}
      </div>
    </div>
  );
}

/** What all do together, over the whole width; between it the two halves, by one clock. */
function ScoreOfBoth({ plan }: { plan: MixedPlan }) {
  const { analysis } = usePlanScreen();
  const { before, at, after } = mixedParts(plan);
  const { durationS } = plan.changeOver;
  const halfEndS = Math.max(
    0,
    ...STATIONS.flatMap((station) => {
      const own = new Set(at[station].map(({ id }) => id));
      return analysis.timeline.segments
        .filter(({ segmentId }) => own.has(segmentId))
        .map((segment) => segment.startS + segment.durationS);
    }),
  );
  return (
    <>
      <Running label="All together first" segments={before} lanes="short" />
      <div className="my-2 grid grid-cols-2 gap-1 max-md:grid-cols-1" data-walk="lanes">
        {STATIONS.map((station) => (
          <section
            key={station}
            aria-label={capital(PLACE_WORDS[station])}
            className="min-w-0 rounded-2xl bg-mist/40 py-1"
          >
            <h2 className="px-3 font-text text-base font-semibold">
              {capital(PLACE_WORDS[station])}
            </h2>
            <Running
              label={`Running order ${PLACE_WORDS[station]}`}
              segments={at[station]}
              lanes={station === 'reformer' ? 'gear' : 'none'}
              isNarrow
            />
          </section>
        ))}
      </div>
      <p className="mx-2 flex items-center gap-3 rounded-xl bg-slate-soft px-3 py-2 text-slate">
        <ArrowLeftRight size={16} aria-hidden />
        <span className="font-semibold">Change over at {showClock(halfEndS)}</span>
        <span className="text-[0.8125rem]">
          {showClock(durationS)}, then each group does what the other did
        </span>
      </p>
      <Running label="All together again" segments={after} lanes="short" />
    </>
  );
}

interface RunningProps {
  label: string;
  segments: readonly Segment[];
  lanes?: LaneSet;
  /** Half as wide. */
  isNarrow?: boolean;
}

/** Parts with their rows, and what runs beside them. */
function Running({ label, segments, lanes, isNarrow = false }: RunningProps) {
  const { analysis } = usePlanScreen();
  const plan = useEditor((editor) => editor.plan);
  const layout = useMemo(
    () => layOutScore(partsOf(analysis.timeline, segments), plan),
    [analysis.timeline, segments, plan],
  );
  const items = new Map(
    segments.flatMap((segment) => segment.items).map((item) => [item.id, item]),
  );
  const focusedId = useEditor((editor) => editor.focusedFinding);
  const marks = marksOf(analysis.findings, focusedId);
  return (
    <div className="flex">
      <SortableContext items={flatIds({ segments })} strategy={verticalListSortingStrategy}>
        <ol aria-label={label} className="relative min-w-0 flex-1 list-none pl-2">
          {layout.brackets.map((bracket) => (
            <BracketFrame key={bracket.itemIds[0]} bracket={bracket} />
          ))}
          {layout.headers.map((header) => (
            <SegmentRows
              key={header.segmentId}
              header={header}
              isEmpty={!layout.rows.some(({ item }) => item.segmentId === header.segmentId)}
              isNarrow={isNarrow}
              targetS={segments.find(({ id }) => id === header.segmentId)?.targetS}
            >
              {layout.rows
                .filter(({ item }) => item.segmentId === header.segmentId)
                .map((row) => {
                  const item = items.get(row.item.itemId);
                  if (!item) return null;
                  const own = layout.brackets.find(({ itemIds }) => itemIds.includes(item.id));
                  return (
                    <Fragment key={item.id}>
                      {own?.itemIds[0] === item.id ? <BracketHead bracket={own} /> : null}
                      <ItemRow
                        row={row}
                        item={item}
                        mark={marks.get(item.id)}
                        isNarrow={isNarrow}
                      />
                      {own?.itemIds.at(-1) === item.id ? <BracketFoot bracket={own} /> : null}
                    </Fragment>
                  );
                })}
            </SegmentRows>
          ))}
        </ol>
      </SortableContext>
      <div className="shrink-0 max-md:hidden">
        <Lanes layout={layout} set={lanes} />
      </div>
    </div>
  );
}

/** The same clock with these parts alone. */
function partsOf(timeline: Timeline, segments: readonly Segment[]): Timeline {
  const own = new Set(segments.map(({ id }) => id));
  const parts = timeline.segments.filter(({ segmentId }) => own.has(segmentId));
  return { ...timeline, segments: parts, items: parts.flatMap(({ items }) => items) };
}

function marksOf(findings: readonly Finding[], focusedId: string | undefined): Map<string, Mark> {
  const marks = new Map<string, Mark>();
  const marking = findings.filter(({ itemIds }) => itemIds.length <= MARKS_AT_MOST);
  for (const { itemIds, binding } of marking) {
    for (const id of itemIds)
      if (binding || !marks.has(id)) marks.set(id, binding ? 'must' : 'should');
  }
  const focused = findings.find((finding) => findingId(finding) === focusedId);
  for (const id of focused?.itemIds ?? []) marks.set(id, 'focused');
  return marks;
}

function SegmentRows({
  header,
  isEmpty,
  isNarrow,
  targetS,
  children,
}: {
  header: ScoreHeader;
  isEmpty: boolean;
  isNarrow: boolean;
  /** How long it is meant to last. */
  targetS: number | undefined;
  children: ReactNode;
}) {
  const { setNodeRef, transform, transition, isOver } = useSortable({
    id: headerId(header.segmentId),
    disabled: { draggable: true },
  });
  const { mayEdit } = usePlanScreen();
  return (
    <>
      <li
        ref={setNodeRef}
        style={{
          height: header.height,
          marginBottom: 4,
          transform: CSS.Translate.toString(transform),
          transition,
        }}
        className={clsx(
          'flex items-end gap-3',
          isNarrow ? 'pl-2' : 'pl-14',
          isOver && 'border-b-2 border-fern',
        )}
      >
        <h2 className="max-w-3/4 shrink-0 truncate text-base text-fern">{header.name}</h2>
        <span className="mb-1 min-w-0 truncate text-[0.8125rem] text-soft">
          {isEmpty
            ? mayEdit
              ? 'empty: drop an exercise here'
              : 'empty'
            : showClock(header.durationS)}
          {targetS === undefined ? '' : ` of ${showClock(targetS)}`}
        </span>
        <span className="mb-2.5 h-px min-w-2 flex-1 bg-line" />
      </li>
      {children}
    </>
  );
}
