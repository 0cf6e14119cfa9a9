import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import type { SchoolRules } from '@wrenfern/core/plan/school';
import type { Pace } from '@wrenfern/core/plan/timing/pace';
import type { Cupboard } from '@wrenfern/core/room/props';
import type { StudioSettings } from '../../data/api-types.ts';
import { request, sentenceOf } from '../../data/request.ts';

interface StudioChange {
  cupboard?: Cupboard;
  pace?: Pace;
  schools?: SchoolRules[];
}

/** Saves a change of the studio and fetches again what follows from it. True when it was saved. */
export function useStudioChange() {
  const { mutate } = useSWRConfig();
  return async (change: StudioChange): Promise<boolean> => {
    try {
      const saved = await request<StudioSettings>('PATCH', '/studio', change);
      await mutate('/studio', saved, { revalidate: false });
      await mutate((key) => typeof key === 'string' && /^\/(classes|today)/.test(key));
      return true;
    } catch (error) {
      toast.error(sentenceOf(error));
      return false;
    }
  };
}
