import { setTimeout } from 'node:timers/promises';
import { Router, type Request, type RequestHandler, type Response } from 'express';
import type { z } from 'zod';
import { ANSWERS, type Answer, type AnswerOf, type RouteName } from '@wrenfern/contract/answers';
import { ApiError } from '../api/errors.ts';
import { isConflict } from '../db/faults.ts';
import { ClassRow } from '../db/models.ts';
import { ACCESS, isForSettingUp, mayCall } from './access.ts';
import { memberOf, type Member } from './session.ts';

/** For a handler that has written itself what the contract has a schema for. */
export const WRITTEN = Symbol('written');

type Answered<R extends RouteName> =
  AnswerOf<R> extends undefined ? Promise<void> : Promise<AnswerOf<R> | typeof WRITTEN>;
type OpenHandler<R extends RouteName> = (request: Request, response: Response) => Answered<R>;
type ClosedHandler<R extends RouteName> = (
  request: Request,
  member: Member,
  response: Response,
) => Answered<R>;

/**
 * A router whose routes are opened by the access table alone. Every handler is handed who asks, so
 * that none can forget to look.
 */
export function closedRouter() {
  const router = Router();
  return {
    router,
    on: <R extends RouteName>(name: R, handler: ClosedHandler<R>): void => {
      register(router, name, async (request, response) => {
        const member = memberOf(request);
        if (!mayCall(member.role, name)) throw new ApiError('not-allowed');
        if (member.lacksSecondFactor && !isForSettingUp(name)) {
          throw new ApiError('second-factor-needed');
        }
        if (member.role === 'cover') await needHandedOver(request, name, member);
        const answer = await tryAgain(response, async () => handler(request, member, response));
        write(response, name, answer);
      });
    },
    /** For routes that anyone may call. */
    open: <R extends RouteName>(name: R, handler: OpenHandler<R>): void => {
      if (ACCESS[name] !== 'anyone') throw new Error(`${name} is not open to anyone`);
      register(router, name, async (request, response) => {
        write(response, name, await handler(request, response));
      });
    },
  };
}

/**
 * Writes what a handler hands over, with the status that the contract says. A test's app looks whether
 * it is what the contract says; in use the compiler has looked, and nobody waits for it.
 */
function write(response: Response, name: RouteName, answer: unknown): void {
  const said: Answer = ANSWERS[name];
  if (said.kind === 'file' || answer === WRITTEN) return;
  if (said.kind === 'done') {
    response.status(said.status).end();
    return;
  }
  const look = response.app.get(ANSWER_CHECK) as AnswerCheck | undefined;
  look?.(name, said.schema, answer);
  response.status(said.status).json(answer);
}

/** How a test looks at each answer. */
export type AnswerCheck = (name: RouteName, schema: z.ZodType, answer: unknown) => void;

/** The setting of an app under which it is put. */
export const ANSWER_CHECK = 'answer check';

function register(router: Router, name: RouteName, handler: RequestHandler): void {
  const [method = '', path = ''] = name.split(' ');
  router[method.toLowerCase() as 'get'](path, handler);
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
async function tryAgain<T>(response: Response, work: () => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt += 1) {
    try {
      return await work();
    } catch (error) {
      if (attempt === TRIES || response.headersSent || !isConflict(error)) throw error;
      await setTimeout(FIRST_PAUSE_MS * 2 ** attempt * (0.5 + Math.random()));
    }
  }
}
