import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { WeekCopied, WholeClass } from '@wrenfern/contract/classes';
import type { ReadyClass } from '@wrenfern/contract/class-cards';
import { request, RequestProblem, send, sentenceOf } from '../../data/request.ts';

export interface ClassChange {
  startsAt?: string;
  calledOff?: string | null;
  instructorId?: string | null;
  /** Also the later ones of its series. */
  following?: boolean;
}

const CHANGED_ELSEWHERE =
  'Somebody changed this class in the meantime. It is shown as it is now; change it again if it is still wanted.';

/** Changes of a class in the week, each with what undoes it where that is one step. */
export function useClassChanges() {
  const { mutate } = useSWRConfig();
  const refresh = () =>
    mutate((key) => typeof key === 'string' && /^\/(today|week|classes)/.test(key));
  /** Does it, says how it went, and shows what is there now. */
  const finish = async (work: () => Promise<string>) => {
    try {
      toast.success(await work());
    } catch (error) {
      toast.error(sentenceOf(error));
    } finally {
      await refresh();
    }
  };
  const save = async (
    { id }: ReadyClass,
    revision: number,
    change: ClassChange,
  ): Promise<WholeClass | undefined> => {
    try {
      return await request(WholeClass, 'PATCH', `/classes/${id}`, { revision, ...change });
    } catch (error) {
      const isStale = error instanceof RequestProblem && error.code === 'stale';
      toast.error(isStale ? CHANGED_ELSEWHERE : sentenceOf(error));
      return undefined;
    } finally {
      await refresh();
    }
  };
  return {
    /** `said` is told once it is done; `back` is what undoes it. */
    change: async (
      each: ReadyClass,
      wanted: ClassChange,
      said: string,
      back?: ClassChange,
    ): Promise<void> => {
      const saved = await save(each, each.detailsRevision, wanted);
      if (!saved) return;
      const undo = back && (() => void save(each, saved.detailsRevision, back));
      toast.success(said, undo ? { action: { label: 'Undo', onClick: undo } } : {});
    },

    /** Fills an empty class with the plan of the one before it in its series. */
    likeLast: async ({ id, lastOfSeries, title }: ReadyClass): Promise<void> => {
      if (lastOfSeries) await finish(() => planLike(id, lastOfSeries, title));
    },

    copyWeek: (from: string, to: string): Promise<void> => finish(() => copyWeek(from, to)),
  };
}

async function planLike(id: string, lastId: string, title: string): Promise<string> {
  const [now, last] = await Promise.all([
    request(WholeClass, 'GET', `/classes/${id}`),
    request(WholeClass, 'GET', `/classes/${lastId}`),
  ]);
  const plan = { ...last.plan, title: now.title };
  await send('PUT', `/classes/${id}/plan`, { revision: now.revision, plan });
  return `${title} is planned like the last one`;
}

async function copyWeek(from: string, to: string): Promise<string> {
  const { ids } = await request(WeekCopied, 'POST', '/week/copy', { from, to });
  if (ids.length === 0) return 'Everything of this week stands there already.';
  return `${ids.length} ${ids.length === 1 ? 'class' : 'classes'} copied`;
}
