import { randomBytes } from 'node:crypto';
import type { Response } from 'express';
import { classesForCalendar } from '../calendar/classes-for-calendar.ts';
import { writeCalendar } from '../calendar/write-calendar.ts';
import { closedRouter } from '../auth/closed-router.ts';
import { hashOf } from '../auth/known-device.ts';
import { Feed, User } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { ApiError } from './errors.ts';
import { readBody, readId } from './read.ts';
import { studioOf } from './studio.ts';

/** Enough for each calendar that somebody has. */
const MOST_FEEDS = 10;
const TOKEN_BYTES = 32;

/** Classes for other calendars: once as a file, or at a private address that can be taken back. */
export function feedsRouter() {
  const { router, on, open } = closedRouter();

  on('GET /feeds', async (_request, { studioId, userId }) => {
    const rows = await rowsOf(Feed, studioId).all({ where: { userId }, order: ['createdAt'] });
    return { feeds: rows.map(told) };
  });

  /** The address is told here and never again. */
  on('POST /feeds', async (request, { studioId, userId }) => {
    const { onlyOwn } = readBody('POST /feeds', request);
    const feeds = rowsOf(Feed, studioId);
    if ((await feeds.count({ userId })) >= MOST_FEEDS) {
      const message = `${MOST_FEEDS} are the most: take one back first`;
      throw new ApiError('over-quota', [{ path: ['onlyOwn'], message }]);
    }
    const token = randomBytes(TOKEN_BYTES).toString('base64url');
    const row = await feeds.create({ userId, onlyOwn, tokenHash: hashOf(token) });
    return { ...told(row), path: `/api/feeds/${token}/classes.ics` };
  });

  on('DELETE /feeds/:id', async (request, { studioId, userId }) => {
    const removed = await rowsOf(Feed, studioId).remove({ id: readId(request), userId });
    if (removed === 0) throw new ApiError('not-found');
  });

  on('GET /classes.ics', async (_request, member, response) => {
    const { name } = await studioOf(member.studioId);
    const classes = await classesForCalendar(member, false, new Date());
    response.setHeader('Content-Disposition', 'attachment; filename="classes.ics"');
    answer(response, writeCalendar(name, classes));
  });

  /** Calendars can't sign in: whoever has the address reads, while its owner is in the team. */
  open('GET /feeds/:token/classes.ics', async (request, response) => {
    const now = new Date();
    const feed = await Feed.findOne({ where: { tokenHash: hashOf(String(request.params.token)) } });
    const user = feed ? await rowsOf(User, feed.studioId).find({ id: feed.userId }) : null;
    const isOver = Boolean(user?.until && user.until < now.toISOString().slice(0, 10));
    if (!feed || !user || isOver) throw new ApiError('not-found');
    const { studioId, id: userId, role } = user;
    const { name } = await studioOf(studioId);
    const classes = await classesForCalendar({ studioId, userId, role }, feed.onlyOwn, now);
    await feed.update({ readAt: now });
    answer(response, writeCalendar(name, classes));
  });

  return router;
}

function answer(response: Response, calendar: string): void {
  response.type('text/calendar; charset=utf-8').send(calendar);
}

function told({ id, onlyOwn, createdAt, readAt }: Feed) {
  return {
    id,
    onlyOwn,
    madeAt: createdAt.toISOString(),
    readAt: readAt?.toISOString() ?? null,
  };
}
