import { zodResolver } from '@hookform/resolvers/zod';
import { format } from 'date-fns';
import { useEffect, useRef } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { useSWRConfig } from 'swr';
import { z } from 'zod';
import type { Machine } from '@wrenfern/core/movement/vocabulary';
import { useRecentClasses } from '../../data/use-class-cards.ts';
import { useKeptPlans } from '../../data/use-classes.ts';
import { useGroups } from '../../data/use-people.ts';
import { useSession } from '../../data/use-session.ts';
import { useStudio } from '../../data/use-studio.ts';
import type { SchoolRules } from '@wrenfern/core/plan/school';
import type { ClassSummary } from '@wrenfern/contract/class-cards';
import type { StandingGroup } from '@wrenfern/contract/people';
import { ClassesMade, NewClassBody, type KeptPlanRow } from '@wrenfern/contract/classes';
import { request, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { showWhen } from '../../parts/dates.ts';
import { Field, inputClass, TextField } from '../../parts/field.tsx';
import { FormError } from '../../parts/form-error.tsx';
import { schoolChoices, schoolOf } from '@wrenfern/core/plan/school-choices';
import { SegmentedRadio } from '../../parts/segmented-radio.tsx';
import { dayAfter, dayIn, momentIn, noonOf } from '@wrenfern/core/week/studio-time';

const MACHINES: { value: Machine; name: string }[] = [
  { value: 'mat', name: 'Mat' },
  { value: 'reformer', name: 'Reformer' },
];

const BEGINNINGS = [
  { value: 'empty', name: 'Empty' },
  { value: 'again', name: 'Like an earlier class' },
  { value: 'kept', name: 'A kept plan' },
  { value: 'draft', name: 'Drafted for me' },
] as const;

/** As it stands on the screen; what becomes of it is `NewClassBody`, which says what is wrong. */
interface Values extends Pick<z.input<typeof NewClassBody>, 'copyOf' | 'keptPlanId' | 'vary'> {
  machine: Machine;
  title: string;
  school: string;
  startsAt: { day: string; time: string };
  /** Minutes here, seconds in what is sent. */
  targetS: number;
  weekly: boolean;
  weeklyUntil: string;
  /** `class ID` or `group ID`; empty for nobody yet. */
  who: string;
  begin: (typeof BEGINNINGS)[number]['value'];
}

const WEEKS_AHEAD_DAYS = 7 * 8;

/** Where, when, who comes and how it begins; everything can be changed later in the class. */
export function NewClassForm({
  day,
  keptPlan,
}: {
  day: string | undefined;
  keptPlan: KeptPlanRow | undefined;
}) {
  const zone = useSession().data?.studio.timeZone ?? 'UTC';
  const own = useStudio().data?.schools;
  const earlier = useRecentClasses().data?.classes ?? [];
  const groups = useGroups().data?.groups ?? [];
  const kept = useKeptPlans().data?.plans ?? [];
  // Asked when the class is made: what a class is called and taken from is chosen in the form itself.
  const making = useRef<Making>({ zone, own, name: '' });
  const form = useForm<Values, unknown, NewClassBody>({
    resolver: (values, context, options) =>
      zodResolver(bodyFrom(making.current))(values, context, options),
    defaultValues: firstValues(day ?? dayAfter(dayIn(zone, new Date()), 1), keptPlan),
  });
  const { errors, isSubmitting } = form.formState;
  const [machine, onDay, begin, copyOf, keptId] = useWatch({
    control: form.control,
    name: ['machine', 'startsAt.day', 'begin', 'copyOf', 'keptPlanId'],
  });
  const source = sourceOf(begin, {
    again: earlier.find(({ id }) => id === copyOf),
    kept: kept.find(({ id }) => id === keptId),
  });
  const sourceName = source && ('name' in source ? source.name : source.title);
  const name = sourceName ?? nameFor(source?.machine ?? machine, onDay);
  useEffect(() => {
    making.current = { zone, own, name };
  }, [zone, own, name]);
  const submit = useMaking(form);
  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-5" noValidate>
      <SegmentedRadio
        label="On"
        choices={MACHINES}
        value={source?.machine ?? machine}
        disabled={source !== undefined}
        onChange={(next) => form.setValue('machine', next)}
      />
      <When form={form} />
      <WhoComes form={form} groups={groups} earlier={earlier} zone={zone} />
      <Beginning form={form} begin={begin} earlier={earlier} kept={kept} zone={zone} />
      <NameAndSchool form={form} own={own ?? []} name={name} asIn={sourceName} />
      <FormError message={errors.root?.message} />
      <Button
        look="main"
        type="submit"
        disabled={isSubmitting}
        className="sticky bottom-0 min-h-11"
      >
        Make it and plan
      </Button>
    </form>
  );
}

type Form = ReturnType<typeof useForm<Values, unknown, NewClassBody>>;

/** The class or the kept plan that it takes its plan from. */
function sourceOf(
  begin: Values['begin'],
  { again, kept }: { again: ClassSummary | undefined; kept: KeptPlanRow | undefined },
): ClassSummary | KeptPlanRow | undefined {
  if (begin === 'again') return again;
  return begin === 'kept' ? kept : undefined;
}

interface BeginningProps {
  form: Form;
  begin: Values['begin'];
  earlier: readonly ClassSummary[];
  kept: readonly KeptPlanRow[];
  zone: string;
}

/** Nothing is offered that there is none of. */
function Beginning({ form, begin, earlier, kept, zone }: BeginningProps) {
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

function firstValues(day: string, keptPlan: KeptPlanRow | undefined): Values {
  return {
    machine: 'mat',
    title: '',
    school: 'foundations-first',
    startsAt: { day, time: '18:00' },
    targetS: keptPlan ? minutesOf(keptPlan) : 50,
    weekly: false,
    weeklyUntil: dayAfter(day, WEEKS_AHEAD_DAYS),
    who: '',
    begin: keptPlan ? 'kept' : 'empty',
    keptPlanId: keptPlan?.id ?? '',
    copyOf: '',
    vary: '',
  };
}

interface Making {
  zone: string;
  /** The studio's schools, as far as they are known. */
  own: readonly SchoolRules[] | undefined;
  /** What it is called where no name was typed. */
  name: string;
}

/** What is sent, made from what stands on the screen and read by the schema of the route. */
function bodyFrom({ zone, own, name }: Making) {
  return z
    .custom<Values>()
    .transform(({ begin, startsAt: { day, time }, ...wanted }): z.input<typeof NewClassBody> => ({
      title: wanted.title.trim() || name,
      machine: wanted.machine,
      school: schoolOf(wanted.school, own ?? [], 'foundations-first'),
      startsAt: day && time ? momentIn(zone, day, time) : '',
      targetS: wanted.targetS * 60,
      ...(begin === 'again' ? { copyOf: wanted.copyOf ?? '', vary: wanted.vary } : {}),
      ...(begin === 'kept' ? { keptPlanId: wanted.keptPlanId ?? '' } : {}),
      ...whoOf(wanted.who),
      ...(wanted.weekly ? { weeklyUntil: wanted.weeklyUntil } : {}),
    }))
    .pipe(NewClassBody);
}

/** Makes the class and opens its plan. */
function useMaking(form: Form) {
  const { mutate } = useSWRConfig();
  const navigate = useNavigate();
  return form.handleSubmit(async (body) => {
    try {
      const { id } = await request(ClassesMade, 'POST', '/classes', body);
      await mutate((key) => typeof key === 'string' && /^\/(today|week|classes\?)/.test(key));
      const isDrafted = form.getValues('begin') === 'draft';
      await navigate(`/classes/${id}/plan`, { state: { draft: isDrafted } });
    } catch (error) {
      form.setError('root', { message: sentenceOf(error) });
    }
  });
}

function WhoComes({
  form,
  groups,
  earlier,
  zone,
}: {
  form: Form;
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

function NameAndSchool({
  form,
  own,
  name,
  asIn,
}: {
  form: Form;
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

function When({ form }: { form: Form }) {
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

function Earlier({
  form,
  rows,
  zone,
}: {
  form: Form;
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

function Kept({ form, rows }: { form: Form; rows: readonly KeptPlanRow[] }) {
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

const minutesOf = ({ targetS }: { targetS: number }) => Math.round(targetS / 60);

/** A class that begins from another is as long as that one, until somebody says otherwise. */
function takeLength(
  form: Form,
  rows: readonly { id: string; targetS: number }[],
  chosen: 'copyOf' | 'keptPlanId',
) {
  const row = rows.find(({ id }) => id === form.getValues(chosen));
  if (row) form.setValue('targetS', minutesOf(row));
}

/** Who comes, as the server takes it. */
function whoOf(who: string): { groupId?: string; peopleOf?: string } {
  const [kind, id] = who.split(' ');
  if (!id) return {};
  return kind === 'group' ? { groupId: id } : { peopleOf: id };
}

/** "Thursday reformer", until somebody says otherwise. */
function nameFor(machine: Machine, day: string): string {
  const weekday = day ? format(noonOf(day), 'EEEE') : 'New';
  return `${weekday} ${machine}`;
}
