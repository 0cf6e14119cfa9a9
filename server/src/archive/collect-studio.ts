import { Op } from 'sequelize';
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
import { ERASED } from '../keeping/erase-person.ts';
import type { ClassFile, StudioContent } from './archive-content.ts';

/** Classes read at once: their presses are many. */
const BATCH = 50;

/** Names for rows, counted up in the order in which they are met. */
function createRefs(letter: 'p' | 'k' | 's') {
  const refs = new Map<string, string>();
  return {
    add: (id: string): string => {
      const known = refs.get(id) ?? `${letter}${refs.size + 1}`;
      refs.set(id, known);
      return known;
    },
    of: (id: string): string | undefined => refs.get(id),
  };
}

/** Everything of a studio, without the wastebasket, the team and earlier saved plans. */
export async function collectStudio(studio: Studio): Promise<StudioContent> {
  const { id: studioId } = studio;
  const [people, exercises, groups, groupPeople, keptPlans, users] = await Promise.all([
    rowsOf(PersonRow, studioId).all({ order: ['createdAt', 'id'] }),
    rowsOf(ExerciseVersion, studioId).all({ order: ['slug', 'version'] }),
    rowsOf(StandingGroup, studioId).all({ order: ['name', 'id'] }),
    rowsOf(GroupPerson, studioId).all(),
    rowsOf(KeptPlan, studioId).all({ order: ['name', 'id'] }),
    rowsOf(User, studioId).all({ attributes: ['id', 'email'] }),
  ]);
  const persons = createRefs('p');
  const kept = createRefs('k');
  const settings = {
    timeZone: studio.timeZone,
    cupboard: studio.cupboard,
    pace: studio.pace,
    machines: studio.machines ?? null,
    ownBounds: studio.ownBounds ?? null,
    schools: studio.schools ?? [],
    retentionMonths: studio.retentionMonths ?? null,
  };
  return {
    settings,
    people: people.map((row) => ({
      ref: persons.add(row.id),
      name: row.name,
      ...row.record,
      since: row.createdAt.toISOString(),
      deskRef: row.deskRef ?? null,
    })),
    exercises: exercises.map(({ slug, version, createdAt, exercise }) => ({
      slug,
      version,
      savedAt: createdAt.toISOString(),
      exercise,
    })),
    groups: groups.map(({ id, name }) => ({
      name,
      people: groupPeople
        .flatMap(({ groupId, personId }) => (groupId === id ? (persons.of(personId) ?? []) : []))
        .sort(byNumber),
    })),
    keptPlans: keptPlans.map(({ id, name, tags, plan }) => ({
      ref: kept.add(id),
      name,
      tags,
      plan,
    })),
    classes: await collectClasses(studioId, {
      person: persons.of,
      keptPlan: kept.of,
      series: createRefs('s').add,
      email: new Map(users.map(({ id, email }) => [id, email])),
    }),
  };
}

/** p9 before p10. */
const byNumber = (a: string, b: string) => Number(a.slice(1)) - Number(b.slice(1));

interface Names {
  person: (id: string) => string | undefined;
  keptPlan: (id: string) => string | undefined;
  series: (id: string) => string;
  email: ReadonlyMap<string, string>;
}

async function collectClasses(studioId: string, names: Names): Promise<ClassFile[]> {
  const found: ClassFile[] = [];
  const ids = await rowsOf(ClassRow, studioId).all({
    attributes: ['id'],
    order: ['startsAt', 'id'],
  });
  for (let from = 0; from < ids.length; from += BATCH) {
    const classId = ids.slice(from, from + BATCH).map(({ id }) => id);
    const rows = await rowsOf(ClassRow, studioId).all({
      where: { id: classId },
      order: ['startsAt', 'id'],
    });
    const taughtPlans = rows.flatMap(({ id, taughtRevision }) =>
      taughtRevision === null ? [] : [{ classId: id, revision: taughtRevision }],
    );
    const [revisions, bookings, events, notes] = await Promise.all([
      // Only what was taught: a class may have been saved hundreds of times.
      taughtPlans.length > 0
        ? rowsOf(PlanRevision, studioId).all({ where: { [Op.or]: taughtPlans } })
        : [],
      rowsOf(Booking, studioId).all({ where: { classId } }),
      rowsOf(ClassEvent, studioId).all({ where: { classId }, order: ['seq'] }),
      rowsOf(ClassNote, studioId).all({ where: { classId } }),
    ]);
    for (const row of rows) {
      const own = <T extends { classId: string }>(all: readonly T[]) =>
        all.filter((each) => each.classId === row.id);
      const taught = own(revisions).find(({ revision }) => revision === row.taughtRevision);
      const [note] = own(notes);
      found.push({
        title: row.title,
        startsAt: row.startsAt.toISOString(),
        plan: row.plan,
        taughtPlan: row.taughtRevision === null ? null : (taught?.plan ?? row.plan),
        series: row.seriesId ? names.series(row.seriesId) : null,
        keptPlan: row.keptPlanId ? (names.keptPlan(row.keptPlanId) ?? null) : null,
        instructor: row.instructorId ? (names.email.get(row.instructorId) ?? null) : null,
        cover: row.coverUserId ? (names.email.get(row.coverUserId) ?? null) : null,
        calledOff: row.calledOff ?? null,
        people: own(bookings)
          .flatMap((booking) => {
            const person = names.person(booking.personId);
            const { record, choices } = booking;
            return person ? [{ person, ...record, choices }] : [];
          })
          .sort((a, b) => byNumber(a.person, b.person)),
        events: own(events).map(({ event }) => named(event, names)),
        note: note ? { effort: note.effort, note: note.note } : null,
      });
    }
  }
  return found;
}

/** Presses that name somebody name them as the archive does; who is gone stays nobody. */
function named(event: LiveEvent, { person }: Names): LiveEvent {
  if (!isAboutPerson(event)) return event;
  return { ...event, personId: person(event.personId) ?? ERASED };
}

/** What an import would put aside, and a mark that changes when any of it does. */
export async function standingOf(studio: Studio) {
  const { id: studioId, revision } = studio;
  const [people, classes, exercises, latest] = await Promise.all([
    rowsOf(PersonRow, studioId).count(),
    rowsOf(ClassRow, studioId).count(),
    rowsOf(ExerciseVersion, studioId).count(),
    rowsOf(ClassRow, studioId).all({
      attributes: ['updatedAt'],
      order: [['updatedAt', 'DESC']],
      limit: 1,
    }),
  ]);
  const mark = [revision, people, classes, exercises, latest[0]?.updatedAt.getTime() ?? 0].join(
    '-',
  );
  return { people, classes, exercises, mark };
}
