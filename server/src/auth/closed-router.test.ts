import express from 'express';
import { DatabaseError } from 'sequelize';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { pino } from 'pino';
import { handleErrors } from '../api/handle-errors.ts';
import { ANSWER_CHECK, closedRouter } from './closed-router.ts';

/** An app of one route, for somebody who is signed in. */
function appOf(handler: () => Promise<{ people: [] }>) {
  const { router, on } = closedRouter();
  on('GET /people', handler);
  const app = express();
  app.use((asked, _response, next) => {
    const member = { userId: 'u', userName: 'U', studioId: 's', role: 'owner', isDemo: false };
    Object.assign(asked, { session: { member }, requestId: 'r', note: () => undefined });
    next();
  });
  app.use(router, handleErrors(pino({ level: 'silent' })));
  return app;
}

const refusal = (errno: number) =>
  new DatabaseError(Object.assign(new Error('x'), { errno, sql: 'SELECT secret' }));

describe('a route', () => {
  it('is tried again after a deadlock, three times at most', async () => {
    let tries = 0;
    const fails = (times: number) => async () => {
      tries += 1;
      if (tries <= times) throw refusal(1213);
      return Promise.resolve({ people: [] as [] });
    };
    expect((await request(appOf(fails(3))).get('/people')).body).toEqual({ people: [] });
    expect(tries).toBe(4);
    tries = 0;
    const busy = await request(appOf(fails(9))).get('/people');
    expect([busy.status, busy.headers['retry-after'], tries]).toEqual([503, '3', 4]);
  });

  it.each([
    [1969, 503, 'busy'],
    [1205, 503, 'busy'],
    [1366, 422, 'invalid'],
    [1064, 500, 'unexpected'],
  ])(
    'is not tried again after error %s of the database, which is %s',
    async (errno, status, code) => {
      let tries = 0;
      const answer = await request(
        appOf(async () => {
          tries += 1;
          return Promise.reject(refusal(errno));
        }),
      ).get('/people');
      expect([answer.status, (answer.body as { code: string }).code, tries]).toEqual([
        status,
        code,
        1,
      ]);
      expect(JSON.stringify(answer.body)).not.toContain('secret');
    },
  );

  it('is looked at in a test, with the schema that the contract has for it', async () => {
    const looked: unknown[] = [];
    const app = appOf(() => Promise.resolve({ people: [] }));
    app.set(ANSWER_CHECK, (name: string, schema: { safeParse: unknown }, answer: unknown) => {
      looked.push(name, typeof schema.safeParse, answer);
    });
    await request(app).get('/people');
    expect(looked).toEqual(['GET /people', 'function', { people: [] }]);
  });

  it('that the table does not leave open to anyone can’t be made so', () => {
    expect(() => closedRouter().open('GET /people', () => Promise.resolve({ people: [] }))).toThrow(
      /not open to anyone/,
    );
  });
});
