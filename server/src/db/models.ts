import type { Sequelize } from 'sequelize';
import { bindClasses } from './models/classes.ts';
import { bindDoor } from './models/door.ts';
import { bindExercises } from './models/exercises.ts';
import { bindDesk } from './models/desk.ts';
import { bindFeeds } from './models/feeds.ts';
import { bindPeople } from './models/people.ts';
import { useKey } from '../keeping/records.ts';
import { bindTrail } from './models/trail.ts';
import { bindStanding } from './models/standing.ts';
import { bindStudio, Studio } from './models/studio.ts';

export { UnreadableColumn } from './models/columns.ts';
export { Booking, ClassEvent, ClassNote, ClassRow, PlanRevision } from './models/classes.ts';
export { Fact, Link, SessionRow, Tries, type LinkKind } from './models/door.ts';
export { ExerciseVersion } from './models/exercises.ts';
export { DeskMessageRow } from './models/desk.ts';
export { Feed } from './models/feeds.ts';
export { PersonRow } from './models/people.ts';
export { GroupPerson, KeptPlan, StandingGroup } from './models/standing.ts';
export { Trail } from './models/trail.ts';
export { User } from './models/studio.ts';
export { Studio };

/**
 * Binds every model to a database, and to the key that opens its records. The tables themselves are
 * made by migrations.
 */
export function bindModels(sequelize: Sequelize, key: Buffer): void {
  useKey(key);
  bindTrail(sequelize);
  bindStudio(sequelize);
  bindDoor(sequelize);
  bindPeople(sequelize);
  bindClasses(sequelize);
  bindExercises(sequelize);
  bindStanding(sequelize);
  bindFeeds(sequelize);
  bindDesk(sequelize);
}

/** The database that the models are bound to; a caller's mistake before they are. */
export function databaseOfModels(): Sequelize {
  if (!Studio.sequelize) throw new Error('models are not bound to a database');
  return Studio.sequelize;
}
