import { useWatch } from 'react-hook-form';
import type { SchoolRules } from '@wrenfern/core/plan/school';
import { schoolChoices } from '@wrenfern/core/plan/school-choices';
import type { ClassSummary } from '@wrenfern/contract/class-cards';
import type { StandingGroup } from '@wrenfern/contract/people';
import { showWhen } from '../../parts/dates.ts';
import { Field, inputClass, TextField } from '../../parts/field.tsx';
import type { NewClassFields } from './new-class-values.ts';

export function When({ form }: { form: NewClassFields }) {
  const { errors } = form.formState;
  const weekly = useWatch({ control: form.control, name: 'weekly' });
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="sr-only">When</legend>
      <div className="grid grid-cols-3 gap-3">
        <TextField
          label="Day"
          type="date"
          error={errors.startsAt?.message}
          {...form.register('startsAt.day')}
        />
        <TextField label="Time" type="time" {...form.register('startsAt.time')} />
        <TextField
          label="Length in minutes"
          type="number"
          min={1}
          max={180}
          error={errors.targetS?.message}
          {...form.register('targetS', { valueAsNumber: true })}
        />
      </div>
      <div className="flex min-h-9 flex-wrap items-center gap-3">
        <label className="flex items-center gap-2">
          <input type="checkbox" className="size-5 accent-(--fern)" {...form.register('weekly')} />
          every week
        </label>
        {weekly ? (
          <label className="flex items-center gap-2">
            until
            <input
              type="date"
              {...form.register('weeklyUntil')}
              aria-invalid={errors.weeklyUntil !== undefined}
              className="min-h-9 rounded-lg border border-line-strong/70 bg-leaf px-2"
            />
            {errors.weeklyUntil ? (
              <span className="text-copper">{errors.weeklyUntil.message}</span>
            ) : null}
          </label>
        ) : null}
      </div>
    </fieldset>
  );
}

export function WhoComes({
  form,
  groups,
  earlier,
  zone,
}: {
  form: NewClassFields;
  groups: readonly StandingGroup[];
  earlier: readonly ClassSummary[];
  zone: string;
}) {
  return (
    <Field label="Who comes">
      {(named) => (
        <select {...named} {...form.register('who')} className={inputClass}>
          <option value="">nobody yet</option>
          {groups.length > 0 ? (
            <optgroup label="Standing groups">
              {groups.map((group) => (
                <option key={group.id} value={`group ${group.id}`}>
                  {group.name} ({group.personIds.length})
                </option>
              ))}
            </optgroup>
          ) : null}
          <optgroup label="As in">
            {earlier
              .filter(({ coming }) => coming > 0)
              .map((row) => (
                <option key={row.id} value={`class ${row.id}`}>
                  the {row.coming} of {row.title}, {showWhen(row.startsAt, zone)}
                </option>
              ))}
          </optgroup>
        </select>
      )}
    </Field>
  );
}

export function NameAndSchool({
  form,
  own,
  name,
  asIn,
}: {
  form: NewClassFields;
  own: readonly SchoolRules[];
  name: string;
  /** Where the plan, and with it the school, comes from. */
  asIn: string | undefined;
}) {
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <TextField
        label="Name"
        placeholder={name}
        maxLength={120}
        error={form.formState.errors.title?.message}
        {...form.register('title')}
      />
      <Field label="In the way of">
        {(named) =>
          asIn ? (
            <input {...named} disabled value={`as in ${asIn}`} className={inputClass} />
          ) : (
            <select {...named} {...form.register('school')} className={inputClass}>
              {schoolChoices(own, 'foundations-first').map((school) => (
                <option key={school.value} value={school.value}>
                  {school.name}
                </option>
              ))}
            </select>
          )
        }
      </Field>
    </div>
  );
}
