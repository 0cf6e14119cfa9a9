import { showClock } from '../plan/show-time.ts';
import type { OpenFinding, Repair, RuleContext } from './rule.ts';

/** The finding whose repairs take longer to find than a press of a key may take. */
export const FITS_THE_HOUR = 'fits-the-hour';

/** Whether the class fits its hour; `repairs` are what would make it fit. */
export function timeFindings(
  { timeline }: Pick<RuleContext, 'timeline'>,
  repairs: () => readonly Repair[],
): OpenFinding[] {
  if (timeline.items.length === 0) return [];
  const shared = {
    rule: FITS_THE_HOUR,
    kind: 'shape' as const,
    binding: true,
    statement: 'The class fits the time it was announced for.',
    key: 'time',
    itemIds: [],
    repairs,
  };
  const range = `likely ${showClock(timeline.likely.lowS)} to ${showClock(timeline.likely.highS)}`;
  // Inside the likely range nobody can say which it will be.
  if (timeline.likely.lowS > timeline.targetS) {
    return [
      {
        ...shared,
        why: 'When a class runs late it is the release at the end that gets lost.',
        sentence: `${showClock(timeline.overS)} over ${showClock(timeline.targetS)} (${range}).`,
      },
    ];
  }
  if (timeline.likely.highS < timeline.targetS) {
    return [
      {
        ...shared,
        why: 'There is room for another exercise, a second set or a longer rest.',
        sentence: `${showClock(-timeline.overS)} left of ${showClock(timeline.targetS)} (${range}).`,
      },
    ];
  }
  return [];
}
