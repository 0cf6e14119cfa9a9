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
      toast.success(said, {
        ...(back
          ? {
              action: {
                label: 'Undo',
                onClick: () => void save(each, saved.detailsRevision, back),
              },
            }
          : {}),
      });
    },

    /** Fills an empty class with the plan of the one before it in its series. */
    likeLast: async (each: ReadyClass): Promise<void> => {
      if (!each.lastOfSeries) return;
      try {
        const [now, last] = await Promise.all([
          request(WholeClass, 'GET', `/classes/${each.id}`),
          request(WholeClass, 'GET', `/classes/${each.lastOfSeries}`),
        ]);
        const plan = { ...last.plan, title: now.title };
        await send('PUT', `/classes/${each.id}/plan`, { revision: now.revision, plan });
        toast.success(`${each.title} is planned like the last one`);
      } catch (error) {
        toast.error(sentenceOf(error));
      } finally {
        await refresh();
      }
    },

    copyWeek: async (from: string, to: string): Promise<void> => {
      try {
        const { ids } = await request(WeekCopied, 'POST', '/week/copy', { from, to });
        toast.success(
          ids.length === 0
            ? 'Everything of this week stands there already.'
            : `${ids.length} ${ids.length === 1 ? 'class' : 'classes'} copied`,
        );
      } catch (error) {
        toast.error(sentenceOf(error));
      } finally {
        await refresh();
      }
    },
  };
}
