// npm run mutate -- core/src/care: changes the code in small ways, one at a time, and shows which changes no test of the core notices.
// --tests judges,care: with these files of tests alone, which is much faster, and shows at least as many.
import { existsSync, mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { spawn } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureDependencies } from './lib/dependencies.mjs';
import { ROOT } from './lib/paths.mjs';
import { Trouble, run } from './lib/say.mjs';

const USAGE = 'Use: npm run mutate -- PATH … [--tests judges,care], with files or folders of core/src.';
/** Mutants of 100 that the tests have to notice. */
const NOTICED = 85;

/** What a path stands for: a file itself, a folder with all its code but the sentences, which judge nothing. */
const globsOf = (path) =>
  statSync(join(ROOT, path)).isDirectory() ? [`${path}/**/*.ts`, `!${path}/**/said*.ts`] : [path];

await run(async () => {
  const { values, positionals } = parseArgs({ allowPositionals: true, options: { tests: { type: 'string' } } });
  const paths = positionals.map((path) => path.replace(/\/$/, ''));
  if (paths.length === 0) throw new Trouble(USAGE);
  for (const path of paths)
    if (!path.startsWith('core/src') || !existsSync(join(ROOT, path)))
      throw new Trouble(`There is no ${path}. ${USAGE}`);
  await ensureDependencies();
  const folder = mkdtempSync(join(tmpdir(), 'brave-comb-mutate-'));
  const file = join(folder, 'stryker.config.json');
  writeFileSync(
    file,
    JSON.stringify({
      testRunner: 'vitest',
      vitest: { configFile: 'tools/lib/mutate-vitest.config.ts', related: false },
      plugins: ['@stryker-mutator/vitest-runner'],
      mutate: paths.flatMap(globsOf),
      coverageAnalysis: 'perTest',
      ignoreStatic: true,
      reporters: ['clear-text', 'progress-append-only'],
      clearTextReporter: { allowColor: false, allowEmojis: false, logTests: false, reportTests: false },
      thresholds: { high: 95, low: NOTICED, break: NOTICED },
      ignorePatterns: ['web', 'e2e', 'server', 'demo', 'docs/screenshots', 'data', '.git'],
      tempDirName: join(folder, 'sandbox'),
      disableTypeChecks: false,
      timeoutMS: 20_000,
    }),
  );
  const env = { ...process.env, ...(values.tests ? { MUTATE_TESTS: values.tests.replaceAll(',', ' ') } : {}) };
  const child = spawn('npx', ['stryker', 'run', file], { cwd: ROOT, stdio: 'inherit', env });
  process.exitCode = await new Promise((done) => child.once('exit', done));
  rmSync(folder, { recursive: true, force: true });
});
