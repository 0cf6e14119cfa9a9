import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useMemo, useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { Link, useLocation, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { z } from 'zod';
import { Exercise } from '@wrenfern/core/movement/exercise';
import { NotFound } from '../../../parts/not-found.tsx';
import { OwnExercise } from '@wrenfern/contract/exercises';
import { isBuiltIn, useCatalogue } from '../../../data/catalogue.tsx';
import { useOwnExercises } from '../../../data/use-exercises.ts';
import { readAnswer, request, sentenceOf } from '../../../data/request.ts';
import { saveMerged } from '../../../data/save-merged.ts';
import { Button } from '../../../parts/button.tsx';
import type { ImportedState } from '../import-exercise.tsx';
import { BasicsFields } from './basics-fields.tsx';
import { copyForStudio, unsavedExercises, readUnsaved } from './unsaved-exercise.ts';
import { OptionFields } from './option-fields.tsx';
import { PlaceFields } from './place-fields.tsx';
import { Versions } from './versions.tsx';
import { WordsFields } from './words-fields.tsx';

/** Makes and edits the studio's own exercises. A built-in one is opened as a copy. */
export function Component() {
  const catalogue = useCatalogue();
  const { slug = '' } = useParams();
  const state = useLocation().state as ImportedState | null;
  const own = useOwnExercises();
  const imported = state?.imported;
  const known = catalogue.get(slug);
  const source = imported ?? known;
  if (!source) return <NotFound />;
  const version = own.data?.exercises.find(({ exercise }) => exercise.slug === slug)?.version ?? 0;
  const isCopy = !imported && isBuiltIn(slug);
  const start = isCopy || (imported && isBuiltIn(imported.slug)) ? copyForStudio(source) : source;
  return (
    <Editor
      key={`${slug} ${imported ? 'file' : 'own'}`}
      start={start}
      openedAs={slug}
      version={isCopy ? 0 : version}
      from={isCopy ? source.name : undefined}
    />
  );
}

/** What stands in the form is whole already; the schema says what of it is wrong. */
const AsTyped = z
  .custom<Exercise>()
  .transform((typed): z.input<typeof Exercise> => typed)
  .pipe(Exercise);

interface EditorProps {
  start: Exercise;
  /** The slug in the address: where a draft is kept. */
  openedAs: string;
  version: number;
  /** The built-in exercise that this is a copy of. */
  from: string | undefined;
}

function Editor({ start, openedAs, version, from }: EditorProps) {
  const [kept] = useState(() => unsavedExercises.take(openedAs));
  const form = useForm<Exercise, unknown, Exercise>({
    resolver: zodResolver(AsTyped),
    mode: 'onChange',
    defaultValues: kept ?? start,
  });
  const draft = useWatch({ control: form.control }) as Exercise;
  const signs = useMemo(() => readUnsaved(draft), [draft]);
  const { busy, save } = useSaving({ start, openedAs, version });
  useEffect(() => {
    if (form.formState.isDirty || kept) unsavedExercises.keep(openedAs, draft);
  }, [draft, form.formState.isDirty, kept, openedAs]);
  const discard = () => {
    unsavedExercises.drop(openedAs);
    form.reset(start);
  };
  return (
    <form className="pt-8" noValidate onSubmit={(event) => void form.handleSubmit(save)(event)}>
      <Link to={`/library/${openedAs}`} className="text-fern underline">
        {from ?? start.name}
      </Link>
      <div className="mt-1 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">{from ? `Our own, from ${from}` : draft.name}</h1>
        <div className="flex gap-2">
          <Button onClick={discard} disabled={!form.formState.isDirty && !kept}>
            Start again
          </Button>
          <Button type="submit" look="main" disabled={busy || !signs.exercise}>
            {busy ? 'Saving …' : 'Save'}
          </Button>
        </div>
      </div>
      {kept ? (
        <p className="mt-2 rounded-lg bg-slate-soft px-3 py-2" role="status">
          What you had not saved is back. “Start again” throws it away.
        </p>
      ) : null}
      <Signs faults={signs.faults} remarks={signs.remarks} />
      <div className="mt-6 flex flex-col gap-8">
        <OptionFields form={form} draft={draft} />
        <BasicsFields form={form} draft={draft} isNew={version === 0} />
        <PlaceFields form={form} draft={draft} />
        <WordsFields form={form} draft={draft} />
        {version > 0 ? (
          <Versions
            slug={start.slug}
            name={start.name}
            onOpen={(exercise) => form.reset(exercise, { keepDefaultValues: true })}
          />
        ) : null}
      </div>
    </form>
  );
}

/** Saves what reads as an exercise, forgets the unsaved copy and shows what was saved. */
function useSaving({ start, openedAs, version }: Omit<EditorProps, 'from'>) {
  const [busy, setBusy] = useState(false);
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  const save = async (exercise: Exercise) => {
    setBusy(true);
    try {
      const { slug, name } = exercise;
      await saveExercise(start, exercise, slug === start.slug ? version : 0);
      unsavedExercises.drop(openedAs);
      await Promise.all([mutate(`/exercises/${slug}/versions`), mutate('/exercises')]);
      toast.success(`${name} is saved`);
      await navigate(`/library/${slug}`);
    } catch (error) {
      toast.error(sentenceOf(error));
    } finally {
      setBusy(false);
    }
  };
  return { busy, save };
}

const VersionNow = z.object({ version: z.number().int(), exercise: Exercise });

/**
 * On top of what a colleague saved meanwhile: what does not touch is kept from both. A new one whose name
 * is taken is another exercise, and is refused.
 */
function saveExercise(base: Exercise, mine: Exercise, version: number): Promise<OwnExercise> {
  const put = (revision: number, exercise: Exercise) =>
    request(OwnExercise, 'PUT', `/exercises/${mine.slug}`, { version: revision, exercise });
  if (version === 0) return put(0, mine);
  return saveMerged<Exercise, OwnExercise>({
    what: mine.name,
    revision: version,
    base,
    mine,
    send: put,
    theirsOf: (current) => {
      const { version: revision, exercise } = readAnswer(VersionNow, current);
      return { revision, value: exercise };
    },
  });
}

function Signs({ faults, remarks }: { faults: readonly string[]; remarks: readonly string[] }) {
  if (faults.length === 0 && remarks.length === 0) {
    return (
      <p className="mt-3 text-fern" role="status">
        Words, pictures and ladder agree.
      </p>
    );
  }
  return (
    <section
      className="mt-3 rounded-xl border border-copper-line bg-copper-soft p-3 text-copper"
      aria-live="polite"
    >
      <h2 className="text-base font-semibold">
        {faults.length > 0 ? 'Before it can be saved' : 'Worth a second look; it can be saved'}
      </h2>
      <ul className="mt-1 list-disc pl-5">
        {(faults.length > 0 ? faults : remarks).map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </section>
  );
}
