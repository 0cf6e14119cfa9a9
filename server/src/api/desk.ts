import { randomBytes } from 'node:crypto';
import { addDays } from 'date-fns';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import type { Request } from 'express';
import { Op } from 'sequelize';
import { closedRouter } from '../auth/closed-router.ts';
import { Booking, ClassRow, DeskMessageRow, PersonRow, Studio } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { applyMessage } from '../desk/apply-message.ts';
import { isFromDesk } from '../desk/desk-message.ts';
import { seal, unseal } from '../keeping/seal.ts';
import { ApiError } from './errors.ts';
import { readBody, readId } from './read.ts';

const SECRET_BYTES = 32;
/** Far more than any front desk writes. */
const MESSAGES_PER_MINUTE = 240;
/** Told in the studio, newest first. */
const TOLD_LATELY = 20;
/** How far ahead a desk may book. */
const DAYS_AHEAD = 28;
const MOST_CLASSES = 300;

/** A booking desk of somebody else: it tells who comes, signed with a secret that the studio gave it. */
export function deskRouter(key: Buffer) {
  const { router, on, open } = closedRouter();
  const counted = new RateLimiterMemory({ points: MESSAGES_PER_MINUTE, duration: 60 });

  /** The studio that a request is for, once its signature is right. A wrong one is not told from no studio. */
  async function signedStudio(request: Request): Promise<Studio> {
    const studioId = readId(request, 'studioId');
    await needCalm(counted, `${studioId} ${request.ip ?? ''}`);
    const studio = await Studio.findByPk(studioId);
    const header = (name: string) => request.get(`x-wrenfern-${name}`) ?? '';
    const isRight =
      studio?.deskSecret &&
      isFromDesk(
        {
          secret: unseal(key, studio.deskSecret, studio.id),
          timestamp: header('timestamp'),
          messageId: header('message'),
          signature: header('signature'),
          body: request.rawBody ?? Buffer.alloc(0),
        },
        new Date(),
      );
    if (!studio || !isRight) throw new ApiError('unsigned');
    return studio;
  }

  on('GET /studio/desk', async (_request, { studioId }) => {
    const studio = await Studio.findByPk(studioId);
    return {
      isOn: Boolean(studio?.deskSecret),
      path: pathOf(studioId),
      told: await toldLately(studioId),
    };
  });

  /** The secret is told here and never again; another ends the one before. */
  on('POST /studio/desk', async (_request, { studioId }) => {
    const secret = randomBytes(SECRET_BYTES).toString('base64url');
    await Studio.update(
      { deskSecret: seal(key, secret, studioId) },
      { where: { id: studioId }, silent: true },
    );
    return { secret, path: pathOf(studioId) };
  });

  on('DELETE /studio/desk', async (_request, { studioId }) => {
    await Studio.update({ deskSecret: null }, { where: { id: studioId }, silent: true });
  });

  /** Who comes or does not, as it happens. Sent twice, it is done once. */
  open('POST /desk/:studioId/messages', async (request) => {
    const { id } = await signedStudio(request);
    const message = readBody('POST /desk/:studioId/messages', request);
    const messageId = request.get('x-wrenfern-message') ?? '';
    return { outcome: await applyMessage(id, messageId, message) };
  });

  /** What can be booked: classes ahead, with who of the desk's own people is in them. */
  open('GET /desk/:studioId/classes', async (request) => {
    const { id: studioId, name } = await signedStudio(request);
    return { studio: name, classes: await classesAhead(studioId, new Date()) };
  });

  return router;
}

const pathOf = (studioId: string) => `/api/desk/${studioId}`;

async function needCalm(counted: RateLimiterMemory, who: string): Promise<void> {
  try {
    await counted.consume(who);
  } catch (error) {
    if (!(error instanceof RateLimiterRes)) throw error;
    const retryAfterS = Math.max(1, Math.ceil(error.msBeforeNext / 1000));
    throw new ApiError('too-many', [], { retryAfterS });
  }
}

async function classesAhead(studioId: string, now: Date) {
  const rows = await rowsOf(ClassRow, studioId).all({
    where: {
      startsAt: { [Op.gte]: addDays(now, -1), [Op.lt]: addDays(now, DAYS_AHEAD) },
      calledOff: null,
    },
    attributes: ['id', 'title', 'startsAt', 'plan', 'revision', 'updatedAt'],
    order: ['startsAt'],
    limit: MOST_CLASSES,
  });
  const bookings = await rowsOf(Booking, studioId).all({
    where: { classId: rows.map(({ id }) => id) },
    attributes: ['classId', 'personId'],
  });
  const people = await rowsOf(PersonRow, studioId).all({
    where: { id: bookings.map(({ personId }) => personId), deskRef: { [Op.ne]: null } },
    attributes: ['id', 'deskRef'],
  });
  const refs = new Map(people.map(({ id, deskRef }) => [id, deskRef]));
  return rows.map(({ id, title, startsAt, plan }) => {
    const own = bookings.filter(({ classId }) => classId === id);
    return {
      id,
      title,
      startsAt: startsAt.toISOString(),
      minutes: Math.round(plan.targetS / 60),
      coming: own.length,
      refs: own.flatMap(({ personId }) => refs.get(personId) ?? []),
    };
  });
}

async function toldLately(studioId: string) {
  const rows = await rowsOf(DeskMessageRow, studioId).all({
    order: [['createdAt', 'DESC']],
    limit: TOLD_LATELY,
  });
  const [people, classes] = await Promise.all([
    rowsOf(PersonRow, studioId).all({
      where: { id: rows.map(({ told }) => told.personId) },
      attributes: ['id', 'name'],
    }),
    rowsOf(ClassRow, studioId).all({
      where: { id: rows.map(({ told }) => told.classId) },
      attributes: ['id', 'title', 'startsAt'],
    }),
  ]);
  return rows.map(({ told, createdAt }) => {
    const lesson = classes.find(({ id }) => id === told.classId);
    return {
      at: createdAt.toISOString(),
      event: told.event,
      person: people.find(({ id }) => id === told.personId)?.name ?? null,
      class: lesson ? { title: lesson.title, startsAt: lesson.startsAt.toISOString() } : null,
    };
  });
}
