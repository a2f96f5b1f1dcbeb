import { expect, test } from '@playwright/test';
import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '..', '..');

/** Starts the application as `npm start` does, on data and with settings of its own, and waits until it says that it is ready. */
export async function start(
  port: number,
  data: string,
  settings: Readonly<Record<string, string>> = {},
): Promise<{ process: ChildProcess; said: string }> {
  const child = spawn('node', ['tools/start.mjs'], {
    cwd: ROOT,
    env: {
      ...process.env,
      PORT: `${port}`,
      BRAVE_COMB_DATA: data,
      LOG_LEVEL: 'warn',
      npm_lifecycle_event: '',
      ...settings,
    },
  });
  let said = '';
  const hear = (text: Buffer) => (said += text.toString());
  child.stdout.on('data', hear);
  child.stderr.on('data', hear);
  await expect.poll(() => said.includes('is ready') || child.exitCode !== null).toBe(true);
  return { process: child, said };
}

/** Exit code of a process, once it has one. */
export const ended = (child: ChildProcess) =>
  new Promise<number | null>((done) => (child.exitCode === null ? child.once('exit', done) : done(child.exitCode)));

/**
 * Gives the tests of a file a server and data of their own, one after another: for walks that end visits or kill the server.
 *
 * @param port where it listens
 * @param mode 'serial' where a test goes on from the one before; 'default' where each stands by itself
 */
export function ownServer(port: number, mode: 'serial' | 'default' = 'serial') {
  const base = `http://127.0.0.1:${port}`;
  let data: string;
  let server: ChildProcess;
  test.use({ baseURL: base });
  test.describe.configure({ mode });
  test.beforeAll(async () => {
    data = mkdtempSync(join(tmpdir(), 'brave-comb-own-'));
    if (process.env.DEMO_DATA) spawnSync('cp', ['-a', `${process.env.DEMO_DATA}/.`, data]);
    server = (await start(port, data)).process;
  });
  test.afterAll(async () => {
    server.kill('SIGINT');
    await ended(server);
    rmSync(data, { recursive: true, force: true });
  });
  const killAndStart = async () => {
    server.kill('SIGKILL');
    await ended(server);
    server = (await start(port, data)).process;
  };
  return { base, killAndStart };
}

/**
 * Gives a file a real installation that holds no school yet.
 *
 * @param port where it listens
 * @returns what its start said, from the first test on
 */
export function emptyServer(port: number): () => string {
  const data = mkdtempSync(join(tmpdir(), 'brave-comb-real-'));
  let server: { process: ChildProcess; said: string };
  test.use({ baseURL: `http://127.0.0.1:${port}` });
  test.beforeAll(async () => {
    server = await start(port, data, { DEMO: 'off' });
  });
  test.afterAll(async () => {
    server.process.kill('SIGINT');
    await ended(server.process);
    rmSync(data, { recursive: true, force: true });
  });
  return () => server.said;
}
