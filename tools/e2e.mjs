// Runs the Playwright tests against the production build: each worker has a server and a database of its own.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuild } from './lib/build.mjs';
import { withDemoServer } from './lib/demo-server.mjs';
import { ROOT } from './lib/paths.mjs';
import { run } from './lib/say.mjs';
import { show } from './lib/shell.mjs';

const WORKERS = 2;
const newFolder = () => mkdtempSync(join(tmpdir(), 'brave-comb-'));

/** Serves a demo on each of the folders, then runs the tests; all servers are stopped afterwards. */
const withServers = ([folder, ...rest], addresses, work) =>
  folder
    ? withDemoServer(folder, (address) => withServers(rest, [...addresses, address], work))
    : work(addresses.join(' '));

await run(async () => {
  await ensureBuild();
  // The demo is set up once; every server begins with a copy of it.
  const demo = newFolder();
  const folders = Array.from({ length: WORKERS }, newFolder);
  try {
    await withDemoServer(demo, () => undefined);
    for (const folder of folders) spawnSync('cp', ['-a', `${demo}/.`, folder]);
    process.exitCode = await withServers(folders, [], (addresses) =>
      show('npx', ['--no-install', 'playwright', 'test', '-c', 'playwright.config.ts', ...process.argv.slice(2)], {
        cwd: join(ROOT, 'e2e'),
        env: { ...process.env, BASE_URL: addresses, DEMO_DATA: demo },
      }),
    );
  } finally {
    for (const folder of [demo, ...folders]) rmSync(folder, { recursive: true, force: true });
  }
});
