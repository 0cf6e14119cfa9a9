import { clsx } from 'clsx';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { ListFilter, Upload } from 'lucide-react';
import { memo, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import { describeDose } from '@wrenfern/core/movement/dose';
import { standardOption, type Exercise } from '@wrenfern/core/movement/exercise';
import { searchCatalogue } from '@wrenfern/core/movement/search';
import { isBuiltIn, useCatalogue } from '../../data/catalogue.tsx';
import { useAddressFilters } from '../../data/use-address-filters.ts';
import { Button } from '../../parts/button.tsx';
import { petalsOf } from '../../parts/directions.ts';
import { inputClass } from '../../parts/field.tsx';
import { Figure } from '../../parts/figure.tsx';
import { Frond } from '../../parts/frond.tsx';
import { Rose } from '../../parts/rose.tsx';
import { SegmentedRadio } from '../../parts/segmented-radio.tsx';
import { Select } from '../../parts/select.tsx';
import { Empty } from '../../parts/states.tsx';
import { MOVE_WORDS, POSITION_WORDS } from '@wrenfern/core/movement/words';
import { FILTERS } from './exercise-filters.ts';
import { ImportExercise } from './import-exercise.tsx';

const ANY = { value: '', name: 'any' };

/** What is chosen first: a mat class has no use for the reformer's exercises. */
const MACHINES = [
  { value: 'all', name: 'Everything' },
  { value: 'mat', name: 'Mat' },
  { value: 'reformer', name: 'Reformer' },
] as const;

const machineOf = (value: string) => (value === 'mat' || value === 'reformer' ? value : 'all');

const CARD_PX = 212;
const LEAST_CARD_WIDTH = 230;

/** Every exercise, by what one looks for. The filters stand in the address, so that they can be kept. */
export function Component() {
  const catalogue = useCatalogue();
  const { get, set, found, showAll } = useSearch(catalogue);
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-3 pt-8 pb-4">
        <div>
          <h1 className="text-3xl">Library</h1>
          <p className="mt-1 text-base text-soft" aria-live="polite">
            {found.length} of {catalogue.all.length} exercises
          </p>
        </div>
        <SegmentedRadio
          label="On the"
          labelHidden
          choices={MACHINES}
          value={machineOf(get('on'))}
          onChange={(machine) => set('on', machine === 'all' ? '' : machine)}
        />
        <ImportExercise
          trigger={
            <Button>
              <Upload size={16} aria-hidden /> Bring in an exercise
            </Button>
          }
        />
      </div>
      <Filters get={get} set={set} />
      {found.length === 0 ? (
        <Empty title="Nothing fits">
          <p>Take a filter away, or search another word.</p>
          {showAll ? (
            <Button className="mt-3" onClick={showAll}>
              Show everything
            </Button>
          ) : null}
        </Empty>
      ) : (
        <Shelf exercises={found} />
      )}
    </>
  );
}

/** What the address asks for, and what of the catalogue fits it. */
function useSearch(catalogue: Catalogue) {
  const { search, set, clear } = useAddressFilters();
  const found = useMemo(
    () =>
      searchCatalogue(catalogue, search.get('q') ?? '').filter((exercise) =>
        FILTERS.every(({ key, fits }) => {
          const value = search.get(key);
          return !value || fits(exercise, value);
        }),
      ),
    [search, catalogue],
  );
  return {
    get: (key: string) => search.get(key) ?? '',
    set: (key: string, value: string) => set({ [key]: value }),
    found,
    /** Undefined where nothing narrows the view. */
    showAll: search.size > 0 ? clear : undefined,
  };
}

interface FiltersProps {
  get: (key: string) => string;
  set: (key: string, value: string) => void;
}

/** What one looks for; on a phone the name alone until more is asked for. */
function Filters({ get, set }: FiltersProps) {
  const [open, setOpen] = useState(false);
  return (
    <div className="mb-5 grid grid-cols-2 items-end gap-x-3 gap-y-2 sm:grid-cols-3 lg:grid-cols-5">
      <input
        type="search"
        aria-label="Search the library"
        placeholder="Search names"
        value={get('q')}
        onChange={(event) => set('q', event.target.value)}
        className={`${inputClass} max-lg:col-span-full`}
      />
      <Button
        aria-expanded={open}
        className="col-span-full sm:hidden"
        onClick={() => setOpen(!open)}
      >
        <ListFilter size={16} aria-hidden />{' '}
        {open ? 'Hide what to look for' : 'Look for more than a name'}
      </Button>
      <div className={clsx('contents', !open && 'max-sm:hidden')}>
        {FILTERS.filter(({ key }) => key !== 'on').map(({ key, label, choices }) => (
          <Select
            key={key}
            label={label}
            value={get(key)}
            onChange={(value) => set(key, value)}
            choices={[ANY, ...choices]}
          />
        ))}
      </div>
    </div>
  );
}

/** Rows of cards; only those in sight are drawn, so that hundreds scroll as smoothly as ten. */
function Shelf({ exercises }: { exercises: readonly Exercise[] }) {
  const shelf = useRef<HTMLDivElement>(null);
  const [columns, setColumns] = useState(4);
  const [offset, setOffset] = useState(0);
  useLayoutEffect(() => {
    const element = shelf.current;
    if (!element) return;
    const measure = () => {
      setColumns(Math.max(1, Math.floor(element.clientWidth / LEAST_CARD_WIDTH)));
      setOffset(element.offsetTop);
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const virtual = useWindowVirtualizer({
    count: Math.ceil(exercises.length / columns),
    estimateSize: () => CARD_PX,
    overscan: 3,
    scrollMargin: offset,
  });
  return (
    <div ref={shelf}>
      <ul className="relative" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().flatMap((row) =>
          exercises
            .slice(row.index * columns, (row.index + 1) * columns)
            .map((exercise, column) => (
              <li
                key={exercise.slug}
                className="absolute p-1.5"
                style={{
                  top: row.start - offset,
                  left: `${(100 / columns) * column}%`,
                  width: `${100 / columns}%`,
                  height: CARD_PX,
                }}
              >
                <ExerciseCard exercise={exercise} />
              </li>
            )),
        )}
      </ul>
    </div>
  );
}

/** Kept while the shelf scrolls: only a card that comes into sight is drawn. */
const ExerciseCard = memo(function ExerciseCard({ exercise }: { exercise: Exercise }) {
  const option = standardOption(exercise);
  return (
    <Link
      to={`/library/${exercise.slug}`}
      className="flex h-full flex-col rounded-2xl border border-line bg-leaf p-3 hover:border-fern"
    >
      <div className="flex items-start justify-between">
        <Figure
          of={option}
          view={exercise.view}
          width={172}
          height={104}
          className="h-26 w-auto min-w-0 flex-1"
        />
        <div className="flex flex-col items-center gap-1">
          <Rose seconds={petalsOf(exercise.moves)} size={34} small />
          <Frond
            option={exercise.standard}
            of={exercise.options.length}
            standard
            size={30}
            label={`${exercise.options.length} options, standard ${exercise.standard}`}
          />
        </div>
      </div>
      <p className="title mt-2 truncate text-[1.0625rem]" title={exercise.name}>
        {exercise.name}
      </p>
      <p className="line-clamp-2 text-[0.8125rem] text-soft">
        {isBuiltIn(exercise.slug) ? '' : 'our own · '}
        {exercise.machine === 'reformer' ? 'reformer, ' : ''}
        {POSITION_WORDS[exercise.position]} · {describeDose(exercise.dose)} ·{' '}
        {exercise.moves.map((move) => MOVE_WORDS[move]).join(', ')}
      </p>
    </Link>
  );
});
