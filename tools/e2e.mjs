// Runs the Playwright tests against the production build: each worker has a server and a database of its own.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuild } from './lib/build.mjs';
import { withDemoServer } from './lib/demo-server.mjs';
import { ROOT } from './lib/paths.mjs';
import { run } from './lib/say.mjs';
import { show } from './lib/shell.mjs';

const WORKERS = 2;

/** Serves a fresh demo on each of the folders, then runs the tests; all servers are stopped afterwards. */
const withServers = ([folder, ...rest], addresses, work) =>
  folder
    ? withDemoServer(folder, (address) => withServers(rest, [...addresses, address], work))
    : work(addresses.join(' '));

await run(async () => {
  await ensureBuild();
  const folders = Array.from({ length: WORKERS }, () => mkdtempSync(join(tmpdir(), 'brave-comb-')));
  try {
    process.exitCode = await withServers(folders, [], (addresses) =>
      show('npx', ['--no-install', 'playwright', 'test', '-c', 'playwright.config.ts', ...process.argv.slice(2)], {
        cwd: join(ROOT, 'e2e'),
        env: { ...process.env, BASE_URL: addresses },
      }),
    );
  } finally {
    for (const folder of folders) rmSync(folder, { recursive: true, force: true });
  }
});
