import { DataTypes, type QueryInterface } from 'sequelize';
import {
  addColumn,
  addIndex,
  belongsTo,
  moment,
  perhaps,
  removeColumn,
  revision,
  text,
  uuid,
} from './steps.ts';

export const name = '0004-the-door';

/**
 * Who may in: sessions that belong to a user and end, one-time links, tries counted for all processes,
 * and facts of the whole installation of which there is one each. Sessions from before end here.
 */
export async function up(tables: QueryInterface): Promise<void> {
  const known = await tables.describeTable('sessions').catch(() => undefined);
  if (known && !('userId' in known)) await tables.dropTable('sessions');
  await tables.createTable('sessions', {
    sid: { ...text(64), primaryKey: true },
    userId: belongsTo('users'),
    epoch: { type: DataTypes.INTEGER, allowNull: false },
    startedAt: moment,
    seenAt: moment,
    expires: moment,
    device: text(200),
    data: { type: DataTypes.TEXT, allowNull: false },
  });
  await addIndex(tables, 'sessions', ['expires']);
  await addColumn(tables, 'users', 'epoch', revision);
  await addColumn(tables, 'users', 'until', { type: DataTypes.DATEONLY, allowNull: true });
  await addColumn(tables, 'users', 'secondFactor', {
    type: DataTypes.STRING(400),
    allowNull: true,
  });
  await addColumn(tables, 'studios', 'usedAt', perhaps);
  await tables.createTable('links', {
    id: { ...uuid, primaryKey: true },
    tokenHash: { ...text(64), unique: true },
    kind: text(16),
    studioId: { ...belongsTo('studios'), allowNull: true },
    userId: { ...belongsTo('users'), allowNull: true },
    role: { type: DataTypes.STRING(16), allowNull: true },
    until: { type: DataTypes.DATEONLY, allowNull: true },
    name: { type: DataTypes.STRING(120), allowNull: true },
    email: { type: DataTypes.STRING(190), allowNull: true },
    expires: moment,
    usedAt: perhaps,
    createdAt: moment,
  });
  await tables.createTable('tries', {
    key: { ...text(190), primaryKey: true },
    points: { type: DataTypes.INTEGER, allowNull: false },
    expire: { type: DataTypes.BIGINT, allowNull: true },
  });
  await tables.createTable('facts', {
    name: { ...text(64), primaryKey: true },
    createdAt: moment,
  });
}

export async function down(tables: QueryInterface): Promise<void> {
  for (const table of ['facts', 'tries', 'links', 'sessions']) await tables.dropTable(table);
  for (const column of ['epoch', 'until', 'secondFactor']) {
    await removeColumn(tables, 'users', column);
  }
  await removeColumn(tables, 'studios', 'usedAt');
  await tables.createTable('sessions', {
    sid: { type: DataTypes.STRING(64), primaryKey: true },
    expires: { type: DataTypes.DATE, allowNull: true },
    data: { type: DataTypes.TEXT, allowNull: true },
    createdAt: moment,
    updatedAt: moment,
  });
}
