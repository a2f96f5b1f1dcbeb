import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './paths.mjs';
import { Trouble } from './say.mjs';
import { show } from './shell.mjs';

const MARK = join(ROOT, 'node_modules', '.installed-for');

/** Runs `npm ci` unless the packages of this very lock file are there. The mark is written last, so that a cut-off run counts as none. */
export async function ensureDependencies() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    throw new Trouble(`Node.js ${process.versions.node} is too old: install 20.19 or newer.`);
  }
  const wanted = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  if (existsSync(MARK) && readFileSync(MARK, 'utf8') === wanted) return;
  // What is said goes to standard error: standard output may be a file that a plan is written to.
  process.stderr.write('Installing the packages of package-lock.json (npm ci) …\n');
  const quiet = { stdio: ['ignore', 2, 'inherit'] };
  if ((await show('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], quiet)) !== 0) {
    throw new Trouble('npm ci failed; see above. Mend the network or free disk space, then start again.');
  }
  writeFileSync(MARK, wanted);
}
