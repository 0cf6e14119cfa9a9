import { createServer } from 'node:http';
import { createServer as createTlsServer } from 'node:https';
import { pino, type Logger } from 'pino';
import { createApp } from './app.ts';
import { createReset } from './api/team.ts';
import { createLink } from './auth/links.ts';
import { readConfig, type Config } from './config.ts';
import { connect } from './db/connect.ts';
import { withoutValues } from './db/faults.ts';
import { migrate } from './db/migrate.ts';
import { bindModels, Studio, User } from './db/models.ts';
import { keepCleaning } from './keeping/clean-up.ts';
import { createFollower } from './live/follow-events.ts';
import { createWorkers } from './work/pool.ts';

/** Requests under way get this long to finish when the server is told to stop. */
const STOP_WITHIN_MS = 5000;
/** A request that takes longer to arrive is cut off. */
const ARRIVE_WITHIN_MS = 30_000;

/** Longer than proxies keep theirs: the one that lets go first must be the one that asks. */
const KEEP_LINE_MS = 65_000;

async function main(): Promise<void> {
  const config = readConfig(process.env);
  const log = pino({ level: config.logLevel });
  const database = connect(config.databaseUrl);
  bindModels(database, config.key);
  const upgrading = connect(config.databaseUrl, 0);
  await migrate(upgrading);
  await upgrading.close();
  const noted = (what: string, level: 'error' | 'warn' = 'error') => {
    return (error: unknown) => log[level]({ err: withoutValues(error) }, what);
  };
  const stopCleaning = keepCleaning(noted('cleaning up failed'));
  const workers = createWorkers(workerFile(), {
    onLate: noted('a class was not worked out in time', 'warn'),
    onFault: noted('a class was not worked out'),
  });
  const follower = createFollower(noted('following classes failed'));
  const app = createApp({ ...config, database, log, workers, follower });
  const server = config.tls ? createTlsServer(config.tls, app) : createServer(app);
  server.requestTimeout = ARRIVE_WITHIN_MS;
  server.headersTimeout = ARRIVE_WITHIN_MS;
  server.keepAliveTimeout = KEEP_LINE_MS;
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(config.port, config.host, resolve);
  });
  await tellCodes(config, log);
  log.info({ host: config.host, port: config.port }, 'listening');
  process.stdout.write('ready\n');

  const stop = () => {
    stopCleaning();
    follower.stop();
    server.close(() => {
      void Promise.all([database.close(), workers.stop()]).then(() => process.exit(0));
    });
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), STOP_WITHIN_MS).unref();
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);
}

/** Beside this file: the source in development, a bundle of its own otherwise. */
function workerFile(): URL {
  const isSource = import.meta.url.endsWith('.ts');
  return new URL(
    isSource ? './work/readiness-worker.ts' : './readiness-worker.js',
    import.meta.url,
  );
}

/** What only whoever started the server is told, on its standard output. */
async function tellCodes({ letIn }: Config, log: Logger): Promise<void> {
  if ((await Studio.count({ where: { isDemo: false } })) === 0) {
    const { token } = await createLink({ kind: 'set-up' });
    process.stdout.write(`set-up code: ${token}\n`);
  }
  if (!letIn) return;
  const user = await User.findOne({ where: { email: letIn.trim().toLowerCase() } });
  if (!user) {
    log.warn('nobody has the address that was to be let in');
    return;
  }
  // Whoever runs the machine vouches for them: there may be no owner left who could.
  await user.update({ secondFactor: null, recoveryHashes: null });
  process.stdout.write(`let-in path: /join#${await createReset(user)}\n`);
}

main().catch((error: unknown) => {
  const message = error instanceof Error ? error.message : String(error);
  process.stderr.write(`wrenfern: ${message}\n`);
  process.exit(1);
});
