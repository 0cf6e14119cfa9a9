import { useMemo, type ReactNode } from 'react';
import type { CoverageLine } from '@wrenfern/core/review/coverage';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { showClock } from '@wrenfern/core/plan/show-time';
import { useLesson } from '../../../data/use-lesson.ts';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { balanceIn } from '../../../data/class-analysis.ts';
import { Sheet } from '../../../parts/dialog.tsx';
import { useEditor } from '../editor/plan-context.tsx';

const GROUPS = [
  'directions',
  'body parts',
  'foundations',
  'positions',
  'spine load',
  'on the hands',
] as const;

/** Opens everything that the class is made of, against what the school wants. */
export function Balance({ children }: { children: ReactNode }) {
  return (
    <Sheet
      title="What the class is made of"
      description="Minutes of work, beside what the school wants in a class of this length."
      from="right"
      trigger={
        <button
          type="button"
          className="rounded-xl hover:bg-mist"
          title="What the class is made of"
        >
          {children}
        </button>
      }
    >
      <Lines />
    </Sheet>
  );
}

function Lines() {
  const { lesson } = useLesson();
  const catalogue = useCatalogue();
  const plan = useEditor((editor) => editor.plan);
  const lines = useMemo(() => balanceIn(lesson, plan, catalogue), [lesson, plan, catalogue]);
  return (
    <div className="flex flex-col gap-4">
      <p className="text-soft">School: {rulesOf(plan.school).name}. Targets are common practice.</p>
      {GROUPS.map((group) => {
        const own = lines.filter((line) => line.group === group);
        const most = Math.max(
          1,
          ...own.map(({ seconds, leastS = 0 }) => Math.max(seconds, leastS)),
        );
        return (
          <section key={group} aria-label={group}>
            <h3 className="mb-1 text-base first-letter:uppercase">{group}</h3>
            <ul className="flex flex-col gap-1">
              {own.map((line) => (
                <Line key={line.name} line={line} most={most} />
              ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}

function Line({ line, most }: { line: CoverageLine; most: number }) {
  const { seconds, leastS, mostS } = line;
  const isUnder = leastS !== undefined && seconds < leastS;
  const isOver = mostS !== undefined && seconds > mostS;
  const wanted = [
    leastS ? `at least ${showClock(leastS)}` : '',
    mostS !== undefined ? `at most ${showClock(mostS)}` : '',
  ].filter(Boolean);
  return (
    <li className="grid grid-cols-[1fr_3rem] gap-x-2">
      <span className={isUnder || isOver ? 'font-semibold text-copper' : ''}>{line.name}</span>
      <span className="text-right">{showClock(seconds)}</span>
      <span className="relative col-span-2 h-1.5 rounded-full bg-slate-soft" aria-hidden>
        <span
          className={`absolute inset-y-0 left-0 rounded-full ${isUnder || isOver ? 'bg-copper' : 'bg-fern-light'}`}
          style={{ width: `${Math.min(100, (100 * seconds) / most)}%` }}
        />
        {leastS ? (
          <span
            className="absolute -top-0.5 h-2.5 w-0.5 bg-ink"
            style={{ left: `${Math.min(100, (100 * leastS) / most)}%` }}
          />
        ) : null}
      </span>
      {wanted.length > 0 ? (
        <span className="col-span-2 text-[0.75rem] text-soft">
          {wanted.join(', ')}
          {isUnder ? ': under' : isOver ? ': over' : ''}
        </span>
      ) : null}
    </li>
  );
}
