import { join } from 'node:path';
import { ensureBuild } from './build.mjs';
import { DATABASE, ensurePackages } from './debian.mjs';
import { freePort, startMariaDb } from './mariadb.mjs';
import { ROOT } from './paths.mjs';

/**
 * Serves a fresh demo from the production build while something is done with it.
 *
 * @param folder empty data folder
 * @param work gets the address; what it returns is returned
 * @param change settings that differ from a test's
 */
export async function withDemoServer(folder, work, change = {}) {
  await ensurePackages({ ...DATABASE, chromium: 'chromium' });
  await ensureBuild();
  const { startServer, configFromEnvironment } = await import(join(ROOT, 'server', 'dist', 'main.js'));
  const database = await startMariaDb(folder, { fast: true });
  try {
    const server = await startServer({
      ...configFromEnvironment({ LOG_LEVEL: 'warn' }),
      port: await freePort(),
      databaseUrl: database.url,
      dataDir: folder,
      webDir: join(ROOT, 'web', 'dist'),
      sessionSecret: database.secret,
      // What else runs on the machine must not decide how a test ends.
      planningNice: 0,
      ...change,
    });
    try {
      return await work(server.address, server, database);
    } finally {
      await server.stop();
    }
  } finally {
    await database.stop();
  }
}
