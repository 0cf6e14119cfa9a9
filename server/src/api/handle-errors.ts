import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import {
  ConnectionAcquireTimeoutError,
  ConnectionError,
  ForeignKeyConstraintError,
  UniqueConstraintError,
} from 'sequelize';
import { isConflict, isOverTime, isUnstorable, withoutValues } from '../db/faults.ts';
import { UnreadableColumn } from '../db/models.ts';
import { ApiError, ERRORS, problemOf, type ErrorCode } from './errors.ts';

export const notFound: RequestHandler = () => {
  throw new ApiError('not-found');
};

/** Turns whatever was thrown into problem details; what nobody expected is logged whole. */
export function handleErrors(log: Logger): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    const known = recognise(error);
    if (NOTED.has(known.code)) {
      log.error(
        { err: withoutValues(error), requestId: request.requestId, path: request.path },
        known.code,
      );
    }
    if (REFUSED.has(known.code)) {
      // A request that never got as far as its session has none.
      const userId = (request as Partial<typeof request>).session?.member?.userId;
      request.note('refused', { code: known.code, ...(userId ? { userId } : {}) });
    }
    if (response.headersSent) {
      next(error);
      return;
    }
    const { retryAfterS } = known.extra;
    if (typeof retryAfterS === 'number') response.setHeader('Retry-After', retryAfterS);
    else if (ERRORS[known.code].status === 503) response.setHeader('Retry-After', RETRY_S);
    response
      .status(ERRORS[known.code].status)
      .type('application/problem+json')
      .send(JSON.stringify(problemOf(known, request.requestId)));
  };
}

const NOTED = new Set<ErrorCode>(['unexpected', 'unreadable', 'database-away', 'busy']);
/** Somebody tried what they may not, or guessed. */
const REFUSED = new Set<ErrorCode>([
  'wrong-credentials',
  'second-factor',
  'second-factor-needed',
  'not-allowed',
  'cross-site',
  'link-spent',
  'too-many',
]);
const RETRY_S = 3;

function recognise(error: unknown): ApiError {
  if (error instanceof ApiError) return error;
  if (error instanceof UnreadableColumn) return new ApiError('unreadable');
  if (error instanceof UniqueConstraintError) return new ApiError('taken');
  if (error instanceof ForeignKeyConstraintError) return new ApiError('still-named');
  if (error instanceof ConnectionAcquireTimeoutError) return new ApiError('busy');
  if (error instanceof ConnectionError) return new ApiError('database-away');
  if (isOverTime(error) || isConflict(error)) return new ApiError('busy');
  if (isUnstorable(error)) return new ApiError('invalid');
  const type = typeof error === 'object' && error && 'type' in error ? error.type : undefined;
  if (type === 'entity.too.large') return new ApiError('too-large');
  if (type === 'encoding.unsupported' || type === 'charset.unsupported') {
    return new ApiError('not-json');
  }
  const status = typeof error === 'object' && error && 'status' in error ? error.status : undefined;
  if (type === 'entity.parse.failed' || status === 400) return new ApiError('bad-json');
  return new ApiError('unexpected');
}
