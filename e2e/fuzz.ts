import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import fc from 'fast-check';
import { builtInExercises } from '@wrenfern/library';
import { BODIES, QUERIES } from '../server/src/api/requests.ts';
import { ACCESS } from '../server/src/auth/access.ts';
import { arbitraryOf } from './rig/arbitrary.ts';
import { createAppProcess } from './rig/app.ts';
import { makeClass, OWNER, setUpStudio } from './rig/client.ts';
import { createMaria, makeDatabase } from './rig/maria.ts';

/**
 * Sends whatever fast-check can think of to every route, as the owner of a studio and as a stranger:
 * bodies made from each route's own schema, whole or with one place changed, bodies that are anything, and bytes that are no body at all.
 */
const { values } = parseArgs({
  options: {
    requests: { type: 'string', default: '1000' },
    seed: { type: 'string', default: '7' },
  },
});
const wanted = Number(values.requests);
const AT_ONCE = 4;
const FIRST_PORT = 24_700;
/** Not a measure of speed: whoever has no answer by then has none. */
const GIVE_UP_MS = 30_000;
/** A stream never ends by itself. */
const STREAM_MS = 250;

const folder = mkdtempSync(join(tmpdir(), 'wf-'));
const maria = createMaria({ folder, port: FIRST_PORT });
await maria.start();
makeDatabase(maria, 'fuzz');
const app = createAppProcess({ databaseUrl: maria.url('fuzz'), port: FIRST_PORT + 1 });
const owner = await setUpStudio(app.base, await app.start());
const classId = await makeClass(owner, 'Fuzzed');
const person = await owner.send('POST', '/people', { name: 'Asha' });
const personId = (person.body as { id: string }).id;
const [exercise] = builtInExercises;

const hints = { ids: [classId, personId], slugs: ['plank', 'pelvic-tilt', 'own-one'] };

/** What each route would take, from its own schema; a whole exercise is beyond chance. */
const takes = new Map<string, fc.Arbitrary<unknown>>(
  Object.entries(BODIES).map(([route, schema]) => [route, arbitraryOf(schema, hints)]),
);
takes.set(
  'PUT /exercises/:slug',
  fc.constant({ version: 0, exercise: { ...exercise, slug: 'own-one' } }),
);

/** What has stopped servers before. */
const nasty: fc.Arbitrary<unknown> = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    true,
    -1,
    0.5,
    1e308,
    Number.MAX_SAFE_INTEGER,
    '',
    '\0',
    '\ud83c',
    '\u202e',
    '0000-00-00',
    '9999-12-31T23:59:59Z',
    '__proto__',
    'constructor',
    "' OR 1=1 --",
    '%00',
    [],
    {},
  ),
  fc.integer({ min: 1, max: 40_000 }).map((length) => 'x'.repeat(length)),
  fc.integer({ min: 1, max: 20_000 }).map((length) => Array.from({ length }, () => ({}))),
  fc
    .integer({ min: 1, max: 3_000 })
    .map((depth) => JSON.parse('['.repeat(depth) + ']'.repeat(depth)) as unknown),
  fc.string({ unit: 'binary', maxLength: 60 }),
  fc.jsonValue({ maxDepth: 3 }),
);

/** A body with one of its places put to something else. */
function oneChanged(body: unknown): fc.Arbitrary<unknown> {
  const paths: (string | number)[][] = [];
  const walk = (value: unknown, path: (string | number)[]) => {
    paths.push(path);
    if (typeof value !== 'object' || value === null || paths.length > 400) return;
    for (const [key, child] of Object.entries(value)) walk(child, [...path, key]);
  };
  walk(body, []);
  return fc.tuple(fc.constantFrom(...paths), nasty).map(([path, value]) => {
    if (path.length === 0) return value;
    const copy = structuredClone(body) as Record<string | number, unknown>;
    let at = copy;
    for (const part of path.slice(0, -1)) at = at[part] as typeof copy;
    at[path.at(-1) ?? ''] = value;
    return copy;
  });
}

const odd = fc.constantFrom('%2e%2e', '-1', 'null', '%F0%9F', "'", '%00', 'x'.repeat(3000), '{}');
const known = (route: string) =>
  fc.constantFrom(
    route.includes('/people') ? personId : classId,
    '00000000-0000-4000-8000-000000000000',
  );

const requestOf = (route: string) => {
  const taken = takes.get(route) ?? fc.constant({});
  return fc.record({
    route: fc.constant(route),
    ids: fc.array(fc.oneof({ weight: 4, arbitrary: known(route) }, { weight: 1, arbitrary: odd }), {
      minLength: 2,
      maxLength: 2,
    }),
    query: fc.oneof(
      fc.constant(''),
      queryOf(route),
      fc.constantFrom('?limit=0', '?after=-1', '?before[x]=1', '?from=a&from=b'),
      fc.string({ maxLength: 30 }).map((text) => `?${encodeURIComponent(text)}`),
    ),
    body: fc.oneof(
      { weight: 3, arbitrary: taken.map((body) => JSON.stringify(body)) },
      { weight: 4, arbitrary: taken.chain(oneChanged).map((body) => JSON.stringify(body)) },
      { weight: 1, arbitrary: fc.jsonValue().map((body) => JSON.stringify(body)) },
      { weight: 1, arbitrary: fc.string({ unit: 'binary', maxLength: 300 }) },
    ),
    type: fc.oneof(
      { weight: 9, arbitrary: fc.constant('application/json') },
      {
        weight: 1,
        arbitrary: fc.constantFrom('text/plain', 'application/json; charset=utf-7', 'x'),
      },
    ),
    isStranger: fc.oneof(
      { weight: 1, arbitrary: fc.constant(true) },
      { weight: 6, arbitrary: fc.constant(false) },
    ),
  });
};

/** What a route takes behind its address, as it is written there. */
function queryOf(route: string): fc.Arbitrary<string> {
  const schema = route in QUERIES ? QUERIES[route as keyof typeof QUERIES] : undefined;
  if (!schema) return fc.constant('');
  return arbitraryOf(schema, hints).map((query) => {
    const fields = Object.entries(query as object).map(([name, value]) => [name, String(value)]);
    return `?${new URLSearchParams(Object.fromEntries(fields) as Record<string, string>).toString()}`;
  });
}

const anyRequest = fc.constantFrom(...Object.keys(ACCESS)).chain(requestOf);
type Fuzzed = typeof anyRequest extends fc.Arbitrary<infer T> ? T : never;

const cookies = new Map<string, string>();
const cookie = () => [...cookies].map((each) => each.join('=')).join('; ');

async function signIn(): Promise<void> {
  const answer = await fetch(`${app.base}/api/session`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Cookie: cookie() },
    body: JSON.stringify(OWNER),
  });
  for (const each of answer.headers.getSetCookie()) {
    const [pair = ''] = each.split(';');
    const at = pair.indexOf('=');
    cookies.set(pair.slice(0, at), pair.slice(at + 1));
  }
}
await signIn();

interface Told {
  request: Fuzzed;
  status: number;
  tookMs: number;
}

async function send(request: Fuzzed, isAgain = false): Promise<Told> {
  const [method = '', path = ''] = request.route.split(' ');
  const isStream = path.endsWith('/stream');
  let at = 0;
  const filled = path.replace(/:\w+/g, () => request.ids[at++] ?? '');
  const startedAt = performance.now();
  try {
    const answer = await fetch(`${app.base}/api${filled}${request.query}`, {
      method,
      headers: { 'Content-Type': request.type, Cookie: request.isStranger ? '' : cookie() },
      ...(method === 'GET' ? {} : { body: request.body }),
      signal: AbortSignal.timeout(isStream ? STREAM_MS : GIVE_UP_MS),
    });
    await answer.arrayBuffer();
    if (answer.status === 401 && !request.isStranger) await signIn();
    return { request, status: answer.status, tookMs: performance.now() - startedAt };
  } catch (error) {
    const tookMs = performance.now() - startedAt;
    // A kept line that the other end has just let go of: nothing was sent.
    if (!isAgain && !isStream && tookMs < 100 && app.isUp()) return send(request, true);
    // Our own fetch refuses some addresses before they are sent; a stream is left after a moment.
    const status = isStream || tookMs < 5 ? 0 : 599;
    if (status === 599) process.stdout.write(`${request.route}: ${String(error)}\n`);
    return { request, status, tookMs };
  }
}

const bad: Told[] = [];
let [sent, slowestMs] = [0, 0];
const statuses = new Map<number, number>();
try {
  const all = fc.sample(anyRequest, { seed: Number(values.seed), numRuns: wanted });
  while (all.length > 0) {
    const told = await Promise.all(all.splice(0, AT_ONCE).map((each) => send(each)));
    sent += told.length;
    for (const { status } of told) statuses.set(status, (statuses.get(status) ?? 0) + 1);
    slowestMs = Math.max(slowestMs, ...told.map(({ tookMs }) => tookMs));
    bad.push(...told.filter(({ status }) => status >= 500));
  }
  for (const { request, status, tookMs } of bad.slice(0, 10)) {
    const { route, ids, query, body } = request;
    process.stdout.write(
      `${status} in ${Math.round(tookMs)} ms: ${route} ${ids.join(' ')} ${query} ${body.slice(0, 300)}\n`,
    );
  }
  const answered = [...statuses].sort(([a], [b]) => a - b).map((each) => each.join(': '));
  process.stdout.write(`answered ${answered.join(', ')}\n`);
  for (const line of app.faults().slice(0, 5)) process.stdout.write(`${line.slice(0, 600)}\n`);
  process.stdout.write(
    `${sent} requests, ${bad.length} answered 5xx or not at all, the slowest in ${Math.round(slowestMs)} ms\n`,
  );
  process.exitCode = bad.length === 0 && sent > 0 ? 0 : 1;
} finally {
  await app.stop();
  await maria.stop();
  rmSync(folder, { recursive: true, force: true });
}
