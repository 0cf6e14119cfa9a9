import type { RequestHandler } from 'express';
import { ApiError } from '../api/errors.ts';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Writes are taken only from our own pages: browsers say so in Sec-Fetch-Site, older ones in Origin.
 * A client that sends neither is no browser, and so carries no one else's cookie.
 */
export const sameOriginWrites: RequestHandler = (request, _response, next) => {
  if (READS.has(request.method)) {
    next();
    return;
  }
  const site = request.get('sec-fetch-site');
  if (site && site !== 'same-origin' && site !== 'none') throw new ApiError('cross-site');
  const origin = request.get('origin');
  const here = `${request.protocol}://${request.get('host') ?? ''}`;
  if (origin && origin !== here) throw new ApiError('cross-site');
  next();
};
