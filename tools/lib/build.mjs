import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './paths.mjs';
import { Trouble, say } from './say.mjs';
import { capture } from './shell.mjs';

const MARK = join(ROOT, 'web', 'dist', '.built-from');
const SOURCES = [...['core/src', 'contract/src', 'demo/src', 'server/src', 'web/src', 'web/public'], 'docs/guide'];
const SETTINGS = [
  'angular.json',
  'package-lock.json',
  'tsconfig.base.json',
  'server/build.mjs',
  'tools/guide.mjs',
  'web/ngsw-config.json',
  'web/tsconfig.app.json',
  'web/tsconfig.worker.json',
];

function fingerprint() {
  const hash = createHash('sha256');
  const add = (path) => hash.update(path).update(readFileSync(join(ROOT, path)));
  for (const folder of SOURCES) {
    if (!existsSync(join(ROOT, folder))) continue;
    for (const entry of readdirSync(join(ROOT, folder), { recursive: true, withFileTypes: true })
      .filter((each) => each.isFile() && !each.name.endsWith('.spec.ts'))
      .map((each) => join(each.parentPath ?? each.path, each.name).slice(ROOT.length + 1))
      .sort()) {
      add(entry);
    }
  }
  SETTINGS.forEach(add);
  return hash.digest('hex');
}

/** Builds web application and server unless what is there was built from these very sources. */
export async function ensureBuild() {
  const wanted = fingerprint();
  const built =
    existsSync(MARK) && readFileSync(MARK, 'utf8') === wanted && existsSync(join(ROOT, 'server/dist/serve.js'));
  if (built) return false;
  say('Building the application (about a minute) …');
  rmSync(MARK, { force: true });
  const { code, output } = await capture('npm', ['run', '--silent', 'build']);
  if (code !== 0) throw new Trouble(`${output.slice(-4000)}\nThe build failed; see above.`);
  writeFileSync(MARK, wanted);
  return true;
}
