import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { TestBed } from '@angular/core/testing';
import type { Person, VisitFile } from '@brave-comb/contract';
import { EMPTY_SIDE, type EntryBody } from '@brave-comb/core/inspection';
import { DeviceStore, type WaitingAttachment, type WaitingEntry } from './device-store';

const person = (id: string) =>
  ({ id, name: id, role: 'supervisor', units: { own: null, school: 'metric' } }) as unknown as Person;
const file = (id: string, change: object = {}) =>
  ({
    visit: {
      id,
      session: 's1',
      hive: 'h4',
      hiveNumber: '4',
      startedAt: '2026-05-14T12:10:00Z',
      closedAt: null,
      ...change,
    },
  }) as unknown as VisitFile;
const mood = (
  id: string,
  by = 'ruth',
  visit = 'v1',
  body: EntryBody = { kind: 'mood-noted', mood: 1 },
): WaitingEntry => ({
  id,
  visit,
  entry: { id, at: '2026-05-14T12:15:00Z', by, body },
  problem: null,
});
const photo = (id: string, visit = 'v1') =>
  ({
    id,
    visit,
    takenAt: '2026-05-14T12:16:00Z',
    type: 'image/jpeg',
    file: 'a picture',
  }) as unknown as WaitingAttachment;
const start = (id: string) => ({ id, session: 's1', hive: 'h4', startedAt: '2026-05-14T12:10:00Z' });
const problem = { problem: 'visit-closed' as const, message: 'The visit is closed.' };

/** The device as a page that was just opened finds it. */
const openPage = () => {
  TestBed.resetTestingModule();
  return TestBed.inject(DeviceStore);
};
const ids = (list: readonly { readonly id: string }[]) => list.map(({ id }) => id);

describe('what this device keeps', () => {
  beforeEach(() => {
    globalThis.indexedDB = new IDBFactory();
    localStorage.clear();
  });

  it('outlives the page: entries, starts, photos, drafts, and what is no entry yet', async () => {
    const before = openPage();
    await before.belongTo(person('ruth'));
    await before.start(file('v1'), start('v1'));
    await before.keepEntry(mood('e2'));
    await before.keepEntry(mood('e1'));
    await before.keepAttachment(photo('p1'));
    before.keepStep('v1', 'frames');
    before.keepDraft({
      visit: 'v1',
      address: { box: 'brood box', frame: 3, face: 'low' },
      entry: { side: EMPTY_SIDE, pending: '3' },
    });
    before.keepJotting('v1', 'health', 'looks well');

    const after = openPage();
    await after.belongTo(person('ruth'));
    expect(ids(await after.entries('v1'))).toEqual(['e1', 'e2']);
    expect(ids(await after.starts())).toEqual(['v1']);
    expect(ids(await after.attachments())).toEqual(['p1']);
    expect((await after.file('v1'))?.visit.hive).toBe('h4');
    expect(after.step('v1')).toBe('frames');
    expect(after.draft('v1')?.entry.pending).toBe('3');
    expect(after.jotting('v1', 'health')).toBe('looks well');
    expect([after.unsentEntries(), after.unsentStarts(), after.unsentFiles()]).toEqual([2, 1, 1]);
  });

  it('counts nothing that the server has', async () => {
    const device = openPage();
    await device.belongTo(person('ruth'));
    await device.start(file('v1'), start('v1'));
    await device.keepEntry(mood('e1'));
    await device.keepAttachment(photo('p1'));
    await device.started('v1');
    await device.forgetEntries(['e1']);
    await device.forgetAttachment('p1');
    expect([device.unsentEntries(), device.unsentStarts(), device.unsentFiles()]).toEqual([0, 0, 0]);
    expect((await device.file('v1'))?.visit.id).toBe('v1');
  });

  it('seals what somebody entered from whoever comes next, and shows it to them again', async () => {
    const device = openPage();
    await device.belongTo(person('ruth'));
    await device.start(file('v1'), start('v1'));
    await device.keepEntry(mood('e1'));
    await device.keepView('/api/visits/v1', { body: { secret: true } });
    device.keepJotting('v1', 'health', 'a sting, swollen');

    await device.belongTo(person('tomasz'));
    expect(await device.entries()).toEqual([]);
    expect(await device.starts()).toEqual([]);
    expect(device.sealed()).toBe(2);
    expect(await device.file('v1')).toBeUndefined();
    expect(await device.view('/api/visits/v1')).toBeUndefined();
    expect(device.jotting('v1', 'health')).toBeNull();

    await device.belongTo(person('ruth'));
    expect(ids(await device.entries())).toEqual(['e1']);
    expect(device.sealed()).toBe(0);
  });

  it('sets aside what the server would not have, with how much hangs on it', async () => {
    const device = openPage();
    await device.belongTo(person('ruth'));
    await device.start(file('v1'), start('v1'));
    await device.keepEntry(mood('e1'));
    await device.keepEntry({ ...mood('e2', 'ruth', 'v2'), problem });
    await device.keepStart({ ...start('v1'), problem });
    expect(device.aside()).toMatchObject([
      { kind: 'start', id: 'v1', hive: '4', entries: 1 },
      { kind: 'entry', id: 'e2' },
    ]);
    expect([device.unsentStarts(), device.unsentEntries()]).toEqual([0, 1]);
    await device.dropStart('v1');
    expect(ids(await device.entries())).toEqual(['e2']);
    expect(await device.file('v1')).toBeUndefined();
    expect(ids(device.aside())).toEqual(['e2']);
  });

  it('brings what was entered under one id to the visit that it was joined to', async () => {
    const device = openPage();
    await device.belongTo(person('ruth'));
    await device.start(file('mine'), start('mine'));
    await device.keepEntry(mood('e1', 'ruth', 'mine'));
    await device.keepAttachment(photo('p1', 'mine'));
    device.keepDraft({
      visit: 'mine',
      address: { box: 'brood box', frame: 1, face: 'low' },
      entry: { side: EMPTY_SIDE, pending: '2' },
    });
    device.keepJotting('mine', 'wasps', 4);
    await device.join('mine', 'theirs');
    expect(device.joined('mine')).toBe('theirs');
    expect(device.joined('theirs')).toBeNull();
    expect(ids(await device.entries('theirs'))).toEqual(['e1']);
    expect((await device.attachments()).map(({ visit }) => visit)).toEqual(['theirs']);
    expect(await device.starts()).toEqual([]);
    expect([device.draft('mine'), device.draft('theirs')?.entry.pending]).toEqual([null, '2']);
    expect([device.jotting('mine', 'wasps'), device.jotting('theirs', 'wasps')]).toEqual([null, 4]);
  });

  it('has an entry at once, also when the page closes before the database took it', async () => {
    const closing = openPage();
    void closing.keepEntry(mood('e1'));
    expect(Object.keys(localStorage).some((key) => key.endsWith('e1'))).toBe(true);
    const next = openPage();
    await next.belongTo(person('ruth'));
    expect(ids(await next.entries('v1'))).toEqual(['e1']);
  });

  it('lives in the page while the device is full, says so, and is stored when there is room', async () => {
    const device = openPage();
    await device.belongTo(person('ruth'));
    const full = new DOMException('no room', 'QuotaExceededError');
    const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw full;
    });
    const write = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw full;
    });
    await device.keepEntry(mood('e1'));
    expect(device.full()).toBe(1);
    put.mockRestore();
    write.mockRestore();
    expect(ids(await device.entries())).toEqual(['e1']);
    expect(device.full()).toBe(0);
    const next = openPage();
    await next.belongTo(person('ruth'));
    expect(ids(await next.entries())).toEqual(['e1']);
  });

  it('keeps answers for three days, the newest hundred and twenty, and none for nobody', async () => {
    vi.useFakeTimers({ toFake: ['Date'], now: new Date('2026-05-14T08:00:00Z') });
    const device = openPage();
    await device.keepView('/api/season/strip', { body: 1 });
    await device.belongTo(person('ruth'));
    expect(await device.view('/api/season/strip')).toBeUndefined();
    await device.keepView('/api/season/strip', { body: 2, tag: '"a"' });
    expect(await device.view('/api/season/strip')).toMatchObject({ body: 2, tag: '"a"' });
    for (let view = 0; view < 120; view += 1) {
      vi.setSystemTime(Date.now() + 1000);
      await device.keepView(`/api/visits/${view}`, { body: view });
    }
    expect(await device.view('/api/season/strip')).toBeUndefined();
    expect(await device.view('/api/visits/0')).toMatchObject({ body: 0 });
    vi.setSystemTime(new Date('2026-05-17T08:03:00Z'));
    expect(await device.view('/api/visits/0')).toBeUndefined();
    vi.useRealTimers();
  });

  it('finds the newest open visit of a hive, prepared or begun here', async () => {
    const device = openPage();
    await device.belongTo(person('ruth'));
    await device.keepPrepared(file('v1', { startedAt: '2026-05-14T12:00:00Z' }));
    expect((await device.prepared('s1', 'h4'))?.visit.id).toBe('v1');
    await device.keepFile(file('v2', { startedAt: '2026-05-14T13:00:00Z' }));
    await device.keepFile(file('v3', { startedAt: '2026-05-14T14:00:00Z', closedAt: '2026-05-14T14:30:00Z' }));
    expect((await device.preparedFor('h4'))?.visit.id).toBe('v2');
    expect(await device.preparedFor('h9')).toBeUndefined();
  });

  it('remembers that a sign-out is owed to the server', () => {
    const device = openPage();
    device.oweSignOut(true);
    expect(openPage().owesSignOut()).toBe(true);
    device.oweSignOut(false);
    expect(openPage().owesSignOut()).toBe(false);
  });
});
