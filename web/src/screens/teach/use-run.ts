import { useCallback, useEffect, useMemo, useState } from 'react';
import type { LiveEvent } from '@wrenfern/core/live/events';
import { runClass, viewNow, type NowView, type RunState } from '@wrenfern/core/live/run-class';
import type { Timeline } from '@wrenfern/core/plan/timing/timeline';
import { request } from '../../data/request.ts';
import { createEventQueue } from './event-queue.ts';

const TICK_MS = 250;
const TRY_AGAIN_MS = 5000;

type Fresh = LiveEvent extends infer Event
  ? Event extends LiveEvent
    ? Omit<Event, 'id' | 'atMs'>
    : never
  : never;

export interface Run {
  state: RunState;
  now: NowView | undefined;
  /** False while something has not reached the server. */
  delivered: boolean;
  record: (event: Fresh) => void;
}

/** The running class: events in, the moment out; what the line loses is sent again. */
export function useRun(classId: string, timeline: Timeline, known: readonly LiveEvent[]): Run {
  const [queue] = useState(() =>
    createEventQueue({
      classId,
      storage: localStorage,
      send: (events) => request('POST', `/classes/${classId}/events`, { events }),
    }),
  );
  const [added, setAdded] = useState<LiveEvent[]>(() => queue.pending());
  const [delivered, setDelivered] = useState(() => queue.pending().length === 0);
  const [nowMs, setNowMs] = useState(() => Date.now());

  const flush = useCallback(async () => {
    setDelivered(await queue.flush());
  }, [queue]);

  const record = useCallback(
    (fresh: Fresh) => {
      const event = { ...fresh, id: crypto.randomUUID(), atMs: Date.now() } as LiveEvent;
      queue.add(event);
      setAdded((before) => [...before, event]);
      setNowMs(event.atMs);
      void flush();
    },
    [queue, flush],
  );

  useEffect(() => {
    const tick = setInterval(() => setNowMs(Date.now()), TICK_MS);
    const again = setInterval(() => {
      if (queue.pending().length > 0) void flush();
    }, TRY_AGAIN_MS);
    return () => {
      clearInterval(tick);
      clearInterval(again);
    };
  }, [queue, flush]);

  const events = useMemo(() => [...known, ...added], [known, added]);
  const state = useMemo(() => runClass(timeline, events, nowMs), [timeline, events, nowMs]);
  const now = useMemo(() => viewNow(timeline, state), [timeline, state]);
  return { state, now, delivered, record };
}
