import { DataTypes, type QueryInterface } from 'sequelize';
import { addColumn, addIndex, removeColumn } from './steps.ts';

export const name = '0008-machines-and-week';

const column = (type: DataTypes.DataType) => ({ type, allowNull: true });

/** A studio's machines; classes that repeat every week, and classes that are called off. */
export async function up(tables: QueryInterface): Promise<void> {
  await addColumn(tables, 'studios', 'machines', column(DataTypes.JSON));
  await addColumn(tables, 'classes', 'seriesId', column(DataTypes.UUID));
  await addColumn(tables, 'classes', 'calledOff', column(DataTypes.STRING(200)));
  await addIndex(tables, 'classes', ['studioId', 'seriesId', 'startsAt']);
}

export async function down(tables: QueryInterface): Promise<void> {
  await removeColumn(tables, 'studios', 'machines');
  await removeColumn(tables, 'classes', 'seriesId');
  await removeColumn(tables, 'classes', 'calledOff');
}
