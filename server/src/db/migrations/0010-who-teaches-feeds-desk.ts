import { DataTypes, type QueryInterface } from 'sequelize';
import {
  addColumn,
  addIndex,
  belongsTo,
  json,
  moment,
  perhaps,
  removeColumn,
  text,
  uuid,
} from './steps.ts';

export const name = '0010-who-teaches-feeds-desk';

const column = (type: DataTypes.DataType) => ({ type, allowNull: true });

/** Who teaches a class and how long it took, calendar feeds, and what a booking desk tells. */
export async function up(tables: QueryInterface): Promise<void> {
  await addColumn(tables, 'classes', 'instructorId', belongsTo('users', 'SET NULL'));
  await addColumn(tables, 'classes', 'tookS', column(DataTypes.INTEGER));
  await tables.sequelize.query(`
    UPDATE classes JOIN (
      SELECT classId,
        MIN(IF(JSON_VALUE(event, '$.type') = 'start', JSON_VALUE(event, '$.atMs') + 0, NULL)) AS startMs,
        MAX(IF(JSON_VALUE(event, '$.type') = 'end', JSON_VALUE(event, '$.atMs') + 0, NULL)) AS endMs
      FROM class_events GROUP BY classId
    ) pressed ON pressed.classId = classes.id
    SET classes.tookS = GREATEST(0, ROUND((endMs - startMs) / 1000))
    WHERE startMs IS NOT NULL AND endMs IS NOT NULL`);

  await tables.createTable('feeds', {
    id: { ...uuid, primaryKey: true },
    studioId: belongsTo('studios'),
    userId: belongsTo('users'),
    tokenHash: { ...text(64), unique: true },
    onlyOwn: { type: DataTypes.BOOLEAN, allowNull: false },
    readAt: perhaps,
    createdAt: moment,
  });

  await addColumn(tables, 'studios', 'deskSecret', column(DataTypes.STRING(400)));
  await addColumn(tables, 'people', 'deskRef', column(DataTypes.STRING(64)));
  await addIndex(tables, 'people', ['studioId', 'deskRef']);
  await tables.createTable('desk_messages', {
    id: { ...uuid, primaryKey: true },
    studioId: belongsTo('studios'),
    messageId: text(64),
    told: json,
    createdAt: moment,
  });
  await addIndex(tables, 'desk_messages', ['studioId', 'messageId'], { unique: true });
}

export async function down(tables: QueryInterface): Promise<void> {
  for (const table of ['desk_messages', 'feeds']) await tables.dropTable(table);
  await tables.sequelize.query(
    'ALTER TABLE classes DROP FOREIGN KEY IF EXISTS classes_instructorId_foreign_idx',
  );
  await removeColumn(tables, 'classes', 'instructorId');
  await removeColumn(tables, 'classes', 'tookS');
  await removeColumn(tables, 'studios', 'deskSecret');
  await removeColumn(tables, 'people', 'deskRef');
}
