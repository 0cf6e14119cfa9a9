import { Op } from 'sequelize';
import { checkPlan, itemsOf } from '@wrenfern/core/plan/plan';
import { closedRouter } from '../auth/closed-router.ts';
import { ClassRow, KeptPlan } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { ApiError } from './errors.ts';
import { needBytes } from './quota.ts';
import { readBody, readId } from './read.ts';
import { catalogueFor } from './studio-catalogue.ts';

const MOST_PLANS = 500;
/** The last classes by which it is told how long a plan really takes. */
const LATELY = 40;

/** Plans without a date: named, tagged, taken into classes. */
export function keptPlansRouter() {
  const { router, on } = closedRouter();

  on('GET /kept-plans', async (_request, { studioId }) => {
    const rows = await rowsOf(KeptPlan, studioId).all({ order: ['name'], limit: MOST_PLANS });
    const taught = await taughtFrom(
      studioId,
      rows.map(({ id }) => id),
    );
    return {
      plans: rows.map((row) => ({ ...told(row), ...(taught.get(row.id) ?? NEVER) })),
    };
  });

  on('GET /kept-plans/:id', async (request, { studioId }) => {
    const row = await rowsOf(KeptPlan, studioId).one({ id: readId(request) });
    return { ...told(row), plan: row.plan };
  });

  on('POST /kept-plans', async (request, member) => {
    const { studioId } = member;
    const { name, tags, plan } = readBody('POST /kept-plans', request);
    await needBytes(member);
    if ((await rowsOf(KeptPlan, studioId).count()) >= MOST_PLANS) {
      throw new ApiError('over-quota', [{ path: ['name'], message: `${MOST_PLANS} are the most` }]);
    }
    const problems = checkPlan(plan, await catalogueFor(studioId, plan));
    if (problems.length > 0) {
      throw new ApiError(
        'invalid',
        problems.map(({ path, message }) => ({ path: ['plan', ...path], message })),
      );
    }
    const row = await rowsOf(KeptPlan, studioId).create({ name, tags: unique(tags), plan });
    return told(row);
  });

  /** Another name, other tags; the plan itself is kept as it was. */
  on('PUT /kept-plans/:id', async (request, { studioId }) => {
    const plans = rowsOf(KeptPlan, studioId);
    const { id } = await plans.one({ id: readId(request) });
    const { revision, name, tags } = readBody('PUT /kept-plans/:id', request);
    const isTaken = await plans.revise({ id }, revision, { name, tags: unique(tags) });
    const now = told(await plans.one({ id }));
    if (!isTaken) throw new ApiError('stale', [], { current: now });
    return now;
  });

  on('DELETE /kept-plans/:id', async (request, { studioId }) => {
    const removed = await rowsOf(KeptPlan, studioId).remove({ id: readId(request) });
    if (removed === 0) throw new ApiError('not-found');
  });

  return router;
}

const unique = (tags: readonly string[]) => [...new Set(tags)];

function told({ id, name, tags, plan, revision }: KeptPlan) {
  return {
    id,
    name,
    tags,
    machine: plan.machine,
    targetS: plan.targetS,
    items: itemsOf(plan).length,
    revision,
  };
}

interface Taught {
  /** Classes begun from it that were taught. */
  taught: number;
  lastTaughtAt: string | null;
  /** How long they really took, from start to end. */
  tookS: { least: number; most: number } | null;
}

const NEVER: Taught = { taught: 0, lastTaughtAt: null, tookS: null };

async function taughtFrom(
  studioId: string,
  keptIds: readonly string[],
): Promise<Map<string, Taught>> {
  const classes = await rowsOf(ClassRow, studioId).all({
    where: { keptPlanId: [...keptIds], taughtRevision: { [Op.ne]: null } },
    attributes: ['keptPlanId', 'startsAt', 'tookS'],
    order: [['startsAt', 'DESC']],
    limit: LATELY * Math.max(1, keptIds.length),
  });
  const taught = new Map<string, Taught>();
  for (const { keptPlanId, startsAt, tookS } of classes) {
    // Newest first: the first that is met is the last that was taught.
    const before = taught.get(keptPlanId ?? '') ?? {
      ...NEVER,
      lastTaughtAt: startsAt.toISOString(),
    };
    taught.set(keptPlanId ?? '', {
      ...before,
      taught: before.taught + 1,
      tookS: typeof tookS === 'number' ? widened(before.tookS, tookS) : before.tookS,
    });
  }
  return taught;
}

function widened(range: Taught['tookS'], tookS: number): NonNullable<Taught['tookS']> {
  const { least, most } = range ?? { least: tookS, most: tookS };
  return { least: Math.min(least, tookS), most: Math.max(most, tookS) };
}
