import type { ReadyClass } from '@wrenfern/contract/class-cards';
import { ToggleChip } from '../../parts/chip.tsx';
import { inputClass } from '../../parts/field.tsx';
import { namedIn, summarise, type Filters } from './week-summary.ts';

/** What of the classes is shown, and what they come to; without classes the bar is that of the kept plans. */
export function FilterBar({
  filters,
  onChange,
  classes,
}: {
  filters: Filters;
  onChange: (filters: Filters) => void;
  classes: readonly ReadyClass[] | undefined;
}) {
  const searched = classes ? 'Name, person or exercise' : 'Search names and tags';
  const isOn = (machine: 'mat' | 'reformer') => filters.machine === machine;
  return (
    <div className="mb-3 flex flex-wrap items-center gap-2">
      <input
        type="search"
        aria-label={searched}
        placeholder={searched}
        value={filters.words}
        onChange={(event) => onChange({ ...filters, words: event.target.value })}
        className={`${inputClass} sm:max-w-60`}
      />
      {(['mat', 'reformer'] as const).map((machine) => (
        <ToggleChip
          key={machine}
          on={isOn(machine)}
          onChange={(on) => onChange({ ...filters, machine: on ? machine : 'all' })}
        >
          {machine}
        </ToggleChip>
      ))}
      {classes ? (
        <>
          <ToggleChip
            on={filters.onlyUnplanned}
            onChange={(onlyUnplanned) => onChange({ ...filters, onlyUnplanned })}
          >
            not planned yet
          </ToggleChip>
          <NamedFilter
            all="all schools"
            label="School"
            field="school"
            {...{ classes, filters, onChange }}
          />
          <NamedFilter
            all="all instructors"
            label="Instructor"
            field="instructor"
            {...{ classes, filters, onChange }}
          />
          <p role="status" className="text-soft">
            {summarise(classes).join(' · ')}
          </p>
        </>
      ) : null}
    </div>
  );
}

/** One of those that these classes have; nothing to choose from, nothing shown. */
function NamedFilter({
  label,
  all,
  field,
  classes,
  filters,
  onChange,
}: {
  label: string;
  all: string;
  field: 'school' | 'instructor';
  classes: readonly ReadyClass[];
  filters: Filters;
  onChange: (filters: Filters) => void;
}) {
  const known = namedIn(classes, field);
  if (known.length < 2 && filters[field] === '') return null;
  return (
    <select
      aria-label={label}
      value={filters[field]}
      onChange={(event) => onChange({ ...filters, [field]: event.target.value })}
      className={`${inputClass} w-auto max-w-44 max-sm:max-w-[46%]`}
    >
      <option value="">{all}</option>
      {known.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}
