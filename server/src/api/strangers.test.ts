import type { Express } from 'express';
import type { Sequelize } from 'sequelize';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  addMember,
  makeClass,
  makePerson,
  makeStudio,
  openTestDatabase,
  testApp,
  type TestMember,
} from '../testing/test-studio.ts';

let database: Sequelize;
let app: Express;
let mine: TestMember;
let theirs: TestMember;
let classId = '';
let personId = '';
let instructorId = '';

beforeAll(async () => {
  database = await openTestDatabase();
  app = testApp(database);
  mine = await makeStudio(app, 'mine');
  theirs = await makeStudio(app, 'theirs');
  classId = await makeClass(mine);
  personId = await makePerson(mine, 'Asha');
  await mine.agent
    .put(`/api/classes/${classId}/attendees`)
    .send({ personIds: [personId] })
    .expect(200);
  await addMember(app, mine.studioId, 'instructor');
  const team = await mine.agent.get('/api/team').expect(200);
  const members = (team.body as { team: { id: string; role: string }[] }).team;
  instructorId = members.find(({ role }) => role === 'instructor')?.id ?? '';
});

afterAll(() => database.close());

/** Routes that anyone may call; every other route must be in the table below. */
const OPEN = new Set([
  'get /session',
  'post /session',
  'delete /session',
  'get /door',
  'post /demo-session',
  'post /set-up',
]);

/** Every route of the studio, and what a member of another studio is answered. */
const ROUTES: [
  method: 'get' | 'post' | 'put' | 'patch' | 'delete',
  path: string,
  stranger: number,
][] = [
  ['get', '/today?from=2026-11-25T00:00:00Z', 200],
  ['get', '/classes', 200],
  ['post', '/classes', 422],
  ['get', '/classes/:id', 404],
  ['patch', '/classes/:id', 404],
  ['delete', '/classes/:id', 404],
  ['put', '/classes/:id/plan', 404],
  ['put', '/classes/:id/attendees', 404],
  ['patch', '/classes/:id/attendees/:personId', 404],
  ['get', '/classes/:id/events', 404],
  ['post', '/classes/:id/events', 404],
  ['get', '/classes/:id/note', 404],
  ['put', '/classes/:id/note', 404],
  ['get', '/exercises', 200],
  ['put', '/exercises/:slug', 422],
  ['get', '/exercises/:slug/versions', 404],
  ['delete', '/exercises/:slug', 404],
  ['get', '/exercises/:slug/history', 200],
  ['get', '/people', 200],
  ['post', '/people', 422],
  ['get', '/people/:person', 404],
  ['put', '/people/:person', 404],
  ['delete', '/people/:person', 404],
  ['get', '/studio', 200],
  ['patch', '/studio', 200],
  ['get', '/team', 200],
  ['post', '/team', 422],
  ['delete', '/team/:member', 404],
];

const real = (path: string) =>
  `/api${path
    .replace(':personId', personId)
    .replace(':person', personId)
    .replace(':member', instructorId)
    .replace(':slug', 'own-curl')
    .replace(':id', classId)}`;

/** A body that each route would take from a member, so that only the stranger is refused. */
function bodyFor(method: string, path: string): object {
  if (path.endsWith('/plan')) return { revision: 1, plan: PLAN };
  if (path.endsWith('/attendees')) return { personIds: [] };
  if (path.endsWith('/events')) return { events: [{ id: 'event-0001', atMs: 1, type: 'start' }] };
  if (path.endsWith('/note')) return { effort: 3, note: '' };
  if (path === '/people/:person') return { name: 'Taken over' };
  if (method === 'patch' && path === '/classes/:id') return { startsAt: '2026-12-01T10:00:00Z' };
  return {};
}

const PLAN = {
  format: 'wrenfern-plan/1',
  title: 'Taken over',
  targetS: 600,
  segments: [{ id: 's', name: 'S', items: [] }],
};

/** The routes that the app really has, read from its routers. */
function registered(): string[] {
  interface Layer {
    route?: { path: string; methods?: Record<string, boolean>; stack: { method: string }[] };
    handle?: { stack?: Layer[] };
  }
  const found: string[] = [];
  const walk = (layers: Layer[]) => {
    for (const { route, handle } of layers) {
      if (route) {
        const methods = new Set(route.stack.map(({ method }) => method).filter(Boolean));
        for (const method of methods) found.push(`${method} ${route.path}`);
      }
      if (handle?.stack) walk(handle.stack);
    }
  };
  walk((app.router as unknown as { stack: Layer[] }).stack);
  return found;
}

describe('every route', () => {
  it('is known to this test', () => {
    const known = new Set(
      ROUTES.map(([method, path]) =>
        `${method} ${path.split('?')[0] ?? ''}`
          .replace(':person', ':id')
          .replace(':idId', ':personId')
          .replace(':member', ':id'),
      ),
    );
    const unknown = registered()
      .filter((route) => !route.includes('/api/health') && !route.includes('{*path}'))
      .filter((route) => !OPEN.has(route) && !known.has(route));
    expect(unknown).toEqual([]);
    expect(registered().length).toBeGreaterThan(20);
  });

  it.each(ROUTES)('%s %s asks a visitor to sign in', async (method, path) => {
    const response = await request(app)[method](real(path)).send(bodyFor(method, path));
    expect(response.status).toBe(401);
    expect(response.body).toMatchObject({ code: 'not-signed-in', status: 401 });
    expect(response.type).toBe('application/problem+json');
  });

  it.each(ROUTES)('%s %s shows a stranger nothing of mine', async (method, path, expected) => {
    const response = await theirs.agent[method](real(path)).send(bodyFor(method, path));
    expect(response.status).toBe(expected);
    const text = JSON.stringify(response.body);
    expect(text).not.toContain('Asha');
    expect(text).not.toContain(classId);
    expect(text).not.toContain(mine.email);
  });

  it('left everything of mine as it was', async () => {
    const lesson = await mine.agent.get(`/api/classes/${classId}`).expect(200);
    expect(lesson.body).toMatchObject({ title: 'Morning', revision: 1, taught: false });
    expect((lesson.body as { attendees: unknown[] }).attendees).toHaveLength(1);
    const person = await mine.agent.get(`/api/people/${personId}`).expect(200);
    expect(person.body).toMatchObject({ name: 'Asha' });
    expect((await mine.agent.get('/api/team')).body).toMatchObject({ team: [{}, {}] });
  });

  it('lets nobody book a person of another studio', async () => {
    const other = await makeClass(theirs);
    const response = await theirs.agent
      .put(`/api/classes/${other}/attendees`)
      .send({ personIds: [personId] });
    expect(response.status).toBe(422);
  });

  it('lets nobody copy a plan of another studio', async () => {
    const response = await theirs.agent
      .post('/api/classes')
      .send({ title: 'Copied', startsAt: '2026-11-26T10:00:00Z', copyOf: classId });
    expect(response.status).toBe(404);
  });
});
