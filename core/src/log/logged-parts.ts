import { z } from 'zod';
import type { LiveEvent } from '../live/events.ts';
import { Tempo } from '../movement/vocabulary.ts';
import type { TimedItem, Timeline, Varies } from '../plan/timing/timeline.ts';
import { summariseClass } from './summarise-class.ts';

const seconds = z.number().min(0).max(36_000);

/** An exercise as it was forecast by common figures, in parts, and how long it took. */
export const LoggedParts = z.strictObject({
  name: z.string().max(400),
  /** Words, set-up and changes: what a teacher's habit stretches. */
  wordsS: seconds,
  /** Repetitions, and the kind that they are of. */
  workS: seconds,
  kind: Tempo.optional(),
  /** The plan doesn't say whether they are breathed. */
  isOpen: z.boolean(),
  /** What the clock decides. */
  clockS: seconds,
  taughtS: seconds,
});
export type LoggedParts = z.infer<typeof LoggedParts>;

/**
 * What a taught class says of pace: every exercise that was done, beside its forecast. `timeline` is the plan as it was
 * taught, laid out by common figures.
 */
export function loggedParts(timeline: Timeline, events: readonly LiveEvent[]): LoggedParts[] {
  const summary = summariseClass(timeline, events, 0);
  const taught = new Map(summary?.items.map((item) => [item.itemId, item]));
  return timeline.items.flatMap((item): LoggedParts[] => {
    const logged = taught.get(item.itemId);
    if (item.kind === 'pause' || !logged?.done) return [];
    const openS = secondsThat(item, 'open work');
    const kind = item.tempo;
    return [
      {
        name: item.name,
        wordsS: secondsThat(item, 'words'),
        workS: secondsThat(item, 'work') + openS,
        ...(kind ? { kind } : {}),
        isOpen: openS > 0,
        clockS: secondsThat(item, 'clock'),
        taughtS: logged.actualS,
      },
    ];
  });
}

function secondsThat({ parts }: TimedItem, varies: Varies): number {
  return parts.reduce((sum, part) => sum + (part.varies === varies ? part.durationS : 0), 0);
}
