import type { LiveEvent } from './events.ts';

/** Seconds from the first start to the last end, pauses included; null while a class was not ended. */
export function classLengthS(events: readonly LiveEvent[]): number | null {
  const timesOf = (type: 'start' | 'end') =>
    events.filter((event) => event.type === type).map(({ atMs }) => atMs);
  const [starts, ends] = [timesOf('start'), timesOf('end')];
  if (starts.length === 0 || ends.length === 0) return null;
  return Math.max(0, Math.round((Math.max(...ends) - Math.min(...starts)) / 1000));
}
