import { randomBytes } from 'node:crypto';
import { type Server, createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Express } from 'express';
import { pino } from 'pino';
import { buildApp } from './app';
import { systemClock } from './clock/clock';
import { demoClock } from './clock/store';
import type { Config } from './config';
import type { Context } from './context';
import { migrate, openDatabase } from './database/connection';
import { DEMO_START, loadDemo } from './demo/load';
import { startPlanRunner } from './planning/runner';
import { httpScale } from './season/scale-source';
import { scaleStandIn } from './standins/scale/app';
import { weatherStandIn } from './standins/weather/app';
import { httpWeather } from './weather/http-source';

/** A running server. */
export interface Running {
  readonly address: string;
  stop(): Promise<void>;
}

function listen(server: Server, port: number, host: string): Promise<number> {
  return new Promise((done, fail) => {
    server.once('error', fail);
    server.listen(port, host, () => done((server.address() as AddressInfo).port));
  });
}

const closed = (server: Server): Promise<void> =>
  new Promise((done) => {
    server.close(() => done());
    server.closeAllConnections();
  });

/**
 * Starts the server: migrations, demo data on the first start, the stand-ins, the application.
 *
 * @param config what to start with
 * @returns its address and how to stop it
 * @throws when the database does not answer or the port is in use
 */
export async function startServer(config: Config): Promise<Running> {
  const log = pino({ level: config.logLevel, redact: ['req.headers.cookie', 'req.body.password'] });
  const db = openDatabase(config.databaseUrl);
  const open: Server[] = [];
  let stopClock = (): void => undefined;
  let stopPlanning = (): Promise<void> => Promise.resolve();
  const stop = async () => {
    stopClock();
    await stopPlanning();
    await Promise.all(open.map(closed));
    await db.destroy();
  };
  try {
    await migrate(db, config.dataDir !== '');
    const standIn = async (app: Express): Promise<string> => {
      const server = createServer(app);
      open.push(server);
      return `http://127.0.0.1:${await listen(server, 0, '127.0.0.1')}`;
    };
    const weatherUrl = config.weatherUrl || (await standIn(weatherStandIn()));
    const scaleUrl = config.scaleUrl || (await standIn(scaleStandIn()));
    let clock = systemClock;
    if (config.demo) ({ clock, stop: stopClock } = await demoClock(db, DEMO_START));
    const context: Context = {
      db,
      clock,
      log,
      weather: httpWeather(weatherUrl),
      scale: httpScale(scaleUrl),
      cookieName: config.https ? '__Host-brave_comb' : 'brave_comb',
    };
    if (config.demo) await loadDemo(context);
    const server = createServer(buildApp(context, config));
    const port = await listen(server, config.port, config.host);
    open.push(server);
    stopPlanning = startPlanRunner(context).stop;
    return { address: `http://${config.host === '0.0.0.0' ? 'localhost' : config.host}:${port}`, stop };
  } catch (error) {
    await stop().catch(() => undefined);
    throw error;
  }
}

/** Settings from the environment, for a server that is started without the start script. */
export function configFromEnvironment(env: NodeJS.ProcessEnv): Config {
  return {
    port: Number(env.PORT ?? 8080),
    host: env.HOST ?? '127.0.0.1',
    databaseUrl: env.DATABASE_URL ?? '',
    webDir: env.WEB_DIR ?? 'web/dist',
    dataDir: env.DATA_DIR ?? '',
    sessionSecret: env.SESSION_SECRET ?? randomBytes(32).toString('hex'),
    weatherUrl: env.WEATHER_URL ?? '',
    scaleUrl: env.SCALE_URL ?? '',
    demo: env.DEMO !== 'off',
    https: env.HTTPS === 'on',
    logLevel: env.LOG_LEVEL ?? 'warn',
    checkResponses: env.CHECK_RESPONSES === 'on',
  };
}
