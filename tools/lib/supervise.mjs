import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { ROOT } from './paths.mjs';
import { Trouble, say } from './say.mjs';
import { isRoot } from './shell.mjs';

const SERVER = join(ROOT, 'server', 'dist', 'serve.js');
/** Ends within so many minutes that are forgiven. */
const MOST_ENDS = 6;
const WITHIN = 10 * 60_000;
const PATIENCE = 15_000;

/** Root serves nobody: the server runs as the user mysql, as a private database does, or as nobody, wherever they can run it. */
function unprivileged() {
  if (!isRoot) return {};
  const idsOf = (name) =>
    ['-u', '-g'].map((flag) => Number(spawnSync('id', [flag, name], { encoding: 'utf8' }).stdout));
  const [uid, gid] = ['mysql', 'nobody'].map(idsOf).find((ids) => ids.every((id) => id > 0)) ?? [];
  // Node.js itself may lie where only root gets, as under /root.
  const may = (flag, path) =>
    uid !== undefined &&
    spawnSync('setpriv', [`--reuid=${uid}`, `--regid=${gid}`, '--clear-groups', 'test', flag, path]).status === 0;
  if (may('-r', SERVER) && may('-x', process.execPath)) return { uid, gid };
  say(
    `The server runs as root, because no other user can reach both ${ROOT} and ${process.execPath}. Put them where others can read them, or start it as another user.`,
  );
  return {};
}

/**
 * Runs the server in a process of its own and starts it again when it ends unasked.
 *
 * @param env its settings
 * @param onGivenUp called when it ended too often
 * @returns its address, whether it is a demo, the code for a first owner, and stop
 * @throws Trouble with its words, or an error with a code, when it cannot start at all
 */
export async function superviseServer({ env, onGivenUp }) {
  const user = unprivileged();
  let child;
  let stopping = false;
  const ends = [];

  const begin = () =>
    new Promise((done, fail) => {
      child = spawn(process.execPath, ['--enable-source-maps', SERVER], {
        env,
        stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
        detached: true,
        ...user,
      });
      const own = child;
      own.once('error', fail);
      own.on('message', (news) => {
        if (news.kind === 'ready') done(news);
        else
          fail(
            news.message
              ? new Trouble(news.message)
              : Object.assign(new Error('the server cannot start'), { code: news.code }),
          );
      });
      own.once('exit', (code, signal) => {
        fail(new Error(`the server ended while it started (${signal ?? code})`));
      });
    });

  const watch = () =>
    child.once('exit', (code, signal) => {
      if (!stopping) void again(signal ?? code);
    });

  const again = async (how) => {
    for (;;) {
      const now = Date.now();
      ends.push(now);
      if (ends.filter((at) => at > now - WITHIN).length > MOST_ENDS) {
        process.stderr.write('\nThe server ended too often and is not started again. Its last words stand above.\n');
        onGivenUp();
        return;
      }
      process.stderr.write(
        `\nThe server ended unasked (${how}). Starting it again; devices keep what they entered and send it then.\n`,
      );
      await sleep(Math.min(1000 * ends.length, 5000));
      if (stopping) return;
      try {
        const { address, startCode } = await begin();
        watch();
        say(`The server is back: ${address}${startCode ? `, with a new start code: ${startCode}` : ''}`);
        return;
      } catch (error) {
        how = error.code || error.message;
        child.kill('SIGKILL');
        if (stopping) return;
      }
    }
  };

  const { address, demo, startCode } = await begin();
  watch();
  return {
    address,
    demo,
    startCode,
    stop: async () => {
      stopping = true;
      if (child.exitCode !== null || child.signalCode !== null) return;
      const ended = new Promise((done) => child.once('exit', done));
      child.kill('SIGTERM');
      const late = setTimeout(() => child.kill('SIGKILL'), PATIENCE);
      await ended;
      clearTimeout(late);
    },
  };
}
