import { TZDate } from '@date-fns/tz';
import { addDays, differenceInCalendarDays, format, startOfISOWeek } from 'date-fns';

/** A day (year-month-day) and a time of day where the studio is, as an ISO moment. */
export function momentIn(zone: string, day: string, time: string): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const [hour = 0, minute = 0] = time.split(':').map(Number);
  return new Date(new TZDate(year, month - 1, date, hour, minute, zone).getTime()).toISOString();
}

/** The day of a moment where the studio is, year-month-day. */
export function dayIn(zone: string, moment: string | Date): string {
  return format(new TZDate(new Date(moment), zone), 'yyyy-MM-dd');
}

/** The time of day of a moment where the studio is, as 18:00. */
export function timeIn(zone: string, moment: string | Date): string {
  return format(new TZDate(new Date(moment), zone), 'HH:mm');
}

/** Days after (or before) a day, both year-month-day; a day has no zone. */
export function dayAfter(day: string, days: number): string {
  return format(addDays(noonOf(day), days), 'yyyy-MM-dd');
}

/** How many days the second day is after the first; below zero when it is before. */
export function daysBetween(first: string, second: string): number {
  return differenceInCalendarDays(noonOf(second), noonOf(first));
}

/** Whether the computer knows a time zone of this name. */
export function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

/** The Monday of a day's week. */
export function weekOf(day: string): string {
  return format(startOfISOWeek(noonOf(day)), 'yyyy-MM-dd');
}

/** In the middle of a day, where no clock change can make it another. */
export function noonOf(day: string): Date {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return new Date(year, month - 1, date, 12);
}
