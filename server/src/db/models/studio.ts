import type { Role } from '@wrenfern/contract/account';
import { z } from 'zod';
import { SchoolRules } from '@wrenfern/core/plan/school';
import { readSchool } from '@wrenfern/core/plan/migrate-plan';
import { OwnPace, Pace } from '@wrenfern/core/plan/timing/pace';
import { OwnBounds } from '@wrenfern/core/people/own-bounds';
import { Machines } from '@wrenfern/core/room/machines';
import { Cupboard } from '@wrenfern/core/room/props';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import { counter, documentColumn, id, moment, ofStudio } from './columns.ts';

export class Studio extends Model<InferAttributes<Studio>, InferCreationAttributes<Studio>> {
  declare id: string;
  declare slug: string;
  declare name: string;
  declare isDemo: boolean;
  declare timeZone: string;
  declare cupboard: Cupboard;
  declare pace: Pace;
  /** None until something is said of them. */
  declare machines: CreationOptional<Machines | null>;
  /** None until the first is made. */
  declare schools: CreationOptional<SchoolRules[] | null>;
  /** Numbers of cautions that are the studio's own; none until the first is made. */
  declare ownBounds: CreationOptional<OwnBounds | null>;
  /** People who came to nothing for so many months go into the wastebasket; null for never. */
  declare retentionMonths: CreationOptional<number | null>;
  /** Whether everybody here signs in with a second factor. */
  declare needsSecondFactor: CreationOptional<boolean>;
  /** By which a booking desk's messages are known, sealed; null while no desk may send any. */
  declare deskSecret: CreationOptional<string | null>;
  /** Counts every change of the settings. */
  declare revision: CreationOptional<number>;
  /** When somebody last did anything here; a demo studio that nobody uses is removed. */
  declare usedAt: CreationOptional<Date | null>;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
}

/** What somebody may do: the table in `auth/access.ts` says which routes. */

export class User extends Model<InferAttributes<User>, InferCreationAttributes<User>> {
  declare id: string;
  declare studioId: string;
  declare email: string;
  declare name: string;
  declare passwordHash: string;
  declare role: Role;
  /** Counts up when every session must end: another password, another role. */
  declare epoch: CreationOptional<number>;
  /** The last day this person may come in, year-month-day; null while it lasts. */
  declare until: CreationOptional<string | null>;
  /** The secret of the second factor, sealed; null while there is none. */
  declare secondFactor: CreationOptional<string | null>;
  /** Hashes of the recovery codes that are still unused; null while there is no second factor. */
  declare recoveryHashes: CreationOptional<string[] | null>;
  /** How quick this one teaches; null where that is as the studio does. */
  declare pace: CreationOptional<OwnPace | null>;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
}

export function bindStudio(sequelize: Sequelize): void {
  Studio.init(
    {
      id,
      slug: DataTypes.STRING(64),
      name: DataTypes.STRING(120),
      isDemo: DataTypes.BOOLEAN,
      timeZone: DataTypes.STRING(64),
      cupboard: documentColumn('cupboard', Cupboard),
      pace: documentColumn('pace', Pace),
      machines: documentColumn('machines', Machines),
      schools: documentColumn('schools', z.array(z.preprocess(readSchool, SchoolRules))),
      ownBounds: documentColumn('ownBounds', OwnBounds),
      retentionMonths: DataTypes.INTEGER,
      needsSecondFactor: { type: DataTypes.BOOLEAN, defaultValue: false },
      deskSecret: DataTypes.STRING(400),
      revision: counter(),
      usedAt: moment,
      createdAt: moment,
      updatedAt: moment,
    },
    { sequelize, tableName: 'studios' },
  );
  User.init(
    {
      id,
      studioId: ofStudio,
      email: DataTypes.STRING(190),
      name: DataTypes.STRING(120),
      passwordHash: DataTypes.STRING(255),
      role: DataTypes.STRING(16),
      epoch: counter(),
      until: DataTypes.DATEONLY,
      secondFactor: DataTypes.STRING(400),
      recoveryHashes: documentColumn('recoveryHashes', z.array(z.string().max(64)).max(20)),
      pace: documentColumn('pace', OwnPace),
      createdAt: moment,
      updatedAt: moment,
    },
    { sequelize, tableName: 'users' },
  );
}
