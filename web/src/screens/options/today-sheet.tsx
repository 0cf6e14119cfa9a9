import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { CAUTIONS, cautionOf, type CautionId } from '@wrenfern/core/people/cautions/cautions';
import { cautionsOn, type CautionEntry } from '@wrenfern/core/people/person';
import type { BookedPerson, WholeClass } from '@wrenfern/contract/classes';
import { Button } from '../../parts/button.tsx';
import { Sheet } from '../../parts/dialog.tsx';
import { Field, inputClass } from '../../parts/field.tsx';
import { useSaveBooking } from './save-booking.ts';

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
  const [today, setToday] = useState<ReadonlySet<CautionId>>(
    new Set(booked.today.map(({ caution }) => caution)),
  );
  const submit = async () => {
    const saved = await save(booked, {
      todayNote: note.trim(),
      today: [...today].map((caution) => ({ caution, clearedBy: '', note: '' })),
    });
    if (saved) done();
  };
  return (
    <div className="flex flex-col gap-4">
      <Lasting entries={cautionsOn(booked.person, lesson.day)} />
      <CautionTicks ticked={today} onChange={setToday} />
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
      <div className="flex items-center gap-3">
        <Button look="main" onClick={() => void submit()}>
          Save for today
        </Button>
        <Link className="font-semibold text-fern underline" to={`/people/${booked.person.id}`}>
          Open the record
        </Link>
      </div>
    </div>
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

interface TicksProps {
  ticked: ReadonlySet<CautionId>;
  onChange: (ticked: ReadonlySet<CautionId>) => void;
}

function CautionTicks({ ticked, onChange }: TicksProps) {
  const toggle = (id: CautionId) => {
    const next = new Set(ticked);
    if (!next.delete(id)) next.add(id);
    onChange(next);
  };
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">Today as well</legend>
      <div className="grid max-h-56 gap-x-4 gap-y-1 overflow-y-auto sm:grid-cols-2">
        {CAUTIONS.map(({ id, name }) => (
          <label key={id} className="flex min-h-7 items-center gap-2">
            <input
              type="checkbox"
              checked={ticked.has(id)}
              onChange={() => toggle(id)}
              className="size-4 accent-(--fern)"
            />
            {name}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
