import { TestBed } from '@angular/core/testing';
import { firstValueFrom, throwError } from 'rxjs';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { FileUpload, type Upload } from '../api/file-upload';
import { ArchiveScreen } from './archive';
import { type ReadNews, readArchive } from './archive-read';
import { ArchiveReader } from './archive-reader';

const HEAD = {
  format: 'brave-comb-school',
  version: 1,
  made: '2026-05-12T20:40:00.000Z',
  school: { id: 's', name: 'Thorn Hollow' },
  by: { id: 'm', name: 'Morag Selkirk' },
  tables: { schools: 1, people: 2, hives: 1 },
};
const lines = (change: object = {}) => [
  { head: { ...HEAD, ...change } },
  { table: 'schools', row: { name: 'Thorn Hollow' } },
  { table: 'people', row: { id: 'm', name: 'Morag Selkirk', role: 'lead', erased_at: null } },
  { table: 'people', row: { id: 't', name: 'Salma', role: 'trainee', erased_at: null } },
  { table: 'hives', row: { id: 'h', number: '4' } },
  { end: { rows: 4 } },
];
type Bytes = ReadableStream<BufferSource>;
const fileOf = (text: string): Bytes =>
  new ReadableStream<BufferSource>({
    start(file) {
      file.enqueue(new TextEncoder().encode(text));
      file.close();
    },
  });
const packed = (all: readonly object[]): Bytes =>
  fileOf(all.map((line) => `${JSON.stringify(line)}\n`).join('')).pipeThrough(new CompressionStream('gzip'));

async function lastNews(file: Bytes): Promise<ReadNews> {
  const told: ReadNews[] = [];
  await readArchive(file, (news) => told.push(news));
  return told.at(-1)!;
}

describe('an archive that is read before it is sent', () => {
  it('tells what is in it', async () => {
    expect(await lastNews(packed(lines()))).toMatchObject({
      is: 'read',
      read: {
        head: { school: { name: 'Thorn Hollow' } },
        columns: { hives: ['id', 'number'] },
        leads: [{ id: 'm', name: 'Morag Selkirk' }],
        people: ['m', 't'],
      },
    });
  });
  it('is refused in words where it is another file, not whole or newer', async () => {
    expect(await lastNews(fileOf('id,name'))).toEqual({ is: 'refused', why: null });
    const why = async (all: readonly object[]) => JSON.stringify(await lastNews(packed(all)));
    expect(await why(lines().slice(0, 4))).toContain('archive-cut-off');
    expect(await why(lines({ version: 4 }))).toContain('archive-newer');
  });
});

const HERE = {
  school: { id: 'b', name: 'Brenna Fell' },
  mayUse: true,
  tables: [
    { name: 'people', columns: ['id', 'name', 'role', 'erased_at'], rows: 24 },
    { name: 'hives', columns: ['id', 'number'], rows: 14 },
  ],
};

async function page(here: object, sent: (query: object) => Promise<unknown>) {
  const reader: Pick<ArchiveReader, 'read'> = {
    read: (_file, tell) => {
      void readArchive(packed(lines()), tell);
      return () => undefined;
    },
  };
  const queries: object[] = [];
  const upload: Pick<FileUpload, 'send'> = {
    send: (_endpoint, query) => {
      queries.push(query);
      return { answer: sent(query), cancel: () => undefined } as Upload<never>;
    },
  };
  const { fixture, element } = await showView(ArchiveScreen, 'archiveHere', here, 'lead', {}, [
    { provide: ArchiveReader, useValue: reader },
    { provide: FileUpload, useValue: upload },
  ]);
  const shows = (text: string) =>
    vi.waitFor(async () => {
      await fixture.whenStable();
      expect(textOf(element)).toContain(text);
    });
  const press = (name: string) => {
    const button = [...element.querySelectorAll('button')].find((each) => each.textContent.trim() === name);
    (button ?? expect.fail(`no ${name}`)).click();
  };
  return {
    element,
    queries,
    shows,
    press,
    choose() {
      const field = element.querySelector<HTMLInputElement>('input[type=file]')!;
      Object.defineProperty(field, 'files', { value: [new File([], 'school.jsonl.gz')], configurable: true });
      field.dispatchEvent(new Event('change'));
    },
    async type(name: string) {
      const field = element.querySelector<HTMLInputElement>('input[matinput]')!;
      field.value = name;
      field.dispatchEvent(new Event('input'));
      await fixture.whenStable();
    },
  };
}

/** How a call fails: with words, not with an error. */
const refused = (fault: object): Promise<never> => firstValueFrom(throwError(() => fault));

describe('the archive', () => {
  it('compares, asks for the name of what is replaced, and becomes a copy where another school has the records', async () => {
    const at = await page(HERE, (query) =>
      'ids' in query
        ? Promise.resolve({ rows: 4, school: 'Thorn Hollow', withoutWayIn: 1 })
        : refused({ status: 409, problem: 'id-in-use', message: 'Bring it in as a copy.', details: [] }),
    );
    at.choose();
    await at.shows('read to its end and whole');
    await at.shows('People 24 2');
    at.press('Replace the school');
    expect(at.queries).toEqual([]);
    await at.type('Brenna Fell');
    at.press('Replace the school');
    await at.shows('Bring it in as a copy.');
    at.press('Replace by a copy');
    await at.shows('Thorn Hollow is here: 4 entries, all of them.');
    await at.shows('One person has to be invited.');
    expect(at.queries).toEqual([{ replaces: 'Brenna Fell' }, { replaces: 'Brenna Fell', ids: 'new' }]);
  });

  it('says what it does not know before anything is sent, and that nothing was changed where the connection ends', async () => {
    const newer = await page({ ...HERE, tables: HERE.tables.slice(0, 1) }, () => Promise.reject(new Error('never')));
    newer.choose();
    await newer.shows('The archive holds hives, which this installation does not know');
    TestBed.resetTestingModule();
    const lost = await page(HERE, () => refused({ status: 0, problem: 'no-connection', message: '', details: [] }));
    lost.choose();
    await lost.shows('read to its end and whole');
    await lost.type('Brenna Fell');
    lost.press('Replace the school');
    await lost.shows('The connection was lost. Nothing was changed');
  });

  it('is the owner’s', async () => {
    const at = await page({ ...HERE, mayUse: false }, () => Promise.reject(new Error('never')));
    await at.shows('For the owner');
    expect(at.element.querySelector('input[type=file]')).toBeNull();
  });
});
