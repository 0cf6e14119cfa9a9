import { aidOf } from '@wrenfern/core/body/aids/aids';
import type { Choice } from '@wrenfern/core/people/choice';
import type { Version } from '@wrenfern/core/people/choose-options';
import type { ExerciseItem } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { shownOption } from '@wrenfern/core/plan/usual';
import type { BookedPerson } from '@wrenfern/contract/classes';
import { Figure } from '../../parts/figure.tsx';
import { ChoiceCell } from './choice-cell.tsx';
import { ForEverybody } from './for-everybody.tsx';
import type { OptionsProps } from './options-props.ts';
import { PersonHead } from './person-head.tsx';

/** A sticky head and first column, so that a name and an exercise are always in sight. */
export function OptionsTable({
  lesson,
  people,
  items,
  options,
  verdicts,
  catalogue,
}: OptionsProps) {
  return (
    <div
      className="min-h-0 flex-1 overflow-auto max-md:hidden"
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- a scrolling area must be reachable by keyboard
      tabIndex={0}
      role="region"
      aria-label="Options"
    >
      <table className="border-separate border-spacing-0 pr-6 pb-6">
        <thead>
          <tr>
            <th
              scope="col"
              className="sticky top-0 left-0 z-20 min-w-48 border-b border-line bg-paper p-3 text-left align-bottom max-sm:min-w-32"
            >
              Who
            </th>
            {items.map((item) => (
              <ExerciseHead
                key={item.id}
                lesson={lesson}
                people={people}
                item={item}
                catalogue={catalogue}
              />
            ))}
          </tr>
        </thead>
        <tbody>
          {people.map((booked) => (
            <PersonRow
              key={booked.person.id}
              lesson={lesson}
              booked={booked}
              items={items}
              options={options}
              verdicts={verdicts}
              catalogue={catalogue}
            />
          ))}
        </tbody>
        <CueFoot items={items} options={options} />
      </table>
    </div>
  );
}

function PersonRow({
  lesson,
  booked,
  items,
  options,
  verdicts,
  catalogue,
}: Omit<OptionsProps, 'people'> & { booked: BookedPerson }) {
  return (
    <tr>
      <th
        scope="row"
        className="sticky left-0 z-10 border-b border-line bg-paper px-3 py-1 text-left font-normal"
      >
        <PersonHead booked={booked} lesson={lesson} verdict={verdicts.get(booked.person.id)} />
      </th>
      {items.map((item) => {
        const choice = options.choices.get(booked.person.id)?.get(item.id);
        return (
          <td key={item.id} className="border-b border-line p-0.5 text-center">
            {choice ? (
              <ChoiceCell
                lesson={lesson}
                booked={booked}
                item={item}
                choice={choice}
                catalogue={catalogue}
              />
            ) : null}
          </td>
        );
      })}
    </tr>
  );
}

function CueFoot({ items, options }: Pick<OptionsProps, 'items' | 'options'>) {
  return (
    <tfoot>
      <tr>
        <th
          scope="row"
          className="sticky bottom-0 left-0 z-20 border-t-2 border-fern bg-leaf p-3 text-left"
        >
          You will cue
        </th>
        {items.map((item) => (
          <td
            key={item.id}
            className="sticky bottom-0 z-10 border-t-2 border-fern bg-leaf p-2 text-center text-[0.8125rem]"
          >
            {cueWords(item, options.versions.get(item.id) ?? [])}
          </td>
        ))}
      </tr>
    </tfoot>
  );
}

function ExerciseHead({
  lesson,
  people,
  item,
  catalogue,
}: Pick<OptionsProps, 'lesson' | 'people' | 'catalogue'> & { item: ExerciseItem }) {
  const exercise = catalogue.require(item.exercise);
  const option = exercise.options[shownOption(item, exercise, rulesOf(lesson.plan.school)) - 1];
  return (
    <th
      scope="col"
      className="sticky top-0 z-10 min-w-24 border-b border-line bg-paper px-1 pt-2 pb-2 align-bottom font-semibold"
    >
      <ForEverybody {...{ lesson, people, item, catalogue }}>
        {option ? (
          <Figure of={option} view={exercise.view} width={84} height={50} className="mx-auto" />
        ) : null}
        <span className="block text-[0.8125rem] leading-tight">{exercise.name}</span>
      </ForEverybody>
    </th>
  );
}

/** A number, or all of a series; with the supports that must be told. */
function cueOf({ option, how }: Extract<Choice, { kind: 'option' }>, last: number): string {
  const told = how?.aids.map(aidOf).filter(({ isTold }) => isTold) ?? [];
  return [option === last ? 'all' : String(option), ...told.map(({ mark }) => mark)].join(' ');
}

/** Options by number, all of a series, and how many swap or rest. */
function cueWords(item: ExerciseItem, versions: readonly Version[]): string {
  const last = Math.max(...(item.variants ?? []).map(({ option }) => option));
  const options = versions.flatMap(({ choice }) =>
    choice.kind === 'option' ? [cueOf(choice, last)] : [],
  );
  const swaps = versions.filter(({ choice }) => choice.kind === 'swap').length;
  const rests = versions.some(({ choice }) => choice.kind === 'rest');
  return [
    ...(options.length > 0 ? [options.join(' · ')] : []),
    ...(swaps > 0 ? [swaps === 1 ? 'swap' : `${swaps} swaps`] : []),
    ...(rests ? ['rest'] : []),
  ].join(' + ');
}
