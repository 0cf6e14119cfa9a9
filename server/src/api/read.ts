import type { Request } from 'express';
import { z } from 'zod';
import { ApiError, faultsOf } from './errors.ts';

/** The request's body as the schema says, or a refusal that names each field. */
export function readBody<S extends z.ZodType>(schema: S, request: Request): z.infer<S> {
  if (request.body === undefined) throw new ApiError('not-json');
  return readWith(schema, request.body);
}

export function readQuery<S extends z.ZodType>(schema: S, request: Request): z.infer<S> {
  return readWith(schema, request.query);
}

function readWith<S extends z.ZodType>(schema: S, value: unknown): z.infer<S> {
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
