import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import { DeskTold } from '../../desk/desk-message.ts';
import { documentColumn, id, moment, ofStudio } from './columns.ts';

/** A message of a booking desk that was done, so that the same one does nothing again. */
export class DeskMessageRow extends Model<
  InferAttributes<DeskMessageRow>,
  InferCreationAttributes<DeskMessageRow>
> {
  declare id: string;
  declare studioId: string;
  declare messageId: string;
  declare told: DeskTold;
  declare createdAt: CreationOptional<Date>;
}

export function bindDesk(sequelize: Sequelize): void {
  DeskMessageRow.init(
    {
      id,
      studioId: ofStudio,
      messageId: DataTypes.STRING(64),
      told: documentColumn('told', DeskTold),
      createdAt: moment,
    },
    { sequelize, tableName: 'desk_messages', updatedAt: false },
  );
}
