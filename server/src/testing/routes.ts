import type { Express } from 'express';

interface Layer {
  route?: { path: string; stack: { method: string }[] };
  handle?: { stack?: Layer[] };
}

/** The routes that the app really has, read from its routers: "GET /classes/:id". */
export function registeredRoutes(app: Express): string[] {
  const found = new Set<string>();
  const walk = (layers: Layer[]) => {
    for (const { route, handle } of layers) {
      for (const { method } of route?.stack ?? []) {
        found.add(`${method.toUpperCase()} ${route?.path ?? ''}`);
      }
      if (handle?.stack) walk(handle.stack);
    }
  };
  walk((app.router as unknown as { stack: Layer[] }).stack);
  return [...found];
}
