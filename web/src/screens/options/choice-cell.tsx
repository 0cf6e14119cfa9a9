import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import { optionOf, type Exercise } from '@wrenfern/core/movement/exercise';
import { aidedOption, viewWith } from '@wrenfern/core/body/aids/aided-option';
import type { Choice, HandChoice } from '@wrenfern/core/people/choice';
import { standInsFor } from '@wrenfern/core/people/stand-ins';
import { adviceOf } from '@wrenfern/core/people/advice';
import { sayChoice } from '@wrenfern/core/people/say-choice';
import type { Dose } from '@wrenfern/core/movement/dose';
import type { ExerciseItem } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { doseOf } from '@wrenfern/core/plan/usual';
import type { BookedPerson, WholeClass } from '@wrenfern/contract/classes';
import { Button } from '../../parts/button.tsx';
import { Figure } from '../../parts/figure.tsx';
import { Select } from '../../parts/select.tsx';
import { ChoiceMark } from './choice-mark.tsx';
import { useSaveBooking } from '../../data/save-booking.ts';

interface ChoiceCellProps {
  lesson: WholeClass;
  booked: BookedPerson;
  item: ExerciseItem;
  choice: Choice;
  catalogue: Catalogue;
}

/** One person at one exercise: the mark, and behind it the reason and another choice. */
export function ChoiceCell({ lesson, booked, item, choice, catalogue }: ChoiceCellProps) {
  const [open, setOpen] = useState(false);
  const exercise = catalogue.require(item.exercise);
  const first = booked.person.name.split(' ')[0] ?? booked.person.name;
  const dose = doseOf(item, exercise, rulesOf(lesson.plan.school));
  const said = sayChoice(choice, exercise, catalogue, dose);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        aria-label={`${booked.person.name}, ${exercise.name}: ${said}`}
        title={said}
        className="grid min-h-10 w-full place-items-center rounded-lg hover:bg-mist data-[state=open]:bg-mist data-[state=open]:ring-2 data-[state=open]:ring-fern"
      >
        <ChoiceMark choice={choice} item={item} catalogue={catalogue} />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={`${first}, ${exercise.name}`}
          collisionPadding={12}
          sideOffset={4}
          className="z-50 max-h-(--radix-popover-content-available-height) w-96 max-w-[92vw] overflow-y-auto rounded-xl border border-line bg-leaf p-4 shadow-lg"
        >
          <h3 className="text-base">
            {first} · {exercise.name} → {said}
          </h3>
          <DoneSo choice={choice} exercise={exercise} catalogue={catalogue} />
          <WhyThis choice={choice} exercise={exercise} catalogue={catalogue} dose={dose} />
          {choice.onLeft ? (
            <>
              <h4 className="font-semibold">Left</h4>
              <WhyThis
                choice={choice.onLeft}
                exercise={exercise}
                catalogue={catalogue}
                dose={dose}
              />
            </>
          ) : null}
          <ChooseAnother
            lesson={lesson}
            booked={booked}
            item={item}
            choice={choice}
            catalogue={catalogue}
            done={() => setOpen(false)}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** The body as this person does it, with the supports. */
function DoneSo({ choice, exercise, catalogue }: WhyProps) {
  if (choice.kind === 'rest') return null;
  const target = choice.kind === 'swap' ? catalogue.require(choice.exercise) : exercise;
  const option = optionOf(target, choice.option);
  const aids = choice.how?.aids ?? [];
  const done = aidedOption(option, aids) ?? option;
  return (
    <Figure of={done} view={viewWith(target.view, aids)} width={150} height={84} className="mt-1" />
  );
}

interface WhyProps {
  choice: Choice;
  exercise: Exercise;
  catalogue: Catalogue;
}

/** Why it is chosen, how far, and where it is felt. */
function WhyThis({ choice, exercise, catalogue, dose }: WhyProps & { dose: Dose }) {
  const { why, landmark, feltWhere } = adviceOf(choice, exercise, catalogue, dose);
  return (
    <div className="my-2 flex flex-col gap-1">
      <ul className="flex list-disc flex-col gap-1 pl-5">
        {why.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
      {landmark ? <p className="text-soft">How far: {landmark}.</p> : null}
      {feltWhere ? <p className="text-soft">Felt: {feltWhere}</p> : null}
    </div>
  );
}

/** More is no choice any more. */
const MOST_STAND_INS = 8;

function ChooseAnother({
  lesson,
  booked,
  item,
  choice,
  catalogue,
  done,
}: ChoiceCellProps & { done: () => void }) {
  const save = useSaveBooking(lesson.id);
  const exercise = catalogue.require(item.exercise);
  const dose = doseOf(item, exercise, rulesOf(lesson.plan.school));
  const isByHand = booked.byHand[item.id] !== undefined;
  const swaps = standInsFor(exercise, catalogue)
    .slice(0, MOST_STAND_INS)
    .map(({ slug, name }) => ({ value: `swap ${slug} 1`, name: `instead: ${name}` }));
  const choices = [
    ...exercise.options.map((option) => ({
      value: `option ${option.number}`,
      name: `${option.number} ${option.name}`,
    })),
    ...swaps,
    { value: 'rest', name: 'rest' },
  ];
  const current =
    choice.kind === 'option'
      ? `option ${choice.option}`
      : choice.kind === 'swap'
        ? `swap ${choice.exercise} ${choice.option}`
        : 'rest';
  const known = choices.some(({ value }) => value === current)
    ? choices
    : [{ value: current, name: sayChoice(choice, exercise, catalogue, dose) }, ...choices];
  const choose = async (value: string) => {
    const saved = await save(booked, {
      choices: { ...booked.byHand, [item.id]: readChoice(value) },
    });
    if (saved) done();
  };
  const back = async () => {
    const { [item.id]: _dropped, ...choices } = booked.byHand;
    if (await save(booked, { choices })) done();
  };
  return (
    <div className="sticky -bottom-4 -mx-4 -mb-4 flex flex-col gap-2 border-t border-line bg-leaf px-4 py-3">
      <Select
        label="Choose another"
        value={current}
        choices={known}
        onChange={(value) => void choose(value)}
      />
      {isByHand ? (
        <Button look="quiet" onClick={() => void back()}>
          Back to what is worked out
        </Button>
      ) : null}
    </div>
  );
}

function readChoice(value: string): HandChoice {
  const [kind, second = '', third] = value.split(' ');
  if (kind === 'option') return { kind, option: Number(second) };
  if (kind === 'swap') return { kind, exercise: second, option: Number(third) };
  return { kind: 'rest' };
}
