// Runs a command with a fresh MariaDB of its own: `node tools/with-database.mjs vitest run --project server`.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DATABASE, ensurePackages } from './lib/debian.mjs';
import { startMariaDb } from './lib/mariadb.mjs';
import { run } from './lib/say.mjs';
import { show } from './lib/shell.mjs';

await run(async () => {
  await ensurePackages(DATABASE);
  const folder = mkdtempSync(join(tmpdir(), 'brave-comb-'));
  const database = await startMariaDb(folder, { fast: true });
  try {
    const [program, ...args] = process.argv.slice(2);
    process.exitCode = await show('npx', ['--no-install', program, ...args], {
      env: { ...process.env, DATABASE_URL: database.url, TEST_DATA_DIR: folder },
    });
  } finally {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});
