import { clsx } from 'clsx';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { Finding, Repair } from '@wrenfern/core/order/rule';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { Analysis } from '@wrenfern/core';
import { IconButton } from '../../parts/icon-button.tsx';
import { Note } from '../../parts/note.tsx';
import {
  compareFindings,
  filterFindings,
  findingId,
  groupFindings,
  stepFinding,
  type FindingFilter,
} from './findings.ts';
import { useEditor, usePlanScreen } from './plan-context.tsx';

/** What is left to settle, grouped and counted; one finding at a time with its reason and repairs. */
export function FindingsStrip() {
  const { analysis, preview, mayEdit } = usePlanScreen();
  const [filter, setFilter] = useState<FindingFilter>('all');
  const focused = useEditor((editor) => editor.focusedFinding);
  const focus = useEditor((editor) => editor.focusFinding);
  const select = useEditor((editor) => editor.select);
  const { findings } = analysis;
  if (preview) return <DropPreview now={analysis} then={preview} />;
  if (findings.length === 0) {
    return (
      <p className="flex-1 self-center text-soft">
        {analysis.timeline.items.length === 0
          ? mayEdit
            ? 'Drag an exercise into the class, press + on one, or let Wrenfern draft it.'
            : 'Nothing planned yet.'
          : 'Nothing left to settle.'}
      </p>
    );
  }
  const filtered = filterFindings(findings, filter);
  const shown = filtered.length > 0 ? filtered : findings;
  const at = shown.findIndex((finding) => findingId(finding) === focused);
  const finding = shown[Math.max(0, at)];
  const step = (by: 1 | -1) => {
    const next = stepFinding(shown, finding && findingId(finding), by);
    if (!next) return;
    focus(findingId(next));
    select(next.itemIds[0]);
  };
  return (
    <section
      aria-label={`${findings.length} to settle`}
      className="flex min-w-0 flex-1 flex-col gap-1 py-1.5 max-md:order-last max-md:basis-full"
    >
      <div className="flex items-center gap-1.5">
        <div
          className="flex min-w-0 flex-1 gap-1.5 overflow-x-auto"
          role="group"
          aria-label="Findings by kind"
        >
          {groupFindings(findings).map((group) => (
            <button
              key={group.filter}
              type="button"
              aria-pressed={filter === group.filter}
              onClick={() => setFilter(group.filter)}
              className={clsx(
                'min-h-6 shrink-0 rounded-full border px-2.5 text-[0.8125rem] whitespace-nowrap',
                filter === group.filter
                  ? 'border-fern bg-mist font-semibold text-fern'
                  : group.filter === 'must'
                    ? 'border-copper-line bg-copper-soft text-copper'
                    : 'border-line bg-leaf',
              )}
            >
              {group.name} {group.count}
            </button>
          ))}
        </div>
        <IconButton label="The finding before (p)" onClick={() => step(-1)}>
          <ChevronLeft size={16} aria-hidden />
        </IconButton>
        <span className="min-w-12 text-center text-[0.8125rem] text-soft" aria-live="polite">
          {Math.max(0, at) + 1} of {shown.length}
        </span>
        <IconButton label="The next finding (n)" onClick={() => step(1)}>
          <ChevronRight size={16} aria-hidden />
        </IconButton>
      </div>
      {finding ? <FindingCard key={findingId(finding)} finding={finding} /> : null}
    </section>
  );
}

function FindingCard({ finding }: { finding: Finding }) {
  const edit = useEditor((editor) => editor.edit);
  const select = useEditor((editor) => editor.select);
  const focus = useEditor((editor) => editor.focusFinding);
  const { mayEdit } = usePlanScreen();
  const repairs = useMemo(() => (mayEdit ? finding.repairs() : []), [mayEdit, finding]);
  return (
    <article
      className={clsx(
        'flex min-h-0 flex-1 flex-col rounded-xl border px-3 py-1',
        finding.binding ? 'border-copper-line bg-copper-soft' : 'border-line bg-paper',
      )}
    >
      <div className="flex items-start gap-3">
        <button
          type="button"
          className="line-clamp-2 min-w-0 flex-1 text-left leading-snug font-semibold"
          title={finding.sentence}
          onClick={() => {
            focus(findingId(finding));
            select(finding.itemIds[0]);
          }}
        >
          {finding.sentence}
        </button>
        <Why finding={finding} repairs={repairs} />
      </div>
      <p className="line-clamp-1 text-[0.8125rem] text-soft md:max-lg:hidden" title={finding.why}>
        {finding.why}
      </p>
      <div className="mt-auto grid gap-x-4 md:grid-cols-2 lg:grid-cols-3">
        {repairs.map((repair, index) => (
          <button
            key={repair.label}
            type="button"
            className="min-h-6 min-w-0 truncate text-left text-[0.8125rem] font-semibold text-copper underline"
            title={`${repair.label}${leaves(repair)} (key ${index + 1})`}
            onClick={() => edit(repair.edit)}
          >
            {repair.label}
          </button>
        ))}
        {mayEdit && repairs.length === 0 ? (
          <span className="text-[0.8125rem] text-soft">Nothing offered: decide by hand.</span>
        ) : null}
      </div>
    </article>
  );
}

function leaves({ left }: Repair): string {
  return left === undefined ? '' : `, leaves ${left} to settle in the order`;
}

function Why({ finding, repairs }: { finding: Finding; repairs: readonly Repair[] }) {
  const edit = useEditor((editor) => editor.edit);
  return (
    <Note className="min-h-6 shrink-0 text-soft underline decoration-dotted" trigger="why?">
      <p className="font-semibold">{finding.sentence}</p>
      <p>{finding.why}</p>
      <p className="text-soft">
        {finding.binding ? 'Must hold' : 'Should hold'}. {finding.statement} Common practice.
      </p>
      {repairs.map((repair) => (
        <button
          key={repair.label}
          type="button"
          className="rounded-lg border border-line-strong/60 px-3 py-1.5 text-left hover:bg-mist"
          onClick={() => edit(repair.edit)}
        >
          <span className="font-semibold">{repair.label}</span>
          <span className="text-soft">{leaves(repair)}</span>
        </button>
      ))}
    </Note>
  );
}

/** Said while something is held over a place: minutes, what it would settle, what it would break. */
function DropPreview({ now, then }: { now: Analysis; then: Analysis }) {
  const { added, settled } = compareFindings(now.findings, then.findings);
  const moreS = then.timeline.totalS - now.timeline.totalS;
  return (
    <section
      aria-label="If dropped here"
      data-testid="drop-preview"
      className="flex min-w-0 flex-1 flex-col justify-center gap-0.5 py-2"
    >
      <p className="font-semibold">
        Dropped here: {showClock(then.timeline.totalS)}
        {moreS === 0
          ? ', no time lost'
          : `, ${showClock(Math.abs(moreS))} ${moreS > 0 ? 'more' : 'less'}`}
      </p>
      <p className={clsx('line-clamp-2', added.length > 0 ? 'text-copper' : 'text-soft')}>
        {added.length > 0
          ? `${added.length} new: ${added.map(({ sentence }) => sentence).join(' ')}`
          : 'Breaks nothing.'}
      </p>
      {settled.length > 0 ? (
        <p className="line-clamp-1 text-fern">
          Settles {settled.length}: {settled.map(({ sentence }) => sentence).join(' ')}
        </p>
      ) : null}
    </section>
  );
}
