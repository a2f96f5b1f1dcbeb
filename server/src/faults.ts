import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { Refusal } from './problem';

/** MariaDB's numbers for what can go wrong outside the application; `code` names lie for some of them. */
const DISK_FULL = new Set([1021, 1026, 1114, 3, 28, 1030]);
const UNREACHABLE = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'PROTOCOL_CONNECTION_LOST']);

interface DriverError {
  readonly errno?: number;
  readonly code?: string;
  readonly sqlMessage?: string;
  readonly type?: string;
  readonly status?: number;
  readonly name?: string;
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
    return new Refusal(400, 'not JSON', 'What was sent is no JSON. Send application/json; nothing was changed.');
  }
  if (fault.type === 'entity.too.large') {
    return new Refusal(
      413,
      'too large',
      `More than ${Math.round((fault.limit ?? 0) / 1024)} kB were sent at once. Send less at a time; nothing was changed.`,
    );
  }
  if (fault.type === 'encoding.unsupported' || fault.type === 'charset.unsupported') {
    return new Refusal(415, 'unreadable', 'Send UTF-8 without an unusual encoding; nothing was changed.');
  }
  if (fault.type === 'request.aborted' || fault.type === 'request.size.invalid') {
    return new Refusal(400, 'cut off', 'The request was cut off. Send it again; nothing was changed.');
  }
  if (error instanceof URIError) return new Refusal(400, 'bad address', 'The address cannot be read.');
  if (fault.errno !== undefined && DISK_FULL.has(fault.errno) && fault.sqlMessage) return diskFull();
  if (UNREACHABLE.has(fault.code ?? '') || fault.name === 'KnexTimeoutError') {
    return new Refusal(
      503,
      'database away',
      'The database does not answer. Nothing was changed; entries stay on your device and are sent later. Start the application again if this lasts.',
    );
  }
  return new Refusal(
    500,
    'fault',
    'Something went wrong here and was written to the log. Nothing was changed; try again.',
  );
}

export const diskFull = (): Refusal =>
  new Refusal(
    507,
    'disk full',
    'The disk with the data folder is full. Free some space, then send again; nothing was changed and entries stay on your device.',
  );

/** Answers every refusal in the contract's form. */
export function answerFaults(log: Logger): ErrorRequestHandler {
  return (error, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const refusal = refusalOf(error);
    if (refusal.status >= 500) log.error({ err: error as unknown }, refusal.problem);
    const { status, problem, message, details } = refusal;
    response.status(status).json({ problem, message, ...(details ? { details } : {}) });
  };
}
