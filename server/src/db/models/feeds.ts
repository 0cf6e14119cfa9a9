import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import { id, moment, ofStudio } from './columns.ts';

/** A private address at which a calendar reads classes. Its token is kept as a hash only. */
export class Feed extends Model<InferAttributes<Feed>, InferCreationAttributes<Feed>> {
  declare id: string;
  declare studioId: string;
  declare userId: string;
  declare tokenHash: string;
  /** Only classes that its owner teaches or covers. */
  declare onlyOwn: boolean;
  /** When a calendar last came for it. */
  declare readAt: CreationOptional<Date | null>;
  declare createdAt: CreationOptional<Date>;
}

export function bindFeeds(sequelize: Sequelize): void {
  Feed.init(
    {
      id,
      studioId: ofStudio,
      userId: DataTypes.UUID,
      tokenHash: DataTypes.STRING(64),
      onlyOwn: DataTypes.BOOLEAN,
      readAt: moment,
      createdAt: moment,
    },
    { sequelize, tableName: 'feeds', updatedAt: false },
  );
}
