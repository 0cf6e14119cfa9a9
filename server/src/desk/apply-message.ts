import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { Person } from '@wrenfern/core/people/person';
import { ApiError } from '../api/errors.ts';
import {
  Booking,
  ClassRow,
  databaseOfModels,
  DeskMessageRow,
  PersonRow,
  Studio,
} from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { sealBooking, sealRecord } from '../keeping/records.ts';
import type { DeskMessage } from './desk-message.ts';

type Outcome = 'done' | 'seen before';

/** What the teacher reads beside somebody who was not booked. */
const WALKED_IN = 'Walked in.';

/**
 * Does what a desk tells, once: of the same message sent again, or at two processes at once, one is done.
 * Who is not known comes in as a person with an empty record; nobody's record is changed.
 */
export async function applyMessage(
  studioId: string,
  messageId: string,
  message: DeskMessage,
): Promise<Outcome> {
  const { event, person, class: classId } = message;
  return databaseOfModels().transaction(async (transaction) => {
    // One after the other in a studio: two messages about somebody new must not make two people.
    await Studio.findByPk(studioId, { attributes: ['id'], lock: true, transaction });
    const lesson = await rowsOf(ClassRow, studioId).locked({ id: classId }, transaction);
    const messages = rowsOf(DeskMessageRow, studioId);
    if ((await messages.count({ messageId }, transaction)) > 0) return 'seen before';
    if (lesson.calledOff !== null && event !== 'cancelled' && event !== 'late-cancelled') {
      throw new ApiError('invalid', [{ path: ['class'], message: 'is called off' }]);
    }
    const personId = await personFor(studioId, person, transaction);
    await messages.create({ messageId, told: { event, classId, personId } }, transaction);
    const bookings = rowsOf(Booking, studioId);
    const isBooked = (await bookings.count({ classId, personId }, transaction)) > 0;
    const comes = event === 'booked' || event === 'walked-in';
    if (comes === isBooked) return 'done';
    if (comes) {
      const names = { studioId, classId, personId };
      const todayNote = event === 'walked-in' ? WALKED_IN : '';
      const sealed = sealBooking(names, { today: [], todayNote });
      await bookings.create({ classId, personId, sealed, choices: {} }, transaction);
    } else await bookings.remove({ classId, personId }, transaction);
    // Whoever has the list of this class open is asked before they save over it.
    await lesson.update({ attendeesRevision: lesson.attendeesRevision + 1 }, { transaction });
    return 'done';
  });
}

/** The person that a desk means: by its own name for them, else the only one of that name, else somebody new. */
async function personFor(
  studioId: string,
  { ref: deskRef, name }: DeskMessage['person'],
  transaction: Transaction,
): Promise<string> {
  const people = rowsOf(PersonRow, studioId);
  const known = await people.find({ deskRef }, transaction);
  if (known) return known.id;
  const named = await people.all({ where: { name, deskRef: null }, transaction, limit: 2 });
  const [only] = named;
  if (only && named.length === 1) {
    await only.update({ deskRef }, { transaction });
    return only.id;
  }
  const id = randomUUID();
  const { id: _id, name: _name, ...record } = Person.parse({ id, name });
  await PersonRow.create(
    { id, studioId, name, sealed: sealRecord(studioId, id, record), deskRef },
    { transaction },
  );
  return id;
}
