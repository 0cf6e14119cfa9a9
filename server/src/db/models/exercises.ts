import { Exercise } from '@wrenfern/core/movement/exercise';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import { documentColumn, id, moment, ofStudio } from './columns.ts';

/** One saved version of a studio's own exercise. */
export class ExerciseVersion extends Model<
  InferAttributes<ExerciseVersion>,
  InferCreationAttributes<ExerciseVersion>
> {
  declare id: string;
  declare studioId: string;
  declare slug: string;
  declare version: number;
  declare exercise: Exercise;
  declare deletedAt: CreationOptional<Date | null>;
  declare createdAt: CreationOptional<Date>;
}

export function bindExercises(sequelize: Sequelize): void {
  ExerciseVersion.init(
    {
      id,
      studioId: ofStudio,
      slug: DataTypes.STRING(64),
      version: DataTypes.INTEGER,
      exercise: documentColumn('exercise', Exercise),
      deletedAt: moment,
      createdAt: moment,
    },
    { sequelize, tableName: 'exercise_versions', updatedAt: false, paranoid: true },
  );
}
