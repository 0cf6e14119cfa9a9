import ical, { ICalCalendarMethod, ICalEventStatus } from 'ical-generator';
import { addSeconds } from 'date-fns';

/** A class as a calendar tells it: no people, nothing of what is planned. */
export interface CalendarClass {
  id: string;
  title: string;
  startsAt: Date;
  lengthS: number;
  machine: string;
  /** Whoever stands before it. */
  instructor: string | undefined;
  /** Counts its changes, so that a calendar takes the newer one. */
  sequence: number;
  changedAt: Date;
  /** Why it does not take place; undefined while it does. */
  calledOff: string | undefined;
}

/** How often a calendar may come again. */
const COME_AGAIN_S = 15 * 60;

/**
 * Classes as an iCalendar object (RFC 5545). Times are in UTC: whoever reads them shows their own clock. What is
 * called off stays in it as cancelled, under the same UID, so that it goes from calendars that have it.
 */
export function writeCalendar(studioName: string, classes: readonly CalendarClass[]): string {
  const calendar = ical({
    name: studioName,
    prodId: { company: 'Wrenfern', product: 'Classes', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: COME_AGAIN_S,
  });
  for (const each of classes) {
    calendar.createEvent({
      id: `${each.id}@wrenfern`,
      sequence: each.sequence,
      stamp: each.changedAt,
      lastModified: each.changedAt,
      start: each.startsAt,
      end: addSeconds(each.startsAt, each.lengthS),
      summary: each.title,
      location: studioName,
      description: [
        `${Math.round(each.lengthS / 60)} min ${each.machine}`,
        each.instructor ? `with ${each.instructor}` : '',
        each.calledOff ? `Called off: ${each.calledOff}` : '',
      ]
        .filter(Boolean)
        .join('\n'),
      status: each.calledOff ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    });
  }
  return calendar.toString();
}
