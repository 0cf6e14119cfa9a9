import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { z } from 'zod';
import { LiveEvent, nextOrder } from '@wrenfern/core/live/events';
import { runClass, viewNow, type NowView, type RunState } from '@wrenfern/core/live/run-class';
import type { Analysis } from '@wrenfern/core';
import { changesIn, planAsTaught, type LiveChange } from '@wrenfern/core/live/plan-as-taught';
import { timesUpTo } from '@wrenfern/core/plan/occurrences';
import type { Plan } from '@wrenfern/core/plan/plan';
import type { EventsRead } from '../../data/use-classes.ts';
import { ClassEvents, EventsTaken } from '@wrenfern/contract/classes';
import { readJson } from '../../data/read-json.ts';
import { request } from '../../data/request.ts';
import { createEventQueue, type Delivery, type EventQueue } from './event-queue.ts';

const TICK_MS = 250;
const TRY_AGAIN_MS = 5000;

type Fresh = LiveEvent extends infer Event
  ? Event extends LiveEvent
    ? Omit<Event, 'id' | 'atMs' | 'order'>
    : never
  : never;

export interface Run {
  state: RunState;
  now: NowView | undefined;
  /** The plan with what was changed on the way, and all that follows from it. */
  plan: Plan;
  /** For each item as it is taught: the items that are the same one done before, and itself. */
  times: ReadonlyMap<string, readonly string[]>;
  analysis: Analysis;
  /** What was changed on the way and stands, in turn. */
  changes: LiveChange[];
  delivery: Delivery;
  /** What can't be delivered: kept on the device, to be saved as a file or forgotten. */
  setAside: readonly unknown[];
  forgetSetAside: () => void;
  /** Events of others that this version can't read. */
  unread: number;
  record: (event: Fresh) => void;
  start: () => void;
  /** Now by the server's clock, as far as this device knows it. */
  clockMs: () => number;
}

/** What is pressed in a class, on this device and on others, by one clock. */
export interface Stream extends Pick<
  Run,
  'delivery' | 'setAside' | 'forgetSetAside' | 'unread' | 'record' | 'start' | 'clockMs'
> {
  events: readonly LiveEvent[];
  /** By the server's clock, a few times a second. */
  nowMs: number;
}

interface StreamParts {
  classId: string;
  /** The saved plan on this screen. */
  revision: number;
  known: EventsRead;
  /** Another device began the class, perhaps with another plan. */
  onStarted: () => void;
}

/**
 * What is pressed here and on other devices. What the line loses is sent again; what others press arrives by itself.
 */
export function useStream({ classId, revision, known, onStarted }: StreamParts): Stream {
  const seen = useSeen(known);
  const { record: press, ...delivered } = usePresses(classId, seen);
  const [nowMs, setNowMs] = useState(() => Date.now());
  const record = useCallback(
    (fresh: Fresh) => {
      press(fresh);
      setNowMs(Date.now());
    },
    [press],
  );
  const start = useCallback(() => record({ type: 'start', revision }), [record, revision]);
  useFollow(classId, seen);
  useEffect(() => {
    const tick = setInterval(() => setNowMs(Date.now()), TICK_MS);
    return () => clearInterval(tick);
  }, []);
  const isBegunElsewhere = seen.events.some(({ type }) => type === 'start') && !known.taught;
  useEffect(() => {
    if (isBegunElsewhere) onStarted();
  }, [isBegunElsewhere, onStarted]);
  return { ...delivered, unread: seen.unread, record, start, nowMs: nowMs + seen.offsetMs };
}

interface RunParts {
  plan: Plan;
  /** Everything that follows from a plan. */
  layOut: (plan: Plan) => Analysis;
}

/** The running class: what was pressed in, the moment out. */
export function useRun(stream: Stream, { plan, layOut }: RunParts): Run {
  const { events, nowMs, ...delivered } = stream;
  const changes = useMemo(() => changesIn(events), [events]);
  const times = useMemo(() => timesUpTo(plan), [plan]);
  const planNow = useMemo(() => planAsTaught(plan, events), [plan, events]);
  const analysis = useMemo(() => layOut(planNow), [layOut, planNow]);
  const { timeline } = analysis;
  const state = useMemo(() => runClass(timeline, events, nowMs), [timeline, events, nowMs]);
  const now = useMemo(() => viewNow(timeline, state), [timeline, state]);
  return { ...delivered, state, now, plan: planNow, times, analysis, changes };
}

/** What is pressed on this device: counted at once, delivered as the line allows. */
function usePresses(classId: string, { events: told, take, lastSeq, offsetMs }: Seen) {
  const [queue] = useState(() =>
    createEventQueue({
      classId,
      storage: localStorage,
      send: async (events) => {
        const after = lastSeq.current;
        take(await request(EventsTaken, 'POST', `/classes/${classId}/events`, { events, after }));
      },
    }),
  );
  const [own, setOwn] = useState<readonly LiveEvent[]>(() => queue.pending());
  const [delivery, setDelivery] = useState<Delivery>(() =>
    queue.pending().length === 0 ? 'delivered' : 'away',
  );
  const [setAside, setSetAside] = useState(() => queue.setAside());
  const events = useMemo(() => [...told, ...own], [told, own]);
  // Two presses before the screen is drawn again must not get the same place in the order.
  const latest = useRef(events);
  useEffect(() => {
    latest.current = events;
  }, [events]);

  const flush = useCallback(async () => {
    setDelivery(await queue.flush());
    setSetAside(queue.setAside());
  }, [queue]);

  const clockMs = useCallback(() => Date.now() + offsetMs, [offsetMs]);
  useRetry(queue, flush);
  const record = useCallback(
    (fresh: Fresh) => {
      const event = {
        ...fresh,
        id: crypto.randomUUID(),
        atMs: clockMs(),
        order: nextOrder(latest.current),
      } as LiveEvent;
      latest.current = [...latest.current, event];
      queue.add(event);
      setOwn((before) => [...before, event]);
      void flush();
    },
    [queue, flush, clockMs],
  );

  const forgetSetAside = () => {
    queue.forgetSetAside();
    setSetAside([]);
  };
  return { events, record, delivery, setAside, forgetSetAside, clockMs };
}

/** What waits is sent when the screen opens, and again and again until it has gone. */
function useRetry(queue: EventQueue, flush: () => Promise<void>): void {
  useEffect(() => {
    const again = setInterval(() => {
      if (queue.pending().length > 0) void flush();
    }, TRY_AGAIN_MS);
    const first = setTimeout(() => void flush(), 0);
    return () => {
      clearTimeout(first);
      clearInterval(again);
    };
  }, [queue, flush]);
}

type Seen = ReturnType<typeof useSeen>;

/** What the server has told so far, however it was told; the same twice is once. */
function useSeen(known: EventsRead) {
  const [pressed, setPressed] = useState<ReadonlyMap<number, unknown>>(new Map());
  const lastSeq = useRef(Math.max(0, ...known.pressed.map(({ seq }) => seq)));
  // Devices go by the server's clock, so that times on two of them can be compared. Set once: a clock
  // that is set again in the middle of a class would make it jump.
  const [offsetMs] = useState(known.offsetMs);
  const add = useCallback((fresh: readonly { seq: number; event: unknown }[]) => {
    if (fresh.length === 0) return;
    lastSeq.current = Math.max(lastSeq.current, ...fresh.map(({ seq }) => seq));
    setPressed((before) => {
      const next = new Map(before);
      for (const { seq, event } of fresh) next.set(seq, event);
      return next;
    });
  }, []);
  const take = useCallback(({ pressed: fresh }: Pick<ClassEvents, 'pressed'>) => add(fresh), [add]);
  const read = useMemo(() => {
    // What was read again counts as well as what the stream told; the same number is the same press.
    const all = new Map<number, unknown>(known.pressed.map(({ seq, event }) => [seq, event]));
    for (const [seq, event] of pressed) all.set(seq, event);
    const each = [...all.values()].map((event) => LiveEvent.safeParse(event));
    return {
      events: each.flatMap(({ data }) => (data ? [data] : [])),
      unread: each.filter(({ success }) => !success).length,
    };
  }, [known.pressed, pressed]);
  return { ...read, lastSeq, offsetMs, add, take };
}

const Told = z.object({
  pressed: z.array(z.object({ seq: z.number().int(), event: z.unknown() })),
});

/** Others' presses as they arrive; after a lost line, what was missed is asked for. */
function useFollow(classId: string, { add, take, lastSeq }: Seen) {
  useEffect(() => {
    const stream = new EventSource(`/api/classes/${classId}/events/stream`);
    stream.onmessage = ({ data }: MessageEvent<string>) => {
      const told = Told.safeParse(readJson(data));
      // What can't be read at all is asked for again when the stream next opens.
      if (told.success) add(told.data.pressed);
    };
    stream.onopen = () => {
      const missed = `/classes/${classId}/events?after=${lastSeq.current}`;
      // Without a line the stream opens again by itself, and asks again.
      request(ClassEvents, 'GET', missed).then(take, () => undefined);
    };
    return () => stream.close();
  }, [classId, add, take, lastSeq]);
}
