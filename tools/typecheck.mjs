// Checks the types of everything but the web application and its tests: their builds do that.
import { run } from './lib/say.mjs';
import { show } from './lib/shell.mjs';

await run(async () => {
  for (const project of ['core', 'tsconfig.node.json', 'e2e', 'web/tsconfig.worker.json']) {
    const code = await show('npx', ['--no-install', 'tsc', '--noEmit', '-p', project]);
    if (code !== 0) process.exitCode = code;
  }
});
