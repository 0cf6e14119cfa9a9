import { randomUUID } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import type { RequestHandler } from 'express';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';

/** Whoever has the address of a feed reads it. */
const SECRET_ADDRESS = /^(\/api\/feeds\/)[^/]+(?=\/)/;

/**
 * A line for each request when it is answered, and an id that is told to whoever asked. Neither bodies
 * nor headers are logged: they hold people.
 */
export function logRequests(log: Logger): RequestHandler {
  const write = pinoHttp({
    logger: log,
    genReqId(_request, response) {
      const id = randomUUID();
      response.setHeader('X-Request-Id', id);
      return id;
    },
    // What went wrong is logged where it is caught, with its cause.
    customLogLevel: () => 'info',
    customSuccessMessage: () => 'request',
    customErrorMessage: () => 'request',
    customAttributeKeys: { responseTime: 'tookMs' },
    customProps: (request) => ({ requestId: request.id }),
    wrapSerializers: false,
    serializers: {
      req: ({ method, url }: IncomingMessage) => ({ method, path: shownPath(url ?? '') }),
      res: ({ statusCode }: ServerResponse) => ({ status: statusCode }),
      err: () => undefined,
    },
  });
  return (request, response, next) => {
    write(request, response);
    const { id } = request;
    request.requestId = typeof id === 'string' ? id : randomUUID();
    request.note = (event, about) =>
      log.info({ requestId: request.requestId, event, ...about }, 'security');
    next();
  };
}

/** The address of a calendar is a secret: it does not go into the log. */
function shownPath(url: string): string {
  return url.replace(SECRET_ADDRESS, '$1');
}
