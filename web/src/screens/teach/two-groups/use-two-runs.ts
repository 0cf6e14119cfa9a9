import { useCallback, useMemo } from 'react';
import { pressedOn, tracksTaught, type TaughtTrack } from '@wrenfern/core/analysis/tracks-taught';
import type { Machine } from '@wrenfern/core/movement/vocabulary';
import type { Plan } from '@wrenfern/core/plan/plan';
import type { MixedPlan } from '@wrenfern/core/plan/tracks';
import type { BookedPerson, WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { analyseClass, contextOf } from '../../../data/class-analysis.ts';
import { useRun, type Run, type Stream } from '../use-run.ts';

export type MixedLesson = WholeClass & { plan: MixedPlan };

/** One of two groups as it is taught. */
export interface GroupRun {
  /** Where it began, by which it is told from the other. */
  start: Machine;
  /** Where it is now; undefined while all do the same. */
  place: Machine | undefined;
  /** The class as this group has it: its people, and its plan as it is taught. */
  lesson: WholeClass;
  run: Run;
  /** Its steps as they were planned, and where each is done that it does by itself. */
  track: TaughtTrack<BookedPerson>;
}

/** Both groups by one clock and out of one list of presses; those who began on the machines first. */
export function useTwoRuns(lesson: MixedLesson, stream: Stream): readonly [GroupRun, GroupRun] {
  const catalogue = useCatalogue();
  const [first, second] = useMemo(() => {
    const [one, other] = tracksTaught(lesson.plan, catalogue, {
      ...contextOf(lesson),
      attendees: lesson.attendees,
    });
    if (!one || !other) throw new Error('a class of two groups has two tracks');
    return [one, other] as const;
  }, [lesson, catalogue]);
  const one = useGroupRun(lesson, stream, first);
  const other = useGroupRun(lesson, stream, second);
  return [partingWith(one, other), partingWith(other, one)];
}

/** From what all do together both go on at once, each to its own place. */
function partingWith(group: GroupRun, other: GroupRun): GroupRun {
  const { run, track } = group;
  const record: Run['record'] = (event) => {
    run.record(event);
    const isApart = event.type === 'goTo' && track.places.has(event.itemId);
    const isTogether = group.place === undefined && other.place === undefined;
    const next = other.run.now?.next;
    if (isApart && isTogether && next) other.run.record({ type: 'goTo', itemId: next.itemId });
  };
  return { ...group, run: { ...run, record } };
}

function useGroupRun(
  lesson: WholeClass,
  stream: Stream,
  track: TaughtTrack<BookedPerson>,
): GroupRun {
  const catalogue = useCatalogue();
  const { start, plan, attendees, places } = track;
  const { events: all } = stream;
  const events = useMemo(() => pressedOn(plan, all), [plan, all]);
  const own = useMemo(() => ({ ...lesson, attendees }), [lesson, attendees]);
  const layOut = useCallback((of: Plan) => analyseClass(own, of, catalogue), [own, catalogue]);
  const run = useRun({ ...stream, events }, { plan, layOut });
  const taught = useMemo(() => ({ ...own, plan: run.plan }), [own, run.plan]);
  return { start, lesson: taught, run, track, place: places.get(run.now?.item.itemId ?? '') };
}
