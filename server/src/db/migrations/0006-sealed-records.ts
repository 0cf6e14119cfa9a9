import { DataTypes, QueryTypes, type QueryInterface, type Transaction } from 'sequelize';
import { sealBooking, sealRecord } from '../../keeping/records.ts';
import { addColumn, addIndex, belongsTo, removeColumn, text } from './steps.ts';

export const name = '0006-sealed-records';

const CHUNK = 200;
const sealed = { type: DataTypes.TEXT('medium'), allowNull: true };

/** Health notes and cautions are sealed, and who reads them is written down. */
export async function up(tables: QueryInterface): Promise<void> {
  await tables.createTable('trail', {
    id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
    studioId: belongsTo('studios'),
    userId: { type: DataTypes.UUID, allowNull: true },
    userName: text(120),
    action: text(16),
    subject: text(16),
    subjectId: { type: DataTypes.UUID, allowNull: true },
    createdAt: { type: DataTypes.DATE(3), allowNull: false },
  });
  await addIndex(tables, 'trail', ['studioId', 'createdAt']);
  await addColumn(tables, 'people', 'sealed', sealed);
  await addColumn(tables, 'bookings', 'sealed', sealed);
  if ('record' in (await tables.describeTable('people'))) {
    await sealAll(tables, 'SELECT id, studioId, record FROM people', 'people', sealPerson);
    await removeColumn(tables, 'people', 'record');
  }
  if ('today' in (await tables.describeTable('bookings'))) {
    await sealAll(
      tables,
      'SELECT id, studioId, classId, personId, today, todayNote FROM bookings',
      'bookings',
      sealToday,
    );
    await removeColumn(tables, 'bookings', 'today');
    await removeColumn(tables, 'bookings', 'todayNote');
  }
}

/** Sealed records can be read by no older version: going back keeps them as they are. */
export async function down(tables: QueryInterface): Promise<void> {
  await tables.dropTable('trail');
}

interface Unsealed {
  id: string;
  studioId: string;
  classId: string;
  personId: string;
  record: unknown;
  today: unknown;
  todayNote: string;
}

const parsed = (value: unknown): unknown => (typeof value === 'string' ? JSON.parse(value) : value);

const sealPerson = (row: Unsealed) => sealRecord(row.studioId, row.id, parsed(row.record));
const sealToday = (row: Unsealed) =>
  sealBooking(row, { today: parsed(row.today), todayNote: row.todayNote });

/** A chunk is a transaction: a process killed half-way goes on with what is not sealed yet. */
async function sealAll(
  tables: QueryInterface,
  select: string,
  table: string,
  sealOne: (row: Unsealed) => string,
): Promise<void> {
  const database = tables.sequelize;
  const sealChunk = async (transaction: Transaction): Promise<number> => {
    const rows = await database.query<Unsealed>(`${select} WHERE sealed IS NULL LIMIT ${CHUNK}`, {
      type: QueryTypes.SELECT,
      transaction,
    });
    for (const row of rows) {
      await database.query(`UPDATE ${table} SET sealed = ? WHERE id = ?`, {
        replacements: [sealOne(row), row.id],
        transaction,
      });
    }
    return rows.length;
  };
  for (let left = CHUNK; left === CHUNK;) {
    left = await database.transaction(sealChunk);
  }
}
