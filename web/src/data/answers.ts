import useSWR, { type SWRConfiguration, type SWRResponse } from 'swr';
import { z } from 'zod';
import { readAnswer, request } from './request.ts';

/** Answers asked for before the hook that reads them was there. Each is read once. */
const ahead = new Map<string, Promise<unknown>>();

/** Asks before the screen that wants it is there. */
export function askAhead(path: string): void {
  const answer = request(z.unknown(), 'GET', path);
  // A refusal is told by the hook that reads this answer.
  answer.catch(() => undefined);
  ahead.set(path, answer);
}

/** After a sign-in, what was asked as a stranger is worth nothing. */
export function forgetAsked(): void {
  ahead.clear();
}

/** What stands at an address, with its schema. */
export async function read<S extends z.ZodType>(schema: S, path: string): Promise<z.infer<S>> {
  const asked = ahead.get(path);
  ahead.delete(path);
  return asked ? readAnswer(schema, await asked) : request(schema, 'GET', path);
}

/** What stands at an address, kept and asked for again; not asked for while there is no address. */
export function useAnswer<S extends z.ZodType>(
  schema: S,
  path: string | null,
  options: SWRConfiguration<z.infer<S>, Error> = {},
): SWRResponse<z.infer<S>, Error> {
  return useSWR<z.infer<S>, Error>(path, (at: string) => read(schema, at), options);
}
