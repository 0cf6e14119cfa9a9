import { randomUUID } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import { QueryTypes, type Sequelize } from 'sequelize';
import { isConflict } from './faults.ts';

/** A process that is killed holds things up for no longer. */
const LASTS_S = 10;
const RENEW_MS = 2_000;
const LOOK_AGAIN_MS = 200;

interface Waiting {
  /** Gives up, and says so, after so long. */
  waitMs: number;
}

/**
 * Does something that one process at a time may do. The lease is a row, not a lock of the server: in a
 * cluster a lock holds on its own node only. Whoever holds it renews it; one that is not renewed runs out.
 */
export async function withLease<T>(
  database: Sequelize,
  name: string,
  { waitMs }: Waiting,
  work: () => Promise<T>,
): Promise<T> {
  const holder = randomUUID();
  await database.query(
    `CREATE TABLE IF NOT EXISTS leases (
      name VARCHAR(64) PRIMARY KEY, holder CHAR(36) NOT NULL, until DATETIME(3) NOT NULL)`,
  );
  const until = Date.now() + waitMs;
  while (!(await take(database, name, holder))) {
    if (Date.now() > until) {
      throw new Error(
        `Another process has held "${name}" for ${waitMs / 1000} seconds. Wait for it.`,
      );
    }
    await pause(LOOK_AGAIN_MS);
  }
  // A renewal that fails is tried again; if none gets through, the lease runs out and work ends in a fault.
  const renewing = setInterval(
    () => void take(database, name, holder).catch(() => false),
    RENEW_MS,
  );
  try {
    return await work();
  } finally {
    clearInterval(renewing);
    await database.query('DELETE FROM leases WHERE name = ? AND holder = ?', {
      replacements: [name, holder],
      type: QueryTypes.DELETE,
    });
  }
}

/** Takes the lease, or renews it; false while somebody else holds it. */
async function take(database: Sequelize, name: string, holder: string): Promise<boolean> {
  try {
    await database.query(
      `INSERT INTO leases (name, holder, until)
        VALUES (:name, :holder, UTC_TIMESTAMP(3) + INTERVAL ${LASTS_S} SECOND)
        ON DUPLICATE KEY UPDATE
          holder = IF(until < UTC_TIMESTAMP(3), VALUES(holder), holder),
          until = IF(holder = VALUES(holder), VALUES(until), until)`,
      { replacements: { name, holder }, type: QueryTypes.INSERT },
    );
  } catch (error) {
    if (isConflict(error)) return false; // Another node was first.
    throw error;
  }
  const [row] = await database.query<{ holder: string }>(
    'SELECT holder FROM leases WHERE name = ?',
    { replacements: [name], type: QueryTypes.SELECT },
  );
  return row?.holder === holder;
}
