import { type ArchiveHead, archiveReading, linesOf } from '@brave-comb/core/exchange';
import { type Text, Unfit } from '@brave-comb/core/language';

/** Somebody of an archive whom its reader may be. */
export interface Staff {
  readonly id: string;
  readonly name: string;
}

/** What an archive holds, once all of it was read. */
export interface Read {
  readonly head: ArchiveHead;
  /** Columns of each table, as its first row has them. */
  readonly columns: Readonly<Record<string, readonly string[]>>;
  readonly leads: readonly Staff[];
  /** Ids of everybody in it. */
  readonly people: readonly string[];
}

/** What is told while an archive is read, and at the end. */
export type ReadNews =
  | { readonly is: 'on-its-way'; readonly rows: number; readonly of: number }
  | { readonly is: 'read'; readonly read: Read }
  | { readonly is: 'refused'; readonly why: Text | null };

const TELL_EVERY = 5_000;

async function* textOf(file: ReadableStream<BufferSource>): AsyncGenerator<string> {
  const reader = file
    .pipeThrough(new DecompressionStream('gzip'))
    .pipeThrough(new TextDecoderStream('utf-8', { fatal: true }))
    .getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    yield value;
  }
}

/**
 * Reads an archive to its end, holding a line at a time, before anything of it is sent.
 *
 * @param file as it was taken out
 * @param tell told how far it is, and at last what is in it or why it cannot be read; `null` where it cannot be unpacked
 */
export async function readArchive(file: ReadableStream<BufferSource>, tell: (news: ReadNews) => void): Promise<void> {
  const reading = archiveReading();
  const columns: Record<string, readonly string[]> = {};
  const leads: Staff[] = [];
  const people: string[] = [];
  let [rows, of] = [0, 0];
  try {
    for await (const text of linesOf(textOf(file))) {
      const line = reading.line(text);
      if (line.is === 'head') of = Object.values(line.head.tables).reduce((sum, each) => sum + each, 0);
      if (line.is !== 'row') continue;
      rows += 1;
      columns[line.table] ??= Object.keys(line.row);
      if (line.table === 'people') {
        const { id, name, role, erased_at } = line.row as Readonly<Record<string, string | null>>;
        people.push(id ?? '');
        if (role === 'lead' && !erased_at) leads.push({ id: id ?? '', name: name ?? '' });
      }
      if (rows % TELL_EVERY === 0) tell({ is: 'on-its-way', rows, of });
    }
    tell({ is: 'read', read: { head: reading.whole(), columns, leads, people } });
  } catch (error) {
    tell({ is: 'refused', why: error instanceof Unfit ? error.says : null });
  }
}
