// npm run advise -- situation.json: what a colony needs next, as JSON on the output and as text beside it; no server, no database.
import { ensureDependencies } from './lib/dependencies.mjs';
import { Trouble, run } from './lib/say.mjs';

const USAGE = 'Use: npm run --silent advise -- situation.json > advice.json';

await run(async () => {
  const [file, ...rest] = process.argv.slice(2);
  if (file === undefined || rest.length > 0) throw new Trouble(USAGE);
  await ensureDependencies();
  const { adviseFrom, textOf } = await import('./lib/situations.mjs');
  const judged = adviseFrom(file);
  process.stderr.write(`${textOf(judged)}\n`);
  process.stdout.write(`${JSON.stringify(judged, null, 2)}\n`);
});
