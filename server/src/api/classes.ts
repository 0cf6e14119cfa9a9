import { Router } from 'express';
import { Op } from 'sequelize';
import { z } from 'zod';
import { CautionEntry } from '@wrenfern/core/people/person';
import { Plan, PlanDetails, checkPlan } from '@wrenfern/core/plan/plan';
import { memberOf } from '../auth/session.ts';
import { Booking, ClassEvent, ClassNote, ClassRow, PersonRow } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { catalogueFor } from './studio-catalogue.ts';
import { attendeesOf, dayOf, familiarTo, latelyDone, taughtBetween } from './class-context.ts';
import { ApiError } from './errors.ts';
import { readBody, readId, readQuery } from './read.ts';
import { studioOf } from './studio.ts';

const startsAt = z.iso.datetime({ offset: true, error: 'give day and time' });

const NewClass = z.strictObject({
  title: PlanDetails.shape.title,
  startsAt,
  targetS: PlanDetails.shape.targetS.default(3000),
  /** Takes the plan of another class of the studio. */
  copyOf: z.uuid().optional(),
});

const ClassChange = z.strictObject({ startsAt });

const SavedPlan = z.strictObject({ revision: z.number().int().min(1), plan: Plan });

const HandChoices = z.record(
  z.string().max(64),
  z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('option'), option: z.number().int().min(1).max(4) }),
    z.strictObject({
      kind: z.literal('swap'),
      exercise: z.string().max(64),
      option: z.number().int().min(1).max(4),
    }),
    z.strictObject({ kind: z.literal('rest') }),
  ]),
);

const BookingChange = z
  .strictObject({
    today: z.array(CautionEntry).max(10),
    todayNote: z.string().max(500),
    choices: HandChoices,
  })
  .partial();

const Page = z.object({
  before: startsAt.optional(),
  limit: z.coerce.number().int().min(1).max(100).default(50),
});

function emptyPlan(title: string, targetS: number): Plan {
  return {
    format: 'wrenfern-plan/1',
    title,
    machine: 'mat',
    school: 'foundations-first',
    targetS,
    note: '',
    segments: [
      { id: 'arrive', name: 'Arrive', items: [] },
      { id: 'build', name: 'Build', items: [] },
      { id: 'release', name: 'Release', items: [] },
    ],
  };
}

/** Classes, their plans, and who comes. */
export function classesRouter(): Router {
  const router = Router();

  /** Newest first; `before` continues a list. */
  router.get('/classes', async (request, response) => {
    const { studioId } = memberOf(request);
    const { before, limit } = readQuery(Page, request);
    const rows = await rowsOf(ClassRow, studioId).all({
      where: before ? { startsAt: { [Op.lt]: new Date(before) } } : {},
      order: [['startsAt', 'DESC']],
      limit,
    });
    response.json({ classes: await Promise.all(rows.map((row) => summarise(row, studioId))) });
  });

  router.post('/classes', async (request, response) => {
    const { studioId } = memberOf(request);
    const wanted = readBody(NewClass, request);
    const classes = rowsOf(ClassRow, studioId);
    const source = wanted.copyOf ? await classes.one({ id: wanted.copyOf }) : undefined;
    const plan = source
      ? { ...source.plan, title: wanted.title }
      : emptyPlan(wanted.title, wanted.targetS);
    const row = await classes.create({
      title: wanted.title,
      startsAt: new Date(wanted.startsAt),
      plan,
      revision: 1,
    });
    response.status(201).json({ id: row.id });
  });

  router.get('/classes/:id', async (request, response) => {
    const { studioId } = memberOf(request);
    const row = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    response.json(await whole(row, studioId));
  });

  router.patch('/classes/:id', async (request, response) => {
    const { studioId } = memberOf(request);
    const row = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    await row.update({ startsAt: new Date(readBody(ClassChange, request).startsAt) });
    response.json(await whole(row, studioId));
  });

  router.delete('/classes/:id', async (request, response) => {
    const { studioId } = memberOf(request);
    const row = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    await row.destroy();
    response.status(204).end();
  });

  /** A save that started from an older revision is answered with the newer document. */
  router.put('/classes/:id/plan', async (request, response) => {
    const { studioId } = memberOf(request);
    const id = readId(request);
    const classes = rowsOf(ClassRow, studioId);
    const { revision, plan } = readBody(SavedPlan, request);
    const problems = checkPlan(plan, await catalogueFor(studioId, plan));
    if (problems.length > 0) {
      throw new ApiError(
        'invalid',
        problems.map(({ path, message }) => ({ path: ['plan', ...path], message })),
      );
    }
    const changed = await classes.update(
      { plan, title: plan.title, revision: revision + 1 },
      { id, revision },
    );
    if (changed === 0) {
      const row = await classes.one({ id });
      throw new ApiError('stale', [], { revision: row.revision, plan: row.plan });
    }
    response.json({ revision: revision + 1 });
  });

  router.put('/classes/:id/attendees', async (request, response) => {
    const { studioId } = memberOf(request);
    const row = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    const { personIds } = readBody(
      z.strictObject({ personIds: z.array(z.uuid()).max(300) }),
      request,
    );
    await book(studioId, row.id, [...new Set(personIds)]);
    response.json(await whole(row, studioId));
  });

  router.patch('/classes/:id/attendees/:personId', async (request, response) => {
    const { studioId } = memberOf(request);
    const classId = readId(request);
    const booking = await rowsOf(Booking, studioId).one({
      classId,
      personId: readId(request, 'personId'),
    });
    await booking.update(readBody(BookingChange, request));
    const row = await rowsOf(ClassRow, studioId).one({ id: classId });
    response.json(await whole(row, studioId));
  });

  return router;
}

/** Books exactly these people; whoever stays keeps today's notes and choices. */
async function book(studioId: string, classId: string, personIds: string[]): Promise<void> {
  const bookings = rowsOf(Booking, studioId);
  const known = await rowsOf(PersonRow, studioId).count({ id: personIds });
  if (known !== personIds.length) {
    throw new ApiError('invalid', [
      { path: ['personIds'], message: 'somebody in this list is not in the studio' },
    ]);
  }
  const database = Booking.sequelize;
  if (!database) throw new Error('models are not bound to a database');
  const already = new Set((await bookings.all({ where: { classId } })).map((row) => row.personId));
  await database.transaction(async (transaction) => {
    await bookings.remove({ classId, personId: { [Op.notIn]: personIds } }, transaction);
    for (const personId of personIds.filter((id) => !already.has(id))) {
      await bookings.create(
        { classId, personId, today: [], todayNote: '', choices: {} },
        transaction,
      );
    }
  });
}

async function whole(row: ClassRow, studioId: string) {
  const [studio, attendees, taught, before] = await Promise.all([
    studioOf(studioId),
    attendeesOf(studioId, row.id),
    rowsOf(ClassEvent, studioId).count({ classId: row.id }),
    taughtBetween(studioId, row.startsAt, row.startsAt),
  ]);
  const personIds = attendees.map(({ person }) => person.id);
  const familiar = familiarTo(before, personIds, row.startsAt);
  return {
    id: row.id,
    title: row.title,
    startsAt: row.startsAt.toISOString(),
    day: dayOf(row.startsAt, studio.timeZone),
    revision: row.revision,
    plan: row.plan,
    attendees,
    familiar,
    taught: taught > 0,
    cupboard: studio.cupboard,
    pace: studio.pace,
    schools: studio.schools ?? [],
    lately: latelyDone(before, personIds),
  };
}

async function summarise(row: ClassRow, studioId: string) {
  const [coming, taught, note] = await Promise.all([
    rowsOf(Booking, studioId).count({ classId: row.id }),
    rowsOf(ClassEvent, studioId).count({ classId: row.id }),
    rowsOf(ClassNote, studioId).find({ classId: row.id }),
  ]);
  return {
    id: row.id,
    title: row.title,
    startsAt: row.startsAt.toISOString(),
    targetS: row.plan.targetS,
    items: row.plan.segments.reduce((sum, segment) => sum + segment.items.length, 0),
    coming,
    taught: taught > 0,
    effort: note?.effort ?? null,
  };
}
