import { Op } from 'sequelize';
import type { LiveEvent } from '@wrenfern/core/live/events';
import { ClassEvent } from '../db/models.ts';

export interface Pressed {
  seq: number;
  event: LiveEvent;
}

type Listener = (pressed: readonly Pressed[]) => void;

/** How often the table is asked for what is new, for all classes that somebody follows at once. */
const EVERY_MS = 150;
/** Every so many times, and when somebody begins to follow, it is asked for what may have come late as well. */
const LOOK_BACK_EVERY = 10;
/**
 * Rows this young are looked at again: a transaction that began earlier may be committed later, with
 * a lower number than one already told. Statements end after ten seconds.
 */
const LOOK_BACK_MS = 12_000;

export interface Follower {
  /** Calls back with what is new in a class; returns what ends it. */
  follow: (classId: string, listener: Listener) => () => void;
  stop: () => void;
}

/**
 * Tells what is pressed in a class to everybody who follows it, on whichever process it arrived: the
 * table is the only thing that processes share. One question a moment, whatever the number of classes.
 */
export function createFollower(onFault: (error: unknown) => void): Follower {
  const listeners = new Map<string, Set<Listener>>();
  /** Told already, by class; of the time that is looked back on. */
  const told = new Map<string, Map<string, number>>();
  let timer: NodeJS.Timeout | undefined;
  let isStopped = false;

  let highest = 0;
  let untilLookBack = 0;

  const tick = async () => {
    const isLookBack = untilLookBack <= 0;
    untilLookBack = isLookBack ? LOOK_BACK_EVERY : untilLookBack - 1;
    const since = new Date(Date.now() - LOOK_BACK_MS);
    const rows = await ClassEvent.findAll({
      where: {
        classId: [...listeners.keys()],
        ...(isLookBack ? { createdAt: { [Op.gte]: since } } : { seq: { [Op.gt]: highest } }),
      },
      order: ['seq'],
    });
    highest = Math.max(highest, ...rows.map(({ seq }) => seq));
    const fresh = new Map<string, Pressed[]>();
    for (const { classId, eventId, seq, event } of rows) {
      const known = told.get(classId) ?? new Map<string, number>();
      if (known.has(eventId)) continue;
      told.set(classId, known.set(eventId, Date.now()));
      fresh.set(classId, [...(fresh.get(classId) ?? []), { seq, event }]);
    }
    for (const [classId, pressed] of fresh) {
      for (const listener of listeners.get(classId) ?? []) listener(pressed);
    }
    forget();
  };

  const forget = () => {
    const before = Date.now() - 2 * LOOK_BACK_MS;
    for (const [classId, known] of told) {
      for (const [eventId, at] of known) if (at < before) known.delete(eventId);
      if (!listeners.has(classId)) told.delete(classId);
    }
  };

  const schedule = () => {
    if (timer || isStopped || listeners.size === 0) return;
    timer = setTimeout(() => {
      void tick()
        .catch((error: unknown) => {
          // A question that is cut off because everything ends is no fault.
          if (!isStopped) onFault(error);
        })
        .finally(() => {
          timer = undefined;
          schedule();
        });
    }, EVERY_MS);
    timer.unref();
  };

  return {
    follow(classId, listener) {
      const those = listeners.get(classId) ?? new Set<Listener>();
      listeners.set(classId, those.add(listener));
      // What was pressed between reading the class and following it.
      untilLookBack = 0;
      schedule();
      return () => {
        those.delete(listener);
        if (those.size === 0) listeners.delete(classId);
      };
    },
    stop() {
      isStopped = true;
      clearTimeout(timer);
      listeners.clear();
    },
  };
}
