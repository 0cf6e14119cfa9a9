import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import { openRecord, type PersonRecord } from '../../keeping/records.ts';
import { counter, id, moment, ofStudio } from './columns.ts';

export class PersonRow extends Model<
  InferAttributes<PersonRow, { omit: 'record' }>,
  InferCreationAttributes<PersonRow, { omit: 'record' }>
> {
  declare id: string;
  declare studioId: string;
  declare name: string;
  /** Level, cautions and notes, sealed: `record` opens it. */
  declare sealed: string;
  /** By which a booking desk calls this person; null for whom no desk has named. */
  declare deskRef: CreationOptional<string | null>;
  declare revision: CreationOptional<number>;
  declare deletedAt: CreationOptional<Date | null>;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;

  get record(): PersonRecord {
    return openRecord(this.studioId, this.id, this.sealed);
  }
}

export function bindPeople(sequelize: Sequelize): void {
  PersonRow.init(
    {
      id,
      studioId: ofStudio,
      name: DataTypes.STRING(80),
      sealed: DataTypes.TEXT('medium'),
      deskRef: DataTypes.STRING(64),
      revision: counter(),
      deletedAt: moment,
      createdAt: moment,
      updatedAt: moment,
    },
    { sequelize, tableName: 'people', paranoid: true },
  );
}
