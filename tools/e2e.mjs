// Runs the Playwright tests against the production build, with a server and a database of their own.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { withDemoServer } from './lib/demo-server.mjs';
import { ROOT } from './lib/paths.mjs';
import { run } from './lib/say.mjs';
import { show } from './lib/shell.mjs';

await run(async () => {
  const folder = mkdtempSync(join(tmpdir(), 'brave-comb-'));
  try {
    process.exitCode = await withDemoServer(folder, (address) =>
      show('npx', ['--no-install', 'playwright', 'test', '-c', 'playwright.config.ts', ...process.argv.slice(2)], {
        cwd: join(ROOT, 'e2e'),
        env: { ...process.env, BASE_URL: address },
      }),
    );
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
