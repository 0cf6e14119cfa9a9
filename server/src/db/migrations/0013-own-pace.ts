import { DataTypes, type QueryInterface } from 'sequelize';
import { addColumn, removeColumn } from './steps.ts';

export const name = '0013-own-pace';

/** How quick somebody teaches, where that is not as the studio does. */
export async function up(tables: QueryInterface): Promise<void> {
  await addColumn(tables, 'users', 'pace', { type: DataTypes.JSON, allowNull: true });
}

export async function down(tables: QueryInterface): Promise<void> {
  await removeColumn(tables, 'users', 'pace');
}
