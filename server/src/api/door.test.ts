import type { Express } from 'express';
import request from 'supertest';
import { mkdir, mkdtemp, readdir, readFile, stat, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { waitAfter } from '../auth/tries.ts';
import { SCHOOLS } from '@wrenfern/core/plan/schools';
import { beforeEach, describe, expect, it } from 'vitest';
import { Fact, Link, SessionRow, Studio, Tries, User } from '../db/models.ts';
import { createLink } from '../auth/links.ts';
import { cleanUp } from '../keeping/clean-up.ts';
import {
  addMember,
  makeClass,
  makeStudio,
  openTestApp,
  PASSWORD,
  testApp,
  type TestMember,
} from '../testing/test-studio.ts';

const { database } = await openTestApp();
let app: Express;
let owner: TestMember;

beforeEach(async () => {
  await Studio.destroy({ where: {} });
  await Link.destroy({ where: {} });
  await Tries.destroy({ where: {} });
  await Fact.destroy({ where: {} });
  app = testApp(database);
  owner = await makeStudio(app, 'studio');
});

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

  it('waits longer and longer after a few wrong tries, and does not count right ones', async () => {
    for (let count = 0; count < 12; count += 1) {
      await signIn({ email: owner.email, password: PASSWORD }).expect(204);
    }
    for (let count = 0; count < 9; count += 1) {
      await signIn({ email: owner.email, password: 'wrong' }).expect(401);
    }
    const stopped = await signIn({ email: owner.email, password: PASSWORD });
    expect([stopped.status, codeOf(stopped)]).toEqual([429, 'too-many']);
    expect(Number(stopped.headers['retry-after'])).toBeLessThanOrEqual(5);
    expect([1, 2, 3, 4, 20].map(waitAfter)).toEqual([5, 10, 20, 40, 900]);
  });

  it('lets nobody try a hundred at once', async () => {
    const answers = await Promise.all(
      Array.from({ length: 60 }, () => signIn({ email: owner.email, password: 'wrong' })),
    );
    expect(answers.filter(({ status }) => status === 401).length).toBeLessThanOrEqual(9);
  });

  it('lets a device in that was there before, while strangers guess', async () => {
    const tablet = request.agent(app);
    await tablet.post('/api/session').send({ email: owner.email, password: PASSWORD }).expect(204);
    await tablet.delete('/api/session').expect(204);
    for (let count = 0; count < 12; count += 1) {
      await signIn({ email: owner.email, password: 'wrong' });
    }
    await signIn({ email: owner.email, password: PASSWORD }).expect(429);
    await tablet.post('/api/session').send({ email: owner.email, password: PASSWORD }).expect(204);
    const colleague = await addMember(app, owner.studioId, 'instructor');
    await colleague.agent.get('/api/people').expect(200);
  });

  it('knows a device by what it signed, not by what a stranger writes', async () => {
    const forged = await request(app)
      .post('/api/session')
      .set('Cookie', 'wrenfern-device-000000000000=abc.def')
      .send({ email: owner.email, password: 'wrong' });
    expect(forged.status).toBe(401);
  });

  it('counts for every process, and after a restart', async () => {
    for (let count = 0; count < 12; count += 1) {
      await signIn({ email: owner.email, password: 'wrong' });
    }
    const restarted = testApp(database);
    const answer = await request(restarted)
      .post('/api/session')
      .send({ email: owner.email, password: PASSWORD });
    expect(answer.status).toBe(429);
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

describe('sessions', () => {
  it('are listed, ended one by one, and everywhere', async () => {
    const tablet = request.agent(app);
    await tablet
      .post('/api/session')
      .set('User-Agent', 'Mozilla/5.0 (iPad; CPU OS 18_0 like Mac OS X) Safari/604.1')
      .send({ email: owner.email, password: PASSWORD })
      .expect(204);
    const account = (await owner.agent.get('/api/account').expect(200)).body as {
      sessions: { id: string; device: string; isThis: boolean }[];
    };
    const other = account.sessions.find(({ isThis }) => !isThis);
    expect(account.sessions).toHaveLength(2);
    expect(other?.device).toBe('Safari on iPad');
    await owner.agent.delete(`/api/account/sessions/${other?.id ?? ''}`).expect(204);
    await tablet.get('/api/session').expect(401);
    await owner.agent.get('/api/session').expect(200);
    await owner.agent.delete('/api/account/sessions').expect(204);
    await owner.agent.get('/api/session').expect(401);
  });

  it('are cleaned up once they are over', async () => {
    await SessionRow.update({ expires: new Date(Date.now() - 1000) }, { where: {} });
    await cleanUp(new Date());
    expect(await SessionRow.count()).toBe(0);
  });

  it('live on by being used', async () => {
    const fiveDays = new Date(Date.now() + 5 * 86_400_000);
    await SessionRow.update({ expires: fiveDays, seenAt: new Date(0) }, { where: {} });
    await owner.agent.get('/api/session').expect(200);
    const row = await SessionRow.findOne({ where: { userId: owner.userId } });
    expect(row?.expires.getTime()).toBeGreaterThan(Date.now() + 13 * 86_400_000);
  });
});

describe('one’s own password', () => {
  const change = (body: object) => owner.agent.put('/api/account/password').send(body);
  const next = 'a lantern over nine bricks';

  it('is changed with the one before, and ends every other session', async () => {
    const tablet = request.agent(app);
    await tablet.post('/api/session').send({ email: owner.email, password: PASSWORD }).expect(204);
    await change({ password: 'not it', next }).expect(422);
    await change({ password: PASSWORD, next }).expect(204);
    await tablet.get('/api/session').expect(401);
    await owner.agent.get('/api/session').expect(200);
    const signIn = (password: string) =>
      request(app).post('/api/session').send({ email: owner.email, password });
    await signIn(PASSWORD).expect(401);
    await signIn(next).expect(204);
  });

  it.each(['password12', 'qwertyuiop', '1234567890', 'aaaaaaaaaaaa', 'short'])(
    'is not %s, which anybody guesses',
    async (guessed) => {
      const answer = await change({ password: PASSWORD, next: guessed });
      expect(answer.status).toBe(422);
      expect(answer.body).toMatchObject({ errors: [{ path: ['next'] }] });
    },
  );
});

describe('the demo door', () => {
  const comeIn = (to: Express) => {
    const visitor = request.agent(to);
    return { visitor, answer: visitor.post('/api/demo-session').send({ timeZone: 'UTC' }) };
  };

  it('opens with one press into a demo studio of one’s own', async () => {
    const [one, other] = [comeIn(app), comeIn(app)];
    await one.answer.expect(204);
    await other.answer.expect(204);
    const session = await one.visitor.get('/api/session').expect(200);
    expect(session.body).toMatchObject({ studio: { isDemo: true }, user: { role: 'owner' } });
    const rename = { revision: 1, name: 'Rude words' };
    await one.visitor.patch('/api/studio').send(rename).expect(200);
    const theirs = await other.visitor.get('/api/session').expect(200);
    expect(JSON.stringify(theirs.body)).not.toContain('Rude');
    // What a visitor writes never stands on the page before the studio.
    expect(JSON.stringify((await request(app).get('/api/door')).body)).not.toContain('Rude');
  });

  it('stays shut where there is to be no demo, whatever is stored', async () => {
    await makeStudio(app, 'demo', true);
    const shut = testApp(database, { demo: false });
    await comeIn(shut).answer.expect(404);
    expect((await request(shut).get('/api/door')).body).toMatchObject({ demo: false });
  });

  it('opens only so often for one address', async () => {
    const few = testApp(database, { demosPerHour: 2 });
    await comeIn(few).answer.expect(204);
    await comeIn(few).answer.expect(204);
    await comeIn(few).answer.expect(429);
  });

  it('lets nobody invite strangers or choose a password', async () => {
    const { visitor, answer } = comeIn(app);
    await answer.expect(204);
    const invited = { name: 'N', email: 'n@x.example', role: 'instructor', until: null };
    await visitor.post('/api/team/invitations').send(invited).expect(403);
    const password = { password: 'x', next: 'a lantern over nine bricks' };
    await visitor.put('/api/account/password').send(password).expect(403);
  });
});

describe('setting up', () => {
  const wanted = {
    studio: 'Lantern Yard',
    name: 'Ida',
    email: 'ida@lantern.example',
    password: 'a lantern over nine bricks',
    timeZone: 'Europe/Lisbon',
  };
  const setUp = (body: object, to = app) => request(to).post('/api/set-up').send(body);
  const freshCode = async () => {
    await Studio.destroy({ where: {} });
    return (await createLink({ kind: 'set-up' })).token;
  };

  it('makes the first studio with the code, and signs its owner in', async () => {
    const code = await freshCode();
    expect((await request(app).get('/api/door')).body).toEqual({
      demo: true,
      isSetUp: false,
      allowStudios: false,
    });
    await setUp({ ...wanted, code: 'AAAA-BBBB-CCCC-DDDD' }).expect(410);
    const visitor = request.agent(app);
    // As somebody types it.
    const typed = code.toLowerCase().replaceAll('-', ' ');
    await visitor
      .post('/api/set-up')
      .send({ ...wanted, code: typed })
      .expect(201);
    expect((await visitor.get('/api/session')).body).toMatchObject({
      user: { name: 'Ida', role: 'owner' },
      studio: { name: 'Lantern Yard', isDemo: false },
    });
  });

  it('makes one studio, however many call at once, with however many codes', async () => {
    const codes = [await freshCode(), (await createLink({ kind: 'set-up' })).token];
    const answers = await Promise.all(
      Array.from({ length: 6 }, (_, index) =>
        setUp({ ...wanted, email: `ida${index}@lantern.example`, code: codes[index % 2] }),
      ),
    );
    expect(answers.filter(({ status }) => status === 201)).toHaveLength(1);
    expect(await Studio.count({ where: { isDemo: false } })).toBe(1);
  });

  it('is closed once there is a studio, but for an owner’s code or where it is allowed', async () => {
    const closed = await setUp(wanted);
    expect([closed.status, codeOf(closed)]).toEqual([409, 'already-set-up']);
    const made = await owner.agent.post('/api/studio/invitations').expect(201);
    const { code } = made.body as { code: string };
    await setUp({ ...wanted, code }).expect(201);
    await setUp({ ...wanted, email: 'two@lantern.example', code }).expect(410);
    const open = testApp(database, { allowStudios: true });
    await setUp({ ...wanted, email: 'three@lantern.example' }, open).expect(201);
    expect(await Studio.count()).toBe(3);
  });

  it('does not tell whether an address is known', async () => {
    const open = testApp(database, { allowStudios: true });
    const known = await setUp({ ...wanted, email: owner.email }, open);
    expect([known.status, codeOf(known)]).toEqual([410, 'link-spent']);
  });

  it.each([
    [{ password: 'short' }, 'password'],
    [{ email: 'ida' }, 'email'],
    [{ studio: ' ' }, 'studio'],
    [{ name: '\u200b\u200b' }, 'name'],
    [{ timeZone: 'Moon/Sea_of_Rain' }, 'timeZone'],
  ])('refuses %j and names the field', async (change, field) => {
    const code = await freshCode();
    const response = await setUp({ ...wanted, code, ...change });
    expect(response.status).toBe(422);
    expect((response.body as { errors: { path: unknown[] }[] }).errors[0]?.path).toEqual([field]);
  });
});

describe('a one-time link', () => {
  const invite = async (change: object = {}) => {
    const wanted = { name: 'Nia', email: 'nia@studio.example', role: 'cover', until: '2099-01-01' };
    const answer = await owner.agent.post('/api/team/invitations').send({ ...wanted, ...change });
    expect(answer.status).toBe(201);
    return (answer.body as { path: string }).path.split('#')[1] ?? '';
  };
  const password = 'a lantern over nine bricks';
  const use = (token: string) => request(app).post('/api/links/use').send({ token, password });

  it('says what it is for, and lets one person in once', async () => {
    const token = await invite();
    const look = await request(app).post('/api/links/look').send({ token }).expect(200);
    expect(look.body).toMatchObject({
      kind: 'invite',
      studio: 'studio',
      name: 'Nia',
      role: 'cover',
    });
    const answers = await Promise.all([use(token), use(token), use(token)]);
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 410, 410]);
    const nia = await User.findOne({ where: { email: 'nia@studio.example' } });
    expect(nia).toMatchObject({ role: 'cover', until: '2099-01-01', studioId: owner.studioId });
    await request(app).post('/api/links/look').send({ token }).expect(410);
  });

  it('is kept as a hash, and can be taken back', async () => {
    const token = await invite();
    const [link] = await Link.findAll();
    expect(JSON.stringify(link)).not.toContain(token);
    await owner.agent.delete(`/api/team/invitations/${link?.id ?? ''}`).expect(204);
    await use(token).expect(410);
  });

  it('ends after its days', async () => {
    const token = await invite();
    await Link.update({ expires: new Date(Date.now() - 1000) }, { where: {} });
    await use(token).expect(410);
  });

  it('does not tell whether an address is known elsewhere', async () => {
    const other = await makeStudio(app, 'other');
    const token = await invite({ email: other.email });
    const answer = await use(token);
    expect([answer.status, codeOf(answer)]).toEqual([410, 'link-spent']);
  });

  it('chooses another password, ends the old one and every session, and is no second factor', async () => {
    const nia = await addMember(app, owner.studioId, 'instructor');
    const answer = await owner.agent.post(`/api/team/${nia.userId}/reset`).expect(201);
    const token = (answer.body as { path: string }).path.split('#')[1] ?? '';
    await User.update({ secondFactor: 'x' }, { where: { id: nia.userId } });
    const used = await use(token).expect(201);
    expect(used.body).toEqual({ signedIn: false });
    expect(used.headers['set-cookie']).toBeUndefined();
    await nia.agent.get('/api/session').expect(401);
    const signIn = (given: string) =>
      request(app).post('/api/session').send({ email: nia.email, password: given });
    expect(codeOf(await signIn(PASSWORD))).toBe('wrong-credentials');
    expect(codeOf(await signIn(password))).toBe('second-factor');
  });

  it('is put into the outbox, which stands in for mail', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'outbox-'));
    const posting = testApp(database, { outbox: folder });
    const agent = request.agent(posting);
    await agent.post('/api/session').send({ email: owner.email, password: PASSWORD }).expect(204);
    const wanted = { name: 'Nia', email: 'nia@studio.example', role: 'reader', until: null };
    const answer = await agent.post('/api/team/invitations').send(wanted).expect(201);
    const [file = ''] = await readdir(folder);
    const letter = await readFile(join(folder, file), 'utf8');
    expect(letter).toMatch(/^Simulated: nothing was sent\.\nTo: nia@studio\.example/);
    expect(letter).toContain((answer.body as { path: string }).path);
    expect((await stat(join(folder, file))).mode & 0o077).toBe(0);
  });
});

describe('owner and instructor', () => {
  it('an instructor teaches, but leaves cupboard and team alone', async () => {
    const instructor = await addMember(app, owner.studioId, 'instructor');
    await makeClass(instructor);
    await instructor.agent.get('/api/studio').expect(200);
    const refused = await instructor.agent.patch('/api/studio').send({ cupboard: { block: 3 } });
    expect([refused.status, codeOf(refused)]).toEqual([403, 'not-allowed']);
    await instructor.agent.post('/api/team/invitations').send({}).expect(403);
  });

  it('an owner changes and removes others, never themselves', async () => {
    const nia = await addMember(app, owner.studioId, 'instructor');
    await owner.agent.delete(`/api/team/${nia.userId}`).expect(204);
    await owner.agent.delete(`/api/team/${owner.userId}`).expect(403);
    const demote = { role: 'reader', until: null };
    await owner.agent.patch(`/api/team/${owner.userId}`).send(demote).expect(403);
  });

  it('an owner changes cupboard and pace, within reason', async () => {
    const changed = await owner.agent
      .patch('/api/studio')
      .send({ revision: 1, cupboard: { block: 3 }, pace: { teaching: 'quick' } })
      .expect(200);
    expect(changed.body).toMatchObject({
      cupboard: { block: 3 },
      pace: { teaching: 'quick', setUpFactor: 1 },
    });
    const late = await owner.agent.patch('/api/studio').send({ revision: 1, cupboard: {} });
    expect(late.body).toMatchObject({
      code: 'stale',
      current: { revision: 2, cupboard: { block: 3 } },
    });
    await owner.agent
      .patch('/api/studio')
      .send({ revision: 2, cupboard: { block: -1 } })
      .expect(422);
    await owner.agent
      .patch('/api/studio')
      .send({ revision: 2, pace: { setUpFactor: 40 } })
      .expect(422);
  });

  it('an owner keeps schools of the studio, each by a name of its own and with a reason', async () => {
    const ours = { ...SCHOOLS['graded-load'], id: 'ours', name: 'Ours', why: 'Our backs.' };
    let revision = 1;
    const send = (schools: unknown) => owner.agent.patch('/api/studio').send({ revision, schools });
    const none = await owner.agent.get('/api/studio').expect(200);
    expect((none.body as { schools: unknown }).schools).toEqual([]);
    const kept = await send([ours]).expect(200);
    revision = 2;
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

  it.each([
    ['half an emoji', { name: '\ud83c' }, ['name']],
    ['letters that show nothing', { name: '\u200b\u2060' }, ['name']],
    ['a note with half a letter', { name: 'Asha', note: 'x\udc00' }, ['note']],
    [
      'a caution that ended before it began',
      { name: 'Asha', cautions: [{ caution: 'wrist', since: '2026-05-01', until: '2026-04-01' }] },
      ['cautions', 0, 'until'],
    ],
    [
      'a year that nobody lived in',
      { name: 'Asha', cautions: [{ caution: 'wrist', since: '0001-05-01' }] },
      ['cautions', 0, 'since'],
    ],
  ])('refuses %s with a sentence, and names the field', async (_name, body, path) => {
    const response = await post().send(body);
    expect(response.status).toBe(422);
    const { errors } = response.body as { errors: { path: unknown[]; message: string }[] };
    expect(errors[0]?.path).toEqual(path);
    expect(errors[0]?.message).toMatch(/\w+ \w+/);
  });

  it('tells fifty faults of a body that is nothing but faults, and is quick about it', async () => {
    const cautions = Array.from({ length: 4_000 }, () => ({ caution: 'x', since: 1, until: [] }));
    const response = await post().send({ name: 'Asha', cautions });
    expect(response.status).toBe(422);
    expect((response.body as { errors: unknown[] }).errors.length).toBeLessThanOrEqual(50);
  });

  it('takes large bodies only where documents are sent', async () => {
    const note = 'x'.repeat(300_000);
    await post().send({ name: 'Asha', note }).expect(413);
    const plan = await owner.agent
      .put('/api/classes/00000000-0000-4000-8000-000000000000/plan')
      .send({ note });
    expect(plan.status).toBe(404);
  });

  it('keeps answers with people from being kept on the way', async () => {
    const { headers } = await owner.agent.get('/api/people').expect(200);
    expect(headers['cache-control']).toBe('no-store');
    expect(headers['permissions-policy']).toMatch(/camera=\(\)/);
  });

  it('limits what one session can write in a minute', async () => {
    const small = testApp(database, { writesPerMinute: 3 });
    const agent = request.agent(small);
    await agent.post('/api/session').send({ email: owner.email, password: PASSWORD }).expect(204);
    for (let count = 0; count < 3; count += 1) await agent.post('/api/people').send({}).expect(422);
    const stopped = await agent.post('/api/people').send({});
    expect([stopped.status, stopped.headers['retry-after'] !== undefined]).toEqual([429, true]);
    await agent.get('/api/people').expect(200);
  });

  it('sets a strict content policy', async () => {
    const { headers } = await request(app).get('/api/door');
    expect(headers['content-security-policy']).toMatch(/script-src 'self'/);
    expect(headers['content-security-policy']).toMatch(/frame-ancestors 'none'/);
    expect(headers['x-powered-by']).toBeUndefined();
  });
});

describe('the files of the interface', () => {
  it('are served, and one that is not there is not the page in disguise', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'web-'));
    await mkdir(join(folder, 'assets'));
    await writeFile(join(folder, 'index.html'), '<p>Wrenfern</p>');
    await writeFile(join(folder, 'assets', 'a.js'), '1');
    const served = testApp(database, { webFolder: folder });
    await request(served).get('/assets/a.js').expect(200);
    await request(served).get('/assets/nothing.js').expect(404);
    const page = await request(served).get('/classes/some/plan').expect(200);
    expect([page.text, page.headers['cache-control']]).toEqual(['<p>Wrenfern</p>', 'no-cache']);
  });
});

describe('health', () => {
  it('is ok with a database', async () => {
    await request(app).get('/api/health').expect(200, { status: 'ok' });
  });
});

describe('behind a proxy', () => {
  const proxied = () =>
    testApp(database, { secureCookies: true, trustProxy: 'loopback', demo: false });
  const signIn = (headers: Record<string, string>) =>
    request(proxied())
      .post('/api/session')
      .set(headers)
      .send({ email: owner.email, password: PASSWORD });

  it('sets a secure cookie that belongs to this host alone', async () => {
    const answer = await signIn({ 'X-Forwarded-Proto': 'https' }).expect(204);
    const cookies = String(answer.headers['set-cookie']);
    expect(cookies).toMatch(/__Host-wrenfern=[^;]+; Path=\/; .*HttpOnly; Secure; SameSite=Lax/);
    expect(answer.headers['strict-transport-security']).toMatch(/max-age=/);
  });

  it('takes writes from its own scheme and host only', async () => {
    const proto = { 'X-Forwarded-Proto': 'https', Host: 'studio.example' };
    await signIn({ ...proto, Origin: 'https://studio.example' }).expect(204);
    await signIn({ ...proto, Origin: 'http://studio.example' }).expect(403);
    await signIn({ ...proto, Origin: 'https://studio.example:8443' }).expect(403);
  });
});
