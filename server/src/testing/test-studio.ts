import { randomUUID } from 'node:crypto';
import type { Express } from 'express';
import { pino } from 'pino';
import type { Sequelize } from 'sequelize';
import request, { type Agent } from 'supertest';
import { afterAll } from 'vitest';
import { STEADY_PACE } from '@wrenfern/core/plan/timing/pace';
import { createApp, type AppParts } from '../app.ts';
import { deriveKey } from '../keeping/seal.ts';
import { createFollower, type Follower } from '../live/follow-events.ts';
import type { Workers } from '../work/pool.ts';
import { readinessOf } from '../work/readiness.ts';
import { ANSWER_CHECK } from '../auth/closed-router.ts';
import { hashPassword } from '../auth/passwords.ts';
import { connect } from '../db/connect.ts';
import { checkAnswer } from './check-answer.ts';
import { migrate } from '../db/migrate.ts';
import type { Role } from '@wrenfern/contract/account';
import { bindModels, Studio, User } from '../db/models.ts';

const SECRET = 'a secret for tests only, long enough';
export const TEST_KEY = deriveKey(SECRET, 'records');
export const PASSWORD = 'correct horse battery';

/** The real database of the tests, emptied; set by bin/test. */
export async function openTestDatabase(): Promise<Sequelize> {
  const url = process.env.WRENFERN_TEST_DATABASE_URL;
  if (!url) throw new Error('WRENFERN_TEST_DATABASE_URL is not set: run bin/test server');
  const database = connect(url);
  bindModels(database, TEST_KEY);
  await database.getQueryInterface().dropAllTables();
  await migrate(database);
  return database;
}

/** Classes are worked out where the test runs, and nobody is throttled unless a test wants it. */
const WORKERS: Workers = {
  readiness: (input) => Promise.resolve(readinessOf(input)),
  stop: () => Promise.resolve(),
};

const followers: Follower[] = [];

function newFollower(): Follower {
  const follower = createFollower((error) => {
    throw error;
  });
  followers.push(follower);
  return follower;
}

export function testApp(database: Sequelize, change: Partial<AppParts> = {}): Express {
  const app = createApp({
    database,
    log: pino({ level: process.env.WRENFERN_TEST_LOG ?? 'silent' }),
    sessionSecret: SECRET,
    key: TEST_KEY,
    demo: true,
    demoStudios: 100,
    demosPerHour: 1000,
    allowStudios: false,
    writesPerMinute: 100_000,
    trustProxy: false,
    outbox: '',
    authorityFile: '',
    secureCookies: false,
    webFolder: '',
    workers: WORKERS,
    follower: newFollower(),
    ...change,
  });
  app.set(ANSWER_CHECK, checkAnswer);
  return app;
}

/** The test database and an app over it for the tests of one file; closed when they are done. */
export async function openTestApp(): Promise<{ database: Sequelize; app: Express }> {
  const database = await openTestDatabase();
  afterAll(() => {
    // Streams that a test left open ask on until then.
    for (const follower of followers) follower.stop();
    return database.close();
  });
  return { database, app: testApp(database) };
}

export interface TestMember {
  studioId: string;
  userId: string;
  email: string;
  agent: Agent;
}

let passwordHash: Promise<string> | undefined;

/** A studio of its own, with its owner signed in. */
export async function makeStudio(app: Express, name: string, isDemo = false): Promise<TestMember> {
  const studioId = randomUUID();
  await Studio.create({
    id: studioId,
    slug: `${name}-${studioId.slice(0, 8)}`,
    name,
    isDemo,
    timeZone: 'Europe/Lisbon',
    cupboard: { 'small-ball': 2 },
    pace: STEADY_PACE,
  });
  return addMember(app, studioId, 'owner');
}

export async function addMember(app: Express, studioId: string, role: Role): Promise<TestMember> {
  passwordHash ??= hashPassword(PASSWORD);
  const email = `${role}-${randomUUID()}@studio.example`;
  const userId = randomUUID();
  await User.create({
    id: userId,
    studioId,
    email,
    name: role,
    passwordHash: await passwordHash,
    role,
  });
  const agent = request.agent(app);
  await agent.post('/api/session').send({ email, password: PASSWORD }).expect(204);
  return { studioId, userId, email, agent };
}

/** A class of the member's studio; resolves to its id. */
export async function makeClass(member: TestMember, title = 'Morning'): Promise<string> {
  const response = await member.agent
    .post('/api/classes')
    .send({ title, startsAt: '2026-11-26T18:15:00Z', targetS: 1800 })
    .expect(201);
  return (response.body as { id: string }).id;
}

export async function makePerson(
  member: TestMember,
  name: string,
  more: object = {},
): Promise<string> {
  const response = await member.agent
    .post('/api/people')
    .send({ name, level: 2, ...more })
    .expect(201);
  return (response.body as { id: string }).id;
}
