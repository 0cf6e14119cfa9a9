import { DataTypes, type QueryInterface } from 'sequelize';
import { addIndex } from './steps.ts';

export const name = '0002-studio-exercises';

/** A studio's own exercises. Every save is a row: older versions stay to be looked at. */
export async function up(tables: QueryInterface): Promise<void> {
  await tables.createTable('exercise_versions', {
    id: { type: DataTypes.UUID, primaryKey: true },
    studioId: {
      type: DataTypes.UUID,
      allowNull: false,
      references: { model: 'studios', key: 'id' },
      onDelete: 'CASCADE',
    },
    slug: { type: DataTypes.STRING(64), allowNull: false },
    version: { type: DataTypes.INTEGER, allowNull: false },
    exercise: { type: DataTypes.JSON, allowNull: false },
    createdAt: { type: DataTypes.DATE(3), allowNull: false },
  });
  await addIndex(tables, 'exercise_versions', ['studioId', 'slug', 'version'], { unique: true });
}

export async function down(tables: QueryInterface): Promise<void> {
  await tables.dropTable('exercise_versions');
}
