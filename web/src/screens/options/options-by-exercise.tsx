import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import { optionOf, type Exercise } from '@wrenfern/core/movement/exercise';
import type { Choice } from '@wrenfern/core/people/choice';
import type { ClassVerdict } from '@wrenfern/core/people/class-verdict';
import type { OptionsPlan } from '@wrenfern/core/people/choose-options';
import type { ExerciseItem } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { describeItemDose } from '@wrenfern/core/plan/variants';
import type { BookedPerson, WholeClass } from '@wrenfern/contract/classes';
import { Figure } from '../../parts/figure.tsx';
import { IconButton } from '../../parts/icon-button.tsx';
import { versionTitle } from '@wrenfern/core/people/version-title';
import { ChoiceCell } from './choice-cell.tsx';
import { ForEverybody } from './for-everybody.tsx';
import type { OptionsProps } from './options-props.ts';
import { PersonHead } from './person-head.tsx';

/** For a phone: one exercise at a time, its people under the version they do. */
export function OptionsByExercise({
  lesson,
  people,
  items,
  options,
  verdicts,
  catalogue,
}: OptionsProps) {
  const [at, setAt] = useState(0);
  const item = items[Math.min(at, items.length - 1)];
  if (!item) return null;
  const exercise = catalogue.require(item.exercise);
  const shown = new Set(people.map(({ person }) => person.id));
  const versions = (options.versions.get(item.id) ?? []).filter((version) =>
    version.people.some((id) => shown.has(id)),
  );
  return (
    <div className="flex min-h-0 flex-1 flex-col overflow-y-auto">
      <div className="sticky top-0 z-10 flex items-center gap-1 border-b border-line bg-paper px-2 py-2">
        <IconButton label="The exercise before" disabled={at === 0} onClick={() => setAt(at - 1)}>
          <ChevronLeft size={20} aria-hidden />
        </IconButton>
        <select
          aria-label="Exercise"
          value={item.id}
          onChange={(event) => setAt(items.findIndex(({ id }) => id === event.target.value))}
          className="min-h-11 min-w-0 flex-1 rounded-xl border border-line-strong/60 bg-leaf px-2 font-semibold"
        >
          {items.map((each, index) => (
            <option key={each.id} value={each.id}>
              {index + 1}. {catalogue.require(each.exercise).name}
            </option>
          ))}
        </select>
        <IconButton
          label="The next exercise"
          disabled={at >= items.length - 1}
          onClick={() => setAt(at + 1)}
        >
          <ChevronRight size={20} aria-hidden />
        </IconButton>
      </div>
      <div className="flex items-center justify-between gap-2 px-4 pt-2">
        <p className="text-soft">{describeItemDose(item, exercise, rulesOf(lesson.plan.school))}</p>
        <ForEverybody {...{ lesson, people, item, catalogue }}>
          <span className="block px-3 py-2.5 font-semibold text-fern">For everybody</span>
        </ForEverybody>
      </div>
      <ul className="flex flex-col gap-3 p-3">
        {versions.map((version) => (
          <VersionCard
            key={version.people.join()}
            {...{ lesson, item, exercise, catalogue }}
            choice={version.choice}
            people={people.filter(({ person }) => version.people.includes(person.id))}
            options={options}
            verdicts={verdicts}
          />
        ))}
      </ul>
    </div>
  );
}

function VersionCard({
  lesson,
  item,
  exercise,
  choice,
  people,
  options,
  verdicts,
  catalogue,
}: {
  lesson: WholeClass;
  item: ExerciseItem;
  exercise: Exercise;
  choice: Choice;
  people: readonly BookedPerson[];
  options: OptionsPlan;
  verdicts: ReadonlyMap<string, ClassVerdict>;
  catalogue: Catalogue;
}) {
  const target = choice.kind === 'swap' ? catalogue.require(choice.exercise) : exercise;
  const option = choice.kind === 'rest' ? undefined : optionOf(target, choice.option);
  return (
    <li className="rounded-2xl border border-line bg-leaf p-3">
      <div className="flex items-center gap-3">
        {option ? <Figure of={option} view={target.view} width={104} height={64} /> : null}
        <h2 className="min-w-0 text-lg leading-tight">{versionTitle(item, choice, target)}</h2>
      </div>
      <ul className="mt-2 divide-y divide-line border-t border-line">
        {people.map((booked) => {
          const own = options.choices.get(booked.person.id)?.get(item.id);
          return (
            <li key={booked.person.id} className="flex items-center gap-2 py-1">
              <div className="min-w-0 flex-1">
                <PersonHead
                  booked={booked}
                  lesson={lesson}
                  verdict={verdicts.get(booked.person.id)}
                />
              </div>
              {own ? (
                <div className="w-16 shrink-0">
                  <ChoiceCell {...{ lesson, booked, item, catalogue }} choice={own} />
                </div>
              ) : null}
            </li>
          );
        })}
      </ul>
    </li>
  );
}
