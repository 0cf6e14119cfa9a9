import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { z } from 'zod';
import { useLesson } from '../../app/class-shell.tsx';
import type { WholeClass } from '../../data/api-types.ts';
import { useSession, useTeam } from '../../data/hooks.ts';
import { readAnswer, request, sentenceOf } from '../../data/request.ts';
import { saveMerged } from '../../data/save-merged.ts';
import { Button } from '../../parts/button.tsx';
import { Field, inputClass } from '../../parts/field.tsx';
import { Select } from '../../parts/select.tsx';
import { PlanHistory } from './plan-history.tsx';

/** What belongs to the class rather than to its plan: when, by whom, its history, its end. */
export function ClassPart() {
  const role = useSession().data?.user.role;
  if (role !== 'owner' && role !== 'instructor') return null;
  return (
    <section aria-label="When and by whom" className="flex flex-col gap-3">
      <When />
      <HandOver />
      <div className="flex flex-wrap gap-2">
        <PlanHistory />
        <IntoWastebasket />
      </div>
    </section>
  );
}

/** An ISO time as the device's own clock writes it in a field. */
function localOf(iso: string): string {
  const date = new Date(iso);
  return new Date(date.getTime() - date.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}

const DetailsNow = z.object({ revision: z.number().int(), startsAt: z.string() });

function When() {
  const { lesson } = useLesson();
  const { mutate } = useSWRConfig();
  const save = async (local: string) => {
    if (!local || local === localOf(lesson.startsAt)) return;
    try {
      const saved = await saveMerged<{ startsAt: string }, WholeClass>({
        what: 'Day and time of this class',
        revision: lesson.detailsRevision,
        base: { startsAt: lesson.startsAt },
        mine: { startsAt: new Date(local).toISOString() },
        send: (revision, value) =>
          request<WholeClass>('PATCH', `/classes/${lesson.id}`, { revision, ...value }),
        theirsOf: (current) => {
          const { revision, startsAt } = readAnswer(DetailsNow, current);
          return { revision, value: { startsAt } };
        },
      });
      await mutate(`/classes/${lesson.id}`, saved, { revalidate: false });
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  return (
    <Field label="Day and time">
      {(named) => (
        <input
          {...named}
          key={lesson.startsAt}
          type="datetime-local"
          defaultValue={localOf(lesson.startsAt)}
          className={inputClass}
          onBlur={(event) => void save(event.target.value)}
        />
      )}
    </Field>
  );
}

const NOBODY = 'nobody';

function HandOver() {
  const { lesson } = useLesson();
  const team = useTeam();
  const { mutate } = useSWRConfig();
  const covers = (team.data?.team ?? []).filter(({ role }) => role === 'cover');
  if (covers.length === 0) return null;
  const choose = async (userId: string) => {
    try {
      const body = { userId: userId === NOBODY ? null : userId };
      await request('PUT', `/classes/${lesson.id}/cover`, body);
      await mutate(`/classes/${lesson.id}`);
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  return (
    <Select
      label="Handed over to"
      value={lesson.coverUserId ?? NOBODY}
      choices={[
        { value: NOBODY, name: 'nobody' },
        ...covers.map(({ id, name }) => ({ value: id, name })),
      ]}
      onChange={(userId) => void choose(userId)}
    />
  );
}

function IntoWastebasket() {
  const { lesson } = useLesson();
  const { mutate } = useSWRConfig();
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const refresh = () =>
    mutate((key) => typeof key === 'string' && /^\/(today|classes\?|wastebasket)/.test(key));
  const undo = async () => {
    await request('POST', `/wastebasket/class/${lesson.id}`);
    await refresh();
  };
  const remove = async () => {
    setBusy(true);
    try {
      await request('DELETE', `/classes/${lesson.id}`);
      await navigate('/');
      await refresh();
      toast.success(`${lesson.title} is in the wastebasket`, {
        action: {
          label: 'Undo',
          onClick: () => {
            undo().catch((error: unknown) => toast.error(sentenceOf(error)));
          },
        },
      });
    } catch (error) {
      toast.error(sentenceOf(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <Button disabled={busy} onClick={() => void remove()}>
      Into the wastebasket
    </Button>
  );
}
