import { checkOwnBounds, type OwnBounds } from '@wrenfern/core/people/own-bounds';
import { PLAIN_MACHINES } from '@wrenfern/core/room/machines';
import { closedRouter } from '../auth/closed-router.ts';
import { createLink } from '../auth/links.ts';
import { Studio, User } from '../db/models.ts';
import { ApiError } from './errors.ts';
import { nearlyFull } from './quota.ts';
import { readBody } from './read.ts';

export async function studioOf(studioId: string): Promise<Studio> {
  const studio = await Studio.findByPk(studioId);
  if (!studio) throw new ApiError('not-found');
  return studio;
}
import { setAsideOften } from './set-aside.ts';
import { toLearnFrom } from './own-pace.ts';

/** The studio itself: its cupboard, its pace, its schools. */
export function studioRouter() {
  const { router, on } = closedRouter();

  on('GET /studio', async (_request, { studioId }) => {
    return told(await studioOf(studioId));
  });

  on('PATCH /studio', async (request, { studioId, userId }) => {
    const { revision, ...change } = readBody('PATCH /studio', request);
    if (change.needsSecondFactor) await needOwnSecondFactor(userId);
    needSomebodysWord(change.ownBounds ?? []);
    const [taken] = await Studio.update(
      { ...change, revision: revision + 1 },
      { where: { id: studioId, revision } },
    );
    const now = await studioOf(studioId);
    if (taken === 0) throw new ApiError('stale', [], { current: told(now) });
    return told(now);
  });

  /** What is nearly full, before anything is refused. */
  on('GET /studio/room', async (_request, member) => {
    return { nearly: await nearlyFull(member) };
  });

  /** What a pace can be learned from. */
  on('GET /studio/set-aside', (_request, { studioId }) => setAsideOften(studioId, new Date()));
  on('GET /studio/taught', async (_request, { studioId }) => toLearnFrom(await studioOf(studioId)));

  /** A code with which somebody may set up a studio of their own on this server. */
  on('POST /studio/invitations', async (_request, member) => {
    if (member.isDemo) throw new ApiError('not-allowed');
    const { token } = await createLink({ kind: 'studio', studioId: member.studioId });
    return { code: token };
  });

  return router;
}

/** An owner who asks it of everybody has one: nobody shuts themselves out. */
async function needOwnSecondFactor(userId: string): Promise<void> {
  const owner = await User.findByPk(userId);
  if (owner?.secondFactor) return;
  throw new ApiError('invalid', [
    { path: ['needsSecondFactor'], message: 'set up your own second factor first' },
  ]);
}

/** What lets through more than usual has somebody's name to it. */
function needSomebodysWord(own: OwnBounds): void {
  const faults = checkOwnBounds(own).map(({ path, message }) => ({
    path: ['ownBounds', ...path],
    message,
  }));
  if (faults.length > 0) throw new ApiError('invalid', faults);
}

function told(studio: Studio) {
  const { name, slug, isDemo, timeZone, cupboard, pace, schools, retentionMonths, revision } =
    studio;
  const { needsSecondFactor, machines, ownBounds } = studio;
  return {
    name,
    slug,
    isDemo,
    timeZone,
    cupboard,
    pace,
    machines: machines ?? PLAIN_MACHINES,
    schools: schools ?? [],
    ownBounds: ownBounds ?? [],
    retentionMonths: retentionMonths ?? null,
    needsSecondFactor,
    revision,
  };
}
