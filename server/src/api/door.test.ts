import type { Express } from 'express';
import type { Sequelize } from 'sequelize';
import request from 'supertest';
import { SCHOOLS } from '@wrenfern/core/plan/schools';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { Studio, User } from '../db/models.ts';
import {
  addMember,
  makeClass,
  makeStudio,
  openTestDatabase,
  PASSWORD,
  testApp,
  type TestMember,
} from '../testing/test-studio.ts';

let database: Sequelize;
let app: Express;
let owner: TestMember;

beforeAll(async () => {
  database = await openTestDatabase();
});
// A fresh app a test: tries are counted in it.
beforeEach(async () => {
  await Studio.destroy({ where: {} });
  app = testApp(database);
  owner = await makeStudio(app, 'studio');
});
afterAll(() => database.close());

const codeOf = (response: request.Response) => (response.body as { code?: string }).code;

describe('signing in', () => {
  const signIn = (body: object) => request(app).post('/api/session').send(body);

  it('refuses a wrong password and an unknown email in the same words', async () => {
    const wrong = await signIn({ email: owner.email, password: 'not this one' });
    const unknown = await signIn({ email: 'nobody@studio.example', password: PASSWORD });
    expect([wrong.status, unknown.status]).toEqual([401, 401]);
    expect((wrong.body as { title: string }).title).toBe((unknown.body as { title: string }).title);
  });

  it('takes the email in any case', async () => {
    await signIn({ email: owner.email.toUpperCase(), password: PASSWORD }).expect(204);
  });

  it('names the field that is no email', async () => {
    const response = await signIn({ email: 'no', password: 'x' });
    expect(response.status).toBe(422);
    expect(response.body).toMatchObject({ errors: [{ path: ['email'] }] });
  });

  it('stops after ten wrong tries, and does not count right ones', async () => {
    for (let count = 0; count < 12; count += 1) {
      await signIn({ email: owner.email, password: PASSWORD }).expect(204);
    }
    for (let count = 0; count < 10; count += 1) {
      await signIn({ email: owner.email, password: 'wrong' }).expect(401);
    }
    const stopped = await signIn({ email: owner.email, password: PASSWORD });
    expect(stopped.status).toBe(429);
    expect(codeOf(stopped)).toBe('too-many');
  });

  it('gives a new session each time, in a cookie that scripts can’t read', async () => {
    const cookies = await Promise.all(
      [1, 2].map(async () => {
        const response = await signIn({ email: owner.email, password: PASSWORD });
        return String(response.headers['set-cookie']);
      }),
    );
    expect(cookies[0]).not.toBe(cookies[1]);
    expect(cookies[0]).toMatch(/HttpOnly/);
    expect(cookies[0]).toMatch(/SameSite=Lax/);
  });

  it('tells who is there, and nobody after signing out', async () => {
    const session = await owner.agent.get('/api/session').expect(200);
    expect(session.body).toMatchObject({ user: { role: 'owner' }, studio: { name: 'studio' } });
    expect(JSON.stringify(session.body)).not.toContain('passwordHash');
    await owner.agent.delete('/api/session').expect(204);
    expect(codeOf(await owner.agent.get('/api/session'))).toBe('not-signed-in');
  });

  it('forgets a member who was removed', async () => {
    const instructor = await addMember(app, owner.studioId, 'instructor');
    await User.destroy({ where: { email: instructor.email } });
    await instructor.agent.get('/api/session').expect(401);
    await instructor.agent.get('/api/people').expect(401);
  });

  it('stores passwords as argon2id', async () => {
    const user = await User.findOne({ where: { email: owner.email } });
    expect(user?.passwordHash).toMatch(/^\$argon2id\$/);
  });
});

describe('the demo door', () => {
  it('opens with one press into the demo studio', async () => {
    const demo = await makeStudio(app, 'demo', true);
    const studio = await Studio.findByPk(demo.studioId);
    const visitor = request.agent(app);
    await visitor.post('/api/demo-session').send({ studio: studio?.slug }).expect(204);
    const session = await visitor.get('/api/session').expect(200);
    expect(session.body).toMatchObject({ studio: { isDemo: true } });
  });

  it('opens into no other studio', async () => {
    const studio = await Studio.findByPk(owner.studioId);
    const response = await request(app).post('/api/demo-session').send({ studio: studio?.slug });
    expect(response.status).toBe(404);
  });
});

describe('setting up', () => {
  const wanted = {
    studio: 'Lantern Yard',
    name: 'Ida',
    email: 'ida@lantern.example',
    password: 'ten letters or more',
    timeZone: 'Europe/Lisbon',
  };
  const setUp = (body: object) => request(app).post('/api/set-up').send(body);

  it('makes the first studio and signs its owner in', async () => {
    await Studio.destroy({ where: {} });
    expect((await request(app).get('/api/door')).body).toEqual({ demo: null, canSetUp: true });
    const visitor = request.agent(app);
    await visitor.post('/api/set-up').send(wanted).expect(201);
    expect((await visitor.get('/api/session')).body).toMatchObject({
      user: { name: 'Ida', role: 'owner' },
      studio: { name: 'Lantern Yard', isDemo: false },
    });
  });

  it('is closed once there is a studio', async () => {
    expect((await request(app).get('/api/door')).body).toMatchObject({ canSetUp: false });
    const response = await setUp(wanted);
    expect(response.status).toBe(409);
    expect(codeOf(response)).toBe('already-set-up');
  });

  it.each([
    [{ password: 'short' }, 'password'],
    [{ email: 'ida' }, 'email'],
    [{ studio: ' ' }, 'studio'],
    [{ timeZone: 'Moon/Sea_of_Rain' }, 'timeZone'],
  ])('refuses %j and names the field', async (change, field) => {
    await Studio.destroy({ where: {} });
    const response = await setUp({ ...wanted, ...change });
    expect(response.status).toBe(422);
    expect(response.body).toMatchObject({ errors: [{ path: [field] }] });
  });
});

describe('owner and instructor', () => {
  it('an instructor teaches, but leaves cupboard and team alone', async () => {
    const instructor = await addMember(app, owner.studioId, 'instructor');
    await makeClass(instructor);
    await instructor.agent.get('/api/studio').expect(200);
    const refused = await instructor.agent.patch('/api/studio').send({ cupboard: { block: 3 } });
    expect([refused.status, codeOf(refused)]).toEqual([403, 'not-allowed']);
    await instructor.agent.post('/api/team').send({}).expect(403);
  });

  it('an owner adds and removes instructors, and never the owner', async () => {
    const added = await owner.agent
      .post('/api/team')
      .send({ name: 'Nia', email: 'nia@studio.example', password: 'ten letters or more' })
      .expect(201);
    const again = await owner.agent
      .post('/api/team')
      .send({ name: 'Nia', email: 'NIA@studio.example', password: 'ten letters or more' });
    expect([again.status, codeOf(again)]).toEqual([409, 'taken']);
    await owner.agent.delete(`/api/team/${(added.body as { id: string }).id}`).expect(204);
    const me = await User.findOne({ where: { email: owner.email } });
    await owner.agent.delete(`/api/team/${me?.id ?? ''}`).expect(403);
  });

  it('an owner changes cupboard and pace, within reason', async () => {
    const changed = await owner.agent
      .patch('/api/studio')
      .send({ cupboard: { block: 3 }, pace: { teaching: 'quick' } })
      .expect(200);
    expect(changed.body).toMatchObject({
      cupboard: { block: 3 },
      pace: { teaching: 'quick', setUpFactor: 1 },
    });
    await owner.agent
      .patch('/api/studio')
      .send({ cupboard: { block: -1 } })
      .expect(422);
    await owner.agent
      .patch('/api/studio')
      .send({ pace: { setUpFactor: 40 } })
      .expect(422);
  });

  it('an owner keeps schools of the studio, each by a name of its own and with a reason', async () => {
    const ours = { ...SCHOOLS['graded-load'], id: 'ours', name: 'Ours', why: 'Our backs.' };
    const send = (schools: unknown) => owner.agent.patch('/api/studio').send({ schools });
    const none = await owner.agent.get('/api/studio').expect(200);
    expect((none.body as { schools: unknown }).schools).toEqual([]);
    const kept = await send([ours]).expect(200);
    expect((kept.body as { schools: unknown }).schools).toEqual([ours]);
    const refused = await send([{ ...ours, id: 'classic' }]).expect(422);
    expect(JSON.stringify(refused.body)).toContain('there is a school \\"classic\\" already');
    await send([ours, ours]).expect(422);
    await send([{ ...ours, why: ' ' }]).expect(422);
    await send([{ ...ours, weights: { ...ours.weights, effort: 9 } }]).expect(422);
  });
});

describe('bad requests', () => {
  const post = () => owner.agent.post('/api/people');

  it('answers broken JSON with 400', async () => {
    const response = await post().set('Content-Type', 'application/json').send('{"name": ');
    expect([response.status, codeOf(response)]).toEqual([400, 'bad-json']);
  });

  it('answers a 10 MB body with 413', async () => {
    const response = await post().send({ name: 'x'.repeat(10 * 1024 * 1024) });
    expect([response.status, codeOf(response)]).toEqual([413, 'too-large']);
  });

  it('answers what is not JSON with 415', async () => {
    const response = await post().set('Content-Type', 'text/plain').send('name=Asha');
    expect([response.status, codeOf(response)]).toEqual([415, 'not-json']);
  });

  it.each([
    ['/api/people/1'],
    ['/api/people/%27%20OR%201=1'],
    ['/api/classes/not-an-id'],
    ['/api/nothing/here'],
  ])('answers %s with 404', async (path) => {
    const response = await owner.agent.get(path);
    expect([response.status, codeOf(response)]).toEqual([404, 'not-found']);
  });

  it('answers an address that can’t be decoded with 400', async () => {
    const response = await owner.agent.get('/api/people/%E0%A4%A');
    expect(response.status).toBe(400);
  });

  it('takes a forged cookie for no cookie', async () => {
    const response = await request(app).get('/api/people').set('Cookie', 'wrenfern=s%3Aforged.abc');
    expect(response.status).toBe(401);
  });

  it.each([
    [{ 'Sec-Fetch-Site': 'cross-site' }],
    [{ 'Sec-Fetch-Site': 'same-site' }],
    [{ Origin: 'https://elsewhere.example' }],
    [{ Origin: 'null' }],
  ])('takes no write that comes with %j', async (headers) => {
    const response = await post().set(headers).send({ name: 'Planted' });
    expect([response.status, codeOf(response)]).toEqual([403, 'cross-site']);
  });

  it('takes reads from anywhere, and writes from its own pages', async () => {
    await owner.agent.get('/api/people').set('Sec-Fetch-Site', 'cross-site').expect(200);
    await post().set('Sec-Fetch-Site', 'same-origin').send({ name: 'Asha' }).expect(201);
  });

  it('gives every answer an id, and problems the same one', async () => {
    const response = await owner.agent.get('/api/people/nobody');
    const { requestId } = response.body as { requestId: string };
    expect(requestId).toMatch(/^[0-9a-f-]{36}$/);
    expect(response.headers['x-request-id']).toBe(requestId);
  });

  it('sets a strict content policy', async () => {
    const { headers } = await request(app).get('/api/door');
    expect(headers['content-security-policy']).toMatch(/script-src 'self'/);
    expect(headers['content-security-policy']).toMatch(/frame-ancestors 'none'/);
    expect(headers['x-powered-by']).toBeUndefined();
  });
});

describe('health', () => {
  it('is ok with a database', async () => {
    await request(app).get('/api/health').expect(200, { status: 'ok' });
  });
});
