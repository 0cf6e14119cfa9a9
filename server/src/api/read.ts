import type { Request } from 'express';
import { z } from 'zod';
import { findBrokenText } from './broken-text.ts';
import { ApiError, faultsOf } from './errors.ts';
import { BODIES, QUERIES } from './requests.ts';

type Bodies = typeof BODIES;
type Queries = typeof QUERIES;
/** What a route is given in its body, read. */
export type BodyOf<R extends keyof Bodies> = z.infer<Bodies[R]>;
type QueryOf<R extends keyof Queries> = z.infer<Queries[R]>;

/** The request's body as its route takes it, or a refusal that names each field. */
export function readBody<R extends keyof Bodies>(route: R, request: Request): BodyOf<R> {
  if (request.body === undefined) throw new ApiError('not-json');
  // The compiler does not follow which schema of the table a route picks.
  return readWith(BODIES[route], request.body) as BodyOf<R>;
}

/** What stands behind the address as its route takes it, or a refusal that names each field. */
export function readQuery<R extends keyof Queries>(route: R, request: Request): QueryOf<R> {
  return readWith(QUERIES[route], request.query) as QueryOf<R>;
}

function readWith(schema: z.ZodType, value: unknown): unknown {
  const broken = findBrokenText(value);
  if (broken) {
    throw new ApiError('invalid', [{ path: broken, message: 'holds half a letter, or none' }]);
  }
  const parsed = schema.safeParse(value);
  if (!parsed.success) throw new ApiError('invalid', faultsOf(parsed.error));
  return parsed.data;
}

/** An id from the address; one that can't be an id is nowhere to be found. */
export function readId(request: Request, name = 'id'): string {
  const parsed = z.uuid().safeParse(request.params[name]);
  if (!parsed.success) throw new ApiError('not-found');
  return parsed.data;
}
