import { Op } from 'sequelize';
import { dayAfter, dayIn, daysBetween, momentIn, timeIn } from '@wrenfern/core/week/studio-time';
import { closedRouter } from '../auth/closed-router.ts';
import { ClassRow } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import type { Workers } from '../work/pool.ts';
import { onlyTheirs } from './classes.ts';
import { ApiError } from './errors.ts';
import { makeClasses, type ClassToMake } from './make-classes.ts';
import { MONTH_COLUMNS, monthCards } from './month-cards.ts';
import { needRoom } from './quota.ts';
import { readBody, readQuery } from './read.ts';
import { readyCards } from './ready-cards.ts';
import { studioOf } from './studio.ts';

/** A month with what stands before and after it on its page. */
const MOST_DAYS = 42;
/** So many days are told with all that is still to settle; more than that as a month. */
const FULL_DAYS = 14;
/** More classes than that, a page of days does not show. */
const MOST_CLASSES = 300;
const WEEK_DAYS = 7;

/** Weeks and months of classes, by the studio's own days. */
export function weekRouter(workers: Workers) {
  const { router, on } = closedRouter();

  on('GET /week', async (request, member) => {
    const { from, until } = readQuery('GET /week', request);
    const { timeZone } = await studioOf(member.studioId);
    const days = daysBetween(from, until) + 1;
    if (days < 1 || days > MOST_DAYS) {
      const message = `give 1 to ${MOST_DAYS} days`;
      throw new ApiError('invalid', [{ path: ['until'], message }]);
    }
    const isMonth = days > FULL_DAYS;
    const rows = await rowsOf(ClassRow, member.studioId).all({
      ...(isMonth ? { attributes: MONTH_COLUMNS } : {}),
      where: { ...within(timeZone, from, days), ...onlyTheirs(member) },
      order: [['startsAt', 'ASC']],
      limit: MOST_CLASSES,
    });
    return {
      classes: isMonth ? await monthCards(rows, member) : await readyCards(rows, member, workers),
    };
  });

  /**
   * The classes of one week once more in another: plans, people and times of day. What stands there already,
   * of the same name at the same time, is not made twice: a series is there, and so is what was copied.
   */
  on('POST /week/copy', async (request, member) => {
    const { from, to } = readBody('POST /week/copy', request);
    const { timeZone } = await studioOf(member.studioId);
    if (from === to) {
      throw new ApiError('invalid', [{ path: ['to'], message: 'choose another week' }]);
    }
    const classes = rowsOf(ClassRow, member.studioId);
    const [rows, there] = await Promise.all([
      classes.all({
        where: { ...within(timeZone, from, WEEK_DAYS), calledOff: null },
        order: [['startsAt', 'ASC']],
        limit: MOST_CLASSES,
      }),
      classes.all({
        where: within(timeZone, to, WEEK_DAYS),
        attributes: ['title', 'startsAt'],
        limit: MOST_CLASSES,
      }),
    ]);
    const taken = new Set(there.map(placeOf));
    const wanted = rows.flatMap((row): ClassToMake[] => {
      const day = dayAfter(to, daysBetween(from, dayIn(timeZone, row.startsAt)));
      const startsAt = new Date(momentIn(timeZone, day, timeIn(timeZone, row.startsAt)));
      if (taken.has(placeOf({ title: row.title, startsAt }))) return [];
      const keptPlanId = row.keptPlanId ?? undefined;
      const { plan, instructorId } = row;
      return [{ plan, startsAt, peopleOf: row.id, keptPlanId, instructorId }];
    });
    await needRoom(member, 'classes', wanted.length);
    const ids = await makeClasses(member, wanted);
    return { ids };
  });

  return router;
}

/** A name and a moment, as one text. */
const placeOf = ({ title, startsAt }: Pick<ClassRow, 'title' | 'startsAt'>) =>
  `${startsAt.toISOString()} ${title}`;

/** So many days from a day on, by midnight where the studio is, summer time or not. */
function within(zone: string, first: string, days: number) {
  const [from, until] = [
    momentIn(zone, first, '00:00'),
    momentIn(zone, dayAfter(first, days), '00:00'),
  ];
  return { startsAt: { [Op.gte]: new Date(from), [Op.lt]: new Date(until) } };
}
