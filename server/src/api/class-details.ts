import { Op, type Transaction } from 'sequelize';
import { dayAfter, dayIn, daysBetween, momentIn, timeIn } from '@wrenfern/core/week/studio-time';
import type { Member } from '../auth/session.ts';
import { ClassRow, databaseOfModels } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { studioOf } from './studio.ts';
import { needInTeam } from './team.ts';
import type { BodyOf } from './read.ts';

type Change = BodyOf<'PATCH /classes/:id'>;

/**
 * Another time for a class, another instructor, or whether it takes place; on request also for those that come after it in
 * its series and were not taught. False when somebody else was first: then nothing is changed.
 */
export async function changeDetails(member: Member, id: string, change: Change): Promise<boolean> {
  const { revision, following, startsAt, calledOff, instructorId } = change;
  const { studioId } = member;
  if (instructorId) await needInTeam(studioId, instructorId);
  const { timeZone } = await studioOf(studioId);
  /** What is the same for every class that follows. */
  const same = {
    ...(calledOff === undefined ? {} : { calledOff }),
    ...(instructorId === undefined ? {} : { instructorId }),
  };
  return databaseOfModels().transaction(async (transaction) => {
    const classes = rowsOf(ClassRow, studioId);
    const row = await classes.locked({ id }, transaction);
    const before = row.startsAt;
    const isTaken = await classes.revise(
      { id },
      revision,
      {
        ...(startsAt ? { startsAt: new Date(startsAt) } : {}),
        ...same,
      },
      { column: 'detailsRevision', transaction },
    );
    if (!isTaken || !following || !row.seriesId) return isTaken;
    for (const later of await followingOf(row, before, transaction)) {
      await later.update(
        {
          ...(startsAt ? { startsAt: movedWith(later, before, startsAt, timeZone) } : {}),
          ...same,
          detailsRevision: later.detailsRevision + 1,
        },
        { transaction },
      );
    }
    return true;
  });
}

function followingOf(row: ClassRow, after: Date, transaction: Transaction): Promise<ClassRow[]> {
  return rowsOf(ClassRow, row.studioId).all({
    where: {
      id: { [Op.ne]: row.id },
      seriesId: row.seriesId,
      startsAt: { [Op.gt]: after },
      taughtRevision: null,
    },
    attributes: ['id', 'startsAt', 'detailsRevision'],
    transaction,
    lock: transaction.LOCK.UPDATE,
  });
}

/** As many days earlier or later as the class that was moved, at its new time of day, summer time or not. */
function movedWith(later: ClassRow, before: Date, after: string, zone: string): Date {
  const days = daysBetween(dayIn(zone, before), dayIn(zone, after));
  const day = dayAfter(dayIn(zone, later.startsAt), days);
  return new Date(momentIn(zone, day, timeIn(zone, after)));
}
