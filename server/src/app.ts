import type { IncomingMessage } from 'node:http';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express, type Request, type RequestHandler } from 'express';
import session from 'express-session';
import helmet from 'helmet';
import type { Logger } from 'pino';
import type { Sequelize } from 'sequelize';
import { accountRouter } from './api/account.ts';
import { classLogRouter } from './api/class-log.ts';
import { classPeopleRouter } from './api/class-people.ts';
import { classPlanRouter } from './api/class-plan.ts';
import { classesRouter } from './api/classes.ts';
import { descriptionRouter } from './api/description.ts';
import { deskRouter } from './api/desk.ts';
import { doorRouter } from './api/door.ts';
import { ApiError } from './api/errors.ts';
import { exercisesRouter } from './api/exercises.ts';
import { handleErrors, notFound } from './api/handle-errors.ts';
import { limitWrites } from './api/limit-writes.ts';
import { feedsRouter } from './api/feeds.ts';
import { groupsRouter } from './api/groups.ts';
import { keptPlansRouter } from './api/kept-plans.ts';
import { peopleRouter } from './api/people.ts';
import { personEverythingRouter } from './api/person-everything.ts';
import { sessionRouter } from './api/session.ts';
import { studioArchiveRouter } from './api/studio-archive.ts';
import { studioRouter } from './api/studio.ts';
import { teamRouter } from './api/team.ts';
import { todayRouter } from './api/today.ts';
import { trailRouter } from './api/trail.ts';
import { wallRouter } from './api/wall.ts';
import { wastebasketRouter } from './api/wastebasket.ts';
import { weekRouter } from './api/week.ts';
import { createProof } from './auth/prove-password.ts';
import { sameOriginWrites } from './auth/same-origin.ts';
import { LONGEST_MS, SessionStore } from './auth/session-store.ts';
import { createThrottle } from './auth/tries.ts';
import type { Config } from './config.ts';
import { createOutbox } from './keeping/outbox.ts';
import type { Follower } from './live/follow-events.ts';
import { logRequests } from './request-log.ts';
import type { Workers } from './work/pool.ts';

export type AppSettings = Omit<
  Config,
  'databaseUrl' | 'port' | 'host' | 'tls' | 'letIn' | 'logLevel'
>;

export interface AppParts extends AppSettings {
  database: Sequelize;
  log: Logger;
  workers: Workers;
  follower: Follower;
}

/** Plans and exercises may be this large; everything else is far smaller. */
const DOCUMENT_BYTES = '1mb';
const USUAL_BYTES = '256kb';
const DOCUMENTS = /^\/(classes\/[^/]+\/plan|exercises\/[^/]+|kept-plans|people\/import|studio)$/;

/** The whole server without a port: it can be called by tests as it is. */
export function createApp(parts: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', parts.trustProxy);
  // Nothing with people in it is kept on the way, so nothing is asked again by its hash.
  app.set('etag', false);
  app.use(
    helmet({
      contentSecurityPolicy: { directives: CONTENT_POLICY },
      strictTransportSecurity: parts.secureCookies,
    }),
    permissions,
  );
  app.use(compression());
  app.use(logRequests(parts.log));
  app.use('/api', noStore);
  app.get('/api/health', health(parts.database));
  app.use(
    '/api',
    sameOriginWrites,
    readJson(),
    sessions(parts),
    limitWrites(parts.writesPerMinute),
  );
  const provePassword = createProof(createThrottle('own-password', { free: 5, forgetS: 86_400 }));
  app.use(
    '/api',
    descriptionRouter(),
    sessionRouter(parts),
    doorRouter(parts),
    accountRouter({ key: parts.key, provePassword }),
    todayRouter(parts.workers),
    weekRouter(parts.workers),
    classesRouter(),
    classPlanRouter(),
    classPeopleRouter(),
    classLogRouter(parts.follower),
    wallRouter(parts.follower),
    deskRouter(parts.key),
    exercisesRouter(),
    feedsRouter(),
    groupsRouter(),
    keptPlansRouter(),
    peopleRouter(),
    personEverythingRouter(),
    studioRouter(),
    studioArchiveRouter(provePassword),
    teamRouter(createOutbox(parts.outbox)),
    wastebasketRouter(),
    trailRouter(),
  );
  app.use('/api', notFound);
  if (parts.authorityFile) app.get('/local-authority.crt', offerAuthority(parts.authorityFile));
  if (parts.webFolder) serveWeb(app, parts.webFolder);
  app.use(handleErrors(parts.log));
  return app;
}

/** Nothing of what the app never uses may be asked of the device. */
const permissions: RequestHandler = (_request, response, next) => {
  response.setHeader(
    'Permissions-Policy',
    'camera=(), microphone=(), geolocation=(), payment=(), usb=(), screen-wake-lock=(self)',
  );
  next();
};

/** Answers hold people: nothing on the way keeps them. A route that may be kept says so itself. */
const noStore: RequestHandler = (_request, response, next) => {
  response.setHeader('Cache-Control', 'no-store');
  next();
};

function readJson(): RequestHandler {
  const [usual, documents] = [
    express.json({ limit: USUAL_BYTES, verify: keepRaw }),
    express.json({ limit: DOCUMENT_BYTES }),
  ];
  return (request, response, next) => {
    (DOCUMENTS.test(request.path) ? documents : usual)(request, response, next);
  };
}

/** Messages of a desk are signed as they are written: their bytes are kept beside what they say. */
function keepRaw(request: IncomingMessage, _response: unknown, bytes: Buffer): void {
  if (/^\/desk\//.test(request.url ?? '')) Object.assign(request, { rawBody: bytes });
}

/**
 * Inline styles are needed by the overlay primitives; scripts come from our own files only. The solver
 * of drafts is compiled code, which the browser takes only when it is told to.
 */
const CONTENT_POLICY = {
  defaultSrc: ["'self'"],
  scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
  workerSrc: ["'self'"],
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:'],
  connectSrc: ["'self'"],
  objectSrc: ["'none'"],
  frameAncestors: ["'none'"],
  upgradeInsecureRequests: null,
};

function health(database: Sequelize): express.RequestHandler {
  return async (_request, response) => {
    try {
      await database.authenticate();
    } catch (error) {
      throw Object.assign(new ApiError('database-away'), { cause: error });
    }
    response.json({ status: 'ok' });
  };
}

function sessions({ sessionSecret, secureCookies }: AppParts): RequestHandler {
  return session({
    name: secureCookies ? '__Host-wrenfern' : 'wrenfern',
    secret: sessionSecret,
    resave: false,
    saveUninitialized: false,
    store: new SessionStore(),
    cookie: {
      httpOnly: true,
      sameSite: 'lax',
      secure: secureCookies,
      maxAge: LONGEST_MS,
      path: '/',
    },
  });
}

/** What a tablet opens once, to trust this machine from then on. It holds nothing secret. */
function offerAuthority(file: string): RequestHandler {
  return (_request, response) => {
    response.type('application/x-x509-ca-cert').sendFile(file);
  };
}

/** Files with a hash in their name never change; the page itself is always asked for again. */
function serveWeb(app: Express, folder: string): void {
  app.use(
    '/assets',
    express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y' }),
    notFound,
  );
  // A browser that keeps the app asks here whether there is a newer one.
  app.get('/sw.js', (_request, response) => {
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(join(folder, 'sw.js'));
  });
  app.use(express.static(folder, { index: false, maxAge: '1h' }));
  app.get('/{*path}', (_request: Request, response) => {
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(join(folder, 'index.html'));
  });
}
