// The server as a process of its own: the start script begins it, hears from it, and begins it again when it ended unasked.
import { configFromEnvironment } from './config';
import { openLog } from './faults';
import { type Running, SetUpError, startServer } from './main';

/** What the start script is told. */
export type ServerNews =
  | { readonly kind: 'ready'; readonly address: string; readonly demo: boolean; readonly startCode: string | null }
  | { readonly kind: 'trouble'; readonly code: string; readonly message: string };

const FAULT = 70;
const LAST_WORDS = 10_000;

const log = openLog(process.env.LOG_LEVEL ?? 'warn');
const tell = (news: ServerNews): void => void process.send?.(news);
let running: Running | null = null;
let stopping: Promise<never> | null = null;

function stop(code: number): Promise<never> {
  stopping ??= (async () => {
    setTimeout(() => process.exit(code), LAST_WORDS).unref();
    await running?.stop().catch((error: unknown) => log.error({ err: error }, 'stopping'));
    process.exit(code);
  })();
  return stopping;
}

for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP'] as const) process.on(signal, () => void stop(0));
process.on('disconnect', () => void stop(0));
// A promise that nobody waits for has harmed nobody who asked: the server lives on, and the log tells of it.
process.on('unhandledRejection', (error) => log.error({ err: error }, 'nobody caught this'));
// After this nobody knows what state the process is in: what is being answered is answered, then another takes over.
process.on('uncaughtException', (error) => {
  log.fatal({ err: error }, 'ends and is started again');
  void stop(FAULT);
});

try {
  const config = configFromEnvironment(process.env);
  running = await startServer(config);
  tell({ kind: 'ready', address: running.address, demo: config.demo, startCode: running.startCode });
} catch (error) {
  const { code = '', message } = error as Error & { code?: string };
  const known = error instanceof SetUpError || code !== '';
  if (!known) log.fatal({ err: error }, 'the server cannot start');
  tell({ kind: 'trouble', code, message: error instanceof SetUpError ? message : '' });
  if (!process.send && error instanceof SetUpError) process.stderr.write(`\n${message}\n`);
  await stop(FAULT);
}
