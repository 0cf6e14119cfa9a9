import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { deriveKey } from './keeping/seal.ts';

const yesNo = z.enum(['yes', 'no']);
const count = z.coerce.number().int().min(0).max(100_000);

const Environment = z.object({
  WRENFERN_DATABASE_URL: z.url({ protocol: /^(mariadb|mysql)$/, error: 'a mariadb:// address' }),
  WRENFERN_PORT: z.coerce.number().int().min(1).max(65535).default(4600),
  WRENFERN_HOST: z.string().min(1).max(255).default('127.0.0.1'),
  WRENFERN_SESSION_SECRET: z.string().min(32, 'at least 32 characters'),
  WRENFERN_KEY: z.string().min(32, 'at least 32 characters').optional(),
  WRENFERN_DEMO: yesNo.optional(),
  WRENFERN_DEMO_STUDIOS: count.default(50),
  WRENFERN_DEMOS_PER_HOUR: count.default(30),
  WRENFERN_ALLOW_STUDIOS: yesNo.default('no'),
  WRENFERN_WRITES_PER_MINUTE: count.default(600),
  WRENFERN_BEHIND_PROXY: z.enum(['0', '1']).default('0'),
  WRENFERN_TRUST_PROXY: z.string().max(400).default('loopback'),
  WRENFERN_TLS_KEY: z.string().default(''),
  WRENFERN_TLS_CERT: z.string().default(''),
  WRENFERN_TLS_AUTHORITY: z.string().default(''),
  WRENFERN_OUTBOX: z.string().default(''),
  WRENFERN_LET_IN: z.string().max(190).default(''),
  WRENFERN_WEB: z.string().default(''),
  WRENFERN_LOG: z.enum(['debug', 'info', 'warn', 'error', 'silent']).default('warn'),
});

/** What the server is told when it starts. */
export interface Config {
  databaseUrl: string;
  port: number;
  /** The address it listens on: this machine only, unless it is told otherwise. */
  host: string;
  sessionSecret: string;
  /** Seals what must be read again; from a secret that is kept outside the database. */
  key: Buffer;
  demo: boolean;
  demoStudios: number;
  demosPerHour: number;
  allowStudios: boolean;
  writesPerMinute: number;
  /** Which proxies are believed about who asks; false where there is none. */
  trustProxy: string | false;
  tls: { key: string; cert: string } | undefined;
  /** Certificate of the authority that tablets may trust, as a file to offer; empty for none. */
  authorityFile: string;
  /** Folder that stands in for mail; empty for none. */
  outbox: string;
  /** Address of a member who is let in by a one-time link that is printed at start. */
  letIn: string;
  /** Folder of the built interface; empty when it is served elsewhere. */
  webFolder: string;
  logLevel: string;
  secureCookies: boolean;
}

const LOOPBACK = new Set(['127.0.0.1', '::1', 'localhost']);

/** Reads the environment; throws one sentence that names every field at fault. */
export function readConfig(environment: NodeJS.ProcessEnv): Config {
  const parsed = Environment.safeParse(environment);
  if (!parsed.success) {
    const faults = parsed.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`);
    throw new Error(`The server's settings are not right. ${faults.join('; ')}`);
  }
  const values = parsed.data;
  const behindProxy = values.WRENFERN_BEHIND_PROXY === '1';
  const tls = readTls(values.WRENFERN_TLS_KEY, values.WRENFERN_TLS_CERT);
  const isReachable = behindProxy || !LOOPBACK.has(values.WRENFERN_HOST);
  return {
    databaseUrl: values.WRENFERN_DATABASE_URL,
    port: values.WRENFERN_PORT,
    host: values.WRENFERN_HOST,
    sessionSecret: values.WRENFERN_SESSION_SECRET,
    key: deriveKey(values.WRENFERN_KEY ?? values.WRENFERN_SESSION_SECRET, 'records'),
    // Where strangers can reach the server, they get no demo unless somebody says so.
    demo: (values.WRENFERN_DEMO ?? (isReachable ? 'no' : 'yes')) === 'yes',
    demoStudios: values.WRENFERN_DEMO_STUDIOS,
    demosPerHour: values.WRENFERN_DEMOS_PER_HOUR,
    allowStudios: values.WRENFERN_ALLOW_STUDIOS === 'yes',
    writesPerMinute: values.WRENFERN_WRITES_PER_MINUTE,
    trustProxy: behindProxy ? values.WRENFERN_TRUST_PROXY : false,
    tls,
    authorityFile: values.WRENFERN_TLS_AUTHORITY,
    outbox: values.WRENFERN_OUTBOX,
    letIn: values.WRENFERN_LET_IN,
    webFolder: values.WRENFERN_WEB,
    logLevel: values.WRENFERN_LOG,
    secureCookies: behindProxy || tls !== undefined,
  };
}

function readTls(keyFile: string, certFile: string): Config['tls'] {
  if (!keyFile && !certFile) return undefined;
  if (!keyFile || !certFile) {
    throw new Error('Give both WRENFERN_TLS_KEY and WRENFERN_TLS_CERT, or neither.');
  }
  return { key: readFileSync(keyFile, 'utf8'), cert: readFileSync(certFile, 'utf8') };
}
