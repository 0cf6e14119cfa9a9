import { DataTypes, type QueryInterface } from 'sequelize';
import { nameItems } from './name-items.ts';
import {
  addColumn,
  addIndex,
  belongsTo,
  json,
  moment,
  perhaps,
  removeColumn,
  revision,
  uuid,
} from './steps.ts';

export const name = '0005-nothing-lost';

const REVISED = ['studios', 'people', 'bookings', 'class_notes'] as const;
const WASTED = ['classes', 'people', 'exercise_versions'] as const;

/**
 * Revisions where a later write silently won, a wastebasket, every saved plan, the plan as it was
 * taught, and events that name the item they mean.
 */
export async function up(tables: QueryInterface): Promise<void> {
  for (const table of REVISED) await addColumn(tables, table, 'revision', revision);
  await addColumn(tables, 'classes', 'detailsRevision', revision);
  await addColumn(tables, 'classes', 'attendeesRevision', revision);
  await addColumn(tables, 'studios', 'retentionMonths', {
    type: DataTypes.INTEGER,
    allowNull: true,
  });
  for (const table of WASTED) await addColumn(tables, table, 'deletedAt', perhaps);
  await addColumn(tables, 'classes', 'coverUserId', belongsTo('users', 'SET NULL'));
  await addColumn(tables, 'classes', 'taughtRevision', {
    type: DataTypes.INTEGER,
    allowNull: true,
  });
  await tables.createTable('plan_revisions', {
    id: { ...uuid, primaryKey: true },
    studioId: belongsTo('studios'),
    classId: belongsTo('classes'),
    revision: { type: DataTypes.INTEGER, allowNull: false },
    plan: json,
    savedBy: { type: DataTypes.STRING(120), allowNull: false },
    createdAt: moment,
  });
  await addIndex(tables, 'plan_revisions', ['classId', 'revision'], { unique: true });
  await addIndex(tables, 'plan_revisions', ['createdAt']);
  await addIndex(tables, 'class_events', ['createdAt']);
  await nameItems(tables.sequelize);
}

export async function down(tables: QueryInterface): Promise<void> {
  await tables.dropTable('plan_revisions');
  await tables.sequelize.query(
    'ALTER TABLE classes DROP FOREIGN KEY IF EXISTS classes_coverUserId_foreign_idx',
  );
  for (const column of ['detailsRevision', 'attendeesRevision', 'coverUserId', 'taughtRevision']) {
    await removeColumn(tables, 'classes', column);
  }
  await removeColumn(tables, 'studios', 'retentionMonths');
  for (const table of REVISED) await removeColumn(tables, table, 'revision');
  for (const table of WASTED) await removeColumn(tables, table, 'deletedAt');
}
