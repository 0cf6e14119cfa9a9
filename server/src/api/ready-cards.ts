import { familiarTo, type TaughtLesson } from '@wrenfern/core/log/familiar';
import { exerciseItemsOf, itemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { PLAIN_MACHINES } from '@wrenfern/core/room/machines';
import type { Pace } from '@wrenfern/core/plan/timing/pace';
import { dayIn } from '@wrenfern/core/week/studio-time';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { QueryTypes } from 'sequelize';
import type { Member } from '../auth/session.ts';
import {
  databaseOfModels,
  UnreadableColumn,
  User,
  type ClassRow,
  type Studio,
} from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import type { Workers } from '../work/pool.ts';
import { attendeesOf, shownTo, taughtBetween, type Booked } from './class-context.ts';
import { plainPace, teacherIdOf } from './own-pace.ts';
import { ownExercisesFor } from './studio-catalogue.ts';
import { studioOf } from './studio.ts';

interface Around {
  member: Member;
  studio: Studio;
  attendees: ReadonlyMap<string, Booked[]>;
  before: readonly TaughtLesson[];
  /** The class of the same series before an empty one, to begin from. */
  lastOf: ReadonlyMap<string, string>;
  /** Names of the team, by id. */
  team: ReadonlyMap<string, string>;
  /** How quick they teach, where that is not as the studio does. */
  paces: ReadonlyMap<string, Pace | undefined>;
}

/** Classes in order of time, each with what it comes to and what is still to settle. */
export async function readyCards(rows: readonly ClassRow[], member: Member, workers: Workers) {
  const { studioId } = member;
  const ids = rows.map(({ id }) => id);
  const [studio, attendees, lastOf, users] = await Promise.all([
    studioOf(studioId),
    attendeesOf(studioId, ids),
    lastOfSeries(studioId, rows),
    rowsOf(User, studioId).all({ attributes: ['id', 'name', 'pace'] }),
  ]);
  const everybody = [...attendees.values()].flat().map(({ person }) => person.id);
  const [first, last] = [rows[0], rows.at(-1)];
  const before =
    first && last
      ? await taughtBetween(studioId, first.startsAt, last.startsAt, [...new Set(everybody)])
      : [];
  const team = new Map(users.map(({ id, name }) => [id, name]));
  const paces = new Map(users.map(({ id, pace }) => [id, plainPace(pace)]));
  const around = { paces, member, studio, attendees, before, lastOf, team };
  return Promise.all(rows.map((row) => card(row, around, workers)));
}

async function card(row: ClassRow, around: Around, workers: Workers) {
  const booked = shownTo(around.member, around.attendees.get(row.id) ?? [], around.studio);
  const shared = {
    id: row.id,
    title: row.title,
    startsAt: row.startsAt.toISOString(),
    detailsRevision: row.detailsRevision,
    coming: booked.map(({ person }) => person.name),
    taught: row.taughtRevision !== null,
    calledOff: row.calledOff ?? null,
    isRepeated: Boolean(row.seriesId),
    lastOfSeries: around.lastOf.get(row.id) ?? null,
    instructor: teacherOf(row, around.team),
    items: 0,
    exercises: [] as string[],
  };
  try {
    const { plan } = row;
    const ready = await workers.readiness({
      plan,
      own: await ownOf(around.member.studioId, plan),
      pace: around.paces.get(teacherIdOf(row) ?? '') ?? around.studio.pace,
      machines: around.studio.machines ?? PLAIN_MACHINES,
      cupboard: around.studio.cupboard,
      // Only what an answer can follow from: another note leaves it as it is.
      attendees: booked.map(({ person, today, byHand, came, startsOn, ownBounds }) => ({
        person: { ...person, note: '' },
        today,
        byHand,
        came,
        startsOn,
        ownBounds,
      })),
      day: dayIn(around.studio.timeZone, row.startsAt),
      familiar: familiarTo(
        around.before,
        booked.map(({ person }) => person.id),
        row.startsAt,
      ),
    });
    const { id, name } = rulesOf(plan.school);
    const { machine, targetS } = plan;
    const outline = { machine, targetS, items: itemsOf(plan).length, school: { id, name } };
    if (!ready) return { ...shared, ...outline, state: 'late' as const, ready: null };
    const { exercises, ...worked } = ready;
    return { ...shared, ...outline, exercises, state: 'ready' as const, ready: worked };
  } catch (error) {
    // One class that can't be read must not take the others with it.
    if (!(error instanceof UnreadableColumn)) throw error;
    return {
      ...shared,
      machine: 'mat' as const,
      targetS: 0,
      school: null,
      state: 'unreadable' as const,
      ready: null,
    };
  }
}

/** Whoever stands before the class: who covers it, else whose it is. */
export function teacherOf(row: ClassRow, team: Around['team']) {
  const id = teacherIdOf(row);
  const name = id ? team.get(id) : undefined;
  return id && name ? { id, name } : null;
}

async function ownOf(studioId: string, plan: Plan): Promise<Exercise[]> {
  return ownExercisesFor(
    studioId,
    exerciseItemsOf(plan).map(({ exercise }) => exercise),
  );
}

/** For classes that repeat: the one of the same series before it, by the class's id. */
async function lastOfSeries(
  studioId: string,
  rows: readonly ClassRow[],
): Promise<Map<string, string>> {
  const ids = rows.filter(({ seriesId }) => seriesId).map(({ id }) => id);
  if (ids.length === 0) return new Map();
  const found = await databaseOfModels().query<{ id: string; lastId: string | null }>(
    `SELECT classes.id, (
        SELECT earlier.id FROM classes earlier
        WHERE earlier.studioId = classes.studioId AND earlier.seriesId = classes.seriesId
          AND earlier.startsAt < classes.startsAt AND earlier.deletedAt IS NULL
        ORDER BY earlier.startsAt DESC LIMIT 1
      ) AS lastId
      FROM classes WHERE classes.studioId = :studioId AND classes.id IN (:ids)`,
    { replacements: { studioId, ids }, type: QueryTypes.SELECT },
  );
  return new Map(found.flatMap(({ id, lastId }) => (lastId ? [[id, lastId] as const] : [])));
}
