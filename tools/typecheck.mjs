// Checks the types of every workspace. The web application's templates are checked by its build.
import { run } from './lib/say.mjs';
import { show } from './lib/shell.mjs';

await run(async () => {
  for (const project of [
    'core',
    'contract',
    'demo',
    'server',
    'e2e',
    'web/tsconfig.app.json',
    'web/tsconfig.spec.json',
    'web/tsconfig.worker.json',
  ]) {
    const code = await show('npx', ['--no-install', 'tsc', '--noEmit', '-p', project]);
    if (code !== 0) process.exitCode = code;
  }
});
