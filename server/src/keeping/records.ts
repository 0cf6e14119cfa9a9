import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import { Machine } from '@wrenfern/core/movement/vocabulary';
import { Came } from '@wrenfern/core/people/came';
import { CautionEntry, Person } from '@wrenfern/core/people/person';
import { faultsOf } from '../api/errors.ts';
import { UnreadableColumn } from '../db/models/columns.ts';
import { deriveKey, seal, unseal } from './seal.ts';

const PersonRecord = Person.omit({ id: true, name: true });
export type PersonRecord = z.infer<typeof PersonRecord>;

const BookingRecord = z.strictObject({
  today: z.array(CautionEntry).max(10),
  todayNote: z.string().max(500),
  came: Came.optional(),
  /** Where they begin in a class of two groups, where somebody put them there. */
  startsOn: Machine.optional(),
});
export type BookingRecord = z.infer<typeof BookingRecord>;

interface BookingNames {
  studioId: string;
  classId: string;
  personId: string;
}

let mainKey: Buffer | undefined;
const studioKeys = new LRUCache<string, Buffer>({ max: 5_000 });
/** What was opened lately; a sealed text never changes its meaning. */
const opened = new LRUCache<string, object>({ max: 20_000 });

/** The key that every studio's own is made from; it is kept outside the database. */
export function useKey(key: Buffer): void {
  mainKey = key;
  studioKeys.clear();
  opened.clear();
}

function keyOf(studioId: string): Buffer {
  if (!mainKey) throw new Error('records can’t be opened before there is a key');
  const known = studioKeys.get(studioId) ?? deriveKey(mainKey, `studio ${studioId}`);
  studioKeys.set(studioId, known);
  return known;
}

const aboutBooking = ({ studioId, classId, personId }: BookingNames) =>
  `${studioId} ${classId} ${personId}`;

/** Each studio's records are under a key of their own, and each is tied to the row it stands in. */
export function sealRecord(studioId: string, personId: string, record: unknown): string {
  return seal(keyOf(studioId), JSON.stringify(record), `${studioId} ${personId}`);
}

export function openRecord(studioId: string, personId: string, sealed: string): PersonRecord {
  return open(studioId, sealed, `${studioId} ${personId}`, PersonRecord);
}

export function sealBooking(names: BookingNames, record: unknown): string {
  return seal(keyOf(names.studioId), JSON.stringify(record), aboutBooking(names));
}

export function openBooking(names: BookingNames, sealed: string): BookingRecord {
  return open(names.studioId, sealed, aboutBooking(names), BookingRecord);
}

function open<S extends z.ZodType<object>>(
  studioId: string,
  sealed: string,
  about: string,
  schema: S,
): z.infer<S> {
  const cacheKey = `${about} ${sealed}`;
  const known = opened.get(cacheKey);
  if (known) return known as z.infer<S>;
  const read = schema.safeParse(JSON.parse(unsealed(studioId, sealed, about)));
  if (!read.success) {
    const faults = faultsOf(read.error, 3).map(({ message }) => message);
    throw new UnreadableColumn('record', about, faults.join('; '));
  }
  opened.set(cacheKey, read.data);
  return read.data;
}

function unsealed(studioId: string, sealed: string, about: string): string {
  try {
    return unseal(keyOf(studioId), sealed, about);
  } catch (error) {
    const fault = new UnreadableColumn('record', about, 'it was sealed with another key');
    throw Object.assign(fault, { cause: error });
  }
}
