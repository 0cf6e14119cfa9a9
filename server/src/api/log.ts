import { Router } from 'express';
import { z } from 'zod';
import { LiveEvent } from '@wrenfern/core/live/events';
import { memberOf } from '../auth/session.ts';
import { ClassEvent, ClassNote, ClassRow } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import { readBody, readId } from './read.ts';

const Events = z.strictObject({ events: z.array(LiveEvent).min(1).max(200) });

const Note = z.strictObject({
  /** How hard it was for the group: 1 easy to 5 very hard. */
  effort: z.number().int().min(1).max(5).nullable(),
  note: z.string().max(4000),
});

/** A class as it was taught: events while it runs, a note when it is over. */
export function logRouter(): Router {
  const router = Router();

  router.get('/classes/:id/events', async (request, response) => {
    const { studioId } = memberOf(request);
    const row = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    response.json({ events: await eventsOf(studioId, row.id) });
  });

  /** Sent twice, an event is kept once. */
  router.post('/classes/:id/events', async (request, response) => {
    const { studioId } = memberOf(request);
    const row = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    const { events } = readBody(Events, request);
    await ClassEvent.bulkCreate(
      events.map((event) => ({ eventId: event.id, studioId, classId: row.id, event })),
      { ignoreDuplicates: true },
    );
    response.status(201).json({ events: await eventsOf(studioId, row.id) });
  });

  router.get('/classes/:id/note', async (request, response) => {
    const { studioId } = memberOf(request);
    const row = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    const note = await rowsOf(ClassNote, studioId).find({ classId: row.id });
    response.json({ effort: note?.effort ?? null, note: note?.note ?? '' });
  });

  router.put('/classes/:id/note', async (request, response) => {
    const { studioId } = memberOf(request);
    const row = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    const note = readBody(Note, request);
    await ClassNote.upsert({ ...note, classId: row.id, studioId });
    response.json(note);
  });

  return router;
}

async function eventsOf(studioId: string, classId: string): Promise<LiveEvent[]> {
  const rows = await rowsOf(ClassEvent, studioId).all({ where: { classId }, order: ['seq'] });
  return rows.map((row) => row.event);
}
