import type { RequestHandler } from 'express';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { ApiError } from './errors.ts';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * So many writes a minute for each session, in each process: far more than anybody's hands make, and
 * too few to fill a disk or starve the others. Counted in memory, for it guards the process's own time.
 */
export function limitWrites(perMinute: number): RequestHandler {
  const counted = new RateLimiterMemory({ points: Math.max(1, perMinute), duration: 60 });
  return (request, _response, next) => {
    const { member } = request.session;
    if (!member || READS.has(request.method)) {
      next();
      return;
    }
    counted.consume(request.sessionID, 1).then(
      () => next(),
      (error: unknown) => {
        if (!(error instanceof RateLimiterRes)) {
          next(error);
          return;
        }
        const retryAfterS = Math.max(1, Math.ceil(error.msBeforeNext / 1000));
        next(new ApiError('too-many', [], { retryAfterS }));
      },
    );
  };
}
