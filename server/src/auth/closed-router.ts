import { setTimeout } from 'node:timers/promises';
import { Router, type Request, type RequestHandler, type Response } from 'express';
import { ApiError } from '../api/errors.ts';
import { isConflict } from '../db/faults.ts';
import { ClassRow } from '../db/models.ts';
import { ACCESS, isForSettingUp, mayCall, type RouteName } from './access.ts';
import { memberOf, type Member } from './session.ts';

type Answer = void | Promise<void>;
export type ClosedHandler = (request: Request, response: Response, member: Member) => Answer;

/**
 * A router whose routes are opened by the access table alone. Every handler is handed who asks, so
 * that none can forget to look.
 */
export function closedRouter() {
  const router = Router();
  return {
    router,
    on: (name: RouteName, handler: ClosedHandler): void => {
      register(router, name, async (request, response) => {
        const member = memberOf(request);
        if (!mayCall(member.role, name)) throw new ApiError('not-allowed');
        if (member.lacksSecondFactor && !isForSettingUp(name)) {
          throw new ApiError('second-factor-needed');
        }
        if (member.role === 'cover') await needHandedOver(request, name, member);
        await tryAgain(response, async () => handler(request, response, member));
      });
    },
    /** For routes that anyone may call. */
    open: (name: RouteName, ...handlers: RequestHandler[]): void => {
      if (ACCESS[name] !== 'anyone') throw new Error(`${name} is not open to anyone`);
      register(router, name, ...handlers);
    },
  };
}

function register(router: Router, name: RouteName, ...handlers: RequestHandler[]): void {
  const [method = '', path = ''] = name.split(' ');
  router[method.toLowerCase() as 'get'](path, ...handlers);
}

/** Whoever covers a class is a stranger to every other: those are nowhere to be found. */
async function needHandedOver(request: Request, name: RouteName, member: Member): Promise<void> {
  if (!name.includes(' /classes/:id')) return;
  const { id } = request.params;
  const handed = await ClassRow.count({
    where: { id: String(id), studioId: member.studioId, coverUserId: member.userId },
  });
  if (handed === 0) throw new ApiError('not-found');
}

const TRIES = 4;
const FIRST_PAUSE_MS = 15;

/** A deadlock, or being second in a cluster, changed nothing: the same again goes through. */
async function tryAgain(response: Response, work: () => Promise<void>): Promise<void> {
  for (let attempt = 1; ; attempt += 1) {
    try {
      await work();
      return;
    } catch (error) {
      if (attempt === TRIES || response.headersSent || !isConflict(error)) throw error;
      await setTimeout(FIRST_PAUSE_MS * 2 ** attempt * (0.5 + Math.random()));
    }
  }
}
