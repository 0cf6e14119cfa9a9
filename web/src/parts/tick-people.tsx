import { useState } from 'react';
import { inputClass } from './field.tsx';
import { isNamedLike } from './named-like.ts';

/** People to choose any of, found by name; what is ticked stays ticked while others are searched. */
export function TickPeople({
  label,
  people,
  ticked,
  onChange,
}: {
  label: string;
  people: readonly { id: string; name: string }[];
  ticked: ReadonlySet<string>;
  onChange: (ticked: ReadonlySet<string>) => void;
}) {
  const [query, setQuery] = useState('');
  const shown = people.filter((person) => isNamedLike(person, query));
  const toggle = (id: string) => {
    const next = new Set(ticked);
    if (!next.delete(id)) next.add(id);
    onChange(next);
  };
  return (
    <>
      <input
        type="search"
        aria-label="Search people"
        placeholder="Search people"
        value={query}
        onChange={(event) => setQuery(event.target.value)}
        className={inputClass}
      />
      <ul aria-label={label} className="max-h-80 overflow-y-auto">
        {shown.map((person) => (
          <li key={person.id}>
            <label className="flex min-h-9 items-center gap-2 rounded-lg px-2 hover:bg-mist">
              <input
                type="checkbox"
                checked={ticked.has(person.id)}
                onChange={() => toggle(person.id)}
                className="size-4 accent-(--fern)"
              />
              {person.name}
            </label>
          </li>
        ))}
      </ul>
      {shown.length === 0 ? <p className="text-soft">Nobody of that name.</p> : null}
    </>
  );
}
