import { z } from 'zod';
import { Id } from '../movement/ids.ts';
import { OptionNumber } from '../movement/vocabulary.ts';
import { LengthEdit } from '../plan/edits.ts';
import { Remedy } from '../people/remedies.ts';
import { SIGN_IDS } from '../people/signs.ts';

/** A class of one day can't have more presses than this; the first is 1. */
const MOST_PRESSES = 100_000;

/** The end of the year 2099: a clock that says later is broken. */
const LAST_MS = Date.UTC(2100, 0, 1) - 1;

const shared = {
  /** Made by the client, so that sending twice changes nothing. */
  id: Id.min(8),
  /** Milliseconds since 1970, by the server's clock as far as the device knows it. */
  atMs: z.number().int().min(0).max(LAST_MS),
  /**
   * One more than the highest that the device had seen when it was pressed (a Lamport clock), so that
   * what somebody pressed after seeing another's press comes after it, whatever their clocks say.
   */
  order: z.number().int().min(1).max(MOST_PRESSES),
};

/** What happens in a class while it is taught: an append-only list. */
export const LiveEvent = z.discriminatedUnion('type', [
  z.strictObject({
    type: z.literal('start'),
    /** The saved plan that is taught. */
    revision: z.number().int().min(1).max(1_000_000).optional(),
    ...shared,
  }),
  /** Names the item: pressed on two devices at once, it is still one step. */
  z.strictObject({ type: z.literal('goTo'), itemId: Id, ...shared }),
  z.strictObject({ type: z.literal('pause'), ...shared }),
  z.strictObject({ type: z.literal('resume'), ...shared }),
  z.strictObject({
    type: z.literal('extend'),
    itemId: Id,
    seconds: z.number().int().min(5).max(600),
    ...shared,
  }),
  z.strictObject({
    type: z.literal('moved'),
    itemId: Id,
    personId: Id,
    option: OptionNumber,
    ...shared,
  }),
  z.strictObject({
    type: z.literal('seen'),
    itemId: Id,
    personId: Id,
    sign: z.enum(SIGN_IDS),
    remedy: Remedy,
    ...shared,
  }),
  /** How hard the class was for somebody, as they say: 0 rest to 10 all they had. */
  z.strictObject({
    type: z.literal('effort'),
    personId: Id,
    rating: z.number().int().min(0).max(10),
    ...shared,
  }),
  /** What comes is made shorter or longer; what has been begun stays as it is. */
  z.strictObject({ type: z.literal('change'), edit: LengthEdit, ...shared }),
  /** What was pressed by mistake counts no more: what was noted down, not where the class stands. */
  z.strictObject({ type: z.literal('takeBack'), eventId: shared.id, ...shared }),
  z.strictObject({
    type: z.literal('note'),
    itemId: Id,
    text: z.string().trim().min(1).max(1000),
    ...shared,
  }),
  z.strictObject({ type: z.literal('end'), ...shared }),
]);
export type LiveEvent = z.infer<typeof LiveEvent>;

/** Presses about one person; whoever they are is taken along, or out, by this alone. */
type AboutPerson = Extract<LiveEvent, { personId: string }>;

/** Of these, what is about them at an item. */
export type PersonEvent = Extract<AboutPerson, { itemId: string }>;

export function isAboutPerson(event: LiveEvent): event is AboutPerson {
  return 'personId' in event;
}

export function isAtItem(event: LiveEvent): event is PersonEvent {
  return isAboutPerson(event) && 'itemId' in event;
}

/** The option that a press puts somebody to, by itself or for what was seen; undefined where it puts nobody anywhere. */
export function optionTaken(
  event: LiveEvent,
): { itemId: string; personId: string; option: number } | undefined {
  if (event.type === 'moved') return event;
  if (event.type !== 'seen' || event.remedy.kind !== 'option') return undefined;
  const { itemId, personId, remedy } = event;
  return { itemId, personId, option: remedy.option };
}

const TAKEN_BACK: ReadonlySet<LiveEvent['type']> = new Set([
  'moved',
  'seen',
  'extend',
  'change',
  'note',
  'effort',
]);

/** Presses that somebody took back again, by id. */
export function takenBack(events: readonly LiveEvent[]): ReadonlySet<string> {
  return new Set(events.flatMap((event) => (event.type === 'takeBack' ? event.eventId : [])));
}

/** What counts: each press once, in the order in which devices had seen them, without what was taken back. */
export function whatStands(events: readonly LiveEvent[]): LiveEvent[] {
  const away = takenBack(events);
  const once = new Map(events.map((event) => [event.id, event]));
  return [...once.values()]
    .filter(({ id, type }) => !(away.has(id) && TAKEN_BACK.has(type)))
    .sort((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1));
}

/** The order of what is pressed next on a device that has seen these. */
export function nextOrder(seen: readonly LiveEvent[]): number {
  return seen.reduce((most, { order }) => Math.max(most, order), 0) + 1;
}
