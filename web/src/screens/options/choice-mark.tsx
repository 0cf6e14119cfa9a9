import { clsx } from 'clsx';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Choice } from '@wrenfern/core/people/choice';
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
  if (choice.kind === 'option') {
    return (
      <span className={clsx('grid place-items-center', isByHand && 'rounded-lg ring-1 ring-fern')}>
        <Frond
          option={choice.option}
          of={exercise.options.length}
          standard={choice.option === exercise.standard}
          size={34}
        />
      </span>
    );
  }
  return (
    <span className="grid min-h-8 place-items-center rounded-lg border border-copper-line bg-copper-soft px-1 text-[0.75rem] leading-tight text-copper">
      {choice.kind === 'swap' ? catalogue.require(choice.exercise).name : 'rest'}
    </span>
  );
}
