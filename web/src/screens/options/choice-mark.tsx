import { clsx } from 'clsx';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Choice } from '@wrenfern/core/people/choice';
import { markHow } from '@wrenfern/core/people/say-choice';
import type { ExerciseItem } from '@wrenfern/core/plan/plan';
import { Frond } from '../../parts/frond.tsx';

/** What a choice looks like in a cell. */
export function ChoiceMark({
  choice,
  item,
  catalogue,
}: {
  choice: Choice;
  item: ExerciseItem;
  catalogue: Catalogue;
}) {
  const exercise = catalogue.require(item.exercise);
  const isByHand = choice.reasons.some((reason) => reason.code === 'by-hand');
  const marks = marksOf(choice);
  return (
    <span
      className={clsx('grid place-items-center gap-0.5', isByHand && 'rounded-lg ring-1 ring-fern')}
    >
      {choice.kind === 'option' ? (
        <Frond
          option={choice.option}
          of={exercise.options.length}
          standard={choice.option === exercise.standard}
          size={34}
        />
      ) : (
        <span className="grid min-h-8 place-items-center rounded-lg border border-copper-line bg-copper-soft px-1 text-[0.75rem] leading-tight text-copper">
          {choice.kind === 'swap' ? catalogue.require(choice.exercise).name : 'rest'}
        </span>
      )}
      {marks.map((mark) => (
        <span
          key={mark}
          className="rounded bg-slate-soft px-1 text-[0.6875rem] leading-tight text-ink"
        >
          {mark}
        </span>
      ))}
    </span>
  );
}

/** Supports and smaller versions, of each side where they differ. */
function marksOf(choice: Choice): string[] {
  const own = choice.kind === 'rest' ? [] : markHow(choice.how);
  if (!choice.onLeft) return own;
  const left = choice.onLeft.kind === 'rest' ? ['rest'] : leftMarks(choice, choice.onLeft);
  return [`R ${own.join(', ') || 'as is'}`, `L ${left.join(', ') || 'as is'}`];
}

function leftMarks(right: Choice, left: Exclude<Choice, { kind: 'rest' }>): string[] {
  const isOther = right.kind !== left.kind || ('option' in right && right.option !== left.option);
  return [...(isOther ? [String(left.option)] : []), ...markHow(left.how)];
}
