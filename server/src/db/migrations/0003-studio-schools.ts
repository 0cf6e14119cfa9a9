import { DataTypes, type QueryInterface } from 'sequelize';
import { addColumn, removeColumn } from './steps.ts';

export const name = '0003-studio-schools';

/** A studio's own schools: copies of one that ships, with other rules and weights. */
export async function up(tables: QueryInterface): Promise<void> {
  await addColumn(tables, 'studios', 'schools', { type: DataTypes.JSON, allowNull: true });
}

export async function down(tables: QueryInterface): Promise<void> {
  await removeColumn(tables, 'studios', 'schools');
}
