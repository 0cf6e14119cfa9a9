import { afterEach, describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { request, RequestProblem, send, sentenceOf } from './request.ts';

const Saved = z.object({ revision: z.number() });

afterEach(() => vi.unstubAllGlobals());

const answer = (status: number, body: string) =>
  vi.stubGlobal(
    'fetch',
    vi.fn().mockResolvedValue(new Response(status === 204 ? null : body, { status })),
  );

async function problemOf(call: Promise<unknown>): Promise<RequestProblem> {
  const caught: unknown = await call.catch((error: unknown) => error);
  if (caught instanceof RequestProblem) return caught;
  throw new Error('no problem was thrown');
}

describe('request', () => {
  it('sends JSON and reads JSON', async () => {
    answer(200, '{"revision": 2}');
    expect(await request(Saved, 'PUT', '/x', { a: 1 })).toEqual({ revision: 2 });
    expect(fetch).toHaveBeenCalledWith('/api/x', {
      method: 'PUT',
      body: '{"a":1}',
      signal: expect.any(AbortSignal) as AbortSignal,
      headers: { 'Content-Type': 'application/json' },
    });
  });

  it('reads nothing from an empty answer', async () => {
    answer(204, '');
    await expect(send('DELETE', '/x')).resolves.toBeUndefined();
  });

  it('throws the problem that the server tells', async () => {
    const errors = [{ path: ['name'], message: 'give a name' }];
    answer(422, JSON.stringify({ code: 'invalid', title: 'Not right.', errors }));
    const problem = await problemOf(send('POST', '/people', {}));
    expect(problem).toMatchObject({ code: 'invalid', status: 422, fields: errors });
    expect(sentenceOf(problem)).toBe('Not right. name: give a name');
  });

  it('is offline when the line is down, and says that nothing is lost', async () => {
    vi.stubGlobal('fetch', vi.fn().mockRejectedValue(new TypeError('failed')));
    const problem = await problemOf(request(Saved, 'GET', '/x'));
    expect(problem).toMatchObject({ code: 'offline', status: 0 });
    expect(sentenceOf(problem)).toMatch(/nothing you wrote is lost/);
  });

  it('takes a page that is no JSON for a lost line, not for data', async () => {
    answer(200, '<html>sign in to the café’s network</html>');
    expect(await problemOf(request(Saved, 'GET', '/x'))).toMatchObject({ code: 'unreadable' });
  });

  it('takes an answer of another version for one that can’t be read', async () => {
    answer(200, '{"revision": "two"}');
    expect(await problemOf(request(Saved, 'GET', '/x'))).toMatchObject({ code: 'unreadable' });
  });

  it('has words for a problem without any', async () => {
    answer(500, '');
    expect(sentenceOf(await problemOf(request(Saved, 'GET', '/x')))).toBe(
      'Something went wrong on the server.',
    );
    expect(sentenceOf(new Error('bug'))).toBe('Something went wrong in the page.');
  });
});
