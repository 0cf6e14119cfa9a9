import { clsx } from 'clsx';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useMemo, useState, type ReactNode } from 'react';
import { useLesson } from '../../../data/use-lesson.ts';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { FITS_ITS_PART } from '@wrenfern/core/review/part-findings';
import { FITS_THE_HOUR } from '@wrenfern/core/review/time-findings';
import { fitRepairs } from '@wrenfern/core/fit/fit-repairs';
import { useFit } from '../fit/use-fit.ts';
import { repairsIn } from '../../../data/class-analysis.ts';
import type { Finding, Repair } from '@wrenfern/core/review/rule';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { Analysis } from '@wrenfern/core';
import { IconButton } from '../../../parts/icon-button.tsx';
import { Note } from '../../../parts/note.tsx';
import {
  compareFindings,
  filterFindings,
  findingId,
  groupFindings,
  stepFinding,
  type FindingFilter,
} from '@wrenfern/core/review/finding-list';
import { useEditor, usePlanScreen } from '../editor/plan-context.tsx';
import { OnPurpose } from './on-purpose.tsx';

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
      className="flex min-w-0 flex-1 py-1.5 max-md:order-last max-md:basis-full max-md:py-0"
    >
      {finding ? (
        <FindingCard key={findingId(finding)} finding={finding}>
          <ByKind findings={findings} filter={filter} onChange={setFilter} />
          <IconButton label="The finding before (p)" onClick={() => step(-1)}>
            <ChevronLeft size={16} aria-hidden />
          </IconButton>
          <span
            className="min-w-11 text-center text-[0.8125rem] whitespace-nowrap text-soft"
            aria-live="polite"
          >
            {Math.max(0, at) + 1} of {shown.length}
          </span>
          <IconButton label="The next finding (n)" onClick={() => step(1)}>
            <ChevronRight size={16} aria-hidden />
          </IconButton>
        </FindingCard>
      ) : null}
    </section>
  );
}

function ByKind({
  findings,
  filter,
  onChange,
}: {
  findings: readonly Finding[];
  filter: FindingFilter;
  onChange: (filter: FindingFilter) => void;
}) {
  const groups = groupFindings(findings);
  return (
    <select
      aria-label="Findings by kind"
      value={filter}
      onChange={(event) => {
        const chosen = groups.find((group) => group.filter === event.target.value);
        if (chosen) onChange(chosen.filter);
      }}
      className="min-h-7 max-w-32 rounded-lg border border-line-strong/50 bg-leaf px-1.5 text-[0.8125rem] text-ink max-md:hidden"
    >
      {groups.map((group) => (
        <option key={group.filter} value={group.filter}>
          {group.name} {group.count}
        </option>
      ))}
    </select>
  );
}

/** What would settle it; nothing for whoever may only look, undefined while it is looked for. */
function useRepairs(finding: Finding): readonly Repair[] | undefined {
  const { lesson } = useLesson();
  const catalogue = useCatalogue();
  const { editor, mayEdit } = usePlanScreen();
  // A finding is made anew with each change of the plan: proven once for each.
  const plan = useEditor((state) => state.plan);
  const part = usePartToFit(finding);
  const isAboutTime = finding.rule === FITS_THE_HOUR || part !== undefined;
  const wantedS = part ? part.classS : plan.targetS;
  const fit = useFit(plan, isAboutTime && mayEdit ? wantedS : undefined, part?.open);
  const atOnce = useMemo(
    () =>
      mayEdit && !isAboutTime ? repairsIn(lesson, editor.getState().plan, catalogue, finding) : [],
    [mayEdit, isAboutTime, lesson, editor, catalogue, finding],
  );
  if (!isAboutTime || !mayEdit) return atOnce;
  return fit && fitRepairs(fit, part?.lastsS);
}

/** Of a part that lasts too long or too short: what it holds, and how long the class would be with it right. */
function usePartToFit({ rule, itemIds }: Finding) {
  const plan = useEditor((state) => state.plan);
  const { timeline } = usePlanScreen().analysis;
  const part = plan.segments.find(({ items }) => items.some(({ id }) => itemIds.includes(id)));
  const open = useMemo(() => new Set(itemIds), [itemIds]);
  if (rule !== FITS_ITS_PART || part?.targetS === undefined) return undefined;
  const lasts = timeline.segments.find(({ segmentId }) => segmentId === part.id);
  const lastsS = lasts?.durationS ?? 0;
  return { open, lastsS, classS: timeline.totalS + part.targetS - lastsS };
}

/** One finding: what, why, and what would settle it, to the last word. */
function FindingCard({ finding, children }: { finding: Finding; children: ReactNode }) {
  const edit = useEditor((editor) => editor.edit);
  const select = useEditor((editor) => editor.select);
  const focus = useEditor((editor) => editor.focusFinding);
  const { mayEdit } = usePlanScreen();
  const repairs = useRepairs(finding);
  return (
    <article
      className={clsx(
        'flex min-w-0 flex-1 flex-col justify-between gap-0.5 rounded-xl border px-3 py-1',
        finding.binding ? 'border-copper-line bg-copper-soft' : 'border-line bg-paper',
      )}
    >
      <div className="flex items-start gap-2 md:max-lg:flex-wrap">
        <button
          type="button"
          className="line-clamp-2 min-w-0 flex-1 text-left leading-snug font-semibold md:max-lg:basis-full"
          title={finding.sentence}
          onClick={() => {
            focus(findingId(finding));
            select(finding.itemIds[0]);
          }}
        >
          {finding.sentence}
        </button>
        <Why finding={finding} repairs={repairs ?? []} />
        <div className="flex shrink-0 items-center">{children}</div>
      </div>
      <div className="flex flex-wrap gap-x-5 max-md:hidden">
        {repairs?.map((repair, index) => (
          <button
            key={repair.label}
            type="button"
            className="min-h-5 text-left text-[0.8125rem] leading-5 font-semibold text-copper underline"
            title={`${repair.label}${leaves(repair)} (key ${index + 1})`}
            onClick={() => edit(repair.edit)}
          >
            {repair.label}
          </button>
        ))}
        {mayEdit ? <OnPurpose finding={finding} /> : null}
        {mayEdit && !repairs?.length ? (
          <span className="text-[0.8125rem] text-soft">
            {repairs ? 'Nothing offered: decide by hand.' : 'Looking for what could change …'}
          </span>
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
