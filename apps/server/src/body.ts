import { LIMITS } from '@even-tally/core';
import express, { type NextFunction, type Request, type Response } from 'express';
import { boundsOf } from './workers/envelope.js';
import { scan } from './workers/scan.js';

/** What a request of a route may weigh, bytes, and what it is read as. The first that fits rules. */
const ROUTES: readonly { path: RegExp; bytes: number; as: 'json' | 'document' | 'stream' }[] = [
  // Room for what comes with a 5 MB document.
  { path: /^\/api\/jobs(\/[^/]+)?\/?$/, bytes: LIMITS.bytes + 1024, as: 'document' },
  { path: /^\/api\/jobs\/[^/]+\/record\/?$/, bytes: 64 * 1024, as: 'json' },
  // Read line by line as it comes in: `yards/carry.ts` counts.
  { path: /^\/api\/yard\/file\/?$/, bytes: Infinity, as: 'stream' },
  { path: /^/, bytes: 4 * 1024, as: 'json' },
];

const say = (bytes: number): string =>
  bytes >= 1024 * 1024 ? `${Math.floor(bytes / 1_048_576)} MB` : `${Math.floor(bytes / 1024)} kB`;

/** A request refused before any route has seen it. */
export class EarlyRefusal extends Error {
  constructor(
    readonly status: number,
    readonly says: string,
  ) {
    super(says);
  }
}

/** What a body says it is: JSON in UTF-8, as it stands. Anything else is not guessed at. */
function refuseType(request: Request, stream: boolean): void {
  const type = request.headers['content-type'] ?? '';
  const [kind = '', ...parameters] = type.split(';').map((t) => t.trim().toLowerCase());
  const wanted = stream ? ['application/x-ndjson', 'application/json'] : ['application/json'];
  if (!wanted.includes(kind)) throw new EarlyRefusal(415, 'Wanted JSON, got something else.');
  const charset = parameters
    .find((p) => p.startsWith('charset='))
    ?.slice(8)
    .replaceAll('"', '');
  if (charset !== undefined && charset !== 'utf-8' && charset !== 'utf8')
    throw new EarlyRefusal(415, `Wanted JSON in UTF-8, got ${charset.slice(0, 30).replace(/[^\w-]/g, '?')}.`);
  const coding = request.headers['content-encoding'];
  if (coding !== undefined && coding !== 'identity')
    throw new EarlyRefusal(415, 'Wanted JSON as it is, got it packed.');
}

const utf8 = new TextDecoder('utf-8', { fatal: true, ignoreBOM: true });

function textOf(bytes: Buffer): string {
  try {
    return utf8.decode(bytes);
  } catch {
    throw new EarlyRefusal(400, 'Wanted JSON in UTF-8, got bytes that are not.');
  }
}

function parsed(text: string): unknown {
  const over = boundsOf(scan(text));
  if (over !== null) throw new EarlyRefusal(400, over);
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new EarlyRefusal(400, 'Wanted JSON, got text that does not parse.');
  }
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    throw new EarlyRefusal(400, 'Wanted a JSON object, got something else.');
  // What every object has already would be passed over in silence further on.
  const strange = Object.keys(value).find((key) => key in Object.prototype);
  if (strange !== undefined) throw new EarlyRefusal(400, `${strange}: wanted nothing under that key`);
  // Half a character cannot be written down, and some checks of a text do not survive one.
  const half = Object.entries(value).find(([, one]) => typeof one === 'string' && !one.isWellFormed());
  if (half) throw new EarlyRefusal(400, `${half[0]}: wanted whole characters`);
  return value;
}

const READERS = ROUTES.map(({ bytes }) =>
  bytes === Infinity ? null : express.raw({ type: () => true, limit: bytes, inflate: false }),
);

/** Reads the body of a request within the bounds of its route. */
export function readBody(request: Request, response: Response, next: NextFunction): void {
  const place = ROUTES.findIndex(({ path }) => path.test(request.path));
  const route = ROUTES[place];
  const empty = request.headers['content-length'] === undefined || request.headers['content-length'] === '0';
  if (!route || (empty && request.headers['transfer-encoding'] === undefined)) return next();
  try {
    refuseType(request, route.as === 'stream');
  } catch (error) {
    return next(error);
  }
  const reader = READERS[place];
  if (!reader) return next();
  reader(request, response, (error?: unknown) => {
    if (error) {
      const { type } = error as { type?: string };
      if (type === 'entity.too.large')
        return next(new EarlyRefusal(413, `Wanted at most ${say(route.bytes)}, got more.`));
      return next(error);
    }
    try {
      const text = Buffer.isBuffer(request.body) ? textOf(request.body) : '';
      request.body = route.as === 'document' ? text : parsed(text);
      next();
    } catch (refused) {
      next(refused);
    }
  });
}
