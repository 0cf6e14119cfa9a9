import type { Machine } from '../movement/vocabulary.ts';
import type { Came } from './came.ts';
import type { CautionId } from './cautions/cautions.ts';
import type { HandChoice } from './choice.ts';
import type { OwnBounds } from './own-bounds.ts';
import { timesUpTo } from '../plan/occurrences.ts';
import type { Plan } from '../plan/plan.ts';
import type { CautionEntry, Person } from './person.ts';
import { entriesOn, restrictionsOf, type Restriction } from './restrictions.ts';

/** Somebody who comes to this class. */
export interface Attendee {
  person: Person;
  /** Cautions of today only, added to those in the record. */
  today?: readonly CautionEntry[];
  /** By item id. */
  byHand?: Readonly<Record<string, HandChoice>>;
  came?: Came | undefined;
  /** Where they begin in a class of two groups, where somebody put them there. */
  startsOn?: Machine | undefined;
  /** The studio's own numbers, as far as they are about this person's cautions. */
  ownBounds?: OwnBounds | undefined;
}

/** An attendee with all that is in force for them on the day, worked out once. */
export interface GroupMember {
  attendee: Attendee;
  restrictions: readonly Restriction[];
  cautions: readonly CautionId[];
}

/**
 * The same person for a class whose every occurrence is an item (`planAsOccurrences`): what was chosen by hand for an
 * item holds each time that it is done.
 */
export function eachTime<Someone extends Pick<Attendee, 'byHand'>>(
  attendee: Someone,
  plan: Plan,
): Someone {
  const { byHand } = attendee;
  if (!byHand || !plan.brackets) return attendee;
  const chosen = [...timesUpTo(plan)].flatMap(([id, [first = id]]) => {
    const choice = byHand[first];
    return choice ? [[id, choice] as const] : [];
  });
  return { ...attendee, byHand: Object.fromEntries(chosen) };
}

const MEMBERS = new WeakMap<Attendee, { day: string; member: GroupMember }>();

/** Worked out once while somebody's record stays the same object. */
export function memberOn(attendee: Attendee, day: string): GroupMember {
  const known = MEMBERS.get(attendee);
  if (known?.day === day) return known.member;
  const member: GroupMember = {
    attendee,
    restrictions: restrictionsOf(attendee, day),
    cautions: entriesOn(attendee, day).map(({ caution }) => caution),
  };
  MEMBERS.set(attendee, { day, member });
  return member;
}
