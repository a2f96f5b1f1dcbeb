import { type Endpoint, type VisitFile, endpoints } from '@brave-comb/contract';
import type { EntryBody } from '@brave-comb/core/inspection';
import type { Express } from 'express';
import type { Knex } from 'knex';
import { type Server, createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import sharp from 'sharp';
import supertest from 'supertest';
import { v7 as uuid } from 'uuid';
import { buildApp } from '../src/app';
import { fixedClock } from '../src/clock/clock';
import type { Config } from '../src/config';
import type { Context } from '../src/context';
import { alone, migrate, openDatabase } from '../src/database/connection';
import { raiseRevision } from '../src/database/revision-store';
import { DEMO_START, loadDemo } from '../src/demo/load';
import { refresh, refreshNow } from '../src/jobs/refresh/refresher';
import { httpScale } from '../src/records/season/scale-source';
import { scaleStandIn } from '../src/standins/scale/app';
import type { Mail } from '../src/mail';
import type { Sources } from '../src/sources';
import { weatherStandIn } from '../src/standins/weather/app';
import { httpWeather } from '../src/records/weather/http-source';

const PASSWORD = 'willow-before-gorse';

/** The demo school behind the real application, a real database and the weather stand-in over HTTP. */
export interface School {
  readonly app: Express;
  readonly db: Knex;
  readonly context: Context;
  readonly sources: Sources;
  /** Brings what comes from outside up to date, as the server does every few seconds. */
  refreshed(): Promise<void>;
  /** After a test wrote into the database by itself: what is kept by revision goes. */
  wrote(): Promise<void>;
  signIn(name: string): Promise<ReturnType<typeof supertest.agent>>;
  close(): Promise<void>;
}

/** Address of a database beside the one that the tests share. */
function beside(name: string): string {
  const url = new URL(process.env.DATABASE_URL ?? '');
  url.pathname = `${url.pathname}_${name}`;
  return url.href;
}

/** Makes a database anew: empty, or with all that another one holds. */
async function makeDatabase(name: string, like?: string): Promise<string> {
  const server = openDatabase(process.env.DATABASE_URL ?? '');
  const [own, other] = [beside(name), like === undefined ? null : new URL(beside(like)).pathname.slice(1)];
  const database = new URL(own).pathname.slice(1);
  await server.raw(`drop database if exists ${database}`);
  await server.raw(`create database ${database} character set utf8mb4 collate utf8mb4_unicode_ci`);
  if (other !== null) {
    const tables = await server('information_schema.tables')
      .where({ table_schema: other, table_type: 'BASE TABLE' })
      .select<{ name: string }[]>('table_name as name');
    await server.transaction(async (trx) => {
      await trx.raw('set foreign_key_checks = 0');
      for (const { name: table } of tables) {
        const shown = await trx.raw<readonly [[{ 'Create Table': string }]]>(`show create table ${other}.${table}`);
        await trx.raw(`use ${database}`);
        await trx.raw(shown[0][0]['Create Table']);
        const columns = await trx('information_schema.columns')
          .where({ table_schema: other, table_name: table, is_generated: 'NEVER' })
          .pluck<string[]>('column_name');
        const names = columns.map((column) => `\`${column}\``).join(', ');
        await trx.raw(`insert into ${database}.${table} (${names}) select ${names} from ${other}.${table}`);
      }
      await trx.raw('set foreign_key_checks = 1');
    });
  }
  await server.destroy();
  return own;
}

/** The demo is loaded once; every file of tests starts from a copy of it. */
const DEMO = 'demo';

async function loadOnce(context: Omit<Context, 'db'>, sources: Sources): Promise<void> {
  const server = openDatabase(process.env.DATABASE_URL ?? '');
  const known = await server('information_schema.schemata')
    .where({ schema_name: new URL(beside(DEMO)).pathname.slice(1) })
    .first<object | undefined>();
  await server.destroy();
  if (known) return;
  await alone(await makeDatabase(DEMO), context.log, async (db) => {
    await migrate(db);
    await loadDemo({ ...context, db });
    // To its end, however slow the machine: copies are made of it.
    await refresh({ ...context, db }, sources, uuid());
  });
}

/**
 * Opens the demo school.
 *
 * @param dataDir folder whose free room is watched
 * @param own name of the database that its tests change
 * @param joins whether that database is there already, as for a second process
 * @param mail how mails are sent; nothing for an installation that sends none
 */
export async function openSchool(dataDir = '', own = 'school', joins = false, mail?: Mail): Promise<School> {
  const standIns: Server[] = [];
  const serve = async (app: Express): Promise<string> => {
    const standIn = createServer(app);
    standIns.push(standIn);
    await new Promise<void>((done) => standIn.listen(0, '127.0.0.1', done));
    return `http://127.0.0.1:${(standIn.address() as AddressInfo).port}`;
  };
  const weatherUrl = await serve(weatherStandIn());
  const scaleUrl = await serve(scaleStandIn());
  const sources = { weather: httpWeather(weatherUrl), scale: httpScale(scaleUrl) };
  const around = {
    clock: fixedClock(DEMO_START),
    log: pino({ level: 'silent' }),
    publicUrl: '',
    cookieName: 'brave_comb',
  };
  if (!joins) await loadOnce(around, sources);
  const db = openDatabase(joins ? beside(own) : await makeDatabase(own, DEMO));
  const context: Context = { ...around, ...(mail ? { mail, publicUrl: 'https://hives.example.org' } : {}), db };
  const refreshed = () => refreshNow(context, sources);
  const config: Config = {
    port: 0,
    host: '127.0.0.1',
    databaseUrl: '',
    webDir: '/nowhere',
    dataDir,
    sessionSecret: 'only for tests',
    weatherUrl,
    weatherCollections: { forecast: '', observed: '' },
    scaleUrl,
    demo: true,
    removeDemo: false,
    https: false,
    publicUrl: '',
    trustProxy: 'loopback',
    logLevel: 'silent',
    planningNice: 0,
    smtpUrl: '',
    mailFrom: '',
    checkResponses: true,
  };
  const app = buildApp(context, config, refreshed);
  return {
    app,
    db,
    context,
    sources,
    refreshed,
    wrote: async () => {
      for (const school of await db('schools').pluck<string[]>('id')) await raiseRevision(db, school);
    },
    signIn: async (name) => {
      const agent = supertest.agent(app);
      await agent.post(endpoints.signIn.path).send({ name, password: PASSWORD }).expect(200);
      return agent;
    },
    close: async () => {
      await Promise.all(standIns.map((standIn) => new Promise((done) => standIn.close(done))));
      await db.destroy();
    },
  };
}

/** An endpoint's path with its parameters filled in. */
export const pathOf = (endpoint: Endpoint, params: Readonly<Record<string, string>> = {}): string =>
  endpoint.path.replace(/:(\w+)/g, (_, name: string) => params[name] ?? uuid());

/** A photo as a camera writes it, with where and by whom it was taken, base64. */
export const cameraPhoto = async (): Promise<string> =>
  (
    await sharp({ create: { width: 64, height: 48, channels: 3, background: '#a06428' } })
      .withExif({ IFD0: { Artist: 'somebody' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '54/1 28/1 0/1' } })
      .jpeg()
      .toBuffer()
  ).toString('base64');

export const entry = (body: EntryBody, at = '2026-05-14T12:20:00.000Z', id = uuid()) => ({ id, at, body });

export const sideOf = (eighths: Readonly<Record<string, number>>) => ({
  eighths,
  trace: [],
  bees: 6,
  queen: false,
  cells: 0,
  doubtful: false,
});

/** Ids of the day's session and of one hive. */
export async function today(agent: ReturnType<typeof supertest.agent>, hive = '4') {
  const next = await agent.get(endpoints.nextSession.path).expect(200);
  const session = (next.body as { session: string }).session;
  const sheet = await agent.get(pathOf(endpoints.daySheet, { session })).expect(200);
  const { groups } = sheet.body as { groups: { hive: { id: string; number: string }; group: { id: string } }[] };
  const group = groups.find((each) => each.hive.number === hive);
  return { session, hive: group?.hive.id ?? '', sheet: sheet.body as Record<string, unknown> };
}

/** Starts a visit of a hive of the day and returns its id. */
export async function openVisit(agent: ReturnType<typeof supertest.agent>, hive = '4'): Promise<string> {
  const { session, hive: id } = await today(agent, hive);
  const started = await agent
    .post(endpoints.startVisit.path)
    .send({ id: uuid(), session, hive: id, startedAt: '2026-05-14T12:10:00.000Z' })
    .expect(200);
  return (started.body as { id: string }).id;
}

/** Starts a visit of hive 4 before now, so that what is prepared next has it as its last visit; returns its id. */
export async function earlyVisit(agent: ReturnType<typeof supertest.agent>): Promise<string> {
  const { session, hive } = await today(agent);
  const start = { id: uuid(), session, hive, startedAt: '2026-05-14T05:10:00.000Z' };
  const started = await agent.post(endpoints.startVisit.path).send(start).expect(200);
  return (started.body as { id: string }).id;
}

/** What a device gets for a visit of a hive of the day that is not started yet. */
export async function preparedFile(agent: ReturnType<typeof supertest.agent>, number = '4'): Promise<VisitFile> {
  const { session, hive } = await today(agent, number);
  return (await agent.get(pathOf(endpoints.preparedVisit, { session, hive })).expect(200)).body as VisitFile;
}
