// npm run faults [names]: breaks what can break under load and counts what is left. Not part of the tests; figures go to the screen.
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { ensureBuild } from './lib/build.mjs';
import { databasesOn, freePort, startMariaDb } from './lib/mariadb.mjs';
import { ROOT } from './lib/paths.mjs';
import { run, say } from './lib/say.mjs';
import { Tally, openVisits, readers, signIn, whoWrites, writers } from './lib/traffic.mjs';

const { createConnection } = createRequire(join(ROOT, 'server', 'package.json'))('mysql2/promise');
const folders = [];
const started = new Set();
const newFolder = () => {
  const folder = mkdtempSync(join(tmpdir(), 'brave-comb-faults-'));
  spawnSync('chmod', ['o+x', folder]);
  folders.push(folder);
  return folder;
};

/** Starts the application as people do; knows its processes. */
async function start(folder, more = {}) {
  const port = await freePort();
  const child = spawn(process.execPath, ['tools/start.mjs'], {
    cwd: ROOT,
    env: {
      ...process.env,
      PORT: `${port}`,
      ...(folder ? { BRAVE_COMB_DATA: folder } : {}),
      npm_lifecycle_event: '',
      ...more,
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  started.add(child);
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (said += text));
  const exit = new Promise((done) =>
    child.once('exit', (code, signal) => {
      started.delete(child);
      done(code ?? signal);
    }),
  );
  const began = performance.now();
  const ready = await Promise.race([
    exit.then(() => false),
    (async () => {
      while (!said.includes('is ready')) await sleep(50);
      return true;
    })(),
  ]);
  return {
    address: `http://127.0.0.1:${port}`,
    child,
    exit,
    ready,
    seconds: (performance.now() - began) / 1000,
    said: () => said,
    stop: async (signal = 'SIGTERM') => {
      child.kill(signal);
      return exit;
    },
  };
}

const processes = (match) =>
  readdirSync('/proc').filter((pid) => {
    if (!/^\d+$/.test(pid)) return false;
    try {
      return match(readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0'), pid);
    } catch {
      return false;
    }
  });
const parentOf = (pid) => /PPid:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1];
const serverOf = ({ child }) =>
  processes((line, pid) => line.some((part) => part.endsWith('serve.js')) && parentOf(pid) === `${child.pid}`)[0];
const databaseOf = (folder) => databasesOn(folder)[0];
const memoryOf = (pid) =>
  Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024);
const kill = (pid, signal) => process.kill(Number(pid), signal);

/** How often each acknowledged entry stands in the database. */
async function kept(url, acknowledged) {
  const database = await createConnection(url);
  const [rows] = await database.query('select id, count(*) as n from visit_entries group by id');
  await database.end();
  const counts = new Map(rows.map(({ id, n }) => [id, Number(n)]));
  return {
    acknowledged: acknowledged.size,
    lost: [...acknowledged].filter((id) => !counts.has(id)).length,
    doubled: [...counts.values()].filter((n) => n > 1).length,
  };
}

/** The database of a folder, opened by itself after everything else has stopped. */
async function keptIn(folder, acknowledged) {
  const database = await startMariaDb(folder);
  try {
    return await kept(database.url, acknowledged);
  } finally {
    await database.stop();
  }
}

let demo;
async function demoFolder() {
  if (!demo) {
    demo = newFolder();
    const first = await start(demo);
    if (!first.ready) throw new Error(first.said());
    await first.stop();
  }
  const folder = newFolder();
  spawnSync('cp', ['-a', `${demo}/.`, folder]);
  return folder;
}

/** Devices of one person, spread over the visits of a day. */
const devicesOf = (count, caller, { visits }) =>
  Array.from({ length: count }, (_, at) => ({ caller, visit: visits[at % visits.length] }));

/** Twenty devices write while something is broken; afterwards everything stops and what stands is counted. */
async function underWriters(breakIt, { seconds = 20, writersCount = 20 } = {}) {
  const folder = await demoFolder();
  let app = await start(folder);
  const lead = await signIn(app.address, 'morag');
  const day = await openVisits(lead, 8);
  const tally = new Tally();
  const until = performance.now() + seconds * 1000;
  const current = { address: app.address };
  const work = writers(devicesOf(writersCount, lead, day), day, () => performance.now() < until, tally);
  await sleep(4000);
  tally.last = performance.now();
  const figures = (await breakIt({ app, folder, lead, day, tally, current })) ?? {};
  if (figures.app) {
    app = figures.app;
    delete figures.app;
  }
  await Promise.race([work, sleep((seconds + 90) * 1000)]);
  const server = serverOf(app);
  const memory = server ? memoryOf(server) : null;
  const code = await app.stop();
  return {
    ...tally.figures(),
    ...figures,
    'server MB': memory,
    'exit code': code,
    ...(await keptIn(folder, tally.acknowledged)),
  };
}

/** How long until a path is answered again with 200, s. */
async function backAfter(lead, path = '/api/sessions/next') {
  const began = performance.now();
  while ((await lead.get(path)).status !== 200) await sleep(100);
  return Math.round((performance.now() - began) / 100) / 10;
}

/** How a plan ended that was asked for in one process, as another tells it. */
async function finishedPlan({ seen, id }) {
  for (const until = performance.now() + 120_000; performance.now() < until; await sleep(500)) {
    const { body } = await seen.get(`/api/planning/jobs/${id}`);
    if (body?.status && !['waiting', 'running'].includes(body.status))
      return `${body.status}, ${body.plan ? `${body.plan.sessions.length} sessions` : 'no plan'}`;
  }
  return 'not finished in two minutes';
}

const scenarios = {
  'kill -9 of the server, 20 writers': () =>
    underWriters(async ({ app, lead }) => {
      kill(serverOf(app), 'SIGKILL');
      return { 'back after s': await backAfter(lead) };
    }),

  'kill -9 of the start script, 20 writers, then started again': () =>
    underWriters(
      async ({ app, folder }) => {
        kill(app.child.pid, 'SIGKILL');
        const port = new URL(app.address).port;
        const began = performance.now();
        const next = await start(folder, { PORT: port });
        return {
          app: { ...next, address: app.address },
          'back after s': Math.round((performance.now() - began) / 100) / 10,
          started: next.ready,
        };
      },
      { seconds: 30 },
    ),

  'kill -9 of the database, 20 writers': () =>
    underWriters(async ({ folder, lead }) => {
      kill(databaseOf(folder), 'SIGKILL');
      const back = await backAfter(lead);
      return { 'back after s': back };
    }),

  'kill -9 of the database, three times': () =>
    underWriters(
      async ({ folder, lead }) => {
        const back = [];
        for (let turn = 0; turn < 3; turn += 1) {
          kill(databaseOf(folder), 'SIGKILL');
          await sleep(500);
          back.push(await backAfter(lead));
        }
        return { 'back after s': back.join(', ') };
      },
      { seconds: 30 },
    ),

  'the database stands still for 60 s, 20 writers': () =>
    underWriters(
      async ({ folder, lead }) => {
        const database = databaseOf(folder);
        kill(database, 'SIGSTOP');
        const ready = await lead.get('/api/health/ready');
        await sleep(60_000);
        kill(database, 'SIGCONT');
        return { 'ready said': ready.status, 'back after s': await backAfter(lead) };
      },
      { seconds: 80 },
    ),

  'SIGTERM under load': () =>
    underWriters(
      async ({ app, folder }) => {
        app.child.kill('SIGTERM');
        const code = await app.exit;
        const next = await start(folder, { PORT: new URL(app.address).port });
        return { 'SIGTERM exit code': code, farewell: /Everything entered is kept/.test(app.said()), app: next };
      },
      { seconds: 25 },
    ),

  'one trainee asks 200 times at once': async () => {
    const folder = await demoFolder();
    const app = await start(folder);
    const salma = await signIn(app.address, 'salma');
    const tomasz = await signIn(app.address, 'tomasz');
    const same = new Tally();
    const other = new Tally();
    const different = new Tally();
    let asking = true;
    const meanwhile = readers([tomasz], ['/api/sessions/next', '/api/people/me'], () => asking, other);
    const began = performance.now();
    await Promise.all(Array.from({ length: 200 }, async () => same.note(await salma.get('/api/season/year'))));
    const seconds = Math.round((performance.now() - began) / 100) / 10;
    await Promise.all(
      Array.from({ length: 200 }, async (_, day) =>
        different.note(
          await salma.get(
            `/api/season/year?date=${new Date(Date.UTC(2026, 4, 1 + (day % 200))).toISOString().slice(0, 10)}`,
          ),
        ),
      ),
    );
    asking = false;
    await meanwhile;
    const code = await app.stop();
    return {
      'the same, s': seconds,
      same: same.figures(),
      different: different.figures(),
      'somebody else meanwhile': other.figures(),
      'exit code': code,
    };
  },

  '300 devices and 100 readers for a minute': async () => {
    const folder = await demoFolder();
    const app = await start(folder);
    const lead = await signIn(app.address, 'morag');
    const day = await openVisits(lead, 8);
    const people = [lead];
    for (const name of ['tomasz', 'leilani', 'ruth', 'marit', 'salma', 'nadia', 'hoa', 'jun', 'piotr'])
      people.push(await signIn(app.address, name));
    const sent = new Tally();
    const pairs = await whoWrites(people, day, sent);
    const paths = [
      '/api/season/strip',
      '/api/season/year',
      '/api/sessions/mine',
      '/api/practice',
      '/api/sessions/next',
      '/api/people/messages',
    ];
    const read = new Tally();
    const until = performance.now() + 60_000;
    const going = () => performance.now() < until;
    const server = serverOf(app);
    let peak = 0;
    const watch = setInterval(() => {
      try {
        peak = Math.max(peak, memoryOf(server));
      } catch {
        peak = Infinity;
      }
    }, 500);
    await Promise.all([
      writers(
        Array.from({ length: 300 }, (_, at) => pairs[at % pairs.length]),
        day,
        going,
        sent,
        { batch: 3, every: 10_000 },
      ),
      readers(
        Array.from({ length: 100 }, (_, at) => people[at % people.length]),
        paths,
        going,
        read,
      ),
    ]);
    clearInterval(watch);
    const same = serverOf(app) === server;
    const code = await app.stop();
    return {
      people: people.length,
      'of them writing': new Set(pairs.map(({ caller }) => caller)).size,
      sent: sent.figures(),
      read: read.figures(),
      'peak MB': peak,
      'same process': same,
      'exit code': code,
      ...(await keptIn(folder, sent.acknowledged)),
    };
  },

  'disk full, 10 writers': async () => {
    const folder = newFolder();
    if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=420m', 'tmpfs', folder]).status !== 0)
      return { left: 'no right to mount a small disk here' };
    try {
      const app = await start(folder);
      if (!app.ready) return { said: app.said().slice(-400) };
      const lead = await signIn(app.address, 'morag');
      const day = await openVisits(lead, 8);
      const tally = new Tally();
      const until = performance.now() + 25_000;
      const work = writers(devicesOf(10, lead, day), day, () => performance.now() < until, tally);
      await sleep(4000);
      spawnSync('dd', ['if=/dev/zero', `of=${join(folder, 'filler')}`, 'bs=1M']);
      await sleep(6000);
      const reads = (await lead.get('/api/sessions/next')).status;
      rmSync(join(folder, 'filler'));
      const back = await backAfter(lead);
      await work;
      const code = await app.stop();
      return {
        ...tally.figures(),
        'reads meanwhile': reads,
        'back after s': back,
        'exit code': code,
        ...(await keptIn(folder, tally.acknowledged)),
      };
    } finally {
      spawnSync('umount', ['-l', folder]);
    }
  },

  'two processes on one database, which is away for a minute': async () => {
    const folder = newFolder();
    const database = await startMariaDb(folder);
    const settings = { DATABASE_URL: database.url, SESSION_SECRET: 'the same in both' };
    const [one, two] = await Promise.all([start('', settings), start('', settings)]);
    if (!one.ready || !two.ready) return { one: one.said(), two: two.said() };
    const lead = await signIn(one.address, 'morag');
    const there = lead.at(two.address);
    const figures = {
      'both started at once': true,
      'session in both': (await there.get('/api/people/me')).body.person?.name === 'Morag Selkirk',
    };
    const wrong = [];
    for (let turn = 0; turn < 14; turn += 1) {
      const { status } = await lead
        .at(turn % 2 ? one.address : two.address)
        .post('/api/people/sign-in', { name: 'ruth', password: `wrong ${turn}` });
      wrong.push(status);
    }
    figures['wrong passwords tried of 14'] = wrong.filter((status) => status === 401).length;
    const day = await openVisits(lead, 8);
    const live = new Promise((done) => {
      const began = performance.now();
      void fetch(`${two.address}/api/live/sessions/${day.session}/stream`, { headers: { cookie: lead.cookie } }).then(
        async (response) => {
          const reader = response.body?.getReader();
          await reader?.read();
          await lead.post(`/api/visits/${day.visits[0]}/entries`, {
            entries: [{ id: crypto.randomUUID(), at: day.now, body: { kind: 'mood-noted', mood: 2 } }],
          });
          const asked = performance.now();
          await reader?.read();
          done(Math.round((performance.now() - asked) / 10) / 100);
          await reader?.cancel();
        },
      );
      setTimeout(() => done(`nothing in ${Math.round(performance.now() - began)} ms`), 20_000);
    });
    figures['live view across processes s'] = await live;
    const tally = new Tally();
    const until = performance.now() + 90_000;
    const devices = devicesOf(20, lead, day).map((each, at) => ({ ...each, caller: at % 2 ? lead : there }));
    const ines = await signIn(two.address, 'ines');
    const jobs = [
      { asked: lead, seen: there, id: crypto.randomUUID() },
      { asked: ines, seen: ines.at(one.address), id: crypto.randomUUID() },
    ];
    for (const { asked, id } of jobs) await asked.post('/api/planning/jobs', { id, seconds: 25, seed: 7 });
    const work = writers(devices, day, () => performance.now() < until, tally);
    await sleep(5000);
    const again = database.port;
    await database.stop();
    const health = {
      live: (await lead.get('/api/health/live')).status,
      ready: (await lead.get('/api/health/ready')).status,
    };
    await sleep(60_000);
    const back = await startMariaDb(folder, { port: again });
    figures['back after s'] = await backAfter(lead);
    await work;
    const out = await kept(back.url, tally.acknowledged);
    figures['plans seen in the other process'] = await Promise.all(jobs.map(finishedPlan));
    await lead.post('/api/clock', { minutes: 7 * 60 });
    const refreshed = await Promise.all(
      Array.from({ length: 12 }, (_, at) => (at % 2 ? lead : there).get('/api/season/strip')),
    );
    figures['views while both fetch a new forecast'] = refreshed.map(({ status }) => status).join(' ');
    await lead.post('/api/people/sign-out');
    figures['signed out in both'] = (await there.get('/api/people/me')).body.person === null;
    const codes = [await one.stop(), await two.stop()];
    await back.stop();
    return { ...figures, 'while away': health, ...tally.figures(), 'exit codes': codes.join(', '), ...out };
  },

  'a start killed half-way through its tables, then two at once': async () => {
    const folder = newFolder();
    const database = await startMariaDb(folder);
    const settings = { DATABASE_URL: database.url };
    const halfWay = await Promise.all(
      [300, 900, 1800].map(async (ms) => {
        const cut = start('', settings);
        await sleep(ms + 1200);
        for (const pid of processes((line) => line.some((part) => part.endsWith('serve.js')))) {
          if (readFileSync(`/proc/${pid}/environ`, 'utf8').includes(database.url)) kill(pid, 'SIGKILL');
        }
        const app = await cut;
        if (app.ready) await app.stop();
        else await app.exit;
        return app.ready;
      }),
    );
    const [one, two] = await Promise.all([start('', settings), start('', settings)]);
    const out = {
      'cut-off starts': halfWay.length,
      'then both ready': one.ready && two.ready,
      said: one.ready ? '' : one.said().slice(-300),
    };
    await Promise.all([one.stop(), two.stop()]);
    await database.stop();
    return out;
  },
};

await run(async () => {
  await ensureBuild();
  const wanted = process.argv.slice(2);
  try {
    for (const [name, scenario] of Object.entries(scenarios)) {
      if (wanted.length > 0 && !wanted.some((part) => name.includes(part))) continue;
      say(`\n${name}`);
      say(JSON.stringify(await scenario(), null, 2));
    }
  } finally {
    for (const child of started) child.kill('SIGTERM');
    for (const folder of folders) rmSync(folder, { recursive: true, force: true });
  }
});
