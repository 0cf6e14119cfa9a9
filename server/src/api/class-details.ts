import { DateTime } from 'luxon';
import { Op, type Transaction } from 'sequelize';
import type { Member } from '../auth/session.ts';
import { ClassRow, databaseOfModels } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { studioOf } from './studio.ts';
import type { BodyOf } from './read.ts';

type Change = BodyOf<'PATCH /classes/:id'>;

/**
 * Another time for a class, or whether it takes place; on request also for those that come after it in
 * its series and were not taught. False when somebody else was first: then nothing is changed.
 */
export async function changeDetails(member: Member, id: string, change: Change): Promise<boolean> {
  const { revision, following, startsAt, calledOff } = change;
  const { studioId } = member;
  const { timeZone } = await studioOf(studioId);
  return databaseOfModels().transaction(async (transaction) => {
    const classes = rowsOf(ClassRow, studioId);
    const row = await classes.locked({ id }, transaction);
    const before = row.startsAt;
    const isTaken = await classes.revise(
      { id },
      revision,
      {
        ...(startsAt ? { startsAt: new Date(startsAt) } : {}),
        ...(calledOff === undefined ? {} : { calledOff }),
      },
      { column: 'detailsRevision', transaction },
    );
    if (!isTaken || !following || !row.seriesId) return isTaken;
    for (const later of await followingOf(row, before, transaction)) {
      await later.update(
        {
          ...(startsAt ? { startsAt: movedWith(later, before, startsAt, timeZone) } : {}),
          ...(calledOff === undefined ? {} : { calledOff }),
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
  const [from, to] = [DateTime.fromJSDate(before, { zone }), DateTime.fromISO(after, { zone })];
  const days = Math.round(to.startOf('day').diff(from.startOf('day'), 'days').days);
  return DateTime.fromJSDate(later.startsAt, { zone })
    .plus({ days })
    .set({ hour: to.hour, minute: to.minute })
    .toJSDate();
}
