import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { z } from 'zod';
import { FOUNDATIONS } from '@wrenfern/core/movement/vocabulary';
import { DEPTH_WORDS, FOUNDATION_WORDS } from '@wrenfern/core/movement/words';
import { RATHER_NOT, type RatherNot } from '@wrenfern/core/people/rather-not';
import { PersonBody, RevisedPerson } from '@wrenfern/contract/people';
import { readAnswer, request, sentenceOf } from '../../data/request.ts';
import { saveMerged } from '../../data/save-merged.ts';
import { Button } from '../../parts/button.tsx';
import { ToggleChip } from '../../parts/chip.tsx';
import { Field, inputClass, TextField } from '../../parts/field.tsx';
import { FormError } from '../../parts/form-error.tsx';
import { CautionsField } from './cautions-field.tsx';
import { FromTheLog } from './from-the-log.tsx';
import { GivePerson, RemovePerson } from './give-or-remove.tsx';
import { LastTimeField } from './last-time-field.tsx';
import { recordOf, valuesOf, type RecordFormState, type RecordValues } from './record-values.ts';

const LEVELS = [
  { value: 1, name: 'most supported' },
  { value: 2, name: 'a little further' },
  { value: 3, name: 'practised' },
  { value: 4, name: 'fullest' },
] as const;

/** Reads the fields as the server will: what it would refuse is said beside the field. */
const RecordFields = z.custom<RecordValues>().transform(recordOf).pipe(PersonBody);

/** A person's record: who, where they start, what they bring, and their cautions. */
export function RecordForm({ known }: { known: RevisedPerson | undefined }) {
  const form = useForm<RecordValues, unknown, PersonBody>({
    resolver: zodResolver(RecordFields),
    defaultValues: valuesOf(known),
  });
  const { errors, isSubmitting, isDirty } = form.formState;
  const submit = useSubmit(form, known);
  return (
    <form onSubmit={(event) => void submit(event)} className="pt-8" noValidate>
      <Link to="/people" className="text-fern underline">
        People
      </Link>
      <div className="mt-1 mb-5 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">{known?.name ?? 'New person'}</h1>
        <div className="flex gap-2">
          {known ? <GivePerson person={known} /> : null}
          {known ? <RemovePerson person={known} /> : null}
          <Button
            look="main"
            type="submit"
            disabled={isSubmitting || !isDirty}
            className="min-h-10 px-5"
          >
            Save
          </Button>
        </div>
      </div>
      <FormError message={errors.root?.message} />
      <div className="grid gap-x-10 gap-y-8 lg:grid-cols-[1fr_1.3fr]">
        <div className="flex flex-col gap-4">
          <WhoFields form={form} />
          <Holds form={form} />
          {known ? <FromTheLog form={form} known={known} /> : null}
          <LastTimeField form={form} />
        </div>
        <CautionsField form={form} />
      </div>
    </form>
  );
}

function useSubmit(form: RecordFormState, known: RevisedPerson | undefined) {
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  return form.handleSubmit(async (body) => {
    try {
      const saved = known
        ? await saveRecord(known, body)
        : await request(RevisedPerson, 'POST', '/people', body);
      // Classes carry people's records: what was worked out before is worked out again.
      await mutate(
        (key) => typeof key === 'string' && /^\/(people|classes|today)/.test(key),
        undefined,
        { revalidate: true },
      );
      form.reset(valuesOf(saved));
      toast.success('Saved');
      if (!known) await navigate(`/people/${saved.id}`, { replace: true });
    } catch (error) {
      form.setError('root', { message: sentenceOf(error) });
    }
  });
}

/** On top of what a colleague saved meanwhile: a caution that was added elsewhere stays. */
function saveRecord(known: RevisedPerson, mine: PersonBody): Promise<RevisedPerson> {
  const bodyOf = ({ id: _id, revision: _revision, ...body }: RevisedPerson): PersonBody => body;
  return saveMerged<PersonBody, RevisedPerson>({
    what: `The record of ${known.name}`,
    revision: known.revision,
    base: bodyOf(known),
    mine,
    send: (revision, body) =>
      request(RevisedPerson, 'PUT', `/people/${known.id}`, { ...body, revision }),
    theirsOf: (current) => {
      const theirs = readAnswer(RevisedPerson, current);
      return { revision: theirs.revision, value: bodyOf(theirs) };
    },
  });
}

function WhoFields({ form }: { form: RecordFormState }) {
  const { errors } = form.formState;
  return (
    <>
      <TextField label="Name" error={errors.name?.message} {...form.register('name')} />
      <TextField
        label="Said as"
        placeholder="how the name sounds"
        error={errors.saidAs?.message}
        {...form.register('saidAs')}
      />
      <Field label="Usual option" hint="Where this person starts when nothing else is known.">
        {(named) => (
          <select
            {...named}
            {...form.register('level', { valueAsNumber: true })}
            className={inputClass}
          >
            {LEVELS.map(({ value, name }) => (
              <option key={value} value={value}>
                {value}, {name}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field
        label="Springs on the reformer"
        hint="One step from what the class is told, in every exercise."
      >
        {(named) => (
          <select {...named} {...form.register('springs')} className={inputClass}>
            <option value="">as the class is told</option>
            <option value="lighter">a step lighter</option>
            <option value="heavier">a step heavier</option>
          </select>
        )}
      </Field>
      <TextField
        label="Stature in centimetres, where it is wanted"
        inputMode="numeric"
        hint="Sets the machine for short and tall people, and how high hips and head come."
        error={errors.statureCm?.message}
        {...form.register('statureCm')}
      />
      <RatherNots form={form} />
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label="In an emergency call"
          error={errors.emergency?.name?.message}
          {...form.register('emergency.name')}
        />
        <TextField
          label="Their number"
          type="tel"
          error={errors.emergency?.phone?.message}
          {...form.register('emergency.phone')}
        />
      </div>
      <Field label="Note" error={errors.note?.message}>
        {(named) => (
          <textarea {...named} rows={4} {...form.register('note')} className={inputClass} />
        )}
      </Field>
      <TextField
        label="Agreed that this is kept, on"
        type="date"
        hint="Records about health want their word."
        error={errors.consentOn?.message}
        {...form.register('consentOn')}
      />
    </>
  );
}

/** Wishes that are kept to like cautions. */
function RatherNots({ form }: { form: RecordFormState }) {
  const chosen = form.watch('ratherNot');
  const toggle = (id: RatherNot, on: boolean) =>
    form.setValue('ratherNot', on ? [...chosen, id] : chosen.filter((each) => each !== id), {
      shouldDirty: true,
    });
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">Would rather</legend>
      <div className="flex flex-wrap gap-2">
        {RATHER_NOT.map(({ id, name }) => (
          <ToggleChip key={id} on={chosen.includes(id)} onChange={(on) => toggle(id, on)}>
            {name}
          </ToggleChip>
        ))}
      </div>
    </fieldset>
  );
}

function Holds({ form }: { form: RecordFormState }) {
  return (
    <fieldset>
      <legend className="title mb-1 text-xl">Foundations they bring</legend>
      <div className="grid grid-cols-[1fr_auto] items-center gap-x-4 gap-y-1">
        {FOUNDATIONS.map((foundation) => (
          <label key={foundation} className="contents">
            <span>{FOUNDATION_WORDS[foundation]}</span>
            <select
              {...form.register(`holds.${foundation}`, { valueAsNumber: true })}
              className="min-h-7 rounded-lg border border-line-strong/70 bg-leaf px-2"
            >
              {DEPTH_WORDS.map((name, depth) => (
                <option key={name} value={depth}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
