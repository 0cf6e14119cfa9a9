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
import { z } from 'zod';
import { counter, documentColumn, id, moment, ofStudio } from './columns.ts';

/** A plan without a date, to begin classes from. */
export class KeptPlan extends Model<InferAttributes<KeptPlan>, InferCreationAttributes<KeptPlan>> {
  declare id: string;
  declare studioId: string;
  declare name: string;
  declare tags: string[];
  declare plan: Plan;
  declare revision: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
}

/** People who usually come together. */
export class StandingGroup extends Model<
  InferAttributes<StandingGroup>,
  InferCreationAttributes<StandingGroup>
> {
  declare id: string;
  declare studioId: string;
  declare name: string;
  declare revision: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
}

export class GroupPerson extends Model<
  InferAttributes<GroupPerson>,
  InferCreationAttributes<GroupPerson>
> {
  declare id: string;
  declare studioId: string;
  declare groupId: string;
  declare personId: string;
}

export function bindStanding(sequelize: Sequelize): void {
  KeptPlan.init(
    {
      id,
      studioId: ofStudio,
      name: DataTypes.STRING(120),
      tags: documentColumn('tags', z.array(z.string())),
      plan: documentColumn('plan', StoredPlan),
      revision: counter(),
      createdAt: moment,
      updatedAt: moment,
    },
    { sequelize, tableName: 'kept_plans' },
  );
  StandingGroup.init(
    {
      id,
      studioId: ofStudio,
      name: DataTypes.STRING(120),
      revision: counter(),
      createdAt: moment,
      updatedAt: moment,
    },
    { sequelize, tableName: 'standing_groups' },
  );
  GroupPerson.init(
    { id, studioId: ofStudio, groupId: DataTypes.UUID, personId: DataTypes.UUID },
    { sequelize, tableName: 'group_people', timestamps: false },
  );
}
