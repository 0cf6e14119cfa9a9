import { randomUUID } from 'node:crypto';
import type { Model, ModelStatic, Transaction } from 'sequelize';
import { classLengthS } from '@wrenfern/core/live/class-length';
import { isAboutPerson, type LiveEvent } from '@wrenfern/core/live/events';
import {
  Booking,
  ClassEvent,
  ClassNote,
  ClassRow,
  ExerciseVersion,
  GroupPerson,
  KeptPlan,
  PersonRow,
  PlanRevision,
  StandingGroup,
  User,
  type Studio,
} from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { sealBooking, sealRecord } from '../keeping/records.ts';
import type { ClassFile, StudioContent } from './archive-content.ts';

/** Rows put in with one statement. */
const CHUNK = 200;

/** Puts the content of an archive in place of all that a studio holds but its name and its team. */
export async function replaceStudio(
  studio: Studio,
  content: StudioContent,
  savedBy: string,
  transaction: Transaction,
): Promise<void> {
  const { id: studioId } = studio;
  await clear(studioId, transaction);
  const put = async <M extends Model & { studioId: string }>(
    model: ModelStatic<M>,
    rows: readonly object[],
  ) => {
    for (let from = 0; from < rows.length; from += CHUNK) {
      const some = rows.slice(from, from + CHUNK).map((row) => ({ ...row, studioId }));
      await model.bulkCreate(some as never[], { transaction });
    }
  };
  await studio.update({ ...content.settings, revision: studio.revision + 1 }, { transaction });

  const persons = idsFor(content.people);
  await put(
    PersonRow,
    content.people.map(({ ref, name, since, deskRef, ...record }) => {
      const id = persons.get(ref) ?? '';
      const sealed = sealRecord(studioId, id, record);
      return { id, name, sealed, deskRef, createdAt: new Date(since) };
    }),
  );
  await put(
    ExerciseVersion,
    content.exercises.map(({ slug, version, savedAt, exercise }) => ({
      id: randomUUID(),
      slug,
      version,
      exercise,
      createdAt: new Date(savedAt),
    })),
  );
  const kept = idsFor(content.keptPlans);
  await put(
    KeptPlan,
    content.keptPlans.map(({ ref, name, tags, plan }) => ({ id: kept.get(ref), name, tags, plan })),
  );
  const groups = inOrder(content.groups.length);
  await put(
    StandingGroup,
    content.groups.map(({ name }, index) => ({ id: groups[index], name })),
  );
  await put(
    GroupPerson,
    content.groups.flatMap(({ people }, index) =>
      people.map((ref) => ({
        id: randomUUID(),
        groupId: groups[index],
        personId: persons.get(ref),
      })),
    ),
  );
  const users = await rowsOf(User, studioId).all({ attributes: ['id', 'email'], transaction });
  const names: Names = {
    studioId,
    savedBy,
    persons,
    kept,
    series: new Map(),
    users: new Map(users.map(({ id, email }) => [email, id])),
  };
  const classes = inOrder(content.classes.length);
  const rows = content.classes.map((each, index) => rowsOfClass(each, classes[index] ?? '', names));
  await put(
    ClassRow,
    rows.map(({ lesson }) => lesson),
  );
  await put(
    PlanRevision,
    rows.flatMap(({ revisions }) => revisions),
  );
  await put(
    Booking,
    rows.flatMap(({ bookings }) => bookings),
  );
  await put(
    ClassEvent,
    rows.flatMap(({ events }) => events),
  );
  await put(
    ClassNote,
    rows.flatMap(({ notes }) => notes),
  );
}

/** Everything but settings and team, the wastebasket too; what belongs to classes and people goes with them. */
async function clear(studioId: string, transaction: Transaction): Promise<void> {
  const all = { where: { studioId }, force: true, transaction };
  await ClassRow.destroy(all);
  await StandingGroup.destroy(all);
  await KeptPlan.destroy(all);
  await PersonRow.destroy(all);
  await ExerciseVersion.destroy(all);
}

/** New ids that sort as they are handed out, so that what is read in order is written in order again. */
function inOrder(count: number): string[] {
  return Array.from({ length: count }, () => randomUUID()).sort();
}

function idsFor(named: readonly { ref: string }[]): Map<string, string> {
  const ids = inOrder(named.length);
  return new Map(named.map(({ ref }, index) => [ref, ids[index] ?? '']));
}

interface Names {
  studioId: string;
  savedBy: string;
  persons: ReadonlyMap<string, string>;
  kept: ReadonlyMap<string, string>;
  /** Filled as classes are met. */
  series: Map<string, string>;
  /** By email. */
  users: ReadonlyMap<string, string>;
}

function rowsOfClass(each: ClassFile, classId: string, names: Names) {
  const { studioId, savedBy, persons, kept, series, users } = names;
  const { plan, taughtPlan } = each;
  if (each.series) series.set(each.series, series.get(each.series) ?? randomUUID());
  const isTaughtOther = taughtPlan !== null && JSON.stringify(taughtPlan) !== JSON.stringify(plan);
  const plans = isTaughtOther ? [taughtPlan, plan] : [plan];
  const idOf = (email: string | null) => (email ? (users.get(email) ?? null) : null);
  return {
    lesson: {
      id: classId,
      title: each.title,
      startsAt: new Date(each.startsAt),
      plan,
      revision: plans.length,
      taughtRevision: taughtPlan ? 1 : null,
      seriesId: each.series ? series.get(each.series) : null,
      keptPlanId: each.keptPlan ? kept.get(each.keptPlan) : null,
      instructorId: idOf(each.instructor),
      coverUserId: idOf(each.cover),
      calledOff: each.calledOff,
      tookS: classLengthS(each.events),
    },
    revisions: plans.map((saved, index) => ({
      id: randomUUID(),
      classId,
      revision: index + 1,
      plan: saved,
      savedBy,
    })),
    bookings: each.people.map(({ person, choices, ...record }) => {
      const personId = persons.get(person) ?? '';
      const sealed = sealBooking({ studioId, classId, personId }, record);
      return { id: randomUUID(), classId, personId, sealed, choices };
    }),
    events: each.events.map((event) => ({
      eventId: event.id,
      classId,
      event: withPerson(event, persons),
    })),
    notes: each.note ? [{ classId, ...each.note }] : [],
  };
}

function withPerson(event: LiveEvent, persons: ReadonlyMap<string, string>): LiveEvent {
  if (!isAboutPerson(event)) return event;
  return { ...event, personId: persons.get(event.personId) ?? event.personId };
}
