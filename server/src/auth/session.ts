import type { Request, RequestHandler } from 'express';
import { ApiError } from '../api/errors.ts';
import type { Role, User } from '../db/models.ts';

/** Who is asking, and for which studio. */
export interface Member {
  userId: string;
  studioId: string;
  role: Role;
}

declare module 'express-session' {
  interface SessionData {
    member?: Member;
  }
}

declare global {
  // eslint-disable-next-line @typescript-eslint/no-namespace -- Express types its request this way
  namespace Express {
    interface Request {
      requestId: string;
    }
  }
}

/** A new session id on every sign-in, so that one known before is worth nothing after. */
export async function signIn(request: Request, user: User): Promise<void> {
  await new Promise<void>((resolve, reject) => {
    request.session.regenerate((error?: Error) => (error ? reject(error) : resolve()));
  });
  request.session.member = { userId: user.id, studioId: user.studioId, role: user.role };
  await new Promise<void>((resolve, reject) => {
    request.session.save((error?: Error) => (error ? reject(error) : resolve()));
  });
}

export async function signOut(request: Request): Promise<void> {
  await new Promise<void>((resolve, reject) => {
    request.session.destroy((error?: Error) => (error ? reject(error) : resolve()));
  });
}

export function memberOf(request: Request): Member {
  const { member } = request.session;
  if (!member) throw new ApiError('not-signed-in');
  return member;
}

export const requireMember: RequestHandler = (request, _response, next) => {
  memberOf(request);
  next();
};

export const requireOwner: RequestHandler = (request, _response, next) => {
  if (memberOf(request).role !== 'owner') throw new ApiError('not-allowed');
  next();
};
