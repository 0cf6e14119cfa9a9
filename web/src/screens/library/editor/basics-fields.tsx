import type { UseFormReturn } from 'react-hook-form';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import {
  BODY_PARTS,
  POSITIONS,
  SIDES,
  SPINE_MOVES,
  TEMPOS,
} from '@wrenfern/core/movement/vocabulary';
import { ToggleChip } from '../../../parts/chip.tsx';
import { TextField } from '../../../parts/field.tsx';
import { Select } from '../../../parts/select.tsx';
import { Stepper } from '../../../parts/stepper.tsx';
import {
  BODY_PART_WORDS,
  MOVE_WORDS,
  POSITION_WORDS,
  TEMPO_WORDS,
} from '@wrenfern/core/movement/words';
import { slugOf } from './unsaved-exercise.ts';

interface FieldsProps {
  form: UseFormReturn<Exercise>;
  draft: Exercise;
  isNew: boolean;
}

const TURNED = { shouldDirty: true, shouldValidate: true } as const;
const MOST_LOAD = 4;

/** What an exercise is: names, place, directions, dose. */
export function BasicsFields(props: FieldsProps) {
  const { form, draft } = props;
  const set = form.setValue;
  const toggled = <T extends string>(all: readonly T[], value: T, on: boolean): T[] =>
    on ? [...all, value] : all.filter((each) => each !== value);
  return (
    <section className="flex flex-col gap-4">
      <h2 className="text-xl">What it is</h2>
      <Naming {...props} />
      <div className="grid gap-3 sm:grid-cols-4">
        <Kind {...props} />
        <Amounts {...props} />
      </div>
      <Chips
        legend="The spine"
        values={SPINE_MOVES}
        words={MOVE_WORDS}
        on={draft.moves}
        onToggle={(value, on) => set('moves', toggled(draft.moves, value, on), TURNED)}
      />
      <Chips
        legend="Body parts"
        values={BODY_PARTS}
        words={BODY_PART_WORDS}
        on={draft.bodyParts}
        onToggle={(value, on) => set('bodyParts', toggled(draft.bodyParts, value, on), TURNED)}
      />
    </section>
  );
}

function Naming({ form, draft, isNew }: FieldsProps) {
  const set = form.setValue;
  const { errors } = form.formState;
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      <TextField
        label="Name"
        error={errors.name?.message}
        value={draft.name}
        onChange={(event) => {
          set('name', event.target.value, TURNED);
          if (isNew) set('slug', slugOf(event.target.value), TURNED);
        }}
      />
      <TextField
        label="Short name for files and addresses"
        hint={isNew ? 'Small letters, digits and hyphens.' : 'Stays as it is: plans point at it.'}
        readOnly={!isNew}
        error={errors.slug?.message}
        {...form.register('slug')}
      />
      <CommaField
        label="Other names, parted by commas"
        error={errors.otherNames?.message}
        values={draft.otherNames}
        onValues={(values) => set('otherNames', values, TURNED)}
      />
      <TextField
        label="Purpose, in one line"
        error={errors.purpose?.message}
        {...form.register('purpose')}
      />
      <CommaField
        label="What moves it, parted by commas"
        error={errors.movers?.message}
        values={draft.movers}
        onValues={(values) => set('movers', values, TURNED)}
      />
    </div>
  );
}

/** From which usual option of a group on it is drafted. */
const LEVELS = [
  { value: '1', name: 'any group' },
  ...[2, 3, 4].map((level) => ({
    value: String(level),
    name: `groups from usual option ${level} on`,
  })),
];

/** How it is done: where, by what kind of repetition, on which sides. */
function Kind({ form, draft }: FieldsProps) {
  const set = form.setValue;
  return (
    <>
      <Select
        label="Position"
        value={draft.position}
        choices={POSITIONS.map((value) => ({ value, name: POSITION_WORDS[value] }))}
        onChange={(value) => set('position', value, TURNED)}
      />
      <Select
        label="Kind of repetition"
        value={draft.tempo}
        choices={TEMPOS.map((value) => ({ value, name: TEMPO_WORDS[value] }))}
        onChange={(value) => set('tempo', value, TURNED)}
      />
      <Select
        label="Sides"
        value={draft.dose.sides}
        choices={SIDES.map((value) => ({ value, name: value }))}
        onChange={(value) => set('dose', { ...draft.dose, sides: value }, TURNED)}
      />
      <Select
        label="Its options are"
        value={draft.optionsAre}
        choices={[
          { value: 'steps', name: 'steps of a ladder' },
          { value: 'variants', name: 'variants, in turn' },
        ]}
        onChange={(value) => set('optionsAre', value, TURNED)}
      />
      <Select
        label="Drafted for"
        value={String(draft.fromLevel ?? 1)}
        choices={LEVELS}
        onChange={(value) => set('fromLevel', value === '1' ? undefined : Number(value), TURNED)}
      />
    </>
  );
}

/** What is counted: load of the spine, dose, its usual range, the standard option. */
function Amounts({ form, draft }: FieldsProps) {
  const set = form.setValue;
  const dose = (change: object) => set('dose', { ...draft.dose, ...change }, TURNED);
  return (
    <>
      <Stepper
        label="spine load, 0 to 4"
        value={draft.spineLoad}
        min={0}
        max={MOST_LOAD}
        onChange={(value) => set('spineLoad', value, TURNED)}
      />
      {'count' in draft.dose && draft.dose.kind !== 'hold' ? (
        <Stepper
          label="usual dose"
          value={draft.dose.count}
          min={1}
          max={200}
          onChange={(count) => dose({ count })}
        />
      ) : null}
      {draft.dose.kind === 'hold' ? (
        <Stepper
          label="usual hold"
          unit="s"
          value={draft.dose.holdS}
          min={1}
          max={600}
          step={5}
          onChange={(holdS) => dose({ holdS })}
        />
      ) : null}
      <Stepper
        label="usual least"
        value={draft.usual.least}
        min={1}
        max={600}
        onChange={(value) => set('usual.least', value, TURNED)}
      />
      <Stepper
        label="usual most"
        value={draft.usual.most}
        min={1}
        max={600}
        onChange={(value) => set('usual.most', value, TURNED)}
      />
      <Stepper
        label="standard option"
        value={draft.standard}
        min={1}
        max={draft.options.length}
        onChange={(value) => set('standard', value, TURNED)}
      />
    </>
  );
}

interface CommaFieldProps {
  label: string;
  error: string | undefined;
  values: readonly string[];
  onValues: (values: string[]) => void;
}

/** Several short words in one line; read when the field is left, so that a comma can be typed. */
function CommaField({ label, error, values, onValues }: CommaFieldProps) {
  return (
    <TextField
      key={values.join()}
      label={label}
      error={error}
      defaultValue={values.join(', ')}
      onBlur={(event) =>
        onValues(
          event.target.value
            .split(',')
            .map((word) => word.trim())
            .filter(Boolean),
        )
      }
    />
  );
}

interface ChipsProps<T extends string> {
  legend: string;
  values: readonly T[];
  words: Readonly<Record<T, string>>;
  on: readonly T[];
  onToggle: (value: T, on: boolean) => void;
}

export function Chips<T extends string>({ legend, values, words, on, onToggle }: ChipsProps<T>) {
  return (
    <fieldset>
      <legend className="text-[0.8125rem] text-soft">{legend}</legend>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {values.map((value) => (
          <ToggleChip
            key={value}
            on={on.includes(value)}
            onChange={(isOn) => onToggle(value, isOn)}
          >
            {words[value]}
          </ToggleChip>
        ))}
      </div>
    </fieldset>
  );
}
