import { QueryTypes, type QueryInterface, type Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { withLease } from './lease.ts';
import * as firstTables from './migrations/0001-first-tables.ts';
import * as studioExercises from './migrations/0002-studio-exercises.ts';
import * as studioSchools from './migrations/0003-studio-schools.ts';
import * as theDoor from './migrations/0004-the-door.ts';
import * as nothingLost from './migrations/0005-nothing-lost.ts';
import * as sealedRecords from './migrations/0006-sealed-records.ts';
import * as secondFactor from './migrations/0007-second-factor.ts';
import * as machinesAndWeek from './migrations/0008-machines-and-week.ts';
import * as keptPlansAndGroups from './migrations/0009-kept-plans-and-groups.ts';
import * as whoTeachesFeedsDesk from './migrations/0010-who-teaches-feeds-desk.ts';
import * as ownBounds from './migrations/0011-own-bounds.ts';
import * as wall from './migrations/0012-wall.ts';
import * as ownPace from './migrations/0013-own-pace.ts';
import { CHECKSUMS } from './migrations/checksums.ts';

/** In the order in which they run; a name, once released, never changes. */
export const MIGRATIONS = [
  firstTables,
  studioExercises,
  studioSchools,
  theDoor,
  nothingLost,
  sealedRecords,
  secondFactor,
  machinesAndWeek,
  keptPlansAndGroups,
  whoTeachesFeedsDesk,
  ownBounds,
  wall,
  ownPace,
] as const;

/** A process that waits this long for another's migrations gives up and says so. */
const WAIT_MS = 120_000;

/**
 * Brings the tables up to date, one process at a time: the others wait, then find nothing to do.
 * Refuses a database that a newer Wrenfern has already changed. Models must be bound: some steps seal.
 */
export async function migrate(sequelize: Sequelize): Promise<string[]> {
  return withLease(sequelize, 'changing the tables', { waitMs: WAIT_MS }, () => runAll(sequelize));
}

async function runAll(sequelize: Sequelize): Promise<string[]> {
  const storage = new SequelizeStorage({ sequelize, tableName: 'migrations' });
  const context: QueryInterface = sequelize.getQueryInterface();
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, up, down }) => ({
      name,
      up: () => up(context),
      down: () => down(context),
    })),
    context,
    storage,
    logger: undefined,
  });
  const known = new Set<string>(MIGRATIONS.map(({ name }) => name));
  const unknown = (await storage.executed()).filter((name) => !known.has(name));
  if (unknown.length > 0) {
    throw new Error(
      `This database was changed by a newer version of Wrenfern (${unknown.join(', ')}). Start that version, or another database.`,
    );
  }
  await needUnchanged(sequelize);
  const done = await umzug.up();
  await noteChecksums(sequelize);
  return done.map(({ name }) => name);
}

/**
 * A step that was written anew after it had run here left other tables than today's code reads. Only
 * versions that were never released did that; the database is not touched.
 */
async function needUnchanged(sequelize: Sequelize): Promise<void> {
  const columns = await sequelize
    .getQueryInterface()
    .describeTable('migrations')
    .catch(() => ({}));
  if (!('checksum' in columns)) return;
  const ran = await sequelize.query<{ name: keyof typeof CHECKSUMS; checksum: string }>(
    'SELECT name, checksum FROM migrations WHERE checksum IS NOT NULL',
    { type: QueryTypes.SELECT },
  );
  const changed = ran.filter(({ name, checksum }) => CHECKSUMS[name] !== checksum);
  if (changed.length === 0) return;
  const names = changed.map(({ name }) => name).join(', ');
  throw new Error(
    `This database was made by a Wrenfern that was never released: ${names} ran here in another form. Nothing was changed. Start the version that made it, take a backup there and restore it here, or begin with another database.`,
  );
}

async function noteChecksums(sequelize: Sequelize): Promise<void> {
  for (const [name, checksum] of Object.entries(CHECKSUMS)) {
    await sequelize.query(
      'UPDATE migrations SET checksum = ? WHERE name = ? AND checksum IS NULL',
      { replacements: [checksum, name] },
    );
  }
}
