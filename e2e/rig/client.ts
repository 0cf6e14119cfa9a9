/** A member at a server, without a browser. */
export interface Client {
  send: (
    method: string,
    path: string,
    body?: unknown,
  ) => Promise<{ status: number; body: unknown }>;
  /** Talks to another process from now on: sessions are rows, so the cookie holds there too. */
  moveTo: (base: string) => void;
}

const ANSWER_WITHIN_MS = 15_000;

export function createClient(base: string): Client {
  let at = base;
  const cookies = new Map<string, string>();
  return {
    moveTo: (next) => {
      at = next;
    },
    async send(method, path, body) {
      const answer = await fetch(`${at}/api${path}`, {
        method,
        headers: {
          Cookie: [...cookies].map(([name, value]) => `${name}=${value}`).join('; '),
          ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
        signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
      });
      for (const cookie of answer.headers.getSetCookie()) {
        const [pair = ''] = cookie.split(';');
        const at = pair.indexOf('=');
        cookies.set(pair.slice(0, at), pair.slice(at + 1));
      }
      const text = await answer.text();
      return { status: answer.status, body: text ? (JSON.parse(text) as unknown) : undefined };
    },
  };
}

export const OWNER = { email: 'rig@studio.example', password: 'a lantern over nine bricks' };

/** Sets up the one studio of a fresh server, with the code it printed; resolves to its owner's client. */
export async function setUpStudio(base: string, said: string): Promise<Client> {
  const code = /^set-up code: (\S+)$/m.exec(said)?.[1] ?? '';
  const client = createClient(base);
  const made = await client.send('POST', '/set-up', {
    code,
    studio: 'Rig',
    name: 'Rig',
    ...OWNER,
  });
  if (made.status !== 201) throw new Error(`set-up answered ${made.status}`);
  return client;
}

/** Makes a class whose time is now, so that it can be taught; resolves to its id. */
export async function makeClass(client: Client, title: string): Promise<string> {
  const body = { title, startsAt: new Date().toISOString(), targetS: 1800 };
  const made = await client.send('POST', '/classes', body);
  if (made.status !== 201) throw new Error(`a class answered ${made.status}`);
  return (made.body as { id: string }).id;
}
