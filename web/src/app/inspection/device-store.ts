import { Injectable } from '@angular/core';
import type { Person, Problem, VisitFile } from '@brave-comb/contract';
import type { SideAddress, SideEntry, VisitEntry } from '@brave-comb/core/inspection';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/** An entry that this device made and the server has not acknowledged. */
export interface WaitingEntry {
  readonly id: string;
  readonly visit: string;
  readonly entry: VisitEntry;
  /** What the server said, when it would not keep it. */
  readonly problem: Problem | null;
}

/** A visit that this device started and the server has not heard of. */
export interface WaitingStart {
  readonly id: string;
  readonly session: string;
  readonly hive: string;
  readonly startedAt: string;
}

/** A side that is being entered. */
export interface SideDraft {
  readonly visit: string;
  readonly address: SideAddress;
  readonly entry: SideEntry;
}

interface Device extends DBSchema {
  people: { key: 'last'; value: Person };
  files: { key: string; value: VisitFile };
  prepared: { key: string; value: VisitFile };
  starts: { key: string; value: WaitingStart };
  entries: { key: string; value: WaitingEntry; indexes: { visit: string } };
  drafts: { key: string; value: SideDraft };
}

/** What this device keeps by itself: it survives a reload, a restart and no signal. */
@Injectable({ providedIn: 'root' })
export class DeviceStore {
  private readonly opened: Promise<IDBPDatabase<Device>> = openDB<Device>('brave-comb', 1, {
    upgrade: (db) => {
      for (const name of ['people', 'prepared'] as const) db.createObjectStore(name);
      db.createObjectStore('files', { keyPath: 'visit.id' });
      db.createObjectStore('starts', { keyPath: 'id' });
      db.createObjectStore('entries', { keyPath: 'id' }).createIndex('visit', 'visit');
      db.createObjectStore('drafts', { keyPath: 'visit' });
    },
  });

  async keepPerson(person: Person | null): Promise<void> {
    const db = await this.opened;
    await (person ? db.put('people', person, 'last') : db.clear('people'));
  }

  async lastPerson(): Promise<Person | null> {
    return (await (await this.opened).get('people', 'last')) ?? null;
  }

  async keepPrepared(file: VisitFile): Promise<void> {
    await (await this.opened).put('prepared', file, `${file.visit.session}/${file.visit.hive}`);
  }

  async prepared(session: string, hive: string): Promise<VisitFile | undefined> {
    return (await this.opened).get('prepared', `${session}/${hive}`);
  }

  /** Turns a prepared visit into a started one, in one step. */
  async start(file: VisitFile, start: WaitingStart): Promise<void> {
    const change = (await this.opened).transaction(['prepared', 'files', 'starts'], 'readwrite');
    await Promise.all([
      change.objectStore('files').put(file),
      change.objectStore('starts').put(start),
      change.objectStore('prepared').delete(`${start.session}/${start.hive}`),
      change.done,
    ]);
  }

  async starts(): Promise<readonly WaitingStart[]> {
    return (await this.opened).getAll('starts');
  }

  async started(id: string): Promise<void> {
    await (await this.opened).delete('starts', id);
  }

  async keepFile(file: VisitFile): Promise<void> {
    await (await this.opened).put('files', file);
  }

  async file(visit: string): Promise<VisitFile | undefined> {
    return (await this.opened).get('files', visit);
  }

  async keepEntry(entry: WaitingEntry): Promise<void> {
    await (await this.opened).put('entries', entry);
  }

  /** Entries of a visit, or of all visits, in the order in which they were made. */
  async entries(visit?: string): Promise<readonly WaitingEntry[]> {
    const db = await this.opened;
    return visit ? db.getAllFromIndex('entries', 'visit', visit) : db.getAll('entries');
  }

  async forgetEntries(ids: readonly string[]): Promise<void> {
    const change = (await this.opened).transaction('entries', 'readwrite');
    await Promise.all([...ids.map((id) => change.store.delete(id)), change.done]);
  }

  /** Moves what was entered for one visit to another: the hive was open already under that id. */
  async join(from: string, to: string): Promise<void> {
    const change = (await this.opened).transaction(['entries', 'drafts', 'files', 'starts'], 'readwrite');
    const entries = await change.objectStore('entries').index('visit').getAll(from);
    const draft = await change.objectStore('drafts').get(from);
    await Promise.all([
      ...entries.map((entry) => change.objectStore('entries').put({ ...entry, visit: to })),
      ...(draft ? [change.objectStore('drafts').put({ ...draft, visit: to })] : []),
      change.objectStore('drafts').delete(from),
      change.objectStore('files').delete(from),
      change.objectStore('starts').delete(from),
      change.done,
    ]);
  }

  async keepDraft(draft: SideDraft): Promise<void> {
    await (await this.opened).put('drafts', draft);
  }

  async draft(visit: string): Promise<SideDraft | undefined> {
    return (await this.opened).get('drafts', visit);
  }

  async forgetDraft(visit: string): Promise<void> {
    await (await this.opened).delete('drafts', visit);
  }
}
