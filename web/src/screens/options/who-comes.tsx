import { Users } from 'lucide-react';
import { useState } from 'react';
import { useSWRConfig } from 'swr';
import type { WholeClass } from '@wrenfern/contract/classes';
import { bookedIn, bookPeople } from '../../data/book-people.ts';
import { usePeople } from '../../data/use-people.ts';
import { sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { Sheet } from '../../parts/dialog.tsx';
import { Empty, Failed, Loading } from '../../parts/states.tsx';
import { TickPeople } from '../../parts/tick-people.tsx';

/** Chooses who is booked into the class. */
export function WhoComes({ lesson }: { lesson: WholeClass }) {
  const [open, setOpen] = useState(false);
  return (
    <Sheet
      title="Who comes"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Button>
          <Users size={16} aria-hidden /> {lesson.attendees.length} coming
        </Button>
      }
    >
      <BookingForm lesson={lesson} done={() => setOpen(false)} />
    </Sheet>
  );
}

function BookingForm({ lesson, done }: { lesson: WholeClass; done: () => void }) {
  const { mutate } = useSWRConfig();
  const people = usePeople();
  const [fault, setFault] = useState<string>();
  // As it stood when the list was opened: what others book meanwhile is added to what is chosen here.
  const [opened] = useState(() => bookedIn(lesson));
  const [booked, setBooked] = useState<ReadonlySet<string>>(
    new Set(lesson.attendees.map(({ person }) => person.id)),
  );
  if (people.error && !people.data) {
    return <Failed error={people.error} retry={() => void people.mutate()} />;
  }
  if (!people.data) return <Loading what="people" />;
  if (people.data.people.length === 0) {
    return <Empty title="Nobody here yet">Add people in People, then book them in.</Empty>;
  }
  const submit = async () => {
    try {
      const saved = await bookPeople(lesson.id, opened, [...booked]);
      await mutate(`/classes/${lesson.id}`, saved, { revalidate: false });
      done();
    } catch (error) {
      setFault(sentenceOf(error));
    }
  };
  return (
    <div className="flex flex-col gap-3">
      <TickPeople
        label="People of the studio"
        people={people.data.people}
        ticked={booked}
        onChange={setBooked}
      />
      {fault ? (
        <p role="alert" className="text-copper">
          {fault}
        </p>
      ) : null}
      <Button look="main" onClick={() => void submit()}>
        Book {booked.size} {booked.size === 1 ? 'person' : 'people'}
      </Button>
    </div>
  );
}
