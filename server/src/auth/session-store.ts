import { Store, type SessionData } from 'express-session';
import { Op } from 'sequelize';
import { SessionRow, Studio, type User } from '../db/models.ts';

const DAY_MS = 86_400_000;
/** Not seen for so long, a session is over. */
export const IDLE_MS = 14 * DAY_MS;
/** However often it is used, a session ends after so long. */
export const LONGEST_MS = 60 * DAY_MS;
/** Being seen is written down no more often than this. */
const SEEN_EVERY_MS = 5 * 60_000;

type Done<T = unknown> = (error?: unknown, value?: T) => void;
type Joined = SessionRow & { user: User & { studio: Studio } };

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

async function find(sid: string, now: Date): Promise<SessionData | null> {
  const row = (await SessionRow.findOne({
    where: {
      sid,
      expires: { [Op.gt]: now },
      startedAt: { [Op.gt]: new Date(now.getTime() - LONGEST_MS) },
    },
    include: [
      {
        association: 'user',
        required: true,
        include: [{ association: 'studio', required: true, attributes: ['id', 'isDemo'] }],
      },
    ],
  })) as Joined | null;
  if (row?.epoch !== row?.user.epoch || !row) return null;
  const { user } = row;
  if (user.until && user.until < now.toISOString().slice(0, 10)) return null;
  return {
    ...(JSON.parse(row.data) as SessionData),
    seenAtMs: row.seenAt.getTime(),
    member: {
      userId: user.id,
      userName: user.name,
      studioId: user.studioId,
      role: user.role,
      isDemo: user.studio.isDemo,
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
