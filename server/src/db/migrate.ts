import type { QueryInterface, Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import * as firstTables from './migrations/0001-first-tables.ts';
import * as studioExercises from './migrations/0002-studio-exercises.ts';
import * as studioSchools from './migrations/0003-studio-schools.ts';

/** In the order in which they run; a name, once released, never changes. */
const MIGRATIONS = [firstTables, studioExercises, studioSchools];

/** Brings the tables up to date. Refuses a database that a newer Wrenfern has already changed. */
export async function migrate(sequelize: Sequelize): Promise<string[]> {
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
  const done = await umzug.up();
  return done.map(({ name }) => name);
}
