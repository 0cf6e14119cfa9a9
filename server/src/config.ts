import { z } from 'zod';

const Environment = z.object({
  WRENFERN_DATABASE_URL: z.url({ protocol: /^(mariadb|mysql)$/, error: 'a mariadb:// address' }),
  WRENFERN_PORT: z.coerce.number().int().min(1).max(65535).default(4600),
  WRENFERN_SESSION_SECRET: z.string().min(32, 'at least 32 characters'),
  WRENFERN_DEMO: z.enum(['yes', 'no', 'reset']).default('yes'),
  WRENFERN_WEB: z.string().default(''),
  WRENFERN_LOG: z.enum(['debug', 'info', 'warn', 'error', 'silent']).default('warn'),
  WRENFERN_SECURE_COOKIES: z.enum(['yes', 'no']).default('no'),
});

/** What the server is told when it starts. */
export interface Config {
  databaseUrl: string;
  port: number;
  sessionSecret: string;
  demo: 'yes' | 'no' | 'reset';
  /** Folder of the built interface; empty when it is served elsewhere. */
  webFolder: string;
  logLevel: string;
  secureCookies: boolean;
}

/** Reads the environment; throws one sentence that names every field at fault. */
export function readConfig(environment: NodeJS.ProcessEnv): Config {
  const parsed = Environment.safeParse(environment);
  if (!parsed.success) {
    const faults = parsed.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`);
    throw new Error(`The server's settings are not right. ${faults.join('; ')}`);
  }
  const values = parsed.data;
  return {
    databaseUrl: values.WRENFERN_DATABASE_URL,
    port: values.WRENFERN_PORT,
    sessionSecret: values.WRENFERN_SESSION_SECRET,
    demo: values.WRENFERN_DEMO,
    webFolder: values.WRENFERN_WEB,
    logLevel: values.WRENFERN_LOG,
    secureCookies: values.WRENFERN_SECURE_COOKIES === 'yes',
  };
}
