import type { ClassSummary } from '@wrenfern/contract/class-cards';
import type { KeptPlanRow } from '@wrenfern/contract/classes';
import { showWhen } from '../../parts/dates.ts';
import { Field, inputClass, TextField } from '../../parts/field.tsx';
import { SegmentedRadio } from '../../parts/segmented-radio.tsx';
import {
  BEGINNINGS,
  minutesOf,
  type NewClassFields,
  type NewClassValues,
} from './new-class-values.ts';

/** The class or the kept plan that it takes its plan from. */
export function sourceOf(
  begin: NewClassValues['begin'],
  { again, kept }: { again: ClassSummary | undefined; kept: KeptPlanRow | undefined },
): ClassSummary | KeptPlanRow | undefined {
  if (begin === 'again') return again;
  return begin === 'kept' ? kept : undefined;
}

interface BeginningProps {
  form: NewClassFields;
  begin: NewClassValues['begin'];
  earlier: readonly ClassSummary[];
  kept: readonly KeptPlanRow[];
  zone: string;
}

/** Nothing is offered that there is none of. */
export function Beginning({ form, begin, earlier, kept, zone }: BeginningProps) {
  return (
    <fieldset className="flex flex-col gap-2">
      <SegmentedRadio
        label="It begins"
        choices={BEGINNINGS.filter(
          ({ value }) =>
            (value !== 'again' || earlier.length > 0) && (value !== 'kept' || kept.length > 0),
        )}
        value={begin}
        onChange={(next) => form.setValue('begin', next)}
      />
      {begin === 'again' ? <Earlier form={form} rows={earlier} zone={zone} /> : null}
      {begin === 'kept' ? <Kept form={form} rows={kept} /> : null}
    </fieldset>
  );
}

function Earlier({
  form,
  rows,
  zone,
}: {
  form: NewClassFields;
  rows: readonly ClassSummary[];
  zone: string;
}) {
  const { errors } = form.formState;
  return (
    <>
      <Field label="Which" error={errors.copyOf?.message}>
        {(named) => (
          <select
            {...named}
            {...form.register('copyOf', {
              onChange: () => takeLength(form, rows, 'copyOf'),
            })}
            className={inputClass}
          >
            <option value="">choose one</option>
            {rows
              .filter(({ items }) => items > 0)
              .map((row) => (
                <option key={row.id} value={row.id}>
                  {row.title}, {showWhen(row.startsAt, zone)}
                </option>
              ))}
          </select>
        )}
      </Field>
      <TextField
        label="What to vary"
        hint="Stands in the note of the class, for you to see while you plan."
        maxLength={400}
        {...form.register('vary')}
      />
    </>
  );
}

function Kept({ form, rows }: { form: NewClassFields; rows: readonly KeptPlanRow[] }) {
  const { errors } = form.formState;
  return (
    <Field label="Which" error={errors.keptPlanId?.message}>
      {(named) => (
        <select
          {...named}
          {...form.register('keptPlanId', {
            onChange: () => takeLength(form, rows, 'keptPlanId'),
          })}
          className={inputClass}
        >
          <option value="">choose one</option>
          {rows.map((row) => (
            <option key={row.id} value={row.id}>
              {[row.name, ...row.tags].join(' · ')}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}

/** A class that begins from another is as long as that one, until somebody says otherwise. */
function takeLength(
  form: NewClassFields,
  rows: readonly { id: string; targetS: number }[],
  chosen: 'copyOf' | 'keptPlanId',
) {
  const row = rows.find(({ id }) => id === form.getValues(chosen));
  if (row) form.setValue('targetS', minutesOf(row));
}
