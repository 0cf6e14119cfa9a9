import type { LiveEvent, PersonEvent } from '../live/events.ts';
import { runClass, seenAt } from '../live/run-class.ts';
import { changesIn } from '../live/plan-as-taught.ts';
import type { LengthEdit } from '../plan/edits.ts';
import type { Timeline } from '../plan/timing/timeline.ts';

/** Shorter stays are steps on the way to another item, not something taught. */
const PASSED_OVER_S = 5;

export interface LoggedItem {
  itemId: string;
  name: string;
  plannedS: number;
  actualS: number;
  done: boolean;
  notes: string[];
  /** What was changed of it on the way, in turn. */
  changed: LengthEdit[];
  /** Options taken by people who moved up or down, by person id. */
  moved: ReadonlyMap<string, number>;
  /** What was seen in people, and what was tried, in turn. */
  seen: Extract<PersonEvent, { type: 'seen' }>[];
}

export interface ClassSummary {
  startedAtMs: number;
  endedAtMs?: number;
  plannedS: number;
  /** Pauses left out. */
  actualS: number;
  items: LoggedItem[];
  /** Presses about items that the plan does not hold. */
  unplaced: number;
}

/** What was really done, beside what was planned; undefined when the class was never started. */
export function summariseClass(
  timeline: Timeline,
  events: readonly LiveEvent[],
  nowMs: number,
): ClassSummary | undefined {
  const run = runClass(timeline, events, nowMs);
  if (run.startedAtMs === undefined) return undefined;
  const changes = changesIn(events);
  const items = timeline.items.map((item): LoggedItem => {
    const actualMs = run.visits
      .filter((visit) => visit.itemId === item.itemId)
      .reduce((sum, visit) => sum + visit.activeMs, 0);
    const actualS = Math.round(actualMs / 1000);
    return {
      itemId: item.itemId,
      name: item.side ? `${item.name}, ${item.side}` : item.name,
      plannedS: item.durationS,
      actualS,
      done: actualS >= PASSED_OVER_S,
      notes: run.notes.filter((note) => note.itemId === item.itemId).map((note) => note.text),
      changed: changes.flatMap(({ edit }) => (edit.itemId === item.itemId ? [edit] : [])),
      moved: run.moved.get(item.itemId) ?? new Map<string, number>(),
      seen: seenAt(run, item.itemId),
    };
  });
  return {
    startedAtMs: run.startedAtMs,
    ...(run.endedAtMs === undefined ? {} : { endedAtMs: run.endedAtMs }),
    plannedS: timeline.totalS,
    actualS: Math.round(run.activeMs / 1000),
    items,
    unplaced: run.unplaced,
  };
}
