import { DataTypes, type QueryInterface } from 'sequelize';
import {
  addColumn,
  addIndex,
  belongsTo,
  json,
  removeColumn,
  revision,
  text,
  times,
  uuid,
} from './steps.ts';

export const name = '0009-kept-plans-and-groups';

/** Plans without a date, and lists of people that bookings start from. */
export async function up(tables: QueryInterface): Promise<void> {
  await tables.createTable('kept_plans', {
    id: { ...uuid, primaryKey: true },
    studioId: belongsTo('studios'),
    name: text(120),
    tags: json,
    plan: json,
    revision,
    ...times,
  });
  await addIndex(tables, 'kept_plans', ['studioId', 'name']);
  await tables.createTable('standing_groups', {
    id: { ...uuid, primaryKey: true },
    studioId: belongsTo('studios'),
    name: text(120),
    revision,
    ...times,
  });
  await addIndex(tables, 'standing_groups', ['studioId', 'name']);
  await tables.createTable('group_people', {
    id: { ...uuid, primaryKey: true },
    studioId: belongsTo('studios'),
    groupId: belongsTo('standing_groups'),
    personId: belongsTo('people'),
  });
  await addIndex(tables, 'group_people', ['groupId', 'personId'], { unique: true });
  await addColumn(tables, 'classes', 'keptPlanId', { type: DataTypes.UUID, allowNull: true });
  await addIndex(tables, 'classes', ['studioId', 'keptPlanId']);
}

export async function down(tables: QueryInterface): Promise<void> {
  for (const table of ['group_people', 'standing_groups', 'kept_plans']) {
    await tables.dropTable(table);
  }
  await removeColumn(tables, 'classes', 'keptPlanId');
}
