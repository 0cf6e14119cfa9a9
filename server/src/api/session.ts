import { Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { STEADY_PACE } from '@wrenfern/core/plan/timing/pace';
import { checkPassword, hashPassword } from '../auth/passwords.ts';
import { memberOf, signIn, signOut } from '../auth/session.ts';
import { Studio, User } from '../db/models.ts';
import { ApiError } from './errors.ts';
import { readBody } from './read.ts';

const email = z.email('that is no email address').trim().toLowerCase().max(190);

const Credentials = z.strictObject({ email, password: z.string().min(1).max(200) });

const NewStudio = z.strictObject({
  studio: z.string().trim().min(1, 'give the studio a name').max(120),
  name: z.string().trim().min(1, 'give your name').max(120),
  email,
  password: z.string().min(10, 'at least 10 characters').max(200),
  timeZone: z.string().refine(isTimeZone, 'no such time zone').default('UTC'),
});

function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch (error) {
    if (error instanceof RangeError) return false;
    throw error;
  }
}

/** Only failures count, so that a class of colleagues behind one address is not locked out. */
function limitTries() {
  return rateLimit({
    windowMs: 15 * 60_000,
    limit: 10,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: () => {
      throw new ApiError('too-many');
    },
  });
}

/** Signing in and out, and the very first studio. */
export function sessionRouter(): Router {
  const router = Router();

  router.get('/session', async (request, response) => {
    const { userId, studioId, role } = memberOf(request);
    const [user, studio] = await Promise.all([User.findByPk(userId), Studio.findByPk(studioId)]);
    if (!user || !studio) {
      await signOut(request);
      throw new ApiError('not-signed-in');
    }
    response.json({ user: { id: user.id, name: user.name, role }, studio: publicStudio(studio) });
  });

  router.post('/session', limitTries(), async (request, response) => {
    const { email: address, password } = readBody(Credentials, request);
    const user = await User.findOne({ where: { email: address } });
    if (!(await checkPassword(password, user?.passwordHash)) || !user) {
      throw new ApiError('wrong-credentials');
    }
    await signIn(request, user);
    response.status(204).end();
  });

  router.delete('/session', async (request, response) => {
    await signOut(request);
    response.status(204).end();
  });

  /** What the sign-in page needs to know before anyone has signed in. */
  router.get('/door', async (_request, response) => {
    const [demo, real] = await Promise.all([
      Studio.findOne({ where: { isDemo: true } }),
      Studio.count({ where: { isDemo: false } }),
    ]);
    response.json({
      demo: demo ? { slug: demo.slug, name: demo.name } : null,
      canSetUp: real === 0,
    });
  });

  /** One press into the demo account, and into no other studio. */
  router.post('/demo-session', async (request, response) => {
    const { studio: slug } = readBody(z.strictObject({ studio: z.string().max(64) }), request);
    const studio = await Studio.findOne({ where: { slug, isDemo: true } });
    const user = studio && (await User.findOne({ where: { studioId: studio.id, role: 'owner' } }));
    if (!user) throw new ApiError('not-found');
    await signIn(request, user);
    response.status(204).end();
  });

  router.post('/set-up', limitTries(), async (request, response) => {
    const wanted = readBody(NewStudio, request);
    if ((await Studio.count({ where: { isDemo: false } })) > 0) {
      throw new ApiError('already-set-up');
    }
    const passwordHash = await hashPassword(wanted.password);
    const database = Studio.sequelize;
    if (!database) throw new Error('models are not bound to a database');
    const user = await database.transaction(async (transaction) => {
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
    await signIn(request, user);
    response.status(201).end();
  });

  return router;
}

function publicStudio(studio: Studio) {
  return {
    name: studio.name,
    slug: studio.slug,
    isDemo: studio.isDemo,
    timeZone: studio.timeZone,
  };
}
