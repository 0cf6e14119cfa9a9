import type { Request } from 'express';
import { ApiError } from '../api/errors.ts';
import type { Role } from '@wrenfern/contract/account';
import { SessionRow, Studio, type User } from '../db/models.ts';
import { deviceOf } from './device-words.ts';

/** Who is asking, and for which studio: as the database says it now. */
export interface Member {
  userId: string;
  userName: string;
  studioId: string;
  role: Role;
  isDemo: boolean;
  /** The studio asks for a second factor, and this member has none yet. */
  lacksSecondFactor: boolean;
}

/** What is written down of who came in, who was refused, and what was changed about coming in. */
export type SecurityEvent =
  | 'signed-in'
  | 'signed-out'
  | 'refused'
  | 'password-changed'
  | 'second-factor-set'
  | 'second-factor-ended'
  | 'recovery-code-used'
  | 'sessions-ended'
  | 'invited'
  | 'reset-offered'
  | 'part-changed'
  | 'member-removed';

declare module 'express-session' {
  interface SessionData {
    member?: Member;
    seenAtMs?: number;
    /** Set by a sign-in only, for the store to make its row. */
    begins?: { userId: string; epoch: number; device: string };
  }
}

declare global {
  // eslint-disable-next-line @typescript-eslint/no-namespace -- Express types its request this way
  namespace Express {
    interface Request {
      requestId: string;
      /** The bytes of the body, where they are signed. */
      rawBody?: Buffer;
      /** Writes down something that matters to whoever guards the server: no addresses, no secrets. */
      note: (event: SecurityEvent, about?: { userId?: string; code?: string }) => void;
    }
  }
}

/** A new session id on every sign-in, so that one known before is worth nothing after. */
export async function signIn(request: Request, user: User): Promise<void> {
  await new Promise<void>((resolve, reject) => {
    request.session.regenerate((error?: Error) => (error ? reject(error) : resolve()));
  });
  request.session.begins = {
    userId: user.id,
    epoch: user.epoch,
    device: deviceOf(request.get('user-agent') ?? ''),
  };
  await new Promise<void>((resolve, reject) => {
    request.session.save((error?: Error) => (error ? reject(error) : resolve()));
  });
  delete request.session.begins;
  request.note('signed-in', { userId: user.id });
  await Studio.update({ usedAt: new Date() }, { where: { id: user.studioId }, silent: true });
}

export async function signOut(request: Request): Promise<void> {
  const userId = request.session.member?.userId;
  if (userId) request.note('signed-out', { userId });
  await new Promise<void>((resolve, reject) => {
    request.session.destroy((error?: Error) => (error ? reject(error) : resolve()));
  });
}

/** Ends every session of a user: the rows, and whatever may still be on its way to one. */
export async function endSessionsOf(user: User): Promise<void> {
  await user.increment('epoch');
  await SessionRow.destroy({ where: { userId: user.id } });
  await user.reload();
}

export function memberOf(request: Request): Member {
  const { member } = request.session;
  if (!member) throw new ApiError('not-signed-in');
  return member;
}
