import request, { type Agent } from 'supertest';
import { beforeAll, describe, expect, it } from 'vitest';
import { ROLES, type Role } from '@wrenfern/contract/account';
import { ClassRow, SessionRow, User } from '../db/models.ts';
import { registeredRoutes } from '../testing/routes.ts';
import {
  addMember,
  makeClass,
  makePerson,
  makeStudio,
  openTestApp,
} from '../testing/test-studio.ts';
import { ACCESS, mayCall } from './access.ts';

/**
 * Who may call what, written down a second time and by hand: o owner, i instructor, c cover, r reader.
 * `own` is what a member of another studio is answered, who may call it with their own.
 */
const ROUTES: [route: string, who: string, stranger: number][] = [
  ['GET /account', 'oicr', 200],
  ['PUT /account/pace', 'oicr', 422],
  ['GET /account/taught', 'oicr', 200],
  ['PUT /account/password', 'oicr', 422],
  ['DELETE /account/sessions/:id', 'oicr', 404],
  ['POST /account/second-factor', 'oicr', 422],
  ['PUT /account/second-factor', 'oicr', 422],
  ['DELETE /account/second-factor', 'oicr', 422],
  ['POST /account/recovery-codes', 'oicr', 422],
  ['GET /today', 'oicr', 200],
  ['GET /week', 'oicr', 200],
  ['POST /week/copy', 'oi', 422],
  ['GET /classes', 'oicr', 200],
  ['POST /classes', 'oi', 422],
  ['GET /classes/:id', 'oicr', 404],
  ['PATCH /classes/:id', 'oi', 404],
  ['PUT /classes/:id/plan', 'oic', 404],
  ['GET /classes/:id/revisions', 'oi', 404],
  ['GET /classes/:id/revisions/:revision', 'oi', 404],
  ['PUT /classes/:id/cover', 'oi', 404],
  ['PUT /classes/:id/attendees', 'oi', 404],
  ['PATCH /classes/:id/attendees/:personId', 'oic', 404],
  ['GET /classes/:id/events', 'oic', 404],
  ['POST /classes/:id/events', 'oic', 404],
  ['GET /classes/:id/wall', 'oic', 404],
  ['POST /classes/:id/wall', 'oic', 404],
  ['DELETE /classes/:id/wall', 'oic', 404],
  ['GET /classes/:id/note', 'oic', 404],
  ['PUT /classes/:id/note', 'oic', 404],
  ['GET /groups', 'oi', 200],
  ['POST /groups', 'oi', 422],
  ['PUT /groups/:id', 'oi', 404],
  ['DELETE /groups/:id', 'oi', 404],
  ['GET /kept-plans', 'oir', 200],
  ['GET /kept-plans/:id', 'oir', 404],
  ['POST /kept-plans', 'oi', 422],
  ['PUT /kept-plans/:id', 'oi', 404],
  ['DELETE /kept-plans/:id', 'oi', 404],
  ['GET /classes.ics', 'oicr', 200],
  ['GET /feeds', 'oicr', 200],
  ['POST /feeds', 'oicr', 422],
  ['DELETE /feeds/:id', 'oicr', 404],
  ['GET /exercises', 'oicr', 200],
  ['PUT /exercises/:slug', 'oi', 422],
  ['DELETE /exercises/:slug', 'oi', 404],
  ['GET /exercises/:slug/versions', 'oi', 404],
  ['GET /exercises/:slug/history', 'oir', 200],
  ['GET /people', 'oi', 200],
  ['POST /people', 'oi', 422],
  ['POST /people/import', 'oi', 422],
  ['GET /people/:id', 'oi', 404],
  ['PUT /people/:id', 'oi', 404],
  ['GET /people/:id/attended', 'oi', 404],
  ['GET /people/:id/export', 'o', 404],
  ['GET /studio', 'oicr', 200],
  ['PATCH /studio', 'o', 422],
  ['GET /studio/room', 'oi', 200],
  ['GET /studio/taught', 'oi', 200],
  ['GET /studio/set-aside', 'oi', 200],
  ['GET /studio/desk', 'oi', 200],
  ['POST /studio/desk', 'o', 201],
  ['DELETE /studio/desk', 'o', 204],
  ['POST /studio/archive', 'o', 422],
  ['POST /studio/archive/look', 'o', 422],
  ['PUT /studio/archive', 'o', 422],
  ['POST /studio/invitations', 'o', 201],
  ['GET /team', 'oi', 200],
  ['POST /team/invitations', 'o', 422],
  ['DELETE /team/invitations/:id', 'o', 404],
  ['PATCH /team/:id', 'o', 404],
  ['POST /team/:id/reset', 'o', 404],
  ['DELETE /team/:id/sessions', 'o', 404],
  ['DELETE /team/:id/second-factor', 'o', 404],
  ['GET /wastebasket', 'oi', 200],
  ['POST /wastebasket/:kind/:id', 'oi', 404],
  ['DELETE /wastebasket/:kind/:id', 'o', 404],
  ['GET /trail', 'o', 200],
  // Last: these take away what the others ask for.
  ['DELETE /people/:id', 'oi', 404],
  ['DELETE /people/:id/everything', 'o', 404],
  ['DELETE /classes/:id', 'oi', 404],
  ['DELETE /wastebasket', 'o', 204],
  ['DELETE /team/:id', 'o', 404],
  ['DELETE /account/sessions', 'oicr', 204],
];

const OPEN = [
  'GET /openapi.json',
  'GET /desk/:studioId/classes',
  'POST /desk/:studioId/messages',
  'GET /feeds/:token/classes.ics',
  'GET /wall/:token/stream',
  'GET /session',
  'POST /session',
  'DELETE /session',
  'GET /door',
  'POST /demo-session',
  'POST /set-up',
  'POST /links/look',
  'POST /links/use',
];

/** Never answers by itself; who may follow a class is tested with the stream. */
const STREAM = 'GET /classes/:id/events/stream';

const { app } = await openTestApp();
const mine = await makeStudio(app, 'mine');
const theirs = await makeStudio(app, 'theirs');
let coverUserId = '';

interface Target {
  classId: string;
  personId: string;
  memberId: string;
}

/** Something of mine for a route to be called on. */
async function makeTarget(): Promise<Target> {
  const classId = await makeClass(mine);
  const personId = await makePerson(mine, 'Asha');
  await mine.agent
    .put(`/api/classes/${classId}/attendees`)
    .send({ revision: 1, personIds: [personId] })
    .expect(200);
  if (coverUserId) await ClassRow.update({ coverUserId }, { where: { id: classId } });
  const { userId: memberId } = await addMember(app, mine.studioId, 'instructor');
  return { classId, personId, memberId };
}

function addressOf(path: string, { classId, personId, memberId }: Target): string {
  const id = path.startsWith('/classes')
    ? classId
    : path.startsWith('/people')
      ? personId
      : memberId;
  const filled = path
    .replace(':personId', personId)
    .replace(':slug', 'own-curl')
    .replace(':revision', '1')
    .replace(':kind', 'class')
    .replace(':id', path.includes('invitations') ? classId : id);
  return `/api${filled}${QUERY.get(path) ?? ''}`;
}

/** What a route would take from a member who may call it. */
function bodyOf(route: string): object {
  const [method, path = ''] = route.split(' ');
  if (path.endsWith('/plan')) return { revision: 1, plan: PLAN };
  if (path.endsWith('/attendees')) return { revision: 2, personIds: [] };
  if (path.endsWith('/:personId')) return { revision: 1, todayNote: '' };
  if (path.endsWith('/events')) return { events: [EVENT] };
  if (path.endsWith('/note')) return { revision: 0, effort: 3, note: '' };
  if (path.endsWith('/cover')) return { userId: null };
  if (route === 'PUT /people/:id') return { revision: 1, name: 'Taken over' };
  if (route === 'PATCH /team/:id') return { role: 'reader', until: null };
  if (method === 'PATCH' && path === '/classes/:id') {
    return { revision: 1, startsAt: '2026-12-01T10:00:00Z' };
  }
  return {};
}

const QUERY = new Map([
  ['/today', '?from=2026-11-25T00:00:00Z'],
  ['/week', '?from=2026-11-23&until=2026-11-29'],
]);
const EVENT = { id: 'event-0001', atMs: Date.UTC(2026, 10, 26, 18, 15), order: 1, type: 'start' };
const PLAN = {
  format: 'wrenfern-plan/2',
  title: 'Taken over',
  targetS: 600,
  segments: [{ id: 's', name: 'S', items: [] }],
};

function call(agent: Agent, route: string, target: Target) {
  const [method = '', path = ''] = route.split(' ');
  return agent[method.toLowerCase() as 'get'](addressOf(path, target)).send(bodyOf(route));
}

describe('the table of access', () => {
  it('names every route of the app, and no other', () => {
    const real = registeredRoutes(app)
      .filter((route) => !route.includes('/api/health') && !route.includes('{*path}'))
      .sort();
    expect(real).toEqual(Object.keys(ACCESS).sort());
  });

  it('says what was written down by hand', () => {
    const byHand = new Map(ROUTES.map(([route, who]) => [route, who]));
    const said = Object.fromEntries(
      (Object.keys(ACCESS) as (keyof typeof ACCESS)[])
        .filter((route) => !OPEN.includes(route) && route !== STREAM)
        .map((route) => [
          route,
          ROLES.filter((role) => mayCall(role, route))
            .map((r) => r[0])
            .join(''),
        ]),
    );
    expect(said).toEqual(Object.fromEntries(byHand));
    expect(OPEN.every((route) => ACCESS[route as keyof typeof ACCESS] === 'anyone')).toBe(true);
  });
});

describe.each(ROLES)('a member who is %s', (role: Role) => {
  it('calls what the table allows, and nothing else', async () => {
    let member = await addMember(app, mine.studioId, role);
    coverUserId = role === 'cover' ? member.userId : '';
    let target = await makeTarget();
    for (const [route, who] of ROUTES) {
      const response = await call(member.agent, route, target);
      // What was taken away or counted up is made anew for the next.
      if (response.ok && !route.startsWith('GET')) target = await makeTarget();
      if (response.ok && route.includes('/account/sessions')) {
        member = await addMember(app, mine.studioId, role);
      }
      const isRefused = response.status === 403;
      expect([route, response.status, isRefused]).toEqual([
        route,
        response.status,
        !who.includes(role.charAt(0)),
      ]);
      expect([route, response.status]).not.toEqual([route, 401]);
      expect([route, response.status]).not.toEqual([route, 500]);
    }
    coverUserId = '';
  });
});

describe('whoever is not a member', () => {
  const refused = async (agent: Agent): Promise<string[]> => {
    const target = await makeTarget();
    const let_in: string[] = [];
    for (const [route] of [...ROUTES, [STREAM] as const]) {
      const response = await call(agent, route, target);
      if (response.status !== 401) let_in.push(`${route} ${response.status}`);
    }
    return let_in;
  };

  it('is asked to sign in by every route', async () => {
    expect(await refused(request.agent(app))).toEqual([]);
  });

  it('is out with the next request once removed, on every route', async () => {
    const removed = await addMember(app, mine.studioId, 'owner');
    await removed.agent.get('/api/people').expect(200);
    await User.destroy({ where: { id: removed.userId } });
    expect(await refused(removed.agent)).toEqual([]);
  });

  it('is out when the session is over, on every route', async () => {
    const expired = await addMember(app, mine.studioId, 'owner');
    const old = new Date(Date.now() - 1000);
    await SessionRow.update({ expires: old }, { where: { userId: expired.userId } });
    expect(await refused(expired.agent)).toEqual([]);
  });

  it('is out after sixty days, however often the session was used', async () => {
    const tireless = await addMember(app, mine.studioId, 'owner');
    const startedAt = new Date(Date.now() - 61 * 86_400_000);
    await SessionRow.update({ startedAt }, { where: { userId: tireless.userId } });
    expect(await refused(tireless.agent)).toEqual([]);
  });

  it('is out after the last day of a cover', async () => {
    const cover = await addMember(app, mine.studioId, 'cover');
    await cover.agent.get('/api/today?from=2026-11-25T00:00:00Z').expect(200);
    await User.update({ until: '2026-01-31' }, { where: { id: cover.userId } });
    expect(await refused(cover.agent)).toEqual([]);
  });
});

describe('a member of another studio', () => {
  let target: Target;
  beforeAll(async () => {
    target = await makeTarget();
  });

  it.each(ROUTES)('%s shows nothing of mine', async (route, _who, expected) => {
    const response = await call(theirs.agent, route, target);
    expect(response.status).toBe(expected);
    const text = JSON.stringify(response.body);
    expect(text).not.toContain('Asha');
    expect(text).not.toContain(target.classId);
    expect(text).not.toContain(mine.email);
    const lesson = await mine.agent.get(`/api/classes/${target.classId}`).expect(200);
    expect(lesson.body).toMatchObject({ title: 'Morning', revision: 1, taught: false });
    expect((lesson.body as { attendees: unknown[] }).attendees).toHaveLength(1);
  });

  it('books none of my people, copies none of my plans, hands over to none of my team', async () => {
    const { classId, personId, memberId } = target;
    const stranger = await makeStudio(app, 'others');
    const other = await makeClass(stranger);
    await stranger.agent
      .put(`/api/classes/${other}/attendees`)
      .send({ revision: 1, personIds: [personId] })
      .expect(422);
    await stranger.agent
      .post('/api/classes')
      .send({ title: 'Copied', startsAt: '2026-11-26T10:00:00Z', copyOf: classId })
      .expect(404);
    await stranger.agent.put(`/api/classes/${other}/cover`).send({ userId: memberId }).expect(422);
  });
});

describe('a cover', () => {
  it('finds only what was handed over, without anybody’s notes', async () => {
    const cover = await addMember(app, mine.studioId, 'cover');
    const [handed, other] = [await makeClass(mine, 'Handed'), await makeClass(mine, 'Other')];
    const personId = await makePerson(mine, 'Bram', {
      note: 'lives alone',
      cautions: [
        {
          caution: 'wrist',
          note: 'since the fall',
          clearedBy: 'Dr Who',
          releases: [{ ask: 'wrist', by: 'Dr Who', on: '2026-11-01', upTo: 0.2 }],
        },
      ],
    });
    const booked = { revision: 1, personIds: [personId] };
    await mine.agent.put(`/api/classes/${handed}/attendees`).send(booked).expect(200);
    const over = { userId: cover.userId };
    await mine.agent.put(`/api/classes/${handed}/cover`).send(over).expect(200);
    await cover.agent.get(`/api/classes/${other}`).expect(404);
    const list = await cover.agent.get('/api/classes').expect(200);
    expect(
      (list.body as { classes: { title: string }[] }).classes.map(({ title }) => title),
    ).toEqual(['Handed']);
    const lesson = await cover.agent.get(`/api/classes/${handed}`).expect(200);
    const [{ person }] = (lesson.body as { attendees: [{ person: object }] }).attendees;
    expect(person).toMatchObject({
      name: 'Bram',
      note: 'ask',
      cautions: [
        { caution: 'wrist', note: 'ask', clearedBy: '', releases: [{ by: 'ask', upTo: 0.2 }] },
      ],
    });
    expect(JSON.stringify(lesson.body)).not.toMatch(/lives alone|since the fall|Dr Who/);
  });
});

describe('a reader', () => {
  it('sees the plan and nobody', async () => {
    const reader = await addMember(app, mine.studioId, 'reader');
    const { classId } = await makeTarget();
    const lesson = await reader.agent.get(`/api/classes/${classId}`).expect(200);
    expect(lesson.body).toMatchObject({ title: 'Morning', attendees: [] });
    const today = await reader.agent.get('/api/today?from=2026-11-25T00:00:00Z').expect(200);
    expect(JSON.stringify(today.body)).not.toContain('Asha');
  });
});

describe('another part, or another password', () => {
  it('ends every session of that person', async () => {
    const demoted = await addMember(app, mine.studioId, 'instructor');
    await demoted.agent.get('/api/people').expect(200);
    await mine.agent
      .patch(`/api/team/${demoted.userId}`)
      .send({ role: 'reader', until: null })
      .expect(200);
    await demoted.agent.get('/api/people').expect(401);
    await demoted.agent.get('/api/session').expect(401);
  });

  it('is not brought back by an answer that was on its way', async () => {
    const late = await addMember(app, mine.studioId, 'instructor');
    const row = await SessionRow.findOne({ where: { userId: late.userId } });
    const user = await User.findByPk(late.userId);
    await user?.increment('epoch');
    // A row that was written again is of the epoch before: it is worth nothing.
    await SessionRow.upsert({ ...row?.get(), sid: row?.sid ?? '' } as SessionRow);
    await late.agent.get('/api/people').expect(401);
  });
});
