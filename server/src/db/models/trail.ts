import type { TrailAction, TrailSubject } from '@wrenfern/contract/keeping';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import { moment, ofStudio } from './columns.ts';

/** Who read, changed or took away health records. Names of people stay out of it. */
export class Trail extends Model<InferAttributes<Trail>, InferCreationAttributes<Trail>> {
  declare id: CreationOptional<number>;
  declare studioId: string;
  declare userId: string;
  /** Kept here: whoever left is still named. */
  declare userName: string;
  declare action: TrailAction;
  declare subject: TrailSubject;
  declare subjectId: string | null;
  declare createdAt: CreationOptional<Date>;
}

export function bindTrail(sequelize: Sequelize): void {
  Trail.init(
    {
      id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
      studioId: ofStudio,
      userId: DataTypes.UUID,
      userName: DataTypes.STRING(120),
      action: DataTypes.STRING(16),
      subject: DataTypes.STRING(16),
      subjectId: DataTypes.UUID,
      createdAt: moment,
    },
    { sequelize, tableName: 'trail', updatedAt: false },
  );
}
