import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { STEADY_PACE, type OwnPace, type Pace } from '@wrenfern/core/plan/timing/pace';
import type { Account } from '@wrenfern/contract/account';
import { send, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { LearnedPace } from '../../parts/pace/learned-pace.tsx';
import { PaceQuestions } from '../../parts/pace/pace-questions.tsx';
import { SegmentedRadio } from '../../parts/segmented-radio.tsx';

const FOLLOWS = [
  { value: 'locked', name: 'stays as it is' },
  { value: 'follows', name: 'follows my classes' },
] as const;

/** How quick one teaches oneself, where that is not as the studio does. */
export function OwnPacePart({
  account: { pace },
  reload,
}: {
  account: Account;
  reload: () => void;
}) {
  const { mutate } = useSWRConfig();
  const save = async (next: OwnPace | null) => {
    try {
      await send('PUT', '/account/pace', { pace: next });
      reload();
      // Every length that is shown follows from it.
      await mutate((key) => typeof key === 'string' && /^\/(today|week|classes)/.test(key));
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  const own: OwnPace = pace ?? { ...STEADY_PACE, follows: false };
  const set = (change: Partial<OwnPace>) => void save({ ...own, ...change });
  const take = (next: Pace) => void save({ ...next, follows: own.follows });
  return (
    <section aria-label="How I teach" className="flex flex-col gap-3">
      <div>
        <h2 className="text-xl">How I teach</h2>
        <p className="text-soft">
          {pace
            ? 'The classes that you teach are forecast by this.'
            : 'Your classes are forecast as the studio teaches. Answer three questions, or teach a class, and they are forecast as you do.'}
        </p>
      </div>
      <PaceQuestions pace={own} set={set} />
      {pace ? (
        <SegmentedRadio
          label="After each class that I teach, it"
          value={own.follows ? 'follows' : 'locked'}
          choices={FOLLOWS}
          onChange={(value) => set({ follows: value === 'follows' })}
        />
      ) : null}
      <LearnedPace
        from="/account/taught"
        pace={own}
        take={take}
        reset={() => void save({ ...STEADY_PACE, follows: false })}
      />
      {pace ? (
        <Button look="quiet" className="self-start" onClick={() => void save(null)}>
          As the studio teaches
        </Button>
      ) : null}
    </section>
  );
}
