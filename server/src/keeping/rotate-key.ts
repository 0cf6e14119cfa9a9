import type { Transaction } from 'sequelize';
import { Booking, databaseOfModels, PersonRow, Studio, User } from '../db/models.ts';
import { sealBooking, sealRecord, useKey } from './records.ts';
import { seal, unseal } from './seal.ts';

/**
 * Seals everything anew with another key, in one transaction: all of it or nothing. Begun again after it
 * was cut off, it finds what the new key opens already and goes on. Resolves to how many were sealed.
 */
export async function rotateKey(from: Buffer, to: Buffer): Promise<number> {
  return databaseOfModels().transaction(async (transaction) => {
    const everything = { transaction, lock: transaction.LOCK.UPDATE, paranoid: false } as const;
    const [people, bookings, users, studios] = [
      await PersonRow.findAll(everything),
      await Booking.findAll(everything),
      await User.findAll(everything),
      await Studio.findAll(everything),
    ];
    const records = opened(people, from, to, ({ record }) => record);
    const todays = opened(bookings, from, to, ({ record }) => record);
    useKey(to);
    for (const [row, record] of records) {
      await save(row, { sealed: sealRecord(row.studioId, row.id, record) }, transaction);
    }
    for (const [row, today] of todays) {
      await save(row, { sealed: sealBooking(row, today) }, transaction);
    }
    const secrets = users.filter(({ secondFactor }) => secondFactor);
    for (const user of secrets) {
      const secret = openSecret(user.secondFactor ?? '', user.id, from, to);
      await save(user, { secondFactor: seal(to, secret, user.id) }, transaction);
    }
    const desks = studios.filter(({ deskSecret }) => deskSecret);
    for (const studio of desks) {
      const secret = openSecret(studio.deskSecret ?? '', studio.id, from, to);
      await save(studio, { deskSecret: seal(to, secret, studio.id) }, transaction);
    }
    return records.length + todays.length + secrets.length + desks.length;
  });
}

/** Rows with what is in them, whichever of the two keys opens it. */
function opened<Row, Value>(
  rows: readonly Row[],
  from: Buffer,
  to: Buffer,
  read: (row: Row) => Value,
): [Row, Value][] {
  const [first] = rows;
  if (first === undefined) return [];
  useKey(opens(first, to, read) ? to : from);
  return rows.map((row) => [row, read(row)]);
}

function opens<Row>(row: Row, key: Buffer, read: (row: Row) => unknown): boolean {
  useKey(key);
  try {
    read(row);
    return true;
  } catch {
    return false; // Sealed with the other one, which says so itself if it does not open it either.
  }
}

function openSecret(sealed: string, about: string, from: Buffer, to: Buffer): string {
  try {
    return unseal(from, sealed, about);
  } catch {
    return unseal(to, sealed, about);
  }
}

interface Savable {
  update: (values: object, options: { transaction: Transaction; silent: true }) => Promise<unknown>;
}

async function save(row: Savable, values: object, transaction: Transaction): Promise<void> {
  await row.update(values, { transaction, silent: true });
}
