import { randomBytes } from 'node:crypto';
import type { Response } from 'express';
import type { WallTold } from '@wrenfern/contract/wall';
import { closedRouter } from '../auth/closed-router.ts';
import { hashOf } from '../auth/known-device.ts';
import type { Member } from '../auth/session.ts';
import { ClassEvent, ClassRow, PlanRevision } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';
import type { Follower } from '../live/follow-events.ts';
import { openWallRoom, wallKey, type WallRoom } from '../live/wall-room.ts';
import { wholeClass } from './classes.ts';
import { ApiError } from './errors.ts';
import { readId } from './read.ts';
import { catalogueOf } from './studio-catalogue.ts';

const TOKEN_BYTES = 24;
/** Then the screen asks again, and whether it still may is looked at anew. */
const STREAM_MS = 60_000;
/** How often a screen looks where the class is, and whether it still may. */
const LOOK_MS = 1_000;
const MAY_MS = 5_000;
/** Told at least so often: a screen that hears nothing has lost the class. */
const HEARD_MS = 10_000;
/** Screens in one room, and what a stranger with the address can open. */
const MOST_SCREENS = 8;
const DAY_MS = 86_400_000;

/** A class for the people in the room: at a private address that can be taken back, without a name. */
export function wallRouter(follower: Follower) {
  const { router, on, open } = closedRouter();
  /** Screens open in this process, by class. */
  const screens = new Map<string, number>();

  on('GET /classes/:id/wall', async (request, { studioId }) => {
    const { wallSince } = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    return { since: wallSince?.toISOString() ?? null };
  });

  /** A new address: the one before is taken back. It is told here and never again. */
  on('POST /classes/:id/wall', async (request, { studioId }) => {
    const row = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    const token = randomBytes(TOKEN_BYTES).toString('base64url');
    await row.update({ wallHash: hashOf(token), wallSince: new Date() });
    return { path: `/wall/${token}` };
  });

  on('DELETE /classes/:id/wall', async (request, { studioId }) => {
    const row = await rowsOf(ClassRow, studioId).one({ id: readId(request) });
    await row.update({ wallHash: null, wallSince: null });
  });

  /** Whoever has the address follows the class, on its day. */
  open('GET /wall/:token/stream', async (request, response) => {
    const wallHash = hashOf(String(request.params.token));
    const row = await ClassRow.findOne({ where: { wallHash } });
    if (!row || !isItsDay(row)) throw new ApiError('not-found');
    const open = screens.get(row.id) ?? 0;
    if (open >= MOST_SCREENS) throw new ApiError('too-many', [], { retryAfterS: 5 });
    screens.set(row.id, open + 1);
    const leave = () => {
      const left = (screens.get(row.id) ?? 1) - 1;
      if (left > 0) screens.set(row.id, left);
      else screens.delete(row.id);
    };
    try {
      show(response, row, wallHash, await roomOf(row), leave);
    } catch (error) {
      leave();
      throw error;
    }
  });

  function show(
    response: Response,
    row: ClassRow,
    wallHash: string,
    room: WallRoom,
    leave: () => void,
  ): void {
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
    });
    response.write('retry: 1000\n\n');
    let told = '';
    let toldAt = 0;
    const tell = () => {
      const view: WallTold = room.view(Date.now());
      const key = wallKey(view);
      if (key === told && Date.now() - toldAt < HEARD_MS) return;
      told = key;
      toldAt = Date.now();
      response.write(`data: ${JSON.stringify(view)}\n\n`);
    };
    const unfollow = follower.follow(row.id, (pressed) => {
      room.press(pressed.map(({ event }) => event));
      told = '';
      tell();
    });
    const look = setInterval(tell, LOOK_MS);
    const may = setInterval(() => {
      void ClassRow.count({ where: { id: row.id, wallHash } }).then(
        (still) => still === 0 && response.end(),
        () => response.end(),
      );
    }, MAY_MS);
    const end = setTimeout(() => response.end(), STREAM_MS);
    tell();
    response.on('close', () => {
      clearInterval(look);
      clearInterval(may);
      clearTimeout(end);
      unfollow();
      leave();
    });
  }

  return router;
}

function isItsDay({ startsAt }: ClassRow): boolean {
  return Math.abs(Date.now() - startsAt.getTime()) < DAY_MS;
}

/** All that the class is made of, as its teacher has it; none of it leaves the server but what the room may see. */
async function roomOf(row: ClassRow): Promise<WallRoom> {
  const { studioId } = row;
  const lesson = await wholeClass(row, seesAll(studioId));
  const taught =
    row.taughtRevision === null
      ? null
      : await rowsOf(PlanRevision, studioId).find({
          classId: row.id,
          revision: row.taughtRevision,
        });
  const plan = taught?.plan ?? row.plan;
  const room = openWallRoom(lesson, plan, await catalogueOf(studioId));
  const pressed = await rowsOf(ClassEvent, studioId).all({
    where: { classId: row.id },
    order: ['seq'],
  });
  room.press(pressed.map(({ event }) => event));
  return room;
}

/** The server itself, which works out for everybody what each does. */
function seesAll(studioId: string): Member {
  return {
    userId: '',
    userName: '',
    studioId,
    role: 'owner',
    isDemo: false,
    lacksSecondFactor: false,
  };
}
