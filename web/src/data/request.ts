import { z } from 'zod';
import { forgetDay } from './day-cache.ts';

/** One field at fault, as a path into what was sent. */
export interface FieldFault {
  path: (string | number)[];
  message: string;
}

/** A request that did not do what was asked; `code` is the server's, or `offline`. */
export class RequestProblem extends Error {
  readonly code: string;
  readonly status: number;
  readonly fields: FieldFault[];
  readonly details: Record<string, unknown>;

  constructor(
    code: string,
    status: number,
    title: string,
    fields: FieldFault[] = [],
    details: Record<string, unknown> = {},
  ) {
    super(title);
    this.code = code;
    this.status = status;
    this.fields = fields;
    this.details = details;
  }
}

const OFFLINE = 'The server can’t be reached. Check the connection; nothing you wrote is lost.';

const UNREADABLE =
  'The server answered something that this page can’t read. Reload the page; nothing you wrote is lost.';

/** A server that takes longer is as good as away; what was sent may have arrived all the same. */
const ANSWER_WITHIN_MS = 30_000;

/**
 * Sends JSON or a file and reads what is answered with its schema. Throws a `RequestProblem` for every
 * refusal, for a lost connection, and for an answer of another version.
 */
export async function request<S extends z.ZodType>(
  schema: S,
  method: string,
  path: string,
  body?: unknown,
): Promise<z.infer<S>> {
  return readAnswer(schema, parse(await textOf(await ask(method, path, body))));
}

/** The same where nothing is answered but that it was done. */
export async function send(method: string, path: string, body?: unknown): Promise<void> {
  await textOf(await ask(method, path, body));
}

/** The same where the answer is a file. */
export async function requestFile(method: string, path: string, body?: unknown): Promise<Blob> {
  const response = await ask(method, path, body);
  if (response.ok) return response.blob();
  throw problemOf(response.status, parse(await response.text()));
}

async function textOf(response: Response): Promise<string> {
  const text = await response.text();
  if (response.ok) return text;
  if (response.status === 401) await forgetDay();
  throw problemOf(response.status, text ? parse(text) : undefined);
}

async function ask(method: string, path: string, body: unknown): Promise<Response> {
  try {
    return await fetch(`/api${path}`, {
      method,
      signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
      ...contentOf(body),
    });
  } catch (error) {
    throw Object.assign(new RequestProblem('offline', 0, OFFLINE), { cause: error });
  }
}

function contentOf(body: unknown): RequestInit {
  if (body === undefined) return {};
  if (body instanceof Blob) return { body, headers: { 'Content-Type': 'application/zip' } };
  return { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } };
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch (error) {
    throw Object.assign(new RequestProblem('unreadable', 0, UNREADABLE), { cause: error });
  }
}

/** An answer as its schema says; a `RequestProblem` when another version of the server wrote it. */
export function readAnswer<S extends z.ZodType>(schema: S, value: unknown): z.infer<S> {
  const read = schema.safeParse(value);
  if (read.success) return read.data;
  throw Object.assign(new RequestProblem('unreadable', 0, UNREADABLE), { cause: read.error });
}

/** RFC 9457 problem details, as far as the screens tell them. */
const Problem = z.looseObject({
  code: z.string().catch('unexpected'),
  title: z.string().catch('Something went wrong on the server.'),
  errors: z
    .array(z.object({ path: z.array(z.union([z.string(), z.number()])), message: z.string() }))
    .catch([]),
});

function problemOf(status: number, value: unknown): RequestProblem {
  const { code, title, errors, ...details } = Problem.parse(value ?? {});
  return new RequestProblem(code, status, title, errors, details);
}

/** The problem's sentence with the fields at fault, for a message. */
export function sentenceOf(error: unknown): string {
  if (!(error instanceof RequestProblem)) return 'Something went wrong in the page.';
  const fields = error.fields.map(({ path, message }) => {
    const where = path.filter((part) => typeof part === 'string').join(' › ');
    return where ? `${where}: ${message}` : message;
  });
  const { requestId } = error.details;
  const noted =
    error.status >= 500 && typeof requestId === 'string' ? [`(${requestId.slice(0, 8)})`] : [];
  return [error.message, ...fields, ...noted].join(' ');
}
