import { randomUUID } from 'node:crypto';
import { Op, type Transaction } from 'sequelize';
import { isAboutPerson } from '@wrenfern/core/live/events';
import type { Plan } from '@wrenfern/core/plan/plan';
import {
  Booking,
  ClassEvent,
  ClassNote,
  ClassRow,
  PlanRevision,
  type PersonRow,
} from '../db/models.ts';

/** What stands where a person was; an id that nobody has. */
export const ERASED = 'erased';

/**
 * Takes a person out of everything: record and bookings go, events keep what was done by nobody in
 * particular, and their name goes from notes of the classes they came to. What was taught stays.
 */
export async function erasePerson(row: PersonRow, transaction: Transaction): Promise<void> {
  const { id, studioId, name } = row;
  const bookings = await Booking.findAll({
    where: { studioId, personId: id },
    attributes: ['classId'],
    transaction,
  });
  const classId = { [Op.in]: bookings.map((booking) => booking.classId) };
  const named = nameIn(name);
  const holds = (text: string) => text.search(named) >= 0;
  const events = await ClassEvent.findAll({ where: { studioId, classId }, transaction });
  for (const each of events) {
    const { event } = each;
    if (isAboutPerson(event) && event.personId === id) {
      await each.update({ event: { ...event, personId: ERASED } }, { transaction });
    } else if (event.type === 'note' && holds(event.text)) {
      await each.update(
        { event: { ...event, text: event.text.replace(named, ERASED) } },
        { transaction },
      );
    }
  }
  const notes = await ClassNote.findAll({ where: { studioId, classId }, transaction });
  for (const note of notes.filter((each) => holds(each.note))) {
    await note.update({ note: note.note.replace(named, ERASED) }, { transaction });
  }
  const lessons = await ClassRow.findAll({
    where: { studioId, id: classId },
    paranoid: false,
    transaction,
  });
  for (const lesson of lessons) await eraseFromPlan(lesson, named, transaction);
  await row.destroy({ force: true, transaction });
}

/** Every saved plan of the class is cleaned; the one that stands becomes another, for open editors to see. */
async function eraseFromPlan(lesson: ClassRow, named: RegExp, transaction: Transaction) {
  const { id: classId, studioId, revision, plan } = lesson;
  for (const each of await PlanRevision.findAll({ where: { classId }, transaction })) {
    const erased = without(each.plan, named);
    if (erased) await each.update({ plan: erased }, { transaction });
  }
  const erased = without(plan, named);
  if (!erased) return;
  await lesson.update({ plan: erased, revision: revision + 1 }, { transaction });
  await PlanRevision.create(
    { id: randomUUID(), studioId, classId, revision: revision + 1, plan: erased, savedBy: '' },
    { transaction },
  );
}

/** The plan without a name in its notes and reasons; undefined when it is in none. */
function without(plan: Plan, named: RegExp): Plan | undefined {
  const clean = (note: string) => note.replace(named, ERASED);
  const segments = plan.segments.map((segment) => ({
    ...segment,
    items: segment.items.map((item) => ({ ...item, note: clean(item.note) })),
  }));
  const setAside = plan.setAside?.map((each) => ({ ...each, reason: clean(each.reason) }));
  const erased = {
    ...plan,
    note: clean(plan.note),
    segments,
    ...(setAside ? { setAside } : {}),
  };
  return JSON.stringify(erased) === JSON.stringify(plan) ? undefined : erased;
}

/** The whole name, or the first one alone, as words of their own. */
function nameIn(name: string): RegExp {
  const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
  const first = name.split(/\s+/)[0] ?? name;
  return new RegExp(
    `(?<![\\p{L}\\p{N}])(?:${escaped(name)}|${escaped(first)})(?![\\p{L}\\p{N}])`,
    'giu',
  );
}
