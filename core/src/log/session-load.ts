import { whatStands, type LiveEvent } from '../live/events.ts';

/** What people say of how hard a class was, 0 to 10, in the words of the scale (Borg’s, as Foster changed it). */
export const EFFORT_WORDS = [
  'rest',
  'very, very easy',
  'easy',
  'moderate',
  'somewhat hard',
  'hard',
  'hard',
  'very hard',
  'very hard',
  'very hard',
  'all they had',
] as const;

/** How hard the class was for each, by person: what was said last stands. */
export function effortOfEach(events: readonly LiveEvent[]): Map<string, number> {
  return new Map(
    whatStands(events).flatMap((event) =>
      event.type === 'effort' ? [[event.personId, event.rating] as const] : [],
    ),
  );
}

/**
 * Session load: the rating times the minutes that the class took. Foster et al., Journal of Strength and Conditioning
 * Research 15 (2001) 109-115, from memory.
 */
export function sessionLoad(rating: number, tookS: number): number {
  return Math.round(rating * (tookS / 60));
}
