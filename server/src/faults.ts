import { languageFor } from '@brave-comb/core/words';
import type { ErrorRequestHandler } from 'express';
import { type Logger, pino } from 'pino';
import { Refusal } from './problem';
import { inLanguage, say } from './words';

/** MariaDB's numbers for what can go wrong outside the application; `code` names lie for some of them. */
const DISK_FULL = new Set([1021, 1026, 1114, 3, 28, 1030]);
const UNREACHABLE = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ECONNABORTED',
  'EHOSTUNREACH',
  'ENETUNREACH',
  'ENOTFOUND',
  'EAI_AGAIN',
  'EPIPE',
  'ETIMEDOUT',
  'PROTOCOL_CONNECTION_LOST',
  'PROTOCOL_SEQUENCE_TIMEOUT',
  'PROTOCOL_ENQUEUE_AFTER_FATAL_ERROR',
  'ER_CON_COUNT_ERROR',
  'ER_SERVER_SHUTDOWN',
  'ER_NORMAL_SHUTDOWN',
  'ER_QUERY_INTERRUPTED',
  'ER_CONNECTION_KILLED',
]);
/** Two writes in each other's way; one of them is simply to be done again. */
const IN_EACH_OTHERS_WAY = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD']);
/** What no column takes, where nobody looked before. */
const NOT_TAKEN = new Set([
  'ER_DATA_TOO_LONG',
  'ER_WARN_DATA_OUT_OF_RANGE',
  'ER_TRUNCATED_WRONG_VALUE_FOR_FIELD',
  'ER_TRUNCATED_WRONG_VALUE',
  'ER_CONSTRAINT_FAILED',
]);
const ASK_AGAIN = 5;

interface DriverError {
  readonly errno?: number;
  readonly code?: string;
  readonly sqlMessage?: string;
  readonly type?: string;
  readonly status?: number;
  readonly name?: string;
  readonly message?: string;
  /** Set by the driver where the line to the database is gone. */
  readonly fatal?: boolean;
  /** Most bytes that are read, for a body that was too large. */
  readonly limit?: number;
}

/**
 * Turns anything thrown into a refusal that says what to do.
 *
 * @param error what was thrown
 * @returns the refusal; 500 for what nobody foresaw
 */
export function refusalOf(error: unknown): Refusal {
  if (error instanceof Refusal) return error;
  const fault = (error ?? {}) as DriverError;
  if (fault.type === 'entity.parse.failed') {
    return new Refusal(400, 'not-json', say('not-json'));
  }
  if (fault.type === 'entity.too.large') {
    return new Refusal(413, 'too-large', say('sent-too-much', { kB: Math.round((fault.limit ?? 0) / 1024) }));
  }
  if (fault.type === 'encoding.unsupported' || fault.type === 'charset.unsupported') {
    return new Refusal(415, 'unreadable', say('no-utf8'));
  }
  if (fault.type === 'request.aborted' || fault.type === 'request.size.invalid') {
    return new Refusal(400, 'cut-off', say('cut-off'));
  }
  if (error instanceof URIError) return new Refusal(400, 'bad-address', say('bad-address'));
  if (fault.errno !== undefined && DISK_FULL.has(fault.errno) && fault.sqlMessage) return diskFull();
  if (isAway(fault)) return databaseAway();
  if (IN_EACH_OTHERS_WAY.has(fault.code ?? '')) return new Refusal(503, 'busy', say('busy'), undefined, 1);
  if (fault.code === 'ER_DUP_ENTRY') return new Refusal(409, 'id-in-use', say('id-in-use'));
  if (fault.code === 'ER_NO_REFERENCED_ROW_2') return new Refusal(422, 'unknown', say('names-what-is-not-there'));
  if (NOT_TAKEN.has(fault.code ?? '')) return new Refusal(422, 'not-valid', say('too-long-to-keep'));
  return new Refusal(500, 'fault', say('something-went-wrong'));
}

/** Whether an error tells of a database that is away, or of a line to it that is gone: also in the middle of a transaction. */
const isAway = ({ code, fatal, name, message }: DriverError): boolean =>
  UNREACHABLE.has(code ?? '') ||
  fatal === true ||
  name === 'KnexTimeoutError' ||
  /^(Unable to acquire a connection|aborted)$|in closed state$/i.test(message ?? '');

export const databaseAway = (): Refusal =>
  new Refusal(503, 'database-away', say('database-away'), undefined, ASK_AGAIN);

export const diskFull = (): Refusal => new Refusal(507, 'disk-full', say('disk-full'));

/**
 * Whether doing the same once more helps: somebody else wrote the same, or in the way of it, at the same moment. What comes second then
 * finds the first there.
 */
export const worthAgain = (error: unknown): boolean => {
  const { code = '' } = (error ?? {}) as DriverError;
  return code === 'ER_DUP_ENTRY' || IN_EACH_OTHERS_WAY.has(code);
};

/** What goes to the log of an error: never what people entered, which errors of statements carry in their words. */
export function withoutValues(error: unknown): object {
  const { name, message, code, errno, sqlMessage } = (error ?? {}) as DriverError;
  const stack = error instanceof Error ? (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line)) : [];
  return { name, code, errno, ...(sqlMessage === undefined ? { message } : {}), stack };
}

/** The server's log: errors without what people entered, requests without what opens doors. */
export const openLog = (level: string): Logger =>
  pino({ level, redact: ['req.headers.cookie', 'req.body.password'], serializers: { err: withoutValues } });

/** Answers every refusal in the contract's form. */
export function answerFaults(log: Logger): ErrorRequestHandler {
  return (error, request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const refusal = refusalOf(error);
    if (refusal.status >= 500) log.error({ err: error as unknown }, refusal.problem);
    const { status, problem, says, details, retryAfter } = refusal;
    if (retryAfter !== undefined) response.set('Retry-After', `${retryAfter}`);
    const told = { problem, message: says, ...(details ? { details } : {}) };
    response.status(status).json(inLanguage(told, languageFor(request.acceptsLanguages())));
  };
}
