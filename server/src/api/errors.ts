import type { z } from 'zod';

/** Every way a request can be refused: status and sentence in one place. */
export const ERRORS = {
  'bad-json': { status: 400, title: 'The request is not readable JSON.' },
  invalid: { status: 422, title: 'Something in the request is not right.' },
  'not-signed-in': { status: 401, title: 'Sign in first.' },
  'wrong-credentials': { status: 401, title: 'Email or password is wrong.' },
  'second-factor': { status: 401, title: 'The code of your second factor is needed as well.' },
  'second-factor-needed': {
    status: 403,
    title: 'This studio asks everybody for a second factor: set yours up in your account first.',
  },
  unsigned: { status: 401, title: 'This is not signed as it should be, or too late.' },
  'not-allowed': { status: 403, title: 'Your part in this studio does not include this.' },
  'cross-site': { status: 403, title: 'Changes are only taken from this site itself.' },
  'over-quota': { status: 403, title: 'The studio holds as much as it may.' },
  'not-found': { status: 404, title: 'There is nothing at this address.' },
  stale: { status: 409, title: 'This was changed elsewhere in the meantime.' },
  taken: { status: 409, title: 'That is already in use.' },
  'still-named': { status: 409, title: 'Something that this needs has been taken away.' },
  'already-set-up': { status: 409, title: 'This server has been set up already.' },
  'link-spent': { status: 410, title: 'This link or code is not good, or no longer good.' },
  'too-large': { status: 413, title: 'The request is larger than may be sent here.' },
  'not-json': { status: 415, title: 'Send JSON.' },
  'too-many': { status: 429, title: 'That was too often. Wait a little, then try again.' },
  'demo-full': { status: 503, title: 'Every demo studio is in use. Try again in a while.' },
  'database-away': { status: 503, title: 'The database does not answer. Try again in a moment.' },
  busy: { status: 503, title: 'The server has more to do than it can. Try again in a moment.' },
  unreadable: {
    status: 500,
    title: 'What is stored here can’t be read by this version. It is kept as it is.',
  },
  unexpected: { status: 500, title: 'Something went wrong on the server. It has been noted.' },
} as const satisfies Record<string, { status: number; title: string }>;

export type ErrorCode = keyof typeof ERRORS;

/** One field at fault, as a path into the request and a sentence. */
export interface FieldFault {
  path: (string | number)[];
  message: string;
}

/** A refusal that a client can act on. */
export class ApiError extends Error {
  readonly code: ErrorCode;
  readonly fields: FieldFault[];
  readonly extra: Record<string, unknown>;

  constructor(code: ErrorCode, fields: FieldFault[] = [], extra: Record<string, unknown> = {}) {
    super(ERRORS[code].title);
    this.code = code;
    this.fields = fields;
    this.extra = extra;
  }
}

/** More faults than anybody reads at once; the rest shows when these are mended. */
const MOST_FAULTS = 50;

export function faultsOf(error: z.ZodError, most = MOST_FAULTS): FieldFault[] {
  return error.issues.slice(0, most).map((issue) => ({
    path: issue.path.map((part) => (typeof part === 'number' ? part : String(part))),
    message: issue.message,
  }));
}

/** RFC 9457 problem details. */
export interface Problem {
  type: string;
  title: string;
  status: number;
  code: ErrorCode;
  requestId: string;
  errors?: FieldFault[];
  [extra: string]: unknown;
}

export function problemOf(error: ApiError, requestId: string): Problem {
  const { status, title } = ERRORS[error.code];
  return {
    type: `about:blank#${error.code}`,
    title,
    status,
    code: error.code,
    requestId,
    ...(error.fields.length > 0 ? { errors: error.fields } : {}),
    ...error.extra,
  };
}
