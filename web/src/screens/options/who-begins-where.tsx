import { ArrowLeftRight } from 'lucide-react';
import type { Machine } from '@wrenfern/core/movement/vocabulary';
import { capital, PLACE_WORDS } from '@wrenfern/core/movement/words';
import { thoseWhoCome } from '@wrenfern/core/people/came';
import { splitGroups, STATIONS } from '@wrenfern/core/people/two-groups';
import { isMixed } from '@wrenfern/core/plan/tracks';
import type { BookedPerson, WholeClass } from '@wrenfern/contract/classes';
import { useSaveBooking } from '../../data/save-booking.ts';
import { Button } from '../../parts/button.tsx';
import { Sheet } from '../../parts/dialog.tsx';

/** In a class of two groups: who begins at which place; one press puts somebody into the other group. */
export function WhoBeginsWhere({ lesson }: { lesson: WholeClass }) {
  const save = useSaveBooking(lesson.id);
  if (!isMixed(lesson.plan)) return null;
  const groups = splitGroups(thoseWhoCome(lesson.attendees), lesson.machines.reformers);
  const sizes = STATIONS.map((station) => groups[station].length).join(' and ');
  return (
    <Sheet
      title="Who begins where"
      trigger={
        <Button>
          <ArrowLeftRight size={16} aria-hidden /> Groups of {sizes}
        </Button>
      }
    >
      <p className="mb-3 text-soft">
        Whom you put somewhere stays there; the others make both groups equal
        {lesson.machines.reformers > 0
          ? `, with at most ${lesson.machines.reformers} on the machines`
          : ''}
        .
      </p>
      {STATIONS.map((station) => (
        <section key={station} aria-label={`First ${PLACE_WORDS[station]}`} className="mb-4">
          <h3 className="mb-1 text-base">
            {capital(PLACE_WORDS[station])} first, {groups[station].length}
          </h3>
          <ul className="flex flex-col gap-1">
            {groups[station].map((booked) => (
              <Row key={booked.person.id} {...{ booked, station }} save={save} />
            ))}
          </ul>
        </section>
      ))}
    </Sheet>
  );
}

interface RowProps {
  booked: BookedPerson;
  station: Machine;
  save: ReturnType<typeof useSaveBooking>;
}

function Row({ booked, station, save }: RowProps) {
  const other = station === 'mat' ? 'reformer' : 'mat';
  const { name } = booked.person;
  return (
    <li className="flex items-center gap-2">
      <span className="min-w-0 flex-1 truncate">
        {name}
        {booked.startsOn ? <span className="text-soft"> · put there</span> : null}
      </span>
      {booked.startsOn ? (
        <Button
          look="quiet"
          aria-label={`${name} wherever there is room`}
          onClick={() => void save(booked, { startsOn: null })}
        >
          Let go
        </Button>
      ) : null}
      <Button
        aria-label={`${name} ${PLACE_WORDS[other]} first`}
        onClick={() => void save(booked, { startsOn: other })}
      >
        {capital(PLACE_WORDS[other])}
      </Button>
    </li>
  );
}
