import { randomUUID } from 'node:crypto';
import { UniqueConstraintError } from 'sequelize';
import { STEADY_PACE } from '@wrenfern/core/plan/timing/pace';
import { closedRouter } from '../auth/closed-router.ts';
import { findLink, spendLink } from '../auth/links.ts';
import { hashPassword } from '../auth/passwords.ts';
import { endSessionsOf, signIn } from '../auth/session.ts';
import { createQuota } from '../auth/tries.ts';
import { databaseOfModels, Fact, Studio, User } from '../db/models.ts';
import { openDemo } from '../demo/open-demo.ts';
import { ApiError } from './errors.ts';
import { readBody, type BodyOf } from './read.ts';

/** Of one address in an hour: links and codes tried, studios set up. */
const DOOR_CALLS = 60;
const HOUR_S = 3600;

export interface DoorParts {
  /** Whether visitors may look round in a demo studio. */
  demo: boolean;
  /** Demo studios there may be at once. */
  demoStudios: number;
  /** Demo studios that one address may open in an hour. */
  demosPerHour: number;
  /** Whether anybody may set up another studio here. */
  allowStudios: boolean;
}

/** The ways in for whoever has no account here yet. */
export function doorRouter(parts: DoorParts) {
  const { router, open } = closedRouter();
  const mayKnock = createQuota('door', DOOR_CALLS, HOUR_S);
  const mayOpenDemo = createQuota('demo', parts.demosPerHour, HOUR_S);
  const addressOf = (ip: string | undefined) => ip ?? 'nowhere';

  /** What the first page needs to know; words that somebody typed never stand on it. */
  open('GET /door', async () => {
    const isSetUp = (await Studio.count({ where: { isDemo: false } })) > 0;
    return { demo: parts.demo, isSetUp, allowStudios: parts.allowStudios };
  });

  /** Every visitor gets a demo studio of their own, and into no other. */
  open('POST /demo-session', async (request) => {
    const body = readBody('POST /demo-session', request);
    if (!parts.demo) throw new ApiError('not-found');
    await mayOpenDemo(addressOf(request.ip));
    const user = await openDemo(body.timeZone, parts.demoStudios, new Date());
    await signIn(request, user);
  });

  open('POST /set-up', async (request) => {
    const wanted = readBody('POST /set-up', request);
    await mayKnock(addressOf(request.ip));
    const passwordHash = await hashPassword(wanted.password);
    const user = await setUp(wanted, passwordHash, parts.allowStudios);
    await signIn(request, user);
  });

  /** What a link is for, in words, before it is used. */
  open('POST /links/look', async (request) => {
    const body = readBody('POST /links/look', request);
    await mayKnock(addressOf(request.ip));
    const link = await findLink(body.token);
    if (link.kind === 'set-up' || link.kind === 'studio') throw new ApiError('link-spent');
    const studio = await Studio.findByPk(link.studioId ?? '');
    const user = link.userId ? await User.findByPk(link.userId) : null;
    return {
      kind: link.kind,
      studio: studio?.name ?? '',
      name: user?.name ?? link.name ?? '',
      email: user?.email ?? link.email ?? '',
      role: user?.role ?? link.role ?? 'instructor',
    };
  });

  /** Chooses one's own password, once, and is in. */
  open('POST /links/use', async (request) => {
    const body = readBody('POST /links/use', request);
    await mayKnock(addressOf(request.ip));
    const link = await findLink(body.token);
    const passwordHash = await hashPassword(body.password);
    const made = databaseOfModels().transaction(async (transaction) => {
      await spendLink(link, transaction);
      if (link.kind === 'reset') {
        const known = await User.findByPk(link.userId ?? '', { transaction });
        if (!known) throw new ApiError('link-spent');
        return known.update({ passwordHash }, { transaction });
      }
      if (link.kind !== 'invite' || !link.studioId || !link.email || !link.role) {
        throw new ApiError('link-spent');
      }
      const { studioId, email: address, role, until } = link;
      return User.create(
        {
          id: randomUUID(),
          studioId,
          email: address,
          name: link.name ?? address,
          passwordHash,
          role,
          until: until ?? null,
        },
        { transaction },
      );
    });
    const user = await untold(made);
    if (link.kind === 'reset') {
      await endSessionsOf(user);
      request.note('password-changed', { userId: user.id });
    }
    // A link that came by mail or by hand is no second factor: that is asked for at the door.
    const signedIn = !user.secondFactor;
    if (signedIn) await signIn(request, user);
    return { signedIn };
  });

  return router;
}

/**
 * The first studio needs the code that was printed at start, later ones an owner's code; of many calls
 * at once one gets through.
 */
async function setUp(
  wanted: BodyOf<'POST /set-up'>,
  passwordHash: string,
  allowStudios: boolean,
): Promise<User> {
  const isSetUp = (await Studio.count({ where: { isDemo: false } })) > 0;
  const link = isSetUp && allowStudios ? undefined : await codeOf(wanted.code, isSetUp);
  const made = databaseOfModels().transaction(async (transaction) => {
    if (link) await spendLink(link, transaction);
    if (link?.kind === 'set-up') await Fact.create({ name: 'first-studio' }, { transaction });
    const studio = await Studio.create(
      {
        id: randomUUID(),
        slug: `studio-${randomUUID().slice(0, 8)}`,
        name: wanted.studio,
        isDemo: false,
        timeZone: wanted.timeZone,
        cupboard: {},
        pace: STEADY_PACE,
      },
      { transaction },
    );
    return User.create(
      {
        id: randomUUID(),
        studioId: studio.id,
        email: wanted.email,
        name: wanted.name,
        passwordHash,
        role: 'owner',
      },
      { transaction },
    );
  });
  return untold(made);
}

async function codeOf(code: string, isSetUp: boolean) {
  if (isSetUp && !code) throw new ApiError('already-set-up');
  const link = await findLink(code);
  if (link.kind !== (isSetUp ? 'studio' : 'set-up')) throw new ApiError('link-spent');
  return link;
}

/** Whether an address has an account, perhaps in another studio, is told to nobody. */
async function untold<T>(made: Promise<T>): Promise<T> {
  try {
    return await made;
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    throw Object.assign(new ApiError('link-spent'), { cause: error });
  }
}
