import { addWeeks, subWeeks } from 'date-fns';
import { QueryTypes } from 'sequelize';
import type { Role } from '@wrenfern/contract/account';
import { databaseOfModels } from '../db/models.ts';
import type { CalendarClass } from './write-calendar.ts';

/** What lies further back or ahead, a calendar is not told. */
const [WEEKS_BACK, WEEKS_AHEAD] = [12, 54];
const MOST_CLASSES = 3_000;

interface Row {
  id: string;
  title: string;
  startsAt: Date;
  lengthS: string | number | null;
  machine: string | null;
  instructor: string | null;
  detailsRevision: number;
  updatedAt: Date;
  calledOff: string | null;
  deletedAt: Date | null;
}

interface Reader {
  studioId: string;
  userId: string;
  role: Role;
}

/** The classes that somebody's calendar shows; whoever covers sees those that were handed over. */
export async function classesForCalendar(
  { studioId, userId, role }: Reader,
  onlyOwn: boolean,
  now: Date,
): Promise<CalendarClass[]> {
  const theirs =
    role === 'cover'
      ? 'AND classes.coverUserId = :userId'
      : onlyOwn
        ? 'AND COALESCE(classes.coverUserId, classes.instructorId) = :userId'
        : '';
  const rows = await databaseOfModels().query<Row>(
    `SELECT classes.id, classes.title, classes.startsAt, classes.detailsRevision, classes.updatedAt,
        classes.calledOff, classes.deletedAt, users.name AS instructor,
        JSON_VALUE(classes.plan, '$.targetS') AS lengthS,
        JSON_VALUE(classes.plan, '$.machine') AS machine
      FROM classes
      LEFT JOIN users ON users.id = COALESCE(classes.coverUserId, classes.instructorId)
      WHERE classes.studioId = :studioId AND classes.startsAt >= :from AND classes.startsAt < :to ${theirs}
      ORDER BY classes.startsAt, classes.id LIMIT ${MOST_CLASSES}`,
    {
      replacements: {
        studioId,
        userId,
        from: subWeeks(now, WEEKS_BACK),
        to: addWeeks(now, WEEKS_AHEAD),
      },
      type: QueryTypes.SELECT,
    },
  );
  return rows.map((row) => ({
    id: row.id,
    title: row.title,
    startsAt: row.startsAt,
    lengthS: Number(row.lengthS ?? 0),
    machine: row.machine ?? 'mat',
    instructor: row.instructor ?? undefined,
    // A class in the wastebasket is one change later than it was.
    sequence: row.detailsRevision - 1 + (row.deletedAt ? 1 : 0),
    changedAt: row.updatedAt,
    calledOff: row.calledOff ?? (row.deletedAt ? 'taken out' : undefined),
  }));
}
