import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { z } from 'zod';
import { dayIn, momentIn, timeIn } from '@wrenfern/core/week/studio-time';
import { useLesson } from '../../../data/use-lesson.ts';
import { WholeClass } from '@wrenfern/contract/classes';
import { useSession } from '../../../data/use-session.ts';
import { useTeam } from '../../../data/use-studio.ts';
import { readAnswer, request, send, sentenceOf } from '../../../data/request.ts';
import { saveMerged } from '../../../data/save-merged.ts';
import { Button } from '../../../parts/button.tsx';
import { Field, inputClass } from '../../../parts/field.tsx';
import { Select } from '../../../parts/select.tsx';
import { PlanHistory } from '../editor/plan-history.tsx';

/** What belongs to the class rather than to its plan: when, by whom, its history, its end. */
export function ClassPart() {
  const role = useSession().data?.user.role;
  if (role !== 'owner' && role !== 'instructor') return null;
  return (
    <section aria-label="When and by whom" className="flex flex-col gap-3">
      <When />
      <Instructor />
      <HandOver />
      <div className="flex flex-wrap gap-2">
        <PlanHistory />
        <IntoWastebasket />
      </div>
    </section>
  );
}

const DetailsNow = z.object({
  revision: z.number().int(),
  startsAt: z.string(),
  instructorId: z.string().nullable(),
});
type Details = Pick<WholeClass, 'startsAt' | 'instructorId'>;

/** Saves when a class is and whose it is; what a colleague changed meanwhile stays. */
function useSaveDetails() {
  const { lesson } = useLesson();
  const { mutate } = useSWRConfig();
  const { startsAt, instructorId } = lesson;
  return async (change: Partial<Details>) => {
    const base: Details = { startsAt, instructorId };
    try {
      const saved = await saveMerged<Details, WholeClass>({
        what: 'When this class is and who teaches it',
        revision: lesson.detailsRevision,
        base,
        mine: { ...base, ...change },
        send: (revision, value) =>
          request(WholeClass, 'PATCH', `/classes/${lesson.id}`, { revision, ...value }),
        theirsOf: (current) => {
          const { revision, ...value } = readAnswer(DetailsNow, current);
          return { revision, value };
        },
      });
      await mutate(`/classes/${lesson.id}`, saved, { revalidate: false });
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
}

/** By the studio's clock, wherever the device is. */
function When() {
  const { lesson } = useLesson();
  const zone = useSession().data?.studio.timeZone ?? 'UTC';
  const save = useSaveDetails();
  const now = `${dayIn(zone, lesson.startsAt)}T${timeIn(zone, lesson.startsAt)}`;
  return (
    <Field label="Day and time">
      {(named) => (
        <input
          {...named}
          key={now}
          type="datetime-local"
          defaultValue={now}
          className={inputClass}
          onBlur={({ target: { value } }) => {
            const [day, time] = value.split('T');
            if (day && time && value !== now) void save({ startsAt: momentIn(zone, day, time) });
          }}
        />
      )}
    </Field>
  );
}

function Instructor() {
  const { lesson } = useLesson();
  const team = useTeam().data?.team ?? [];
  const save = useSaveDetails();
  const teachers = team.filter(({ role }) => role === 'owner' || role === 'instructor');
  if (teachers.length < 2) return null;
  return (
    <Select
      label="Taught by"
      value={lesson.instructorId ?? NOBODY}
      choices={[
        { value: NOBODY, name: 'nobody named' },
        ...teachers.map(({ id, name }) => ({ value: id, name })),
      ]}
      onChange={(id) => void save({ instructorId: id === NOBODY ? null : id })}
    />
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
      await send('PUT', `/classes/${lesson.id}/cover`, body);
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
    await send('POST', `/wastebasket/class/${lesson.id}`);
    await refresh();
  };
  const remove = async () => {
    setBusy(true);
    try {
      await send('DELETE', `/classes/${lesson.id}`);
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
