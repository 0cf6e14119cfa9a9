import { X } from 'lucide-react';
import { useId, type ReactNode } from 'react';
import type { DraftWishes } from '@wrenfern/core/draft/wishes';
import { DIRECTIONS } from '@wrenfern/core/movement/directions';
import { BODY_PARTS, FOUNDATIONS, PROPS, type Machine } from '@wrenfern/core/movement/vocabulary';
import {
  BODY_PART_WORDS,
  DIRECTION_WORDS,
  FOUNDATION_WORDS,
  PROP_WORDS,
} from '@wrenfern/core/movement/words';
import type { SchoolRules } from '@wrenfern/core/plan/school';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { ToggleChip } from '../../../parts/chip.tsx';
import { inputClass } from '../../../parts/field.tsx';
import { Select } from '../../../parts/select.tsx';
import { Stepper } from '../../../parts/stepper.tsx';
import { schoolChoices, schoolOf, schoolValue } from '@wrenfern/core/plan/school-choices';

interface FormProps {
  wishes: DraftWishes;
  schools: readonly SchoolRules[];
  onChange: (wishes: DraftWishes) => void;
}

const BOTH = 'both';
const PLACES: { value: Machine | typeof BOTH; name: string }[] = [
  { value: 'mat', name: 'on the mat' },
  { value: 'reformer', name: 'on the reformer' },
  { value: BOTH, name: 'on both, in two groups' },
];

/** At most this many of one kind of theme: a class about everything is about nothing. */
const THEMES = 4;

/** What is wished for, as sentences with places to fill. */
export function WishesForm({ wishes, schools, onChange }: FormProps) {
  const catalogue = useCatalogue();
  const set = (change: Partial<DraftWishes>) => onChange({ ...wishes, ...change });
  const known = catalogue.all.filter(
    ({ machine }) => wishes.twoGroups || machine === wishes.machine,
  );
  return (
    <div className="flex flex-col gap-5">
      <WhatClass wishes={wishes} schools={schools} set={set} />
      <About wishes={wishes} set={set} />
      <Sentence start="It climbs to" hint="A big exercise, reached by its ladder.">
        <Picker
          label="The exercise to climb to"
          known={known}
          chosen={wishes.climbTo ? [wishes.climbTo] : []}
          onChange={(slugs) => set({ climbTo: slugs.at(-1) })}
        />
      </Sentence>
      <div className="grid gap-5 sm:grid-cols-2">
        <Sentence start="It must have">
          <Picker
            label="An exercise that must be in it"
            known={known}
            chosen={wishes.mustHave}
            onChange={(mustHave) => set({ mustHave })}
          />
        </Sentence>
        <Sentence start="Not today">
          <Picker
            label="An exercise to leave out"
            known={known}
            chosen={wishes.never}
            onChange={(never) => set({ never })}
          />
        </Sentence>
      </div>
      <Sentence
        start="At hand are"
        hint="At first, what there is enough of for everyone. Exercises and options that need another prop are left out."
      >
        <Chips
          all={PROPS}
          words={PROP_WORDS}
          chosen={wishes.props ?? [...PROPS]}
          most={PROPS.length}
          onChange={(props) => set({ props: props.length === PROPS.length ? undefined : props })}
        />
      </Sentence>
      <Sentence start="For the group, nothing is harder than">
        <div className="w-40">
          <Stepper
            label="effort, of 5"
            value={wishes.effortMost}
            min={1}
            max={5}
            onChange={(effortMost) => set({ effortMost })}
          />
        </div>
      </Sentence>
    </div>
  );
}

interface PartProps {
  wishes: DraftWishes;
  set: (change: Partial<DraftWishes>) => void;
}

function WhatClass({ wishes, schools, set }: PartProps & Pick<FormProps, 'schools'>) {
  return (
    <Sentence start="A class of">
      <div className="grid grid-cols-3 items-end gap-2 max-sm:grid-cols-1">
        <Stepper
          label="length"
          unit="min"
          value={Math.round(wishes.targetS / 60)}
          min={5}
          max={120}
          step={5}
          onChange={(minutes) => set({ targetS: minutes * 60 })}
        />
        <Select
          label="Where"
          value={wishes.twoGroups ? BOTH : wishes.machine}
          choices={PLACES}
          onChange={(place) =>
            set({
              twoGroups: place === BOTH,
              machine: place === BOTH ? 'reformer' : place,
              climbTo: undefined,
              mustHave: [],
            })
          }
        />
        <Select
          label="In the way of"
          value={schoolValue(wishes.school)}
          choices={schoolChoices(schools, wishes.school)}
          onChange={(value) => set({ school: schoolOf(value, schools, wishes.school) })}
        />
      </div>
    </Sentence>
  );
}

function About({ wishes, set }: PartProps) {
  return (
    <Sentence start="It is about" hint="Leave all open for a class of everything.">
      <Chips
        label="foundations"
        all={FOUNDATIONS}
        words={FOUNDATION_WORDS}
        chosen={wishes.foundations}
        most={THEMES}
        onChange={(foundations) => set({ foundations })}
      />
      <Chips
        label="parts of the body"
        all={BODY_PARTS}
        words={BODY_PART_WORDS}
        chosen={wishes.bodyParts}
        most={THEMES}
        onChange={(bodyParts) => set({ bodyParts })}
      />
      <Chips
        label="directions of the spine"
        all={DIRECTIONS}
        words={DIRECTION_WORDS}
        chosen={wishes.directions}
        most={DIRECTIONS.length}
        onChange={(directions) => set({ directions })}
      />
    </Sentence>
  );
}

function Sentence({
  start,
  hint,
  children,
}: {
  start: string;
  hint?: string;
  children: ReactNode;
}) {
  return (
    <section aria-label={start}>
      <h3 className="mb-1.5 text-lg">{start}</h3>
      <div className="flex flex-col gap-2">{children}</div>
      {hint ? <p className="mt-1 text-[0.8125rem] text-soft">{hint}</p> : null}
    </section>
  );
}

function Chips<T extends string>({
  label,
  all,
  words,
  chosen,
  most,
  onChange,
}: {
  label?: string;
  all: readonly T[];
  words: Record<T, string>;
  chosen: readonly T[];
  most: number;
  onChange: (chosen: T[]) => void;
}) {
  return (
    <div className="flex flex-wrap items-center gap-1.5" role="group" aria-label={label}>
      {label ? <span className="text-[0.8125rem] text-soft">{label}</span> : null}
      {all.map((each) => (
        <ToggleChip
          key={each}
          on={chosen.includes(each)}
          onChange={(on) => {
            if (!on) onChange(chosen.filter((other) => other !== each));
            else if (chosen.length < most) onChange([...chosen, each]);
          }}
        >
          {words[each]}
        </ToggleChip>
      ))}
    </div>
  );
}

/** The browser's own list of suggestions; what is chosen stands beside it. */
function Picker({
  label,
  known,
  chosen,
  onChange,
}: {
  label: string;
  known: readonly { slug: string; name: string }[];
  chosen: readonly string[];
  onChange: (slugs: string[]) => void;
}) {
  const catalogue = useCatalogue();
  const id = useId();
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      {chosen.map((slug) => (
        <span
          key={slug}
          className="inline-flex min-h-7 items-center gap-1 rounded-full border border-fern bg-mist pl-3 text-[0.8125rem] font-semibold text-fern"
        >
          {catalogue.get(slug)?.name ?? slug}
          <button
            type="button"
            aria-label={`Without ${catalogue.get(slug)?.name ?? slug}`}
            className="grid size-7 place-items-center rounded-full hover:bg-leaf"
            onClick={() => onChange(chosen.filter((each) => each !== slug))}
          >
            <X size={14} aria-hidden />
          </button>
        </span>
      ))}
      <input
        aria-label={label}
        list={id}
        placeholder="type a name"
        className={`${inputClass} !w-52`}
        onChange={(event) => {
          const found = known.find(({ name }) => name === event.target.value);
          if (!found || chosen.includes(found.slug)) return;
          event.target.value = '';
          onChange([...chosen, found.slug]);
        }}
      />
      <datalist id={id}>
        {known.map(({ slug, name }) => (
          <option key={slug} value={name} />
        ))}
      </datalist>
    </div>
  );
}
