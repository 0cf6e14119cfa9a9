import { ArrowUp, Plus, Trash2 } from 'lucide-react';
import { describeDose, type Dose } from '@wrenfern/core/movement/dose';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import type { ExerciseItem } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { variantsOf } from '@wrenfern/core/plan/variants';
import { Button } from '../../../parts/button.tsx';
import { IconButton } from '../../../parts/icon-button.tsx';
import { Stepper } from '../../../parts/stepper.tsx';
import { useEditor } from '../editor/plan-context.tsx';

type Variants = NonNullable<ExerciseItem['variants']>;
const MOST_VARIANTS = 8;

/** The variants of a series, one after another, each with its own count. */
export function VariantsEditor({ item, exercise }: { item: ExerciseItem; exercise: Exercise }) {
  const edit = useEditor((editor) => editor.edit);
  const school = rulesOf(useEditor((editor) => editor.plan.school));
  const done = variantsOf(item, exercise, school);
  const now: Variants = done.map(({ option, dose }) => ({ option: option.number, dose }));
  const set = (variants: Variants | undefined) =>
    edit({ type: 'setVariants', itemId: item.id, ...(variants ? { variants } : {}) });
  const put = (index: number, dose: Dose) =>
    set(now.map((each, at) => (at === index ? { ...each, dose } : each)));
  const next = exercise.options.find(({ number }) => !now.some(({ option }) => option === number));
  return (
    <section aria-label="Variants" className="flex flex-col gap-2">
      <h3 className="text-base">One after another</h3>
      <ol className="divide-y divide-line border-y border-line">
        {done.map(({ option, dose }, index) => (
          <VariantRow
            key={`${option.number} ${index}`}
            name={option.name}
            dose={dose}
            earlier={index > 0 ? () => set(swapped(now, index)) : undefined}
            leaveOut={() => set(now.length > 2 ? now.filter((_, at) => at !== index) : undefined)}
            onDose={(next) => put(index, next)}
          />
        ))}
      </ol>
      <div className="flex flex-wrap gap-2">
        <Button
          disabled={now.length >= MOST_VARIANTS}
          onClick={() => set([...now, { option: next?.number ?? 1 }])}
        >
          <Plus size={15} aria-hidden />{' '}
          {next ? next.name : `${exercise.options[0]?.name ?? ''} again`}
        </Button>
        <Button look="quiet" onClick={() => set(undefined)}>
          Only one way
        </Button>
      </div>
    </section>
  );
}

interface VariantRowProps {
  name: string;
  dose: Dose;
  /** Undefined for the first. */
  earlier: (() => void) | undefined;
  leaveOut: () => void;
  onDose: (dose: Dose) => void;
}

function VariantRow({ name, dose, earlier, leaveOut, onDose }: VariantRowProps) {
  return (
    <li className="py-1.5">
      <div className="flex items-center gap-1">
        <span className="min-w-0 flex-1 leading-tight font-semibold">{name}</span>
        <IconButton label={`${name} earlier`} disabled={!earlier} onClick={() => earlier?.()}>
          <ArrowUp size={15} aria-hidden />
        </IconButton>
        <IconButton label={`Leave ${name} out`} onClick={leaveOut}>
          <Trash2 size={15} aria-hidden />
        </IconButton>
      </div>
      <div className="flex items-center gap-3">
        {'count' in dose ? (
          <div className="w-28 shrink-0">
            <Stepper
              label="times"
              value={dose.count}
              min={1}
              max={200}
              onChange={(count) => onDose({ ...dose, count })}
            />
          </div>
        ) : null}
        <span className="text-[0.8125rem] text-soft">{describeDose(dose)}</span>
      </div>
    </li>
  );
}

/** What an exercise of variants offers while it is done in one way. */
export function MakeVariants({ item, exercise }: { item: ExerciseItem; exercise: Exercise }) {
  const edit = useEditor((editor) => editor.edit);
  if (exercise.optionsAre !== 'variants') return null;
  const variants = exercise.options.map(({ number }) => ({ option: number }));
  return (
    <Button
      className="self-start"
      title={exercise.options.map(({ name }) => name).join(', ')}
      onClick={() => edit({ type: 'setVariants', itemId: item.id, variants })}
    >
      All variants, one after another
    </Button>
  );
}

/** The list with one entry a place earlier. */
function swapped(list: Variants, index: number): Variants {
  const [before, own] = [list[index - 1], list[index]];
  if (!before || !own) return list;
  return [...list.slice(0, index - 1), own, before, ...list.slice(index + 1)];
}
