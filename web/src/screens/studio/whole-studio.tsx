import { Archive, FileUp } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { LookedInto, type StudioSettings } from '@wrenfern/contract/studio';
import { request, requestFile, RequestProblem, send, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { showWhen } from '../../parts/dates.ts';
import { Sheet } from '../../parts/dialog.tsx';
import { TextField } from '../../parts/field.tsx';
import { saveFile } from '../../parts/save-file.ts';

/** Everything of the studio out as one file, and in from one. */
export function WholeStudio({ studio }: { studio: StudioSettings }) {
  return (
    <Sheet
      title="The whole studio"
      description="People with their records, classes with what was taught, own exercises, plans, settings: one file, to keep or to bring to another studio."
      trigger={
        <Button>
          <Archive size={16} aria-hidden /> The whole studio as a file
        </Button>
      }
    >
      <div className="flex flex-col gap-8">
        <TakeOut studio={studio} />
        <BringIn studio={studio} />
      </div>
    </Sheet>
  );
}

function TakeOut({ studio }: { studio: StudioSettings }) {
  const [password, setPassword] = useState('');
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState('');
  const save = async () => {
    setBusy(true);
    setFault('');
    try {
      const file = await requestFile('POST', '/studio/archive', { password });
      saveFile(`${studio.slug}.zip`, file);
      setPassword('');
    } catch (error) {
      setFault(sentenceOf(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <h3 className="text-base">Out</h3>
      <p className="text-soft">
        The file is not encrypted: whoever has it reads the health notes in it. The team and the
        wastebasket are not in it.
      </p>
      {studio.isDemo ? null : (
        <TextField
          label="Your password"
          type="password"
          autoComplete="current-password"
          value={password}
          error={fault || undefined}
          onChange={(event) => setPassword(event.target.value)}
        />
      )}
      {studio.isDemo && fault ? <p role="alert">{fault}</p> : null}
      <Button type="submit" className="self-start" disabled={busy}>
        {busy ? 'Packing' : 'Save it as a file'}
      </Button>
    </form>
  );
}

function BringIn({ studio }: { studio: StudioSettings }) {
  const [file, setFile] = useState<{ zip: Blob; looked: LookedInto }>();
  const [faults, setFaults] = useState<string[]>([]);
  const [busy, setBusy] = useState(false);
  const look = async (chosen: File) => {
    setFile(undefined);
    setFaults([]);
    setBusy(true);
    const zip = new Blob([chosen], { type: 'application/zip' });
    try {
      setFile({ zip, looked: await request(LookedInto, 'POST', '/studio/archive/look', zip) });
    } catch (error) {
      setFaults(faultsIn(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <section aria-label="In" className="flex flex-col gap-3">
      <h3 className="text-base">In</h3>
      <label className="inline-flex min-h-9 cursor-pointer items-center gap-2 self-start rounded-xl border border-line-strong/60 bg-leaf px-3 font-semibold focus-within:outline-2 hover:bg-mist">
        <FileUp size={16} aria-hidden /> {busy ? 'Reading' : 'Look at a file'}
        <input
          type="file"
          accept=".zip,application/zip"
          disabled={busy}
          className="sr-only"
          onChange={(event) => {
            const [chosen] = event.target.files ?? [];
            event.target.value = '';
            if (chosen) void look(chosen);
          }}
        />
      </label>
      {faults.length > 0 ? (
        <div role="alert" className="rounded-xl bg-copper-soft p-3 text-copper">
          <p className="font-semibold">This file can’t be brought in. Nothing was changed.</p>
          <ul className="mt-1 list-disc pl-5">
            {faults.map((fault) => (
              <li key={fault}>{fault}</li>
            ))}
          </ul>
        </div>
      ) : null}
      {file ? (
        <Confirm
          key={file.looked.replaces.mark}
          studio={studio}
          {...file}
          again={() => setFile(undefined)}
        />
      ) : null}
    </section>
  );
}

/** "people.json, 3, level: give 1 to 4", one line a fault. */
function faultsIn(error: unknown): string[] {
  if (!(error instanceof RequestProblem) || error.fields.length === 0) return [sentenceOf(error)];
  return error.fields.map(({ path, message }) => {
    const where = path.filter((part) => part !== '').join(', ');
    return where ? `${where}: ${message}` : `It ${message}.`;
  });
}

const count = (number: number, one: string, many: string) =>
  `${number} ${number === 1 ? one : many}`;

/** Says what would come and what would go; only with the studio's name typed is it done. */
/** What the file holds, what it takes the place of, and what of it can't be kept. */
function WhatComes({ studio, looked }: { studio: StudioSettings; looked: LookedInto }) {
  const { holds, replaces, unknownTeachers } = looked;
  return (
    <>
      <p>
        <strong>{looked.studio}</strong>, as of {showWhen(looked.madeAt, studio.timeZone)}:{' '}
        {[
          count(holds.people, 'person', 'people'),
          count(holds.classes, 'class', 'classes'),
          count(holds.exercises, 'own exercise', 'own exercises'),
          count(holds.groups, 'group', 'groups'),
          count(holds.keptPlans, 'kept plan', 'kept plans'),
        ].join(', ')}
        .
      </p>
      <p className="rounded-xl bg-copper-soft p-3 text-copper">
        It takes the place of {count(replaces.people, 'person', 'people')},{' '}
        {count(replaces.classes, 'class', 'classes')} and all plans of {studio.name}, what lies in
        the wastebasket too. This can’t be undone: save what is here first.
      </p>
      {unknownTeachers.length > 0 ? (
        <p className="text-soft">
          Not in this team, so their classes will name nobody: {unknownTeachers.join(', ')}.
        </p>
      ) : null}
    </>
  );
}

function Confirm({
  studio,
  zip,
  looked,
  again,
}: {
  studio: StudioSettings;
  zip: Blob;
  looked: LookedInto;
  again: () => void;
}) {
  const { mutate } = useSWRConfig();
  const [typed, setTyped] = useState('');
  const [busy, setBusy] = useState(false);
  const replace = async () => {
    setBusy(true);
    try {
      await send('PUT', `/studio/archive?mark=${encodeURIComponent(looked.replaces.mark)}`, zip);
      await mutate(() => true, undefined, { revalidate: true });
      toast.success(`${looked.studio} is here, as of ${showWhen(looked.madeAt, studio.timeZone)}.`);
    } catch (error) {
      const isStale = error instanceof RequestProblem && error.code === 'stale';
      toast.error(isStale ? CHANGED_MEANWHILE : sentenceOf(error));
    } finally {
      setBusy(false);
      again();
    }
  };
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void replace();
      }}
    >
      <WhatComes studio={studio} looked={looked} />
      <TextField
        label={`Write ${studio.name} to go on`}
        value={typed}
        autoComplete="off"
        onChange={(event) => setTyped(event.target.value)}
      />
      <Button
        type="submit"
        look="main"
        className="self-start"
        disabled={busy || typed.trim() !== studio.name}
      >
        {busy ? 'Bringing it in' : 'Put it in place of what is here'}
      </Button>
    </form>
  );
}

const CHANGED_MEANWHILE =
  'Somebody changed something here in the meantime. Nothing was replaced; look at the file once more.';
