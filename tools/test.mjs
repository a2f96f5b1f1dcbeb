// npm test: sets up whatever is missing, runs every check, and ends with one line: N passed, N failed.
import { ensureBuild } from './lib/build.mjs';
import { DATABASE, ensurePackages } from './lib/debian.mjs';
import { ensureDependencies } from './lib/dependencies.mjs';
import { run, say } from './lib/say.mjs';
import { capture } from './lib/shell.mjs';

/** Colours would hide the numbers. */
const PLAIN = { ...process.env, NO_COLOR: '1', CI: '1' };

const npx = (...args) => ['npx', ['--no-install', ...args]];

/** Two lanes side by side, one a core; the browser has the machine for itself afterwards. */
const READING = [
  { name: 'format', command: npx('oxfmt', '--check', '.') },
  { name: 'lint and types', command: npx('oxlint') },
  { name: "Angular's own rules", command: npx('eslint', '--max-warnings', '0', 'web/src') },
  { name: 'colours by name', command: ['node', ['tools/lint/colours.mjs']] },
  { name: 'nothing unused', command: npx('knip', '--no-progress') },
  {
    name: 'layer rules',
    command: npx(
      'depcruise',
      '--config',
      '.dependency-cruiser.mjs',
      'core/src',
      'contract/src',
      'demo/src',
      'server/src',
      'web/src',
    ),
  },
  { name: 'production build', work: ensureBuild },
  { name: 'web', command: npx('ng', 'test'), counted: true },
  {
    name: 'core and contract',
    command: npx('vitest', 'run', '--project', 'core', '--project', 'contract'),
    counted: true,
  },
];
const RUNNING = [
  {
    name: 'API on MariaDB',
    command: ['node', ['tools/with-database.mjs', 'vitest', 'run', '--project', 'server']],
    counted: true,
  },
];
const BROWSER = [{ name: 'browser', command: ['node', ['tools/e2e.mjs']], counted: true }];

const number = (output, word) =>
  [...output.matchAll(new RegExp(`(\\d+) ${word}`, 'g'))].reduce((sum, match) => sum + Number(match[1]), 0);

/** Tests that a runner counted. Vitest says "Tests  3 failed | 94 passed (97)", Playwright "3 failed" and "14 passed". */
function counts(output) {
  const lines = output
    .split('\n')
    .filter((line) => /^\s*Tests\s/.test(line) || /^\s*\d+ (passed|failed|flaky|did not run)\b/.test(line));
  const text = lines.join('\n');
  // What passed at the second try has passed; it is named all the same.
  return { passed: number(text, 'passed') + number(text, 'flaky'), failed: number(text, 'failed') };
}

/** Names of what failed, as the runners print them: "FAIL  |server| file > test", "    tests/file.spec.ts:9:1 › test". */
const failures = (output) => [
  ...new Set(
    output
      .split('\n')
      .filter((line) => /^\s*FAIL\s/.test(line) || /^ {4}tests\/\S+ › /.test(line))
      .map((line) => line.trim()),
  ),
];

/** What a runner says of what failed; the long list of what passed before it is left out. */
function faults(output) {
  const at = output.search(/^.*(Failed (Tests|Suites) \d+|^ {2}1\) )/m);
  return at < 0 ? output.slice(-20_000) : output.slice(at);
}

async function attempt({ command, work }) {
  if (!work) return capture(command[0], command[1], { env: PLAIN });
  try {
    await work();
    return { code: 0, output: '' };
  } catch (error) {
    return { code: 1, output: String(error?.message ?? error) };
  }
}

await run(async () => {
  await ensureDependencies();
  await ensurePackages({ ...DATABASE, chromium: 'chromium' });
  let passed = 0;
  let failed = 0;
  const named = [];
  const inOrder = async (steps) => {
    for (const step of steps) {
      const began = performance.now();
      const { code, output } = await attempt(step);
      const found = step.counted ? counts(output) : { passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 };
      // A runner that failed without counting a failed test (a crash, say) counts as one.
      if (code !== 0 && found.failed === 0) found.failed = 1;
      passed += found.passed;
      failed += found.failed;
      const seconds = ((performance.now() - began) / 1000).toFixed(0);
      say(
        `${found.failed === 0 ? '✓' : '✗'} ${step.name}: ${found.passed} passed, ${found.failed} failed (${seconds} s)`,
      );
      const flaky = /^ +\d+ flaky\n(?: {4}.*\n)+/m.exec(output)?.[0];
      if (flaky) say(flaky.trimEnd());
      if (found.failed > 0) {
        say(faults(output));
        named.push(...(step.counted ? failures(output) : [step.name]));
      }
    }
  };
  await Promise.all([inOrder(READING), inOrder(RUNNING)]);
  await inOrder(BROWSER);
  process.exitCode = failed === 0 ? 0 : 1;
  for (const name of named) say(`✗ ${name}`);
  say(`${passed} passed, ${failed} failed`);
});
