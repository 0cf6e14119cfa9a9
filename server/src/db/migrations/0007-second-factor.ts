import { DataTypes, type QueryInterface } from 'sequelize';
import { addColumn, removeColumn } from './steps.ts';

export const name = '0007-second-factor';

/** Recovery codes, a second factor that a studio asks of everybody, and which text each migration had when it ran. */
export async function up(tables: QueryInterface): Promise<void> {
  await addColumn(tables, 'users', 'recoveryHashes', { type: DataTypes.JSON, allowNull: true });
  await addColumn(tables, 'studios', 'needsSecondFactor', {
    type: DataTypes.BOOLEAN,
    allowNull: false,
    defaultValue: false,
  });
  await addColumn(tables, 'migrations', 'checksum', {
    type: DataTypes.STRING(64),
    allowNull: true,
  });
}

export async function down(tables: QueryInterface): Promise<void> {
  await removeColumn(tables, 'users', 'recoveryHashes');
  await removeColumn(tables, 'studios', 'needsSecondFactor');
  await removeColumn(tables, 'migrations', 'checksum');
}
