import { TestBed } from '@angular/core/testing';
import type { EntryVerdict, Visit } from '@brave-comb/contract';
import { endpoints } from '../api/endpoints';
import { provideStore, Store } from '@ngrx/store';
import { type Observable, of, throwError } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { DeviceStore, type WaitingEntry, type WaitingAttachment, type WaitingStart } from '../device/device-store';
import { Outbox } from './outbox';

/** A device that keeps things in memory. */
class MemoryDevice {
  readonly waitingEntries = new Map<string, WaitingEntry>();
  readonly waitingStarts = new Map<string, WaitingStart>();
  readonly waitingFiles = new Map<string, WaitingAttachment>();
  readonly joined: string[] = [];

  attachments = () => Promise.resolve([...this.waitingFiles.values()]);
  keepAttachment = (file: WaitingAttachment) => Promise.resolve(void this.waitingFiles.set(file.id, file));
  keepStart = (kept: WaitingStart) => Promise.resolve(void this.waitingStarts.set(kept.id, kept));
  forgetAttachment = (id: string) => Promise.resolve(void this.waitingFiles.delete(id));
  starts = () => Promise.resolve([...this.waitingStarts.values()]);
  entries = () => Promise.resolve([...this.waitingEntries.values()]);
  started = (id: string) => Promise.resolve(void this.waitingStarts.delete(id));
  keepEntry = (entry: WaitingEntry) => Promise.resolve(void this.waitingEntries.set(entry.id, entry));
  forgetEntries = (ids: readonly string[]) => {
    for (const id of ids) this.waitingEntries.delete(id);
    return Promise.resolve();
  };
  join = (from: string, to: string) => {
    this.joined.push(`${from} → ${to}`);
    this.waitingStarts.delete(from);
    for (const entry of this.waitingEntries.values()) {
      if (entry.visit === from) this.waitingEntries.set(entry.id, { ...entry, visit: to });
    }
    return Promise.resolve();
  };
}

const entry = (id: string, visit = 'visit'): WaitingEntry => ({
  id,
  visit,
  entry: { id, at: '2026-05-14T12:00:00Z', by: 'tomasz', body: { kind: 'mood-noted', mood: 2 } },
  problem: null,
});
const start = (id: string): WaitingStart => ({
  id,
  session: 'session',
  hive: 'hive',
  startedAt: '2026-05-14T12:00:00Z',
});
const fault = (status: number, details: CallFault['details'] = []): Observable<never> =>
  throwError((): CallFault => ({ status, problem: 'not-valid', message: `status ${status}`, details }));

describe('the outbox', () => {
  let device: MemoryDevice;
  let dispatched: string[];
  let answers: ((path: string, sent: { body?: { entries?: { id: string }[] } }) => Observable<unknown>)[];
  let calls: { path: string; ids: string[] }[];
  let outbox: Outbox;

  beforeEach(() => {
    device = new MemoryDevice();
    dispatched = [];
    answers = [];
    calls = [];
    const keepAll = (_path: string, sent: { body?: { entries?: { id: string }[] } }) =>
      of({ verdicts: (sent.body?.entries ?? []).map(({ id }): EntryVerdict => ({ id, outcome: 'kept' })) });
    TestBed.configureTestingModule({
      providers: [
        provideStore({}),
        { provide: DeviceStore, useValue: device },
        {
          provide: ContractClient,
          useValue: {
            call: (endpoint: { path: string }, sent: { body?: { entries?: { id: string }[] } }) => {
              calls.push({ path: endpoint.path, ids: sent.body?.entries?.map(({ id }) => id) ?? [] });
              return (answers.shift() ?? keepAll)(endpoint.path, sent);
            },
          },
        },
      ],
    });
    vi.spyOn(TestBed.inject(Store), 'dispatch').mockImplementation(((action: { type: string }) => {
      dispatched.push(action.type.replace('[Inspection] ', ''));
    }) as never);
    outbox = TestBed.inject(Outbox);
  });

  it('sends entries in the order in which they were made and forgets what the server kept', async () => {
    for (const id of ['a', 'b', 'c']) device.waitingEntries.set(id, entry(id));
    await outbox.send();
    expect(calls).toEqual([{ path: endpoints.recordEntries.path, ids: ['a', 'b', 'c'] }]);
    expect(device.waitingEntries.size).toBe(0);
    expect(dispatched).toEqual(['Entries kept', 'Everything sent']);
  });

  it('sends photos after the entries, sets aside one that the server will not have, keeps one that did not arrive', async () => {
    const photo = (id: string) => ({
      id,
      visit: 'visit',
      takenAt: '2026-05-14T12:00:00Z',
      type: 'image/jpeg' as const,
      file: new Blob(['x']),
    });
    for (const id of ['p1', 'p2', 'p3']) device.waitingFiles.set(id, photo(id));
    answers = [() => of({ id: 'p1' }), () => fault(422), () => fault(0)];
    await outbox.send();
    expect(calls.map(({ path }) => path)).toEqual(Array.from({ length: 3 }, () => endpoints.keepAttachment.path));
    expect([...device.waitingFiles.values()].map(({ id, problem }) => [id, problem?.message])).toEqual([
      ['p2', 'status 422'],
      ['p3', undefined],
    ]);
    await outbox.send();
    expect([...device.waitingFiles.keys()]).toEqual(['p2']);
    expect(dispatched).toContain('Sending failed');
  });

  it('sends at most a hundred at a time, until none are left', async () => {
    for (let i = 0; i < 230; i += 1) device.waitingEntries.set(`${i}`, entry(`${i}`.padStart(3, '0')));
    for (const [key, each] of [...device.waitingEntries]) {
      device.waitingEntries.delete(key);
      device.waitingEntries.set(each.id, each);
    }
    await outbox.send();
    expect(calls.map((call) => call.ids.length)).toEqual([100, 100, 30]);
    expect(device.waitingEntries.size).toBe(0);
  });

  it('keeps everything when there is no connection, and says so', async () => {
    device.waitingEntries.set('a', entry('a'));
    answers.push(() => fault(0));
    await outbox.send();
    expect(device.waitingEntries.size).toBe(1);
    expect(dispatched).toEqual(['Sending failed']);
    await outbox.send();
    expect(device.waitingEntries.size).toBe(0);
  });

  it('takes a batch apart that the server stumbles over: one bad entry is set aside, the others are kept', async () => {
    for (const id of ['a', 'bad', 'c']) device.waitingEntries.set(id, entry(id));
    const keeps = (id: string) => () => of({ verdicts: [{ id, outcome: 'kept' }] });
    answers = [() => fault(500), keeps('a'), () => fault(500), keeps('c')];
    await outbox.send();
    expect(calls.map(({ ids }) => ids)).toEqual([['a', 'bad', 'c'], ['a'], ['bad'], ['c']]);
    expect([...device.waitingEntries.values()].map(({ id, problem }) => [id, problem?.message])).toEqual([
      ['bad', 'status 500'],
    ]);
  });

  it.each([404, 403, 409, 422, 500])(
    'sets a start aside that was refused with %d, holds its entries and lets the others go',
    async (status) => {
      device.waitingStarts.set('gone', start('gone'));
      device.waitingEntries.set('held', entry('held', 'gone'));
      device.waitingEntries.set('free', entry('free', 'other'));
      answers = [() => fault(status)];
      await outbox.send();
      expect(device.waitingStarts.get('gone')?.problem?.message).toBe(`status ${status}`);
      expect([...device.waitingEntries.keys()]).toEqual(['held']);
      calls = [];
      await outbox.send();
      expect(calls).toEqual([]);
    },
  );

  it.each([503, 507, 429, 401])('keeps everything on status %d and tries again later', async (status) => {
    device.waitingEntries.set('a', entry('a'));
    answers.push(() => fault(status));
    await outbox.send();
    expect(device.waitingEntries.get('a')?.problem).toBeNull();
  });

  it('marks a refused entry with what the server said, and forgets the good ones beside it', async () => {
    for (const id of ['good', 'bad']) device.waitingEntries.set(id, entry(id));
    answers.push(() =>
      of({
        verdicts: [
          { id: 'good', outcome: 'known-already' },
          { id: 'bad', outcome: 'refused', problem: { problem: 'over-eight-eighths', message: 'Take 1 back.' } },
        ],
      }),
    );
    await outbox.send();
    expect([...device.waitingEntries.keys()]).toEqual(['bad']);
    expect(device.waitingEntries.get('bad')?.problem?.message).toBe('Take 1 back.');
    expect(dispatched).toContain('Entries refused');
  });

  it('marks each of a batch that was refused as a whole', async () => {
    for (const id of ['a', 'b']) device.waitingEntries.set(id, entry(id));
    answers.push(() => fault(422, [{ path: 'a', message: 'nine eighths' }]));
    await outbox.send();
    expect(device.waitingEntries.get('a')?.problem?.message).toBe('nine eighths');
    expect(device.waitingEntries.get('b')?.problem?.message).toBe('status 422');
  });

  it('does not send refused entries again by itself', async () => {
    device.waitingEntries.set('a', { ...entry('a'), problem: { problem: 'not-valid', message: 'no' } });
    await outbox.send();
    expect(calls).toEqual([]);
  });

  it('sends the start of a visit before its entries', async () => {
    device.waitingStarts.set('visit', start('visit'));
    device.waitingEntries.set('a', entry('a'));
    answers.push(() => of({ id: 'visit' } as Visit));
    await outbox.send();
    expect(calls.map((call) => call.path)).toEqual([endpoints.startVisit.path, endpoints.recordEntries.path]);
    expect(device.waitingStarts.size).toBe(0);
  });

  it('holds entries back while the start of their visit cannot be sent', async () => {
    device.waitingStarts.set('visit', start('visit'));
    device.waitingEntries.set('a', entry('a'));
    answers.push(() => fault(0));
    await outbox.send();
    expect(calls.map((call) => call.path)).toEqual([endpoints.startVisit.path]);
    expect(device.waitingEntries.size).toBe(1);
  });

  it('moves to the visit that was open already', async () => {
    device.waitingStarts.set('mine', start('mine'));
    device.waitingEntries.set('a', entry('a', 'mine'));
    answers.push(() => of({ id: 'theirs' } as Visit));
    await outbox.send();
    expect(device.joined).toEqual(['mine → theirs']);
    expect(dispatched).toContain('Visit joined');
    expect(device.waitingEntries.size).toBe(0);
  });

  it('goes round once more for what came while it was sending', async () => {
    device.waitingEntries.set('a', entry('a'));
    answers.push((_path, sent) => {
      device.waitingEntries.set('late', entry('late'));
      void outbox.send();
      return of({ verdicts: (sent.body?.entries ?? []).map(({ id }) => ({ id, outcome: 'kept' })) });
    });
    await outbox.send();
    expect(calls.map((call) => call.ids)).toEqual([['a'], ['late']]);
  });
});
