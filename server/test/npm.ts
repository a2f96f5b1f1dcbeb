import { execFile } from 'node:child_process';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('../..', import.meta.url));

/** Runs a script of the project, as somebody who stands in a folder. */
export const npm = (folder: string, ...args: string[]) =>
  new Promise<{ code: number; said: string; errors: string }>((done) => {
    execFile(
      'npm',
      ['--prefix', ROOT, 'run', ...args],
      { cwd: ROOT, env: { ...process.env, INIT_CWD: folder } },
      (error, said, errors) => {
        done({ code: typeof error?.code === 'number' ? error.code : 0, said, errors });
      },
    );
  });
