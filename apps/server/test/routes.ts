import type { TestServer } from './support.js';

interface Layer {
  route?: { path: string | string[]; methods: Record<string, boolean> };
  handle?: { stack?: Layer[] };
}

/** The route table of the running server, so that a route added later is tested by being there. */
export function routesOf(server: TestServer): { method: string; path: string }[] {
  const router = (server.app.getHttpAdapter().getInstance() as { router: { stack: Layer[] } }).router;
  return router.stack.flatMap((layer) => {
    const { route } = layer;
    if (!route) return [];
    return [route.path].flat().flatMap((path) =>
      Object.keys(route.methods)
        .filter((m) => route.methods[m] && m !== '_all')
        .map((method) => ({ method, path })),
    );
  });
}
