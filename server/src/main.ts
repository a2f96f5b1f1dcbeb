import { type Server, createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { DAY } from '@brave-comb/core/units';
import type { Express } from 'express';
import { buildApp } from './app';
import { fixedClock, systemClock } from './clock/clock';
import { demoClock } from './clock/store';
import { type Config, SetUpError } from './config';
import type { Context } from './context';
import { alone, migrate, openDatabase } from './database/connection';
import { LATEST_DEMO_TIME } from './demo/begin-again';
import { DEMO_START, loadDemo } from './demo/load';
import { emptyAll, kindsOfSchools } from './demo/store';
import { openLog } from './faults';
import { startMailer } from './jobs/mail/mailer';
import { startPlanRunner } from './jobs/planning/runner';
import { refreshNow, startRefresher } from './jobs/refresh/refresher';
import { scaleStandIn } from './standins/scale/app';
import { weatherStandIn } from './standins/weather/app';
import { smtpMail } from './mail';
import { Traffic } from './traffic';
import { forgetDevices, newStartCode, sweepSessions } from './records/people';
import { httpScale } from './records/season';
import { httpWeather, saidToBeMadeUp } from './records/weather';

/** A running server. */
export interface Running {
  readonly address: string;
  /** Code for the first owner; `null` where there is a school. */
  readonly startCode: string | null;
  /** Answers what was asked already, then ends. */
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

/** How long requests that are open are waited for when the server stops, ms. */
const DRAIN = 8_000;
const SWEEP_EVERY = 3_600_000;
const KEEP_ALIVE = 75_000;
/** Longest that a request may take to come in, ms: an archive over a slow line. */
const LONGEST_UPLOAD = 30 * 60_000;
const DEVICES_KEPT = 2 * 365 * DAY;

/** Tables up to date, and the demo in them where it is asked for; one process at a time. */
async function prepare(
  { databaseUrl, demo, removeDemo }: Config,
  around: Omit<Context, 'db' | 'clock'>,
): Promise<string | null> {
  return alone(databaseUrl, around.log, async (db) => {
    await migrate(db);
    const { real, invented } = await kindsOfSchools(db);
    if (!demo && invented > 0 && !removeDemo)
      throw new SetUpError(
        'This database holds the invented schools of the demo, whose passwords everybody knows: it is not opened as a real one. Start with BRAVE_COMB_DATA set to another folder (or DATABASE_URL to another database), or throw the demo away:\n\n  DEMO=off DEMO_DATA=remove npm start\n',
      );
    if (!demo && invented > 0) await db.transaction(emptyAll);
    if (demo && real > 0)
      throw new SetUpError(
        'This database holds a real school: it is not opened as a demo, whose clock and sign-ins are invented. Start with DEMO=off, or set BRAVE_COMB_DATA to another folder for a demo.',
      );
    if (!demo) return newStartCode(db);
    await loadDemo({ ...around, db, clock: fixedClock(DEMO_START) });
    return null;
  });
}

/**
 * Starts the server: migrations, demo data on the first start, the stand-ins, the application.
 *
 * @param config what to start with
 * @returns its address and how to stop it
 * @throws SetUpError in words for whoever starts it; anything else when the database does not answer or the port is in use
 */
export async function startServer(config: Config): Promise<Running> {
  const log = openLog(config.logLevel);
  const db = openDatabase(config.databaseUrl);
  const open: Server[] = [];
  const traffic = new Traffic();
  let stopClock = (): void => undefined;
  let stopPlanning = (): Promise<void> => Promise.resolve();
  let stopRefreshing = (): Promise<void> => Promise.resolve();
  let stopMailing = (): Promise<void> => Promise.resolve();
  let sweeping: NodeJS.Timeout | undefined;
  const stop = async () => {
    clearInterval(sweeping);
    stopClock();
    await Promise.all([stopPlanning(), stopRefreshing(), stopMailing(), traffic.drain(DRAIN)]);
    await Promise.all(open.map(closed));
    await db.destroy();
  };
  try {
    const standIn = async (app: Express): Promise<string> => {
      const server = createServer(app);
      open.push(server);
      return `http://127.0.0.1:${await listen(server, 0, '127.0.0.1')}`;
    };
    const weatherUrl = config.weatherUrl || (await standIn(weatherStandIn()));
    const scaleUrl = config.scaleUrl || (await standIn(scaleStandIn()));
    const asked = httpWeather(weatherUrl, config.weatherCollections);
    const weather = config.demo || config.weatherUrl ? asked : saidToBeMadeUp(asked);
    const sources = { weather, scale: httpScale(scaleUrl) };
    const around = {
      log,
      publicUrl: config.publicUrl,
      cookieName: config.https ? '__Host-brave_comb' : 'brave_comb',
    };
    const startCode = await prepare(config, around);
    let clock = systemClock;
    if (config.demo) ({ clock, stop: stopClock } = await demoClock(db, DEMO_START, LATEST_DEMO_TIME));
    // Nobody of an invented school is written to.
    const mail = config.smtpUrl && !config.demo ? { mail: smtpMail(config.smtpUrl, config.mailFrom) } : {};
    const context: Context = { ...around, ...mail, db, clock };
    // What a first screen shows is fetched before it can be asked for; where nobody answers, it says so.
    await refreshNow(context, sources);
    const server = createServer(buildApp(context, config, () => refreshNow(context, sources), traffic));
    // Longer than proxies keep a line that nobody uses: it is theirs to close, not ours in the middle of a request.
    server.keepAliveTimeout = KEEP_ALIVE;
    server.headersTimeout = KEEP_ALIVE + 1_000;
    server.requestTimeout = LONGEST_UPLOAD;
    const port = await listen(server, config.port, config.host);
    open.push(server);
    stopPlanning = startPlanRunner(context, { nice: config.planningNice }).stop;
    stopRefreshing = startRefresher(context, sources).stop;
    stopMailing = startMailer(context).stop;
    const sweep = () =>
      Promise.all([sweepSessions(db), forgetDevices(db, new Date(Date.now() - DEVICES_KEPT))]).catch((error: unknown) =>
        log.warn({ err: error }, 'ended sessions could not be swept out'),
      );
    sweeping = setInterval(() => void sweep(), SWEEP_EVERY);
    return { address: `http://${config.host === '0.0.0.0' ? 'localhost' : config.host}:${port}`, startCode, stop };
  } catch (error) {
    await stop().catch(() => undefined);
    throw error;
  }
}

/** @public The tools start servers of the production build. */
export { configFromEnvironment } from './config';
export { SetUpError } from './config';
