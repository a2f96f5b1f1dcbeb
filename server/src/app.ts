import compression from 'compression';
import { ConnectSessionKnexStore } from 'connect-session-knex';
import { endpoints, openApiOf } from '@brave-comb/contract';
import express, { type Express, type RequestHandler, Router } from 'express';
import session from 'express-session';
import helmet from 'helmet';
import { join } from 'node:path';
import { pinoHttp } from 'pino-http';
import { serveCalendarFeeds } from './care/calendar-feed';
import { careRoutes } from './care/routes';
import type { Config } from './config';
import type { Context } from './context';
import { apiDocs } from './docs';
import { answerFaults } from './faults';
import { inspectionRoutes } from './inspection/routes';
import { peopleRoutes } from './people/routes';
import { planningRoutes } from './planning/routes';
import { Refusal } from './problem';
import { roomOnDisk } from './room-on-disk';
import { type Serve, serveEndpoint } from './routing';
import { seasonRoutes } from './season/routes';
import { practiceRoutes } from './practice/routes';
import { skillsRoutes } from './skills/routes';
import { weatherRoutes } from './weather/routes';

const FORTNIGHT = 14 * 86_400_000;
const BODY_LIMIT = '512kb';
/** A typical year is a file of about 1.6 MB. */
const FILE_LIMIT = '4200kb';
const FILE_PATHS = /^\/(weather\/sites\/[^/]+\/(import|climate)|visits\/[^/]+\/attachments)$/;

/**
 * The whole application: API by contract, its document, and the built web application.
 *
 * @param context database, clock, weather, log
 * @param config what the server was started with
 * @returns an Express application, not yet listening
 */
export function buildApp(context: Context, config: Config): Express {
  const app = express().disable('x-powered-by').set('trust proxy', 'loopback').set('query parser', 'simple');
  app.use(pinoHttp({ logger: context.log, quietReqLogger: true, autoLogging: false }));
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'script-src': ["'self'"],
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:'],
          'media-src': ["'self'", 'data:'],
          'font-src': ["'self'"],
          'connect-src': ["'self'"],
          'frame-ancestors': ["'none'"],
          'upgrade-insecure-requests': config.https ? [] : null,
        },
      },
      strictTransportSecurity: config.https ? { maxAge: 31_536_000 } : false,
    }),
  );
  app.use(compression());
  app.get('/api/health', (_request, response) => void response.json({ up: true }));
  app.get('/api/openapi.json', (_request, response) => void response.json(openApiOf(endpoints)));
  app.use('/api/docs', apiDocs());
  app.use('/api', fromHere, roomOnDisk(config.dataDir));
  app.use('/api', readBody());
  app.use('/api', signedSessions(context, config));
  app.use(apiRouter(context, config.checkResponses));
  app.use('/api', () => {
    throw new Refusal(404, 'not found', 'There is no such address. The addresses that there are stand at /api/docs.');
  });
  app.get('/calendar/:file', serveCalendarFeeds(context));
  app.use(webApp(config.webDir));
  app.use(answerFaults(context.log));
  return app;
}

/** Reads what was sent: files may be larger than all else. */
function readBody(): RequestHandler {
  const small = express.json({ limit: BODY_LIMIT, type: () => true });
  const large = express.json({ limit: FILE_LIMIT, type: () => true });
  return (request, response, next) => (FILE_PATHS.test(request.path) ? large : small)(request, response, next);
}

function apiRouter(context: Context, checked: boolean): Router {
  const router = Router();
  const serve: Serve = (endpoint, handler) => serveEndpoint(router, endpoint, handler, checked);
  for (const room of [
    peopleRoutes,
    weatherRoutes,
    seasonRoutes,
    planningRoutes,
    inspectionRoutes,
    careRoutes,
    skillsRoutes,
    practiceRoutes,
  ])
    room(context, serve);
  return router;
}

const hostOf = (origin: string): string | null => (URL.canParse(origin) ? new URL(origin).host : null);

/** A page of another site must not write in somebody's name: browsers say where a request comes from. */
const fromHere: RequestHandler = (request, response, next) => {
  response.set('Cache-Control', 'no-store');
  const origin = request.get('origin');
  const site = request.get('sec-fetch-site');
  const foreign = (origin !== undefined && hostOf(origin) !== request.get('host')) || site === 'cross-site';
  if (request.method !== 'GET' && foreign) {
    throw new Refusal(
      403,
      'other site',
      'This came from another web site and was not done. Use the application itself.',
    );
  }
  next();
};

function signedSessions(context: Context, config: Config): RequestHandler {
  return session({
    name: context.cookieName,
    secret: config.sessionSecret,
    resave: false,
    saveUninitialized: false,
    rolling: true,
    cookie: { httpOnly: true, sameSite: 'lax', secure: config.https, path: '/', maxAge: FORTNIGHT },
    store: new ConnectSessionKnexStore({
      knex: context.db,
      tableName: 'web_sessions',
      createTable: false,
      cleanupInterval: 0,
    }),
  });
}

function webApp(folder: string): RequestHandler[] {
  const files = express.static(folder, {
    index: false,
    setHeaders: (response, path) => {
      const hashed = /-[A-Z0-9]{8}\.\w+$/.test(path);
      response.setHeader('Cache-Control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
    },
  });
  const page: RequestHandler = (request, response, next) => {
    if (request.method !== 'GET' || /\.\w+$/.test(request.path)) {
      next(new Refusal(404, 'not found', 'There is no such file.'));
      return;
    }
    response.set('Cache-Control', 'no-cache').sendFile(join(folder, 'index.html'));
  };
  return [files, page];
}
