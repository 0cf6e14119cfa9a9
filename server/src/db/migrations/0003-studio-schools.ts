import { DataTypes, type QueryInterface } from 'sequelize';

export const name = '0003-studio-schools';

/** A studio's own schools: copies of one that ships, with other rules and weights. */
export async function up(tables: QueryInterface): Promise<void> {
  await tables.addColumn('studios', 'schools', { type: DataTypes.JSON, allowNull: true });
}

export async function down(tables: QueryInterface): Promise<void> {
  await tables.removeColumn('studios', 'schools');
}
