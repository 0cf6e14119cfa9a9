import { createDesk } from './desk-app.ts';

/** Listens on this machine only: it is there to be tried, not to be reached. */
const port = Number(process.env.WRENFERN_DESK_PORT ?? 4700);
createDesk().listen(port, '127.0.0.1', () => {
  process.stdout.write('desk ready\n');
});
