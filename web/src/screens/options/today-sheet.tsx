import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { firstOptions } from '@wrenfern/core/people/choose-for-many';
import { CAUTIONS, cautionOf, type CautionId } from '@wrenfern/core/people/cautions/cautions';
import { cautionsOn, type CautionEntry } from '@wrenfern/core/people/person';
import type { BookedPerson, WholeClass } from '@wrenfern/contract/classes';
import { Button } from '../../parts/button.tsx';
import { Sheet } from '../../parts/dialog.tsx';
import { ToggleChip } from '../../parts/chip.tsx';
import { Field, inputClass } from '../../parts/field.tsx';
import { FindCaution } from '../../parts/find-caution.tsx';
import { useCatalogue } from '../../data/catalogue.tsx';
import { useSaveBooking } from '../../data/save-booking.ts';

/** What is different about one person today only. */
export function TodaySheet({
  lesson,
  booked,
  children,
}: {
  lesson: WholeClass;
  booked: BookedPerson;
  children: ReactNode;
}) {
  const [open, setOpen] = useState(false);
  return (
    <Sheet
      title={booked.person.name}
      description="What holds for this class only. The lasting record is on the person’s own page."
      trigger={children}
      open={open}
      onOpenChange={setOpen}
    >
      <TodayForm lesson={lesson} booked={booked} done={() => setOpen(false)} />
    </Sheet>
  );
}

function TodayForm({
  lesson,
  booked,
  done,
}: {
  lesson: WholeClass;
  booked: BookedPerson;
  done: () => void;
}) {
  const save = useSaveBooking(lesson.id);
  const [note, setNote] = useState(booked.todayNote);
  const [today, setToday] = useState<CautionEntry[]>(booked.today);
  const submit = async () => {
    const saved = await save(booked, {
      todayNote: note.trim(),
      today,
    });
    if (saved) done();
  };
  return (
    <div className="flex flex-col gap-4">
      <Lasting entries={cautionsOn(booked.person, lesson.day)} />
      <Todays today={today} onChange={setToday} />
      <Field label="Note for today">
        {(named) => (
          <input
            {...named}
            value={note}
            maxLength={500}
            placeholder="e.g. wrist sore since Monday"
            onChange={(event) => setNote(event.target.value)}
            className={inputClass}
          />
        )}
      </Field>
      <Throughout lesson={lesson} booked={booked} done={done} />
      <div className="flex flex-wrap items-center gap-3">
        <Button look="main" onClick={() => void submit()}>
          Save for today
        </Button>
        <Link
          className="font-semibold text-fern underline"
          to={`/classes/${lesson.id}/sheet?person=${booked.person.id}`}
        >
          Their page, to print
        </Link>
        <Link className="font-semibold text-fern underline" to={`/people/${booked.person.id}`}>
          Open the record
        </Link>
      </div>
    </div>
  );
}

/** One press for every exercise of the class. */
function Throughout({
  lesson,
  booked,
  done,
}: {
  lesson: WholeClass;
  booked: BookedPerson;
  done: () => void;
}) {
  const catalogue = useCatalogue();
  const save = useSaveBooking(lesson.id);
  const decided = Object.keys(booked.byHand).length;
  const set = async (choices: BookedPerson['byHand']) => {
    if (await save(booked, { choices })) done();
  };
  return (
    <fieldset className="flex flex-wrap gap-2">
      <legend className="mb-1 font-semibold">Every exercise</legend>
      <Button
        onClick={() => {
          const first = firstOptions(lesson.plan, booked, catalogue, lesson.day);
          void set({ ...first, ...booked.byHand });
        }}
      >
        The first option, where it suits
      </Button>
      {decided > 0 ? (
        <Button look="quiet" onClick={() => void set({})}>
          Back to what is worked out ({decided} by hand)
        </Button>
      ) : null}
    </fieldset>
  );
}

/** What the person's own record says for this day. */
function Lasting({ entries }: { entries: readonly CautionEntry[] }) {
  if (entries.length === 0) return null;
  return (
    <ul className="flex flex-col gap-1 rounded-xl bg-slate-soft p-3">
      {entries.map((entry) => {
        const caution = cautionOf(entry.caution);
        return (
          <li key={entry.caution}>
            <span className="font-semibold">{caution.name}.</span> {caution.says} {entry.note}{' '}
            {entry.clearedBy ? `Cleared by: ${entry.clearedBy}.` : ''}
          </li>
        );
      })}
    </ul>
  );
}

interface TodaysProps {
  today: readonly CautionEntry[];
  onChange: (today: CautionEntry[]) => void;
}

const STATES = CAUTIONS.filter(({ group }) => group === 'today');

/** States of today by one press; anything else is found by its words. */
function Todays({ today, onChange }: TodaysProps) {
  const has = (id: CautionId) => today.some(({ caution }) => caution === id);
  const add = (id: CautionId) => {
    if (!has(id)) onChange([...today, { caution: id, clearedBy: '', note: '' }]);
  };
  const remove = (id: CautionId) => onChange(today.filter(({ caution }) => caution !== id));
  const others = today.filter(({ caution }) => cautionOf(caution).group !== 'today');
  return (
    <fieldset className="flex flex-col gap-3">
      <legend className="mb-1 font-semibold">Today as well</legend>
      <div className="flex flex-wrap gap-2">
        {STATES.map(({ id, name }) => (
          <ToggleChip key={id} on={has(id)} onChange={(on) => (on ? add(id) : remove(id))}>
            {name}
          </ToggleChip>
        ))}
        {others.map(({ caution }) => (
          <ToggleChip key={caution} on onChange={() => remove(caution)}>
            {cautionOf(caution).name}
          </ToggleChip>
        ))}
      </div>
      <FindCaution
        label="Anything else"
        disabled={today.length >= MOST_TODAY}
        onPick={(id) => add(id)}
      />
    </fieldset>
  );
}

/** As many as a booking holds. */
const MOST_TODAY = 10;
