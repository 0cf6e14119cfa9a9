import { UserPlus } from 'lucide-react';
import { useState } from 'react';
import { useSWRConfig } from 'swr';
import type { Came } from '@wrenfern/core/people/came';
import { isVisible, NAME_SEEN } from '@wrenfern/core/people/person';
import type { WholeClass } from '@wrenfern/contract/classes';
import { RevisedPerson } from '@wrenfern/contract/people';
import { bookedIn, bookPeople } from '../../data/book-people.ts';
import { request, sentenceOf } from '../../data/request.ts';
import { useSaveBooking } from '../../data/save-booking.ts';
import { usePeople } from '../../data/use-people.ts';
import { Button } from '../../parts/button.tsx';
import { Sheet } from '../../parts/dialog.tsx';
import { TextField } from '../../parts/field.tsx';
import { PickList } from '../../parts/pick-list.tsx';

/** As many as are read at a glance. */
const SHOWN = 8;

/** Somebody who comes without being booked: known here, or a guest of whom only a name is known. */
export function WalkIn({ lesson }: { lesson: WholeClass }) {
  const [open, setOpen] = useState(false);
  return (
    <Sheet
      title="Walk-in"
      description="Booked and marked as here at once."
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Button className="min-h-11">
          <UserPlus size={18} aria-hidden /> Walk-in
        </Button>
      }
    >
      <WalkInForm lesson={lesson} done={() => setOpen(false)} />
    </Sheet>
  );
}

function WalkInForm({ lesson, done }: { lesson: WholeClass; done: () => void }) {
  const { mutate } = useSWRConfig();
  const people = usePeople();
  const save = useSaveBooking(lesson.id);
  const [name, setName] = useState('');
  const [fault, setFault] = useState<string>();
  const asked = name.trim().toLowerCase();
  const booked = new Set(lesson.attendees.map(({ person }) => person.id));
  const known = (people.data?.people ?? [])
    .filter((person) => !booked.has(person.id))
    .filter((person) => asked !== '' && person.name.toLowerCase().includes(asked))
    .slice(0, SHOWN);
  /** Books, and marks as here; somebody who was never here gets the first options. */
  const add = async (personId: string, isGuest: boolean) => {
    const before = bookedIn(lesson);
    const saved = await bookPeople(lesson.id, before, [...before.personIds, personId]);
    await mutate(`/classes/${lesson.id}`, saved, { revalidate: false });
    const row = saved.attendees.find(({ person }) => person.id === personId);
    const here: Came = 'here';
    if (row) {
      await save(row, {
        came: here,
        ...(isGuest ? { today: [{ caution: 'first-time', clearedBy: '', note: '' }] } : {}),
      });
    }
  };
  const attempt = async (what: () => Promise<void>) => {
    setFault(undefined);
    try {
      await what();
      done();
    } catch (error) {
      setFault(sentenceOf(error));
    }
  };
  const addGuest = async () => {
    const person = await request(RevisedPerson, 'POST', '/people', {
      name: name.trim(),
      level: 1,
      note: 'Came as a guest.',
      usualOptions: {},
      cautions: [],
      holds: {},
    });
    await mutate('/people');
    await add(person.id, true);
  };
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!isVisible(name)) setFault(NAME_SEEN);
        else void attempt(addGuest);
      }}
    >
      <TextField
        label="Name"
        value={name}
        maxLength={80}
        autoComplete="off"
        error={fault}
        onChange={(event) => setName(event.target.value)}
      />
      <PickList
        choices={known.map(({ id, name: called }) => ({ key: id, name: called }))}
        onPick={(id) => void attempt(() => add(id, false))}
      />
      <Button look="main" type="submit">
        Add as a guest
      </Button>
      <p className="text-[0.8125rem] text-soft">
        A guest gets the first option of everything. Ask about pain, operations, pregnancy, bones
        and blood pressure before they join in.
      </p>
    </form>
  );
}
