import type { LiveEvent } from '../live/events.ts';
import type { Catalogue } from '../movement/catalogue.ts';
import type { Machine } from '../movement/vocabulary.ts';
import { eachTime, type Attendee } from '../people/attendee.ts';
import { thoseWhoCome } from '../people/came.ts';
import { onTrack, splitGroups, STATIONS } from '../people/two-groups.ts';
import { planAsOccurrences, timesUpTo } from '../plan/occurrences.ts';
import { itemsOf, type Plan } from '../plan/plan.ts';
import { timeTracks } from '../plan/timing/time-tracks.ts';
import { writtenId, type MixedPlan } from '../plan/tracks.ts';
import { PLAIN_MACHINES } from '../room/machines.ts';
import { timingOf, type ClassContext } from './class-context.ts';

/** One group of two as it is taught: an ordinary class, step by step, with those who go that way. */
export interface TaughtTrack<Someone extends Attendee = Attendee> {
  /** Where this group begins. */
  start: Machine;
  plan: Plan;
  attendees: Someone[];
  /** The item of the written plan behind each step. */
  written: ReadonlyMap<string, string>;
  /** Where each step is done that the two groups do apart; what all do together is not in it. */
  places: ReadonlyMap<string, Machine>;
}

/** Both groups, those who begin on the machines first. Steps that all do together are named alike in both. */
export function tracksTaught<Someone extends Attendee>(
  plan: MixedPlan,
  catalogue: Catalogue,
  context: Omit<ClassContext, 'attendees'> & { attendees: readonly Someone[] },
): TaughtTrack<Someone>[] {
  const tracks = timeTracks(plan, catalogue, timingOf(context));
  const { reformers } = context.machines ?? PLAIN_MACHINES;
  const groups = splitGroups(thoseWhoCome(context.attendees), reformers);
  return STATIONS.map((start) => {
    const track = tracks[start];
    const times = timesUpTo(track.plan);
    const steps = planAsOccurrences(track.plan);
    return {
      start,
      plan: steps,
      places: placesIn(steps, plan, start),
      attendees: groups[start].map((each) => eachTime(onTrack(each, track), track.plan)),
      written: new Map(
        [...times].map(([id, [first = id]]) => [id, writtenId(track, first)] as const),
      ),
    };
  });
}

function placesIn(steps: Plan, plan: MixedPlan, start: Machine): ReadonlyMap<string, Machine> {
  const stationOf = new Map(plan.segments.map(({ id, station }) => [id, station]));
  const own = new Set(plan.segments.map(({ id }) => id));
  return new Map(
    steps.segments.flatMap(({ id, items }) => {
      const isBetween = !own.has(id);
      const station = isBetween ? start : stationOf.get(id);
      // Between the halves each group waits where it was; the change-over is everybody's.
      const apart = isBetween ? items.slice(0, -1) : items;
      return station ? apart.map((item) => [item.id, station] as const) : [];
    }),
  );
}

/** What was pressed about a group, and about the whole class. */
export function pressedOn(plan: Plan, events: readonly LiveEvent[]): LiveEvent[] {
  const own = new Set(itemsOf(plan).map(({ id }) => id));
  return events.filter((event) => {
    if (event.type === 'change') return own.has(event.edit.itemId);
    return 'itemId' in event ? own.has(event.itemId) : true;
  });
}
