import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import { ConnectionError, UniqueConstraintError } from 'sequelize';
import { ApiError, ERRORS, problemOf } from './errors.ts';

export const notFound: RequestHandler = () => {
  throw new ApiError('not-found');
};

/** Turns whatever was thrown into problem details; what nobody expected is logged whole. */
export function handleErrors(log: Logger): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    const known = recognise(error);
    if (known.code === 'unexpected' || known.code === 'database-away') {
      log.error({ err: error, requestId: request.requestId, path: request.path }, known.code);
    }
    if (response.headersSent) {
      next(error);
      return;
    }
    response
      .status(ERRORS[known.code].status)
      .type('application/problem+json')
      .send(JSON.stringify(problemOf(known, request.requestId)));
  };
}

function recognise(error: unknown): ApiError {
  if (error instanceof ApiError) return error;
  if (error instanceof UniqueConstraintError) return new ApiError('taken');
  if (error instanceof ConnectionError) return new ApiError('database-away');
  const type = typeof error === 'object' && error && 'type' in error ? error.type : undefined;
  if (type === 'entity.too.large') return new ApiError('too-large');
  if (type === 'encoding.unsupported' || type === 'charset.unsupported') {
    return new ApiError('not-json');
  }
  const status = typeof error === 'object' && error && 'status' in error ? error.status : undefined;
  if (type === 'entity.parse.failed' || status === 400) return new ApiError('bad-json');
  return new ApiError('unexpected');
}
