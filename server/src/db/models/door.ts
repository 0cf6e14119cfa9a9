import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import { id, moment } from './columns.ts';
import type { Role } from '@wrenfern/contract/account';

/** Somebody signed in on one device. */
export class SessionRow extends Model<
  InferAttributes<SessionRow>,
  InferCreationAttributes<SessionRow>
> {
  declare sid: string;
  declare userId: string;
  /** The user's epoch at sign-in; an older one is worth nothing. */
  declare epoch: number;
  declare startedAt: Date;
  declare seenAt: Date;
  declare expires: Date;
  /** What kind of device, in words, for the list of one's sessions. */
  declare device: string;
  declare data: string;
}

export const LINK_KINDS = ['set-up', 'studio', 'invite', 'reset'] as const;
export type LinkKind = (typeof LINK_KINDS)[number];

/** A link or code that opens something once. Its token is kept as a hash only. */
export class Link extends Model<InferAttributes<Link>, InferCreationAttributes<Link>> {
  declare id: string;
  declare tokenHash: string;
  declare kind: LinkKind;
  declare studioId: CreationOptional<string | null>;
  declare userId: CreationOptional<string | null>;
  declare role: CreationOptional<Role | null>;
  declare until: CreationOptional<string | null>;
  declare name: CreationOptional<string | null>;
  declare email: CreationOptional<string | null>;
  declare expires: Date;
  declare usedAt: CreationOptional<Date | null>;
  declare createdAt: CreationOptional<Date>;
}

/** Failures counted for every process together. */
export class Tries extends Model<InferAttributes<Tries>, InferCreationAttributes<Tries>> {
  declare key: string;
  declare points: number;
  declare expire: number | null;
}

/** What can be true only once for the whole installation. */
export class Fact extends Model<InferAttributes<Fact>, InferCreationAttributes<Fact>> {
  declare name: string;
  declare createdAt: CreationOptional<Date>;
}

export function bindDoor(sequelize: Sequelize): void {
  SessionRow.init(
    {
      sid: { type: DataTypes.STRING(64), primaryKey: true },
      userId: DataTypes.UUID,
      epoch: DataTypes.INTEGER,
      startedAt: moment,
      seenAt: moment,
      expires: moment,
      device: DataTypes.STRING(200),
      data: DataTypes.TEXT,
    },
    { sequelize, tableName: 'sessions', timestamps: false },
  );
  Link.init(
    {
      id,
      tokenHash: DataTypes.STRING(64),
      kind: DataTypes.STRING(16),
      studioId: DataTypes.UUID,
      userId: DataTypes.UUID,
      role: DataTypes.STRING(16),
      until: DataTypes.DATEONLY,
      name: DataTypes.STRING(120),
      email: DataTypes.STRING(190),
      expires: moment,
      usedAt: moment,
      createdAt: moment,
    },
    { sequelize, tableName: 'links', updatedAt: false },
  );
  Tries.init(
    {
      key: { type: DataTypes.STRING(190), primaryKey: true },
      points: DataTypes.INTEGER,
      expire: DataTypes.BIGINT,
    },
    { sequelize, tableName: 'tries', timestamps: false },
  );
  Fact.init(
    { name: { type: DataTypes.STRING(64), primaryKey: true }, createdAt: moment },
    { sequelize, tableName: 'facts', updatedAt: false },
  );
}
