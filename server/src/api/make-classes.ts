import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import type { Plan } from '@wrenfern/core/plan/plan';
import { dayAfter, dayIn, momentIn, timeIn } from '@wrenfern/core/week/studio-time';
import type { Member } from '../auth/session.ts';
import { Booking, ClassRow, databaseOfModels, PlanRevision } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { sealBooking } from '../keeping/records.ts';
import { ApiError } from './errors.ts';

/** Classes of one series at most: a year of weeks. */
const MOST_REPEATS = 53;
const WEEK_DAYS = 7;

export interface ClassToMake {
  plan: Plan;
  startsAt: Date;
  seriesId?: string;
  /** Those who come to this class come here too; what held for them there stays there. */
  peopleOf?: string | undefined;
  /** These come as well. */
  personIds?: readonly string[] | undefined;
  keptPlanId?: string | undefined;
  /** Whose class it is; left out, of whoever makes it. */
  instructorId?: string | null | undefined;
}

/** Makes classes with their first saved plan and their people, all or none; resolves to their ids. */
export async function makeClasses(
  member: Member,
  wanted: readonly ClassToMake[],
): Promise<string[]> {
  return databaseOfModels().transaction(async (transaction) => {
    const ids: string[] = [];
    for (const one of wanted) ids.push(await makeClass(member, one, transaction));
    return ids;
  });
}

async function makeClass(
  { studioId, userId, userName }: Member,
  {
    plan,
    startsAt,
    seriesId,
    peopleOf,
    personIds = [],
    keptPlanId,
    instructorId = userId,
  }: ClassToMake,
  transaction: Transaction,
): Promise<string> {
  const { id } = await rowsOf(ClassRow, studioId).create(
    {
      title: plan.title,
      startsAt,
      plan,
      revision: 1,
      seriesId: seriesId ?? null,
      keptPlanId: keptPlanId ?? null,
      instructorId,
    },
    transaction,
  );
  await rowsOf(PlanRevision, studioId).create(
    { classId: id, revision: 1, plan, savedBy: userName },
    transaction,
  );
  const bookings = rowsOf(Booking, studioId);
  const earlier = peopleOf ? await bookings.all({ where: { classId: peopleOf }, transaction }) : [];
  const coming = new Set([...earlier.map(({ personId }) => personId), ...personIds]);
  await bookings.createAll(
    [...coming].map((personId) => {
      const names = { studioId, classId: id, personId };
      const sealed = sealBooking(names, { today: [], todayNote: '' });
      return { classId: id, personId, sealed, choices: {} };
    }),
    transaction,
  );
  return id;
}

/** Every week at the same time of day, where the studio is, the first included. */
export function weeklyFrom(startsAt: Date, until: string, zone: string): Date[] {
  const [first, time] = [dayIn(zone, startsAt), timeIn(zone, startsAt)];
  const dates: Date[] = [];
  for (let day = first; day <= until; day = dayAfter(first, WEEK_DAYS * dates.length)) {
    if (dates.length === MOST_REPEATS) {
      const message = `at most ${MOST_REPEATS} weeks at once`;
      throw new ApiError('invalid', [{ path: ['weeklyUntil'], message }]);
    }
    dates.push(new Date(momentIn(zone, day, time)));
  }
  if (dates.length === 0) {
    throw new ApiError('invalid', [{ path: ['weeklyUntil'], message: 'is before the first' }]);
  }
  return dates;
}

export const newSeries = (): string => randomUUID();
