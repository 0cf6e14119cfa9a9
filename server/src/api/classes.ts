import { Op, QueryTypes } from 'sequelize';
import { emptyPlan } from '@wrenfern/core/plan/empty-plan';
import { familiarTo, latelyDone } from '@wrenfern/core/log/familiar';
import type { Plan } from '@wrenfern/core/plan/plan';
import { USUAL_CHANGE_S } from '@wrenfern/core/plan/two-group-edits';
import { PLAIN_MACHINES } from '@wrenfern/core/room/machines';
import type { NewClassBody } from '@wrenfern/contract/classes';
import { dayIn } from '@wrenfern/core/week/studio-time';
import { STARTER_CLASSES } from '@wrenfern/library/starter-classes';
import { closedRouter } from '../auth/closed-router.ts';
import type { Member } from '../auth/session.ts';
import { ClassNote, ClassRow, databaseOfModels, KeptPlan, StandingGroup } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { noteAccess } from '../keeping/trail.ts';
import { attendeesOf, shownTo, taughtBetween } from './class-context.ts';
import { paceOfClass } from './own-pace.ts';
import { ApiError } from './errors.ts';
import { peopleOf as peopleOfGroups } from './groups.ts';
import { changeDetails } from './class-details.ts';
import { makeClasses, newSeries, weeklyFrom } from './make-classes.ts';
import { NOTHING, outlinesOf, type Outline } from './outlines.ts';
import { needRoom } from './quota.ts';
import { readBody, readId, readQuery } from './read.ts';
import { studioOf } from './studio.ts';
import { needInTeam } from './team.ts';

/** Classes: which there are, when, and whose. */
export function classesRouter() {
  const { router, on } = closedRouter();

  /** Newest first; `before` continues a list. */
  on('GET /classes', async (request, member) => {
    const { before, limit } = readQuery('GET /classes', request);
    const rows = await rowsOf(ClassRow, member.studioId).all({
      where: {
        ...(before ? { startsAt: { [Op.lt]: new Date(before) } } : {}),
        ...onlyTheirs(member),
      },
      attributes: ['id', 'title', 'startsAt', 'revision', 'taughtRevision'],
      order: [['startsAt', 'DESC']],
      limit,
    });
    return { classes: await summaries(rows, member.studioId) };
  });

  on('POST /classes', async (request, member) => {
    const wanted = readBody('POST /classes', request);
    const { studioId } = member;
    const { copyOf, keptPlanId, peopleOf, groupId, weeklyUntil, vary, instructorId } = wanted;
    const classes = rowsOf(ClassRow, studioId);
    const source = copyOf
      ? await classes.one({ id: copyOf })
      : keptPlanId
        ? await rowsOf(KeptPlan, studioId).one({ id: keptPlanId })
        : wanted.starter
          ? { plan: STARTER_CLASSES[wanted.starter] }
          : undefined;
    if (groupId) await rowsOf(StandingGroup, studioId).one({ id: groupId });
    const personIds = groupId ? (await peopleOfGroups(studioId, [groupId])).get(groupId) : [];
    if (peopleOf) await classes.one({ id: peopleOf });
    if (instructorId) await needInTeam(studioId, instructorId);
    const { timeZone } = await studioOf(studioId);
    const startsAt = new Date(wanted.startsAt);
    const dates = weeklyUntil ? weeklyFrom(startsAt, weeklyUntil, timeZone) : [startsAt];
    await needRoom(member, 'classes', dates.length);
    const empty = emptyPlan(source ? { ...source.plan, title: wanted.title } : wantedPlan(wanted));
    const seriesId = weeklyUntil ? newSeries() : undefined;
    const ids = await makeClasses(
      member,
      dates.map((date, index) => ({
        // The later ones are planned when their week comes, from what was taught by then.
        plan: source && index === 0 ? taughtAgain(source.plan, wanted.title, vary) : empty,
        startsAt: date,
        peopleOf,
        personIds,
        instructorId,
        keptPlanId: source && index === 0 ? keptPlanId : undefined,
        ...(seriesId ? { seriesId } : {}),
      })),
    );
    const [id] = ids;
    if (id === undefined) throw new Error('a class was asked for and none was made');
    return { id, ids };
  });

  on('GET /classes/:id', async (request, member) => {
    const row = await rowsOf(ClassRow, member.studioId).one({ id: readId(request) });
    if (member.role !== 'reader') await noteAccess(member, 'read', 'class', row.id);
    return await wholeClass(row, member);
  });

  on('PATCH /classes/:id', async (request, member) => {
    const classes = rowsOf(ClassRow, member.studioId);
    const { id } = await classes.one({ id: readId(request) });
    const change = readBody('PATCH /classes/:id', request);
    const isTaken = await changeDetails(member, id, change);
    const now = await classes.one({ id });
    if (!isTaken) {
      const current = {
        revision: now.detailsRevision,
        startsAt: now.startsAt.toISOString(),
        calledOff: now.calledOff ?? null,
        instructorId: now.instructorId ?? null,
      };
      throw new ApiError('stale', [], { current });
    }
    return await wholeClass(now, member);
  });

  /** Into the wastebasket, with its log. */
  on('DELETE /classes/:id', async (request, { studioId }) => {
    const row = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    await row.destroy();
  });

  /** Hands a class over to somebody who covers it, or takes it back. */
  on('PUT /classes/:id/cover', async (request, { studioId }) => {
    const row = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    const { userId } = readBody('PUT /classes/:id/cover', request);
    if (userId) await needInTeam(studioId, userId, 'userId');
    await row.update({ coverUserId: userId });
    return { coverUserId: userId };
  });

  return router;
}

function wantedPlan({ twoGroups, ...wanted }: NewClassBody): Parameters<typeof emptyPlan>[0] {
  return twoGroups ? { ...wanted, changeOver: { durationS: USUAL_CHANGE_S } } : wanted;
}

/** The plan of an earlier class for another day; what is to be done otherwise stands in its note. */
function taughtAgain(plan: Plan, title: string, vary: string): Plan {
  const note = vary ? [`Vary: ${vary}`, plan.note].filter(Boolean).join('\n') : plan.note;
  return { ...plan, title, note };
}

/** Whoever covers sees the classes that were handed over. */
export function onlyTheirs(member: Member): { coverUserId?: string } {
  return member.role === 'cover' ? { coverUserId: member.userId } : {};
}

/** One class with all that its screens need. */
export async function wholeClass(row: ClassRow, member: Member) {
  const { studioId } = member;
  const [studio, attendees] = await Promise.all([
    studioOf(studioId),
    attendeesOf(studioId, [row.id]),
  ]);
  const booked = attendees.get(row.id) ?? [];
  const personIds = booked.map(({ person }) => person.id);
  const before = await taughtBetween(studioId, row.startsAt, row.startsAt, personIds);
  return {
    id: row.id,
    title: row.title,
    startsAt: row.startsAt.toISOString(),
    day: dayIn(studio.timeZone, row.startsAt),
    revision: row.revision,
    detailsRevision: row.detailsRevision,
    attendeesRevision: row.attendeesRevision,
    plan: row.plan,
    attendees: shownTo(member, booked, studio),
    familiar: familiarTo(before, personIds, row.startsAt),
    taught: row.taughtRevision !== null,
    instructorId: row.instructorId ?? null,
    coverUserId: row.coverUserId ?? null,
    cupboard: studio.cupboard,
    pace: await paceOfClass(row, studio),
    machines: studio.machines ?? PLAIN_MACHINES,
    calledOff: row.calledOff ?? null,
    isRepeated: Boolean(row.seriesId),
    schools: studio.schools ?? [],
    lately: latelyDone(before, personIds),
  };
}

/** How many come to each of these classes; who lies in the wastebasket does not. */
async function countComing(classIds: readonly string[]): Promise<Map<string, number>> {
  if (classIds.length === 0) return new Map();
  const rows = await databaseOfModels().query<{ classId: string; coming: number | string }>(
    `SELECT bookings.classId, COUNT(*) AS coming FROM bookings
      JOIN people ON people.id = bookings.personId AND people.deletedAt IS NULL
      WHERE bookings.classId IN (:classIds) GROUP BY bookings.classId`,
    { replacements: { classIds }, type: QueryTypes.SELECT },
  );
  return new Map(rows.map(({ classId, coming }) => [classId, Number(coming)]));
}

async function summaries(rows: readonly ClassRow[], studioId: string) {
  const ids = rows.map(({ id }) => id);
  const [coming, notes, outlined] = await Promise.all([
    countComing(ids),
    rowsOf(ClassNote, studioId).all({ where: { classId: ids }, attributes: ['classId', 'effort'] }),
    outlinesOf(rows, studioId),
  ]);
  const efforts = new Map(notes.map(({ classId, effort }) => [classId, effort]));
  return rows.map((row) => ({
    id: row.id,
    title: row.title,
    startsAt: row.startsAt.toISOString(),
    ...briefly(outlined.get(row.id) ?? NOTHING),
    coming: coming.get(row.id) ?? 0,
    taught: row.taughtRevision !== null,
    effort: efforts.get(row.id) ?? null,
  }));
}

const briefly = ({ machine, targetS, items }: Outline) => ({ machine, targetS, items });
