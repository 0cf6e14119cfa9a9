import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import fc from 'fast-check';
import { builtInExercises } from '@wrenfern/library';
import { ACCESS } from '../server/src/auth/access.ts';
import { createAppProcess } from './rig/app.ts';
import { makeClass, OWNER, setUpStudio } from './rig/client.ts';
import { createMaria, makeDatabase } from './rig/maria.ts';

/**
 * Sends whatever fast-check can think of to every route, as the owner of a studio and as a stranger:
 * bodies that are nearly right, bodies that are anything, and bytes that are no body at all.
 */
const { values } = parseArgs({
  options: {
    requests: { type: 'string', default: '1000' },
    seed: { type: 'string', default: '7' },
  },
});
const wanted = Number(values.requests);
const SLOW_MS = 2_000;
const AT_ONCE = 4;
const FIRST_PORT = 34_700;
/** A stream never ends by itself. */
const GIVE_UP_MS = 8_000;
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

const PLAN = {
  format: 'wrenfern-plan/1',
  title: 'Fuzzed',
  machine: 'mat',
  school: 'foundations-first',
  targetS: 1800,
  note: '',
  segments: [
    { id: 'one', name: 'One', items: [{ kind: 'exercise', id: 'a', exercise: 'plank', note: '' }] },
  ],
};

/** A body that each route would take; what is not here takes none or nearly none. */
const BODIES: Record<string, unknown> = {
  'POST /session': { email: 'nobody@studio.example', password: 'x' },
  'POST /set-up': { code: 'AAAA', studio: 'S', name: 'N', ...OWNER, timeZone: 'UTC' },
  'POST /links/look': { token: 'x' },
  'POST /links/use': { token: 'x', password: OWNER.password },
  'POST /demo-session': { timeZone: 'UTC' },
  'PUT /account/password': { password: 'x', next: 'a lantern over ten bricks' },
  'PUT /account/second-factor': { password: 'x', secret: 'A'.repeat(32), code: '123456' },
  'POST /classes': { title: 'T', startsAt: '2026-11-26T18:15:00Z', targetS: 1800, copyOf: classId },
  'PATCH /classes/:id': { revision: 1, startsAt: '2026-11-26T18:15:00Z' },
  'PUT /classes/:id/plan': { revision: 1, plan: PLAN },
  'PUT /classes/:id/cover': { userId: null },
  'PUT /classes/:id/attendees': { revision: 1, personIds: [personId] },
  'PATCH /classes/:id/attendees/:personId': {
    revision: 1,
    todayNote: 'x',
    today: [{ caution: 'wrist', since: '2026-01-01', until: '2026-02-01' }],
    choices: { a: { kind: 'swap', exercise: 'plank', option: 1 } },
  },
  'POST /classes/:id/events': {
    events: [
      { id: 'event-0001', type: 'start', order: 1, atMs: Date.now(), revision: 1 },
      {
        id: 'event-0002',
        type: 'moved',
        order: 2,
        atMs: Date.now(),
        itemId: 'a',
        personId,
        option: 1,
      },
    ],
    after: 0,
  },
  'PUT /classes/:id/note': { revision: 0, effort: 3, note: 'x' },
  'PUT /exercises/:slug': { version: 0, exercise: { ...exercise, slug: 'own-one' } },
  'POST /people': {
    name: 'Bram',
    level: 2,
    cautions: [{ caution: 'wrist' }],
    usualOptions: { plank: 2 },
  },
  'PUT /people/:id': { revision: 1, name: 'Asha', holds: { breath: 2 } },
  'PATCH /studio': {
    revision: 1,
    cupboard: { block: 3 },
    pace: { teaching: 'quick' },
    schools: [],
  },
  'POST /team/invitations': { name: 'N', email: 'n@x.example', role: 'cover', until: '2099-01-01' },
  'PATCH /team/:id': { role: 'reader', until: null },
};

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

const requestOf = (route: string) =>
  fc.record({
    route: fc.constant(route),
    ids: fc.array(fc.oneof({ weight: 4, arbitrary: known(route) }, { weight: 1, arbitrary: odd }), {
      minLength: 2,
      maxLength: 2,
    }),
    query: fc.oneof(
      fc.constant(''),
      fc.constantFrom(
        '?from=2026-11-26T00:00:00Z',
        '?limit=0',
        '?after=-1',
        '?before[x]=1',
        '?from=a&from=b',
      ),
      fc.string({ maxLength: 30 }).map((text) => `?${encodeURIComponent(text)}`),
    ),
    body: fc.oneof(
      { weight: 5, arbitrary: oneChanged(BODIES[route] ?? {}).map((body) => JSON.stringify(body)) },
      { weight: 1, arbitrary: fc.constant(JSON.stringify(BODIES[route] ?? {})) },
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
let [sent, slow] = [0, 0];
const statuses = new Map<number, number>();
try {
  const all = fc.sample(anyRequest, { seed: Number(values.seed), numRuns: wanted });
  while (all.length > 0) {
    const told = await Promise.all(all.splice(0, AT_ONCE).map((each) => send(each)));
    sent += told.length;
    for (const { status } of told) statuses.set(status, (statuses.get(status) ?? 0) + 1);
    slow += told.filter(({ tookMs }) => tookMs > SLOW_MS).length;
    bad.push(...told.filter(({ status, tookMs }) => status >= 500 || tookMs > SLOW_MS));
  }
  for (const { request, status, tookMs } of bad.slice(0, 10)) {
    const { route, ids, query, body } = request;
    process.stdout.write(
      `${status} in ${Math.round(tookMs)} ms: ${route} ${ids.join(' ')} ${query} ${body.slice(0, 300)}\n`,
    );
  }
  const answered = [...statuses].sort(([a], [b]) => a - b).map((each) => each.join(': '));
  process.stdout.write(`answered ${answered.join(', ')}\n`);
  const failed = bad.filter(({ status }) => status >= 500).length;
  for (const line of app.faults().slice(0, 5)) process.stdout.write(`${line.slice(0, 600)}\n`);
  process.stdout.write(`${sent} requests, ${failed} answered 5xx, ${slow} over 2 s\n`);
  process.exitCode = failed + slow === 0 && sent > 0 ? 0 : 1;
} finally {
  await app.stop();
  await maria.stop();
  rmSync(folder, { recursive: true, force: true });
}
