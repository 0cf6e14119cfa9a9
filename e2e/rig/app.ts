import { spawn, type ChildProcess } from 'node:child_process';
import { setTimeout as pause } from 'node:timers/promises';
import { endProcess, endWithUs } from './end-process.ts';

interface AppOptions {
  databaseUrl: string;
  port: number;
  settings?: Readonly<Record<string, string>>;
}

/** One process of the server as it is shipped, to be started, killed and frozen at will. */
export interface AppProcess {
  base: string;
  /** Resolves once it answers; to what it printed for whoever started it. */
  start: () => Promise<string>;
  kill: () => Promise<void>;
  stop: () => Promise<void>;
  signal: (signal: NodeJS.Signals) => void;
  isUp: () => boolean;
  /** What it said at level error, so far. */
  faults: () => string[];
}

const ROOT = new URL('../..', import.meta.url).pathname;
const START_TRIES = 600;

export function createAppProcess({ databaseUrl, port, settings = {} }: AppOptions): AppProcess {
  let child: ChildProcess | undefined;
  let said = '';

  const end = async (signal: NodeJS.Signals) => {
    const ending = child;
    child = undefined;
    await endProcess(ending, signal);
  };

  return {
    base: `http://127.0.0.1:${port}`,
    async start() {
      const from = said.length;
      child = spawn(process.execPath, ['--enable-source-maps', 'server/dist/main.js'], {
        cwd: ROOT,
        stdio: ['ignore', 'pipe', 'pipe'],
        env: {
          PATH: process.env.PATH,
          WRENFERN_DATABASE_URL: databaseUrl,
          WRENFERN_PORT: String(port),
          WRENFERN_SESSION_SECRET: 'a-secret-for-a-rig-on-loopback-only-0000',
          WRENFERN_DEMO: 'no',
          WRENFERN_WRITES_PER_MINUTE: '100000',
          ...settings,
        },
      });
      endWithUs(child);
      for (const stream of [child.stdout, child.stderr]) {
        stream?.on('data', (chunk: Buffer) => {
          said += chunk.toString();
        });
      }
      for (let tries = 0; tries < START_TRIES; tries += 1) {
        if (/^ready$/m.test(said.slice(from))) return said.slice(from);
        if (child.exitCode !== null) break;
        await pause(25);
      }
      throw new Error(`the server did not start: ${said.slice(from).slice(-400)}`);
    },
    kill: () => end('SIGKILL'),
    stop: () => end('SIGTERM'),
    signal: (signal) => void child?.kill(signal),
    isUp: () => child !== undefined && child.exitCode === null && child.signalCode === null,
    faults: () => said.split('\n').filter((line) => line.includes('"level":50')),
  };
}
