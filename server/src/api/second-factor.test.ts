import { setTimeout } from 'node:timers/promises';
import { Secret, TOTP } from 'otpauth';
import request from 'supertest';
import { beforeEach, describe, expect, it } from 'vitest';
import { User } from '../db/models.ts';
import {
  addMember,
  makeStudio,
  openTestApp,
  PASSWORD,
  type TestMember,
} from '../testing/test-studio.ts';

const { app } = await openTestApp();
let owner: TestMember;

beforeEach(async () => {
  owner = await makeStudio(app, 'locked');
});

const codeOf = ({ body }: { body: unknown }) => (body as { code?: string }).code;
const codeAt = (secret: string, atMs: number) =>
  new TOTP({ secret: Secret.fromBase32(secret), period: 30 }).generate({ timestamp: atMs });

/** A code is good for its step and the next: one that is taken near the end of a step may be too old on arrival. */
async function awayFromTheEnd(): Promise<void> {
  const leftMs = 30_000 - (Date.now() % 30_000);
  if (leftMs < 3000) await setTimeout(leftMs);
}

async function setUp({ agent } = owner): Promise<{ secret: string; recoveryCodes: string[] }> {
  const proposed = await agent
    .post('/api/account/second-factor')
    .send({ password: PASSWORD })
    .expect(200);
  const { secret } = proposed.body as { secret: string };
  await awayFromTheEnd();
  // Of the step before: so that the one of now is still unused.
  const code = codeAt(secret, Date.now() - 30_000);
  const body = { password: PASSWORD, secret, code };
  const answer = await agent.put('/api/account/second-factor').send(body).expect(200);
  return { secret, ...(answer.body as { recoveryCodes: string[] }) };
}

const signIn = (more: object = {}) =>
  request(app)
    .post('/api/session')
    .send({ email: owner.email, password: PASSWORD, ...more });

describe('a second factor', () => {
  it('is asked for, and each code opens once', async () => {
    const { secret } = await setUp();
    expect(codeOf(await signIn())).toBe('second-factor');
    await signIn({ code: '000000' }).expect(401);
    const code = codeAt(secret, Date.now());
    await signIn({ code }).expect(204);
    await signIn({ code }).expect(401);
  });

  it('signs out every other device when it is set up', async () => {
    const other = request.agent(app);
    await other.post('/api/session').send({ email: owner.email, password: PASSWORD }).expect(204);
    await setUp();
    await other.get('/api/session').expect(401);
    await owner.agent.get('/api/session').expect(200);
  });

  it('does not lie open in the database', async () => {
    const { secret, recoveryCodes } = await setUp();
    const user = await User.findByPk(owner.userId);
    expect(user?.secondFactor).not.toContain(secret);
    for (const code of recoveryCodes) expect(user?.recoveryHashes).not.toContain(code);
  });

  it('is not set up with a wrong code, and ends with the password', async () => {
    const secret = 'JBSWY3DPEHPK3PXPJBSWY3DPEHPK3PXP';
    const wrong = { password: PASSWORD, secret, code: '000000' };
    await owner.agent.put('/api/account/second-factor').send(wrong).expect(422);
    await setUp();
    await owner.agent.delete('/api/account/second-factor').send({ password: PASSWORD }).expect(204);
    await signIn().expect(204);
  });
});

describe('recovery codes', () => {
  const left = async () => {
    const answer = await owner.agent.get('/api/account').expect(200);
    return (answer.body as { recoveryCodesLeft: number }).recoveryCodesLeft;
  };

  it('each open once in place of the authenticator, however they are typed', async () => {
    const { recoveryCodes } = await setUp();
    const [first = '', second = ''] = recoveryCodes;
    await signIn({ recovery: first }).expect(204);
    await signIn({ recovery: first }).expect(401);
    await signIn({ recovery: second.toLowerCase().replaceAll('-', ' ') }).expect(204);
    expect(await left()).toBe(8);
  });

  it('let one of many through who use the same at once', async () => {
    const { recoveryCodes } = await setUp();
    const answers = await Promise.all(
      Array.from({ length: 5 }, () => signIn({ recovery: recoveryCodes[0] })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([204, 401, 401, 401, 401]);
  });

  it('are of no use without the password', async () => {
    const { recoveryCodes } = await setUp();
    const guess = { password: 'not the one it is', recovery: recoveryCodes[0] };
    expect(codeOf(await signIn(guess))).toBe('wrong-credentials');
    expect(await left()).toBe(10);
  });

  it('are made anew with the password, and the old ones end', async () => {
    const { recoveryCodes } = await setUp();
    const answer = await owner.agent
      .post('/api/account/recovery-codes')
      .send({ password: PASSWORD })
      .expect(200);
    const { recoveryCodes: fresh } = answer.body as { recoveryCodes: string[] };
    expect(new Set([...recoveryCodes, ...fresh]).size).toBe(20);
    await signIn({ recovery: recoveryCodes[0] }).expect(401);
    await signIn({ recovery: fresh[0] }).expect(204);
  });

  it('are not made for whoever has no second factor', async () => {
    const body = { password: PASSWORD };
    await owner.agent.post('/api/account/recovery-codes').send(body).expect(404);
  });
});

describe('a studio that asks everybody for a second factor', () => {
  const ask = (needsSecondFactor: boolean, revision = 1) =>
    owner.agent.patch('/api/studio').send({ revision, needsSecondFactor });

  it('is not made by an owner who has none', async () => {
    const answer = await ask(true);
    expect(answer.status).toBe(422);
    expect(answer.body).toMatchObject({ errors: [{ path: ['needsSecondFactor'] }] });
  });

  it('shows nothing to a member without one, until it is set up', async () => {
    const teacher = await addMember(app, owner.studioId, 'instructor');
    await teacher.agent.get('/api/people').expect(200);
    await setUp();
    await ask(true).expect(200);
    for (const path of ['/people', '/classes', '/studio', '/exercises']) {
      expect(codeOf(await teacher.agent.get(`/api${path}`))).toBe('second-factor-needed');
    }
    const session = await teacher.agent.get('/api/session').expect(200);
    expect(session.body).toMatchObject({ user: { lacksSecondFactor: true } });
    await teacher.agent.get('/api/account').expect(200);
    await setUp(teacher);
    await teacher.agent.get('/api/people').expect(200);
  });

  it('lets nobody end theirs, until it no longer asks', async () => {
    await setUp();
    await ask(true).expect(200);
    const end = () => owner.agent.delete('/api/account/second-factor').send({ password: PASSWORD });
    expect(codeOf(await end())).toBe('second-factor-needed');
    await ask(false, 2).expect(200);
    await end().expect(204);
  });
});

describe('somebody who lost authenticator and recovery codes', () => {
  it('comes in with the password alone once an owner has ended theirs, and nobody else can end it', async () => {
    const nia = await addMember(app, owner.studioId, 'instructor');
    await setUp(nia);
    const withPassword = () =>
      request(app).post('/api/session').send({ email: nia.email, password: PASSWORD });
    expect(codeOf(await withPassword())).toBe('second-factor');
    const other = await addMember(app, owner.studioId, 'instructor');
    await other.agent.delete(`/api/team/${nia.userId}/second-factor`).expect(403);
    await owner.agent.delete(`/api/team/${nia.userId}/second-factor`).expect(204);
    await nia.agent.get('/api/session').expect(401);
    await withPassword().expect(204);
  });

  it('is not an owner who ends their own without the password', async () => {
    await owner.agent.delete(`/api/team/${owner.userId}/second-factor`).expect(403);
  });
});

describe('codes of authenticators', () => {
  // RFC 6238, appendix B, for SHA-1 and eight digits; the last six are what six digits show.
  it.each([
    [59, '287082'],
    [1111111109, '081804'],
    [1234567890, '005924'],
    [20000000000, '353130'],
  ])('are those of the standard at second %s', (second, expected) => {
    const secret = Secret.fromLatin1('12345678901234567890');
    expect(new TOTP({ secret, period: 30 }).generate({ timestamp: second * 1000 })).toBe(expected);
  });
});
