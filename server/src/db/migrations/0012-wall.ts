import { DataTypes, type QueryInterface } from 'sequelize';
import { addColumn, addIndex, removeColumn } from './steps.ts';

export const name = '0012-wall';

/** A private address at which the room follows a class; its token is kept as a hash only. */
export async function up(tables: QueryInterface): Promise<void> {
  await addColumn(tables, 'classes', 'wallHash', { type: DataTypes.STRING(64), allowNull: true });
  await addColumn(tables, 'classes', 'wallSince', { type: DataTypes.DATE(3), allowNull: true });
  await addIndex(tables, 'classes', ['wallHash'], { unique: true });
}

export async function down(tables: QueryInterface): Promise<void> {
  await removeColumn(tables, 'classes', 'wallHash');
  await removeColumn(tables, 'classes', 'wallSince');
}
