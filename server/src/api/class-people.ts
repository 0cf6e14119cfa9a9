import { CautionEntry, checkCautionDates } from '@wrenfern/core/people/person';
import { closedRouter } from '../auth/closed-router.ts';
import { Booking, ClassRow, databaseOfModels, PersonRow } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { sealBooking } from '../keeping/records.ts';
import { noteAccess } from '../keeping/trail.ts';
import { wholeClass } from './classes.ts';
import { ApiError } from './errors.ts';
import { readBody, readId } from './read.ts';

/** Who comes to a class, and what is particular to them there. */
export function classPeopleRouter() {
  const { router, on } = closedRouter();

  /** Books exactly these people; whoever stays keeps today's notes and choices. */
  on('PUT /classes/:id/attendees', async (request, member) => {
    const { studioId } = member;
    const classes = rowsOf(ClassRow, studioId);
    const id = readId(request);
    const body = readBody('PUT /classes/:id/attendees', request);
    const isTaken = await book(studioId, id, body.revision, [...new Set(body.personIds)]);
    const now = await wholeClass(await classes.one({ id }), member);
    if (!isTaken) {
      const personIds = now.attendees.map(({ person }) => person.id);
      const current = { revision: now.attendeesRevision, personIds };
      throw new ApiError('stale', [], { current });
    }
    return now;
  });

  on('PATCH /classes/:id/attendees/:personId', async (request, member) => {
    const { studioId } = member;
    const classId = readId(request);
    const bookings = rowsOf(Booking, studioId);
    const row = await bookings.one({ classId, personId: readId(request, 'personId') });
    const { id } = row;
    const { revision, choices, came, startsOn, ...change } = readBody(
      'PATCH /classes/:id/attendees/:personId',
      request,
    );
    needSense(change.today ?? []);
    const { came: seenBefore, startsOn: stoodBefore, ...record } = row.record;
    // Left out stays as it is; null is not seen yet, and nowhere in particular.
    const seen = came === undefined ? seenBefore : (came ?? undefined);
    const stands = startsOn === undefined ? stoodBefore : (startsOn ?? undefined);
    const isTaken = await bookings.revise({ id }, revision, {
      sealed: sealBooking(row, {
        ...record,
        ...change,
        ...(seen ? { came: seen } : {}),
        ...(stands ? { startsOn: stands } : {}),
      }),
      ...(choices ? { choices } : {}),
    });
    if (!isTaken) {
      const now = await bookings.one({ id });
      const current = {
        revision: now.revision,
        today: now.today,
        todayNote: now.todayNote,
        came: now.came ?? null,
        startsOn: now.startsOn ?? null,
        choices: now.choices,
      };
      throw new ApiError('stale', [], { current });
    }
    await noteAccess(member, 'changed', 'class', classId);
    const lesson = await rowsOf(ClassRow, studioId).one({ id: classId });
    return await wholeClass(lesson, member);
  });

  return router;
}

function needSense(today: readonly CautionEntry[]): void {
  const faults = today.flatMap((entry, index) =>
    checkCautionDates(entry).map(({ field, message }) => ({
      path: ['today', index, field],
      message,
    })),
  );
  if (faults.length > 0) throw new ApiError('invalid', faults);
}

/** False when somebody else changed the list first. */
async function book(
  studioId: string,
  classId: string,
  revision: number,
  personIds: string[],
): Promise<boolean> {
  const bookings = rowsOf(Booking, studioId);
  const known = await rowsOf(PersonRow, studioId).count({ id: personIds });
  if (known !== personIds.length) {
    throw new ApiError('invalid', [
      { path: ['personIds'], message: 'somebody in this list is not in the studio' },
    ]);
  }
  return databaseOfModels().transaction(async (transaction) => {
    // The count goes first: it holds the class until everybody is booked.
    const isTaken = await rowsOf(ClassRow, studioId).revise(
      { id: classId },
      revision,
      {},
      {
        column: 'attendeesRevision',
        transaction,
      },
    );
    if (!isTaken) return false;
    const rows = await bookings.all({
      where: { classId },
      attributes: ['personId'],
      transaction,
    });
    const already = new Set(rows.map(({ personId }) => personId));
    const gone = [...already].filter((id) => !personIds.includes(id));
    if (gone.length > 0) await bookings.remove({ classId, personId: gone }, transaction);
    const fresh = personIds.filter((id) => !already.has(id));
    if (fresh.length > 0) {
      await bookings.createAll(
        fresh.map((personId) => ({
          classId,
          personId,
          sealed: sealBooking({ studioId, classId, personId }, { today: [], todayNote: '' }),
          choices: {},
        })),
        transaction,
      );
    }
    return true;
  });
}
