import { closedRouter } from '../auth/closed-router.ts';
import { describeApi } from './describe-api.ts';

/** The description of all routes, for whoever writes another program against them. */
export function descriptionRouter() {
  const { router, open } = closedRouter();
  let described: string | undefined;

  open('GET /openapi.json', (_request, response) => {
    described ??= JSON.stringify(describeApi());
    response.set('Cache-Control', 'public, max-age=3600').type('json').send(described);
    return Promise.resolve();
  });

  return router;
}
