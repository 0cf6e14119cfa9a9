import { clsx } from 'clsx';
import { type Exercise, type Option } from '@wrenfern/core/movement/exercise';
import { explainReason } from '@wrenfern/core/people/reasons';
import type { Version } from '@wrenfern/core/people/choose-options';
import { offeredOptions, type ExerciseItem } from '@wrenfern/core/plan/plan';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { Frond } from '../../../parts/frond.tsx';
import { useEditor, usePlanScreen } from '../editor/plan-context.tsx';

interface OptionRowProps {
  exercise: Exercise;
  option: Option;
  words: string;
  isOn: boolean;
  /** The only one on offer: one stays. */
  isLast: boolean;
  toggle: (number: number) => void;
}

function OptionRow({ exercise, option, words, isOn, isLast, toggle }: OptionRowProps) {
  return (
    <li>
      <label
        className={clsx(
          'flex cursor-pointer items-center gap-2 py-1.5',
          !isOn && 'text-soft line-through',
        )}
      >
        <input
          type="checkbox"
          checked={isOn}
          disabled={isLast}
          onChange={() => toggle(option.number)}
          className="size-4 accent-(--fern)"
        />
        <Frond
          option={option.number}
          of={exercise.options.length}
          standard={option.number === exercise.standard}
          size={28}
        />
        <span className="min-w-0">
          <span className="block leading-tight font-semibold">{option.name}</span>
          <span className="block text-[0.8125rem] text-soft">{words}</span>
        </span>
      </label>
    </li>
  );
}

/** The options of an item on offer, each with who does it; one at least stays. */
export function OptionList({ item, exercise }: { item: ExerciseItem; exercise: Exercise }) {
  const catalogue = useCatalogue();
  const edit = useEditor((editor) => editor.edit);
  const { analysis, attendees } = usePlanScreen();
  const offered = offeredOptions(item, exercise);
  const versions = analysis.options.versions.get(item.id) ?? [];
  const names = new Map(attendees.map(({ person }) => [person.id, person.name.split(' ')[0]]));
  const whoDoes = ({ people }: Version) => people.map((id) => names.get(id) ?? id).join(', ');
  const toggle = (number: number) => {
    const next = offered.includes(number)
      ? offered.filter((each) => each !== number)
      : [...offered, number].sort((a, b) => a - b);
    if (next.length === 0) return;
    const all = next.length === exercise.options.length;
    edit({ type: 'setOptions', itemId: item.id, ...(all ? {} : { options: next }) });
  };
  const others = versions.filter(({ choice }) => choice.kind !== 'option');
  return (
    <section aria-label="Options on offer">
      <h3 className="mb-1 text-base">Options on offer</h3>
      <ul className="divide-y divide-line border-y border-line">
        {exercise.options.map((option) => {
          const isOn = offered.includes(option.number);
          const doing = versions.filter(
            ({ choice }) => choice.kind === 'option' && choice.option === option.number,
          );
          return (
            <OptionRow
              key={option.number}
              exercise={exercise}
              option={option}
              words={doing.length > 0 ? doing.map(whoDoes).join(', ') : option.change}
              isOn={isOn}
              isLast={isOn && offered.length === 1}
              toggle={toggle}
            />
          );
        })}
      </ul>
      {others.map((version) => (
        <p key={version.people.join()} className="mt-1.5 text-[0.8125rem] text-copper">
          <span className="font-semibold">{whoDoes(version)}</span>{' '}
          {version.choice.kind === 'swap'
            ? `do ${catalogue.require(version.choice.exercise).name}`
            : 'rest: nothing here suits'}
          . {version.choice.reasons[0] ? explainReason(version.choice.reasons[0], exercise) : ''}
        </p>
      ))}
    </section>
  );
}
