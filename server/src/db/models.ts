import type { CautionEntry, Person } from '@wrenfern/core/people/person';
import type { HandChoice } from '@wrenfern/core/people/choose-option';
import type { LiveEvent } from '@wrenfern/core/live/events';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import type { Plan } from '@wrenfern/core/plan/plan';
import type { SchoolRules } from '@wrenfern/core/plan/school';
import type { Pace } from '@wrenfern/core/plan/timing/pace';
import type { Cupboard } from '@wrenfern/core/room/props';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

export class Studio extends Model<InferAttributes<Studio>, InferCreationAttributes<Studio>> {
  declare id: string;
  declare slug: string;
  declare name: string;
  declare isDemo: boolean;
  declare timeZone: string;
  declare cupboard: Cupboard;
  declare pace: Pace;
  /** None until the first is made. */
  declare schools: CreationOptional<SchoolRules[] | null>;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
}

export type Role = 'owner' | 'instructor';

export class User extends Model<InferAttributes<User>, InferCreationAttributes<User>> {
  declare id: string;
  declare studioId: string;
  declare email: string;
  declare name: string;
  declare passwordHash: string;
  declare role: Role;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
}

export type PersonRecord = Omit<Person, 'id' | 'name'>;

export class PersonRow extends Model<
  InferAttributes<PersonRow>,
  InferCreationAttributes<PersonRow>
> {
  declare id: string;
  declare studioId: string;
  declare name: string;
  declare record: PersonRecord;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
}

export class ClassRow extends Model<InferAttributes<ClassRow>, InferCreationAttributes<ClassRow>> {
  declare id: string;
  declare studioId: string;
  declare title: string;
  declare startsAt: Date;
  declare plan: Plan;
  declare revision: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
}

export class Booking extends Model<InferAttributes<Booking>, InferCreationAttributes<Booking>> {
  declare id: string;
  declare studioId: string;
  declare classId: string;
  declare personId: string;
  declare today: CautionEntry[];
  declare todayNote: string;
  declare choices: Record<string, HandChoice>;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
}

/** Append only: a class as it was taught. */
export class ClassEvent extends Model<
  InferAttributes<ClassEvent>,
  InferCreationAttributes<ClassEvent>
> {
  declare seq: CreationOptional<number>;
  declare eventId: string;
  declare studioId: string;
  declare classId: string;
  declare event: LiveEvent;
  declare createdAt: CreationOptional<Date>;
}

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
  declare createdAt: CreationOptional<Date>;
}

export class ClassNote extends Model<
  InferAttributes<ClassNote>,
  InferCreationAttributes<ClassNote>
> {
  declare classId: string;
  declare studioId: string;
  declare effort: number | null;
  declare note: string;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
}

const id = { type: DataTypes.UUID, primaryKey: true };
const studioId = { type: DataTypes.UUID, allowNull: false };
const createdAt = DataTypes.DATE(3);
const updatedAt = DataTypes.DATE(3);

/** Binds every model to a database. The tables themselves are made by migrations. */
export function bindModels(sequelize: Sequelize): void {
  Studio.init(
    {
      id,
      slug: DataTypes.STRING(64),
      name: DataTypes.STRING(120),
      isDemo: DataTypes.BOOLEAN,
      timeZone: DataTypes.STRING(64),
      cupboard: DataTypes.JSON,
      pace: DataTypes.JSON,
      schools: DataTypes.JSON,
      createdAt,
      updatedAt,
    },
    { sequelize, tableName: 'studios' },
  );
  User.init(
    {
      id,
      studioId,
      email: DataTypes.STRING(190),
      name: DataTypes.STRING(120),
      passwordHash: DataTypes.STRING(255),
      role: DataTypes.STRING(16),
      createdAt,
      updatedAt,
    },
    { sequelize, tableName: 'users' },
  );
  PersonRow.init(
    { id, studioId, name: DataTypes.STRING(80), record: DataTypes.JSON, createdAt, updatedAt },
    { sequelize, tableName: 'people' },
  );
  ClassRow.init(
    {
      id,
      studioId,
      title: DataTypes.STRING(120),
      startsAt: DataTypes.DATE(3),
      plan: DataTypes.JSON,
      revision: { type: DataTypes.INTEGER, defaultValue: 1 },
      createdAt,
      updatedAt,
    },
    { sequelize, tableName: 'classes' },
  );
  Booking.init(
    {
      id,
      studioId,
      classId: DataTypes.UUID,
      personId: DataTypes.UUID,
      today: DataTypes.JSON,
      todayNote: DataTypes.STRING(500),
      choices: DataTypes.JSON,
      createdAt,
      updatedAt,
    },
    { sequelize, tableName: 'bookings' },
  );
  ClassEvent.init(
    {
      seq: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      eventId: DataTypes.STRING(64),
      studioId,
      classId: DataTypes.UUID,
      event: DataTypes.JSON,
      createdAt,
    },
    { sequelize, tableName: 'class_events', updatedAt: false },
  );
  ExerciseVersion.init(
    {
      id,
      studioId,
      slug: DataTypes.STRING(64),
      version: DataTypes.INTEGER,
      exercise: DataTypes.JSON,
      createdAt,
    },
    { sequelize, tableName: 'exercise_versions', updatedAt: false },
  );
  ClassNote.init(
    {
      classId: { type: DataTypes.UUID, primaryKey: true },
      studioId,
      effort: DataTypes.TINYINT,
      note: DataTypes.TEXT,
      createdAt,
      updatedAt,
    },
    { sequelize, tableName: 'class_notes' },
  );
}
