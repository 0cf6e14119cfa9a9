import { createServer } from 'node:http';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { readConfig } from './config.ts';
import { connect } from './db/connect.ts';
import { migrate } from './db/migrate.ts';
import { bindModels } from './db/models.ts';
import { loadDemo } from './demo/load-demo.ts';

/** Requests under way get this long to finish when the server is told to stop. */
const STOP_WITHIN_MS = 5000;

async function main(): Promise<void> {
  const config = readConfig(process.env);
  const log = pino({ level: config.logLevel });
  const database = connect(config.databaseUrl);
  bindModels(database);
  await migrate(database);
  if (config.demo !== 'no') await loadDemo(database, config.demo === 'reset', new Date());
  const app = createApp({ database, log, ...config });
  const server = createServer(app);
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(config.port, '127.0.0.1', resolve);
  });
  log.info({ port: config.port }, 'listening');
  process.stdout.write('ready\n');

  const stop = () => {
    server.close(() => void database.close().then(() => process.exit(0)));
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), STOP_WITHIN_MS).unref();
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);
}

main().catch((error: unknown) => {
  const message = error instanceof Error ? error.message : String(error);
  process.stderr.write(`wrenfern: ${message}\n`);
  process.exit(1);
});
