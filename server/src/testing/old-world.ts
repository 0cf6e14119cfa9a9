import { readFile } from 'node:fs/promises';
import { QueryTypes, type Sequelize } from 'sequelize';

/**
 * Puts a database back to how an older version left it: a file that was written by that version, never
 * by what today's code writes.
 */
export async function openOldWorld(database: Sequelize, name: string): Promise<void> {
  const file = new URL(`../db/old-worlds/${name}.sql`, import.meta.url);
  const statements = (await readFile(file, 'utf8')).split(/;\n/).filter((each) => each.trim());
  await database.getQueryInterface().dropAllTables();
  // One connection for all of them: tables name others that come later in the file.
  await database.transaction(async (transaction) => {
    await database.query('SET FOREIGN_KEY_CHECKS = 0', { transaction });
    for (const statement of statements) {
      await database.query(statement, { transaction, type: QueryTypes.RAW });
    }
    await database.query('SET FOREIGN_KEY_CHECKS = 1', { transaction });
  });
}

/** Every value of every column of every table, as one text to look for things in. */
export async function wholeText(database: Sequelize): Promise<string> {
  const tables = await database.query<{ name: string }>(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()',
    { type: QueryTypes.SELECT },
  );
  const rows = await Promise.all(
    tables.map(({ name }) => database.query(`SELECT * FROM ${name}`, { type: QueryTypes.SELECT })),
  );
  return JSON.stringify(rows);
}
