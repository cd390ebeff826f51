import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ValidationPipe } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import { LIMITS, nesting } from '@even-tally/core';
import connectPgSimple from 'connect-pg-simple';
import express, { type NextFunction, type Request, type Response } from 'express';
import session from 'express-session';
import helmet from 'helmet';
import { Logger } from 'nestjs-pino';
import pg from 'pg';
import { AppModule } from './app.module.js';
import { ErrorsFilter } from './errors/errors.filter.js';
import type { Settings } from './settings.js';

const DAY = 86_400_000;
/** Room for the wrapping round a 5 MB document. */
const BODY = LIMITS.bytes + 1024;

const refuse = (response: Response, status: number, says: string): void => {
  response.status(status).json({ says });
};

/** Nesting is measured on the bytes, before anything recursive meets them. */
function readBody(): express.RequestHandler {
  return express.json({
    limit: BODY,
    verify: (_request, _response, bytes) => {
      const depth = nesting(bytes.toString('utf8'));
      if (depth > LIMITS.nesting + 2) {
        throw Object.assign(new Error('nesting'), {
          status: 400,
          says: `Wanted nesting of at most ${LIMITS.nesting}, got ${depth}.`,
        });
      }
    },
  });
}

/** Errors met before Nest sees the request still answer with one plain sentence. */
function early(
  error: { status?: number; type?: string; says?: string; limit?: number },
  _q: Request,
  r: Response,
  next: NextFunction,
): void {
  if (error.says) return refuse(r, error.status ?? 400, error.says);
  if (error.type === 'entity.too.large') return refuse(r, 413, 'Wanted at most 5 MB, got more.');
  if (error.type === 'entity.parse.failed')
    return refuse(r, 400, 'Wanted JSON, got text that does not parse.');
  if (typeof error.status === 'number' && error.status < 500)
    return refuse(r, error.status, 'The request could not be read.');
  next(error);
}

/** Writes must come from our own pages: browsers send Origin with them, and the cookie is SameSite besides. */
function sameOrigin(request: Request, response: Response, next: NextFunction): void {
  const origin = request.headers.origin;
  const reading = ['GET', 'HEAD', 'OPTIONS'].includes(request.method);
  if (reading || origin === undefined) return next();
  if (URL.canParse(origin) && new URL(origin).host === request.headers.host) return next();
  refuse(response, 403, 'That is not allowed from here.');
}

function securityHeaders(): express.RequestHandler {
  const directives = {
    defaultSrc: ["'self'"],
    scriptSrc: ["'self'"],
    styleSrc: ["'self'"],
    imgSrc: ["'self'", 'data:', 'blob:'],
    workerSrc: ["'self'"],
    objectSrc: ["'none'"],
    frameAncestors: ["'none'"],
    upgradeInsecureRequests: null,
  };
  const strict = helmet({ contentSecurityPolicy: { directives }, strictTransportSecurity: false });
  // The API page's own library writes style elements.
  const docs = helmet({
    contentSecurityPolicy: { directives: { ...directives, styleSrc: ["'self'", "'unsafe-inline'"] } },
    strictTransportSecurity: false,
  });
  return (request, response, next) =>
    (request.path.startsWith('/api/docs') ? docs : strict)(request, response, next);
}

function serveWeb(app: NestExpressApplication, folder: string): void {
  const index = join(folder, 'index.html');
  if (!existsSync(index)) throw new Error(`the web application is not built: wanted ${index}`);
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: 365 * DAY }));
  app.use(express.static(folder, { index: false }));
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (request.method !== 'GET' || request.path.startsWith('/api')) return next();
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(index);
  });
}

export function apiDocument(app: NestExpressApplication): OpenAPIObject {
  const config = new DocumentBuilder().setTitle('Even Tally').setVersion('1').addCookieAuth('tally').build();
  return SwaggerModule.createDocument(app, config);
}

/** The whole server, ready to listen. Closing it closes its pools. */
export async function buildApp(settings: Settings): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(settings), {
    bufferLogs: true,
    bodyParser: false,
  });
  app.useLogger(app.get(Logger));
  app.set('query parser', 'simple');
  app.use(securityHeaders());
  app.use(sameOrigin);
  app.use('/api', readBody());
  app.use(early);
  const pool = new pg.Pool({ connectionString: settings.databaseUrl, max: 5 });
  pool.on('error', () => undefined);
  const Store = connectPgSimple(session);
  const store = new Store({ pool, tableName: 'session', pruneSessionInterval: 3600 });
  app.use(
    '/api',
    session({
      name: 'tally',
      secret: settings.sessionSecret,
      store,
      resave: false,
      saveUninitialized: false,
      rolling: false,
      cookie: { httpOnly: true, sameSite: 'lax', maxAge: 30 * DAY },
    }),
  );
  if (settings.webFolder) serveWeb(app, settings.webFolder);
  app.useGlobalPipes(new ValidationPipe({ whitelist: true, forbidNonWhitelisted: true, transform: true }));
  app.useGlobalFilters(new ErrorsFilter());
  SwaggerModule.setup('api/docs', app, () => apiDocument(app));
  const close = app.close.bind(app);
  app.close = async (): Promise<void> => {
    store.close();
    await close();
    if (!pool.ended) await pool.end();
  };
  return app;
}
