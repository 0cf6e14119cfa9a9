import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import compression from 'compression';
import connectSessionSequelize from 'connect-session-sequelize';
import express, { type Express, type Request } from 'express';
import session from 'express-session';
import helmet from 'helmet';
import type { Logger } from 'pino';
import type { Sequelize } from 'sequelize';
import { classesRouter } from './api/classes.ts';
import { ApiError } from './api/errors.ts';
import { handleErrors, notFound } from './api/handle-errors.ts';
import { exercisesRouter } from './api/exercises.ts';
import { logRouter } from './api/log.ts';
import { peopleRouter } from './api/people.ts';
import { sessionRouter } from './api/session.ts';
import { studioRouter } from './api/studio.ts';
import { todayRouter } from './api/today.ts';
import { sameOriginWrites } from './auth/same-origin.ts';
import { requireMember } from './auth/session.ts';

const SESSION_DAYS = 30;

export interface AppParts {
  database: Sequelize;
  log: Logger;
  sessionSecret: string;
  secureCookies: boolean;
  webFolder: string;
}

/** The whole server without a port: it can be called by tests as it is. */
export function createApp(parts: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(helmet({ contentSecurityPolicy: { directives: CONTENT_POLICY } }));
  app.use(compression());
  app.use(requestIds(parts.log));
  app.get('/api/health', health(parts.database));
  app.use('/api', sameOriginWrites, express.json({ limit: '1mb' }), sessions(parts));
  app.use('/api', sessionRouter());
  app.use(
    '/api',
    requireMember,
    todayRouter(),
    classesRouter(),
    exercisesRouter(),
    logRouter(),
    peopleRouter(),
    studioRouter(),
  );
  app.use('/api', notFound);
  if (parts.webFolder) serveWeb(app, parts.webFolder);
  app.use(handleErrors(parts.log));
  return app;
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

function requestIds(log: Logger): express.RequestHandler {
  return (request, response, next) => {
    request.requestId = randomUUID();
    response.setHeader('X-Request-Id', request.requestId);
    const startedAt = process.hrtime.bigint();
    response.on('finish', () => {
      const tookMs = Number(process.hrtime.bigint() - startedAt) / 1e6;
      const { method, originalUrl, requestId } = request;
      log.info({ requestId, method, path: originalUrl, status: response.statusCode, tookMs });
    });
    next();
  };
}

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

function sessions(parts: AppParts): express.RequestHandler {
  const Store = connectSessionSequelize(session.Store);
  return session({
    name: 'wrenfern',
    secret: parts.sessionSecret,
    resave: false,
    saveUninitialized: false,
    store: new Store({
      db: parts.database,
      tableName: 'sessions',
      checkExpirationInterval: 0,
      expiration: SESSION_DAYS * 86_400_000,
    }),
    cookie: {
      httpOnly: true,
      sameSite: 'lax',
      secure: parts.secureCookies,
      maxAge: SESSION_DAYS * 86_400_000,
    },
  });
}

/** Files with a hash in their name never change; the page itself is always asked for again. */
function serveWeb(app: Express, folder: string): void {
  app.use(
    '/assets',
    express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
  );
  app.use(express.static(folder, { index: false, maxAge: '1h' }));
  app.get('/{*path}', (_request: Request, response) => {
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(join(folder, 'index.html'));
  });
}
