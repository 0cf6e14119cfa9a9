import { HandChoices, type HandChoice } from '@wrenfern/core/people/choice';
import type { CautionEntry } from '@wrenfern/core/people/person';
import { LiveEvent } from '@wrenfern/core/live/events';
import type { Plan } from '@wrenfern/core/plan/plan';
import { StoredPlan } from '@wrenfern/core/plan/migrate-plan';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import { openBooking, type BookingRecord } from '../../keeping/records.ts';
import { PersonRow } from './people.ts';
import { counter, documentColumn, id, moment, ofStudio } from './columns.ts';

export class ClassRow extends Model<InferAttributes<ClassRow>, InferCreationAttributes<ClassRow>> {
  declare id: string;
  declare studioId: string;
  declare title: string;
  declare startsAt: Date;
  declare plan: Plan;
  /** Of the plan. */
  declare revision: CreationOptional<number>;
  /** Of day and time. */
  declare detailsRevision: CreationOptional<number>;
  /** Of who comes. */
  declare attendeesRevision: CreationOptional<number>;
  /** The revision of the plan that was taught, from the first start on. */
  declare taughtRevision: CreationOptional<number | null>;
  /** Whose class it is; null when that was never said, or when they left. */
  declare instructorId: CreationOptional<string | null>;
  /** Whom the class was handed over to. */
  declare coverUserId: CreationOptional<string | null>;
  /** Classes that repeat share one. */
  declare seriesId: CreationOptional<string | null>;
  /** The kept plan that it was begun from. */
  declare keptPlanId: CreationOptional<string | null>;
  /** Why it does not take place; null while it does. */
  declare calledOff: CreationOptional<string | null>;
  /** Seconds from start to end, once it was taught to the end. */
  declare tookS: CreationOptional<number | null>;
  /** Of the address at which the room follows it, and since when; null while nobody may. */
  declare wallHash: CreationOptional<string | null>;
  declare wallSince: CreationOptional<Date | null>;
  declare deletedAt: CreationOptional<Date | null>;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
}

/** A plan as it was saved, kept for looking back; the one that was taught is kept for good. */
export class PlanRevision extends Model<
  InferAttributes<PlanRevision>,
  InferCreationAttributes<PlanRevision>
> {
  declare id: string;
  declare studioId: string;
  declare classId: string;
  declare revision: number;
  declare plan: Plan;
  /** Name of who saved it. */
  declare savedBy: string;
  declare createdAt: CreationOptional<Date>;
}

type OfBooking = 'today' | 'todayNote' | 'came' | 'startsOn' | 'record';

export class Booking extends Model<
  InferAttributes<Booking, { omit: OfBooking }>,
  InferCreationAttributes<Booking, { omit: OfBooking }>
> {
  declare id: string;
  declare studioId: string;
  declare classId: string;
  declare personId: string;
  /** What holds today, sealed: `today` and `todayNote` open it. */
  declare sealed: string;
  declare choices: Record<string, HandChoice>;
  declare revision: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;

  /** All that is sealed. */
  get record(): BookingRecord {
    return openBooking(this, this.sealed);
  }

  get today(): CautionEntry[] {
    return this.record.today;
  }

  get todayNote(): string {
    return this.record.todayNote;
  }

  get came(): BookingRecord['came'] {
    return this.record.came;
  }

  get startsOn(): BookingRecord['startsOn'] {
    return this.record.startsOn;
  }
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

export class ClassNote extends Model<
  InferAttributes<ClassNote>,
  InferCreationAttributes<ClassNote>
> {
  declare classId: string;
  declare studioId: string;
  declare effort: number | null;
  declare note: string;
  declare revision: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
}

/** Another save is another revision, and whatever changes a row changes when it was changed. */
function stateOf(row: Model): string | undefined {
  if (row.changed()) return undefined;
  const { id: classId, revision, updatedAt } = row.dataValues as Partial<ClassRow>;
  if (classId === undefined || revision === undefined || !updatedAt) return undefined;
  return `${classId} ${revision} ${updatedAt.getTime()}`;
}

export function bindClasses(sequelize: Sequelize): void {
  ClassRow.init(
    {
      id,
      studioId: ofStudio,
      title: DataTypes.STRING(120),
      startsAt: moment,
      plan: documentColumn('plan', StoredPlan, stateOf),
      revision: counter(),
      detailsRevision: counter(),
      attendeesRevision: counter(),
      taughtRevision: DataTypes.INTEGER,
      instructorId: DataTypes.UUID,
      coverUserId: DataTypes.UUID,
      seriesId: DataTypes.UUID,
      keptPlanId: DataTypes.UUID,
      calledOff: DataTypes.STRING(200),
      tookS: DataTypes.INTEGER,
      wallHash: DataTypes.STRING(64),
      wallSince: moment,
      deletedAt: moment,
      createdAt: moment,
      updatedAt: moment,
    },
    { sequelize, tableName: 'classes', paranoid: true },
  );
  PlanRevision.init(
    {
      id,
      studioId: ofStudio,
      classId: DataTypes.UUID,
      revision: DataTypes.INTEGER,
      plan: documentColumn('plan', StoredPlan),
      savedBy: DataTypes.STRING(120),
      createdAt: moment,
    },
    { sequelize, tableName: 'plan_revisions', updatedAt: false },
  );
  Booking.init(
    {
      id,
      studioId: ofStudio,
      classId: DataTypes.UUID,
      personId: DataTypes.UUID,
      sealed: DataTypes.TEXT('medium'),
      choices: documentColumn('choices', HandChoices),
      revision: counter(),
      createdAt: moment,
      updatedAt: moment,
    },
    { sequelize, tableName: 'bookings' },
  );
  ClassEvent.init(
    {
      seq: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      eventId: DataTypes.STRING(64),
      studioId: ofStudio,
      classId: DataTypes.UUID,
      event: documentColumn('event', LiveEvent),
      createdAt: moment,
    },
    { sequelize, tableName: 'class_events', updatedAt: false },
  );
  ClassNote.init(
    {
      classId: { type: DataTypes.UUID, primaryKey: true },
      studioId: ofStudio,
      effort: DataTypes.TINYINT,
      note: DataTypes.TEXT,
      revision: counter(),
      createdAt: moment,
      updatedAt: moment,
    },
    { sequelize, tableName: 'class_notes' },
  );
  Booking.belongsTo(PersonRow, { foreignKey: 'personId', as: 'person' });
  Booking.belongsTo(ClassRow, { foreignKey: 'classId', as: 'lesson' });
}
