import { useMemo, useState } from 'react';
import { classVerdicts } from '@wrenfern/core/people/class-verdict';
import { exerciseItemsOf } from '@wrenfern/core/plan/plan';
import { useLesson } from '../../data/use-lesson.ts';
import type { BookedPerson } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../data/catalogue.tsx';
import { analyseClass } from '../../data/class-analysis.ts';
import { ToggleChip } from '../../parts/chip.tsx';
import { inputClass } from '../../parts/field.tsx';
import { isNamedLike } from '../../parts/named-like.ts';
import { Empty } from '../../parts/states.tsx';
import { OptionsByExercise } from './options-by-exercise.tsx';
import { OptionsTable } from './options-table.tsx';
import { mostChangesFirst } from './order-people.ts';
import { WhoBeginsWhere } from './who-begins-where.tsx';
import { WhoComes } from './who-comes.tsx';

/** People against exercises: who starts where, and why. */
export function Component() {
  const catalogue = useCatalogue();
  const { lesson } = useLesson();
  const [onlyOpen, setOnlyOpen] = useState(false);
  const [isByChanges, setByChanges] = useState(true);
  const [wanted, setWanted] = useState('');
  const analysis = useMemo(() => analyseClass(lesson, lesson.plan, catalogue), [lesson, catalogue]);
  const items = exerciseItemsOf(lesson.plan);
  const verdicts = useMemo(
    () => classVerdicts(lesson.plan, lesson.attendees, analysis.options, catalogue, lesson.day),
    [lesson, analysis, catalogue],
  );
  const isOpen = (booked: BookedPerson) =>
    [...(analysis.options.choices.get(booked.person.id)?.values() ?? [])].some(
      (choice) => choice.kind !== 'option',
    );
  const named = lesson.attendees.filter(({ person }) => isNamedLike(person, wanted));
  const open = onlyOpen ? named.filter(isOpen) : named;
  const shown = isByChanges ? mostChangesFirst(open, verdicts) : open;
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex shrink-0 flex-wrap items-center gap-2 border-b border-line px-4 py-2.5">
        <WhoComes lesson={lesson} />
        <WhoBeginsWhere lesson={lesson} />
        <ToggleChip on={onlyOpen} onChange={setOnlyOpen}>
          only those who swap or rest
        </ToggleChip>
        <ToggleChip on={isByChanges} onChange={setByChanges}>
          most changes first
        </ToggleChip>
        <div className="w-44">
          <input
            type="search"
            aria-label="Find a person"
            placeholder="Find a person"
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
            className={inputClass}
          />
        </div>
        <p className="text-[0.8125rem] text-soft max-lg:hidden">
          Leaves tell the option, a filled tip the standard one, copper a swap or a rest. A cell
          tells why; an exercise’s name is for everybody.
        </p>
      </div>
      {lesson.attendees.length === 0 ? (
        <div className="p-6">
          <Empty title="Nobody is booked yet">
            Choose who comes: their cautions and levels then decide who starts where.
          </Empty>
        </div>
      ) : items.length === 0 ? (
        <div className="p-6">
          <Empty title="The plan is empty">
            Add exercises in Plan, and their options show here.
          </Empty>
        </div>
      ) : shown.length === 0 ? (
        <div className="p-6">
          <Empty title="Nobody like that">
            {wanted.trim() ? 'No name here has these letters.' : 'Nobody swaps or rests.'}
          </Empty>
        </div>
      ) : (
        <>
          <OptionsTable
            lesson={lesson}
            people={shown}
            items={items}
            options={analysis.options}
            verdicts={verdicts}
            catalogue={catalogue}
          />
          <div className="flex min-h-0 flex-1 flex-col md:hidden">
            <OptionsByExercise
              lesson={lesson}
              people={shown}
              items={items}
              options={analysis.options}
              verdicts={verdicts}
              catalogue={catalogue}
            />
          </div>
        </>
      )}
    </div>
  );
}
