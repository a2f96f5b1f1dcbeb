import { createGunzip, createGzip } from 'node:zlib';
import { Readable } from 'node:stream';
import { pipeline as piped } from 'node:stream/promises';
import type { Request } from 'express';
import { endpoints } from '@brave-comb/contract';
import { linesOf } from '@brave-comb/core/exchange';
import { Unfit } from '@brave-comb/core/language';
import type { Context } from '../context';
import { Refusal } from '../problem';
import { archiveHere, bringInArchive, listAsCsv, personalRecords, schoolArchive } from '../records/archive';
import type { Serve } from '../routing';
import { say } from '../words';

/** Most that is unpacked of an archive, bytes. */
const MOST_GB = 4;

/** The text of a compressed upload, as it comes. */
async function* unpacked(request: Request): AsyncGenerator<string> {
  const gunzip = createGunzip();
  // Piped by hand: where what comes cannot be unpacked, the request must live on to be answered.
  request.once('close', () => {
    if (!request.complete) gunzip.destroy(new Refusal(400, 'cut-off', say('cut-off')));
  });
  request.pipe(gunzip);
  const decoder = new TextDecoder('utf-8', { fatal: true });
  let bytes = 0;
  try {
    for await (const piece of gunzip as AsyncIterable<Buffer>) {
      bytes += piece.length;
      if (bytes > MOST_GB * 1024 ** 3) throw new Unfit(say('archive-too-large', { GB: MOST_GB }));
      yield decoder.decode(piece, { stream: true });
    }
    yield decoder.decode();
  } catch (error) {
    const { code = '', name } = error as Error & { code?: string };
    if (code.startsWith('Z_') || name === 'TypeError') throw new Refusal(422, 'not-read', say('archive-unreadable'));
    throw error;
  }
}

/** Reads what is still sent and throws it away: a browser hears an answer only when it has sent all. */
async function drained(request: Request): Promise<void> {
  request.unpipe();
  if (request.complete || request.destroyed) return;
  await new Promise<void>((done) => {
    request.once('end', done).once('close', done).resume();
  });
}

export function archiveRoutes(context: Context, serve: Serve): void {
  serve(endpoints.archiveHere, (_input, actor) => archiveHere(context, actor));

  serve(endpoints.takeOutArchive, async (_input, actor, { request, response }) => {
    const lines = await schoolArchive(context, actor, request.ip ?? '');
    const day = context.clock.now().toISOString().slice(0, 10);
    response.set({
      'Content-Type': 'application/gzip',
      'Content-Disposition': `attachment; filename="school-${day}.jsonl.gz"`,
      'Cache-Control': 'no-store, no-transform',
    });
    // Whoever stops listening ends it; a fault in the middle cuts the file off, which whoever reads it is told.
    await piped(Readable.from(lines), createGzip(), response).catch((error: unknown) =>
      context.log.warn({ err: error }, 'an archive was not taken out to its end'),
    );
    return null;
  });

  serve(endpoints.listOut, async ({ params: { list } }, actor, { request, response }) => {
    const lines = await listAsCsv(context, actor, list, request.ip ?? '');
    response
      .attachment(`${list}-${context.clock.now().toISOString().slice(0, 10)}.csv`)
      .type('text/csv; charset=utf-8');
    await piped(Readable.from(lines), response).catch((error: unknown) =>
      context.log.warn({ err: error }, 'a list was not taken out to its end'),
    );
    return null;
  });

  serve(endpoints.bringInArchive, async ({ query }, actor, { request }) => {
    try {
      return await bringInArchive(context, actor, query, linesOf(unpacked(request)), request.ip ?? '');
    } catch (error) {
      await drained(request);
      throw error;
    }
  });

  serve(endpoints.personalRecords, async ({ params }, actor, { request, response }) => {
    const records = await personalRecords(context, actor, params.person, request.ip ?? '');
    response.attachment(`records-of-a-person-${records.made.slice(0, 10)}.json`).json(records);
    return null;
  });
}
