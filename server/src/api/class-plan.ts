import { z } from 'zod';
import { Plan, checkPlan, exerciseItemsOf } from '@wrenfern/core/plan/plan';
import { builtInCatalogue } from '@wrenfern/library';
import { Op, type Transaction } from 'sequelize';
import { closedRouter } from '../auth/closed-router.ts';
import { ClassRow, databaseOfModels, ExerciseVersion, PlanRevision } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { ApiError } from './errors.ts';
import { needBytes } from './quota.ts';
import { readBody, readId } from './read.ts';
import { catalogueFor } from './studio-catalogue.ts';

/** Revisions shown in a plan's history. */
const HISTORY = 200;

/** The plan of a class, and every plan it had. */
export function classPlanRouter() {
  const { router, on } = closedRouter();

  /** A save that started from an older revision is answered with the newer document. */
  on('PUT /classes/:id/plan', async (request, member) => {
    const { studioId } = member;
    const { id } = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    const { revision, plan } = readBody('PUT /classes/:id/plan', request);
    await needBytes(member);
    const isTaken = await databaseOfModels().transaction(async (transaction) => {
      await lockExercises(studioId, plan, transaction);
      await needExercises(studioId, plan, transaction);
      const values = { plan, title: plan.title };
      const taken = await rowsOf(ClassRow, studioId).revise({ id }, revision, values, {
        transaction,
      });
      if (!taken) return false;
      await rowsOf(PlanRevision, studioId).create(
        { classId: id, revision: revision + 1, plan, savedBy: member.userName },
        transaction,
      );
      return true;
    });
    if (!isTaken) {
      const row = await rowsOf(ClassRow, studioId).one({ id });
      throw new ApiError('stale', [], { current: { revision: row.revision, plan: row.plan } });
    }
    return { revision: revision + 1 };
  });

  /** Newest first. */
  on('GET /classes/:id/revisions', async (request, { studioId }) => {
    const { id, taughtRevision } = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    const rows = await rowsOf(PlanRevision, studioId).all({
      where: { classId: id },
      attributes: ['revision', 'savedBy', 'createdAt'],
      order: [['revision', 'DESC']],
      limit: HISTORY,
    });
    return {
      revisions: rows.map(({ revision, savedBy, createdAt }) => ({
        revision,
        savedBy,
        savedAt: createdAt.toISOString(),
        wasTaught: revision === taughtRevision,
      })),
    };
  });

  on('GET /classes/:id/revisions/:revision', async (request, { studioId }) => {
    const { id } = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    const revision = z.coerce.number().int().min(1).safeParse(request.params.revision);
    if (!revision.success) throw new ApiError('not-found');
    const row = await rowsOf(PlanRevision, studioId).one({ classId: id, revision: revision.data });
    return { revision: row.revision, plan: row.plan };
  });

  return router;
}

/** Own exercises that a plan names stay as they are until it is saved: nobody takes one out meanwhile. */
async function lockExercises(studioId: string, plan: Plan, transaction: Transaction) {
  const own = exerciseItemsOf(plan)
    .map(({ exercise }) => exercise)
    .filter((slug) => !builtInCatalogue.get(slug));
  if (own.length === 0) return;
  await ExerciseVersion.findAll({
    where: { studioId, slug: { [Op.in]: own } },
    attributes: ['id'],
    transaction,
    lock: transaction.LOCK.SHARE,
  });
}

async function needExercises(studioId: string, plan: Plan, transaction: Transaction) {
  const problems = checkPlan(plan, await catalogueFor(studioId, plan, transaction));
  if (problems.length === 0) return;
  throw new ApiError(
    'invalid',
    problems.map(({ path, message }) => ({ path: ['plan', ...path], message })),
  );
}
