// npm run screenshots: pictures of the main views from the demo data, into docs/screenshots/.
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureDependencies } from './lib/dependencies.mjs';
import { withDemoServer } from './lib/demo-server.mjs';
import { ROOT } from './lib/paths.mjs';
import { run } from './lib/say.mjs';
import { show } from './lib/shell.mjs';

await run(async () => {
  await ensureDependencies();
  const folder = mkdtempSync(join(tmpdir(), 'brave-comb-'));
  const pictures = join(ROOT, 'docs', 'screenshots');
  mkdirSync(pictures, { recursive: true });
  try {
    process.exitCode = await withDemoServer(folder, (address) =>
      show('npx', ['--no-install', 'playwright', 'test', '-c', 'screenshots.config.ts'], {
        cwd: join(ROOT, 'e2e'),
        env: { ...process.env, BASE_URL: address, PICTURES: pictures },
      }),
    );
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
