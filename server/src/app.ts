import { say } from './words';
import compression from 'compression';
import { endpoints, openApiOf } from '@brave-comb/contract';
import express, { type Express, type RequestHandler, Router } from 'express';
import session from 'express-session';
import helmet from 'helmet';
import { join } from 'node:path';
import { pinoHttp } from 'pino-http';
import { archiveRoutes } from './routes/archive';
import { careRoutes } from './routes/care';
import type { Config } from './config';
import type { Context } from './context';
import { apiDocs } from './docs';
import { fromHere, overTls } from './doors';
import { answerFaults } from './faults';
import { equipmentRoutes } from './routes/equipment';
import { inspectionRoutes } from './routes/inspection';
import { health } from './health';
import { peopleRoutes } from './routes/people';
import { planningRoutes } from './routes/planning';
import { Refusal } from './problem';
import { roomOnDisk } from './room-on-disk';
import { WHOLE_FILE, deadline, serving } from './routing';
import { seasonRoutes } from './routes/season';
import { practiceRoutes } from './routes/practice';
import { skillsRoutes } from './routes/skills';
import { Traffic } from './traffic';
import { weatherRoutes } from './routes/weather';
import { SIGNED_IN_AT_MOST, sessionGoesOn, SessionStore } from './records/people';
import { serveCalendarFeeds } from './routes/calendar-feed';

const BODY_LIMIT = '512kb';
/** A typical year is a file of about 1.6 MB. */
const FILE_LIMIT = '4200kb';
const FILE_PATHS =
  /^\/(weather\/sites\/[^/]+\/(import|climate)|visits\/[^/]+\/attachments|equipment\/hives|people\/members)$/;

/** What pages may use of a device: its camera and microphone, for photos and spoken notes, and where it is, for a site. */
const PERMISSIONS = [
  'camera=(self)',
  'microphone=(self)',
  'screen-wake-lock=(self)',
  'geolocation=(self)',
  ...['payment', 'usb', 'serial', 'bluetooth', 'midi', 'display-capture'].map((name) => `${name}=()`),
].join(', ');

/**
 * The whole application: API by contract, its document, and the built web application.
 *
 * @param context database, clock, weather, log
 * @param config what the server was started with
 * @param refreshed what comes from outside, up to date with a clock that was moved
 * @param traffic counts what is being answered
 * @returns an Express application, not yet listening
 */
export function buildApp(
  context: Context,
  config: Config,
  refreshed: () => Promise<void>,
  traffic = new Traffic(),
): Express {
  const hops = Number(config.trustProxy);
  const app = express()
    .disable('x-powered-by')
    .set('trust proxy', Number.isInteger(hops) ? hops : config.trustProxy)
    .set('query parser', 'simple');
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
  app.use((_request, response, next) => {
    response.set('Permissions-Policy', PERMISSIONS);
    next();
  });
  app.use('/api/health', health(context.db));
  app.use(traffic.count);
  app.use(compression());
  app.get('/api/openapi.json', openApi());
  app.use('/api/docs', apiDocs());
  app.use('/api', (_request, response, next) => {
    // What a device keeps, it keeps by person, in the application's own database.
    response.set({ 'X-Clock': context.clock.now().toISOString(), 'Cache-Control': 'no-store' });
    next();
  });
  app.use('/api', deadline, overTls(config), fromHere(config), roomOnDisk(config.dataDir));
  app.use('/api', readBody());
  app.use('/api', signedSessions(context, config));
  app.use(apiRouter(context, config, refreshed, traffic));
  app.use('/api', () => {
    throw new Refusal(404, 'not-found', say('no-such-address'));
  });
  app.get('/calendar/:file', serveCalendarFeeds(context));
  app.use(webApp(config.webDir));
  app.use(answerFaults(context.log));
  return app;
}

/** The document of all endpoints, written once. */
function openApi(): RequestHandler {
  let text: string | undefined;
  return (_request, response) => {
    text ??= JSON.stringify(openApiOf(endpoints));
    response.set('Cache-Control', 'public, max-age=3600').type('json').send(text);
  };
}

/** Reads what was sent: files may be larger than all else. */
function readBody(): RequestHandler {
  const small = express.json({ limit: BODY_LIMIT, type: () => true });
  const large = express.json({ limit: FILE_LIMIT, type: () => true });
  return (request, response, next) => {
    if (WHOLE_FILE.test(request.path)) next();
    else (FILE_PATHS.test(request.path) ? large : small)(request, response, next);
  };
}

function apiRouter(context: Context, config: Config, refreshed: () => Promise<void>, traffic: Traffic): Router {
  const router = Router();
  const serve = serving({
    clock: context.clock,
    router,
    checked: config.checkResponses,
    goesOn: (session) => sessionGoesOn(context.db, session),
    notAwaited: (request) => traffic.notAwaited(request),
  });
  peopleRoutes(context, serve, config, refreshed);
  for (const room of [
    equipmentRoutes,
    weatherRoutes,
    seasonRoutes,
    planningRoutes,
    inspectionRoutes,
    careRoutes,
    skillsRoutes,
    practiceRoutes,
    archiveRoutes,
  ])
    room(context, serve);
  return router;
}

function signedSessions(context: Context, config: Config): RequestHandler {
  return session({
    name: context.cookieName,
    secret: config.sessionSecret,
    resave: false,
    saveUninitialized: false,
    // How long it is good for, the store knows: an answer that is late must not bring back the cookie of whoever signed in before.
    rolling: false,
    cookie: { httpOnly: true, sameSite: 'lax', secure: config.https, path: '/', maxAge: SIGNED_IN_AT_MOST },
    store: new SessionStore(context.db),
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
      next(new Refusal(404, 'not-found', say('no-such-file')));
      return;
    }
    response.set('Cache-Control', 'no-cache').sendFile(join(folder, 'index.html'));
  };
  return [files, page];
}
