import { Store, type SessionData } from 'express-session';
import { QueryTypes } from 'sequelize';
import type { Role } from '@wrenfern/contract/account';
import { databaseOfModels, SessionRow, Studio } from '../db/models.ts';

const DAY_MS = 86_400_000;
/** Not seen for so long, a session is over. */
export const IDLE_MS = 14 * DAY_MS;
/** However often it is used, a session ends after so long. */
export const LONGEST_MS = 60 * DAY_MS;
/** Being seen is written down no more often than this. */
const SEEN_EVERY_MS = 5 * 60_000;

type Done<T = unknown> = (error?: unknown, value?: T) => void;

/**
 * Sessions as rows. Whether one still holds is asked of the database every time, together with the
 * user it belongs to: who was removed, demoted or signed out elsewhere is out with the next request.
 */
export class SessionStore extends Store {
  override get(sid: string, done: Done<SessionData | null>): void {
    find(sid, new Date()).then((found) => done(null, found), done);
  }

  override set(sid: string, session: SessionData, done: Done = () => undefined): void {
    write(sid, session, new Date()).then(() => done(), done);
  }

  override destroy(sid: string, done: Done = () => undefined): void {
    SessionRow.destroy({ where: { sid } }).then(() => done(), done);
  }

  override touch(sid: string, session: SessionData, done: Done = () => undefined): void {
    see(sid, session, new Date()).then(() => done(), done);
  }
}

interface Joined {
  data: string;
  seenAt: Date;
  userId: string;
  userName: string;
  studioId: string;
  role: Role;
  until: string | null;
  isDemo: number | boolean;
  lacksSecondFactor: number;
}

/** One question for every request, so it is asked as plain SQL. */
async function find(sid: string, now: Date): Promise<SessionData | null> {
  const begun = new Date(now.getTime() - LONGEST_MS);
  const [row] = await databaseOfModels().query<Joined>(
    `SELECT sessions.data, sessions.seenAt, users.id AS userId, users.name AS userName,
        users.studioId, users.role, users.until, studios.isDemo,
        studios.needsSecondFactor AND users.secondFactor IS NULL AS lacksSecondFactor
      FROM sessions
      JOIN users ON users.id = sessions.userId AND users.epoch = sessions.epoch
      JOIN studios ON studios.id = users.studioId
      WHERE sessions.sid = :sid AND sessions.expires > :now AND sessions.startedAt > :begun`,
    { replacements: { sid, now, begun }, type: QueryTypes.SELECT },
  );
  if (!row) return null;
  const { userId, userName, studioId, role } = row;
  if (row.until && row.until < now.toISOString().slice(0, 10)) return null;
  return {
    ...(JSON.parse(row.data) as SessionData),
    seenAtMs: row.seenAt.getTime(),
    member: {
      userId,
      userName,
      studioId,
      role,
      isDemo: Boolean(row.isDemo),
      lacksSecondFactor: Boolean(row.lacksSecondFactor),
    },
  };
}

/** Only a sign-in makes a row: what was signed out meanwhile is not brought back by a late answer. */
async function write(sid: string, session: SessionData, now: Date): Promise<void> {
  const data = JSON.stringify({ cookie: session.cookie });
  const expires = new Date(now.getTime() + IDLE_MS);
  if (!session.begins) {
    await SessionRow.update({ data }, { where: { sid } });
    return;
  }
  const { userId, epoch, device } = session.begins;
  await SessionRow.create({
    sid,
    userId,
    epoch,
    device,
    startedAt: now,
    seenAt: now,
    expires,
    data,
  });
}

async function see(sid: string, session: SessionData, now: Date): Promise<void> {
  const { member, seenAtMs } = session;
  if (!member || seenAtMs === undefined || now.getTime() - seenAtMs < SEEN_EVERY_MS) return;
  const expires = new Date(now.getTime() + IDLE_MS);
  await SessionRow.update({ seenAt: now, expires }, { where: { sid } });
  await Studio.update({ usedAt: now }, { where: { id: member.studioId }, silent: true });
}
