import { STEADY_PACE, type Pace } from '@wrenfern/core/plan/timing/pace';
import type { StudioSettings } from '@wrenfern/contract/studio';
import { LearnedPace } from '../../parts/pace/learned-pace.tsx';
import { PaceQuestions } from '../../parts/pace/pace-questions.tsx';
import { useStudioChange } from './studio-change.ts';

interface PaceProps {
  studio: StudioSettings;
  isOwner: boolean;
}

/** How quick this studio teaches: said by hand, or learned from what was taught. */
export function PacePart({ studio, isOwner }: PaceProps) {
  const change = useStudioChange();
  const { pace } = studio;
  const set = (next: Partial<Pace>) => void change({ pace: { ...pace, ...next } });
  return (
    <section aria-label="Pace">
      <h2 className="text-xl">Pace</h2>
      <p className="mb-3 text-soft">
        How classes go here, for everybody who has not said how they teach (in their account).
      </p>
      <fieldset disabled={!isOwner} className="flex flex-col gap-2">
        <PaceQuestions pace={pace} set={set} />
        <LearnedPace
          from="/studio/taught"
          pace={pace}
          take={(next) => void change({ pace: next })}
          reset={() => set(STEADY_PACE)}
        />
      </fieldset>
    </section>
  );
}
