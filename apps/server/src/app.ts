import { existsSync } from 'node:fs';
import type { Server } from 'node:http';
import { join } from 'node:path';
import { ValidationPipe } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import express, { type NextFunction, type Request, type Response } from 'express';
import session from 'express-session';
import helmet from 'helmet';
import type { Knex } from 'knex';
import { randomBytes } from 'node:crypto';
import { Logger } from 'nestjs-pino';
import { LONGEST, SessionStore } from './accounts/sessionStore.js';
import { AppModule } from './app.module.js';
import { EarlyRefusal, readBody } from './body.js';
import { DATABASE } from './database/database.module.js';
import { ErrorsFilter } from './errors/errors.filter.js';
import { isSecure, onLoopback, type Settings } from './settings.js';

const DAY = 86_400_000;
const SECOND = 1000;

const refuse = (response: Response, status: number, says: string): void => {
  response.status(status).json({ says });
};

/** Errors met before Nest sees the request still answer with one plain sentence. */
function early(
  error: { status?: number; says?: string },
  _q: Request,
  r: Response,
  next: NextFunction,
): void {
  if (error instanceof EarlyRefusal) {
    // What is left of a body nobody reads is not waited for.
    r.setHeader('Connection', 'close');
    return refuse(r, error.status, error.says);
  }
  if (typeof error.status === 'number' && error.status < 500)
    return refuse(r, error.status, 'The request could not be read.');
  next(error);
}

/** Writes must come from our own pages: browsers send Origin with them, and the cookie is SameSite besides. */
function sameOrigin(request: Request, response: Response, next: NextFunction): void {
  const { origin } = request.headers;
  const reading = ['GET', 'HEAD', 'OPTIONS'].includes(request.method);
  if (reading || origin === undefined) return next();
  if (URL.canParse(origin) && new URL(origin).host === request.headers.host) return next();
  refuse(response, 403, 'That is not allowed from here.');
}

function securityHeaders(secure: boolean): express.RequestHandler {
  const directives = {
    defaultSrc: ["'self'"],
    scriptSrc: ["'self'"],
    styleSrc: ["'self'"],
    fontSrc: ["'self'"],
    imgSrc: ["'self'", 'data:', 'blob:'],
    connectSrc: ["'self'"],
    workerSrc: ["'self'"],
    objectSrc: ["'none'"],
    baseUri: ["'none'"],
    formAction: ["'self'"],
    frameAncestors: ["'none'"],
  };
  const strictTransportSecurity = secure ? { maxAge: 365 * 86_400 } : false;
  const common = { strictTransportSecurity, referrerPolicy: { policy: 'no-referrer' as const } };
  const strict = helmet({ contentSecurityPolicy: { useDefaults: false, directives }, ...common });
  // The API page's own library writes style elements.
  const own = { ...directives, styleSrc: ["'self'", "'unsafe-inline'"] };
  const docs = helmet({ contentSecurityPolicy: { useDefaults: false, directives: own }, ...common });
  return (request, response, next) =>
    (request.path.startsWith('/api/docs') ? docs : strict)(request, response, next);
}

/** Nobody's answer is kept on the way, nor by a browser that somebody else uses next. */
function keepNothing(_request: Request, response: Response, next: NextFunction): void {
  response.setHeader('Cache-Control', 'no-store');
  next();
}

function serveWeb(app: NestExpressApplication, folder: string): void {
  const index = join(folder, 'index.html');
  if (!existsSync(index)) throw new Error(`the web application is not built: wanted ${index}`);
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: 365 * DAY }));
  app.use(express.static(folder, { index: false }));
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (request.method !== 'GET' || request.path.startsWith('/api')) return next();
    // A page's address has no ending; what has one is a file, and this one is not there.
    if (request.path.startsWith('/assets/') || /\.[a-z0-9]{1,8}$/i.test(request.path))
      return refuse(response, 404, 'There is nothing here under that address.');
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(index);
  });
}

/** A cookie's name with `__Host-` is taken by browsers only over TLS, for this host alone. */
export const cookieName = (settings: Settings): string => (isSecure(settings) ? '__Host-tally' : 'tally');

function sessions(settings: Settings, db: Knex): express.RequestHandler {
  const secure = isSecure(settings);
  const cookie = { httpOnly: true, sameSite: 'lax' as const, secure, path: '/' };
  return session({
    name: cookieName(settings),
    secret: settings.sessionSecret,
    store: new SessionStore(db, cookie),
    genid: () => randomBytes(32).toString('base64url'),
    resave: false,
    saveUninitialized: false,
    rolling: false,
    proxy: settings.proxies > 0,
    cookie: { ...cookie, maxAge: LONGEST * SECOND },
  });
}

/** A client that sends slowly, or says nothing for long, does not hold a place for ever. */
export function boundServer(server: Server): void {
  server.headersTimeout = 15 * SECOND;
  server.requestTimeout = 60 * SECOND;
  server.keepAliveTimeout = 65 * SECOND;
  server.maxHeadersCount = 100;
  server.maxConnections = 2000;
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
    ...(settings.tls ? { httpsOptions: settings.tls } : {}),
  });
  app.useLogger(app.get(Logger));
  boundServer(app.getHttpServer());
  app.set('query parser', 'simple');
  app.set('trust proxy', settings.proxies);
  app.set('etag', false);
  app.use(securityHeaders(isSecure(settings)));
  app.use(sameOrigin);
  app.use('/api', keepNothing);
  app.use((request: Request, response: Response, next: NextFunction) =>
    request.path.startsWith('/api') ? readBody(request, response, next) : next(),
  );
  app.use(early);
  const visit = sessions(settings, app.get<Knex>(DATABASE));
  app.use((request: Request, response: Response, next: NextFunction) =>
    request.path.startsWith('/api/') && !request.path.startsWith('/api/health')
      ? visit(request, response, next)
      : next(),
  );
  if (settings.webFolder) serveWeb(app, settings.webFolder);
  app.useGlobalPipes(
    new ValidationPipe({
      whitelist: true,
      forbidNonWhitelisted: true,
      forbidUnknownValues: true,
      stopAtFirstError: true,
      transform: true,
    }),
  );
  app.useGlobalFilters(new ErrorsFilter());
  // Who asks from outside is shown no map.
  if (onLoopback(settings) && settings.proxies === 0)
    SwaggerModule.setup('api/docs', app, () => apiDocument(app));
  return app;
}
