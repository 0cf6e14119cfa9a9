import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { searchCatalogue } from '@wrenfern/core/movement/catalogue';
import { describeDose } from '@wrenfern/core/movement/dose';
import { standardOption, type Exercise } from '@wrenfern/core/movement/exercise';
import {
  DEMANDS,
  FOUNDATIONS,
  POSITIONS,
  PROPS,
  SPINE_MOVES,
} from '@wrenfern/core/movement/vocabulary';
import { DEMAND_WORDS } from '@wrenfern/core/people/cautions';
import { catalogue } from '../../data/catalogue.ts';
import { petalsOf } from '../../parts/directions.ts';
import { inputClass } from '../../parts/field.tsx';
import { Figure } from '../../parts/figure.tsx';
import { Frond } from '../../parts/frond.tsx';
import { Rose } from '../../parts/rose.tsx';
import { Select } from '../../parts/select.tsx';
import { Empty } from '../../parts/states.tsx';
import { FOUNDATION_WORDS, MOVE_WORDS, POSITION_WORDS, PROP_WORDS } from '../../parts/words.ts';

const ANY = { value: '', name: 'any' };
const CARD_PX = 194;
const LEAST_CARD_WIDTH = 230;

/** Every exercise, by what one looks for. The filters stand in the address, so that they can be kept. */
export function Component() {
  const [search, setSearch] = useSearchParams();
  const get = (key: string) => search.get(key) ?? '';
  const set = (key: string, value: string) => {
    setSearch(
      (before) => {
        const next = new URLSearchParams(before);
        if (value) next.set(key, value);
        else next.delete(key);
        return next;
      },
      { replace: true },
    );
  };
  const found = useMemo(
    () =>
      searchCatalogue(catalogue, search.get('q') ?? '').filter((exercise) =>
        fits(exercise, search),
      ),
    [search],
  );
  return (
    <>
      <div className="pt-8 pb-4">
        <h1 className="text-3xl">Library</h1>
        <p className="mt-1 text-base text-soft">
          {found.length} of {catalogue.all.length} exercises
        </p>
      </div>
      <div className="mb-5 grid items-end gap-3 sm:grid-cols-3 lg:grid-cols-6">
        <input
          type="search"
          aria-label="Search the library"
          placeholder="Search names"
          value={get('q')}
          onChange={(event) => set('q', event.target.value)}
          className={`${inputClass} sm:col-span-3 lg:col-span-1`}
        />
        <Select
          label="Position"
          value={get('position')}
          onChange={(value) => set('position', value)}
          choices={[ANY, ...POSITIONS.map((value) => ({ value, name: POSITION_WORDS[value] }))]}
        />
        <Select
          label="Direction"
          value={get('move')}
          onChange={(value) => set('move', value)}
          choices={[ANY, ...SPINE_MOVES.map((value) => ({ value, name: MOVE_WORDS[value] }))]}
        />
        <Select
          label="Teaches"
          value={get('teaches')}
          onChange={(value) => set('teaches', value)}
          choices={[ANY, ...FOUNDATIONS.map((value) => ({ value, name: FOUNDATION_WORDS[value] }))]}
        />
        <Select
          label="Prop"
          value={get('prop')}
          onChange={(value) => set('prop', value)}
          choices={[ANY, ...PROPS.map((value) => ({ value, name: PROP_WORDS[value] }))]}
        />
        <Select
          label="Has an option without"
          value={get('without')}
          onChange={(value) => set('without', value)}
          choices={[ANY, ...DEMANDS.map((value) => ({ value, name: DEMAND_WORDS[value] }))]}
        />
      </div>
      {found.length === 0 ? (
        <Empty title="Nothing fits">Take a filter away, or search another word.</Empty>
      ) : (
        <Shelf exercises={found} />
      )}
    </>
  );
}

function fits(exercise: Exercise, search: URLSearchParams): boolean {
  const wanted = (key: string) => search.get(key) ?? '';
  const is = (key: string, test: (value: string) => boolean) => !wanted(key) || test(wanted(key));
  return (
    is('position', (value) => exercise.position === value) &&
    is('move', (value) => exercise.moves.some((move) => move === value)) &&
    is('teaches', (value) => exercise.teaches.some(({ foundation }) => foundation === value)) &&
    is('prop', (value) =>
      exercise.options.some((option) => option.props.some(({ prop }) => prop === value)),
    ) &&
    is('without', (value) =>
      exercise.options.some((option) => !option.demands.some((demand) => demand === value)),
    )
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

function ExerciseCard({ exercise }: { exercise: Exercise }) {
  const option = standardOption(exercise);
  return (
    <Link
      to={`/library/${exercise.slug}`}
      className="flex h-full flex-col rounded-2xl border border-line bg-leaf p-3 hover:border-fern"
    >
      <div className="flex items-start justify-between">
        <Figure
          pose={option.poses.at(-1) ?? ''}
          props={option.props.filter((use) => !use.optional)}
          width={150}
          height={84}
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
      <p className="title mt-2 text-[1.0625rem]">{exercise.name}</p>
      <p className="line-clamp-2 text-[0.8125rem] text-soft">
        {POSITION_WORDS[exercise.position]} · {describeDose(exercise.dose)} ·{' '}
        {exercise.moves.map((move) => MOVE_WORDS[move]).join(', ')}
      </p>
    </Link>
  );
}
