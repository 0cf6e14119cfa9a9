import { Trash2 } from 'lucide-react';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import type { UsualOption } from '@wrenfern/core/people/person';
import { useCatalogue } from '../../data/catalogue.tsx';
import { ToggleChip } from '../../parts/chip.tsx';
import { IconButton } from '../../parts/icon-button.tsx';
import { Select } from '../../parts/select.tsx';
import type { RecordFormState } from './record-values.ts';

/** Exercises at which somebody works at another option than usually, each side by itself where they differ. */
export function LastTimeField({ form }: { form: RecordFormState }) {
  const catalogue = useCatalogue();
  const usual = form.watch('usualOptions');
  const known = Object.entries(usual).flatMap(([slug, option]) => {
    const exercise = catalogue.get(slug);
    return exercise ? [{ exercise, option }] : [];
  });
  if (known.length === 0) return null;
  const set = (slug: string, option: UsualOption | undefined) => {
    const { [slug]: _before, ...others } = usual;
    const next = option === undefined ? others : { ...usual, [slug]: option };
    form.setValue('usualOptions', next, { shouldDirty: true });
  };
  return (
    <fieldset>
      <legend className="title mb-1 text-xl">Last time</legend>
      <ul className="flex flex-col gap-2">
        {known.map(({ exercise, option }) => (
          <LastTime
            key={exercise.slug}
            exercise={exercise}
            option={option}
            set={(next) => set(exercise.slug, next)}
          />
        ))}
      </ul>
    </fieldset>
  );
}

interface LastTimeProps {
  exercise: Exercise;
  option: UsualOption;
  set: (option: UsualOption | undefined) => void;
}

function LastTime({ exercise, option, set }: LastTimeProps) {
  const isUneven = typeof option !== 'number';
  const sides = isUneven ? option : { right: option, left: option };
  const choices = exercise.options.map(({ number, name }) => ({
    value: String(number),
    name: `${number} ${name}`,
  }));
  const pick = (label: string, value: number, take: (number: number) => void) => (
    <Select
      label={label}
      value={String(value)}
      choices={choices}
      onChange={(text) => take(Number(text))}
    />
  );
  const hasSides = exercise.dose.sides === 'each' || exercise.dose.sides === 'alternating';
  return (
    <li className="rounded-xl border border-line bg-leaf p-2">
      <div className="flex items-center gap-2">
        <span className="min-w-0 flex-1 font-semibold">{exercise.name}</span>
        {hasSides || isUneven ? (
          <ToggleChip
            on={isUneven}
            onChange={(on) => set(on ? sides : Math.min(sides.right, sides.left))}
          >
            each side
          </ToggleChip>
        ) : null}
        <IconButton
          label={`${exercise.name}: back to the usual option`}
          onClick={() => set(undefined)}
        >
          <Trash2 size={16} aria-hidden />
        </IconButton>
      </div>
      {isUneven ? (
        <div className="grid grid-cols-2 gap-2">
          {pick('right', sides.right, (right) => set({ ...sides, right }))}
          {pick('left', sides.left, (left) => set({ ...sides, left }))}
        </div>
      ) : (
        pick('both sides', sides.right, (number) => set(number))
      )}
    </li>
  );
}
