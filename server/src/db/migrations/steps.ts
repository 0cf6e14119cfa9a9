import { DataTypes, type ModelAttributeColumnOptions, type QueryInterface } from 'sequelize';

/**
 * Steps that can be taken again: a process killed half-way leaves tables behind that the next start
 * must take for done. `createTable` of Sequelize already says IF NOT EXISTS.
 */
export async function addIndex(
  tables: QueryInterface,
  table: string,
  fields: string[],
  options: { unique?: boolean } = {},
): Promise<void> {
  const name = `${table}_${fields.join('_')}`;
  const known = (await tables.showIndex(table)) as { fields: { attribute: string }[] }[];
  const isThere = known.some(
    (index) => index.fields.map(({ attribute }) => attribute).join() === fields.join(),
  );
  if (!isThere) await tables.addIndex(table, fields, { ...options, name });
}

export async function addColumn(
  tables: QueryInterface,
  table: string,
  column: string,
  definition: ModelAttributeColumnOptions,
): Promise<void> {
  if (column in (await tables.describeTable(table))) return;
  await tables.addColumn(table, column, definition);
}

export async function removeColumn(
  tables: QueryInterface,
  table: string,
  column: string,
): Promise<void> {
  // The mapper's own way trips over what this driver answers.
  await tables.sequelize.query(`ALTER TABLE ${table} DROP COLUMN IF EXISTS ${column}`);
}

export const uuid = { type: DataTypes.UUID, allowNull: false };
export const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
export const json = { type: DataTypes.JSON, allowNull: false };
export const moment = { type: DataTypes.DATE(3), allowNull: false };
export const perhaps = { type: DataTypes.DATE(3), allowNull: true };
export const times = { createdAt: moment, updatedAt: moment };
export const revision = { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 };

export const belongsTo = (model: string, onDelete: 'CASCADE' | 'SET NULL' = 'CASCADE') => ({
  type: DataTypes.UUID,
  allowNull: onDelete === 'SET NULL',
  references: { model, key: 'id' },
  onDelete,
});
