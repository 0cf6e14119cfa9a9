import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { UserPlus } from 'lucide-react';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { cautionOf } from '@wrenfern/core/people/cautions/cautions';
import type { Person } from '@wrenfern/core/people/person';
import { usePeople } from '../../data/use-people.ts';
import { buttonClass } from '../../parts/button.tsx';
import { ToggleChip } from '../../parts/chip.tsx';
import { inputClass } from '../../parts/field.tsx';
import { Frond } from '../../parts/frond.tsx';
import { isNamedLike } from '../../parts/named-like.ts';
import { Empty, Failed, Loading } from '../../parts/states.tsx';
import { Groups } from './groups.tsx';
import { PeopleTable } from './people-table.tsx';

const ROW_PX = 58;

/** Everyone who comes to the studio. */
export function Component() {
  const people = usePeople();
  const [query, setQuery] = useState('');
  const [withCaution, setWithCaution] = useState(false);
  if (people.error && !people.data) {
    return <Failed error={people.error} retry={() => void people.mutate()} />;
  }
  if (!people.data) return <Loading what="people" />;
  const all = people.data.people;
  const shown = all.filter(
    (person) => isNamedLike(person, query) && (!withCaution || person.cautions.length > 0),
  );
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-3 pt-8 pb-4">
        <div>
          <h1 className="text-3xl">People</h1>
          <p className="mt-1 text-base text-soft">
            {all.length} {all.length === 1 ? 'record' : 'records'}, seen by this studio only
          </p>
        </div>
        <div className="flex flex-wrap gap-2">
          <PeopleTable people={all} />
          {all.length > 0 ? <Groups people={all} /> : null}
          <Link to="/people/new" className={buttonClass('main', 'min-h-10')}>
            <UserPlus size={18} aria-hidden /> New person
          </Link>
        </div>
      </div>
      {all.length === 0 ? (
        <Empty title="Nobody here yet">
          Add the people who come to class. Cautions and levels decide who starts where.
        </Empty>
      ) : (
        <>
          <div className="mb-3 flex flex-wrap items-center gap-3">
            <input
              type="search"
              aria-label="Search people"
              placeholder="Search names"
              value={query}
              onChange={(event) => setQuery(event.target.value)}
              className={`${inputClass} max-w-xs`}
            />
            <ToggleChip on={withCaution} onChange={setWithCaution}>
              with cautions
            </ToggleChip>
          </div>
          {shown.length === 0 ? (
            <p className="text-soft">Nobody by that name.</p>
          ) : (
            <Rows people={shown} />
          )}
        </>
      )}
    </>
  );
}

function Rows({ people }: { people: readonly Person[] }) {
  const list = useRef<HTMLUListElement>(null);
  const virtual = useWindowVirtualizer({
    count: people.length,
    estimateSize: () => ROW_PX,
    overscan: 10,
  });
  return (
    <ul
      ref={list}
      className="relative border-t border-line"
      style={{ height: virtual.getTotalSize() }}
    >
      {virtual.getVirtualItems().map((row) => {
        const person = people[row.index];
        return person ? (
          <li
            key={person.id}
            className="absolute inset-x-0 border-b border-line"
            style={{ top: row.start, height: ROW_PX }}
          >
            <PersonRow person={person} />
          </li>
        ) : null;
      })}
    </ul>
  );
}

function PersonRow({ person }: { person: Person }) {
  return (
    <Link
      to={`/people/${person.id}`}
      className="grid h-full grid-cols-[1fr_auto] items-center gap-x-4 rounded-lg px-2 hover:bg-mist sm:grid-cols-[14rem_1fr_1fr_auto]"
    >
      <span className="truncate font-semibold">{person.name}</span>
      <span className="truncate text-copper max-sm:order-last max-sm:text-[0.8125rem]">
        {person.cautions.map(({ caution }) => cautionOf(caution).name).join(' · ')}
      </span>
      <span className="truncate text-soft max-sm:hidden">{person.note}</span>
      <Frond option={person.level} of={4} size={32} label={`usual option ${person.level} of 4`} />
    </Link>
  );
}
