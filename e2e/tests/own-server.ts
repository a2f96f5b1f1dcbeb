import { expect } from '@playwright/test';
import { type ChildProcess, spawn } from 'node:child_process';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '..', '..');

/** Starts the application as `npm start` does, on data of its own, and waits until it says that it is ready. */
export async function start(port: number, data: string): Promise<{ process: ChildProcess; said: string }> {
  const child = spawn('node', ['tools/start.mjs'], {
    cwd: ROOT,
    env: { ...process.env, PORT: `${port}`, BRAVE_COMB_DATA: data, LOG_LEVEL: 'warn', npm_lifecycle_event: '' },
  });
  let said = '';
  const hear = (text: Buffer) => (said += text.toString());
  child.stdout.on('data', hear);
  child.stderr.on('data', hear);
  await expect.poll(() => said.includes('is ready') || child.exitCode !== null, { timeout: 60_000 }).toBe(true);
  return { process: child, said };
}

/** Exit code of a process, once it has one. */
export const ended = (child: ChildProcess) =>
  new Promise<number | null>((done) => (child.exitCode === null ? child.once('exit', done) : done(child.exitCode)));
