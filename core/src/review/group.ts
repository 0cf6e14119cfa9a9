import type { Ask } from '../people/asks.ts';
import type { Foundation } from '../movement/vocabulary.ts';
import type { Attendee } from '../people/attendee.ts';
import { restrictionsOf } from '../people/restrictions.ts';

/** What the people who come bring along, as far as the order of a class depends on it. */
export interface Group {
  size: number;
  /** Who does not hold a foundation to a depth, by name. Everybody counts as lacking it when nobody comes. */
  lacking: (foundation: Foundation, depth: number) => string[];
  /** True when somebody comes and all of them hold it. */
  holds: (foundation: Foundation, depth: number) => boolean;
  /** Who has to spare the back when it rounds or is loaded, by name. */
  sparingBacks: string[];
}

/** `day` is year-month-day: it decides which cautions are in force. */
export function groupOf(attendees: readonly Attendee[], day: string): Group {
  const lacking = (foundation: Foundation, depth: number) =>
    attendees
      .filter(({ person }) => (person.holds[foundation] ?? 0) < depth)
      .map(({ person }) => person.name);
  return {
    size: attendees.length,
    lacking,
    holds: (foundation, depth) => attendees.length > 0 && lacking(foundation, depth).length === 0,
    sparingBacks: sparing(attendees, day, ['round low', 'round mid', 'loadedRound']),
  };
}

function sparing(attendees: readonly Attendee[], day: string, asks: readonly Ask[]): string[] {
  return attendees
    .filter((attendee) => restrictionsOf(attendee, day).some(({ ask }) => asks.includes(ask)))
    .map(({ person }) => person.name);
}
