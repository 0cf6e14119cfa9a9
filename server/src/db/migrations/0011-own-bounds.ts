import { DataTypes, type QueryInterface } from 'sequelize';
import { addColumn, removeColumn } from './steps.ts';

export const name = '0011-own-bounds';

/** A studio's own numbers for cautions. */
export async function up(tables: QueryInterface): Promise<void> {
  await addColumn(tables, 'studios', 'ownBounds', { type: DataTypes.JSON, allowNull: true });
}

export async function down(tables: QueryInterface): Promise<void> {
  await removeColumn(tables, 'studios', 'ownBounds');
}
