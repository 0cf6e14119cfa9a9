import { Popover } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Option } from '@wrenfern/core/movement/exercise';
import { listWords } from '@wrenfern/core/movement/words';
import { whoCanDo, type Reach } from '@wrenfern/core/people/choose-for-many';
import { offeredOptions, type ExerciseItem } from '@wrenfern/core/plan/plan';
import type { BookedPerson, WholeClass } from '@wrenfern/contract/classes';
import { useSaveBooking } from '../../data/save-booking.ts';
import { Button } from '../../parts/button.tsx';

interface ForEverybodyProps {
  lesson: WholeClass;
  people: readonly BookedPerson[];
  item: ExerciseItem;
  catalogue: Catalogue;
}

/** Behind the name of an exercise: one option for everybody it suits, or back to what is worked out. */
export function ForEverybody({ children, ...rest }: ForEverybodyProps & { children: ReactNode }) {
  const [open, setOpen] = useState(false);
  const { name } = rest.catalogue.require(rest.item.exercise);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        aria-label={`${name}, for everybody`}
        className="rounded-lg hover:bg-mist data-[state=open]:bg-mist"
      >
        {children}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={`${name}, for everybody`}
          collisionPadding={12}
          className="z-50 max-h-(--radix-popover-content-available-height) w-96 max-w-[92vw] overflow-y-auto rounded-xl border border-line bg-leaf p-4 shadow-lg"
        >
          <h3 className="text-base">{name}, for everybody shown</h3>
          <Offers {...rest} done={() => setOpen(false)} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Offers({
  lesson,
  people,
  item,
  catalogue,
  done,
}: ForEverybodyProps & { done: () => void }) {
  const save = useSaveBooking(lesson.id);
  const [saved, setSaved] = useState<number>();
  const exercise = catalogue.require(item.exercise);
  const free = people.filter(({ byHand }) => byHand[item.id] === undefined);
  const byHand = people.filter((booked) => booked.byHand[item.id] !== undefined);
  const saveAll = async (whom: readonly BookedPerson[], says: string, choicesOf: ChoicesOf) => {
    let taken = 0;
    setSaved(0);
    // One after the other: each answer is the whole class as it then stands.
    for (const booked of whom) {
      if (!(await save(booked, { choices: choicesOf(booked) }))) break;
      taken += 1;
      setSaved(taken);
    }
    setSaved(undefined);
    if (taken < whom.length)
      toast.error(`${says} for ${taken} of ${whom.length}, then it stopped.`);
    else done();
  };
  return (
    <div className="mt-2 flex flex-col gap-2">
      {offeredOptions(item, exercise).map((number) => {
        const option = exercise.options[number - 1];
        if (!option) return null;
        const reach = whoCanDo(number, item, lesson.plan, free, catalogue, lesson.day);
        return (
          <Offer
            key={number}
            option={option}
            reach={reach}
            isBusy={saved !== undefined}
            choose={() =>
              void saveAll(reach.can, option.name, (booked) => ({
                ...booked.byHand,
                [item.id]: { kind: 'option', option: number },
              }))
            }
          />
        );
      })}
      {byHand.length > 0 ? (
        <Button
          disabled={saved !== undefined}
          onClick={() => void saveAll(byHand, 'Back', ({ byHand: own }) => without(own, item.id))}
        >
          Back to what is worked out ({byHand.length} by hand)
        </Button>
      ) : null}
      {saved === undefined ? null : <p role="status">Saved for {saved} …</p>}
      <p className="text-[0.8125rem] text-soft">
        Who was decided by hand stays so. Nobody is put above their own option, or against a
        caution.
      </p>
    </div>
  );
}

type ChoicesOf = (booked: BookedPerson) => BookedPerson['byHand'];

function without(choices: BookedPerson['byHand'], itemId: string): BookedPerson['byHand'] {
  const { [itemId]: _dropped, ...rest } = choices;
  return rest;
}

/** More names say no more. */
const MOST_NAMED = 3;

function Offer({
  option,
  reach,
  isBusy,
  choose,
}: {
  option: Option;
  reach: Reach<BookedPerson>;
  isBusy: boolean;
  choose: () => void;
}) {
  const { can, keep } = reach;
  const firsts = keep.map(({ person }) => person.name.split(' ')[0] ?? person.name);
  const more = firsts.length - MOST_NAMED;
  const named = listWords([...firsts.slice(0, MOST_NAMED), ...(more > 0 ? [`${more} more`] : [])]);
  return (
    <div>
      <Button
        className="w-full justify-start text-left"
        disabled={isBusy || can.length === 0}
        onClick={choose}
      >
        {option.number} {option.name}: for {can.length} of {can.length + keep.length}
      </Button>
      {keep.length > 0 && can.length > 0 ? (
        <p className="px-1 text-[0.8125rem] text-soft">
          {named} {keep.length === 1 ? 'keeps' : 'keep'} what is worked out.
        </p>
      ) : null}
    </div>
  );
}
