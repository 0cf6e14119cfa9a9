import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { clsx } from 'clsx';
import { Coffee, GripVertical } from 'lucide-react';
import type { CSSProperties } from 'react';
import type { ExerciseItem, Item } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { showClock } from '@wrenfern/core/plan/show-time';
import { describeItemDose } from '@wrenfern/core/plan/variants';
import { rowId } from '@wrenfern/core/review/arrange-rows';
import { findingAbout, findingId } from '@wrenfern/core/review/finding-list';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { Figure } from '../../../parts/figure.tsx';
import { Frond } from '../../../parts/frond.tsx';
import { useEditor, usePlanScreen } from '../editor/plan-context.tsx';
import { RowEdge } from './row-edge.tsx';
import type { ScoreRow } from './score-layout.ts';

/** How a row is marked: by the finding that is open, by what must hold, or by what should. */
export type Mark = 'focused' | 'must' | 'should';

/** One item of the running order: when, what, how much; moved by its grip, longer or shorter by its lower edge. */
export function ItemRow({ row, item, mark, isNarrow }: Omit<RowBodyProps, 'isSelected'>) {
  const { mayEdit } = usePlanScreen();
  const isSelected = useEditor((editor) => editor.selectedId === item.id);
  const { attributes, listeners, setNodeRef, transform, transition, isDragging, isOver } =
    useSortable({ id: rowId(item.id), disabled: !mayEdit });
  const style: CSSProperties = {
    height: row.height,
    marginBottom: 4,
    transform: CSS.Translate.toString(transform),
    transition,
  };
  return (
    <li
      ref={setNodeRef}
      style={style}
      className={clsx('flex items-stretch', isDragging && 'relative z-10 opacity-70')}
    >
      <span
        className={clsx(
          'shrink-0 pt-1 pr-2 text-right text-[0.8125rem] text-soft',
          isNarrow ? 'w-11' : 'w-12',
        )}
      >
        {showClock(row.item.startS)}
      </span>
      <div
        className={clsx(
          'group relative flex min-w-0 flex-1 items-stretch overflow-hidden rounded-xl border',
          isSelected
            ? 'border-fern bg-mist ring-1 ring-fern'
            : mark === 'focused'
              ? 'border-copper bg-copper-soft'
              : mark
                ? 'border-copper-line bg-leaf'
                : 'border-line bg-leaf',
          item.kind === 'pause' && !isSelected && 'bg-slate-soft',
          isOver && !isDragging && 'border-t-fern border-t-4',
        )}
      >
        {mayEdit ? (
          <button
            type="button"
            {...attributes}
            {...listeners}
            aria-label={`Move ${row.item.name}`}
            className="grid w-6 shrink-0 touch-none place-items-center text-line-strong hover:text-fern"
          >
            <GripVertical size={14} aria-hidden />
          </button>
        ) : (
          <span className="w-3 shrink-0" />
        )}
        <RowBody {...{ row, item, mark, isNarrow, isSelected }} />
        {mayEdit ? <RowEdge row={row} item={item} /> : null}
      </div>
    </li>
  );
}

interface RowBodyProps {
  row: ScoreRow;
  item: Item;
  mark: Mark | undefined;
  isSelected: boolean;
  /** Half as wide: the figure is smaller, and the option is told when the row is chosen. */
  isNarrow: boolean;
}

/** Pressing it chooses the item, and opens what there is to settle about it. */
function RowBody({ row, item, mark, isSelected, isNarrow }: RowBodyProps) {
  const { analysis } = usePlanScreen();
  const focusFinding = useEditor((editor) => editor.focusFinding);
  const select = useEditor((editor) => editor.select);
  return (
    <button
      type="button"
      onClick={() => {
        select(item.id);
        const own = findingAbout(analysis.findings, item.id);
        if (own) focusFinding(findingId(own));
      }}
      aria-pressed={isSelected}
      data-item={item.id}
      data-testid="row"
      className={clsx(
        'flex min-w-0 flex-1 items-center pr-2 text-left focus-visible:-outline-offset-2',
        isNarrow ? 'gap-2' : 'gap-3',
      )}
    >
      {item.kind === 'exercise' ? (
        <ExerciseWords item={item} row={row} mark={mark} isNarrow={isNarrow} />
      ) : (
        <>
          <Coffee size={15} className="ml-1 shrink-0 text-slate" aria-hidden />
          <span className="truncate">{item.label}</span>
          <span className="ml-auto text-[0.8125rem] text-soft">{showClock(row.durationS)}</span>
        </>
      )}
    </button>
  );
}

/** From here on a row has room for several lines. */
const TALL_PX = 76;

function ExerciseWords({
  item,
  row: { item: timed, height, durationS },
  mark,
  isNarrow,
}: Omit<RowBodyProps, 'isSelected' | 'item'> & { item: ExerciseItem }) {
  const catalogue = useCatalogue();
  const exercise = catalogue.require(item.exercise);
  const option = exercise.options[(timed.option ?? 1) - 1];
  const school = useEditor((editor) => editor.plan.school);
  const dose = [
    // Variants of one exercise are told apart by their only option.
    ...(!item.variants && item.options?.length === 1 && option ? [option.name] : []),
    describeItemDose(item, exercise, rulesOf(school)),
  ].join(' · ');
  return (
    <>
      {option ? (
        <Figure
          of={option}
          held={timed.props}
          view={exercise.view}
          width={isNarrow ? 46 : 70}
          height={Math.min(height - 6, 46)}
          className="max-sm:w-13"
        />
      ) : null}
      <span className="flex min-w-0 flex-1 flex-col leading-tight">
        <span className="truncate font-semibold" data-testid="row-name">
          {exercise.name}
        </span>
        <span
          className={clsx(
            'text-[0.8125rem] text-soft',
            item.variants && height >= TALL_PX ? 'line-clamp-3' : 'truncate',
          )}
        >
          {dose} · {showClock(durationS)}
          {mark ? <span className="sr-only">, has something to settle</span> : null}
        </span>
      </span>
      {mark ? <Dot mark={mark} /> : null}
      {isNarrow ? null : (
        <Frond
          option={timed.option ?? 1}
          of={exercise.options.length}
          standard={timed.option === exercise.standard}
          size={32}
          label={`option ${timed.option ?? 1} of ${exercise.options.length}: ${option?.name ?? ''}`}
        />
      )}
    </>
  );
}

function Dot({ mark }: { mark: Mark }) {
  return (
    <span
      className={clsx(
        'size-2.5 shrink-0 rounded-full border border-copper',
        mark === 'should' ? 'bg-leaf' : 'bg-copper',
      )}
      title={mark === 'should' ? 'Something that should be settled' : 'Something to settle'}
    />
  );
}
