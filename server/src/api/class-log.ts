import type { Response } from 'express';
import { Op, type Transaction } from 'sequelize';
import { classLengthS } from '@wrenfern/core/live/class-length';
import { LiveEvent } from '@wrenfern/core/live/events';
import { closedRouter } from '../auth/closed-router.ts';
import type { Member } from '../auth/session.ts';
import { ClassEvent, ClassNote, ClassRow, databaseOfModels, PlanRevision } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import type { Follower } from '../live/follow-events.ts';
import { ApiError } from './errors.ts';
import { followPace } from './own-pace.ts';
import { readBody, readId, readQuery } from './read.ts';
import { studioOf } from './studio.ts';

const DAY_MS = 86_400_000;
/** A class has no more presses than this. */
const MOST_EVENTS = 5_000;
/** Then the browser asks again, and whether it still may is looked at anew. */
const STREAM_MS = 60_000;
const STREAMS_EACH = 8;

/** A class as it was taught: events while it runs, a note when it is over. */
export function classLogRouter(follower: Follower) {
  const { router, on } = closedRouter();
  /** Streams open in this process, by user. */
  const streams = new Map<string, number>();

  /** What was pressed after `after`, and the plan as it is taught once the class has begun. */
  on('GET /classes/:id/events', async (request, { studioId }) => {
    const row = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    const { after } = readQuery('GET /classes/:id/events', request);
    return {
      ...(await pressedAfter(studioId, row.id, after)),
      taught: await planTaught(studioId, row),
    };
  });

  /** Sent twice, an event is kept once. Answers what this device has not seen. */
  on('POST /classes/:id/events', async (request, { studioId }) => {
    const row = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    const { events, after } = readBody('POST /classes/:id/events', request);
    needTimesOf(row, events);
    if ((await rowsOf(ClassEvent, studioId).count({ classId: row.id })) >= MOST_EVENTS) {
      throw new ApiError('over-quota', [{ path: ['events'], message: 'the class has too many' }]);
    }
    await databaseOfModels().transaction(async (transaction) => {
      const start = events.find((event) => event.type === 'start');
      if (start) await keepAsTaught(studioId, row.id, start.revision, transaction);
      await ClassEvent.bulkCreate(
        events.map((event) => ({ eventId: event.id, studioId, classId: row.id, event })),
        { ignoreDuplicates: true, transaction },
      );
      if (events.some(({ type }) => type === 'end')) await keepLength(row, transaction);
    });
    if (events.some(({ type }) => type === 'end')) {
      await followPace(row, await studioOf(studioId)).catch((error: unknown) => {
        // The presses stand, whatever becomes of what is learned from them; the next class learns it again.
        process.stderr.write(`wrenfern: a pace was not learned: ${String(error)}\n`);
      });
    }
    return await pressedAfter(studioId, row.id, after);
  });

  /** Follows a class: server-sent events, each a list of what is new. */
  on('GET /classes/:id/events/stream', async (request, member, response) => {
    const row = await rowsOf(ClassRow, member.studioId).one({ id: readId(request) });
    openStream(response, row.id, member);
  });

  function openStream(response: Response, classId: string, { userId }: Member): void {
    const open = streams.get(userId) ?? 0;
    if (open >= STREAMS_EACH) throw new ApiError('too-many', [], { retryAfterS: 5 });
    streams.set(userId, open + 1);
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
    });
    response.write('retry: 1000\n\n');
    const unfollow = follower.follow(classId, (pressed) => {
      response.write(`data: ${JSON.stringify({ pressed })}\n\n`);
    });
    const end = setTimeout(() => response.end(), STREAM_MS);
    response.on('close', () => {
      clearTimeout(end);
      unfollow();
      const left = (streams.get(userId) ?? 1) - 1;
      if (left > 0) streams.set(userId, left);
      else streams.delete(userId);
    });
  }

  on('GET /classes/:id/note', async (request, { studioId }) => {
    const row = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    return await noteOf(studioId, row.id);
  });

  on('PUT /classes/:id/note', async (request, { studioId }) => {
    const { id: classId } = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    const { revision, ...note } = readBody('PUT /classes/:id/note', request);
    const notes = rowsOf(ClassNote, studioId);
    const isTaken =
      revision === 0
        ? await isFirst(studioId, classId, note)
        : await notes.revise({ classId }, revision, note);
    const now = await noteOf(studioId, classId);
    if (!isTaken) throw new ApiError('stale', [], { current: now });
    return now;
  });

  return router;
}

async function pressedAfter(studioId: string, classId: string, after: number) {
  const rows = await rowsOf(ClassEvent, studioId).all({
    where: { classId, seq: { [Op.gt]: after } },
    order: ['seq'],
  });
  return {
    pressed: rows.map((row) => ({ seq: row.seq, event: row.event })),
    /** For devices to set their clocks by. */
    nowMs: Date.now(),
  };
}

/** How long a class took, written on it at its end: lists of classes don't read every press for it. */
async function keepLength({ id: classId, studioId }: ClassRow, transaction: Transaction) {
  const rows = await rowsOf(ClassEvent, studioId).all({ where: { classId }, transaction });
  const tookS = classLengthS(rows.map(({ event }) => event));
  await rowsOf(ClassRow, studioId).update({ tookS }, { id: classId }, transaction);
}

/** The saved plan that a class was begun with; null before it is begun. */
async function planTaught(studioId: string, { id, taughtRevision }: ClassRow) {
  if (taughtRevision === null) return null;
  const row = await rowsOf(PlanRevision, studioId).find({
    classId: id,
    revision: taughtRevision,
  });
  return row ? { revision: row.revision, plan: row.plan } : null;
}

/** From its first start on, a class keeps the plan that the teacher had on the screen. */
async function keepAsTaught(
  studioId: string,
  classId: string,
  wanted: number | undefined,
  transaction: Transaction,
): Promise<void> {
  const row = await rowsOf(ClassRow, studioId).locked({ id: classId }, transaction);
  if (row.taughtRevision !== null) return;
  const revisions = rowsOf(PlanRevision, studioId);
  const known =
    wanted === undefined ? null : await revisions.find({ classId, revision: wanted }, transaction);
  const taughtRevision = known?.revision ?? row.revision;
  if (!known && !(await revisions.find({ classId, revision: row.revision }, transaction))) {
    await revisions.create(
      { classId, revision: row.revision, plan: row.plan, savedBy: '' },
      transaction,
    );
  }
  await row.update({ taughtRevision }, { transaction });
}

function needTimesOf(row: ClassRow, events: readonly LiveEvent[]): void {
  const startMs = row.startsAt.getTime();
  events.forEach(({ atMs, type }, index) => {
    // How hard it was is often said in the next class.
    if (type === 'effort' || Math.abs(atMs - startMs) <= DAY_MS) return;
    throw new ApiError('invalid', [
      { path: ['events', index, 'atMs'], message: 'is more than a day away from the class' },
    ]);
  });
}

async function noteOf(studioId: string, classId: string) {
  const row = await rowsOf(ClassNote, studioId).find({ classId });
  return { effort: row?.effort ?? null, note: row?.note ?? '', revision: row?.revision ?? 0 };
}

/** The first note is a new row; of two at once one makes it. */
async function isFirst(
  studioId: string,
  classId: string,
  note: { effort: number | null; note: string },
): Promise<boolean> {
  const made = await ClassNote.bulkCreate([{ ...note, classId, studioId, revision: 1 }], {
    ignoreDuplicates: true,
  });
  const now = await rowsOf(ClassNote, studioId).one({ classId });
  return (
    made.length === 1 && now.revision === 1 && now.note === note.note && now.effort === note.effort
  );
}
