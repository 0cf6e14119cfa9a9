import { Users } from 'lucide-react';
import { useState } from 'react';
import { useSWRConfig } from 'swr';
import { z } from 'zod';
import { WholeClass } from '@wrenfern/contract/classes';
import { usePeople } from '../../data/use-people.ts';
import { saveMerged } from '../../data/save-merged.ts';
import { readAnswer, request, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { Sheet } from '../../parts/dialog.tsx';
import { Empty, Failed, Loading } from '../../parts/states.tsx';
import { TickPeople } from '../../parts/tick-people.tsx';

const BookedNow = z.object({ revision: z.number().int(), personIds: z.array(z.string()) });

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
  const [opened] = useState(() => ({
    revision: lesson.attendeesRevision,
    personIds: lesson.attendees.map(({ person }) => person.id),
  }));
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
      const saved = await saveMerged<string[], WholeClass>({
        what: 'Who comes',
        revision: opened.revision,
        base: opened.personIds,
        mine: [...booked],
        send: (revision, personIds) =>
          request(WholeClass, 'PUT', `/classes/${lesson.id}/attendees`, { revision, personIds }),
        theirsOf: (current) => {
          const { revision, personIds } = readAnswer(BookedNow, current);
          return { revision, value: personIds };
        },
      });
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
