import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import type { Fit } from '@wrenfern/core/fit/fit-to-time';
import type { Plan } from '@wrenfern/core/plan/plan';
import { useKnownExercises } from '../../../data/catalogue.tsx';
import { contextOf } from '../../../data/class-analysis.ts';
import { sentenceOf } from '../../../data/request.ts';
import { searchWorker } from '../../../data/search.ts';
import { useLesson } from '../../../data/use-lesson.ts';

/**
 * What brings the class to a length, worked out beside the screen and again whenever the class changes; only the newest
 * answer counts. Undefined while it is looked for, and where no length is wanted. With `open`, these items alone change.
 */
export function useFit(
  plan: Plan,
  targetS: number | undefined,
  open?: ReadonlySet<string>,
): Fit | undefined {
  const { lesson } = useLesson();
  const { own } = useKnownExercises();
  const [found, setFound] = useState<{ of: Plan; targetS: number; fit: Fit }>();
  useEffect(() => {
    if (targetS === undefined) return undefined;
    let isWanted = true;
    searchWorker()
      .fit(plan, own, contextOf(lesson), targetS, open)
      .then(
        (fit) => {
          if (isWanted) setFound({ of: plan, targetS, fit });
        },
        (error: unknown) => {
          if (isWanted) toast.error(sentenceOf(error));
        },
      );
    return () => {
      isWanted = false;
    };
  }, [plan, own, lesson, targetS, open]);
  return found?.of === plan && found.targetS === targetS ? found.fit : undefined;
}
