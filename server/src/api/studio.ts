import { randomUUID } from 'node:crypto';
import { Router } from 'express';
import { z } from 'zod';
import { SCHOOL_IDS } from '@wrenfern/core/plan/plan';
import { SchoolRules } from '@wrenfern/core/plan/school';
import { Pace } from '@wrenfern/core/plan/timing/pace';
import { Cupboard } from '@wrenfern/core/room/props';
import { hashPassword } from '../auth/passwords.ts';
import { memberOf, requireOwner } from '../auth/session.ts';
import { Studio, User } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { ApiError } from './errors.ts';
import { readBody, readId } from './read.ts';

const StudioChange = z
  .strictObject({
    name: z.string().trim().min(1, 'give the studio a name').max(120),
    cupboard: Cupboard,
    pace: Pace,
    schools: z
      .array(SchoolRules)
      .max(20)
      .superRefine((schools, context) => {
        schools.forEach(({ id }, index) => {
          const isTaken =
            SCHOOL_IDS.some((known) => known === id) ||
            schools.findIndex((each) => each.id === id) < index;
          if (!isTaken) return;
          const message = `there is a school "${id}" already`;
          context.addIssue({ code: 'custom', path: [index, 'id'], message });
        });
      }),
  })
  .partial();

const NewInstructor = z.strictObject({
  name: z.string().trim().min(1, 'give a name').max(120),
  email: z.email('that is no email address').trim().toLowerCase().max(190),
  password: z.string().min(10, 'at least 10 characters').max(200),
});

export async function studioOf(studioId: string): Promise<Studio> {
  const studio = await Studio.findByPk(studioId);
  if (!studio) throw new ApiError('not-found');
  return studio;
}

/** The studio itself: its cupboard, its pace, its schools, its team. */
export function studioRouter(): Router {
  const router = Router();

  router.get('/studio', async (request, response) => {
    response.json(whole(await studioOf(memberOf(request).studioId)));
  });

  router.patch('/studio', requireOwner, async (request, response) => {
    const studio = await studioOf(memberOf(request).studioId);
    await studio.update(readBody(StudioChange, request));
    response.json(whole(studio));
  });

  router.get('/team', async (request, response) => {
    const users = await rowsOf(User, memberOf(request).studioId).all({ order: ['name'] });
    response.json({
      team: users.map(({ id, name, email, role }) => ({ id, name, email, role })),
    });
  });

  router.post('/team', requireOwner, async (request, response) => {
    const { password, ...wanted } = readBody(NewInstructor, request);
    const user = await User.create({
      ...wanted,
      id: randomUUID(),
      studioId: memberOf(request).studioId,
      passwordHash: await hashPassword(password),
      role: 'instructor',
    });
    response.status(201).json({ id: user.id, name: user.name, email: user.email, role: user.role });
  });

  router.delete('/team/:id', requireOwner, async (request, response) => {
    const user = await rowsOf(User, memberOf(request).studioId).one({ id: readId(request) });
    if (user.role === 'owner') throw new ApiError('not-allowed');
    await user.destroy();
    response.status(204).end();
  });

  return router;
}

function whole({ name, slug, isDemo, timeZone, cupboard, pace, schools }: Studio) {
  return { name, slug, isDemo, timeZone, cupboard, pace, schools: schools ?? [] };
}
