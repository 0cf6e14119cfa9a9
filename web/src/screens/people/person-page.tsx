import { Plus, Trash2 } from 'lucide-react';
import { useFieldArray, useForm, type UseFormReturn } from 'react-hook-form';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { FOUNDATIONS, type Foundation } from '@wrenfern/core/movement/vocabulary';
import { CAUTIONS, cautionOf, type CautionId } from '@wrenfern/core/people/cautions';
import { Person, type CautionEntry } from '@wrenfern/core/people/person';
import { NotFound } from '../../parts/not-found.tsx';
import { RevisedPerson } from '@wrenfern/contract/people';
import { usePerson } from '../../data/use-people.ts';
import { saveMerged } from '../../data/save-merged.ts';
import { readAnswer, request, RequestProblem, sentenceOf } from '../../data/request.ts';
import { FormError } from '../../parts/form-error.tsx';
import { Button } from '../../parts/button.tsx';
import { Field, inputClass, TextField } from '../../parts/field.tsx';
import { Failed, Loading } from '../../parts/states.tsx';
import { GivePerson, RemovePerson } from './give-or-remove.tsx';
import { DEPTH_WORDS, FOUNDATION_WORDS } from '@wrenfern/core/movement/words';

/** One person's lasting record. */
export function Component() {
  const { id } = useParams();
  const isNew = id === 'new';
  const person = usePerson(isNew ? undefined : id);
  if (isNew) return <RecordForm key="new" known={undefined} />;
  if (person.error instanceof RequestProblem && person.error.code === 'not-found') {
    return <NotFound />;
  }
  if (person.error && !person.data) {
    return <Failed error={person.error} retry={() => void person.mutate()} />;
  }
  if (!person.data) return <Loading what="the record" />;
  return <RecordForm key={person.data.id} known={person.data} />;
}

interface CautionLine {
  caution: CautionId;
  since: string;
  until: string;
  clearedBy: string;
  note: string;
}

interface RecordValues {
  name: string;
  consentOn: string;
  level: number;
  springs: '' | 'lighter' | 'heavier';
  note: string;
  cautions: CautionLine[];
  holds: Record<Foundation, number>;
}

const LEVELS = [
  { value: 1, name: 'most supported' },
  { value: 2, name: 'a little further' },
  { value: 3, name: 'practised' },
  { value: 4, name: 'fullest' },
] as const;

function valuesOf(person: Person | undefined): RecordValues {
  return {
    name: person?.name ?? '',
    consentOn: person?.consentOn ?? '',
    level: person?.level ?? 2,
    springs: person?.springs ?? '',
    note: person?.note ?? '',
    cautions: (person?.cautions ?? []).map(({ since = '', until = '', ...rest }) => ({
      ...rest,
      since,
      until,
    })),
    holds: Object.fromEntries(
      FOUNDATIONS.map((foundation) => [foundation, person?.holds[foundation] ?? 0]),
    ) as Record<Foundation, number>,
  };
}

function recordOf(values: RecordValues, known: Person | undefined): Omit<Person, 'id'> {
  const cautions = values.cautions.map(({ since, until, ...rest }): CautionEntry => ({
    ...rest,
    ...(since ? { since } : {}),
    ...(until ? { until } : {}),
  }));
  const held = FOUNDATIONS.filter((foundation) => values.holds[foundation] > 0);
  return {
    name: values.name,
    ...(values.consentOn ? { consentOn: values.consentOn } : {}),
    level: values.level,
    ...(values.springs ? { springs: values.springs } : {}),
    note: values.note,
    usualOptions: known?.usualOptions ?? {},
    cautions,
    holds: Object.fromEntries(held.map((foundation) => [foundation, values.holds[foundation]])),
  };
}

function RecordForm({ known }: { known: RevisedPerson | undefined }) {
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  const form = useForm<RecordValues>({ defaultValues: valuesOf(known) });
  const { errors, isSubmitting, isDirty } = form.formState;
  const submit = form.handleSubmit(async (values) => {
    const body = recordOf(values, known);
    try {
      const saved = known
        ? await saveRecord(known, body)
        : await request(RevisedPerson, 'POST', '/people', body);
      // Classes carry people's records: what was worked out before is worked out again.
      await mutate(
        (key) => typeof key === 'string' && /^\/(people|classes|today)/.test(key),
        undefined,
        {
          revalidate: true,
        },
      );
      form.reset(valuesOf(saved));
      toast.success('Saved');
      if (!known) await navigate(`/people/${saved.id}`, { replace: true });
    } catch (error) {
      form.setError('root', { message: sentenceOf(error) });
    }
  });
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
          <TextField
            label="Name"
            error={errors.name?.message}
            {...form.register('name', {
              required: 'Give a name.',
              maxLength: { value: 80, message: 'At most 80 letters.' },
            })}
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
          <Field label="Note">
            {(named) => (
              <textarea
                {...named}
                rows={4}
                maxLength={2000}
                {...form.register('note')}
                className={inputClass}
              />
            )}
          </Field>
          <TextField
            label="Agreed that this is kept, on"
            type="date"
            hint="Records about health want their word."
            {...form.register('consentOn')}
          />
          <Holds form={form} />
        </div>
        <Cautions form={form} />
      </div>
    </form>
  );
}

type Body = Omit<Person, 'id'>;

/** On top of what a colleague saved meanwhile: a caution that was added elsewhere stays. */
function saveRecord(known: RevisedPerson, mine: Body): Promise<RevisedPerson> {
  const bodyOf = ({ id: _id, revision: _revision, ...body }: RevisedPerson): Body => body;
  return saveMerged<Body, RevisedPerson>({
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

function Holds({ form }: { form: UseFormReturn<RecordValues> }) {
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

function Cautions({ form }: { form: UseFormReturn<RecordValues> }) {
  const list = useFieldArray({ control: form.control, name: 'cautions' });
  const chosen = form.watch('cautions');
  return (
    <section aria-label="Cautions">
      <h2 className="text-xl">Cautions</h2>
      <p className="mb-3 text-soft">
        Usual cautions only. Wrenfern does not diagnose or clear anyone: ask a clinician, and follow
        local rules.
      </p>
      <ul className="flex flex-col gap-3">
        {list.fields.map((field, index) => {
          const caution = cautionOf(chosen[index]?.caution ?? field.caution);
          return (
            <li
              key={field.id}
              className="flex flex-col gap-3 rounded-2xl border border-line bg-leaf p-4"
            >
              <div className="flex gap-2">
                <select
                  aria-label="Caution"
                  {...form.register(`cautions.${index}.caution`)}
                  className={`${inputClass} font-semibold`}
                >
                  {CAUTIONS.map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
                </select>
                <Button aria-label={`Remove ${caution.name}`} onClick={() => list.remove(index)}>
                  <Trash2 size={16} aria-hidden />
                </Button>
              </div>
              <p>
                {caution.says}{' '}
                <span className="text-[0.8125rem] text-soft">({caution.source})</span>
              </p>
              <div className="grid gap-3 sm:grid-cols-3">
                <TextField
                  label="Since"
                  type="date"
                  {...form.register(`cautions.${index}.since`)}
                />
                <TextField
                  label="Until"
                  type="date"
                  {...form.register(`cautions.${index}.until`)}
                />
                <TextField
                  label="Cleared by"
                  placeholder="who said so"
                  maxLength={120}
                  {...form.register(`cautions.${index}.clearedBy`)}
                />
              </div>
              <TextField
                label="Note"
                maxLength={500}
                {...form.register(`cautions.${index}.note`)}
              />
            </li>
          );
        })}
      </ul>
      <Button
        className="mt-3"
        disabled={list.fields.length >= 20}
        onClick={() =>
          list.append({ caution: 'wrist', since: '', until: '', clearedBy: '', note: '' })
        }
      >
        <Plus size={16} aria-hidden /> Add a caution
      </Button>
    </section>
  );
}
