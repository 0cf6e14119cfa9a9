import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import type { OwnBounds } from '@wrenfern/core/people/own-bounds';
import { SchoolRules } from '@wrenfern/core/plan/school';
import { Pace } from '@wrenfern/core/plan/timing/pace';
import { Machines } from '@wrenfern/core/room/machines';
import { Cupboard } from '@wrenfern/core/room/props';
import { StudioSettings } from '@wrenfern/contract/studio';
import { saveMerged } from '../../data/save-merged.ts';
import { readAnswer, request, sentenceOf } from '../../data/request.ts';

interface StudioChange {
  cupboard?: Cupboard;
  pace?: Pace;
  machines?: Machines;
  schools?: SchoolRules[];
  ownBounds?: OwnBounds;
  retentionMonths?: number | null;
  needsSecondFactor?: boolean;
}

/** Changes go out one after the other: each is made on what the one before it left. */
let underWay: Promise<unknown> = Promise.resolve();

type Settings = Pick<
  StudioSettings,
  | 'cupboard'
  | 'pace'
  | 'machines'
  | 'schools'
  | 'ownBounds'
  | 'retentionMonths'
  | 'needsSecondFactor'
>;

/** Shows a change of the studio at once, saves it, and fetches again what follows from it. */
export function useStudioChange() {
  const { mutate, cache } = useSWRConfig();
  const known = () => cache.get('/studio')?.data as StudioSettings | undefined;
  const save = async (base: Settings, mine: Settings, change: StudioChange): Promise<boolean> => {
    try {
      const saved = await saveMerged<Settings, StudioSettings>({
        what: 'The studio',
        revision: known()?.revision ?? 0,
        base,
        mine,
        // Only what was touched is sent; a merge with somebody else's may touch more.
        send: (revision, value) =>
          request(StudioSettings, 'PATCH', '/studio', {
            revision,
            ...Object.fromEntries(
              Object.keys(change).map((field) => [field, value[field as keyof Settings]]),
            ),
          }),
        theirsOf: (current) => {
          const { revision, ...value } = readAnswer(StudioSettings, current);
          return { revision, value };
        },
      });
      await mutate('/studio', { ...known(), ...saved }, { revalidate: false });
      await mutate((key) => typeof key === 'string' && /^\/(classes|today)/.test(key));
      return true;
    } catch (error) {
      toast.error(sentenceOf(error));
      await mutate('/studio');
      return false;
    }
  };
  return async (change: StudioChange): Promise<boolean> => {
    const before = known();
    if (!before) return false;
    const mine = { ...before, ...change };
    await mutate('/studio', mine, { revalidate: false });
    const saved = underWay.then(() => save(before, mine, change));
    underWay = saved;
    return saved;
  };
}
