// npm start: sets up whatever is missing, then serves the application until Ctrl-C.
import net from 'node:net';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { ensureBuild } from './lib/build.mjs';
import { DATABASE, ensurePackages } from './lib/debian.mjs';
import { ensureDependencies } from './lib/dependencies.mjs';
import { dataFolder, startMariaDb } from './lib/mariadb.mjs';
import { ROOT } from './lib/paths.mjs';
import { Trouble, run, say } from './lib/say.mjs';
import { superviseServer } from './lib/supervise.mjs';

const port = Number(process.env.PORT ?? 8080);
const host = process.env.HOST ?? '127.0.0.1';
const MOST_RESTARTS = 5;
const PORT_PATIENCE = 12_000;

const portInUse = () =>
  new Trouble(
    `Port ${port} is in use, perhaps by an earlier start. Stop that one, or choose another port:\n\n  PORT=${port + 1} npm start\n`,
  );

function checkPort() {
  if (!Number.isInteger(port) || port < 1 || port > 65_535) {
    throw new Trouble(`PORT is "${process.env.PORT}": write a whole number from 1 to 65535.`);
  }
  return portFree();
}

const listens = () =>
  new Promise((done, fail) => {
    const server = net.createServer();
    server.once('error', fail);
    server.listen(port, host, () => server.close(done));
  });

/** A server that is just being stopped still holds its port; it is waited for a while. */
async function portFree() {
  for (let waited = 0; ; waited += 500) {
    try {
      await listens();
      return;
    } catch (error) {
      if (error.code !== 'EADDRINUSE') throw new Trouble(`Port ${port} cannot be used: ${error.message}`);
      if (waited >= PORT_PATIENCE) throw portInUse();
      if (waited === 0) say(`Port ${port} is in use; waiting a moment for an earlier start to end …`);
      await sleep(500);
    }
  }
}

/** npm itself may be killed without a word to us: then its child must not live on. */
function watchParent(stop) {
  const parent = process.ppid;
  if (!process.env.npm_lifecycle_event) return;
  setInterval(() => {
    if (process.ppid !== parent) stop();
  }, 1000).unref();
}

await run(async () => {
  const began = performance.now();
  await checkPort();
  await ensureDependencies();
  const remote = process.env.DATABASE_URL;
  if (!remote) await ensurePackages(DATABASE);
  await ensureBuild();

  const folder = remote ? '' : dataFolder();
  let stopping = false;
  let restarts = 0;
  /** The server goes on meanwhile: it answers 503, and devices keep their entries. */
  const onLost = () => {
    if (stopping) return false;
    restarts += 1;
    const again = restarts <= MOST_RESTARTS;
    const log = join(folder, 'mariadb.log');
    process.stderr.write(
      `\nThe database ended unasked; its log is ${log}. ${again ? 'Starting it again.' : 'It ended too often: stop with Ctrl-C and start again.'} Nothing that was acknowledged is lost.\n`,
    );
    return again;
  };
  const database = remote ? null : await startMariaDb(folder, { onLost });
  let server = null;
  const stop = async (code = 0) => {
    if (stopping) return;
    stopping = true;
    await server?.stop();
    await database?.stop();
    say('Stopped. Everything entered is kept.');
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop());
  watchParent(() => void stop());
  const secret = process.env.SESSION_SECRET ?? database?.secret;
  try {
    server = await superviseServer({
      env: {
        ...process.env,
        PORT: `${port}`,
        HOST: host,
        DATABASE_URL: remote ?? database.url,
        DATA_DIR: folder,
        WEB_DIR: join(ROOT, 'web', 'dist'),
        ...(secret ? { SESSION_SECRET: secret } : {}),
      },
      onGivenUp: () => void stop(1),
    });
  } catch (error) {
    if (stopping) return;
    stopping = true;
    await database?.stop();
    if (error.code === 'EADDRINUSE') throw portInUse();
    if (remote && /ECONNREFUSED|ENOTFOUND|ER_ACCESS_DENIED|ETIMEDOUT/.test(error.code ?? '')) {
      throw new Trouble(
        `The database at DATABASE_URL does not answer (${error.code}). Start it, or leave DATABASE_URL away to use a private one.`,
      );
    }
    throw error;
  }
  say(`
Brave Comb is ready after ${((performance.now() - began) / 1000).toFixed(1)} s: ${server.address}
${
  server.demo
    ? `
  Demo sign-ins, password of all: willow-before-gorse
    morag     lead instructor
    tomasz    supervisor of Curlew (leilani: Dipper, ruth: Lapwing, marit)
    salma     trainee in Curlew (nadia: Dipper, hoa: Lapwing)
    ines      lead instructor of the second school, Saltpan Road
`
    : ''
}${
    server.startCode
      ? `
  There is no school here yet. Open the address and type this start code: ${server.startCode}
  It is shown here only; whoever has it becomes the owner.
`
      : ''
  }
  Ctrl-C stops it and its database.`);
});
