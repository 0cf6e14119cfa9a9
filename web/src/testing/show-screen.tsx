import { cleanup, configure, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { http, HttpResponse } from 'msw';
import { setupServer } from 'msw/node';
import type { ReactNode } from 'react';
import { createMemoryRouter, RouterProvider, type RouteObject } from 'react-router';
import { toast, Toaster } from 'sonner';
import { SWRConfig } from 'swr';
import { afterAll, afterEach, beforeAll } from 'vitest';
import type { Session } from '@wrenfern/contract/account';
import { searchHere } from './search-here.ts';

/** A request as it reached the stand-in for the server. */
export interface Sent {
  route: string;
  body: unknown;
}

/** What a route answers: a value, or a refusal with its code. */
export type Answer = (body: unknown, query: URLSearchParams) => { status?: number; json?: unknown };

const server = setupServer();
// What was looked for says enough: the whole page beside it hides it.
configure({
  getElementError: (message) => new Error(message?.slice(0, 300) ?? ''),
  // How fast a machine is, is no business of a test.
  asyncUtilTimeout: 10_000,
});

/** For every file that shows screens: the server's stand-in, and a clean page between tests. */
export function standInForServer(): void {
  beforeAll(() => {
    server.listen({ onUnhandledRequest: 'error' });
    searchHere();
  });
  afterEach(async () => {
    // A plan saves itself a moment after an edit: that must not arrive when its page is gone.
    await waitFor(() => {
      const saving = screen.queryByTestId('save-state')?.textContent.startsWith('Saving');
      if (saving) throw new Error('the plan is still being saved');
    }, SAVED_WITHIN);
    server.resetHandlers();
    toast.dismiss();
    cleanup();
    document.body.innerHTML = '';
  });
  afterAll(() => server.close());
}

export const OWNER_SESSION: Session = {
  user: { id: 'u1', name: 'Ida Fenn', role: 'owner', lacksSecondFactor: false },
  studio: {
    name: 'Tilework Studio',
    slug: 'tilework',
    isDemo: false,
    timeZone: 'UTC',
    needsSecondFactor: false,
  },
};

const SAVED_WITHIN = { timeout: 8000 };

/** The browser's, of which the page in tests has none; nothing in it ever changes its size. */
class NoResizeObserver implements ResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
globalThis.ResizeObserver = NoResizeObserver;
// Nor do its files tell their text by themselves.
Blob.prototype.text = function text(this: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : '');
    reader.onerror = () => reject(reader.error ?? new Error('can’t be read'));
    reader.readAsText(this);
  });
};
// Nor has it pointers to capture.
HTMLElement.prototype.setPointerCapture = () => undefined;

interface ShowParts {
  /** Where the reader is. */
  at?: string;
  /** In place of the screen at every address. */
  routes?: RouteObject[];
  /** For so long the same is not asked twice; as in the browser, 2000. */
  dedupingMs?: number;
  /** By method and path, such as "PUT /account/password". */
  answers?: Record<`${string} ${string}`, Answer>;
}

/** Shows a screen with a server that answers as told; `sent` lists what it was asked to change. */
export function showScreen(
  screen: ReactNode,
  { at = '/', answers = {}, routes, dedupingMs = 0 }: ShowParts = {},
) {
  const sent: Sent[] = [];
  const session: Answer = () => ({ json: OWNER_SESSION });
  const all: Record<string, Answer> = { 'GET /session': session, ...answers };
  server.use(
    ...Object.entries(all).map(([route, answer]) => {
      const [method = '', path = ''] = route.split(' ');
      return http[method.toLowerCase() as 'get'](`*/api${path}`, async ({ request }) => {
        const text = await request.text();
        const isJson = request.headers.get('content-type') === 'application/json';
        const body: unknown = isJson ? JSON.parse(text) : text || undefined;
        if (method !== 'GET') sent.push({ route, body });
        const { status = 200, json } = answer(body, new URL(request.url).searchParams);
        return json === undefined
          ? new HttpResponse(null, { status: status === 200 ? 204 : status })
          : HttpResponse.json(json as object, { status });
      });
    }),
  );
  const router = createMemoryRouter(routes ?? [{ path: '*', element: screen }], {
    initialEntries: [at],
  });
  render(
    <SWRConfig value={{ provider: () => new Map(), dedupingInterval: dedupingMs }}>
      <RouterProvider router={router} />
      <Toaster />
    </SWRConfig>,
  );
  return { sent, router, user: userEvent.setup() };
}

/** A refusal as the server words it. */
export function refusal(status: number, code: string, title: string, more: object = {}): Answer {
  return () => ({ status, json: { code, title, status, ...more } });
}
