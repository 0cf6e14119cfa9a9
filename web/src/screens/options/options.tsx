import { useMemo, useState } from 'react';
import { classVerdicts } from '@wrenfern/core/people/class-verdict';
import { exerciseItemsOf } from '@wrenfern/core/plan/plan';
import { useLesson } from '../../data/use-lesson.ts';
import type { BookedPerson } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../data/catalogue.tsx';
import { analyseClass } from '../../data/class-analysis.ts';
import { ToggleChip } from '../../parts/chip.tsx';
import { Empty } from '../../parts/states.tsx';
import { OptionsByExercise } from './options-by-exercise.tsx';
import { OptionsTable } from './options-table.tsx';
import { WhoComes } from './who-comes.tsx';

/** People against exercises: who starts where, and why. */
export function Component() {
  const catalogue = useCatalogue();
  const { lesson } = useLesson();
  const [onlyOpen, setOnlyOpen] = useState(false);
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
  const shown = onlyOpen ? lesson.attendees.filter(isOpen) : lesson.attendees;
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex shrink-0 flex-wrap items-center gap-2 border-b border-line px-4 py-2.5">
        <WhoComes lesson={lesson} />
        <ToggleChip on={onlyOpen} onChange={setOnlyOpen}>
          only those who swap or rest
        </ToggleChip>
        <p className="text-[0.8125rem] text-soft max-md:hidden">
          Filled leaves say which option; a filled tip marks the standard one; copper is a swap or a
          rest. Press a cell for the reason.
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
