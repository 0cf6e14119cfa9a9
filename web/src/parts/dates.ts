import { formatDistanceStrict } from 'date-fns';

/** Day and time of a class by the reader's own locale, in the studio's zone. */
export function showWhen(iso: string, timeZone: string): string {
  return new Intl.DateTimeFormat(undefined, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    timeZone,
  }).format(new Date(iso));
}

export function showTimeOfDay(iso: string, timeZone: string): string {
  const format = new Intl.DateTimeFormat(undefined, {
    hour: 'numeric',
    minute: '2-digit',
    timeZone,
  });
  return format.format(new Date(iso));
}

/** A heading such as "Thursday 26 November". */
export function showDay(iso: string, timeZone: string): string {
  const format = new Intl.DateTimeFormat(undefined, {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    timeZone,
  });
  return format.format(new Date(iso));
}

/** "in 3 hours", "2 days ago". */
export function showDistance(iso: string, now: Date): string {
  return formatDistanceStrict(new Date(iso), now, { addSuffix: true });
}

export function minutes(seconds: number): string {
  return `${Math.round(seconds / 60)} min`;
}
