import type { Catalogue } from '../../movement/catalogue.ts';
import { MACHINES, type Machine } from '../../movement/vocabulary.ts';
import { mixedParts, otherStation, trackOf, type MixedPlan, type Track } from '../tracks.ts';
import { likelyRange } from './likely-range.ts';
import { timePlan, type TimingContext } from './time-plan.ts';
import type { TimedSegment, Timeline } from './timeline.ts';

/** One group’s way through the class, laid out in time. */
export interface TimedTrack extends Track {
  timeline: Timeline;
  /** Seconds of its two halves, without waiting. */
  halfS: readonly [first: number, second: number];
}

export type TimedTracks = Record<Machine, TimedTrack>;

/** Both groups by one clock: who is done first waits before the change-over, and before the end. */
export function timeTracks(
  plan: MixedPlan,
  catalogue: Catalogue,
  context: TimingContext = {},
): TimedTracks {
  const { at } = mixedParts(plan);
  const halves = (start: Machine, { segments }: Timeline) =>
    [start, otherStation(start)].map((station) => {
      const own = new Set(at[station].map(({ id }) => id));
      return segments
        .filter(({ segmentId }) => own.has(segmentId))
        .reduce((sum, { durationS }) => sum + durationS, 0);
    }) as [number, number];
  const bare = MACHINES.map((start) => {
    const track = trackOf(plan, start);
    return { start, halfS: halves(start, timePlan(track.plan, catalogue, context)) };
  });
  const longest = [0, 1].map((half) => Math.max(...bare.map(({ halfS }) => halfS[half] ?? 0)));
  const level = ({ start, halfS }: (typeof bare)[number]): TimedTrack => {
    const waits = [0, 1].map((half) => (longest[half] ?? 0) - (halfS[half] ?? 0)) as [
      number,
      number,
    ];
    const track = trackOf(plan, start, waits);
    return { ...track, halfS, timeline: timePlan(track.plan, catalogue, context) };
  };
  const [mat, reformer] = bare.map(level) as [TimedTrack, TimedTrack];
  return { mat, reformer };
}

/**
 * The class as it is written, each half in its first turn: the two stand at the same time. The total is that of the
 * whole class, change-over and second halves with it.
 */
export function timelineOfBoth(plan: MixedPlan, tracks: TimedTracks): Timeline {
  const { mat, reformer } = tracks;
  const longer = mat.timeline.totalS > reformer.timeline.totalS ? mat : reformer;
  const segments = plan.segments.flatMap(({ id, station }): TimedSegment[] => {
    const { timeline } = station ? tracks[station] : longer;
    return timeline.segments.filter(({ segmentId }) => segmentId === id);
  });
  const { totalS, items } = longer.timeline;
  return {
    totalS,
    targetS: plan.targetS,
    overS: totalS - plan.targetS,
    likely: likelyRange(items, totalS),
    segments,
    items: segments.flatMap((segment) => segment.items),
  };
}
