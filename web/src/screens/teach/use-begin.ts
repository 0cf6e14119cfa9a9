import { useCallback, useState } from 'react';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import type { WholeClass } from '@wrenfern/contract/classes';
import { useSession } from '../../data/use-session.ts';
import { send, sentenceOf } from '../../data/request.ts';
import type { Run } from './use-run.ts';

const DAY_MS = 86_400_000;

export interface Begin {
  /** More than a day away from the class's time: the log takes nothing from so far. */
  isFar: boolean;
  /** Whether this member may give the class today's day and time. */
  mayMove: boolean;
  isBusy: boolean;
  begin: () => void;
}

/** Starts a class. One that is days away is given today's day and time first, so that its log is true. */
export function useBegin(lesson: WholeClass, { start, clockMs }: Run): Begin {
  const { mutate } = useSWRConfig();
  const role = useSession().data?.user.role;
  const [openedAtMs] = useState(clockMs);
  const [isBusy, setIsBusy] = useState(false);
  const mayMove = role === 'owner' || role === 'instructor';
  const isFar = Math.abs(Date.parse(lesson.startsAt) - openedAtMs) > DAY_MS;
  const { id, detailsRevision } = lesson;

  const begin = useCallback(async () => {
    if (isBusy || (isFar && !mayMove)) return;
    setIsBusy(true);
    try {
      if (isFar) {
        await send('PATCH', `/classes/${id}`, {
          revision: detailsRevision,
          startsAt: new Date(clockMs()).toISOString(),
        });
      }
      start();
      await mutate(`/classes/${id}`);
    } catch (error) {
      toast.error(sentenceOf(error));
    } finally {
      setIsBusy(false);
    }
  }, [isBusy, isFar, mayMove, id, detailsRevision, start, clockMs, mutate]);

  return { isFar, mayMove, isBusy, begin: () => void begin() };
}
